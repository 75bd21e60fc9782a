import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { dieMap } from '../termination/dies/dieMap.ts';
import { openCase } from '../termination/dies/toolCase.ts';
import { laySheet, LETTERS, LID_MM, lidRows, type LidRow, type MeasureText } from './lidSheet.ts';

const shop = genericShop();
const rows = lidRows(dieMap(openCase(shop), shop.practice));
/** As wide as narrow letters are. */
const measure: MeasureText = (text, sizeMm, strong) => text.length * sizeMm * (strong ? 0.45 : 0.4);

describe('the lines of the sheet', () => {
  test('every die stands under its tool, by its own mark, from the closest to the widest', () => {
    for (const tool of shop.tools) {
      const from = rows.findIndex(({ kind, mark }) => kind === 'tool' && mark === tool.title);
      const own = shop.dies.filter(({ toolId }) => toolId === tool.id);
      const lines = rows.slice(from + 1, from + 1 + own.length);
      expect(lines.map(({ kind }) => kind)).toEqual(own.map(() => 'die'));
      expect(lines.map(({ mark }) => mark).sort()).toEqual(own.map(({ stamp }) => stamp || 'no mark').sort());
      const flats = lines.map((line) => Number.parseFloat(line.flats));
      expect(flats).toEqual(flats.toSorted((a, b) => a - b));
    }
  });

  test('a die says what it is the one for; an indent that only a trial tells says so; one for nothing too', () => {
    const of = (mark: string, all: readonly LidRow[] = rows) => all.find((row) => row.mark === mark)?.uses;
    expect(of('F')).toMatch(/^70 mm² heavy/);
    expect(of('no mark')).toBe('by trial only');
    const none = dieMap(openCase({ ...shop, lugs: [] }), shop.practice);
    expect(of('F', lidRows(none))).toBe('for none of the lugs owned');
  });
});

describe('the sheet', () => {
  const side = fc.integer({ min: LID_MM.least, max: LID_MM.most });
  test('all of it is inside the lid, no line runs into another, and nothing is left out', () => {
    fc.assert(
      fc.property(side, side, fc.integer({ min: 1, max: rows.length }), (widthMm, heightMm, count) => {
        const lines = rows.slice(0, count);
        const sheet = laySheet(lines, { widthMm, heightMm }, measure);
        if (!sheet) return;
        expect(sheet.sizeMm).toBeGreaterThanOrEqual(LETTERS.least - 1e-9);
        for (const { xMm, yMm, sizeMm, text, strong } of sheet.texts) {
          expect(xMm).toBeGreaterThan(0);
          expect(xMm + measure(text, sizeMm, strong)).toBeLessThan(widthMm);
          expect(yMm - sizeMm).toBeGreaterThan(0);
          expect(yMm).toBeLessThan(heightMm);
        }
        const together = sheet.texts.map(({ text }) => text).join(' ');
        for (const { mark, uses } of lines)
          for (const word of `${mark} ${uses}`.split(' ').filter(Boolean)) expect(together).toContain(word);
        for (const a of sheet.texts)
          for (const b of sheet.texts) {
            if (a === b || Math.abs(a.yMm - b.yMm) > 0.99 * a.sizeMm) continue;
            const [left, right] = a.xMm <= b.xMm ? [a, b] : [b, a];
            expect(left.xMm + measure(left.text, left.sizeMm, left.strong)).toBeLessThan(right.xMm);
          }
      }),
      { numRuns: cases(150) },
    );
  });

  test('a larger lid has no smaller letters, and one too small has none', () => {
    const sizeAt = (widthMm: number, heightMm: number) =>
      laySheet(rows, { widthMm, heightMm }, measure)?.sizeMm ?? 0;
    expect(sizeAt(60, 60)).toBe(0);
    const sizes = [200, 260, 300, 400, 600, 800].map((wide) => sizeAt(wide, wide * 0.7));
    expect(sizes).toEqual(sizes.toSorted((a, b) => a - b));
    expect(sizes.at(-1)).toBeGreaterThan(3);
  });
});
