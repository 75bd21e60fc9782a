import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { DieCheck } from '../model/shop.ts';
import { base, shop } from '../proof/proofFixture.ts';
import { acrossFlatsWindow } from '../termination/dies/dieClosed.ts';
import { heldBack, lastGoodDay } from '../termination/dies/dieChecks.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';

const die = workUpCable(base, shop).ends.A.die?.die;
if (!die) throw new Error('a die is proposed');
const { leastMm, mostMm } = acrossFlatsWindow(die.acrossFlatsMm);
const check = (day: string, acrossFlatsMm: number, change: Partial<DieCheck> = {}): DieCheck => ({
  ...{
    id: `${day}${acrossFlatsMm}`,
    at: `${day}T08:00:00.000Z`,
    by: 'R. Alder',
    dieId: die.id,
    acrossFlatsMm,
  },
  source: 'typed',
  ...change,
});
const good = (day: string) => check(day, die.acrossFlatsMm + 0.05);
const bad = (day: string) => check(day, mostMm + 0.3);
const stopped = (
  checks: readonly DieCheck[],
  practice: Partial<typeof shop.practice> = {},
  today = '2026-11-20',
) =>
  workUpCable(base, { ...shop, checks: [...checks], practice: { ...shop.practice, ...practice } }, { today })
    .steps.filter(({ gates }) => gates.some(({ stop }) => stop))
    .map(({ id }) => id);

describe('a die whose check crimp failed', () => {
  test('closes nothing until one is good, and the rest of the work goes on', () => {
    expect(stopped([])).toEqual([]);
    expect(stopped([good('2026-11-01'), bad('2026-11-18')])).toEqual([
      ...['crimp-1.A', 'crimp-2.A', 'crimp-1.B', 'crimp-2.B'],
    ]);
    expect(stopped([bad('2026-11-18'), good('2026-11-19')])).toEqual([]);
    expect(stopped([bad('2026-11-18'), { ...good('2026-11-19'), source: 'simulated' }]).length).toBe(4);
    expect(stopped([check('2026-11-18', 1, { dieId: 'another' })])).toEqual([]);
  });
  test('says the figure and the day, and since when cables are in doubt', () => {
    const checks = [good('2026-11-01'), good('2026-11-05'), bad('2026-11-18')];
    expect(tell(heldBack({ ...shop, checks }, die, null)).replaceAll('\u2009', ' ')).toBe(
      `The check crimp of 2026-11-18 measured ${(mostMm + 0.3).toFixed(2)} mm: this die is held back.`,
    );
    expect(lastGoodDay({ checks }, die)).toBe('2026-11-05');
    expect(lastGoodDay({ checks: [bad('2026-11-18')] }, die)).toBeNull();
  });
  test('is held back exactly where its last real check lies outside its window', () => {
    const flats = fc.double({ min: die.acrossFlatsMm - 1, max: die.acrossFlatsMm + 1, noNaN: true });
    fc.assert(
      fc.property(fc.array(flats, { minLength: 1, maxLength: 5 }), (all) => {
        const checks = all.map((mm, i) => check(`2026-11-0${i + 1}`, mm));
        const last = all.at(-1) ?? 0;
        return (heldBack({ ...shop, checks }, die, null) !== '') === (last < leastMm || last > mostMm);
      }),
      { numRuns: cases(200) },
    );
  });
});

describe('a shop that checks each day', () => {
  const daily = { checkCrimps: 'each day' as const };
  test('closes nothing before the good check of that day', () => {
    expect(stopped([good('2026-11-19')], daily).length).toBe(4);
    expect(stopped([good('2026-11-20')], daily)).toEqual([]);
    expect(stopped([good('2026-11-19')])).toEqual([]);
  });
});
