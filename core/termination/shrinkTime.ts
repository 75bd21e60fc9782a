import { COPPER_HEAT, SHRINK_HEAT } from '../model/tables/solder.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { ROOM_C } from './methods/cooling.ts';
import { wallMm2 } from './lugs/lugOnCable.ts';
import type { ResolvedEnd } from './resolveEnd.ts';
import { secondsToHeat } from './methods/solder.ts';

/** Where a sleeve has shrunk and its adhesive runs, °C. Source: usual of dual wall polyolefin; its sheet governs. */
export const SHRUNK_C = 120;
/** To warm a sleeve by a kelvin, J/(mm³·K). Source: polyolefin, 2.0 MJ/(m³·K). */
const SLEEVE_HEAT = 2.0e-3;

/** Heat that a sleeve and the barrel under it take up on the way, J; null where the end has no sleeve. */
export function shrinkHeatJ({ lug, sleeve, copperMm2 }: Pick<ResolvedEnd, 'lug' | 'sleeve' | 'copperMm2'>) {
  if (!lug || !sleeve) return null;
  const riseK = SHRUNK_C - ROOM_C;
  const copperG = ((wallMm2(lug) + copperMm2) * lug.barrelMm * COPPER_HEAT.densityGPerCm3) / 1000;
  const sleeveMm3 = Math.PI * lug.outerMm * sleeve.wallMm * sleeve.coverMm;
  return (copperG * COPPER_HEAT.heatJPerGK + sleeveMm3 * SLEEVE_HEAT) * riseK;
}

/** Heat that gets into a sleeve from the gun or the flame on it, W: `h·π·D·L·(T_air − T_mean)`. */
export function shrinkInW(outerMm: number, coverMm: number, shrinkBy: HousePractice['shrinkBy']): number {
  const { airC, filmWPerM2K } = SHRINK_HEAT[shrinkBy];
  return filmWPerM2K * Math.PI * outerMm * coverMm * 1e-6 * (airC - (SHRUNK_C + ROOM_C) / 2);
}

/**
 * How long a sleeve takes to shrink, s: the barrel under it has to get hot too, or its adhesive does not wet the
 * metal, while the cable leads heat away. Null where the end has no sleeve.
 *
 * Source: as {@link secondsToHeat}, to 120 °C. Confidence: low; the bead at both ends says when it is done.
 *
 * @example shrinkSeconds(an end of 70 mm², { shrinkBy: 'heat gun' }) // a minute or so
 */
export function shrinkSeconds(
  end: Pick<ResolvedEnd, 'lug' | 'sleeve' | 'copperMm2'>,
  { shrinkBy }: Pick<HousePractice, 'shrinkBy'>,
): number | null {
  const heatJ = shrinkHeatJ(end);
  if (heatJ === null || !end.lug || !end.sleeve) return null;
  const inW = shrinkInW(end.lug.outerMm, end.sleeve.coverMm, shrinkBy);
  return secondsToHeat(heatJ, end.copperMm2, SHRUNK_C - ROOM_C, inW);
}
