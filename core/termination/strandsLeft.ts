import { MANY_STRANDS, STRAND_ALLOWANCES } from '../model/tables/workmanship.ts';
import type { HousePractice } from '../model/housePractice.ts';

/** What is left of a conductor whose strands were cut. */
export interface StrandsLeft {
  readonly count: number;
  readonly cut: number;
  /** Share of the strands left, 0–1. */
  readonly share: number;
  /** How many may be cut at the shop's workmanship class; 0 where the house allows none. */
  readonly allowed: number;
}

/**
 * Strands that a workmanship class lets be plucked out.
 *
 * @example strandsAllowed(398, 'class2') // 23: 6 % of them
 */
export function strandsAllowed(count: number, workmanship: HousePractice['workmanship']): number {
  if (count >= MANY_STRANDS.from) return Math.floor(count * MANY_STRANDS[workmanship]);
  return STRAND_ALLOWANCES.findLast(({ fromStrands }) => count >= fromStrands)?.[workmanship] ?? 0;
}

/** @throws RangeError when more are cut than there are */
export function strandsLeft(count: number, cut: number, practice: HousePractice): StrandsLeft {
  if (cut > count) throw new RangeError(`${cut} of ${count} strands cannot be cut`);
  return {
    count,
    cut,
    share: (count - cut) / count,
    allowed: practice.cutStrands === 'none' ? 0 : strandsAllowed(count, practice.workmanship),
  };
}

/**
 * Allowed amps with strands cut: the loss is local, so what heats there is resistance over a short length, and amps
 * go with the root of what is left.
 *
 * @example ampsWithStrandsCut(270, 389 / 396) // 267.6
 */
export function ampsWithStrandsCut(allowedA: number, shareLeft: number): number {
  return allowedA * Math.sqrt(shareLeft);
}
