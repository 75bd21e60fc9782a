import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { STUDS } from '../model/tables/studs.ts';
import { areaMm2 } from '../model/tables/size.ts';
import { crimpCentres, crimpsThatFit, CRIMP_SPACING } from './dies/crimpLayout.ts';
import {
  acrossFlatsFor,
  compaction,
  compactionBand,
  dieVerdict,
  dieZones,
  expectedVoidShare,
  hexagonAcrossFlats,
  hexagonMm2,
  strandHexagonMm,
  stretch,
} from './dies/dieOnLug.ts';
import { boreFill, fillVerdict } from './lugs/lugOnCable.ts';
import { clearanceVerdict, webMm } from './lugs/lugOnStud.ts';
import { foldedPalmMm } from './sleeves/layers.ts';
import { bestSleeve, sleeveOffers, whyNoSleeve } from './sleeves/sleeveOffers.ts';
import { grips, passes, sleeveCutMm, wallOnMm } from './sleeves/sleeve.ts';

const shop = genericShop();
const AWG_2 = areaMm2({ system: 'awg', name: '2' });
const AWG_4_0 = areaMm2({ system: 'awg', name: '4/0' });

describe('a lug made for the cable', () => {
  test('AWG 2 in a bore of 8.5 fills 0.593: right', () => {
    expect(boreFill(AWG_2, 8.5)).toBeCloseTo(0.593, 3);
    expect(fillVerdict(boreFill(AWG_2, 8.5))).toBe('right');
  });
});

describe('a lug two sizes too big', () => {
  test('AWG 2 in a bore of 12 fills 0.297: wrong lug', () => {
    expect(boreFill(AWG_2, 12)).toBeCloseTo(0.297, 3);
    expect(fillVerdict(boreFill(AWG_2, 12))).toBe('wrong-lug');
  });
});

describe('a lug too small', () => {
  test('AWG 2 in a bore of 6.7 fills 0.954: refused, strands are never cut', () => {
    expect(boreFill(AWG_2, 6.7)).toBeCloseTo(0.954, 3);
    expect(fillVerdict(boreFill(AWG_2, 6.7))).toBe('cannot-enter');
  });
  test('is refused for every larger conductor too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 200, noNaN: true }),
        fc.double({ min: 4, max: 20, noNaN: true }),
        (copper, bore) => {
          const verdict = fillVerdict(boreFill(copper, bore));
          return verdict !== 'cannot-enter' || fillVerdict(boreFill(copper * 1.1, bore)) === 'cannot-enter';
        },
      ),
    );
  });
});

describe('a hole on a stud', () => {
  test('10.3 on M8 is 2.3 clear: loose', () => expect(clearanceVerdict(8, 10.3)).toBe('loose'));
  test('the customary hole of every stud is right or acceptable', () => {
    for (const { diameterMm, holeMm } of Object.values(STUDS)) {
      expect(['right', 'acceptable']).toContain(clearanceVerdict(diameterMm, holeMm));
    }
  });
  test('M10 does not go through a hole for M8', () => expect(clearanceVerdict(10, 8.4)).toBe('does-not-fit'));
  test('a 10.5 hole in a 23.1 palm leaves 6.3 beside it', () =>
    expect(webMm(23.1, 10.5)).toBeCloseTo(6.3, 9));
});

describe('a hexagon die on a lug', () => {
  test('light lug 18.8/15.0, AWG 4/0, 14.9 across flats: right', () => {
    const both = compaction({ outerMm: 18.8, boreMm: 15, copperMm2: AWG_4_0, acrossFlatsMm: 14.9 });
    expect(both.c).toBeCloseTo(1.082, 3);
    expect(both.kappa).toBeCloseTo(1.173, 3);
    expect(dieVerdict(both)).toBe('right');
  });
  test('heavy lug 19.8/15.0, AWG 4/0, 14.4: will not close', () => {
    const both = compaction({ outerMm: 19.8, boreMm: 15, copperMm2: AWG_4_0, acrossFlatsMm: 14.4 });
    expect(both.c).toBeCloseTo(1.328, 3);
    expect(dieVerdict(both)).toBe('will-not-close');
  });
  test('lug 12.5/10, 50 mm², 10.4: right', () => {
    const both = compaction({ outerMm: 12.5, boreMm: 10, copperMm2: 50, acrossFlatsMm: 10.4 });
    expect(both.c).toBeCloseTo(1.005, 3);
    expect(both.kappa).toBeCloseTo(1.01, 2);
    expect(dieVerdict(both)).toBe('right');
  });
  test('one die too big leaves air: lug 10.5/8.5, 35 mm², 10.4', () => {
    const parts = { outerMm: 10.5, boreMm: 8.5, copperMm2: 35, acrossFlatsMm: 10.4 };
    const both = compaction(parts);
    expect(both.c).toBeCloseTo(0.692, 3);
    expect(both.kappa).toBeCloseTo(0.548, 3);
    expect(dieVerdict(both)).toBe('open');
    expect(expectedVoidShare(parts)).toBeCloseTo(1 - 0.692, 3);
  });
  test('compaction 1.06 on lug 16.5/11.5 with 70 mm² needs 14.0', () =>
    expect(acrossFlatsFor(1.06, { outerMm: 16.5, boreMm: 11.5, copperMm2: 70 })).toBeCloseTo(14, 1));
  test('a die inside the wall leaves no room: packed without end, and never a number too many', () => {
    const parts = { outerMm: 20, boreMm: 10, copperMm2: 50, acrossFlatsMm: 12 };
    expect(compaction(parts).kappa).toBe(Number.POSITIVE_INFINITY);
    expect(dieVerdict(compaction(parts))).toBe('will-not-close');
    expect(strandHexagonMm(parts)).toBeNull();
  });
  test('hexagon and across flats are each other’s inverse; a slack die stretches nothing', () => {
    expect(hexagonAcrossFlats(hexagonMm2(13.9))).toBeCloseTo(13.9, 9);
    expect(stretch(0.9)).toBe(0);
    expect(stretch(1.08)).toBeCloseTo(0.08, 9);
  });

  const parts = fc.record({
    boreMm: fc.double({ min: 5, max: 18, noNaN: true }),
    wallMm: fc.double({ min: 0.8, max: 3.5, noNaN: true }),
    fill: fc.double({ min: 0.45, max: 0.76, noNaN: true }),
    acrossFlatsMm: fc.double({ min: 5, max: 25, noNaN: true }),
  });
  const asParts = ({
    boreMm,
    wallMm,
    fill,
    acrossFlatsMm,
  }: {
    boreMm: number;
    wallMm: number;
    fill: number;
    acrossFlatsMm: number;
  }) => ({
    boreMm,
    outerMm: boreMm + 2 * wallMm,
    copperMm2: fill * (Math.PI / 4) * boreMm ** 2,
    acrossFlatsMm,
  });
  test('a bigger die is never tighter', () => {
    fc.assert(
      fc.property(parts, (drawn) => {
        const small = asParts(drawn);
        const big = { ...small, acrossFlatsMm: small.acrossFlatsMm + 0.3 };
        return compaction(big).c < compaction(small).c && compaction(big).kappa <= compaction(small).kappa;
      }),
    );
  });
  test('the band holds the centre, and the zones agree with the verdict', () => {
    fc.assert(
      fc.property(parts, (drawn) => {
        const own = asParts(drawn);
        const { loosest, tightest } = compactionBand(own);
        const { c } = compaction(own);
        const zones = dieZones(own);
        const verdict = dieVerdict(compaction(own));
        const byZone =
          own.acrossFlatsMm < zones.willNotCloseMm
            ? 'will-not-close'
            : own.acrossFlatsMm > zones.openMm
              ? 'open'
              : own.acrossFlatsMm > zones.lightMm
                ? 'light'
                : own.acrossFlatsMm < zones.tightMm
                  ? 'tight'
                  : 'right';
        return loosest.c <= c && c <= tightest.c && byZone === verdict;
      }),
    );
  });
});

