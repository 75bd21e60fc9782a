import type { LugBarrel } from '../tables/lugFamilies.ts';

/** The flat of a lug. */
export interface Palm {
  readonly widthMm: number;
  readonly thicknessMm: number;
  /** From the centre of the hole to the bottom of the barrel, mm. */
  readonly studToBarrelMm: number;
}

/**
 * The palm a lug pressed from its own tube has, until it is measured.
 *
 * Source: typical geometry: width `max(π·bore/2 + (OD − bore), 2·hole)`, thickness `OD − bore`, stud centre to the
 * bottom of the barrel `0.9·hole + 0.5·OD + 3`. Confidence: medium.
 *
 * @example typicalPalm({ boreMm: 11.5, outerMm: 16.5, barrelMm: 28 }, 10.5).studToBarrelMm // 20.7
 */
export function typicalPalm(barrel: LugBarrel, holeMm: number): Palm {
  const walls = barrel.outerMm - barrel.boreMm;
  return {
    widthMm: Math.max((Math.PI * barrel.boreMm) / 2 + walls, 2 * holeMm),
    thicknessMm: walls,
    studToBarrelMm: 0.9 * holeMm + 0.5 * barrel.outerMm + 3,
  };
}
