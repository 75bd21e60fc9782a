import { tell } from '../words/message.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { newCable } from '../model/newCable.ts';
import type { Lug } from '../model/shop.ts';
import { workUpCable } from '../workup.ts';
import { cableLengths } from './cutLength.ts';

describe('cut is not stud to stud', () => {
  test('a 2471.4 route with 120 of loop and lugs of 31 and 26 is cut 2534.4', () => {
    const lengths = cableLengths(2471.4, 120, [31, 26]);
    expect(lengths.cutMm).toBeCloseTo(2534.4, 6);
    expect(lengths.finishedMm).toBeCloseTo(2591.4, 6);
  });
  test('with A bolted on, the mark for B is its own lug short of the end', () =>
    expect(cableLengths(1000, 0, [20, 25]).secondMarkMm).toBe(975));
});

describe('a lug whose palm is bent', () => {
  const shop = genericShop();
  const cable = {
    ...newCable('c', 'C-1', shop),
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '70' } },
  } as const;
  const lug = shop.lugs.find(({ id }) => id === workUpCable(cable, shop).ends.A.lug?.id) as Lug;
  /** The same cable with the lug of end A bent by so much. */
  const withBend = (angleDeg: number, offsetMm = 0) => {
    const own: Lug = { ...lug, id: 'own', angleDeg, offsetMm };
    return workUpCable(
      { ...cable, ends: { A: { ...cable.ends.A, lugId: 'own' }, B: { ...cable.ends.B, lugId: lug.id } } },
      { ...shop, lugs: [own, ...shop.lugs] },
    );
  };

  test('reaches less far along the cable, so that more is cut; one that is cranked as far as before', () => {
    const straight = withBend(0).lengths?.cutMm ?? NaN;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 30 }), (angleDeg, offsetMm) => {
        const { lengths } = withBend(angleDeg, offsetMm);
        const reach = lug.studToBarrelMm * Math.cos((angleDeg * Math.PI) / 180);
        expect(lengths?.cutMm).toBeCloseTo(straight + lug.studToBarrelMm - reach, 9);
        expect(lengths?.finishedMm).toBe(withBend(0).lengths?.finishedMm);
      }),
      { numRuns: cases(30) },
    );
  });

  test('says how far beside the stud the cable leaves, and shows its cosine in the cut', () => {
    const { findings } = withBend(45, 3);
    expect(findings.find(({ topic }) => topic === 'palm-aside')?.value).toBeCloseTo(
      lug.studToBarrelMm * Math.SQRT1_2 + 3,
      9,
    );
    expect(JSON.stringify(findings.find(({ topic }) => topic === 'cut')?.work)).toContain('cos');
    expect(withBend(0).findings.some(({ topic }) => topic === 'palm-aside')).toBe(false);
  });

  test('at the bench which side its palm goes is said before it is closed, and a straight one says nothing of it', () => {
    const homeOf = (work: ReturnType<typeof withBend>) =>
      tell(work.steps.find(({ id }) => id === 'home.A')?.detail ?? '');
    expect(homeOf(withBend(45, 3))).toContain('45° off the cable');
    expect(homeOf(withBend(0, 6))).toContain('6\u2009mm beside the cable');
    expect(homeOf(withBend(0))).not.toContain('palm');
    expect(homeOf(withBend(0))).not.toBe('');
  });
});
