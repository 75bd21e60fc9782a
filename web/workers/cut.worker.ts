import { expose } from 'comlink';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { type SolvedPlan, solvePlan } from '../../core/cutting/cutModel.ts';
import type { CutRules, Piece, StockLength } from '../../core/cutting/cutPlan.ts';
import { solveWith } from './highsSolve.ts';

const highs = loadHighs({ locateFile: () => wasmUrl });

/** Solves one group at a time, away from the page: the page ends the worker to cancel. */
const cutting = {
  async solve(
    pieces: readonly Piece[],
    stock: readonly StockLength[],
    rules: CutRules,
    seconds: number,
  ): Promise<SolvedPlan | null> {
    return solvePlan(pieces, stock, rules, solveWith(await highs), seconds);
  },
};
export type CutWorker = typeof cutting;
expose(cutting);
