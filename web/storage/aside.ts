import type { StoredKind } from '../../core/model/stored.ts';
import { stores } from './stores.ts';

/** Entries that could not be read, as they were: nothing else is ever written there. */
const store = stores.aside;

/** Something kept that cannot be read here. */
export interface Aside {
  readonly id: string;
  /** When it was put aside, ISO 8601. */
  readonly at: string;
  /** Where it was kept: "job:teasel". */
  readonly key: string;
  readonly kind: StoredKind | null;
  /** What stood in the way, in the words of the moment; for people to read, never looked into. */
  readonly sentence: string;
  readonly data: unknown;
}

/** Puts things aside under names of their own; the same twice, after a start that was torn off, is kept once. */
export async function putAside(entries: readonly Omit<Aside, 'id' | 'at'>[]): Promise<void> {
  const print = (key: string, data: unknown) => `${key} ${JSON.stringify(data)}`;
  const here = await asideEntries();
  const known = new Set(here.map(({ key, data }) => print(key, data)));
  const taken = new Set(here.map(({ id }) => id));
  for (const entry of entries) {
    if (known.has(print(entry.key, entry.data))) continue;
    let n = 1;
    while (taken.has(`${entry.key}#${n}`)) n += 1;
    const id = `${entry.key}#${n}`;
    taken.add(id);
    known.add(print(entry.key, entry.data));
    await store.setItem(id, { ...entry, id, at: new Date().toISOString() } satisfies Aside);
  }
}

/** All that lies aside, the oldest first. */
export async function asideEntries(): Promise<Aside[]> {
  const found: Aside[] = [];
  for (const id of await store.keys()) {
    const entry = await store.getItem<Partial<Aside>>(id);
    found.push({
      id,
      at: entry?.at ?? '',
      key: entry?.key ?? id,
      kind: entry?.kind ?? null,
      sentence: entry?.sentence ?? '',
      data: entry?.data ?? null,
    });
  }
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

export const dropAside = (id: string): Promise<void> => store.removeItem(id);
