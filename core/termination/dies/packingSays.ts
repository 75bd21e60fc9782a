import { digits } from '../../model/units/figure.ts';
import { say } from '../../words/say.ts';

/**
 * A packing in words: where the lug's own wall fills the die, no figure says how tightly the strands would lie.
 *
 * @example packingSays(Number.POSITIVE_INFINITY, 2) // "solid"
 */
export const packingSays = (kappa: number, decimals: number): string =>
  Number.isFinite(kappa) ? digits(kappa, decimals) : say`solid`;

/** The two ends of what a packing or a compaction can be, in words. @example bandSays(0.98, 1.07) // "0.98 to 1.07" */
export const bandSays = (low: number, high: number): string =>
  say`${packingSays(low, 2)} to ${packingSays(high, 2)}`;
