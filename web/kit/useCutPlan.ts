import { releaseProxy, type Remote, wrap } from 'comlink';
import { computed, onScopeDispose, shallowRef, watch } from 'vue';
import type { SolvedPlan } from '../../core/cutting/cutModel.ts';
import {
  bestFitDecreasing,
  betterPlan,
  type CutPlan,
  type CutRules,
  linearBoundMm,
  newStockMm,
} from '../../core/cutting/cutPlan.ts';
import type { CutGroup } from '../../core/cutting/pieces.ts';
import type { CutWorker } from '../workers/cut.worker.ts';

/** How far the plan of one group is. */
export interface GroupPlan {
  readonly group: CutGroup;
  readonly plan: CutPlan;
  readonly state: 'by hand' | 'solving' | 'proved' | 'in time';
  /** Whether searching, for longer where it was stopped before, may prove it. */
  readonly isOpen: boolean;
  readonly newMm: number;
  readonly handMm: number;
  readonly linearMm: number;
  /** Nothing can begin less new stock than this. */
  readonly boundMm: number;
}

/** How long is searched for each of the two questions: unasked, and where a person wants it proved. */
const SECONDS = 10;
const SECONDS_ASKED = 60;

/**
 * Plans of all groups: at once by hand, then one after the other by the solver, away from the page. Another request
 * drops what was under way; cancelling keeps what is there.
 */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function useCutPlan(groups: () => readonly CutGroup[], rules: () => CutRules) {
  const solved = shallowRef<ReadonlyMap<string, SolvedPlan>>(new Map());
  const solving = shallowRef<string | null>(null);
  const seconds = shallowRef<number | null>(null);
  /** The solver could not be had: the plan by hand stands. */
  const isBroken = shallowRef(false);
  let worker: Worker | undefined;
  let remote: Remote<CutWorker> | undefined;
  let run = 0;

  const inputOf = ({ pieces, stock }: CutGroup) => JSON.stringify([pieces, stock, rules()]);

  function cancel(): void {
    run += 1;
    remote?.[releaseProxy]();
    worker?.terminate();
    worker = undefined;
    remote = undefined;
    solving.value = null;
  }

  async function solve(isAsked = false): Promise<void> {
    cancel();
    const started = run;
    isBroken.value = false;
    const open = plans.value.filter(({ isOpen, state }) => isOpen && (isAsked || state === 'by hand'));
    if (open.length === 0) return;
    worker = new Worker(new URL('../workers/cut.worker.ts', import.meta.url), { type: 'module' });
    remote = wrap<CutWorker>(worker);
    const start = performance.now();
    const most = isAsked ? SECONDS_ASKED : SECONDS;
    try {
      for (const { group } of open) {
        solving.value = group.key;
        // Plain copies: what comes from the store may be frozen, and crosses to the worker.
        const answer = await remote.solve([...group.pieces], [...group.stock], { ...rules() }, most);
        if (started !== run) return;
        if (answer) solved.value = new Map([...solved.value, [inputOf(group), answer]]);
      }
    } catch {
      if (started !== run) return;
      cancel();
      isBroken.value = true;
      return;
    }
    seconds.value = (performance.now() - start) / 1000;
    solving.value = null;
  }

  function stateOf({ key, pieces }: CutGroup, answer: SolvedPlan | undefined): GroupPlan['state'] {
    if (pieces.length === 0 || answer?.optimal) return 'proved';
    if (solving.value === key) return 'solving';
    return answer ? 'in time' : 'by hand';
  }

  const plans = computed(() =>
    groups().map((group): GroupPlan => {
      const hand = bestFitDecreasing(group.pieces, group.stock, rules());
      const answer = solved.value.get(inputOf(group));
      const plan = answer ? betterPlan(answer.plan, hand) : hand;
      const linearMm = linearBoundMm(group.pieces, group.stock, rules());
      return {
        group,
        plan,
        state: stateOf(group, answer),
        isOpen: group.pieces.length > 0 && (answer?.isStopped ?? true),
        newMm: newStockMm(plan),
        handMm: newStockMm(hand),
        linearMm,
        boundMm: answer ? Math.max(answer.boundMm, 0) : plan.unplaced.length > 0 ? 0 : linearMm,
      };
    }),
  );
  watch(
    () => groups().map(inputOf).join('|'),
    () => void solve(),
    { immediate: true },
  );
  onScopeDispose(cancel);
  return { plans, solving, seconds, isBroken, cancel, solve };
}
