import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contextOf } from '../jobContext.ts';
import { workUpCable } from '../workup.ts';
import { genericShop } from './catalogue/genericShop.ts';
import type { Cable } from './cable.ts';
import { cableSchema } from './cable.ts';
import { emptyJob, newCable } from './newCable.ts';
import { otherPole, withReturn } from './returnCable.ts';

const shop = genericShop();
const cableOf = (amps: number, lengthMm: number, backMm: number): Cable => {
  const fresh = newCable('out', 'TH-1', shop);
  return {
    ...fresh,
    gauge: { ...fresh.gauge, size: { system: 'metric', name: '70' } },
    ends: { A: { at: 'Battery +', stud: 'M8' }, B: { at: 'Thruster +', stud: 'M10' } },
    run: {
      ...fresh.run,
      systemV: 24,
      load: { kind: 'amps', amps },
      lengthMm,
      return: { kind: 'cable', lengthMm: backMm },
      fuses: [{ end: 'A', kind: 'class-t', ratingA: 300, place: 'battery-sheathed', distanceMm: 200 }],
    },
  };
};

describe('the return of a cable', () => {
  test('turns pole, jacket and way round, and leaves fuse and devices with the positive', () => {
    const { out, back } = withReturn(cableOf(100, 6000, 6400), 'back', emptyJob('j', 'J'));
    expect([back.tag, back.polarity, back.jacket]).toEqual(['TH-2', 'negative', 'black']);
    expect([back.ends.A, back.ends.B]).toEqual([
      { at: 'Thruster −', stud: 'M10' },
      { at: 'Battery −', stud: 'M8' },
    ]);
    expect([back.run.lengthMm, back.run.fuses, back.run.devices]).toEqual([6400, [], []]);
    expect([out.run.return, back.run.return]).toEqual([
      { kind: 'circuit', name: 'Thruster' },
      { kind: 'circuit', name: 'Thruster' },
    ]);
    expect(cableSchema.safeParse(back).success).toBe(true);
  });
  test('the drop of the loop is the one that was reckoned with a return of the same size', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 300, max: 12000 }),
        fc.integer({ min: 300, max: 12000 }),
        (amps, lengthMm, backMm) => {
          const cable = cableOf(amps, lengthMm, backMm);
          const alone = { ...emptyJob('j', 'J'), cables: [cable] };
          const { out, back } = withReturn(cable, 'back', alone);
          const pair = { ...alone, cables: [out, back] };
          const drop = (own: Cable, job: typeof pair) =>
            workUpCable(own, shop, { context: contextOf(own, job) }).choice.taken.at.dropV;
          const before = drop(cable, alone);
          // The joints of the return are counted on it, as they were on the loop before.
          expect(Math.abs(drop(out, pair) - before)).toBeLessThan(0.02 * before + 0.002 * amps * 0.1);
        },
      ),
      { numRuns: 25 },
    );
  });
  test('what has no sign stays', () =>
    expect(['Bus', 'Bus -', 'A+'].map(otherPole)).toEqual(['Bus', 'Bus +', 'A−']));
});
