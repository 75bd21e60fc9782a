import { onScopeDispose, shallowRef, type ShallowRef, watch } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { triedWork } from '../stores/work.ts';

/** A cable of a kit with its work, and the job it belongs to. */
export interface Made extends WorkedCable {
  /** Jobs may use one id twice: a name of its own among all that are made together. */
  readonly key: string;
  readonly job: Job;
}

function madeOne(job: Job, cable: Cable, shop: Shop): Made[] {
  const work = triedWork(cable, shop, job);
  return work ? [{ key: `${job.id}/${cable.id}`, job, cable, work }] : [];
}

/** Each cable of some jobs with its work: one worked up in its own job. One that cannot be is left out. */
export const madeOf = (jobs: readonly Job[], shop: Shop): Made[] =>
  jobs.flatMap((job) => job.cables.flatMap((cable) => madeOne(job, cable, shop)));

/** So many cables are worked up at once; of more so much is done between two frames, and shown so often, ms. */
const AT_ONCE = 40;
const SLICE_MS = 14;
const SHOWN_EVERY_MS = 400;

/** Cables that are being worked up, as far as that has come. */
export interface Making {
  readonly made: Readonly<ShallowRef<readonly Made[]>>;
  /** How many are worked up, and of how many. */
  readonly worked: Readonly<ShallowRef<number>>;
  readonly all: Readonly<ShallowRef<number>>;
  /** Settles once all are worked up. */
  readonly whole: () => Promise<void>;
}

/**
 * Works up the cables of some jobs without holding up the page: a long job is there at once and fills in.
 *
 * @param atOnce so many are worked up before the page is drawn
 */
export function useMade(
  asked: () => { readonly jobs: readonly Job[]; readonly shop: Shop },
  atOnce = AT_ONCE,
): Making {
  const made = shallowRef<readonly Made[]>([]);
  const worked = shallowRef(0);
  const all = shallowRef(0);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waiting: (() => void)[] = [];

  function finish(found: readonly Made[]): void {
    made.value = found;
    worked.value = all.value;
    for (const tell of waiting) tell();
    waiting = [];
  }
  watch(
    asked,
    ({ jobs, shop }) => {
      clearTimeout(timer);
      const cables = jobs.flatMap((job) => job.cables.map((cable) => ({ job, cable })));
      all.value = cables.length;
      if (cables.length <= atOnce) return finish(madeOf(jobs, shop));
      const found: Made[] = [];
      let [next, shownAt] = [0, performance.now()];
      worked.value = 0;
      const slice = () => {
        const began = performance.now();
        for (; next < cables.length && performance.now() - began < SLICE_MS; next += 1) {
          const own = cables[next];
          if (own) found.push(...madeOne(own.job, own.cable, shop));
        }
        if (next >= cables.length) return finish(found);
        worked.value = next;
        if (performance.now() - shownAt > SHOWN_EVERY_MS) {
          made.value = [...found];
          shownAt = performance.now();
        }
        timer = setTimeout(slice, 0);
      };
      timer = setTimeout(slice, 0);
    },
    { immediate: true },
  );
  onScopeDispose(() => clearTimeout(timer));
  const whole = () =>
    worked.value >= all.value ? Promise.resolve() : new Promise<void>((resolve) => waiting.push(resolve));
  return { made, worked, all, whole };
}
