import { beforeAll, describe, expect, test } from '@jest/globals';
import { cases } from '../../core/lib/casesFixture.ts';
import fc from 'fast-check';
import loadHighs from 'highs';
import { SAME_OFFCUT_MM, type Solve, solvePlan } from '../../core/cutting/cutModel.ts';
import {
  bestFitDecreasing,
  betterPlan,
  type CutPlan,
  type CutRules,
  holds,
  linearBoundMm,
  longestRestMm,
  newStockMm,
  type Piece,
  planOf,
  restMm,
  type StockLength,
  toBuyMm,
} from '../../core/cutting/cutPlan.ts';
import { solveWith } from './highsSolve.ts';

let solve: Solve;
beforeAll(async () => {
  solve = solveWith(await loadHighs());
});

const RULES: CutRules = { kerfMm: 0, squareMm: 0, scrapMm: 300 };
const pieces = (...mm: number[]): Piece[] =>
  mm.map((lengthMm, i) => ({ id: `p${i}`, label: `P-${i}`, lengthMm }));
const spool = (id: string, lengthMm: number, offcut = false): StockLength => ({ id, lengthMm, offcut });
const solved = (list: readonly Piece[], stock: readonly StockLength[], rules = RULES) => {
  const answer = solvePlan(list, stock, rules, solve);
  if (!answer) throw new Error('no plan');
  return answer;
};
const opened = ({ spools }: CutPlan) =>
  spools.filter(({ stock, pieces: own }) => !stock.offcut && own.length > 0).length;

describe('the worked plan', () => {
  const stock = [spool('a', 6000), spool('b', 6000), spool('c', 4500), spool('o', 1900, true)];
  const list = pieces(2400, 2400, 1850, 1750, 1200, 1200, 950, 900);
  test('two new spools do, and that is proved', () => {
    const { plan, boundMm, optimal } = solved(list, stock);
    expect(opened(plan)).toBe(2);
    expect(newStockMm(plan)).toBe(12000);
    expect(plan.unplaced).toEqual([]);
    expect(optimal).toBe(true);
    expect(boundMm).toBeCloseTo(12000, 0);
    const fromOffcut = plan.spools.find(({ stock: own }) => own.id === 'o')?.pieces ?? [];
    expect(fromOffcut.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBe(1850);
  });
  test('of all plans with two, the longest offcut is left', () => {
    const { plan } = solved(list, stock);
    expect(longestRestMm(plan)).toBe(12000 - 10800);
  });
});

describe('too little stock', () => {
  test('a plan that leaves a piece without stock is never proved, and bounds only what it cuts', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 9000 }), { minLength: 1, maxLength: 6 }),
        fc.array(fc.integer({ min: 500, max: 6000 }), { maxLength: 3 }),
        (lengths, spools) => {
          const { plan, boundMm, optimal, isStopped } = solved(
            pieces(...lengths),
            spools.map((mm, i) => spool(`s${i}`, mm)),
          );
          expect(optimal).toBe(plan.unplaced.length === 0);
          // Searching on would find no place for it.
          expect(isStopped).toBe(false);
          expect(boundMm).toBeLessThanOrEqual(newStockMm(plan) + 1);
        },
      ),
      { numRuns: cases(60) },
    );
  });
  test('a solver stopped at its time says no less than plain arithmetic', () => {
    const stopped: Solve = (lp, until) => ({ ...solve(lp, until), bound: 0, optimal: false });
    const answer = solvePlan(pieces(2000, 2000, 2000), [spool('a', 4000), spool('b', 4000)], RULES, stopped);
    expect(answer).toMatchObject({ boundMm: 6000, optimal: false, isStopped: true });
  });
  test('says which pieces have none, and how much to buy for them', () => {
    const { plan } = solved(pieces(3000, 3000, 500), [spool('a', 3600)], {
      ...RULES,
      squareMm: 10,
      kerfMm: 2,
    });
    expect(plan.unplaced.map(({ lengthMm }) => lengthMm)).toEqual([3000]);
    expect(toBuyMm(plan, { ...RULES, squareMm: 10, kerfMm: 2 })).toBe(3010);
  });
  test('none at all leaves everything to buy', () => {
    const { plan, optimal } = solved(pieces(900, 800), []);
    expect(plan.unplaced).toHaveLength(2);
    expect(optimal).toBe(false);
    expect(toBuyMm(plan, RULES)).toBe(1700);
    expect(toBuyMm(solved([], [spool('a', 100)]).plan, RULES)).toBe(0);
  });
});

