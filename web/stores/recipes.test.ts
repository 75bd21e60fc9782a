import { describe, expect, test } from '@jest/globals';
import { applyPatches, produce } from 'immer';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Hunt } from '../../core/model/hunt.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { emptyJob, newCable } from '../../core/model/newCable.ts';
import {
  broughtBack,
  changedCable,
  type Document,
  insertedCable,
  keptHunt,
  movedCable,
  type Recipe,
  removedCables,
  removedHunt,
  removedJob,
  keptJob,
} from './recipes.ts';

const shop = genericShop();
const cable = (id: string): Cable => newCable(id, `C-${id}`, shop);
const jobOf = (id: string, ...cables: string[]): Job => ({
  ...emptyJob(id, `Job ${id}`),
  cables: cables.map(cable),
});
const huntOf = (id: string, jobId: string) => ({ id, jobId, title: `Hunt ${id}` }) as unknown as Hunt;
const start: Document = {
  jobs: [jobOf('j', 'a', 'b', 'c'), jobOf('k', 'd')],
  hunts: [huntOf('h', 'j'), huntOf('i', 'k')],
  bin: [],
  shop,
};
const after = (...recipes: readonly Recipe[]) =>
  recipes.reduce<Document>((at, recipe) => produce(at, recipe), start);
const [job, other] = start.jobs as readonly [Job, Job];
const [hunt] = start.hunts as readonly [Hunt];
const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id);
const cablesOf = ({ jobs }: Document, jobId = 'j') => ids(jobs.find(({ id }) => id === jobId)?.cables ?? []);
/** The newest thing in the bin, as it would be brought back. */
const newest = ({ bin }: Document) => {
  const [item] = bin;
  if (!item) throw new Error('the bin is empty');
  return item;
};

describe('hunts', () => {
  test('one that is known gives way to its new state, where it stood; another comes last', () => {
    const known = after(keptHunt({ ...hunt, title: 'Later' }));
    expect(known.hunts.map(({ title }) => title)).toEqual(['Later', 'Hunt i']);
    expect(ids(after(keptHunt(huntOf('x', 'j'))).hunts)).toEqual(['h', 'i', 'x']);
  });

  test('one that is removed lies in the bin, and comes back out of it', () => {
    const gone = after(removedHunt(hunt));
    expect(ids(gone.hunts)).toEqual(['i']);
    expect(newest(gone)).toMatchObject({ what: 'hunt', title: 'Hunt h' });
    const back = produce(gone, broughtBack(newest(gone)));
    expect(ids(back.hunts)).toEqual(['i', 'h']);
    expect(back.bin).toEqual([]);
  });
});

describe('jobs', () => {
  test('an earlier state takes the place of the later one; one that is gone is added', () => {
    const earlier = { ...job, title: 'Before' };
    expect(after(keptJob(earlier)).jobs.map(({ title }) => title)).toEqual(['Before', 'Job k']);
    const back = after(removedJob(job, []), keptJob(earlier));
    expect(ids(back.jobs)).toEqual(['k', 'j']);
  });

  test('one that is removed takes its hunts along, and brings them back', () => {
    const gone = after(removedJob(job, [hunt]));
    expect([ids(gone.jobs), ids(gone.hunts)]).toEqual([['k'], ['i']]);
    const back = produce(gone, broughtBack(newest(gone)));
    expect(back.jobs.at(-1)).toEqual(job);
    expect(back.hunts.at(-1)).toEqual(hunt);
  });

  test('one whose id is taken by now comes back under another, and its hunts with it', () => {
    const gone = after(removedJob(job, [hunt]), keptJob({ ...other, id: 'j' }));
    const back = produce(gone, broughtBack(newest(gone)));
    const last = back.jobs.at(-1);
    expect(last?.id).not.toBe('j');
    expect(last?.title).toBe(job.title);
    expect(back.hunts.at(-1)?.jobId).toBe(last?.id);
  });

  test('a hunt that is here already is not brought back twice', () => {
    const gone = after(removedJob(job, [hunt]), keptHunt(huntOf('h', 'k')));
    expect(ids(produce(gone, broughtBack(newest(gone))).hunts)).toEqual(['i', 'h']);
  });
});

describe('cables', () => {
  test.each([
    ['a', ['a', 'x', 'b', 'c']],
    ['c', ['a', 'b', 'c', 'x']],
    ['gone', ['a', 'b', 'c', 'x']],
    [undefined, ['a', 'b', 'c', 'x']],
  ])('one put after %s', (where, expected) => {
    expect(cablesOf(after(insertedCable('j', cable('x'), where)))).toEqual(expected);
  });

  test('one of another job is left alone, and one that is gone changes nothing', () => {
    const [renamed, forward, back] = changedCable(start, 'j', 'b', (draft) => void (draft.tag = 'NEW'));
    expect(renamed.jobs[0]?.cables[1]?.tag).toBe('NEW');
    expect(renamed.jobs[1]).toBe(other);
    expect(applyPatches(start, forward)).toEqual(renamed);
    expect(applyPatches(renamed, back)).toEqual(start);
    for (const [inJob, id] of [
      ['j', 'd'],
      ['k', 'a'],
      ['no job', 'a'],
    ] as const)
      expect(changedCable(start, inJob, id, (draft) => void (draft.tag = 'NEW'))).toEqual([start, [], []]);
    const same = changedCable(start, 'j', 'b', (draft) => void (draft.tag = 'C-b'));
    expect(same[0]).toBe(start);
    expect(after(insertedCable('no job', cable('x')))).toBe(start);
  });

  test.each([
    ['a', 1, ['b', 'a', 'c']],
    ['c', -1, ['a', 'c', 'b']],
    ['a', -1, ['a', 'b', 'c']],
    ['c', 1, ['a', 'b', 'c']],
    ['gone', 1, ['a', 'b', 'c']],
  ] as const)('%s moved by %i', (id, by, expected) => {
    expect(cablesOf(after(movedCable('j', id, by)))).toEqual(expected);
  });

  test('several that go lie in the bin one by one, and each comes back to its job', () => {
    const gone = after(removedCables(job, [job.cables[0] as Cable, job.cables[2] as Cable]));
    expect(cablesOf(gone)).toEqual(['b']);
    expect(gone.bin.map(({ title }) => title).sort()).toEqual(['C-a, Job j', 'C-c, Job j']);
    const back = gone.bin.reduce((at, item) => produce(at, broughtBack(item)), gone);
    expect(cablesOf(back).sort()).toEqual(['a', 'b', 'c']);
  });

  test('none that go are no change', () => {
    expect(after(removedCables(job, []))).toBe(start);
  });

  test('one whose place is taken comes back under another id; one whose job is gone in a job of its own', () => {
    const gone = after(removedCables(job, [job.cables[0] as Cable]), insertedCable('j', cable('a')));
    const back = produce(gone, broughtBack(newest(gone)));
    expect(cablesOf(back).slice(0, -1)).toEqual(['b', 'c', 'a']);
    expect(new Set(cablesOf(back)).size).toBe(4);
    const alone = after(removedCables(job, [job.cables[0] as Cable]), removedJob(job, []));
    const item = alone.bin.find(({ what }) => what === 'cable');
    const own = item && produce(alone, broughtBack(item)).jobs.at(-1);
    expect(own?.title).toBe('C-a, Job j');
    expect(ids(own?.cables ?? [])).toEqual(['a']);
  });
});
