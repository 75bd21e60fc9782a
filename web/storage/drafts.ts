import { stores } from './stores.ts';

/** What was typed into a field and not left yet: it is no part of the work, and not lost with the page either. */
const store = stores.drafts;

const LONGEST = 10_000;
const WRITE_AFTER_MS = 200;
/** What was entered stays a draft until it is saved as work, or so long: a page that goes away between loses neither. */
const FORGET_AFTER_MS = 1000;
/** Older than this nobody remembers what was meant, ms. */
const OLD_MS = 14 * 86_400_000;

interface Draft {
  readonly text: string;
  readonly at: number;
}
const drafts = new Map<string, Draft>();
const waiting = new Map<string, Draft | null>();
let timer: ReturnType<typeof setTimeout> | undefined;

/** Reads what was typed before; where nothing can be read there is none. */
export async function loadDrafts(now = Date.now()): Promise<void> {
  try {
    for (const key of await store.keys()) {
      const { text, at } = (await store.getItem<Partial<Draft>>(key)) ?? {};
      const isGood = typeof text === 'string' && typeof at === 'number' && Math.abs(now - at) < OLD_MS;
      if (isGood) drafts.set(key, { text, at });
      else await store.removeItem(key);
    }
  } catch {
    // Without a store nothing was typed before.
  }
}

/** Writes what waits, at once. */
export async function flushDrafts(): Promise<void> {
  clearTimeout(timer);
  const all = [...waiting];
  waiting.clear();
  try {
    for (const [key, draft] of all) await (draft ? store.setItem(key, draft) : store.removeItem(key));
  } catch {
    // A draft that cannot be kept is still in its field.
  }
}

/** What was typed here before the page went away; undefined where nothing was. */
export const draftOf = (key: string): string | undefined => drafts.get(key)?.text;

/** Keeps what is typed so far; null once it was entered or given up. */
export function keepDraft(key: string, text: string | null): void {
  if (text === null && !drafts.has(key) && !waiting.has(key)) return;
  const draft = text === null ? null : { text: text.slice(0, LONGEST), at: Date.now() };
  if (draft) drafts.set(key, draft);
  else drafts.delete(key);
  waiting.set(key, draft);
  clearTimeout(timer);
  timer = setTimeout(() => void flushDrafts(), draft ? WRITE_AFTER_MS : FORGET_AFTER_MS);
}