describe('crimps along a barrel', () => {
  test('three of 7 mm just fit 28 mm, and none fits a barrel of 10', () => {
    expect(crimpsThatFit(28, 7)).toBe(3);
    expect(crimpsThatFit(27.9, 7)).toBe(2);
    expect(crimpsThatFit(10, 7)).toBe(0);
    expect(() => crimpCentres(10, 7, 1)).toThrow(RangeError);
  });
  test('always keep their distances from palm, mouth and one another', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 60, noNaN: true }),
        fc.double({ min: 4, max: 15, noNaN: true }),
        (barrel, width) => {
          const count = Math.min(crimpsThatFit(barrel, width), 4);
          const centres = count > 0 ? crimpCentres(barrel, width, count) : [];
          const edges = centres.map((centre) => [centre - width / 2, centre + width / 2] as const);
          const tiny = 1e-6;
          return edges.every(([from, to], i) => {
            const before = edges[i - 1]?.[1] ?? 0;
            const gap = i === 0 ? CRIMP_SPACING.mouthMm : CRIMP_SPACING.betweenMm;
            return from - before >= gap - tiny && barrel - to >= CRIMP_SPACING.palmMm - tiny;
          });
        },
      ),
    );
  });
});

describe('heat shrink', () => {
  const sleeve = { suppliedMm: 24, recoveredMm: 8, wallMm: 2.5 };
  test('24/8 shrunk onto 15.5 has a wall of 1.54', () => expect(wallOnMm(sleeve, 15.5)).toBeCloseTo(1.54, 2));
  test('slid on before the lug it has only the jacket to pass; after, the folded palm', () => {
    const before = { passMm: 15.6, gripMm: 13.9 };
    const after = { passMm: foldedPalmMm({ palmWidthMm: 40, palmThicknessMm: 5 }), gripMm: 13.9 };
    expect(after.passMm).toBeCloseTo(28.6, 1);
    expect(passes(sleeve, before) && grips(sleeve, before)).toBe(true);
    expect(passes(sleeve, after)).toBe(false);
  });
  test('68 mm of cover that shortens by 12 % is cut 77.3', () =>
    expect(sleeveCutMm(68, 12)).toBeCloseTo(77.27, 2));
  test('what is offered always passes, grips and seals', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        (jacket, share) => {
          const task = { passMm: jacket, gripMm: jacket * share };
          const best = bestSleeve(sleeveOffers(shop.sleeves, task));
          return best === null || (passes(best, task) && grips(best, task) && best.kind !== 'thin-2');
        },
      ),
    );
  });
});

describe('no sleeve that does it', () => {
  const narrow = shop.sleeves.filter(({ suppliedMm }) => suppliedMm < 15);
  test('says which dimension prevents it, and what would do it', () => {
    const task = { passMm: 15.6, gripMm: 13.9 };
    expect(tell(whyNoSleeve(narrow, task, false).because).replaceAll('\u2009', ' ')).toBe(
      'No sleeve owned passes 17.2 mm.',
    );
    expect(tell(whyNoSleeve(narrow, task, true).remedy)).toMatch(/before the lug/);
    const steep = { passMm: 30, gripMm: 6 };
    expect(tell(whyNoSleeve(shop.sleeves, steep, false).remedy)).toMatch(/Build the smaller side up/);
    expect(tell(whyNoSleeve(shop.sleeves, { passMm: 20, gripMm: 7 }, false).remedy)).toMatch(/4:1/);
  });
});
