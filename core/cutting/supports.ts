import { END_NAMES } from '../model/end.ts';
import type { Cable } from '../model/cable.ts';

/** Farthest that supports stand apart on small craft, mm. Source: small-craft practice, 18 in. */
export const MOST_SUPPORT_MM = 457;
/** Behind a lug the first support stands this close, unless its end says otherwise, mm. Craft practice. */
const FIRST_SUPPORT_MM = 150;

/** Where a cable is held along its route. */
export interface SupportPlan {
  /** Places from stud A along the cable, mm. */
  readonly atMm: readonly number[];
  readonly everyMm: number;
  /** The farthest allowed. */
  readonly mostMm: number;
}

/**
 * Supports over a route: one close behind each lug, the rest evenly between, none farther apart than is allowed.
 *
 * @example supportPlan(cable) // 6 250 mm at most 400: 150, 541, … 6 100
 */
export function supportPlan({ run, ends }: Cable): SupportPlan {
  const mostMm = Math.min(run.way?.supportEveryMm ?? MOST_SUPPORT_MM, MOST_SUPPORT_MM);
  const [first, last] = END_NAMES.map((name) => ends[name].support?.distanceMm ?? FIRST_SUPPORT_MM);
  const from = Math.min(first ?? FIRST_SUPPORT_MM, run.lengthMm / 2);
  const to = run.lengthMm - Math.min(last ?? FIRST_SUPPORT_MM, run.lengthMm / 2);
  const gaps = Math.max(to > from ? 1 : 0, Math.ceil((to - from) / mostMm - 1e-9));
  const everyMm = gaps > 0 ? (to - from) / gaps : 0;
  return {
    atMm: Array.from({ length: gaps + 1 }, (_, i) => from + i * everyMm),
    everyMm,
    mostMm,
  };
}
