import type { Value } from './sample.ts';

/** So many in a row must agree. */
const IN_A_ROW = 5;
/** Within so many steps of the instrument, or this share of the figure. */
const STEPS = 3;
const SHARE = 0.004;

/**
 * The figure an instrument has settled on: the mean of the last five where they agree; null while it still moves.
 * An instrument that says of itself that it is settling is believed.
 *
 * @param resolution of the instrument, in the unit of the values
 */
export function settledValue(values: readonly Value[], resolution: number): number | null {
  const last = values.slice(-IN_A_ROW);
  if (last.length < IN_A_ROW || last.some(({ settled }) => settled === false)) return null;
  const figures = last.map(({ value }) => value);
  const mean = figures.reduce((sum, value) => sum + value, 0) / IN_A_ROW;
  const spread = Math.max(...figures) - Math.min(...figures);
  return spread <= Math.max(STEPS * resolution, SHARE * Math.abs(mean)) ? mean : null;
}

/**
 * Resistance with the current both ways: the mean of the two, and how far a thermal voltage had put each of them off.
 *
 * @example bothWays(0.0152, 0.0144) // { milliohm: 0.0148, offset: 0.0004 }
 */
export function bothWays(forward: number, reverse: number): { milliohm: number; offset: number } {
  return { milliohm: (forward + reverse) / 2, offset: Math.abs(forward - reverse) / 2 };
}
