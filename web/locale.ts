import type { DecimalMark } from '../core/words/language.ts';

/** The languages of the application, each by its own name. */
export const LANGUAGES = { en: 'English', nl: 'Nederlands' } as const;
export type LanguageCode = keyof typeof LANGUAGES;

/** How this browser is read: it belongs to the reader, not to the work, so no backup carries it. */
export interface Reading {
  /** Absent: the browser's own, where it is one of ours. */
  readonly language?: LanguageCode;
  /** Absent: as the reader's language writes it. */
  readonly decimal?: DecimalMark;
}

export const isOurs = (code: string | undefined): code is LanguageCode =>
  code !== undefined && code in LANGUAGES;
const baseOf = (locale: string) => locale.split('-')[0];

/** A locale that writes its digits as the page does: dates of another script would be read by nobody here. */
function withOurDigits(locale: string): string {
  try {
    return new Intl.Locale(locale, { numberingSystem: 'latn' }).toString();
  } catch {
    return 'en';
  }
}

/**
 * The language spoken, the locale that writes its dates, and how decimals are written. Dates are in the language of the
 * page; decimals as the browser's own reader writes them, unless another language was chosen.
 */
export function localeOf(
  { language, decimal }: Reading,
  browser: readonly string[],
): { code: LanguageCode; locale: string; decimal: DecimalMark } {
  const [first = 'en'] = browser;
  const own = baseOf(first);
  const code = language ?? (isOurs(own) ? own : 'en');
  const locale = withOurDigits(own === code ? first : code);
  return { code, locale, decimal: decimal ?? decimalOf(language === undefined ? first : locale) };
}

/** How a locale writes "two and a half". @example decimalOf('nl-NL') // "," */
export const decimalOf = (locale: string): DecimalMark =>
  new Intl.NumberFormat(withOurDigits(locale)).formatToParts(2.5).find(({ type }) => type === 'decimal')
    ?.value === ','
    ? ','
    : '.';
