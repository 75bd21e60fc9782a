/** How the strands fill the bore. */
export type FillVerdict = 'cannot-enter' | 'tight' | 'right' | 'loose' | 'wrong-lug';

/** How far flats and diameters may be off as a calliper measures them, mm. */
export const MEASURE_TOLERANCE_MM = 0.1;

/** Shares of the bore at which the verdict changes. */
export const FILL = { cannotEnter: 0.76, tight: 0.72, right: 0.53, loose: 0.45 } as const;
/** A mouth that opens out gathers the strands: so much more of the bore may be copper. A shop setting. */
export const FLARED_TAKES = 0.02;

/** A tube lug thinner than this share of the conductor is light. */
export const LIGHT_WALL = 0.8;

export function circleMm2(diameterMm: number): number {
  return (Math.PI / 4) * diameterMm ** 2;
}

/**
 * Share of the bore that is copper: `n·A/A_bore`.
 *
 * @param copperMm2 of all conductors in the barrel together, mm²
 * @example boreFill(33.63, 8.5) // 0.593
 */
export function boreFill(copperMm2: number, boreMm: number): number {
  return copperMm2 / circleMm2(boreMm);
}

/**
 * What a bore fill means. Strands are never cut to make a cable enter: a fill of 0.76 or more is refused, 0.78 where the
 * mouth is flared.
 */
export function fillVerdict(fill: number, isFlared = false): FillVerdict {
  const more = isFlared ? FLARED_TAKES : 0;
  if (fill >= FILL.cannotEnter + more) return 'cannot-enter';
  if (fill >= FILL.tight + more) return 'tight';
  if (fill >= FILL.right) return 'right';
  if (fill >= FILL.loose) return 'loose';
  return 'wrong-lug';
}

/** Share of the bore that is right to fill, from least to most. */
export const fillWindow = ({ flared }: { readonly flared: boolean }) => ({
  least: FILL.right,
  most: FILL.tight + (flared ? FLARED_TAKES : 0),
});

/** Metal in the barrel's wall, mm²; none where the bore is no smaller than the outside, which cannot be. @example wallMm2({ outerMm: 16.5, boreMm: 11.5 }) // 109.96 */
export function wallMm2(barrel: { readonly outerMm: number; readonly boreMm: number }): number {
  return Math.max(0, circleMm2(barrel.outerMm) - circleMm2(barrel.boreMm));
}
