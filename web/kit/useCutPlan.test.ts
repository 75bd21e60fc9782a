import { describe, expect, jest, test } from '@jest/globals';
import { effectScope } from 'vue';
import type { SolvedPlan } from '../../core/cutting/cutModel.ts';
import {
  bestFitDecreasing,
  type CutRules,
  type Piece,
  type StockLength,
} from '../../core/cutting/cutPlan.ts';
import type { CutGroup } from '../../core/cutting/pieces.ts';

/** A solver that is told how sure it is, and says how long it was given. */
let sure: Pick<SolvedPlan, 'optimal' | 'isStopped'>;
const given: number[] = [];
const solver = async (
  pieces: readonly Piece[],
  stock: readonly StockLength[],
  rules: CutRules,
  seconds: number,
) => {
  given.push(seconds);
  return { plan: bestFitDecreasing(pieces, stock, rules), boundMm: 0, ...sure };
};
jest.unstable_mockModule('comlink', () => ({
  releaseProxy: Symbol('released'),
  wrap: () => new Proxy({}, { get: (_, name) => (name === 'solve' ? solver : () => {}) }),
}));
Object.assign(globalThis, { Worker: jest.fn(() => ({ terminate: () => {} })) });
const { useCutPlan } = await import('./useCutPlan.ts');

const RULES: CutRules = { kerfMm: 0, squareMm: 0, scrapMm: 300 };
const group = (pieces: readonly Piece[]) =>
  ({ key: 'red 50', pieces, stock: [{ id: 'a', lengthMm: 4000, offcut: false }] }) as unknown as CutGroup;
const piece: Piece = { id: 'p', label: 'P-1', lengthMm: 1500 };

/** Its plan once nothing is searched for any more. */
async function planned(pieces: readonly Piece[], how: typeof sure) {
  sure = how;
  given.length = 0;
  const scope = effectScope();
  const plan = scope.run(() =>
    useCutPlan(
      () => [group(pieces)],
      () => RULES,
    ),
  );
  if (!plan) throw new Error('no scope');
  await new Promise((resolve) => setTimeout(resolve));
  return {
    ...plan,
    state: () => plan.plans.value[0]?.state,
    isOpen: () => plan.plans.value[0]?.isOpen,
    end: () => scope.stop(),
  };
}

describe('a plan that is to be proved', () => {
  test('is searched for again, and for longer, where the search was stopped before', async () => {
    const plan = await planned([piece], { optimal: false, isStopped: true });
    expect([plan.state(), plan.isOpen(), given]).toEqual(['in time', true, [10]]);
    await plan.solve();
    expect(given).toEqual([10]);
    sure = { optimal: true, isStopped: false };
    const searching = plan.solve(true);
    expect([plan.state(), plan.solving.value]).toEqual(['solving', 'red 50']);
    await searching;
    expect([plan.state(), plan.isOpen(), given]).toEqual(['proved', false, [10, 60]]);
    plan.end();
  });
  test('is not searched for where stock is short for certain', async () => {
    const plan = await planned([{ ...piece, lengthMm: 9000 }], { optimal: false, isStopped: false });
    expect([plan.state(), plan.isOpen()]).toEqual(['in time', false]);
    await plan.solve(true);
    expect(given).toEqual([10]);
    plan.end();
  });
  test('is not there where nothing is cut', async () => {
    const plan = await planned([], { optimal: true, isStopped: false });
    expect([plan.state(), plan.isOpen(), given]).toEqual(['proved', false, []]);
    plan.end();
  });
  test('is what it was where a longer search is broken off', async () => {
    const plan = await planned([piece], { optimal: false, isStopped: true });
    const searching = plan.solve(true);
    plan.cancel();
    await searching;
    expect([plan.state(), plan.isOpen(), plan.solving.value]).toEqual(['in time', true, null]);
    plan.end();
  });
});
