/** Bands of a lug's excess over its own conductor, K at rated load. Source: maintenance-testing practice. */
export const EXCESS_K = { good: 1, watch: 4, repairNow: 15 } as const;
/** A reading under less than this share of the rated amps says too little. */
export const LEAST_LOAD_SHARE = 0.4;
/** The load must have been on so long, and the lug must have changed by less than this in its last ten minutes. */
export const STEADY = { minutes: 30, driftK: 1 } as const;
/** Warmth grows a little less than with the square of the current. */
export const LOAD_EXPONENT = 1.8;

/**
 * An excess temperature as it would be at rated current, K: `ΔT·(I_rated/I)^1.8`.
 *
 * Source: exponent 1.6 to 2.0 in practice, 1.8 taken.
 *
 * @param excessK measured at `amps`
 * @throws RangeError without a current
 * @example excessAtRated(6.5, 90, 160) // 18.3
 */
export function excessAtRated(excessK: number, amps: number, ratedA: number): number {
  if (amps <= 0 || ratedA <= 0) throw new RangeError('an excess is scaled between two currents');
  return excessK * (ratedA / amps) ** LOAD_EXPONENT;
}

/**
 * Temperature of the strands under a jacket that is warm outside, °C: `T_jacket + W·R_th`.
 *
 * @param wattsPerM what one metre of the conductor gives off
 * @param jacketKmPerW thermal resistance from strands to surface, K·m/W, see `jacketResistance`
 * @example underJacket(48, 9.8, 0.31) // 51.0
 */
export function underJacket(jacketC: number, wattsPerM: number, jacketKmPerW: number): number {
  return jacketC + wattsPerM * jacketKmPerW;
}
