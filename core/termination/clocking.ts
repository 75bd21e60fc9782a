import type { CableKind } from '../model/shop.ts';

/** Shear of the jacket's surface that hands put into a cable and it keeps without springing, by its strands. */
const HAND_SHEAR: Readonly<Record<CableKind['strands'], number>> = {
  coarse: 0.002,
  fine: 0.006,
  'extra fine': 0.015,
};

/** How closely one clocks a lug by eye and a line across lug and jacket, degrees. */
export const CLOCKING_TOLERANCE_DEG = 5;

/**
 * How far a finished cable can still be twisted to meet its studs, degrees either way: `θ = γ · L / r`.
 *
 * Source: shop practice; a stiff thick cable of a metre gives about ten degrees. Confidence: low.
 *
 * @param lengthMm between the barrels
 * @example twistLeftDeg('coarse', 1000, 20) // 11.5
 */
export function twistLeftDeg(strands: CableKind['strands'], lengthMm: number, outerMm: number): number {
  return ((HAND_SHEAR[strands] * lengthMm) / (outerMm / 2)) * (180 / Math.PI);
}
