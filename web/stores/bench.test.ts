import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { genericShop } from '../../core/catalogue/genericShop.ts';
import type { Job } from '../../core/job/job.ts';
import { newCable } from '../../core/job/newCable.ts';
import { prefsSchema } from '../storage/prefs.ts';

const saveDifference = jest.fn<(before: unknown, after: unknown) => Promise<void>>();
jest.unstable_mockModule('../storage/library.ts', () => ({ saveDifference }));
const { useBench } = await import('./bench.ts');
const { workOf, workOfJob } = await import('./work.ts');

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
  bench.open({ jobs: [job], hunts: [], shop, prefs: prefsSchema.parse({}), unreadable: [] });
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
    saveDifference.mockRejectedValueOnce(new Error('full'));
    bench.removeCables('j', ['a']);
    await bench.save();
    expect(bench.saveState).toMatchObject({ kind: 'failed' });
    await bench.save();
    expect(bench.saveState.kind).toBe('saved');
    expect(saveDifference.mock.calls[1]?.[0]).toMatchObject({ jobs: [job] });
  });
});

describe('work is done once', () => {
  test('for the same cable and shop, and again when either changes', () => {
    const [cable] = job.cables;
    if (!cable) throw new Error('no cable');
    expect(workOf(cable, shop)).toBe(workOf(cable, shop));
    expect(workOf({ ...cable }, shop)).not.toBe(workOf(cable, shop));
    expect(workOf(cable, { ...shop })).not.toBe(workOf(cable, shop));
    expect(workOfJob(job, shop).cables[0]).toBe(workOf(cable, shop));
  });
});
