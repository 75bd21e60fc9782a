import { type ClearingPoint, type FuseKind, FUSE_RATINGS_A, FUSES } from '../catalogue/tables/fuses.ts';
import type { Fuse, Run } from '../job/run.ts';
import { heaviestStepA, nominalAmps } from './loadIn.ts';
import { say } from '../words/say.ts';
import { clearingSeconds } from './fault.ts';

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

/** Shortest melting times of bolt-in strips and links, at multiples of the rating. Confidence: low. */
const MELTS_NOT_BEFORE: readonly ClearingPoint[] = [
  { multiple: 2, seconds: 1 },
  { multiple: 3.5, seconds: 0.3 },
  { multiple: 6, seconds: 0.1 },
];
/** A curve from a sheet gives the longest times; the shortest are taken as so much less. Confidence: low. */
const LONGEST_OVER_SHORTEST = 15;

/**
 * The shortest time in which a fuse may melt at a multiple of its rating, s; null where nothing is known of it.
 *
 * Source: customary band of bolt-in strips and links; else a fifteenth of the curve from its own sheet.
 *
 * @example meltsNotBefore({ kind: 'link', ratingA: 150 }, 2).notBeforeS // 1
 */
export function meltsNotBefore(
  fuse: Pick<Fuse, 'kind' | 'ratingA' | 'curve'>,
  multiple: number,
): { readonly notBeforeS: number | null; readonly how: string } {
  if (fuse.curve && fuse.curve.length > 0) {
    const longest =
      multiple > (fuse.curve.at(-1)?.multiple ?? 0) ? null : clearingSeconds(fuse.curve, multiple);
    return longest === null
      ? { notBeforeS: null, how: say`beyond its curve` }
      : { notBeforeS: longest / LONGEST_OVER_SHORTEST, how: say`a fifteenth of its curve` };
  }
  if (fuse.kind !== 'strip' && fuse.kind !== 'link')
    return { notBeforeS: null, how: say`its melting curve is not given` };
  // Between the rating and twice it, it takes at least as long as at twice.
  const within = Math.max(multiple, MELTS_NOT_BEFORE[0]?.multiple ?? 2);
  const last = MELTS_NOT_BEFORE.at(-1);
  const seconds = last && within > last.multiple ? null : clearingSeconds(MELTS_NOT_BEFORE, within);
  return { notBeforeS: seconds, how: say`customary band of bolt-in fuses` };
}

/** A fuse as large as none other of its kind is made, A: where nothing smaller carries the load. */
const LARGEST_A = 600;

/**
 * The fuse to offer for a cable: the smallest standard rating that carries what it really draws, with its heaviest step,
 * at the first end that has none.
 *
 * @param drawnA amps through the cable as it was worked out, by efficiency and lowest battery; null where none is
 */
export function proposedFuse(
  run: Pick<Run, 'load' | 'fuses' | 'duty'>,
  drawnA: number | null,
  overLoad: number,
): Fuse {
  const heaviest = heaviestStepA(run.duty);
  return {
    end: run.fuses.some(({ end }) => end === 'A') ? 'B' : 'A',
    kind: 'class-t',
    ratingA: ratingFor(drawnA ?? nominalAmps(run.load), heaviest, overLoad) ?? LARGEST_A,
    place: 'near',
    distanceMm: 150,
  };
}
