import { computed, type ComputedRef } from 'vue';
import { sameCables } from '../../core/model/design.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { usePainted } from '../ui/usePainted.ts';

/** A job as the rack shows it, with the shop that its cables are worked up in. */
export interface Racked {
  readonly job: Job;
  readonly shop: Shop;
}

const isSameRack = (a: Job, b: Job) => a.id === b.id && sameCables(a.cables, b.cables);

/**
 * What an edit does to the rack, shown a frame after what it does to the cable on the bench; other cables than before are
 * shown at once.
 */
export function useRacked(now: () => Racked | null): ComputedRef<Racked | null> {
  const painted = usePainted(now);
  return computed(() => {
    const before = painted.value;
    const after = now();
    return before && after && isSameRack(before.job, after.job) ? before : after;
  });
}
