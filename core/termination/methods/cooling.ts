import { COPPER_HEAT } from '../../model/tables/solder.ts';
import type { Lug } from '../../model/shop.ts';
import { wallMm2 } from '../lugs/lugOnCable.ts';

/** Heat that a lug gives to still air by touch and by its glow, W/(m²·K). Confidence: low. */
const LOSS = 14;
/** The air of a shop, °C. */
export const ROOM_C = 20;
/** What can be held, and what a sleeve may meet. */
export const TOUCH_C = 50;

/** What cools: a lug with the copper in it. */
export type CoolingLug = Pick<
  Lug,
  'boreMm' | 'outerMm' | 'barrelMm' | 'palmWidthMm' | 'palmThicknessMm' | 'studToBarrelMm'
>;

/**
 * How long a lug takes to cool in still air, s: `t = (m·c ÷ h·A)·ln((T₀ − T_air) ÷ (T₁ − T_air))`.
 * What runs off along the cable is left out, so the figure is on the safe side.
 *
 * Source: cooling of a lump in air. Confidence: low; a hand near it says more.
 *
 * @param fromC how hot it was
 * @param toC how far it must cool; until it can be held where not given
 * @example coolSeconds(heavy70, 70, 215) // some ten minutes
 */
export function coolSeconds(lug: CoolingLug, copperMm2: number, fromC: number, toC = TOUCH_C): number {
  if (fromC <= toC) return 0;
  const palmMm = lug.studToBarrelMm + lug.palmWidthMm / 2;
  const copperMm3 =
    (wallMm2(lug) + copperMm2) * lug.barrelMm + lug.palmWidthMm * lug.palmThicknessMm * palmMm;
  const heatJPerK = (copperMm3 / 1000) * COPPER_HEAT.densityGPerCm3 * COPPER_HEAT.heatJPerGK;
  const skinMm2 = Math.PI * lug.outerMm * lug.barrelMm + 2 * lug.palmWidthMm * palmMm;
  const lossWPerK = (LOSS * skinMm2) / 1e6;
  return (heatJPerK / lossWPerK) * Math.log((fromC - ROOM_C) / (toC - ROOM_C));
}
