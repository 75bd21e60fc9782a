import { type FuseKind, FUSE_RATINGS_A, FUSES } from '../catalogue/tables/fuses.ts';

/** Above the cable's allowed amps it guards against a short only; above this multiple not at all. */
export const SHORT_ONLY_UP_TO = 1.5;
/** The hottest the conductor may get while the fuse carries its rating, °C. */
export const HOTTEST_AT_RATING_C = 160;

/**
 * The smallest standard rating at least so much over the continuous amps, and not under the heaviest step, A. Null
 * where none is made.
 *
 * @param stepA the heaviest current of a surge or duty cycle, 0 where there is none: taken as the fuse must carry it,
 *   unless its maker's curve says that it carries it for that time
 * @param overLoad how much over, by house practice: customarily 1.25
 * @example ratingFor(150, 0, 1.25) // 200
 */
export function ratingFor(continuousA: number, stepA: number, overLoad: number): number | null {
  const least = Math.max(overLoad * continuousA, stepA);
  return FUSE_RATINGS_A.find((rating) => rating >= least) ?? null;
}

/**
 * Current a kind of fuse can break at a voltage, A; null where it is not made for that voltage.
 *
 * @param volts the highest charging voltage
 * @param nominalV a nominal 12 V system may use the 14 V row
 * @example breakingAmps('post-block', 14.6, 12) // 10000
 */
export function breakingAmps(kind: FuseKind, volts: number, nominalV: number): number | null {
  const counted = nominalV <= 12 ? Math.min(volts, 14) : volts;
  return FUSES[kind].breaking.find(({ upToV }) => counted <= upToV)?.amps ?? null;
}
