import { type Message, msg, numeral } from '../../words/message.ts';

/**
 * A packing in words: where the lug's own wall fills the die, no figure says how tightly the strands would lie.
 *
 * @example packingSays(Number.POSITIVE_INFINITY, 2) // "solid"
 */
export const packingSays = (kappa: number, decimals: number): Message =>
  Number.isFinite(kappa) ? numeral(kappa, decimals) : msg`solid`;

/** The two ends of what a packing or a compaction can be, in words. @example bandSays(0.98, 1.07) // "0.98 to 1.07" */
export const bandSays = (low: number, high: number): Message =>
  msg`${packingSays(low, 2)} to ${packingSays(high, 2)}`;
