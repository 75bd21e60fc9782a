import { nanoid } from 'nanoid';
import * as z from 'zod/mini';
import type { Hunt } from '../../core/model/hunt.ts';
import type { BinItem } from '../../core/model/bin.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { readStored, type Stored, type StoredKind } from '../../core/model/stored.ts';
import { type Aside, asideEntries, dropAside, putAside } from './aside.ts';
import { type Prefs, readPrefs } from './prefs.ts';
import { stores } from './stores.ts';

/** Everything this browser keeps: one entry a job and a hunt, one for the shop, the bin, and how a person likes to see things. */
export interface Library extends Kept {
  readonly prefs: Prefs;
  /** What could not be read: it is kept as it is, apart, and tried again at each start. */
  readonly unreadable: readonly Aside[];
  /** Whether anything was ever kept here. */
  readonly isNew: boolean;
}

/** What is saved of what a person made. */
export interface Kept {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly bin: readonly BinItem[];
  readonly shop: Shop | null;
}

const store = stores.library;
const JOB = 'job:';
const HUNT = 'hunt:';
const ORDER = 'order';
const BIN = 'bin';
const SHOP = 'shop';
/** A save that touches several entries is written here first, as one: torn off midway it is finished at the next start. */
const JOURNAL = 'journal';
/** Which tab writes: the mark of the one that last took it over. */
const WRITER = 'writer';

const orderSchema = z.array(z.string());
const journalSchema = z.object({
  puts: z.array(z.tuple([z.string(), z.unknown()])),
  removes: z.array(z.string()),
});
type Journal = z.infer<typeof journalSchema>;

/** Another tab took over: what this one still wanted to write is not written. */
export class NotTheWriter extends Error {}

/** The mark of this tab while it writes, null while it may not; undefined where tabs are not told apart. */
let mark: string | null | undefined;
/** An answer older than this may be from before the page was frozen, ms. */
const FRESH_MS = 200;

/** Makes this tab the one that writes: from here on every other is refused. */
export async function claimWriting(): Promise<void> {
  mark = nanoid();
  await store.setItem(WRITER, mark);
}
/** This tab writes no more. */
export const yieldWriting = (): void => void (mark = null);

/** @throws NotTheWriter where another tab has taken over, however long this one was frozen in between */
async function mayWrite(): Promise<void> {
  if (mark === undefined) return;
  for (;;) {
    const asked = performance.now();
    const now: string | null = mark === null ? null : await store.getItem<string>(WRITER);
    if (now === null || now !== mark) throw new NotTheWriter();
    if (performance.now() - asked < FRESH_MS) return;
  }
}

async function apply({ puts, removes }: Journal): Promise<void> {
  for (const [key, value] of puts) {
    await mayWrite();
    await store.setItem(key, value);
  }
  for (const key of removes) {
    await mayWrite();
    await store.removeItem(key);
  }
}
async function applyWhole(journal: Journal): Promise<void> {
  await apply({ puts: [[JOURNAL, journal]], removes: [] });
  await apply({ puts: journal.puts, removes: [...journal.removes, JOURNAL] });
}

/** Finishes a save that was torn off. One that cannot be read is put aside, not dropped. */
async function finishSave(): Promise<void> {
  const found = await store.getItem(JOURNAL);
  if (found === null) return;
  const journal = journalSchema.safeParse(found);
  if (journal.success) await apply(journal.data);
  else await putAside([{ key: JOURNAL, kind: null, data: found, sentence: '' }]);
  await apply({ puts: [], removes: [JOURNAL] });
}

const kindOf = (key: string): StoredKind | null => {
  if (key.startsWith(JOB)) return 'job';
  if (key.startsWith(HUNT)) return 'hunt';
  if (key === SHOP) return 'shop';
  return key.startsWith(`${BIN}:`) ? 'bin item' : null;
};

/** What was put aside and can be read now, by a newer version say, goes back to where it was, where nothing else is. */
async function bringBack(): Promise<void> {
  const keys = new Set(await store.keys());
  for (const { key, data, id } of await asideEntries()) {
    const kind = kindOf(key);
    if (kind === null || kind === 'bin item' || keys.has(key)) continue;
    if (!readStored(kind, data).ok) continue;
    await apply({ puts: [[key, data]], removes: [] });
    await dropAside(id);
  }
}

/**
 * Everything that is stored. What cannot be read is put aside by the tab that writes, so that nothing is ever written
 * over it.
 *
 * @param isWriting whether this tab writes: then a save that was torn off is finished first
 * @throws what the store throws: then nothing is known of what is kept, and nothing may be written
 */
