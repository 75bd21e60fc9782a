import { MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';

/** A crimp springs back a little: the hexagon may measure this share over the closed die. Shop practice. */
export const SPRING_BACK = 0.02;
/** Flash at the parting line before filing, mm. Shop practice. */
export const MOST_EARS_MM = 0.5;

/**
 * The window a crimp must measure across flats, mm: from the closed die, less what a calliper can be off, to 2 %
 * over it. Under it, it was another die; over it, the die did not shut.
 *
 * @example acrossFlatsWindow(14) // 13.9 to 14.28
 */
export function acrossFlatsWindow(dieMm: number): { leastMm: number; mostMm: number } {
  return { leastMm: dieMm - MEASURE_TOLERANCE_MM, mostMm: dieMm * (1 + SPRING_BACK) };
}
