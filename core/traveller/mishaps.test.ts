import { describe, expect, test } from '@jest/globals';
import type { Cable } from '../job/cable.ts';
import { afterMishap, cutBackMm, faultsAt, waysOut } from './mishaps.ts';
import { HOLDS, kindOf } from './step.ts';
import { NOW, cableWith, worked, at, stepOf } from './travellerFixture.ts';

describe('when a step goes wrong', () => {
  const cable = cableWith({ strands: { cut: 4 } });
  const work = worked(cable);
  const all: Cable = {
    ...cable,
    done: work.steps.map(({ id }) => ({ step: id, at: NOW.toISOString(), by: 'Ada' })),
  };
  const said = { id: 'm1', at: NOW.toISOString(), by: 'Ada' };
  const crimp = stepOf(work, 'crimp-2.A');
  test('dies not closed: close them again, and what was measured before no longer counts', () => {
    const [redo] = waysOut('dies not closed', crimp, all, work);
    expect(redo).toMatchObject({ way: 'redo', reopens: ['crimp-2.A'] });
    const after = redo && afterMishap(all, 'dies not closed', crimp, redo, said);
    expect(after?.done.some(({ step }) => step === 'crimp-2.A')).toBe(false);
    expect(after?.done.some(({ step }) => step === 'crimp-1.A')).toBe(true);
    expect(after?.reworks).toMatchObject([{ end: 'A', what: 'dies not closed' }]);
    expect(after?.mishaps).toMatchObject([{ step: 'crimp-2.A', way: 'redo', by: 'Ada' }]);
  });
  test('a wrong die: cut back, and the service loop pays for it', () => {
    const [cutBack] = waysOut('wrong die', crimp, all, work);
    const lost = cutBackMm({ stripMm: work.ends.A.stripMm ?? 0 });
    expect(cutBack).toMatchObject({ way: 'cut back', possible: true, cutBackMm: lost });
    const after = cutBack && afterMishap(all, 'wrong die', crimp, cutBack, said);
    expect(after?.run.loopMm).toBe(100 - lost);
    expect(after?.ends.A.strands?.cut).toBe(0);
    expect(after?.done.filter(({ step }) => step.endsWith('.A'))).toEqual([]);
    expect(after?.done.some(({ step }) => step === 'crimp-1.B')).toBe(true);
    const shorter = after && worked(after).lengths;
    expect(shorter?.cutMm).toBeCloseTo((work.lengths?.cutMm ?? 0) - lost, 9);
  });
  test('without a loop it cannot be cut back, and is told by how much', () => {
    const bare = { ...all, run: { ...all.run, loopMm: 5 } };
    const [cutBack] = waysOut('wrong die', crimp, bare, worked(bare));
    expect(cutBack).toMatchObject({ possible: false });
    expect(cutBack?.because).toMatch(/mm too few/);
  });
  test('a new piece begins at the beginning, and is cut from a spool again', () => {
    const scrap = waysOut('wrong die', crimp, all, work).at(-1);
    expect(scrap).toMatchObject({ way: 'scrap', possible: true });
    const after = scrap && afterMishap(all, 'wrong die', crimp, scrap, said);
    expect(after?.done).toEqual([]);
    expect(after?.reworks.map(({ end: name }) => name)).toEqual(['A', 'B']);
    expect(new Set(after?.reworks.map(({ id }) => id)).size).toBe(2);
  });
  test('a sleeve shrunk anew leaves the crimp proved', () => {
    const shrink = stepOf(work, 'shrink.A');
    const [redo] = waysOut('sleeve split or burnt', shrink, all, work);
    expect(redo && afterMishap(all, 'sleeve split or burnt', shrink, redo, said).reworks).toEqual([]);
  });
  test('every step that holds or covers can go wrong, and every way out reopens steps of this cable', () => {
    for (const step of work.steps) {
      const faults = faultsAt(step);
      if (HOLDS.includes(kindOf(step.id)) || kindOf(step.id) === 'shrink')
        expect(faults.length).toBeGreaterThan(0);
      for (const what of faults) {
        for (const way of waysOut(what, step, all, work)) {
          expect(way.reopens.length).toBeGreaterThan(0);
          expect(way.reopens.every((id) => at(work.steps, id) >= 0)).toBe(true);
          expect(way.reopens).toContain(way.way === 'redo' ? step.id : (way.reopens[0] ?? ''));
        }
      }
    }
  });
});
