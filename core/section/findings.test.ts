import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { hexagonMm2, packingFromVoid } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { airBounds, combinedAir } from './bounds.ts';
import { sectionFindings } from './findings.ts';
import type { SectionMeasure } from './measure.ts';
import { acrossFlatsPx, contourOf, type Outline, polygonArea } from './hexagon.ts';

const outline = [0, 60, 120, 180, 240, 300].map((deg) => [
  500 + 400 * Math.cos((deg * Math.PI) / 180),
  500 + 400 * Math.sin((deg * Math.PI) / 180),
]) as unknown as Outline;
const area = polygonArea(outline);

/** A section as it would be measured in a sharp hexagon, a share of it air. */
function sectionWith(voidShare: number): SectionMeasure {
  return {
    outline,
    cutPx: 0,
    acrossFlatsPx: acrossFlatsPx(outline),
    edgeShare: 0.002,
    glareShare: 0,
    paleShare: 0,
    voidShare,
    largestShare: voidShare / 4,
    outlineBox: [100, 154, 900, 846],
    factor: 1,
    wallPx: [100, 101, 99, 100, 100, 100],
    roundShare: 0.1,
    strandShare: null,
    voids: {
      insidePx: area,
      voidPx: voidShare * area,
      largestPx: (voidShare / 4) * area,
      mask: new Uint8Array(0),
      box: { left: 100, top: 154, width: 800, height: 692 },
    },
  };
}
const lug = genericShop().lugs.find(({ id }) => id.includes('heavy') || id.includes('tube'));
if (!lug) throw new Error('the generic shop has such a lug');
const flats = 14;
const kappaOf = (voidShare: number) =>
  sectionFindings(sectionWith(voidShare), { lug, acrossFlatsMm: flats }).find(
    ({ id }) => id === 'section-kappa',
  );

describe('a hexagon', () => {
  test('of radius 400 px is 692.8 px across its flats and 415 692 px² large', () => {
    expect(acrossFlatsPx(outline)).toBeCloseTo(400 * Math.sqrt(3), 6);
    expect(area).toBeCloseTo(hexagonMm2(400 * Math.sqrt(3)), 3);
  });

  test('with its corners cut to a depth loses √3·d² at each', () => {
    expect(area - polygonArea(contourOf(outline, 10))).toBeCloseTo(6 * Math.sqrt(3) * 100, 4);
    expect(polygonArea(contourOf(outline, 0))).toBeCloseTo(area, 6);
  });
});

