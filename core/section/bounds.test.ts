import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { airBounds, combinedAir } from './bounds.ts';
import { adviceFor } from './coach.ts';
import type { Measured } from './measure.ts';

const sharp = { voidShare: 0.03, edgeShare: 0.002, glareShare: 0, paleShare: 0, strandShare: null };
const seen = (voidShare: number, edgeShare = 0.002) => ({
  voidShare,
  bounds: airBounds({ ...sharp, voidShare, edgeShare }),
});

describe('between what and what the air lies', () => {
  test('a sharp picture of 3 % air: 2.5 to 3.6 %', () => {
    const { least, most, hidden } = airBounds(sharp);
    expect([least, most].map((share) => Number((100 * share).toFixed(2)))).toEqual([2.54, 3.61]);
    expect(hidden).toBeNull();
  });
  test('the more blur, glare or dust, the wider, and past their limits nothing is told', () => {
    const share = fc.double({ min: 0, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(share, share, share, share, (voidShare, edgeShare, glareShare, paleShare) => {
        const bounds = airBounds({ ...sharp, voidShare, edgeShare, glareShare, paleShare });
        expect(bounds.least).toBeLessThanOrEqual(voidShare);
        expect(bounds.most).toBeGreaterThanOrEqual(Math.min(1, voidShare + glareShare + paleShare));
        if (edgeShare > 0.011 || glareShare > 0.015 || paleShare > 0.015)
          expect(bounds.hidden).not.toBeNull();
      }),
    );
  });
  test('a thinner strand hides more in the same picture', () => {
    const at = (strandShare: number) => airBounds({ ...sharp, edgeShare: 0.006 }, strandShare);
    expect(at(0.02).most).toBeGreaterThan(at(0.05).most);
    expect([at(0.02).hidden, at(0.05).hidden]).toEqual(['soft', null]);
  });
});

describe('how thick a strand is taken to be', () => {
  const blur = (strandShare: number | null, said?: number) =>
    airBounds({ ...sharp, edgeShare: 0.006, strandShare }, said).blurOfStrand;
  test('as said, else as seen round where that is thicker than fine cable, else as fine cable', () => {
    expect(blur(null, 0.09)).toBeLessThan(blur(0.08));
    expect(blur(0.08)).toBeLessThan(blur(null));
    // What stands round measures less than it is: a little finer than fine is fine.
    expect(blur(0.03)).toBe(blur(null));
  });
  test('never thicker than twice what is seen: then it was another cable', () => {
    expect(blur(0.02, 0.09)).toBe(blur(null, 0.02));
    expect(blur(0.012)).toBeGreaterThan(blur(null));
  });
});

describe('several pictures of one crimp', () => {
  test('lie where all of them say', () => {
    const both = combinedAir([seen(0.03, 0.007), seen(0.033)]);
    expect(both).toMatchObject({ disagree: false, telling: [{}, {}] });
    expect(both?.telling.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
    expect(both?.most).toBeCloseTo(seen(0.033).bounds.most, 9);
    // The sharper one says more.
    expect(both?.voidShare).toBeGreaterThan(0.0315);
  });
  test('one that hides air says nothing, and none that tells is no answer', () => {
    const soft = seen(0, 0.012);
    expect(combinedAir([soft, seen(0.05)])).toMatchObject({
      telling: [{ voidShare: 0.05, weight: 1 }],
      voidShare: 0.05,
    });
    expect(combinedAir([soft])).toBeNull();
    expect(combinedAir([])).toBeNull();
  });
  test('of two crimps they disagree, and are not mixed in silence', () => {
    const two = combinedAir([seen(0.01), seen(0.08)]);
    expect(two?.disagree).toBe(true);
    expect(two?.least).toBeCloseTo(seen(0.01).bounds.least, 9);
    expect(two?.most).toBeCloseTo(seen(0.08).bounds.most, 9);
  });
  test('more pictures never widen what agrees', () => {
    const air = fc.double({ min: 0, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(fc.array(air, { minLength: 1, maxLength: 5 }), air, (list, more) => {
        const [fewer, all] = [
          combinedAir(list.map((own) => seen(own))),
          combinedAir([...list, more].map((own) => seen(own))),
        ];
        if (!fewer || !all || all.disagree) return;
        expect(all.most - all.least).toBeLessThanOrEqual(fewer.most - fewer.least + 1e-12);
      }),
    );
  });
});

describe('what to do with the camera', () => {
  const view = { width: 1000, height: 750 };
  const measured = (change: object): Measured =>
    ({ ok: true, section: { ...sharp, acrossFlatsPx: 500, ...change } }) as Measured;
  test.each([
    ['good', {}],
    ['still', { edgeShare: 0.011 }],
    ['closer', { edgeShare: 0.011, acrossFlatsPx: 250 }],
    ['less glare', { glareShare: 0.05 }],
    ['clean', { paleShare: 0.05 }],
  ])('%s', (advice, change) => expect(adviceFor(measured(change), view)).toBe(advice));
  test('what is not measured says why', () => {
    const refused = (refused: 'too small' | 'cut off' | 'too blurred' | 'round'): Measured => ({
      ok: false,
      refused,
      sentence: '',
    });
    expect(
      (['too small', 'cut off', 'too blurred', 'round'] as const).map((why) => adviceFor(refused(why), view)),
    ).toEqual(['closer', 'farther', 'still', 'lay one crimp']);
  });
});
