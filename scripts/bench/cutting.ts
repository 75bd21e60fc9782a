// What the cutting plan costs and saves: pieces of six groups on their spools, against the bounds and the careful hand.
import loadHighs from 'highs';
import { solvePlan } from '../../core/cutting/cutModel.ts';
import {
  bestFitDecreasing,
  betterPlan,
  type CutPlan,
  linearBoundMm,
  newStockMm,
  type Piece,
  type StockLength,
} from '../../core/cutting/cutPlan.ts';
import { solveWith } from '../../web/workers/highsSolve.ts';

const RULES = { kerfMm: 2, squareMm: 10, scrapMm: 300 };
const GROUPS = 6;
const SPOOLS = 20;
const SECONDS = 10;

/** Figures that look thrown together and are the same on every machine: a linear congruence. */
function dice(seed: number): (least: number, most: number) => number {
  let state = seed;
  return (least, most) => {
    state = (state * 1664525 + 1013904223) % 2 ** 32;
    return least + Math.floor((state / 2 ** 32) * (most - least + 1));
  };
}

interface Group {
  readonly pieces: readonly Piece[];
  readonly stock: readonly StockLength[];
}

/** Pieces as boats ask for them, and spools that hold a third more; every third length of stock is begun. */
function groups(count: number): Group[] {
  const roll = dice(count);
  return Array.from({ length: GROUPS }, (_, g) => {
    const own = Math.floor(count / GROUPS) + (g < count % GROUPS ? 1 : 0);
    const pieces = Array.from({ length: own }, (_piece, i) => {
      const id = `${g}-${i}`;
      return { id, label: id, lengthMm: roll(0, 3) > 0 ? roll(250, 2600) : roll(2600, 7200) };
    });
    const need = pieces.reduce((sum, { lengthMm }) => sum + lengthMm + RULES.kerfMm, 0);
    const lengths = Math.floor(SPOOLS / GROUPS) + (g < SPOOLS % GROUPS ? 1 : 0);
    const stock = Array.from({ length: lengths }, (_spool, i) => ({
      id: `s${g}-${i}`,
      lengthMm: Math.max(7500, Math.round(((need * 1.35) / lengths) * (roll(70, 130) / 100))),
      offcut: i % 3 === 2,
    }));
    return { pieces, stock };
  });
}

interface Answer {
  readonly plan: CutPlan;
  readonly hand: CutPlan;
  readonly boundMm: number;
  readonly linearMm: number;
  readonly optimal: boolean;
}

const solve = solveWith(await loadHighs());
function answer({ pieces, stock }: Group): Answer {
  const hand = bestFitDecreasing(pieces, stock, RULES);
  const solved = solvePlan(pieces, stock, RULES, solve, SECONDS);
  return {
    plan: solved ? betterPlan(solved.plan, hand) : hand,
    hand,
    boundMm: solved?.boundMm ?? 0,
    linearMm: linearBoundMm(pieces, stock, RULES),
    optimal: solved?.optimal ?? false,
  };
}

function planned(count: number) {
  const asked = groups(count);
  const start = performance.now();
  const answers = asked.map(answer);
  const ms = performance.now() - start;
  const metres = (of: (own: Answer) => number) => answers.reduce((sum, own) => sum + of(own), 0) / 1000;
  return {
    ms,
    plan: metres(({ plan }) => newStockMm(plan)),
    hand: metres(({ hand }) => newStockMm(hand)),
    bound: metres(({ boundMm }) => boundMm),
    linear: metres(({ linearMm }) => linearMm),
    proved: answers.filter(({ optimal }) => optimal).length,
    waits: answers.reduce((sum, { plan }) => sum + plan.unplaced.length, 0),
    handWaits: answers.reduce((sum, { hand }) => sum + hand.unplaced.length, 0),
  };
}

/** Prints the plan of 200 pieces on 20 spools in 6 groups, and how the time grows from 50 pieces to 400. */
export function benchCutting(): void {
  const counts = [50, 100, 200, 400];
  planned(12);
  const all = counts.map((count) => ({ count, ...planned(count) }));
  const [first] = all;
  const main = all.find(({ count }) => count === 200);
  if (!first || !main) return;
  console.log(
    `cutting plan, 200 pieces on ${SPOOLS} spools in ${GROUPS} groups: ${main.proved} of ${GROUPS} proved in ${(main.ms / 1000).toFixed(1)} s, gap ${(main.plan - main.bound).toFixed(3)} m`,
  );
  console.log(
    `  new stock begun ${main.plan.toFixed(1)} m, ${main.waits} pieces wait: ${(main.plan / main.linear).toFixed(3)} of the linear bound, ${(main.plan / main.hand).toFixed(3)} of best fit (${main.handWaits} wait)`,
  );
  all.forEach(({ count, ms, proved, plan, linear, hand }) =>
    console.log(
      `  ${count} pieces: ${(ms / first.ms).toFixed(2)} × the time of ${first.count}, ${proved} of ${GROUPS} proved, ${(plan / linear).toFixed(3)} of the linear bound, ${(plan / hand).toFixed(3)} of best fit`,
    ),
  );
}
