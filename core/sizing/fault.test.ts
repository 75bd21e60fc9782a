import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FUSES } from '../model/tables/fuses.ts';
import { deviceMilliohm } from './devices.ts';
import { adiabaticK, clearingSeconds, faultCurrents, survivalSeconds, worstFault } from './fault.ts';
import type { Duty } from '../model/run.ts';
import { breakingAmps, smallestFuse } from './fuse.ts';
import { chargingVolts, sourceResistance } from './source.ts';

const LINK = FUSES.link.curve;

describe('how long copper survives a short', () => {
  test('k from 90 to 250 °C is 143.1; from 105 to 160 it is 87.6', () => {
    expect(Math.abs(adiabaticK(90, 250) - 143.1)).toBeLessThan(0.2);
    expect(Math.abs(adiabaticK(105, 160) - 87.6)).toBeLessThan(0.2);
  });
  test.each([
    [70, 160, 115],
    [60, 200, 141],
    [85, 220, 134],
    [90, 250, 143],
    [180, 350, 132],
    [125, 250, 123.5],
  ])('customary row: from %i to %i °C is %d', (from, to, k) =>
    expect(Math.abs(adiabaticK(from, to) - k)).toBeLessThan(1),
  );
  test('35 mm² survives 4.2 kA for 0.918 s at k 115', () =>
    expect(survivalSeconds(115, 35, 4200) / 0.918).toBeCloseTo(1, 2));
  test('hotter before, shorter after', () => expect(adiabaticK(100, 160)).toBeLessThan(adiabaticK(60, 160)));
});

describe('how long a link takes to clear', () => {
  test('at its points, what the curve says; between them, less than the one before', () => {
    expect(clearingSeconds(LINK, 2)).toBe(15);
    const between = clearingSeconds(LINK, 3) ?? 0;
    expect(between).toBeGreaterThan(5);
    expect(between).toBeLessThan(15);
  });
  test('below its first point it may never open; beyond its last, that one bounds it', () => {
    expect(clearingSeconds(LINK, 1.2)).toBeNull();
    expect(clearingSeconds(LINK, 40)).toBe(1);
    expect(clearingSeconds([], 10)).toBeNull();
  });
  test('more current never takes longer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.35, max: 20, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (m, more) =>
          (clearingSeconds(LINK, m * more) ?? Infinity) <= (clearingSeconds(LINK, m) ?? Infinity) + 1e-9,
      ),
    );
  });
});

describe('a short on a 24 V bank', () => {
  const currents = faultCurrents(24, 29.2, 0.004, 0.004);
  test('draws most at the fuse, least at the far end with half the source', () => {
    expect(currents.mostA).toBeCloseTo(7300, 6);
    expect(currents.leastA).toBeCloseTo(2000, 6);
  });
  test('the worst moment is where the fuse is slowest against the cable', () => {
    const worst = worstFault(LINK, 300, currents, 100, 70);
    expect(worst?.currentA).toBeCloseTo(7300, 6);
    expect(worst?.beyondCurve).toBe(true);
    expect(worst?.survivesS).toBeCloseTo((100 * 70) ** 2 / 7300 ** 2, 9);
  });
  test('a fuse too large for the far end may never open', () =>
    expect(worstFault(LINK, 1600, currents, 100, 70)).toBeNull());
});

describe('choosing a fuse', () => {
  const fuse = (heldA: number, steps: Duty['steps'] = []) =>
    smallestFuse({ heldA, steps }, 1.25, 14.6, 12, 0);
  const rating = (...args: Parameters<typeof fuse>) => fuse(...args)?.ratingA;
  test('1.25 × the load, to the next rating made', () => {
    expect([150, 160, 161].map((amps) => rating(amps))).toEqual([200, 200, 225]);
  });
  test('a step over its rating only where it is shorter than the fuse takes to melt', () => {
    expect(rating(150, [{ amps: 340, seconds: 20 }])).toBe(350);
    // Under twice its rating a bolt-in fuse lasts a second.
    expect(fuse(150, [{ amps: 340, seconds: 0.5 }])).toMatchObject({ ratingA: 200, kind: 'strip' });
  });
  test('none beyond what is made, and none that does not break what it must', () => {
    expect(fuse(900)).toBeNull();
    expect(smallestFuse({ heldA: 100, steps: [] }, 1.25, 14.6, 12, 22000)).toMatchObject({
      kind: 'blade-nh',
    });
  });
  test('a 12 V system may use the 14 V row; a 48 V one has few kinds', () => {
    expect(breakingAmps('post-block', chargingVolts({ kind: 'unknown' }, 12).volts, 12)).toBe(10000);
    expect(breakingAmps('post-block', chargingVolts({ kind: 'unknown' }, 24).volts, 24)).toBe(5000);
    expect(breakingAmps('link', chargingVolts({ kind: 'unknown' }, 48).volts, 48)).toBeNull();
    expect(breakingAmps('class-t', chargingVolts({ kind: 'unknown' }, 48).volts, 48)).toBe(20000);
  });
});

describe('what is known of a source', () => {
  test('nothing, typed, cells, a bank by capacity, a starter battery', () => {
    expect(sourceResistance({ kind: 'unknown' }, 24)).toBeNull();
    expect(sourceResistance({ kind: 'typed', milliohm: 3 }, 24)).toMatchObject({
      ohm: 0.003,
      confidence: 'good',
    });
    expect(
      sourceResistance({ kind: 'cells', cellMilliohm: 0.3, inSeries: 8, strings: 2 }, 24)?.ohm,
    ).toBeCloseTo(0.0012, 9);
    expect(sourceResistance({ kind: 'battery', chemistry: 'agm', ampHours: 200 }, 24)).toMatchObject({
      ohm: 0.003,
      confidence: 'low',
    });
    expect(sourceResistance({ kind: 'cranking', crankingA: 800 }, 12)?.ohm).toBeCloseTo(0.003, 9);
  });
});

describe('devices on the loop', () => {
  test('typed outranks typical; a fuse goes by its rating; without one it is the customary milliohm', () => {
    expect(deviceMilliohm({ kind: 'fuse', ratingA: 300 })).toBeCloseTo(0.3, 9);
    expect(deviceMilliohm({ kind: 'fuse', ratingA: 300, milliohm: 0.12 })).toBe(0.12);
    expect(deviceMilliohm({ kind: 'isolator' })).toBe(0.2);
    expect(deviceMilliohm({ kind: 'shunt' })).toBe(1);
  });
});
