import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { DieCheck } from '../model/shop.ts';
import { base, shop } from './proofFixture.ts';
import { acrossFlatsWindow } from '../termination/dies/dieClosed.ts';
import { ticked, unticked } from '../traveller/withShelf.ts';
import { dieCheckProof, heldBack, lastGoodDay } from './dieChecks.ts';
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
    expect(lastGoodDay({ ...shop, checks }, die)).toBe('2026-11-05');
    expect(lastGoodDay({ ...shop, checks: [bad('2026-11-18')] }, die)).toBeNull();
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

describe('a tool whose die failed', () => {
  const other = shop.dies.find(({ toolId, id }) => toolId === die.toolId && id !== die.id);
  if (!other) throw new Error('the tool has another die');
  const otherBad = check('2026-11-18', other.acrossFlatsMm * 1.02 + 0.3, { dieId: other.id });
  const held = (checks: readonly DieCheck[], own = die) =>
    tell(heldBack({ ...shop, checks: [...checks] }, own, null));
  test('is held back with all its dies, and each is freed by a good check of its own', () => {
    expect(held([otherBad])).toMatch(/its tool is held back/);
    expect(held([good('2026-11-17'), otherBad])).toMatch(/its tool is held back/);
    expect(held([otherBad, good('2026-11-19')])).toBe('');
    expect(held([otherBad, good('2026-11-19')], other)).toMatch(/this die is held back/);
    const mended = check('2026-11-20', other.acrossFlatsMm, { dieId: other.id });
    expect(held([otherBad, mended])).toBe('');
  });
  test('another tool goes on', () => {
    const foreign = shop.dies.find(({ toolId }) => toolId !== die.toolId);
    expect(foreign && held([otherBad], foreign)).toBe('');
  });
});

describe('a tool with a day until which its check holds', () => {
  const dueOn = (due: string) => ({
    ...shop,
    tools: shop.tools.map((tool) => (tool.id === die.toolId ? { ...tool, due } : tool)),
  });
  test('is held back after it, not on it, and another tool goes on', () => {
    const held = (due: string, own = die) => tell(heldBack(dueOn(due), own, '2026-11-20'));
    expect(held('2026-11-20')).toBe('');
    expect(held('2026-11-19')).toMatch(/was due on 2026-11-19/);
    expect(tell(heldBack(dueOn('2026-11-19'), die, null))).toBe('');
    const foreign = shop.dies.find(({ toolId }) => toolId !== die.toolId);
    expect(foreign && held('2026-11-19', foreign)).toBe('');
  });
});

describe('a check is no better than what it was read with', () => {
  const near = mostMm - 0.01;
  const coarse = { title: 'steel rule', resolution: 0.5, accuracy: { percent: 0, digits: 1 } };
  const heldAt = (mm: number, decision: 'at the limit' | 'guarded', instrument?: typeof coarse) =>
    heldBack(
      {
        ...shop,
        practice: { ...shop.practice, decision },
        checks: [check('2026-11-18', mm, instrument && { instrument })],
      },
      die,
      null,
    ) !== '';
  test('what cannot be told from its limit is watched, or guarded, not good', () => {
    const [finding] = dieCheckProof(die, check('2026-11-18', near), shop);
    expect(finding).toMatchObject({ state: 'watch', untold: true });
    expect([heldAt(near, 'at the limit'), heldAt(near, 'guarded')]).toEqual([false, true]);
    expect(heldAt(die.acrossFlatsMm, 'guarded')).toBe(false);
    expect(heldAt(die.acrossFlatsMm, 'guarded', coarse)).toBe(true);
  });
});

describe('a shop that saws or pulls its check crimps', () => {
  const lug = workUpCable(base, shop).ends.A.lug;
  const own = (change: Partial<DieCheck>, checkBy: 'section' | 'pull') =>
    tell(
      heldBack(
        {
          ...shop,
          practice: { ...shop.practice, checkBy },
          checks: [{ ...good('2026-11-18'), ...(lug && { lugId: lug.id }), ...change }],
        },
        die,
        null,
      ),
    );
  test('holds the die back until that was done, and where it failed', () => {
    expect(own({}, 'section')).toMatch(/was not sawn/);
    expect(own({ voidShare: 0.02 }, 'section')).toBe('');
    expect(own({ voidShare: 0.3 }, 'section')).toMatch(/Too much air/);
    expect(own({}, 'pull')).toMatch(/was not pulled/);
    expect(own({ pull: { forceN: 3000, held: true } }, 'pull')).toBe('');
    expect(own({ pull: { forceN: 50, held: true } }, 'pull')).toMatch(/is required/);
    expect(own({ pull: { forceN: 900, held: false } }, 'pull')).toMatch(/slipped/);
    // What was done shows, asked for or not.
    expect(own({ voidShare: 0.3 }, 'pull')).toMatch(/Too much air|not pulled/);
  });
});

describe('a shop that checks after so many crimps', () => {
  const after = (closed: number, at: number | null) => {
    const checks = at === null ? [] : [{ ...good('2026-11-01'), closed: at }];
    const practice = { ...shop.practice, checkCrimps: 'each 50' as const };
    return tell(heldBack({ ...shop, checks, practice }, { ...die, closed }, null));
  };
  test('holds the die back once it has closed so often since its last check', () => {
    expect(after(49, null)).toBe('');
    expect(after(50, null)).toMatch(/50 crimps since/);
    expect(after(120, 71)).toBe('');
    expect(after(121, 71)).toMatch(/50 crimps since/);
  });
  test('each crimp that is ticked counts, and one that is taken back does not', () => {
    const work = workUpCable(base, shop);
    const toMake = { key: 'c', cable: base, work };
    const step = work.steps.find(({ id }) => id === 'crimp-1.A');
    if (!step) throw new Error('no crimp');
    const closedIn = (own: typeof shop) => own.dies.find(({ id }) => id === die.id)?.closed;
    const once = ticked(toMake, step, shop, { at: '', by: '' });
    expect(closedIn(once.shop)).toBe(1);
    expect(closedIn(unticked({ ...toMake, cable: once.cable }, step, once.shop).shop)).toBe(0);
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
