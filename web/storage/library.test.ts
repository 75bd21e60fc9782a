import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { genericShop } from '../../core/catalogue/genericShop.ts';
import { newHunt } from '../../core/hunt/newHunt.ts';
import type { Job } from '../../core/job/job.ts';
import { newCable } from '../../core/job/newCable.ts';
import { prefsSchema } from './prefs.ts';

/** The browser's store, in memory: it copies what it is given, as the real one does. */
const entries = new Map<string, unknown>();
const store = {
  keys: async () => [...entries.keys()],
  getItem: async (key: string) => entries.get(key) ?? null,
  setItem: jest.fn(async (key: string, value: unknown) => void entries.set(key, structuredClone(value))),
  removeItem: jest.fn(async (key: string) => void entries.delete(key)),
};
jest.unstable_mockModule('localforage', () => ({ default: { createInstance: () => store } }));
const { loadLibrary, saveDifference, savePrefs } = await import('./library.ts');

const shop = genericShop();
let n = 0;
const job = (id: string): Job => ({
  id,
  title: id,
  subtitle: '',
  cables: [newCable('c', 'C-1', shop)],
  studs: [],
  heeded: [],
});
const [a, b] = [job('a'), job('b')];

beforeEach(() => {
  entries.clear();
  store.setItem.mockClear();
  store.removeItem.mockClear();
});

describe('a library kept in the browser', () => {
  test('is empty on a first visit', async () => {
    expect(await loadLibrary()).toEqual({
      jobs: [],
      hunts: [],
      shop: null,
      prefs: prefsSchema.parse({}),
      unreadable: [],
    });
  });
  test('comes back as it was, in its order', async () => {
    await saveDifference({ jobs: [], hunts: [], shop: null }, { jobs: [b, a], hunts: [], shop });
    await savePrefs({ ...prefsSchema.parse({}), theme: 'dark', person: 'R. Alder' });
    const { jobs, shop: kept, prefs } = await loadLibrary();
    expect(jobs).toEqual([b, a]);
    expect(kept).toEqual(shop);
    expect(prefs).toMatchObject({ theme: 'dark', person: 'R. Alder' });
  });
  test('writes only what differs', async () => {
    await saveDifference({ jobs: [], hunts: [], shop: null }, { jobs: [a, b], hunts: [], shop });
    store.setItem.mockClear();
    await saveDifference(
      { jobs: [a, b], hunts: [], shop },
      { jobs: [{ ...a, title: 'new' }, b], hunts: [], shop },
    );
    expect(store.setItem.mock.calls.map(([key]) => key)).toEqual(['job:a', 'order']);
  });
  test('keeps hunts beside the jobs, and forgets one that is gone', async () => {
    const hunt = newHunt('h', 'starter', 12, () => String((n += 1)));
    await saveDifference({ jobs: [], hunts: [], shop: null }, { jobs: [a], hunts: [hunt], shop });
    expect((await loadLibrary()).hunts).toEqual([hunt]);
    await saveDifference({ jobs: [a], hunts: [hunt], shop }, { jobs: [a], hunts: [], shop });
    expect(await loadLibrary()).toMatchObject({ jobs: [a], hunts: [] });
  });
  test('forgets a job that is gone', async () => {
    await saveDifference({ jobs: [], hunts: [], shop: null }, { jobs: [a, b], hunts: [], shop });
    await saveDifference({ jobs: [a, b], hunts: [], shop }, { jobs: [b], hunts: [], shop });
    expect(store.removeItem).toHaveBeenCalledWith('job:a');
    expect((await loadLibrary()).jobs).toEqual([b]);
  });
  test('keeps and names what it cannot read, and opens the rest', async () => {
    await saveDifference({ jobs: [], hunts: [], shop: null }, { jobs: [a, b], hunts: [], shop });
    entries.set('job:a', { id: 'a', title: 12 });
    entries.set('shop', 'not a shop');
    entries.set('prefs', { theme: 'purple', sizes: 'gauge' });
    entries.set('order', 'not an order');
    const { jobs, shop: kept, prefs, unreadable } = await loadLibrary();
    expect(jobs).toEqual([b]);
    expect(kept).toBeNull();
    expect(unreadable).toEqual(['job:a', 'shop']);
    expect(prefs).toMatchObject({ theme: 'system', sizes: 'gauge' });
    expect(entries.has('job:a')).toBe(true);
  });
});
