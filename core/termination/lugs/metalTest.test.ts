import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../../lib/casesFixture.ts';
import { genericShop } from '../../model/catalogue/genericShop.ts';
import type { Lug } from '../../model/shop.ts';
import { lugMassG } from './lugMass.ts';
import { fillVerdict, fillWindow } from './lugOnCable.ts';
import { copperMassG, metalVerdict, withMetalTest } from './metalTest.ts';

const tubes = genericShop().lugs.filter(({ form }) => form === 'tube');
const lugs = fc.constantFrom(...(tubes as [Lug, ...Lug[]]));
const rounded = (value: number, step: number) => Math.round(value / step) * step;

describe('is it copper?', () => {
  test('weighed in the air and in water, brass is never called copper, nor copper brass, whatever the scale', () => {
    fc.assert(
      fc.property(
        lugs,
        fc.constantFrom(0.01, 0.1, 0.5, 1),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        fc.oneof(
          fc.record({
            metal: fc.constant('copper' as const),
            density: fc.double({ min: 8.9, max: 8.96, noNaN: true }),
          }),
          fc.record({
            metal: fc.constant('brass' as const),
            density: fc.double({ min: 8.4, max: 8.75, noNaN: true }),
          }),
        ),
        (lug, scaleG, size, { metal, density }) => {
          const volume = (lugMassG(lug) / 8.93) * size;
          const weighedG = rounded(volume * density, scaleG);
          const inWaterG = rounded(volume * (density - 0.998), scaleG);
          const told = metalVerdict(lug, { weighedG, inWaterG, scaleG }).metal;
          expect(['not told', metal]).toContain(told);
        },
      ),
      { numRuns: cases(400) },
    );
  });

  test('a fine scale tells both; a coarse one says that it does not, and what would', () => {
    const [lug] = tubes.filter(({ forSize }) => forSize.name === '70') as [Lug];
    const volume = lugMassG(lug) / 8.93;
    const weigh = (density: number, scaleG: number) => ({
      weighedG: rounded(volume * density, scaleG),
      inWaterG: rounded(volume * (density - 0.998), scaleG),
      scaleG,
    });
    expect(metalVerdict(lug, weigh(8.93, 0.01)).metal).toBe('copper');
    expect(metalVerdict(lug, weigh(8.5, 0.01)).metal).toBe('brass');
    const coarse = metalVerdict(lug, weigh(8.93, 1));
    expect(coarse.metal).toBe('not told');
    expect(coarse.next).not.toBe('');
  });

  test('by weight alone only what is far off its drawing tells', () => {
    fc.assert(
      fc.property(lugs, fc.double({ min: 0.6, max: 1.4, noNaN: true }), (lug, share) => {
        const { leastG, middleG, mostG } = copperMassG(lug);
        expect(leastG).toBeLessThan(middleG);
        expect(mostG).toBeGreaterThan(middleG);
        const { metal } = metalVerdict(lug, { weighedG: middleG * share });
        if (middleG * share < leastG) expect(metal).toBe('brass');
        else expect(metal).toBe(middleG * share > mostG * (8.75 / 8.93) ? 'copper' : 'not told');
      }),
      { numRuns: cases(200) },
    );
  });

  test('yellow or cracked is brass whatever it weighs; red alone proves nothing; nothing tried is not told', () => {
    const [lug] = tubes as [Lug];
    const heavy = lugMassG(lug) * 1.3;
    expect(metalVerdict(lug, { corner: 'yellow', weighedG: heavy }).metal).toBe('brass');
    expect(metalVerdict(lug, { cracked: true, weighedG: heavy }).metal).toBe('brass');
    expect(metalVerdict(lug, { corner: 'red' }).metal).toBe('not told');
    expect(metalVerdict(lug, {}).metal).toBe('not told');
  });

  test('what it tells is the lug’s from then on, and what it does not tell changes nothing', () => {
    const [lug] = tubes as [Lug];
    expect(withMetalTest(lug, { corner: 'yellow' })).toMatchObject({
      metal: 'brass',
      tested: { corner: 'yellow' },
    });
    expect(withMetalTest({ ...lug, metal: 'brass' }, { corner: 'red' }).metal).toBe('brass');
    expect(withMetalTest(withMetalTest(lug, { corner: 'yellow' }), {}).metal).toBe('copper');
  });
});

describe('a flared mouth', () => {
  test('never makes a fill worse, and takes a little more', () => {
    const order = ['cannot-enter', 'tight', 'right', 'loose', 'wrong-lug'];
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 1, noNaN: true }), (fill) => {
        const [plain, flared] = [fillVerdict(fill), fillVerdict(fill, true)];
        if (fill >= 0.53) expect(order.indexOf(flared)).toBeGreaterThanOrEqual(order.indexOf(plain));
        else expect(flared).toBe(plain);
      }),
      { numRuns: cases(200) },
    );
    expect([fillVerdict(0.73), fillVerdict(0.73, true)]).toEqual(['tight', 'right']);
    expect([fillVerdict(0.77), fillVerdict(0.77, true)]).toEqual(['cannot-enter', 'tight']);
    expect(fillWindow({ flared: true }).most).toBeCloseTo(0.74, 9);
  });
});
