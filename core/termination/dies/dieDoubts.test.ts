import { describe, expect, test } from '@jest/globals';
import { dieDoubts } from './dieDoubts.ts';
import { compaction, compactionBand } from './dieOnLug.ts';

const parts = { boreMm: 11.5, outerMm: 16.5, copperMm2: 70, acrossFlatsMm: 14 };

describe('what a die is judged by', () => {
  test('copper that is a tenth short packs a tenth less', () => {
    const [copper] = dieDoubts(parts, 0.1, 'kappa');
    expect(copper?.off).toBeCloseTo(0.1 * compaction(parts).kappa, 9);
  });
  test('each moves it towards its limit, and none past the corner where all are worst', () => {
    for (const what of ['c', 'kappa'] as const) {
      const doubts = dieDoubts(parts, 0.1, what);
      const { loosest, tightest } = compactionBand(parts, 0.1);
      const worst = Math.abs((what === 'c' ? tightest : loosest)[what] - compaction(parts)[what]);
      for (const { off } of doubts) {
        expect(off).toBeGreaterThan(0);
        expect(off).toBeLessThan(worst);
      }
      expect(Math.hypot(...doubts.map(({ off }) => off))).toBeLessThanOrEqual(worst);
    }
  });
  test('flats that trials have narrowed move it less', () => {
    const flats = (toleranceMm: number) => dieDoubts(parts, toleranceMm, 'c')[1]?.off ?? 0;
    expect(flats(0.02)).toBeLessThan(flats(0.1));
  });
});
