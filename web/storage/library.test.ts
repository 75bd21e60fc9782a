import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cases } from '../../core/lib/casesFixture.ts';
import fc from 'fast-check';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import { newHunt } from '../../core/hunt/newHunt.ts';
import type { Job } from '../../core/model/job.ts';
import { newCable } from '../../core/model/newCable.ts';
import { memoryStores } from './memoryStoreFixture.ts';
import { prefsSchema } from './prefs.ts';

const stores = memoryStores();
jest.unstable_mockModule('localforage', stores.mock);
const library = await import('./library.ts');
const { loadLibrary, replaceLibrary, saveDifference, savePrefs } = library;
const store = stores.named('library');
const { entries } = store;
const { entries: aside } = stores.named('aside');

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

/** Nothing is kept, and this tab writes. */
async function emptied(): Promise<void> {
  entries.clear();
  aside.clear();
  await library.claimWriting();
}
beforeEach(async () => {
  await emptied();
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
      isNew: true,
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
      await emptied();
      await saveDifference({ jobs: [], hunts: [], bin: [], shop: null }, before);
      let writes = 0;
      const real = store.setItem.getMockImplementation();
      store.setItem.mockImplementation(async (key, value) => {
        writes += 1;
        if (writes > torn) throw new Error('the tab is gone');
        entries.set(key, structuredClone(value));
        return value;
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
    expect(unreadable.map(({ key, sentence }) => [key, sentence !== ''])).toEqual([
      ['job:a', true],
      ['shop', true],
    ]);
    expect(unreadable.map(({ data }) => data)).toEqual([{ id: 'a', title: 12 }, 'not a shop']);
    expect(prefs).toMatchObject({ theme: 'system', sizes: 'gauge' });
  });
  test.each(['nonsense', 12, null, ['a'], { theme: [] }])(
    'preferences that are %p are in nobody’s way',
    async (data) => {
      entries.set('prefs', data);
      expect((await loadLibrary()).prefs).toEqual(prefsSchema.parse({}));
    },
  );
});

describe('what cannot be read', () => {
  const broken = { ...a, cables: [{ ...newCable('c', 'C-1', shop), tag: 7 }] };

  test('is never written over: not by a job of the same id, not by a shop, not by emptying the bin', async () => {
    const item = {
      id: 'i',
      at: '2026-11-27T08:00:00.000Z',
      title: 'x',
      what: 'cable',
      jobId: 'a',
      cable: 'torn',
    };
    entries.set('job:a', broken);
    entries.set('shop', { name: 'torn' });
    entries.set('bin', [item]);
    const first = await loadLibrary();
    await saveDifference(first, { ...first, jobs: [a], shop, bin: [] });
    await saveDifference({ ...first, jobs: [a] }, { ...first, jobs: [] });
    await replaceLibrary({ jobs: [], hunts: [], bin: [], shop: null });
    const { unreadable } = await loadLibrary();
    expect(unreadable.map(({ data }) => data).sort()).toEqual([broken, { name: 'torn' }, item].sort());
  });
  test('comes back by itself once it can be read, unless something else stands there', async () => {
    entries.set('job:a', broken);
    await loadLibrary();
    // A newer version reads what this one could not: here the entry itself is mended.
    for (const [key, entry] of aside) aside.set(key, { ...(entry as object), data: a });
    expect((await loadLibrary()).jobs).toEqual([a]);
    expect(aside.size).toBe(0);
  });
  test('stays where it is in a tab that only follows', async () => {
    entries.set('job:a', broken);
    await loadLibrary(false);
    expect(entries.get('job:a')).toEqual(broken);
    expect(aside.size).toBe(0);
  });
  test('a store torn off while it is put aside loses nothing', async () => {
    for (let torn = 0; torn < 5; torn += 1) {
      await emptied();
      entries.set('job:a', broken);
      entries.set('job:b', b);
      let writes = 0;
      const real = store.setItem.getMockImplementation();
      store.setItem.mockImplementation(async (key, value) => {
        writes += 1;
        if (writes > torn) throw new Error('the tab is gone');
        entries.set(key, structuredClone(value));
        return value;
      });
      await loadLibrary().catch(() => {});
      if (real) store.setItem.mockImplementation(real);
      const { jobs, unreadable } = await loadLibrary();
      expect(jobs).toEqual([b]);
      expect(unreadable.map(({ data }) => data)).toEqual([broken]);
    }
  });
  test('whatever is stored, opening and saving again loses none of it', () =>
    fc.assert(
      fc.asyncProperty(
        fc.dictionary(
          fc.constantFrom('job:a', 'job:x', 'hunt:h', 'shop', 'bin', 'order', 'journal'),
          fc.jsonValue({ maxDepth: 3 }),
        ),
        async (data) => {
          await emptied();
          for (const [key, value] of Object.entries(data)) entries.set(key, value);
          const first = await loadLibrary();
          await saveDifference(first, { jobs: [a, b], hunts: [], bin: [], shop });
          const kept = JSON.stringify([...aside.values()]);
          for (const key of ['job:a', 'job:x', 'hunt:h', 'shop'] as const)
            if (data[key] !== undefined && data[key] !== null)
              expect(kept).toContain(JSON.stringify(data[key]));
          expect((await loadLibrary()).jobs).toEqual([a, b]);
        },
      ),
      { numRuns: cases(60) },
    ));
});

describe('of two tabs that write', () => {
  test('the one that another took over from writes nothing more, wherever it stopped', async () => {
    const before = { jobs: [a], hunts: [], bin: [], shop };
    for (let stopped = 0; stopped < 7; stopped += 1) {
      await emptied();
      await saveDifference({ jobs: [], hunts: [], bin: [], shop: null }, before);
      let writes = 0;
      const real = store.setItem.getMockImplementation();
      let theirs: [string, unknown][] = [];
      store.setItem.mockImplementation(async (key, value) => {
        entries.set(key, structuredClone(value));
        writes += 1;
        if (writes === stopped) {
          // Frozen here; meanwhile another tab takes over and writes its own.
          entries.set('writer', 'another tab');
          entries.set('job:a', { ...a, title: 'theirs' });
          theirs = [...entries];
        }
        return value;
      });
      const after = { ...before, jobs: [{ ...a, title: 'mine' }, b] };
      const saving = saveDifference(before, after);
      if (stopped === 0) await saving;
      else if (stopped <= 4) {
        await expect(saving).rejects.toBeInstanceOf(library.NotTheWriter);
        expect([...entries]).toEqual(theirs);
      } else await saving.catch(() => {});
      if (real) store.setItem.mockImplementation(real);
    }
  });
  test('a tab that gave way writes nothing', async () => {
    library.yieldWriting();
    await expect(
      saveDifference({ jobs: [], hunts: [], bin: [], shop: null }, { jobs: [a], hunts: [], bin: [], shop }),
    ).rejects.toBeInstanceOf(library.NotTheWriter);
    expect([...entries.keys()]).toEqual(['writer']);
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
      return value;
    });
    await expect(replaceLibrary({ jobs: [b], hunts: [], bin: [], shop })).rejects.toThrow('torn');
    if (write) store.setItem.mockImplementation(write);
    expect((await loadLibrary()).jobs).toEqual([b]);
    expect(entries.has('journal')).toBe(false);
  });
});
