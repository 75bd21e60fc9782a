import { HOLD_S } from '../proof/pullProof.ts';
import type { Value } from './sample.ts';

/** How a pull goes, as the scale sees it. */
export interface Hold {
  readonly state: 'slack' | 'rising' | 'holding' | 'held' | 'slipped';
  /** The most it came to, N. */
  readonly peakN: number;
  /** How long it stood at the force required without a break, s. */
  readonly heldS: number;
  /** The least while it was held, N; what it proves. */
  readonly heldN: number;
  /** How long the scale was silent when that last broke the minute off, s; null where it did not. */
  readonly silentS: number | null;
}

/** Under this share of what is required the rope is slack. */
const SLACK_SHARE = 0.05;
/** A fall to under this share of the peak is a slip, whatever was required. */
const SLIP_SHARE = 0.8;
/** A creeping crimp and a swinging weight let the force fall this much without its counting as let go. */
const GIVE_SHARE = 0.01;
/** Where the scale said nothing for longer, nobody knows whether the force stood meanwhile, s. */
const SILENT_S = 5;

/**
 * What a pull came to: rising, holding, held for its minute, or slipped. The minute begins anew where the force fell, or
 * where the scale was silent.
 *
 * @param forces in the order they came, N
 * @param targetN the force to hold, > 0
 * @example holdOf([{ value: 670, atS: 0 }, { value: 669, atS: 1 }, …, { value: 668, atS: 60 }], 667).state // 'held'
 */
export function holdOf(forces: readonly Value[], targetN: number): Hold {
  const enough = targetN * (1 - GIVE_SHARE);
  let peakN = 0;
  let since: number | null = null;
  let lastS = -Infinity;
  let heldN = 0;
  let heldS = 0;
  let silentS: number | null = null;
  for (const { value, atS } of forces) {
    peakN = Math.max(peakN, value);
    if (peakN > SLACK_SHARE * targetN && value < SLIP_SHARE * peakN) {
      return { state: heldS >= HOLD_S ? 'held' : 'slipped', peakN, heldS, heldN, silentS };
    }
    const isSilent = atS - lastS > SILENT_S;
    if (heldS < HOLD_S && (isSilent || value < enough)) {
      if (isSilent && since !== null) silentS = atS - lastS;
      since = null;
      heldS = 0;
    }
    lastS = atS;
    if (value < enough) continue;
    heldN = since === null ? value : Math.min(heldN, value);
    since ??= atS;
    heldS = Math.max(heldS, atS - since);
  }
  if (heldS >= HOLD_S) return { state: 'held', peakN, heldS, heldN, silentS };
  if (since !== null) return { state: 'holding', peakN, heldS, heldN, silentS };
  return { state: peakN > SLACK_SHARE * targetN ? 'rising' : 'slack', peakN, heldS: 0, heldN: 0, silentS };
}
