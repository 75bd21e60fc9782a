import { describe, expect, test } from '@jest/globals';
import { seeded } from '../lib/random.ts';
import { hexagonMm2, packingFromVoid } from '../termination/dies/dieOnLug.ts';
import { type DrawnSection, drawSection } from './draw.ts';
import { type CrimpToDraw, drawnSectionOf } from './drawnSection.ts';

const SPEC: DrawnSection = {
  acrossFlatsMm: 13.86,
  wallMm2: 88,
  voidShare: 0.08,
  strands: 37,
  offCentre: 0,
  tinned: false,
};
/** Small: the runner's sandbox is slow at pixels. How drawn ones are measured is tested beside the command line. */
const drawn = (change: Partial<DrawnSection> = {}, seed = 3) =>
  drawSection({ ...SPEC, ...change }, seeded(seed), 300);

describe('a drawn section', () => {
  const open = drawn();
  test('holds the air it was asked for, to a tenth of a point', () =>
    expect(Math.abs(open.voidShare - SPEC.voidShare)).toBeLessThan(0.001));
  test('is the same for the same seed, and another for another', () => {
    expect(drawn().picture.data).toEqual(open.picture.data);
    expect(drawn({}, 4).picture.data).not.toEqual(open.picture.data);
  });
  test('that has no room for its strands cannot be drawn', () => {
    expect(() => drawn({ wallMm2: 200 })).toThrow(RangeError);
    expect(() => drawn({ voidShare: 0.5 })).toThrow(RangeError);
  });
});

describe('a section of this lug, die and cable', () => {
  const crimp: CrimpToDraw = {
    boreMm: 10,
    outerMm: 12.5,
    dieMm: 10.4,
    copperMm2: 50,
    strands: 396,
    tinned: true,
  };
  test('one die too wide shows air, the right one next to none', () => {
    const right = drawnSectionOf(crimp, seeded(1));
    const wide = drawnSectionOf({ ...crimp, dieMm: 11.5 }, seeded(1));
    if (!right || !wide) throw new Error('both can be drawn');
    const kappa = (spec: DrawnSection) =>
      packingFromVoid(spec.voidShare, hexagonMm2(spec.acrossFlatsMm), spec.wallMm2);
    expect(kappa(right)).toBeGreaterThan(0.95);
    expect(kappa(wide)).toBeLessThan(0.85);
  });
  test('a die smaller than the wall, or far too wide, gives none', () => {
    expect(drawnSectionOf({ ...crimp, dieMm: 6 }, seeded(1))).toBeNull();
    expect(drawnSectionOf({ ...crimp, dieMm: 20 }, seeded(1))).toBeNull();
  });
});
