import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/job/cable.ts';
import type { Job } from '../../core/job/job.ts';
import type { Shop } from '../../core/job/shop.ts';
import { type JobWork, matesOf, summarise, workUpCable } from '../../core/workup.ts';
import { dutyTick, followDuty } from '../workers/duties.ts';

interface Kept {
  readonly shop: Shop;
  readonly mates: readonly Cable[];
  readonly tick: number;
  readonly work: CableWork;
}

/** Cables and shops are never changed in place, so work is done once for as long as all it rests on stays. */
const kept = new WeakMap<Cable, Kept>();

const sameMates = (a: readonly Cable[], b: readonly Cable[]) =>
  a.length === b.length && a.every((mate, i) => mate === b[i]);

/** Everything computed about a cable of a job; from memory where neither it, its circuit nor the shop has changed. */
export function workOf(cable: Cable, shop: Shop, job?: Job): CableWork {
  const mates = job ? matesOf(cable, job) : [];
  const tick = cable.run.duty ? dutyTick.value : 0;
  const known = kept.get(cable);
  if (known && known.shop === shop && known.tick === tick && sameMates(known.mates, mates)) return known.work;
  const work = workUpCable(cable, shop, mates, followDuty);
  kept.set(cable, { shop, mates, tick, work });
  return work;
}

export function workOfJob(job: Job, shop: Shop): JobWork {
  return summarise(
    job.id,
    job.cables.map((cable) => workOf(cable, shop, job)),
  );
}
