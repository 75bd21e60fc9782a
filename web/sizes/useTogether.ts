import { proxy, type Remote, wrap } from 'comlink';
import { onScopeDispose, shallowRef, watch } from 'vue';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import type { TradePoint } from '../../core/together/together.ts';
import { spokenHere } from '../words.ts';
import type { TogetherWorker } from '../workers/together.worker.ts';
import type { Chosen } from '../workers/togetherWith.ts';

/** For each question that the solver is asked, s. */
const SECONDS = 20;
/** Where the trade is drawn: of what each load is allowed, percent. */
const TRADE_AT = [40, 50, 60, 70, 80, 90, 100, 120, 150, 200] as const;
/** Who goes on changing what is asked is not answered in between, ms. */
const SETTLED_MS = 250;

const newWorker = () =>
  new Worker(new URL('../workers/together.worker.ts', import.meta.url), {
    type: 'module',
    name: spokenHere(),
  });

/**
 * All sizes of a job chosen at once by a worker, again whenever the job, the shop or what is asked changes; then the points
 * of its trade, one by one. What was found before stands until the next answer is there.
 */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the worker and what is required of it
export function useTogether(asked: () => { readonly job: Job; readonly shop: Shop } | null) {
  const chosen = shallowRef<Chosen | null>(null);
  const points = shallowRef<readonly TradePoint[]>([]);
  const round = shallowRef(0);
  const state = shallowRef<'working' | 'done' | 'stopped' | 'late' | 'broken'>('working');
  let worker: Worker | undefined;
  /** One for as long as the worker lives: where it is thrown away, the worker is told to listen no more. */
  let remote: Remote<TogetherWorker> | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Which question is being answered; a worker that has none waits for the next. */
  let question = 0;
  let isBusy = false;

  /** Ends what is under way; what is asked next, after a moment, is still asked. */
  function end(): void {
    question += 1;
    isBusy = false;
    worker?.terminate();
    [worker, remote] = [undefined, undefined];
  }
  function cancel(): void {
    clearTimeout(timer);
    end();
    if (state.value === 'working') state.value = 'stopped';
  }

  async function choose(): Promise<void> {
    if (isBusy) end();
    const input = asked();
    if (!input) return;
    const mine = (question += 1);
    const isOurs = () => question === mine;
    isBusy = true;
    [state.value, round.value] = ['working', 0];
    worker ??= newWorker();
    const answering = (remote ??= wrap<TogetherWorker>(worker));
    const onRound = proxy((now: number) => {
      if (isOurs()) round.value = now;
    });
    try {
      // A plain copy: what comes from the store may be frozen or followed.
      const { job, shop } = JSON.parse(JSON.stringify(input)) as typeof input;
      const answer = await answering.choose(job, shop, SECONDS, onRound);
      if (!isOurs()) return;
      chosen.value = answer ?? chosen.value;
      state.value = answer ? 'done' : 'late';
      points.value = [];
      for (const dropPercent of answer ? TRADE_AT : []) {
        const point = await answering.trade(dropPercent);
        if (!isOurs()) return;
        if (point) points.value = [...points.value, point];
      }
      isBusy = false;
    } catch {
      if (!isOurs()) return;
      end();
      state.value = 'broken';
    }
  }

  const later = () => {
    clearTimeout(timer);
    // What stands is of what was asked before: nothing of it is taken any more.
    state.value = 'working';
    timer = setTimeout(() => void choose(), chosen.value ? SETTLED_MS : 0);
  };
  watch(asked, later, { immediate: true });
  onScopeDispose(() => {
    clearTimeout(timer);
    end();
  });
  return { chosen, points, round, state, cancel, choose };
}