describe('what a section says', () => {
  test('packing by its formula: 3 % air at 14.0 across', () => {
    const finding = kappaOf(0.03);
    expect(finding?.value).toBeCloseTo(packingFromVoid(0.03, hexagonMm2(flats), wallMm2(lug)), 6);
    expect(tell(finding?.work.substituted[0])).toContain('0.0300');
  });

  test('good from 0.90, to watch from 0.85, else it fails; judged by the worse end of what it may be', () => {
    const room = 1 - wallMm2(lug) / hexagonMm2(flats);
    const at = (kappa: number) => kappaOf((1 - kappa) * room);
    expect([0.93, 0.901, 0.899, 0.88, 0.851, 0.849].map((kappa) => at(kappa)?.state)).toEqual([
      'holds',
      'watch',
      'watch',
      'watch',
      'unproved',
      'fails',
    ]);
    expect(tell(at(0.901)?.because)).toMatch(/^Close to its limit: κ lies between 0\.8\d and 0\.90/);
    expect(tell(at(0.851)?.because)).toMatch(/^Too near its limit to decide/);
  });

  test('no worse picture makes a better verdict', () => {
    const ORDER = ['fails', 'unproved', 'watch', 'holds'];
    const share = fc.double({ min: 0, max: 0.02, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        share,
        share,
        share,
        (air, edge, glare, pale) => {
          const sharp = sectionWith(air);
          const [good, bad] = [
            sharp,
            { ...sharp, edgeShare: sharp.edgeShare + edge, glareShare: glare, paleShare: pale },
          ].map((section) => sectionFindings(section, { lug, acrossFlatsMm: flats })[0]?.state ?? '');
          expect(ORDER.indexOf(bad ?? '')).toBeLessThanOrEqual(ORDER.indexOf(good ?? ''));
        },
      ),
    );
  });

  test('thick strands show for longer than fine ones, extra fine ones for less long', () => {
    const state = (strandMm?: number) =>
      sectionFindings(
        { ...sectionWith(0), edgeShare: 0.008 },
        { lug, acrossFlatsMm: flats, ...(strandMm !== undefined && { strandMm }) },
      )[1]?.state;
    expect([state(0.8), state(), state(0.2)]).toEqual(['holds', 'unproved', 'unproved']);
  });

  test('more air never packs better', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (a, more) => {
          expect(kappaOf(a + more)?.value).toBeLessThanOrEqual((kappaOf(a)?.value ?? 0) + 1e-9);
        },
      ),
    );
  });

  test('without lug or across flats it is a share of air and a shape, and no packing', () => {
    expect(sectionFindings(sectionWith(0.05), null).map(({ id }) => id)).toEqual([
      'section-void',
      'section-wall',
      'section-round',
    ]);
  });

  test('a soft picture proves nothing that is good, and clears nothing that is bad', () => {
    const soft = (voidShare: number) =>
      sectionFindings({ ...sectionWith(voidShare), edgeShare: 0.011 }, { lug, acrossFlatsMm: flats });
    for (const voidShare of [0, 0.01, 0.03])
      for (const { id, state, close } of soft(voidShare).slice(0, 2))
        expect([id, state, close]).toEqual([id, 'unproved', undefined]);
    const with10 = (what: 'glareShare' | 'paleShare') =>
      sectionFindings({ ...sectionWith(0), [what]: 0.1 }, { lug, acrossFlatsMm: flats });
    const [glary, pale] = [with10('glareShare'), with10('paleShare')];
    for (const hidden of [glary, pale])
      expect(hidden.slice(0, 2).map(({ state }) => state)).toEqual(['unproved', 'unproved']);
    expect(tell(pale[0]?.because)).toContain('Something pale covers 10.0 %');
    expect(soft(0.2)[0]?.state).toBe('fails');
    expect(tell(soft(0)[0]?.because)).toContain('Not sharp enough to judge');
    expect(tell(soft(0)[0]?.work.substituted.at(-1))).toBe('blur ÷ strand = 12.2 %, at most 8.3 %');
    expect(tell(glary[0]?.work.substituted.at(-1))).toBe('blown out ÷ outline = 10.0 %, at most 1.5 %');
  });
  test('several pictures of one crimp open to how they were taken together', () => {
    const sharp = sectionWith(0.03);
    const seen = (voidShare: number) => ({ voidShare, bounds: airBounds({ ...sharp, voidShare }) });
    const findingsBy = (...shares: readonly number[]) =>
      sectionFindings(sharp, { lug, acrossFlatsMm: flats }, combinedAir(shares.map(seen)));
    const [packing, air] = findingsBy(0.03, 0.032);
    expect(air).toMatchObject({ id: 'section-void', state: 'holds' });
    expect(air?.value).toBeCloseTo(3.1, 1);
    expect(air?.work.substituted.map((line) => tell(line)).join('\n')).toMatch(
      /^0\.50 × 3\.00 %, between 2\.5 and 3\.6 %\n0\.50 × 3\.20 %.*\n= 3\.10 %; from the highest lower end/,
    );
    expect(packing?.value).toBeLessThan(kappaOf(0.03)?.value ?? 0);
    for (const { state, value } of findingsBy(0.03, 0.09).slice(0, 2))
      expect([state, value]).toEqual(['unproved', null]);
  });
  test('an outline that holds less than the wall was another lug: not proved, never a figure', () => {
    const [, packing] = sectionFindings(sectionWith(0.05), { lug, acrossFlatsMm: 3 });
    expect(packing).toMatchObject({ id: 'section-kappa', state: 'unproved', value: null });
    expect(tell(packing?.because)).toContain('another lug');
  });
});
