import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { genericShop } from '../../core/catalogue/genericShop.ts';
import type { Job } from '../../core/job/job.ts';
import { newCable } from '../../core/job/newCable.ts';
import { prefsSchema } from '../storage/prefs.ts';

const saveDifference = jest.fn<(before: unknown, after: unknown) => Promise<void>>();
jest.unstable_mockModule('../storage/library.ts', () => ({ saveDifference }));
const { useBench } = await import('./bench.ts');
const { workOf } = await import('./work.ts');

const shop = genericShop();
const job: Job = {
  id: 'j',
  title: 'Test',
  subtitle: '',
  cables: ['a', 'b', 'c'].map((id, i) => newCable(id, `C-${i + 1}`, shop)),
  studs: [],
  heeded: [],
};
const opened = () => {
  const bench = useBench();
  bench.open({ jobs: [job], hunts: [], bin: [], shop, prefs: prefsSchema.parse({}), unreadable: [] });
  return bench;
};
const tags = (bench: ReturnType<typeof useBench>) => bench.jobById('j')?.cables.map(({ tag }) => tag);

beforeEach(() => {
  setActivePinia(createPinia());
  saveDifference.mockReset();
  saveDifference.mockResolvedValue();
});

describe('a change', () => {
  test('can be undone and done again, and is named', () => {
    const bench = opened();
    bench.editCable('j', 'b', 'length', (cable) => void (cable.run.lengthMm = 4200));
    expect(bench.undoable).toBe('length');
    expect(bench.jobById('j')?.cables[1]?.run.lengthMm).toBe(4200);
    expect(bench.undo()).toBe('length');
    expect(bench.jobById('j')).toEqual(job);
    expect(bench.redo()).toBe('length');
    expect(bench.jobById('j')?.cables[1]?.run.lengthMm).toBe(4200);
  });
  test('never changes what was there before', () => {
    const bench = opened();
    const before = structuredClone(job);
    bench.editCable('j', 'a', 'tag', (cable) => void (cable.tag = 'X-1'));
    expect(job).toEqual(before);
  });
  test('that changes nothing is no change', () => {
    const bench = opened();
    bench.editCable('j', 'a', 'tag', (cable) => void (cable.tag = 'C-1'));
    bench.editCable('j', 'no such cable', 'tag', (cable) => void (cable.tag = 'X'));
    expect(bench.undoable).toBeUndefined();
  });
  test('after an undo forgets what could have been done again', () => {
    const bench = opened();
    bench.removeCables('j', ['a']);
    bench.undo();
    bench.removeCables('j', ['b']);
    expect(bench.redoable).toBeUndefined();
    expect(bench.undo()).toBe('delete cable');
    expect(bench.undo()).toBeUndefined();
  });
});

describe('cables', () => {
  test('a new one takes the kind and voltage of the last', () => {
    const bench = opened();
    bench.editCable('j', 'c', 'kind', (cable) => {
      cable.gauge.kindId = 'welding';
      cable.run.systemV = 48;
    });
    expect(bench.addCable('j')).toMatchObject({
      tag: 'C-4',
      gauge: { kindId: 'welding' },
      run: { systemV: 48 },
    });
  });
  test('a copy stands beside its original', () => {
    const bench = opened();
    bench.copyCable('j', 'a');
    expect(tags(bench)).toEqual(['C-1', 'C-4', 'C-2', 'C-3']);
  });
  test('move up and down, and stop at the ends', () => {
    const bench = opened();
    bench.moveCable('j', 'b', -1);
    expect(tags(bench)).toEqual(['C-2', 'C-1', 'C-3']);
    bench.moveCable('j', 'b', -1);
    expect(tags(bench)).toEqual(['C-2', 'C-1', 'C-3']);
    bench.moveCable('j', 'c', 1);
    expect(tags(bench)).toEqual(['C-2', 'C-1', 'C-3']);
  });
  test('several go at once, and come back with one undo', () => {
    const bench = opened();
    bench.removeCables('j', ['a', 'c']);
    expect(tags(bench)).toEqual(['C-2']);
    bench.undo();
    expect(tags(bench)).toEqual(['C-1', 'C-2', 'C-3']);
  });
  test('a job brought in twice gets an id of its own', () => {
    const bench = opened();
    expect(bench.addJob(job, shop, 'import job').id).toBe('j-2');
    expect(bench.jobs).toHaveLength(2);
  });
});

