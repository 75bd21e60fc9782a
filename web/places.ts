import type { RouteLocationRaw } from 'vue-router';
import type { Mended } from '../core/finding/mended.ts';
import type { Stage } from '../core/model/cable.ts';

/** The address of the card of a cable. */
export const cardOf = (jobId: string, cableId: string): RouteLocationRaw => ({
  name: 'card',
  params: { jobId, cableId },
});

/** The address of a cable at a stage; of the job itself where no cable is given. */
export function placeOf(jobId: string, cableId?: string, stage: Stage = 'run'): RouteLocationRaw {
  return cableId ? { name: 'cable', params: { jobId, cableId, stage } } : { name: 'job', params: { jobId } };
}

/** The address of where something is corrected on a cable: its part is opened there. */
export const placeMended = (jobId: string, cableId: string, { stage, part }: Mended): RouteLocationRaw => ({
  name: 'cable',
  params: { jobId, cableId, stage },
  query: part === undefined ? {} : { part },
});
