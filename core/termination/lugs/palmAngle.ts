import { radians } from '../../lib/angle.ts';
import type { Lug } from '../../model/shop.ts';

type Bent = Pick<Lug, 'studToBarrelMm' | 'angleDeg' | 'offsetMm'>;

/** Whether a palm lies in the line of its barrel. */
export const isStraight = ({ angleDeg, offsetMm }: Pick<Lug, 'angleDeg' | 'offsetMm'>): boolean =>
  angleDeg === 0 && offsetMm === 0;

/**
 * From the stud's centre to the bottom of the barrel along the cable, mm: `a · cos α`, with the palm bent where the
 * barrel ends. Along the palm it is `a`, as measured; of a straight lug both are the same.
 *
 * @example reachMm({ studToBarrelMm: 20, angleDeg: 60, offsetMm: 0 }) // 10
 */
export const reachMm = ({ studToBarrelMm, angleDeg }: Bent): number =>
  studToBarrelMm * Math.cos(radians(angleDeg));

/**
 * How far the hole lies beside the barrel's own line, mm: `a · sin α + offset`.
 *
 * @example asideMm({ studToBarrelMm: 20, angleDeg: 90, offsetMm: 0 }) // 20
 */
export const asideMm = ({ studToBarrelMm, angleDeg, offsetMm }: Bent): number =>
  studToBarrelMm * Math.sin(radians(angleDeg)) + offsetMm;
