export type ClearanceVerdict = 'does-not-fit' | 'right' | 'acceptable' | 'loose';

/** More than this and the palm loses face and works free, mm. */
export const MOST_CLEARANCE_MM = 1.2;
/** Metal beside the hole, as a share of the hole. */
export const LEAST_WEB_SHARE = 0.5;

/**
 * Clearance a lug hole may have and be right, mm: `max(0.6, 0.09·d)`. Shop practice.
 *
 * @example rightClearanceMm(10) // 0.9
 */
export function rightClearanceMm(studMm: number): number {
  return Math.max(0.6, 0.09 * studMm);
}

/** Hole less stud, mm. @example clearanceVerdict(8, 10.3) // 'loose', at 2.3 mm */
export function clearanceVerdict(studMm: number, holeMm: number): ClearanceVerdict {
  const clearance = holeMm - studMm;
  if (clearance < 0) return 'does-not-fit';
  if (clearance <= rightClearanceMm(studMm) + 1e-9) return 'right';
  return clearance <= MOST_CLEARANCE_MM + 1e-9 ? 'acceptable' : 'loose';
}

/** Metal on each side of the hole, mm. */
export function webMm(palmWidthMm: number, holeMm: number): number {
  return (palmWidthMm - holeMm) / 2;
}
