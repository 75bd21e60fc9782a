/**
 * Across-flats measured on a low-cost hexagon set, mm, by the mm² stamped on it. A stamp means nothing until its
 * die is measured; these seed a tool case. Confidence: medium, sets differ.
 */
export const LOW_COST_DIE_ACROSS_FLATS = {
  '10': 5.1,
  '16': 6.4,
  '25': 7.6,
  '35': 8.7,
  '50': 10.4,
  '70': 12.4,
  '95': 14.4,
  '120': 16.2,
} as const;

/** Width of such a die along the barrel, mm, by its stamp. Confidence: medium. */
export function lowCostDieWidth(stamp: number): number {
  return stamp <= 50 ? 7 : 9;
}

/** Width of a code die along the barrel, mm: small codes are narrow, for short barrels. Confidence: medium. */
export function codeDieWidth(code: number): number {
  if (code <= 12) return 5;
  return code <= 18 ? 9 : 14;
}

/**
 * Across-flats of a die of the standard code, mm: the code is near the corner-to-corner width.
 *
 * @example codeDieAcrossFlats(16) // 13.86
 */
export function codeDieAcrossFlats(code: number): number {
  return (code * Math.sqrt(3)) / 2;
}
