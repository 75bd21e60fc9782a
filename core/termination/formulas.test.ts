import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericLug } from '../model/catalogue/lugs.ts';
import { strandCount } from '../conductor/strands.ts';
import { areaMm2 } from '../model/tables/size.ts';
import { faultScale } from '../sizing/fault.ts';
import { CUSTOMARY_PRACTICE } from '../model/housePractice.ts';
import { twistLeftDeg } from './clocking.ts';
import { hexagonMm2, packingFromVoid } from './dies/dieOnLug.ts';
import { wallMm2 } from './lugs/lugOnCable.ts';
import { endMeets, postTopMm } from '../model/posts.ts';
import { jointHeatJ, solderMassG, solderVolumeMm3, solderWireMm, torchSeconds } from './methods/solder.ts';
import { ampsWithStrandsCut, strandsAllowed, strandsLeft } from './strandsLeft.ts';
import { contactDensity, stackMm } from './studs/studStack.ts';
import { lugPassesMm } from './throughHole.ts';
import { tubeLug } from './lugs/tubeLug.ts';

describe('worked figures', () => {
  test('16.3 g fill a 15.0 bore 28 deep round AWG 4/0', () => {
    const volume = solderVolumeMm3(
      { boreMm: 15, copperMm2: areaMm2({ system: 'awg', name: '4/0' }), depthMm: 28 },
      false,
    );
    expect(Math.abs(solderMassG(volume) / 16.3 - 1)).toBeLessThan(0.005);
    expect(solderWireMm(volume, 2)).toBeCloseTo(volume / Math.PI, 6);
  });
  test('a void share of 0.10 in 10.39 across flats of a 12.5/8.2 lug packs 0.604', () =>
    expect(packingFromVoid(0.1, hexagonMm2(10.39), wallMm2({ outerMm: 12.5, boreMm: 8.2 }))).toBeCloseTo(
      0.604,
      2,
    ));
  test('7 of 396 strands cut leave 267.6 of 270 A', () => {
    const { share, cut, count } = strandsLeft(396, 7, CUSTOMARY_PRACTICE);
    expect(ampsWithStrandsCut(270, share)).toBeCloseTo(267.6, 1);
    expect((cut / count) * 100).toBeCloseTo(1.77, 2);
    expect(faultScale(0.9)).toBeCloseTo(0.81, 9);
  });
  test('an outline with no room beyond the wall is another lug', () =>
    expect(() => packingFromVoid(0.1, 50, 60)).toThrow(RangeError));
});

describe('strands', () => {
  test('are allowed by their number, and none can be more than there are', () => {
    expect([6, 10, 20, 30, 50, 100, 398].map((n) => strandsAllowed(n, 'class2'))).toEqual([
      0, 1, 3, 4, 5, 6, 23,
    ]);
    expect(strandsAllowed(398, 'class3')).toBe(19);
    expect(strandsLeft(100, 3, CUSTOMARY_PRACTICE).allowed).toBe(0);
    expect(() => strandsLeft(10, 11, CUSTOMARY_PRACTICE)).toThrow(RangeError);
  });
  test('are many where they are fine', () => {
    expect(strandCount('fine', 50)).toBe(398);
    expect(strandCount('extra fine', 50)).toBeGreaterThan(1500);
    expect(strandCount('coarse', 50)).toBeLessThan(110);
  });
});

describe('a flame on a lug', () => {
  const task = (size: '50' | '120') => ({
    ...genericLug('compression-metric', size, 'M10', 1),
    copperMm2: Number(size),
    solderG: 6,
  });
  test('the time found balances heat in against heat kept and led away', () => {
    fc.assert(
      fc.property(fc.double({ min: 300, max: 10000, noNaN: true }), (torchW) => {
        const own = task('50');
        const seconds = torchSeconds(own, torchW);
        const riseK = 227 + 40 - 20;
        const led = 2 * 390 * 50e-6 * riseK * Math.sqrt(seconds / (Math.PI * 1.12e-4));
        return Math.abs(jointHeatJ(own) + led - 0.15 * torchW * seconds) < 1e-6 * jointHeatJ(own);
      }),
    );
  });
  test('a small torch does 50 mm² and is too weak for 120; a stronger flame is always quicker', () => {
    expect(torchSeconds(task('50'), 1200)).toBeLessThan(120);
    expect(torchSeconds(task('120'), 1200)).toBeGreaterThan(120);
    expect(torchSeconds(task('120'), 5000)).toBeLessThan(torchSeconds(task('120'), 2500));
  });
});

