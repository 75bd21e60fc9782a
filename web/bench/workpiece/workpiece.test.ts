import { describe, expect, test } from '@jest/globals';
import { cases } from '../../../core/lib/casesFixture.ts';
import fc from 'fast-check';
import { genericShop } from '../../../core/model/catalogue/genericShop.ts';
import { newCable } from '../../../core/model/newCable.ts';
import { digits } from '../../../core/words/numerals.ts';
import { workUpCable } from '../../../core/workup.ts';
import { placeRow, shortened, textWidth } from './dimensions.ts';
import { bent, drawnLug, hexagonView, lugOutline, palmView, riseMm } from './lugShape.ts';
import { asideMm } from '../../../core/termination/lugs/palmAngle.ts';
import {
  endDimensions,
  endSheet,
  frameFor,
  isStrong,
  palmWords,
  progressOf,
  scaleFor,
  SHEET,
  studOffset,
  tagOffset,
  tagText,
  tagWidth,
} from './sheet.ts';

const shop = genericShop();
const sizes = shop.cableKinds.flatMap((kind) => kind.sizes.map(({ size }) => ({ kindId: kind.id, size })));

function drawn(
  choice: (typeof sizes)[number],
  stud: 'M8' | 'M10' | '3/8',
  width: number,
  tag: string,
  { turn = 0, ...bend }: { turn?: number; angleDeg?: number; offsetMm?: number } = {},
) {
  const cable = { ...newCable('c', tag, shop), gauge: choice };
  const ends = { A: { at: 'here', stud }, B: { at: 'there', stud } } as const;
  const bentShop = { ...shop, lugs: shop.lugs.map((lug) => ({ ...lug, ...bend })) };
  const work = workUpCable({ ...cable, ends, run: { ...cable.run, lengthMm: 3000 } }, bentShop);
  const { outerMm } = work.choice.taken.at;
  const sheet = endSheet(work.ends.A, turn, outerMm, { crimped: false, shrunk: false });
  return { work, sheet, outerMm, frame: frameFor(width, width < 640) };
}

describe('a hexagon seen from its side', () => {
  test('flat-on, its corners stand out and two edges face the eye', () => {
    const { half, edges } = hexagonView(14, 0);
    expect(half).toBeCloseTo(14 / Math.sqrt(3), 6);
    expect(edges.map((v) => Number(v.toFixed(3)))).toEqual([-4.041, 4.041]);
  });
  test('on edge, it is as high as its flats are wide and one edge faces the eye', () => {
    const { half, edges } = hexagonView(14, 90);
    expect(half).toBeCloseTo(7, 6);
    expect(edges).toHaveLength(1);
    expect(edges[0]).toBeCloseTo(0, 6);
  });
});

describe('a palm turned about the cable', () => {
  const lug = shop.lugs[0] as (typeof shop.lugs)[number];
  test('seen flat it is as high as it is wide, in the middle', () => {
    const { half, middle } = palmView(lug, 0);
    expect(half).toBeCloseTo(lug.palmWidthMm / 2, 9);
    expect(middle).toBeCloseTo(0, 9);
  });
  test('seen on edge it is as high as it is thick, level with the barrel', () => {
    const { half, middle } = palmView(lug, 90);
    expect(half).toBeCloseTo(lug.palmThicknessMm / 2, 9);
    expect(middle + half).toBeCloseTo(lug.outerMm / 2, 9);
  });
  test('its outline is closed and holds only numbers', () => {
    const outline = lugOutline(drawnLug(lug), 37, []);
    expect(outline[0]?.[0]).toBe('M');
    expect(outline.at(-1)).toEqual(['Z']);
    expect(outline.flat(2).every((part) => typeof part === 'string' || Number.isFinite(part))).toBe(true);
  });
});

