/** Clear barrel to leave, mm: at the palm end, at the mouth, and between crimps. */
export const CRIMP_SPACING = { palmMm: 2, mouthMm: 2, betweenMm: 1.5 } as const;

/**
 * How many crimps of a die's width a barrel takes.
 *
 * @example crimpsThatFit(28, 7) // 3
 */
export function crimpsThatFit(barrelMm: number, dieWidthMm: number): number {
  const { palmMm, mouthMm, betweenMm } = CRIMP_SPACING;
  const room = barrelMm - palmMm - mouthMm + betweenMm;
  return Math.max(0, Math.floor((room + 1e-9) / (dieWidthMm + betweenMm)));
}

/**
 * Middles of the crimps, mm from the mouth, nearest the mouth first: evenly spread, the spare barrel shared between
 * mouth, gaps and palm in the proportion each needs.
 *
 * @throws RangeError when the crimps do not fit
 * @example crimpCentres(28, 7, 2) // [8.6, 19.4]: 5.1 clear at the mouth, 3.8 between
 */
export function crimpCentres(barrelMm: number, dieWidthMm: number, count: number): number[] {
  if (count > crimpsThatFit(barrelMm, dieWidthMm)) {
    throw new RangeError(`${count} crimps of ${dieWidthMm} mm do not fit a ${barrelMm} mm barrel`);
  }
  const { palmMm, mouthMm, betweenMm } = CRIMP_SPACING;
  const needed = mouthMm + palmMm + (count - 1) * betweenMm;
  const share = (barrelMm - count * dieWidthMm) / needed;
  return Array.from({ length: count }, (_, i) => share * (mouthMm + i * betweenMm) + (i + 0.5) * dieWidthMm);
}