describe('studs, posts and holes', () => {
  test('two palms on M8 need 15.8 mm of thread', () =>
    expect(stackMm('M8', [3, 2.5], false)).toBeCloseTo(15.775, 9));
  test('160 A over the ring of M8 is 1.10 A/mm²', () =>
    expect(contactDensity('M8', 8.4, 160)).toBeCloseTo(1.099, 3));
  test('the positive post is the fatter', () => {
    expect(postTopMm({ kind: 'large taper', polarity: 'positive' })).toBe(17.5);
    expect(postTopMm({ kind: 'large taper', polarity: 'negative' })).toBe(15.9);
    expect(postTopMm({ kind: 'blade', polarity: 'negative' })).toBeNull();
  });
  test('an adapter leads on from its own post only', () => {
    const small = { kind: 'small taper', polarity: 'negative' } as const;
    expect(endMeets({ stud: 'M8', post: small, adapter: 'small-to-large' })).toEqual({
      kind: 'post',
      post: { kind: 'large taper', polarity: 'negative' },
    });
    expect(endMeets({ stud: 'M6', post: small, adapter: 'large-to-m8' })).toEqual({
      kind: 'post',
      post: small,
    });
    expect(endMeets({ stud: 'M6', post: { kind: 'blade', polarity: 'positive' } })).toEqual({
      kind: 'stud',
      stud: 'M6',
    });
  });
  test('a palm passes as the circle round it, a barrel with its sleeve', () => {
    const lug = { palmWidthMm: 23.1, palmThicknessMm: 5, outerMm: 16.5, angleDeg: 0, offsetMm: 0 };
    expect(lugPassesMm(lug, 1.5)).toBeCloseTo(23.635, 3);
    expect(lugPassesMm({ ...lug, palmWidthMm: 12 }, 1.5)).toBeCloseTo(19.5, 9);
    // A right angle: the elbow, palm and barrel at once; a step beside the barrel: palm and step.
    expect(lugPassesMm({ ...lug, angleDeg: 90 }, 1.5)).toBeCloseTo(Math.hypot(23.1, 19.5, 5), 9);
    expect(lugPassesMm({ ...lug, offsetMm: 8 }, 1.5)).toBeCloseTo(Math.hypot(23.1, 13), 9);
  });
  test('the more a palm is bent or stepped, the larger the hole it needs', () => {
    const at = (angleDeg: number, offsetMm: number) =>
      lugPassesMm({ palmWidthMm: 23.1, palmThicknessMm: 5, outerMm: 16.5, angleDeg, offsetMm }, 1.5);
    for (let angle = 0; angle < 90; angle += 5)
      for (let offset = 0; offset < 40; offset += 5) {
        expect(at(angle + 5, offset)).toBeGreaterThanOrEqual(at(angle, offset));
        expect(at(angle, offset + 5)).toBeGreaterThanOrEqual(at(angle, offset));
      }
  });
  test('a stiff metre of thick cable gives about ten degrees', () =>
    expect(twistLeftDeg('coarse', 1000, 20)).toBeCloseTo(11.46, 2));
});

describe('a lug made of tube', () => {
  test('15 × 2 tube takes 70 mm² on M8: palm twice the wall, web enough', () => {
    const lug = tubeLug(15, 2, 70, 'M8');
    expect(lug.palmThicknessMm).toBe(4);
    expect(lug.palmWidthMm).toBeCloseTo((Math.PI * 11) / 2 + 4, 9);
    expect(lug.problems.map(tell)).toEqual([]);
  });
  test('thin tube, a wide bore, a narrow bore and a thick stud each say what stands against it', () => {
    expect(tubeLug(15, 1, 95, 'M8').problems.map(tell).join(' ')).toMatch(/thick-walled/);
    expect(tubeLug(20, 2, 35, 'M8').problems.map(tell).join(' ')).toMatch(/too wide/);
    expect(tubeLug(10, 1.5, 70, 'M6').problems.map(tell).join(' ')).toMatch(/never cut strands/);
    expect(tubeLug(12, 2, 35, 'M12').problems.map(tell).join(' ')).toMatch(/beside the hole/);
  });
});