describe('a palm that is bent', () => {
  const lug = shop.lugs[0] as (typeof shop.lugs)[number];
  const bends = fc.record({
    angleDeg: fc.integer({ min: 0, max: 90 }),
    offsetMm: fc.integer({ min: 0, max: 30 }),
    turn: fc.integer({ min: 0, max: 359 }),
  });

  test('has its hole on the stud, beside the cable by what core says, and its outline closed, however it lies', () => {
    fc.assert(
      fc.property(bends, ({ turn, ...bend }) => {
        const drawn = drawnLug({ ...lug, ...bend });
        const { middle } = palmView(drawn, turn);
        const [u, v] = bent(drawn, turn)([0, middle]);
        expect(u).toBeCloseTo(0, 9);
        expect(v - middle).toBeCloseTo(asideMm({ ...lug, ...bend }) * Math.sin((turn * Math.PI) / 180), 9);
        const outline = lugOutline(drawn, turn, []);
        expect(outline.at(-1)).toEqual(['Z']);
        expect(outline.flat(2).every((part) => typeof part === 'string' || Number.isFinite(part))).toBe(true);
        expect(riseMm(drawn, turn)).toBeGreaterThanOrEqual(Math.abs(v) - 1e-9);
      }),
      { numRuns: cases(200) },
    );
  });

  test('is drawn as it was where it is straight', () => {
    const at = bent(drawnLug(lug), 37);
    expect(at([3, 2])).toEqual([3, 2]);
    expect(at([-8, -1])).toEqual([-8, -1]);
  });
});

describe('dimensions that never collide', () => {
  test('a text without room inside its line stands beside it', () => {
    const [placed] = placeRow([{ id: 'a', from: 100, to: 110, text: '7.9' }], 15, { from: 0, to: 400 });
    expect(placed?.inside).toBe(false);
    expect(placed?.textX).toBeGreaterThan(110);
  });
  test('a row that holds too much is an error, never an overlap', () =>
    expect(() =>
      placeRow([{ id: 'a', from: 0, to: 5, text: 'far too long' }], 15, { from: 0, to: 20 }),
    ).toThrow(RangeError));

  const everySheet = fc.record({
    choice: fc.constantFrom(...sizes),
    stud: fc.constantFrom('M8', 'M10', '3/8'),
    width: fc.constantFrom(1072, 820, 390),
    tag: fc.constantFrom('TH-3', 'C-1', 'BOW-THRUSTER-12'),
    bend: fc.oneof(
      fc.constant({}),
      fc.record({
        angleDeg: fc.integer({ min: 0, max: 90 }),
        offsetMm: fc.integer({ min: 0, max: 30 }),
        turn: fc.constantFrom(0, 45, 90, 270),
      }),
    ),
  } as const);

  test('over every size of every kind, at desk, tablet and phone', () => {
    fc.assert(
      fc.property(everySheet, ({ choice, stud, width, tag, bend: given }) => {
        const { work, sheet, outerMm, frame } = drawn(choice, stud, width, tag, given);
        if (!sheet) return true;
        const scale = scaleFor([sheet], outerMm, tag, frame);
        const stud0 = studOffset(sheet, scale);
        const rows = endDimensions(
          sheet,
          work.ends.A,
          (u) => stud0 + u * scale,
          { from: 4, to: frame.endWidth },
          { from: 4, to: width < 640 ? width : width / 2 },
          (mm, decimals) => digits(mm, decimals),
        );
        return Object.values(rows).every((row) => {
          const texts = row.map(
            ({ textX, textWidth: wide }) => [textX - wide / 2, textX + wide / 2] as const,
          );
          const apart = texts.every(([from, to], i) =>
            texts.every(([a, b], j) => i === j || to <= a || b <= from),
          );
          const clear = row.every((dimension, i) =>
            texts.every(([from, to], j) => i === j || to <= dimension.from || from >= dimension.to),
          );
          return apart && clear;
        });
      }),
      { numRuns: cases(300) },
    );
  });

  test('the workpiece, its sleeve and its tag stay inside their strip and between the rows', () => {
    fc.assert(
      fc.property(everySheet, ({ choice, stud, width, tag }) => {
        const { sheet, outerMm, frame } = drawn(choice, stud, width, tag);
        if (!sheet) return true;
        const scale = scaleFor([sheet], outerMm, tag, frame);
        const end = SHEET.margin + tagOffset(sheet, scale) + tagWidth(tag);
        const half = (scale * Math.max(sheet.lug.palmWidthMm, outerMm)) / 2;
        return scale > 0.8 && end <= frame.endWidth && half <= 34;
      }),
      { numRuns: cases(300) },
    );
  });

  test('a longer text is never taken for a shorter one', () =>
    expect(textWidth('sleeve covers 71, cut 76', 15)).toBeGreaterThan(textWidth('sleeve covers 71', 15)));
});

