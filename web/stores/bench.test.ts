import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { tell } from '../../core/words/message.ts';
import { createPinia, setActivePinia } from 'pinia';
import type { Draft } from 'immer';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { job, library, shop } from './benchFixture.ts';

const saveDifference = jest.fn<(before: unknown, after: unknown) => Promise<void>>();
class NotTheWriter extends Error {}
jest.unstable_mockModule('../storage/library.ts', () => ({ saveDifference, NotTheWriter }));
const { useBench } = await import('./bench.ts');
const { workOf } = await import('./work.ts');

const opened = () => {
  const bench = useBench();
  bench.open(library);
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
    expect(bench.addJob(job, shop, 'import job')?.id).toBe('j-2');
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
  test('is emptied by hand, and never by a clock', () => {
    const bench = opened();
    bench.removeCables('j', ['a']);
    const [item] = bench.bin;
    bench.emptyBin();
    expect(bench.bin).toEqual([]);
    if (!item) throw new Error('nothing in the bin');
    const old = { ...item, at: '2020-01-01T00:00:00.000Z' };
    bench.open({ ...library, bin: [item, old] });
    expect(bench.bin).toEqual([item, old]);
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
    expect(workOf(cable, { ...shop, tools: [...shop.tools] })).not.toBe(workOf(cable, shop));
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
      expect(inJob.choice.taken.at.spenders.map(({ label }) => label).map(tell)).toContain(mate.tag);
      const alone = workOf(cable, shop);
      expect(alone.choice.taken.at.spenders.map(({ label }) => label).map(tell)).not.toContain(mate.tag);
    } finally {
      globalThis.WeakRef = weak;
    }
  });
});

describe('nothing is made that could not be read again', () => {
  test.each<[string, (cable: Draft<Cable>) => void, string]>([
    [
      '21 devices',
      (cable) => void (cable.run.devices = Array.from({ length: 21 }, () => ({ kind: 'fuse' as const }))),
      'cable C-1, “devices” holds more than 20',
    ],
    ['a length of 49.9999999995', (cable) => void (cable.run.lengthMm = 49.9999999995), 'less than 50'],
    ['100 kW taken as amps', (cable) => void (cable.run.load = { kind: 'amps', amps: 8333 }), 'more than 5'],
    ['a route leg of 0', (cable) => void (cable.run.way = { legsMm: [0] } as never), 'cable C-1'],
    ['a figure that is none', (cable) => void (cable.run.lengthMm = Number.NaN), 'must be a number'],
    ['a tag of 81 letters', (cable) => void (cable.tag = 'x'.repeat(81)), 'longer than 80 letters'],
  ])('%s changes nothing, and the sentence names the cable', (_, change, sentence) => {
    const bench = opened();
    bench.editCable('j', 'a', 'length', change);
    expect(bench.jobById('j')).toEqual(job);
    expect(bench.refusal).toContain(sentence);
    expect(bench.undoable).toBeUndefined();
    bench.editCable('j', 'a', 'tag', (cable) => void (cable.tag = 'X-1'));
    expect(bench.refusal).toBe('');
  });
  test('a job whose id leaves no room for another is imported three times all the same', () => {
    const bench = opened();
    for (let i = 0; i < 3; i += 1)
      expect(bench.addJob({ ...job, id: 'i'.repeat(60) }, shop, 'import')).not.toBeNull();
    expect(new Set(bench.jobs.map(({ id }) => id)).size).toBe(4);
  });
});

describe('while what is stored could not be read', () => {
  test('nothing is written, whatever is done', async () => {
    const bench = opened();
    bench.lockWith('not read');
    bench.removeCables('j', ['a']);
    await bench.save();
    expect(saveDifference).not.toHaveBeenCalled();
    expect(bench.saveState).toEqual({ kind: 'failed', sentence: 'not read' });
  });
});

describe('whoever types on without a pause', () => {
  test('has all that is older than a second saved', async () => {
    jest.useFakeTimers();
    const bench = opened();
    const kept: string[] = [];
    saveDifference.mockImplementation(async (_, after) => {
      const tag = (after as { jobs: Job[] }).jobs[0]?.cables[0]?.tag ?? '';
      // A store of a test before may have something left to save.
      if (tag.startsWith('T-')) kept.push(tag);
    });
    for (let i = 1; i <= 40; i += 1) {
      bench.editCable('j', 'a', 'tag', (cable) => void (cable.tag = `T-${i}`));
      await jest.advanceTimersByTimeAsync(100);
      const last = Number(kept.at(-1)?.slice(2) ?? 0);
      expect(i - last).toBeLessThanOrEqual(10);
    }
    jest.useRealTimers();
  });
});
