import { describe, expect, test } from '@jest/globals';
import { areaMm2, sizeLabel } from '../tables/size.ts';
import { bundleDiameterMm } from '../../conductor/geometry.ts';
import { shopSchema } from '../shop.ts';
import { compaction, dieVerdict } from '../../termination/dies/dieOnLug.ts';
import { boreFill, fillVerdict } from '../../termination/lugs/lugOnCable.ts';
import { typicalPalm } from './palm.ts';
import { GENERIC_CABLE_KINDS } from './cableKinds.ts';
import { genericShop } from './genericShop.ts';
import { genericLug } from './lugs.ts';
import { FUSE_RATINGS_A, FUSES } from '../tables/fuses.ts';
import { INCH_SMALL_CRAFT } from '../tables/inchSmallCraft.ts';
import { codeDieAcrossFlats, codeDieWidth, lowCostDieWidth } from '../tables/lowCostDies.ts';
import { LUG_FAMILIES } from '../tables/lugFamilies.ts';
import { METRIC_SMALL_CRAFT } from '../tables/metricSmallCraft.ts';
import { PULL } from '../tables/pull.ts';
import { SLEEVES } from '../tables/sleeves.ts';
import { STUDS } from '../tables/studs.ts';

const rising = (numbers: readonly number[]) => numbers.every((n, i) => i === 0 || n >= (numbers[i - 1] ?? 0));

describe('the two tables of allowed amps', () => {
  test.each([
    ['inch', INCH_SMALL_CRAFT],
    ['metric', METRIC_SMALL_CRAFT],
  ])('%s: every row has a column for every rating, and hotter insulation never carries less', (_, table) => {
    for (const amps of Object.values(table.rows)) {
      expect(amps).toHaveLength(table.insulationC.length);
      expect(rising(amps)).toBe(true);
    }
  });
  test('metric: down every column more copper never carries less', () => {
    const rows = Object.entries(METRIC_SMALL_CRAFT.rows).sort(([a], [b]) => Number(a) - Number(b));
    METRIC_SMALL_CRAFT.insulationC.forEach((_, column) =>
      expect(rising(rows.map(([, amps]) => amps[column] ?? 0))).toBe(true),
    );
  });
  test('figures often quoted', () => {
    expect(INCH_SMALL_CRAFT.rows['2/0'][4]).toBe(330);
    expect(METRIC_SMALL_CRAFT.rows['70'][3]).toBe(330);
    expect(METRIC_SMALL_CRAFT.engineSpaceFactor[105]).toBe(0.86);
  });
});

describe('lugs of the catalogue', () => {
  const families = Object.entries(LUG_FAMILIES);
  test('each is a tube: its outside is larger than its bore, and larger sizes are larger', () => {
    for (const [, { sizes }] of families) {
      const barrels = Object.values(sizes);
      expect(barrels.every(({ boreMm, outerMm }) => outerMm > boreMm)).toBe(true);
    }
  });
  test('each fits the conductor it is named for', () => {
    for (const lug of genericShop().lugs) {
      const verdict = fillVerdict(boreFill(areaMm2(lug.forSize), lug.boreMm));
      expect([lug.label, ['right', 'tight', 'loose'].includes(verdict)]).toEqual([lug.label, true]);
    }
  });
  test('a palm pressed from the tube: 70 mm² for M10', () => {
    const palm = typicalPalm({ boreMm: 11.5, outerMm: 16.5, barrelMm: 28 }, 10.5);
    expect(palm.widthMm).toBeCloseTo(23.06, 2);
    expect(palm.thicknessMm).toBe(5);
    expect(palm.studToBarrelMm).toBeCloseTo(20.7, 9);
  });
  test('a size the family does not have is an error', () =>
    expect(() => genericLug('tube-metric', '240', 'M10', 1)).toThrow(RangeError));
});

describe('dies of the catalogue', () => {
  test('a code is near the corner-to-corner width', () =>
    expect(codeDieAcrossFlats(16)).toBeCloseTo(13.86, 2));
  test('narrow for short barrels', () => {
    expect([6, 12, 16, 22].map(codeDieWidth)).toEqual([5, 5, 9, 14]);
    expect([50, 70].map(lowCostDieWidth)).toEqual([7, 9]);
  });
  test('each standard code die closes on its own lug', () => {
    const { sizes, dieCode = {} } = LUG_FAMILIES['compression-metric'];
    for (const [name, code] of Object.entries(dieCode)) {
      const barrel = sizes[name];
      if (!barrel) throw new Error(`no ${name}`);
      const both = compaction({
        ...barrel,
        copperMm2: Number(name),
        acrossFlatsMm: codeDieAcrossFlats(code),
      });
      expect([name, ['right', 'tight'].includes(dieVerdict(both))]).toEqual([name, true]);
    }
  });
});

describe('cable kinds', () => {
  test.each(GENERIC_CABLE_KINDS)(
    '$title: sizes grow, and every jacket is thicker than its strands',
    ({ insulation, sizes }) => {
      expect(rising(sizes.map(({ size }) => areaMm2(size)))).toBe(true);
      expect(rising(sizes.map(({ outerMm }) => outerMm))).toBe(true);
      const leastMm = insulation === 'bare' ? 0 : 1.4;
      for (const { size, outerMm } of sizes) {
        expect([sizeLabel(size), outerMm - bundleDiameterMm(areaMm2(size)) > leastMm]).toEqual([
          sizeLabel(size),
          true,
        ]);
      }
    },
  );
});

describe('the other tables', () => {
  test('a sleeve recovers to less than it is supplied at, by about its ratio', () => {
    for (const { ratio, sizes } of Object.values(SLEEVES)) {
      const by = Number(ratio.split(':')[0]);
      for (const { suppliedMm, recoveredMm } of sizes) {
        expect(suppliedMm / recoveredMm).toBeGreaterThan(by * 0.85);
      }
    }
  });
  test('every stud goes through its own hole and under its washer', () => {
    for (const { diameterMm, holeMm, washerOuterMm, torqueNm } of Object.values(STUDS)) {
      expect(holeMm).toBeGreaterThan(diameterMm);
      expect(washerOuterMm).toBeGreaterThan(holeMm);
      expect(torqueNm[0]).toBeLessThan(torqueNm[1]);
    }
  });
  test('the usual pull is about twice the least', () => {
    for (const [gauge, usual] of Object.entries(PULL.pullOutLbf)) {
      const least = PULL.smallCraftLbf[gauge as keyof typeof PULL.smallCraftLbf];
      expect(usual / least).toBeCloseTo(2, 9);
    }
  });
  test('fuse ratings rise, and curves rise in current and fall in time', () => {
    expect(rising(FUSE_RATINGS_A)).toBe(true);
    for (const { curve } of Object.values(FUSES)) {
      expect(rising(curve.map(({ multiple }) => multiple))).toBe(true);
      expect(rising(curve.map(({ seconds }) => -seconds))).toBe(true);
    }
  });
  test('the generic shop is a shop', () => expect(() => shopSchema.parse(genericShop())).not.toThrow());
});