export async function loadLibrary(isWriting = true): Promise<Library> {
  if (isWriting) {
    await finishSave();
    await bringBack();
  }
  const keys = await store.keys();
  const order = z.catch(orderSchema, []).parse((await store.getItem(ORDER)) ?? []);
  const refused: Omit<Aside, 'id' | 'at'>[] = [];
  const each = async <Kind extends StoredKind>(kind: Kind, prefix: string): Promise<Stored<Kind>[]> => {
    const found: Stored<Kind>[] = [];
    for (const key of keys.filter((own) => own.startsWith(prefix))) {
      const data = await store.getItem(key);
      const read = readStored(kind, data);
      // An entry under another name than its own would be written beside itself.
      const isItself = read.ok && `${prefix}${(read.value as { id?: string }).id ?? ''}` === key;
      if (read.ok && (prefix === key || isItself)) found.push(read.value);
      else refused.push({ key, kind, data, sentence: read.ok ? '' : read.sentence });
    }
    return found;
  };
  const jobs = await each('job', JOB);
  const hunts = await each('hunt', HUNT);
  const [shop = null] = keys.includes(SHOP) ? await each('shop', SHOP) : [];
  const rank = ({ id }: Job) => (order.includes(id) ? order.indexOf(id) : order.length);
  jobs.sort((a, b) => rank(a) - rank(b));
  const binned: unknown = (await store.getItem(BIN)) ?? [];
  const items = Array.isArray(binned) ? (binned as unknown[]) : [binned];
  const bin = items.flatMap((data, i) => {
    const read = readStored('bin item', data);
    if (read.ok) return [read.value];
    refused.push({ key: `${BIN}:${i}`, kind: 'bin item', data, sentence: read.sentence });
    return [];
  });
  if (isWriting && refused.length > 0) {
    await putAside(refused);
    const removes = refused.map(({ key }) => key).filter((key) => keys.includes(key));
    await applyWhole({ puts: bin.length < items.length ? [[BIN, bin]] : [], removes });
  }
  return {
    jobs,
    hunts,
    bin,
    shop,
    prefs: readPrefs(await store.getItem('prefs')),
    unreadable: await asideEntries(),
    isNew: keys.every((key) => key === WRITER),
  };
}

/**
 * Writes what differs between two states of the library, and nothing else. It is written whole or not at all: what
 * touches more than one entry goes through a journal.
 *
 * @throws NotTheWriter where another tab writes
 */
export async function saveDifference(before: Kept, after: Kept): Promise<void> {
  const puts: [string, unknown][] = [];
  const removes: string[] = [];
  if (after.shop !== before.shop) puts.push([SHOP, after.shop]);
  for (const [prefix, old, now] of [
    [JOB, before.jobs, after.jobs],
    [HUNT, before.hunts, after.hunts],
  ] as const) {
    const known: readonly { readonly id: string }[] = old;
    for (const own of now) if (!known.includes(own)) puts.push([prefix + own.id, own]);
    const kept = new Set(now.map(({ id }) => id));
    for (const { id } of known) if (!kept.has(id)) removes.push(prefix + id);
  }
  if (after.bin !== before.bin) puts.push([BIN, after.bin]);
  const order = after.jobs.map(({ id }) => id);
  if (order.join('\n') !== before.jobs.map(({ id }) => id).join('\n')) puts.push([ORDER, order]);
  if (puts.length + removes.length === 0) return;
  // One entry is written whole by the store itself.
  await (puts.length + removes.length === 1 ? apply : applyWhole)({ puts, removes });
}

/** Takes everything out of the library that is not among the new state, and writes that. */
export async function replaceLibrary(now: Kept): Promise<void> {
  const keys = (await store.keys()).filter((key) => key !== 'prefs' && key !== WRITER);
  const puts: [string, unknown][] = [
    ...now.jobs.map((job): [string, unknown] => [JOB + job.id, job]),
    ...now.hunts.map((hunt): [string, unknown] => [HUNT + hunt.id, hunt]),
    ...(now.bin.length > 0 ? [[BIN, now.bin] as [string, unknown]] : []),
    [ORDER, now.jobs.map(({ id }) => id)],
    ...(now.shop ? [[SHOP, now.shop] as [string, unknown]] : []),
  ];
  const names = new Set(puts.map(([key]) => key));
  await applyWhole({ puts, removes: keys.filter((key) => !names.has(key)) });
}

/** Whether the browser has a store at all. Where it has none, there is nothing that could be written over. */
export async function hasStore(): Promise<boolean> {
  try {
    await store.ready();
    return true;
  } catch {
    return false;
  }
}

export async function savePrefs(prefs: Prefs): Promise<void> {
  await store.setItem('prefs', prefs);
}
