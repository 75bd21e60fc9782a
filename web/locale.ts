import type { DecimalMark } from '../core/words/say.ts';

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

/** The language spoken, and the locale that writes its numbers and dates: the browser's own where they agree. */
export function localeOf(
  { language }: Reading,
  browser: readonly string[],
): { code: LanguageCode; locale: string } {
  const [first = 'en'] = browser;
  const own = baseOf(first);
  const code = language ?? (isOurs(own) ? own : 'en');
  return { code, locale: language === undefined || own === code ? first : code };
}

/** How a locale writes "two and a half". @example decimalOf('nl-NL') // "," */
export const decimalOf = (locale: string): DecimalMark =>
  new Intl.NumberFormat(locale).formatToParts(2.5).find(({ type }) => type === 'decimal')?.value === ','
    ? ','
    : '.';
