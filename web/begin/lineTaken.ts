import type { RouteLocationRaw } from 'vue-router';
import { cardOf, placeOf } from '../places.ts';

/** Where one goes on with the cable of a line: to its size on the bench, or to its card. */
export type LineTaken = 'bench' | 'card';

export const placeTaken = (jobId: string, cableId: string, to: LineTaken): RouteLocationRaw =>
  to === 'card' ? cardOf(jobId, cableId) : placeOf(jobId, cableId, 'gauge');
