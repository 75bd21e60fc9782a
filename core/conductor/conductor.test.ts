import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bundleDiameterMm, cableMassPerMetre, leastOuterMm, usualOuterMm } from './geometry.ts';
import { resistancePerMetre, resistancePerMetre20 } from './resistance.ts';
import {
  areaMm2,
  copperDifferencePercent,
  GAUGE_SIZES,
  largestNotAbove,
  METRIC_SIZES,
  nearestIn,
  sizesOf,
  type ConductorSize,
} from '../model/tables/size.ts';

const metric = (name: (typeof METRIC_SIZES)[number]): ConductorSize => ({ system: 'metric', name });
const awg = (name: (typeof GAUGE_SIZES)[number]): ConductorSize => ({ system: 'awg', name });
const sae = (name: (typeof GAUGE_SIZES)[number]): ConductorSize => ({ system: 'sae', name });

describe('one name, different amounts of copper', () => {
  test('AWG 2 is 33.631 mm²', () => expect(areaMm2(awg('2'))).toBeCloseTo(33.631, 2));
  test('95 mm² has 11.4 % less copper than AWG 4/0', () =>
    expect(copperDifferencePercent(metric('95'), awg('4/0'))).toBeCloseTo(-11.4, 1));
  test('25 mm² has 18.2 % more copper than AWG 4', () =>
    expect(copperDifferencePercent(metric('25'), awg('4'))).toBeCloseTo(18.2, 1));
  test.each(GAUGE_SIZES)('vehicle gauge %s holds less than AWG of the same name', (name) =>
    expect(areaMm2(sae(name))).toBeLessThan(areaMm2(awg(name))),
  );
  test('the AWG nearest to 70 mm² is 2/0, and saying so is 3.8 % off', () => {
    const { size, errorPercent } = nearestIn('awg', metric('70'));
    expect(size).toEqual(awg('2/0'));
    expect(errorPercent).toBeCloseTo(3.8, 1);
  });
});

describe('sizes in order', () => {
  test.each(['metric', 'awg', 'sae'] as const)('%s sizes grow', (system) => {
    const areas = sizesOf(system).map(areaMm2);
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
    expect(new Set(areas).size).toBe(areas.length);
  });
  test('a table row equal to the conductor counts as not larger', () =>
    expect(largestNotAbove(METRIC_SIZES, Number, 70)).toBe('70'));
  test('a conductor under the smallest row has no row', () =>
    expect(largestNotAbove(METRIC_SIZES, Number, 1.4)).toBeUndefined());
});

describe('resistance', () => {
  test('6.4 m of 50 mm² tinned at 75 °C is 3.059 mΩ', () =>
    expect(resistancePerMetre(metric('50'), { tinned: true }, 75) * 6.4 * 1000).toBeCloseTo(3.059, 3));
  test('35 mm² computes about 6 % above AWG 2 though it holds more copper', () => {
    const ratio =
      resistancePerMetre20(metric('35'), { tinned: false }) /
      resistancePerMetre20(awg('2'), { tinned: false });
    expect(ratio).toBeCloseTo(1.06, 2);
    expect(areaMm2(metric('35'))).toBeGreaterThan(areaMm2(awg('2')));
  });
  test('hotter copper resists more; tin resists more', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...sizesOf('metric'), ...sizesOf('awg')),
        fc.double({ min: -40, max: 200, noNaN: true }),
        (size, t) =>
          resistancePerMetre(size, { tinned: false }, t + 1) >
            resistancePerMetre(size, { tinned: false }, t) &&
          resistancePerMetre(size, { tinned: true }, t) > resistancePerMetre(size, { tinned: false }, t),
      ),
    );
  });
});

describe('a bundle of strands', () => {
  test('70 mm² packs into 11.13 mm', () => expect(bundleDiameterMm(70)).toBeCloseTo(11.126, 2));
  test('a metre of 70 mm² under a 15.5 jacket weighs its copper plus its jacket', () =>
    expect(cableMassPerMetre(70, { outerMm: 15.5 })).toBeCloseTo(0.625 + 0.128, 2));
  test('what the data sheet weighs goes before', () =>
    expect(cableMassPerMetre(70, { outerMm: 15.5, gPerM: 710 })).toBe(0.71));
});

describe('a jacket round a bundle', () => {
  test('is never thinner than it can be, and usually 1.5 mm thick', () => {
    expect(leastOuterMm(70)).toBeCloseTo(bundleDiameterMm(70) + 0.4, 9);
    expect(leastOuterMm(1.5)).toBeGreaterThanOrEqual(2);
    expect(usualOuterMm(70)).toBe(14.1);
    for (const copper of [1.5, 4, 50, 240])
      expect(usualOuterMm(copper)).toBeGreaterThan(leastOuterMm(copper));
  });
});
