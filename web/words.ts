import { type Language, speak, spoken, writeDecimalsWith } from '../core/words/language.ts';
import { isOurs, localeOf, type Reading } from './locale.ts';
import dutch from '../words/nl.json?url';

/** Where a language’s messages lie. */
const CATALOGUES = { nl: dutch } as const;
const isCatalogued = (code: string): code is keyof typeof CATALOGUES => code in CATALOGUES;

const KEPT = 'gruff-anchor-reading';

/** What this browser was told; nothing where it keeps nothing. */
export function readingKept(): Reading {
  try {
    const { language, decimal } = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Record<string, string>;
    return {
      ...(isOurs(language) && { language }),
      ...((decimal === '.' || decimal === ',') && { decimal }),
    };
  } catch {
    return {};
  }
}

/** Keeps how the reader reads, and loads the page again in it. What was typed before is saved first. */
export async function readAs(reading: Reading, save: () => Promise<void>): Promise<void> {
  await save();
  localStorage.setItem(KEPT, JSON.stringify(reading));
  location.reload();
}

let now: ReturnType<typeof localeOf> = { code: 'en', locale: 'en', decimal: '.' };
/** The language that is spoken here, and the locale that goes with it. */
export const readingNow = () => now;
/** The locale that writes dates for the reader. */
export const readersLocale = (): string => now.locale;

/** What a worker is told, so that it says what the page says. */
export const spokenHere = (): string => JSON.stringify({ ...readingKept(), browser: navigator.languages });

/**
 * Speaks the reader's language from here on. It comes before the rooms are loaded, since they say some things as they
 * are loaded. A language that cannot be fetched is no reason to show nothing: then it is English.
 */
export async function speakAs(reading: Reading, browser: readonly string[]): Promise<void> {
  now = localeOf(reading, browser);
  if (isCatalogued(now.code)) {
    try {
      const answer = await fetch(CATALOGUES[now.code]);
      speak({ code: now.code, messages: (await answer.json()) as Language['messages'] });
    } catch {
      now = { ...now, code: 'en', locale: 'en' };
    }
  }
  writeDecimalsWith(now.decimal);
}

/** As a worker is named by {@link spokenHere}. */
export async function speakAsTold(told: string): Promise<void> {
  const { browser, ...reading } = JSON.parse(told) as Reading & { browser: readonly string[] };
  await speakAs(reading, browser);
}

/** Tells the page itself which language it is in. */
export const markLanguage = (): void => void (document.documentElement.lang = spoken());