describe('a text that is longer than its room', () => {
  test('stays whole where it fits, and ends in dots where it does not', () => {
    expect(shortened('HB-3', 14, 100)).toBe('HB-3');
    expect(shortened('Hauptschalter hinter der Verkleidung', 14, 80)).toMatch(/^Haupts.*…$/);
  });
  test('is never wider than its room while a letter fits, and never empty', () =>
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 60 }),
        fc.integer({ min: 30, max: 300 }),
        (text, room) => {
          const cut = shortened(text, 14, room);
          expect(cut.length).toBeGreaterThan(0);
          expect(textWidth(cut, 14)).toBeLessThanOrEqual(Math.max(room, textWidth(text, 14)));
          if (cut !== text) expect(textWidth(cut, 14)).toBeLessThanOrEqual(room);
        },
      ),
    ));
  test('a letter stays even where there is no room at all', () =>
    expect(shortened('TH-1', 14, 0)).toBe('T…'));
});

describe('what the sheet says and shows', () => {
  test.each([
    ['TH-3', 'TH-3'],
    ['HB-3-EINSPEISUNG', 'HB-3-EINS…'],
  ])('the tag %s as it fits on the cable', (tag, expected) => expect(tagText(tag)).toBe(expected));

  test.each([
    [0, 'palm seen flat'],
    [180, 'palm seen flat'],
    [-90, 'palm seen on edge'],
    [270, 'palm seen on edge'],
    [30, 'palm turned 30°'],
    [-45, 'palm turned \u221245°'],
  ])('a palm at %i°', (angle, expected) => expect(palmWords(angle)).toBe(expected));

  test('each stage brings out its own dimensions, of either end', () => {
    expect(isStrong('ends', 'strip.A')).toBe(true);
    expect(isStrong('ends', 'finished')).toBe(false);
    expect(isStrong('cut', 'cut')).toBe(true);
    expect(isStrong('prove', 'crimps.B')).toBe(true);
    expect(isStrong('run', 'crimps.B')).toBe(false);
  });

  test('an end is crimped once every crimp of its own is ticked, and shrunk by its own step', () => {
    const cable = { ...newCable('c', 'C-1', shop), gauge: sizes[6] ?? { kindId: '' } };
    const ends = { A: { at: 'here', stud: 'M8' }, B: { at: 'there', stud: 'M8' } } as const;
    const made = { ...cable, ends, run: { ...cable.run, lengthMm: 3000 } };
    const work = workUpCable(made, shop);
    const crimps = work.steps.filter(({ id }) => /^crimp.*\.A$/.test(id)).map(({ id }) => id);
    expect(crimps.length).toBeGreaterThan(0);
    const after = (...steps: string[]) =>
      (['A', 'B'] as const).map((end) =>
        progressOf({ ...made, done: steps.map((step) => ({ step, at: '', by: '' })) }, end, work),
      );
    expect(after()).toEqual(Array(2).fill({ crimped: false, shrunk: false }));
    expect(after(...crimps.slice(1))[0]).toEqual({ crimped: false, shrunk: false });
    expect(after(...crimps)).toEqual([
      { crimped: true, shrunk: false },
      { crimped: false, shrunk: false },
    ]);
    expect(after(...crimps, 'shrink.A')[0]).toEqual({ crimped: true, shrunk: true });
  });
});