describe('saving', () => {
  test('writes what differs from the last save', async () => {
    const bench = opened();
    bench.editCable('j', 'a', 'tag', (cable) => void (cable.tag = 'X-1'));
    expect(bench.saveState.kind).toBe('saving');
    await bench.save();
    expect(bench.saveState.kind).toBe('saved');
    const [before, after] = saveDifference.mock.calls[0] ?? [];
    expect(before).toMatchObject({ jobs: [job] });
    expect(after).toMatchObject({ jobs: [{ cables: [{ tag: 'X-1' }, {}, {}] }] });
  });
  test('that fails says so, and the next one writes it all', async () => {
    const bench = opened();
    saveDifference.mockRejectedValueOnce(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
    bench.removeCables('j', ['a']);
    await bench.save();
    expect(bench.saveState).toMatchObject({ kind: 'failed', sentence: expect.stringContaining('is full') });
    await bench.save();
    expect(bench.saveState.kind).toBe('saved');
    expect(saveDifference.mock.calls[1]?.[0]).toMatchObject({ jobs: [job] });
  });
});

describe('the bin', () => {
  test('takes cables that are deleted, and gives each back where it was', () => {
    const bench = opened();
    bench.removeCables('j', ['a', 'c']);
    expect(bench.bin.map(({ title }) => title)).toEqual(['C-1, Test', 'C-3, Test']);
    const [first] = bench.bin;
    bench.putBack(first?.id ?? '');
    expect(tags(bench)).toEqual(['C-2', 'C-1']);
    expect(bench.bin).toHaveLength(1);
  });
  test('a cable whose job is gone as well comes back in a job of its own', () => {
    const bench = opened();
    bench.removeCables('j', ['a']);
    bench.removeJob('j');
    bench.putBack(bench.bin.find(({ what }) => what === 'cable')?.id ?? '');
    expect(bench.jobs).toHaveLength(1);
    expect(bench.jobs[0]?.cables.map(({ tag }) => tag)).toEqual(['C-1']);
  });
  test('a job comes back whole, and undo of deleting takes it out of the bin again', () => {
    const bench = opened();
    bench.removeJob('j');
    expect(bench.jobs).toEqual([]);
    bench.putBack(bench.bin[0]?.id ?? '');
    expect(bench.jobById('j')).toEqual(job);
    bench.undo();
    bench.undo();
    expect(bench.bin).toEqual([]);
    expect(bench.jobById('j')).toEqual(job);
  });
  test('is emptied by hand, and of itself after its time', () => {
    const bench = opened();
    bench.removeCables('j', ['a']);
    const [item] = bench.bin;
    bench.emptyBin();
    expect(bench.bin).toEqual([]);
    if (!item) throw new Error('nothing in the bin');
    const old = { ...item, at: '2020-01-01T00:00:00.000Z' };
    bench.open({
      jobs: [job],
      hunts: [],
      bin: [item, old],
      shop,
      prefs: prefsSchema.parse({}),
      unreadable: [],
    });
    expect(bench.bin).toEqual([item]);
  });
});

describe('a tab that only follows', () => {
  test('changes nothing and says so; leading again it does', () => {
    const bench = opened();
    bench.follow(true);
    bench.removeCables('j', ['a']);
    expect(tags(bench)).toEqual(['C-1', 'C-2', 'C-3']);
    expect(bench.isRefused).toBe(true);
    bench.follow(false);
    bench.removeCables('j', ['a']);
    expect(tags(bench)).toEqual(['C-2', 'C-3']);
  });
});

describe('work is done once', () => {
  test('for the same cable and shop, and again when either changes', () => {
    const [cable] = job.cables;
    if (!cable) throw new Error('no cable');
    expect(workOf(cable, shop)).toBe(workOf(cable, shop));
    expect(workOf({ ...cable }, shop)).not.toBe(workOf(cable, shop));
    expect(workOf(cable, { ...shop })).not.toBe(workOf(cable, shop));
    expect(workOf(cable, shop, job)).toBe(workOf(cable, shop));
  });
  test('a cable asked for alone is not answered with the work of a job that is gone', () => {
    const back = { kind: 'circuit', name: 'loop' } as const;
    const [cable, mate] = job.cables.map((own) => ({ ...own, run: { ...own.run, return: back } }));
    if (!cable || !mate) throw new Error('no cables');
    const collected = { deref: () => undefined };
    const weak = globalThis.WeakRef;
    globalThis.WeakRef = function collectedAtOnce() {
      return collected;
    } as unknown as WeakRefConstructor;
    try {
      const inJob = workOf(cable, shop, { ...job, cables: [cable, mate] });
      expect(inJob.choice.taken.at.spenders.map(({ label }) => label)).toContain(mate.tag);
      const alone = workOf(cable, shop);
      expect(alone.choice.taken.at.spenders.map(({ label }) => label)).not.toContain(mate.tag);
    } finally {
      globalThis.WeakRef = weak;
    }
  });
});
