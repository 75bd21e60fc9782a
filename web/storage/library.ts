import localforage from 'localforage';
import * as z from 'zod';
import { type Hunt, huntSchema } from '../../core/hunt/chain.ts';
import { jobSchema, type Job } from '../../core/job/job.ts';
import { migrateJob, migrateShop } from '../../core/job/migrate.ts';
import { shopSchema, type Shop } from '../../core/job/shop.ts';
import { type Prefs, prefsSchema } from './prefs.ts';

/** Everything this browser keeps: one entry a job, one for the shop, one for how a person likes to see things. */
export interface Library {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly shop: Shop | null;
  readonly prefs: Prefs;
  /** Entries that could not be read: they are kept as they are, and named here. */
  readonly unreadable: readonly string[];
}

const store = localforage.createInstance({ name: 'gruff-anchor', storeName: 'library' });
const JOB = 'job:';
const HUNT = 'hunt:';
const ORDER = 'order';

const orderSchema = z.array(z.string());

export async function loadLibrary(): Promise<Library> {
  const keys = await store.keys();
  const order = orderSchema.catch([]).parse((await store.getItem(ORDER)) ?? []);
  const unreadable: string[] = [];
  const jobs: Job[] = [];
  for (const key of keys.filter((key) => key.startsWith(JOB))) {
    const parsed = jobSchema.safeParse(migrateJob(await store.getItem(key)));
    if (parsed.success) jobs.push(parsed.data);
    else unreadable.push(key);
  }
  const hunts: Hunt[] = [];
  for (const key of keys.filter((key) => key.startsWith(HUNT))) {
    const parsed = huntSchema.safeParse(await store.getItem(key));
    if (parsed.success) hunts.push(parsed.data);
    else unreadable.push(key);
  }
  const rank = ({ id }: Job) => (order.includes(id) ? order.indexOf(id) : order.length);
  jobs.sort((a, b) => rank(a) - rank(b));
  const shop = shopSchema.safeParse(migrateShop(await store.getItem('shop')));
  if (!shop.success && keys.includes('shop')) unreadable.push('shop');
  const prefs = prefsSchema.parse((await store.getItem('prefs')) ?? {});
  return { jobs, hunts, shop: shop.success ? shop.data : null, prefs, unreadable };
}

/** What is saved of what a person made. */
export interface Kept {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly shop: Shop | null;
}

/** Writes what differs between two states of the library, and nothing else. */
export async function saveDifference(before: Kept, after: Kept): Promise<void> {
  if (after.shop !== before.shop) await store.setItem('shop', after.shop);
  await saveEach(JOB, before.jobs, after.jobs);
  await saveEach(HUNT, before.hunts, after.hunts);
  await store.setItem(
    ORDER,
    after.jobs.map(({ id }) => id),
  );
}

async function saveEach(
  prefix: string,
  before: readonly { readonly id: string }[],
  after: readonly { readonly id: string }[],
): Promise<void> {
  for (const own of after) if (!before.includes(own)) await store.setItem(prefix + own.id, own);
  const kept = new Set(after.map(({ id }) => id));
  for (const { id } of before) if (!kept.has(id)) await store.removeItem(prefix + id);
}

export async function savePrefs(prefs: Prefs): Promise<void> {
  await store.setItem('prefs', prefs);
}
