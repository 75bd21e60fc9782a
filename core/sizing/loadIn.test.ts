import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nominalAmps, otherLoad } from './loadIn.ts';

test('100 A at 12 V is 1080 W given out at 90 %, and comes back as 100.0 A', () => {
  const watts = otherLoad({ kind: 'amps', amps: 100 }, 12);
  expect(watts).toEqual({ kind: 'watts', watts: 1080, efficiencyPercent: 90, lowestV: 12 });
  expect(otherLoad(watts, 12)).toEqual({ kind: 'amps', amps: 100 });
});

test('turned back and forth any load is what it was', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 5000, noNaN: true }),
      fc.double({ min: 1, max: 1000, noNaN: true }),
      (amps, systemV) => {
        expect(
          nominalAmps(otherLoad(otherLoad({ kind: 'amps', amps }, systemV), systemV)) / amps,
        ).toBeCloseTo(1, 9);
      },
    ),
  ));
