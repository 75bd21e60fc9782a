import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import type { Cable } from '../model/cable.ts';
import type { Sleeve } from '../model/shop.ts';
import { afterMishap, cutBackMm, faultsAt, waysOut } from './mishaps.ts';
import { HOLDS, kindOf } from '../model/stepId.ts';
import { NOW, cableWith, worked, at, stepOf, shop } from './travellerFixture.ts';

const WIDE = { kind: 'dual-4' as const, suppliedMm: 52, recoveredMm: 8, wallMm: 2.4 };

describe('when a step goes wrong', () => {
  const cable = cableWith({ strands: { cut: 4 } });
  const work = worked(cable);
  const all: Cable = {
    ...cable,
    done: work.steps.map(({ id }) => ({ step: id, at: NOW.toISOString(), by: 'Ada' })),
  };
  const said = { id: 'm1', at: NOW.toISOString(), by: 'Ada' };
  const crimp = stepOf(work, 'crimp-2.A');
  /** Done as far as a step, in the order of the traveller. */
  const upTo = (id: string): Cable => ({ ...all, done: all.done.slice(0, at(work.steps, id) + 1) });
  test('dies not closed: close them again, and what was measured before no longer counts', () => {
    const now = upTo('file.A');
    const [redo] = waysOut('dies not closed', crimp, now, work, shop);
    expect(redo).toMatchObject({ way: 'redo', possible: true, reopens: ['crimp-2.A', 'file.A', 'shrink.A'] });
    const after = redo && afterMishap(now, 'dies not closed', crimp, redo, said);
    expect(after?.done.some(({ step }) => step === 'crimp-2.A')).toBe(false);
    expect(after?.done.some(({ step }) => step === 'crimp-1.A')).toBe(true);
    expect(after?.reworks).toMatchObject([{ end: 'A', what: 'dies not closed' }]);
    expect(after?.mishaps).toMatchObject([{ step: 'crimp-2.A', way: 'redo', by: 'Ada' }]);
  });
  test('a crimp under its sleeve: the sleeve is slit off, and a new one has to get on', () => {
    const [along, over] = waysOut('dies not closed', crimp, all, work, shop);
    // B is made: nothing comes along from there.
    expect(inWords(along)).toMatchObject({ possible: false, because: 'End B holds its lug as well.' });
    expect(tell(over?.says)).toMatch(/Slit the sleeve off.*over the palm/);
  });
  test('a forgotten sleeve comes from the other end while that is free, and asks for the layers again', () => {
    const shrink = stepOf(work, 'shrink.A');
    const never = 'the sleeve was never put on';
    const ways = (cable: Cable) => waysOut(never, shrink, cable, work, shop);
    const now = upTo('file.A');
    const [along] = ways(now);
    expect(along).toMatchObject({ possible: true, reopens: ['layers', 'shrink.A'] });
    const after = along && afterMishap(now, never, shrink, along, said);
    expect(after?.done.map(({ step }) => step)).toEqual(
      now.done.map(({ step }) => step).filter((step) => step !== 'layers'),
    );
    expect(after?.reworks).toEqual([]);
    const [blocked, over, cut] = ways(upTo('file.B'));
    expect(blocked).toMatchObject({ possible: false });
    expect(cut).toMatchObject({ way: 'cut back', possible: true });
    expect(cut?.reopens).toContain('layers');
    // A shop that has a sleeve wide enough brings it on over the palm, and it shrinks onto the cable.
    const wide = {
      ...shop,
      sleeves: [...shop.sleeves, { ...(shop.sleeves[0] as Sleeve), id: 'wide', ...WIDE }],
    };
    const [, wider] = waysOut(never, shrink, upTo('file.B'), work, wide);
    expect([over?.possible, wider?.possible].at(-1)).toBe(true);
    const dressed = wider && afterMishap(upTo('file.B'), never, shrink, wider, said);
    expect(dressed?.ends.A.sleeveAfterLug).toBe(true);
    expect(dressed && worked(dressed, wide).ends.A.sleeve?.sleeve.id).toBe(dressed?.ends.A.sleeveId);
    expect(dressed?.done.some(({ step }) => step === 'layers')).toBe(true);
  });
  test('cut back, then a new piece: the loop that was asked for is back', () => {
    const out = (cable: Cable, way: string) => {
      const found = waysOut('wrong die', crimp, cable, worked(cable), shop).find((own) => own.way === way);
      if (!found) throw new Error(`no way to ${way}`);
      return afterMishap(cable, 'wrong die', crimp, found, said);
    };
    const once = out(all, 'cut back');
    expect(out(once, 'scrap').run.loopMm).toBe(100);
    // Of the new piece it is taken again, and given back again.
    expect(out(out(out(once, 'scrap'), 'cut back'), 'scrap').run.loopMm).toBe(100);
  });
  test('a wrong die: cut back, and the service loop pays for it', () => {
    const [cutBack] = waysOut('wrong die', crimp, all, work, shop);
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
    const [cutBack] = waysOut('wrong die', crimp, bare, worked(bare), shop);
    expect(cutBack).toMatchObject({ possible: false });
    expect(tell(cutBack?.because)).toMatch(/mm too few/);
  });
  test('a new piece begins at the beginning, and is cut from a spool again', () => {
    const scrap = waysOut('wrong die', crimp, all, work, shop).at(-1);
    expect(scrap).toMatchObject({ way: 'scrap', possible: true });
    const after = scrap && afterMishap(all, 'wrong die', crimp, scrap, said);
    expect(after?.done).toEqual([]);
    expect(after?.reworks.map(({ end: name }) => name)).toEqual(['A', 'B']);
    expect(new Set(after?.reworks.map(({ id }) => id)).size).toBe(2);
  });
  test('a sleeve shrunk anew leaves the crimp proved', () => {
    const shrink = stepOf(work, 'shrink.A');
    const [redo] = waysOut('no adhesive showed', shrink, all, work, shop);
    expect(redo?.reopens).toEqual(['shrink.A']);
    expect(redo && afterMishap(all, 'no adhesive showed', shrink, redo, said).reworks).toEqual([]);
  });
  test('every step that holds or covers can go wrong, and every way out reopens steps of this cable', () => {
    for (const step of work.steps) {
      const faults = faultsAt(step);
      if (HOLDS.includes(kindOf(step.id)) || kindOf(step.id) === 'shrink')
        expect(faults.length).toBeGreaterThan(0);
      for (const what of faults) {
        for (const way of waysOut(what, step, all, work, shop)) {
          expect(tell(way.because)).not.toBe('');
          expect(way.reopens.length > 0).toBe(way.possible || way.way === 'cut back');
          expect(way.reopens.every((id) => kindOf(id) === 'clock' || at(work.steps, id) >= 0)).toBe(true);
          if (way.way === 'redo' && way.possible) expect(way.reopens).toContain(step.id);
        }
      }
    }
  });
});
