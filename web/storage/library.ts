import localforage from 'localforage';
import * as z from 'zod/mini';
import { type Hunt, huntSchema } from '../../core/hunt/chain.ts';
import { type BinItem, binItemSchema } from '../../core/job/bin.ts';
import { jobSchema, type Job } from '../../core/job/job.ts';
import { migrateJob, migrateShop } from '../../core/job/migrate.ts';
import { shopSchema, type Shop } from '../../core/job/shop.ts';
import { type Prefs, prefsSchema } from './prefs.ts';

/** Everything this browser keeps: one entry a job and a hunt, one for the shop, the bin, and how a person likes to see things. */
export interface Library extends Kept {
  readonly prefs: Prefs;
  /** Entries that could not be read: they are kept as they are, and named here. */
  readonly unreadable: readonly string[];
}

/** What is saved of what a person made. */
export interface Kept {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly bin: readonly BinItem[];
  readonly shop: Shop | null;
}

const store = localforage.createInstance({ name: 'gruff-anchor', storeName: 'library' });
const JOB = 'job:';
const HUNT = 'hunt:';
const ORDER = 'order';
const BIN = 'bin';
const SHOP = 'shop';
/** A save that touches several entries is written here first, as one: torn off midway it is finished at the next start. */
const JOURNAL = 'journal';

const orderSchema = z.array(z.string());
const journalSchema = z.object({
  puts: z.array(z.tuple([z.string(), z.unknown()])),
  removes: z.array(z.string()),
});
type Journal = z.infer<typeof journalSchema>;

async function apply({ puts, removes }: Journal): Promise<void> {
  for (const [key, value] of puts) await store.setItem(key, value);
  for (const key of removes) await store.removeItem(key);
}
async function applyWhole(journal: Journal): Promise<void> {
  await store.setItem(JOURNAL, journal);
  await apply(journal);
  await store.removeItem(JOURNAL);
}

/** Finishes a save that was torn off. */
async function finishSave(): Promise<void> {
  const found = await store.getItem(JOURNAL);
  if (found === null) return;
  const journal = journalSchema.safeParse(found);
  if (journal.success) await apply(journal.data);
  await store.removeItem(JOURNAL);
}

/**
 * Everything that is stored.
 *
 * @param isWriting whether this tab writes: then a save that was torn off is finished first
 */
export async function loadLibrary(isWriting = true): Promise<Library> {
  if (isWriting) await finishSave();
  const keys = await store.keys();
  const order = z.catch(orderSchema, []).parse((await store.getItem(ORDER)) ?? []);
  const unreadable: string[] = [];
  const each = async <T>(
    prefix: string,
    read: (data: unknown) => z.core.util.SafeParseResult<T>,
  ): Promise<T[]> => {
    const found: T[] = [];
    for (const key of keys.filter((own) => own.startsWith(prefix))) {
      const parsed = read(await store.getItem(key));
      if (parsed.success) found.push(parsed.data);
      else unreadable.push(key);
    }
    return found;
  };
  const jobs = await each(JOB, (data) => jobSchema.safeParse(migrateJob(data)));
  const hunts = await each(HUNT, (data) => huntSchema.safeParse(data));
  const rank = ({ id }: Job) => (order.includes(id) ? order.indexOf(id) : order.length);
  jobs.sort((a, b) => rank(a) - rank(b));
  const shop = shopSchema.safeParse(migrateShop(await store.getItem(SHOP)));
  if (!shop.success && keys.includes(SHOP)) unreadable.push(SHOP);
  const bin = z.catch(z.array(z.unknown()), []).parse((await store.getItem(BIN)) ?? []);
  const prefs = prefsSchema.parse((await store.getItem('prefs')) ?? {});
  return {
    jobs,
    hunts,
    bin: bin.flatMap((item) => {
      const parsed = binItemSchema.safeParse(item);
      return parsed.success ? [parsed.data] : [];
    }),
    shop: shop.success ? shop.data : null,
    prefs,
    unreadable,
  };
}

/**
 * Writes what differs between two states of the library, and nothing else. It is written whole or not at all: what
 * touches more than one entry goes through a journal.
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
  const keys = (await store.keys()).filter((key) => key !== 'prefs');
  const puts: [string, unknown][] = [
    ...now.jobs.map((job): [string, unknown] => [JOB + job.id, job]),
    ...now.hunts.map((hunt): [string, unknown] => [HUNT + hunt.id, hunt]),
    [BIN, now.bin],
    [ORDER, now.jobs.map(({ id }) => id)],
    ...(now.shop ? [[SHOP, now.shop] as [string, unknown]] : []),
  ];
  const names = new Set(puts.map(([key]) => key));
  await applyWhole({ puts, removes: keys.filter((key) => !names.has(key)) });
}

export async function savePrefs(prefs: Prefs): Promise<void> {
  await store.setItem('prefs', prefs);
}
