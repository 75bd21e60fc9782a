import type { HousePractice } from '../../model/housePractice.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import type { Sleeve } from '../../model/shop.ts';

/** A ring of flexible adhesive laid between jacket and lug: how wide and how thick, mm, and its density. Craft practice. */
export const RING = { widthMm: 6, thickMm: 2, gPerCm3: 1.3 } as const;

/** Whether a ring of adhesive is laid under a sleeve: where the shop seals so and the sleeve has no lining of its own. */
export const takesRing = ({ kind }: Pick<Sleeve, 'kind'>, { seal }: Pick<HousePractice, 'seal'>): boolean =>
  seal === 'adhesive ring' && !SLEEVES[kind].adhesive;

/**
 * Adhesive in a ring round a jacket, g: `π·(D + t)·t·w·ρ`.
 *
 * @example sealantG(17) // 0.93
 */
export const sealantG = (jacketMm: number): number =>
  (Math.PI * (jacketMm + RING.thickMm) * RING.thickMm * RING.widthMm * RING.gPerCm3) / 1000;
