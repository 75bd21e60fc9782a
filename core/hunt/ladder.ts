import { type Hunt, loadedOf } from '../model/hunt.ts';
import type { Suspect } from './suspect.ts';
import { type HuntFound, huntAmps } from './suspects.ts';

/** The volts that are left before and after a piece, as measured and as they should be. */
export interface Rung {
  readonly place: number;
  readonly millivolt: number;
  readonly shouldMillivolt: number;
  readonly from: number;
  readonly to: number;
  readonly shouldFrom: number;
  readonly shouldTo: number;
  /** Read by itself; shared out among pieces known together where not; taken as it should be where nothing is known. */
  readonly known: 'alone' | 'together' | 'not at all';
}

/** The volts left along the chain, from the positive post over the load to the negative post. */
export interface Ladder {
  readonly amps: number;
  readonly startV: number;
  readonly rungs: readonly Rung[];
  /** How many rungs lie before the load. */
  readonly outCount: number;
  /** Lost on the way out and back, mV. */
  readonly outMillivolt: number;
  readonly backMillivolt: number;
  /** What is left for the load when both ways are taken off, V. */
  readonly loadV: number;
  readonly loadShouldV: number;
}

/** What a piece takes, mΩ, with what is known only together shared out: each what it should, and its part of the rest. */
function sharedMilliohm({ milliohm, shouldMilliohm, excessMilliohm }: Suspect): number {
  return milliohm ?? shouldMilliohm + excessMilliohm;
}

/**
 * The ladder of volts of a hunt; null while the volts at the posts or the amps are not known.
 *
 * @example ladderOf(hunt, huntFound(hunt))?.loadV // 22.87
 */
export function ladderOf(hunt: Hunt, found: HuntFound): Ladder | null {
  const amps = huntAmps(hunt);
  const startV = hunt.loaded.postsV ?? hunt.restV;
  if (!(amps > 0) || startV === undefined || hunt.pieces.length === 0) return null;
  let [left, should] = [startV, startV];
  const rungs = found.pieces.map((highest): Rung => {
    const millivolt = sharedMilliohm(highest) * amps;
    const shouldMillivolt = highest.shouldMilliohm * amps;
    const [from, shouldFrom] = [left, should];
    left -= millivolt / 1000;
    should -= shouldMillivolt / 1000;
    const known =
      highest.among.length === 0 ? 'not at all' : highest.among.length === 1 ? 'alone' : 'together';
    return {
      place: highest.place,
      millivolt,
      shouldMillivolt,
      from,
      to: left,
      shouldFrom,
      shouldTo: should,
      known,
    };
  });
  const outCount = hunt.pieces.filter(({ side }) => side === 'out').length;
  const lost = (of: readonly Rung[]) => of.reduce((all, { millivolt }) => all + millivolt, 0);
  return {
    amps,
    startV,
    rungs,
    outCount,
    outMillivolt: lost(rungs.slice(0, outCount)),
    backMillivolt: lost(rungs.slice(outCount)),
    loadV: loadedOf(hunt)?.loadV ?? left,
    loadShouldV: should,
  };
}
