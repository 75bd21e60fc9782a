import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import type { Topic } from '../../finding/topics.ts';
import { jobFileSchema } from '../../model/job.ts';
import { numeral, tell } from '../../words/message.ts';
import { workUp } from '../../workup.ts';
import { compaction, type CrimpParts, hexagonMm2 } from './dieOnLug.ts';
import { airCells, type CrimpForecast, forecast, hexagonCorners } from './sectionView.ts';

const lug: Omit<CrimpParts, 'acrossFlatsMm'> = { boreMm: 10, outerMm: 12.5, copperMm2: 50 };
const seen = (acrossFlatsMm: number, packing = 1): CrimpForecast => {
  const parts = { ...lug, acrossFlatsMm };
  return forecast(parts, compaction(parts).c, packing);
};

describe('what a crimp is expected to look like when it is sawn', () => {
  test('where strands and wall fill the die there is no air, and the strands have a hexagon of their own', () => {
    const { voidShare, strandsMm, ears } = seen(10.4);
    // Die 93.67 mm², wall 44.18 mm²: 49.49 mm² are left for 50 mm² of copper.
    expect(voidShare).toBe(0);
    expect(strandsMm).toBeCloseTo(Math.sqrt(49.49 / (Math.sqrt(3) / 2)), 2);
    expect(ears).toBe('none');
  });

  test('a wider die leaves what copper and wall do not fill', () => {
    const { voidShare, voidMm2 } = seen(11.4);
    const air = hexagonMm2(11.4) - Math.PI * (6.25 ** 2 - 5 ** 2) - 50;
    expect(voidMm2).toBeCloseTo(air, 6);
    expect(voidShare).toBeCloseTo(air / hexagonMm2(11.4), 6);
  });

  test('a die whose sections showed looser packing is expected to leave air where the figures leave none', () => {
    expect(seen(10.4).voidMm2).toBe(0);
    expect(seen(10.4, 0.95).voidMm2).toBeGreaterThan(2);
  });

  test('past the right window flash is to be expected, a little before it', () => {
    const tight = (c: number) => forecast({ ...lug, acrossFlatsMm: 10 }, c).ears;
    expect([1.05, 1.1, 1.13, 1.16, 1.17].map(tight)).toEqual(['none', 'none', 'slight', 'slight', 'expect']);
  });

  test('where the wall alone fills the die nothing is left for strands, and no air either', () => {
    const { strandsMm, voidShare } = seen(7);
    expect(strandsMm).toBeNull();
    expect(voidShare).toBe(0);
  });
});

describe('the drawn section', () => {
  test('the corners of a hexagon enclose its area, its flats above and below', () => {
    const corners = hexagonCorners(12.4);
    const twice = corners.reduce((sum, [x, y], i) => {
      const [nextX = 0, nextY = 0] = corners[(i + 1) % 6] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0);
    expect(Math.abs(twice) / 2).toBeCloseTo(hexagonMm2(12.4), 9);
    expect(Math.max(...corners.map(([, y]) => y))).toBeCloseTo(6.2, 9);
    expect(corners[0]?.[1]).toBe(0);
  });

  test('the cells of air make up its area, and none lies in the wall', () => {
    const crimp = seen(11.4);
    const cells = airCells(crimp, 0.55);
    expect(cells.length).toBe(Math.round(crimp.voidMm2 / 0.55 ** 2));
    const reach = (crimp.strandsMm ?? 0) / 2;
    expect(cells.every(([x, y]) => Math.hypot(x, y) < reach)).toBe(true);
    // Spread evenly: as many to the left as to the right, within a few.
    const left = cells.filter(([x]) => x < 0).length;
    expect(Math.abs(2 * left - cells.length)).toBeLessThanOrEqual(4);
  });

  test('a packed crimp has none, and a very loose one no more than can be told apart', () => {
    expect(airCells(seen(10.4), 0.55)).toEqual([]);
    expect(airCells(seen(7), 0.55)).toEqual([]);
    expect(airCells(seen(16), 0.1)).toHaveLength(160);
  });
});

describe('air and length that a picture names', () => {
  test('stand in the checks of packing and compaction, with their numbers', () => {
    const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
    const ends = workUp(job, shop).cables.flatMap(({ ends: own, findings }) =>
      (['A', 'B'] as const).flatMap((name) => {
        const { die } = own[name];
        return die?.leaves === 'hexagon'
          ? [{ die, findings: findings.filter(({ end }) => end === name) }]
          : [];
      }),
    );
    expect(ends.length).toBeGreaterThan(10);
    for (const { die, findings } of ends) {
      const { voidShare, stretch } = forecast(die.parts, die.c, die.learned.packing);
      const lastOf = (topic: Topic) =>
        tell(findings.find((own) => own.topic === topic)?.work.substituted.at(-1));
      expect(lastOf('packing')).toContain(tell(numeral(100 * voidShare, 1)) + ' %');
      expect(lastOf('compaction')).toContain(tell(numeral(100 * stretch, 0)) + ' %');
    }
  });
});
