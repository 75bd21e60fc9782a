import type { Highs } from 'highs';
import type { Solve } from '../../core/cutting/cutModel.ts';

/** Answers a model with HiGHS: its columns by name, and how good any other answer could be. */
export const solveWith =
  (highs: Highs): Solve =>
  (lp, { seconds, gap }) =>
    highs.withModel({ format: 'lp', data: lp }, (model) => {
      model.options.set({ output_flag: false, time_limit: seconds, mip_rel_gap: 0, mip_abs_gap: gap });
      const { modelStatus } = model.run();
      const { optimal, timeLimit } = highs.constants.modelStatus;
      const isStopped = modelStatus === timeLimit;
      const found = model.info.get('primal_solution_status') === highs.constants.solutionStatus.feasible;
      if (!found) return { columns: null, objective: Number.NaN, bound: 0, optimal: false, isStopped };
      const values = model.getSolution().colValue;
      const columns: Record<string, number> = {};
      values.forEach((value, i) => {
        columns[model.getColName(i)] = value;
      });
      return {
        columns,
        objective: Number(model.info.get('objective_function_value')),
        bound: Number(model.info.get('mip_dual_bound')),
        optimal: modelStatus === optimal,
        isStopped,
      };
    });
