import { onScopeDispose, shallowRef, watch } from 'vue';
import { duesOf } from '../../core/fit/service.ts';
import { isCut } from '../../core/cutting/pieces.ts';
import type { CableWork } from '../../core/cableWork.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { summarise } from '../../core/workup.ts';
import { triedWork } from '../stores/work.ts';
import { today } from '../ui/today.ts';

/** What the cables of a job come to. */
export interface RackTotals {
  readonly finishedMm: number;
  readonly massKg: number;
  readonly proved: number;
  readonly cut: number;
  readonly overdue: number;
}

/** A short job is added up at once; of a long one so much is done between two frames, ms. */
const AT_ONCE = 40;
const SLICE_MS = 6;
const AFTER_MS = 120;

/** The totals of a job, added up without holding up what is being typed. */
export function useTotals(asked: () => { job: Job; shop: Shop }) {
  const totals = shallowRef<RackTotals | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;

  const summed = (job: Job, shop: Shop, works: readonly CableWork[]): RackTotals => {
    const { finishedMm, massKg, proved } = summarise(job.id, works);
    return {
      finishedMm,
      massKg,
      proved,
      cut: job.cables.filter(isCut).length,
      overdue: job.cables.flatMap((cable) => duesOf(cable, shop.practice)).filter(({ by }) => by < today())
        .length,
    };
  };

  function inSlices(job: Job, shop: Shop, works: CableWork[], from: number): void {
    const began = performance.now();
    let next = from;
    for (; next < job.cables.length && performance.now() - began < SLICE_MS; next += 1) {
      const cable = job.cables[next];
      const work = cable && triedWork(cable, shop, job);
      if (work) works.push(work);
    }
    if (next < job.cables.length) timer = setTimeout(() => inSlices(job, shop, works, next), 0);
    else totals.value = summed(job, shop, works);
  }

  watch(
    asked,
    ({ job, shop }, before) => {
      clearTimeout(timer);
      // A job just opened is shown first.
      if (before === undefined) timer = setTimeout(() => inSlices(job, shop, [], 0), 0);
      else if (job.cables.length <= AT_ONCE) {
        totals.value = summed(
          job,
          shop,
          job.cables.flatMap((cable) => triedWork(cable, shop, job) ?? []),
        );
      } else timer = setTimeout(() => inSlices(job, shop, [], 0), AFTER_MS);
    },
    { immediate: true },
  );
  onScopeDispose(() => clearTimeout(timer));
  return totals;
}
