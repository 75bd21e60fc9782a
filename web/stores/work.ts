import type { Cable } from '../../core/job/cable.ts';
import type { Job } from '../../core/job/job.ts';
import type { Shop } from '../../core/job/shop.ts';
import type { CableWork } from '../../core/cableWork.ts';
import { type JobWork, summarise, workUpCable } from '../../core/workup.ts';

/** A cable and a shop are never changed in place, so their work is computed once for as long as both live. */
const kept = new WeakMap<Shop, WeakMap<Cable, CableWork>>();

/** Everything computed about a cable; from memory where neither it nor the shop has changed. */
export function workOf(cable: Cable, shop: Shop): CableWork {
  const ofShop = kept.get(shop) ?? new WeakMap<Cable, CableWork>();
  kept.set(shop, ofShop);
  const known = ofShop.get(cable);
  if (known) return known;
  const work = workUpCable(cable, shop);
  ofShop.set(cable, work);
  return work;
}

export function workOfJob(job: Job, shop: Shop): JobWork {
  return summarise(
    job.id,
    job.cables.map((cable) => workOf(cable, shop)),
  );
}