describe('kerf and squaring off', () => {
  test('a last piece that ends the spool needs no kerf behind it', () => {
    const rules = { kerfMm: 3, squareMm: 10, scrapMm: 300 };
    expect(holds(spool('a', 2013), pieces(1000, 1000), rules)).toBe(true);
    expect(holds(spool('a', 2012), pieces(1000, 1000), rules)).toBe(false);
    expect(restMm(spool('a', 2500), pieces(1000, 1000), rules)).toBe(2500 - 10 - 2006);
    expect(restMm(spool('a', 2500), [], rules)).toBe(2500);
  });
  test('a plan that overfills is thrown out', () =>
    expect(() =>
      planOf(new Map([['a', pieces(900, 900)]]), pieces(900, 900), [spool('a', 1000)], RULES),
    ).toThrow(RangeError));
});

const jobs = fc.record({
  list: fc
    .array(fc.integer({ min: 200, max: 3000 }), { minLength: 1, maxLength: 12 })
    .map((mm) => pieces(...mm)),
  stock: fc
    .array(fc.record({ lengthMm: fc.integer({ min: 500, max: 7000 }), offcut: fc.boolean() }), {
      minLength: 1,
      maxLength: 6,
    })
    .map((list) => list.map((own, i): StockLength => ({ id: `s${i}`, ...own }))),
  rules: fc.record({
    kerfMm: fc.integer({ min: 0, max: 4 }),
    squareMm: fc.integer({ min: 0, max: 20 }),
    scrapMm: fc.constant(300),
  }),
});
const isWhole = (plan: CutPlan, list: readonly Piece[], rules: CutRules) => {
  const ids = [...plan.spools.flatMap(({ pieces: own }) => own), ...plan.unplaced].map(({ id }) => id);
  return (
    ids.length === list.length &&
    new Set(ids).size === list.length &&
    plan.spools.every(({ stock, pieces: own }) => holds(stock, own, rules))
  );
};
const missing = ({ unplaced }: CutPlan) => unplaced.reduce((sum, { lengthMm }) => sum + lengthMm, 0);

test('by hand an offcut may be a hair longer; of the same worth it is no better plan', () => {
  const list = pieces(1281, 2123, 660, 2255, 2254, 200, 200);
  const stock = [spool('a', 3424), spool('b', 3417), spool('c', 507)];
  const rules = { kerfMm: 4, squareMm: 17, scrapMm: 300 };
  const { plan } = solved(list, stock, rules);
  const hand = bestFitDecreasing(list, stock, rules);
  expect(longestRestMm(hand)).toBe(1149);
  expect(longestRestMm(plan)).toBeGreaterThan(1149 - SAME_OFFCUT_MM);
  expect(newStockMm(betterPlan(plan, hand))).toBe(newStockMm(plan));
});

describe('every plan', () => {
  test('loses no piece and overfills no spool, by hand or by solver', () => {
    fc.assert(
      fc.property(jobs, ({ list, stock, rules }) => {
        const hand = bestFitDecreasing(list, stock, rules);
        return isWhole(hand, list, rules) && isWhole(solved(list, stock, rules).plan, list, rules);
      }),
      { numRuns: cases(40) },
    );
  });
  test('solved is never worse than by hand but for an offcut of the same worth, nor better than its bound', () => {
    fc.assert(
      fc.property(jobs, ({ list, stock, rules }) => {
        const hand = bestFitDecreasing(list, stock, rules);
        const { plan, boundMm } = solved(list, stock, rules);
        if (missing(plan) > missing(hand) + 1e-6) return false;
        const comparable = Math.abs(missing(plan) - missing(hand)) < 1e-6;
        if (comparable && newStockMm(plan) > newStockMm(hand) + 1e-6) return false;
        if (missing(plan) === 0 && linearBoundMm(list, stock, rules) > newStockMm(plan) + 1e-6) return false;
        const offcutKept = !comparable || longestRestMm(plan) > longestRestMm(hand) - SAME_OFFCUT_MM;
        return boundMm <= newStockMm(plan) + 1 && (newStockMm(plan) < newStockMm(hand) || offcutKept);
      }),
      { numRuns: cases(40) },
    );
  });
});
