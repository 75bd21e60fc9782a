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
const { loadLibrary, replaceLibrary, saveDifference, savePrefs } = await import('./library.ts');

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
      bin: [],
      shop: null,
      prefs: prefsSchema.parse({}),
      unreadable: [],
    });
  });
  test('comes back as it was, in its order', async () => {
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [b, a], hunts: [], bin: [], shop },
    );
    await savePrefs({ ...prefsSchema.parse({}), theme: 'dark', person: 'R. Alder' });
    const { jobs, shop: kept, prefs } = await loadLibrary();
    expect(jobs).toEqual([b, a]);
    expect(kept).toEqual(shop);
    expect(prefs).toMatchObject({ theme: 'dark', person: 'R. Alder' });
  });
  test('writes only what differs', async () => {
    const bin: never[] = [];
    await saveDifference({ jobs: [], hunts: [], bin, shop: null }, { jobs: [a, b], hunts: [], bin, shop });
    store.setItem.mockClear();
    await saveDifference(
      { jobs: [a, b], hunts: [], bin, shop },
      { jobs: [{ ...a, title: 'new' }, b], hunts: [], bin, shop },
    );
    expect(store.setItem.mock.calls.map(([key]) => key)).toEqual(['job:a']);
  });
  test('keeps hunts beside the jobs, and forgets one that is gone', async () => {
    const hunt = newHunt('h', 'starter', 12, () => String((n += 1)));
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [a], hunts: [hunt], bin: [], shop },
    );
    expect((await loadLibrary()).hunts).toEqual([hunt]);
    await saveDifference(
      { jobs: [a], hunts: [hunt], bin: [], shop },
      { jobs: [a], hunts: [], bin: [], shop },
    );
    expect(await loadLibrary()).toMatchObject({ jobs: [a], hunts: [] });
  });
  test('a save of several entries that is torn off anywhere is whole or not there at all', async () => {
    const before = { jobs: [a], hunts: [], bin: [], shop };
    const after = { jobs: [{ ...a, title: 'new' }, b], hunts: [], bin: [], shop: { ...shop, name: 'new' } };
    for (let torn = 0; torn < 8; torn += 1) {
      entries.clear();
      await saveDifference({ jobs: [], hunts: [], bin: [], shop: null }, before);
      let writes = 0;
      const real = store.setItem.getMockImplementation();
      store.setItem.mockImplementation(async (key, value) => {
        writes += 1;
        if (writes > torn) throw new Error('the tab is gone');
        entries.set(key, structuredClone(value));
      });
      await saveDifference(before, after).catch(() => {});
      if (real) store.setItem.mockImplementation(real);
      const found = await loadLibrary();
      const titles = found.jobs.map(({ title }) => title).join();
      expect([`a ${shop.name}`, 'new,b new']).toContain(`${titles} ${found.shop?.name}`);
    }
  });
  test('a tab that only follows leaves a save in progress to the one that writes', async () => {
    entries.set('journal', { puts: [['job:a', a]], removes: [] });
    expect((await loadLibrary(false)).jobs).toEqual([]);
    expect(entries.has('journal')).toBe(true);
    expect((await loadLibrary()).jobs).toEqual([a]);
    expect(entries.has('journal')).toBe(false);
  });
  test('forgets a job that is gone', async () => {
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [a, b], hunts: [], bin: [], shop },
    );
    await saveDifference({ jobs: [a, b], hunts: [], bin: [], shop }, { jobs: [b], hunts: [], bin: [], shop });
    expect(store.removeItem).toHaveBeenCalledWith('job:a');
    expect((await loadLibrary()).jobs).toEqual([b]);
  });
  test('keeps and names what it cannot read, and opens the rest', async () => {
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [a, b], hunts: [], bin: [], shop },
    );
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

describe('another state in the place of all that is here', () => {
  test('takes out what is not in it, and leaves how a person likes to see things', async () => {
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [a, b], hunts: [newHunt('h', 'circuit', 24, () => `p${(n += 1)}`)], bin: [], shop },
    );
    await savePrefs({ ...prefsSchema.parse({}), theme: 'dark' });
    const later = { ...b, title: 'Later' };
    await replaceLibrary({ jobs: [later], hunts: [], bin: [], shop: null });
    const { jobs, hunts, prefs, unreadable } = await loadLibrary();
    expect(jobs).toEqual([later]);
    expect(hunts).toEqual([]);
    expect(prefs.theme).toBe('dark');
    expect(unreadable).toEqual([]);
    expect([...entries.keys()].filter((key) => /^(job|hunt):/.test(key))).toEqual(['job:b']);
  });

  test('torn off midway it is finished at the next start', async () => {
    await saveDifference(
      { jobs: [], hunts: [], bin: [], shop: null },
      { jobs: [a], hunts: [], bin: [], shop },
    );
    const write = store.setItem.getMockImplementation();
    let left = 2;
    store.setItem.mockImplementation(async (key, value) => {
      if ((left -= 1) < 0) throw new DOMException('torn', 'QuotaExceededError');
      entries.set(key, structuredClone(value));
    });
    await expect(replaceLibrary({ jobs: [b], hunts: [], bin: [], shop })).rejects.toThrow('torn');
    if (write) store.setItem.mockImplementation(write);
    expect((await loadLibrary()).jobs).toEqual([b]);
    expect(entries.has('journal')).toBe(false);
  });
});
