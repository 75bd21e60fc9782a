/** At most this is good: the joint passes as well as its own barrel length of cable. */
export const GOOD_INDEX = 1.0;
/** Up to this it is watched; more fails. Shop practice. */
export const WATCH_INDEX = 1.5;
/** A stretch of plain cable to compare with must be at least so long, mm. */
export const LEAST_PLAIN_MM = 300;

/** What is probed: from the lug's shoulder over the crimp to a point on the cable beyond its mouth. */
export interface ProbedJoint {
  readonly milliohm: number;
  readonly beyondMm: number;
  readonly barrelMm: number;
  /** Resistance of the same cable where it has no joint. */
  readonly milliohmPerM: number;
}

/**
 * How a crimp conducts, against its own barrel length of plain cable: `(R − r·x)/(r·L_barrel)`.
 *
 * Source: four-wire reading across the crimp, compared with the same cable at the same temperature; 1.0 and 1.5 are
 * shop settings.
 *
 * @returns negative where the reading is less than the cable alone must have: a probe or a length is wrong
 * @throws RangeError when barrel or cable have no length or resistance
 * @example jointIndex({ milliohm: 0.0224, beyondMm: 30, barrelMm: 18, milliohmPerM: 0.372 }) // 1.68
 */
export function jointIndex({ milliohm, beyondMm, barrelMm, milliohmPerM }: ProbedJoint): number {
  if (barrelMm <= 0 || milliohmPerM <= 0) throw new RangeError('a joint has a barrel and a cable');
  return (milliohm - (milliohmPerM * beyondMm) / 1000) / barrelOf(barrelMm, milliohmPerM);
}

/** Resistance of one barrel length of plain cable, mΩ: what an index of 1 stands for. */
export const barrelOf = (barrelMm: number, milliohmPerM: number) => (milliohmPerM * barrelMm) / 1000;
