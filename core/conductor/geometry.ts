import { COPPER } from './copper.ts';

/** Share of a strand bundle that is copper, unless the cable's data say otherwise. */
export const STRAND_PACKING = 0.72;

/** Jacket compounds weigh about this much, kg/m³; a data sheet governs. */
const JACKET_DENSITY = 1400;

/**
 * Diameter of a strand bundle, mm: `√(4·A/(π·f))`.
 *
 * @param packing share of the bundle that is copper, 0.6–0.9
 * @example bundleDiameterMm(70) // 11.13
 */
export function bundleDiameterMm(copperMm2: number, packing = STRAND_PACKING): number {
  return Math.sqrt((4 * copperMm2) / (Math.PI * packing));
}

/**
 * Mass of one metre of single-core cable, kg/m: by its data sheet where that says it, else its copper, and the ring of
 * jacket round the bundle.
 */
export function cableMassPerMetre(
  copperMm2: number,
  { outerMm, gPerM }: { readonly outerMm: number; readonly gPerM?: number | undefined },
): number {
  if (gPerM !== undefined) return gPerM / 1000;
  const jacketMm2 = Math.max(0, (Math.PI / 4) * (outerMm ** 2 - bundleDiameterMm(copperMm2) ** 2));
  return (copperMm2 * COPPER.density + jacketMm2 * JACKET_DENSITY) * 1e-6;
}

/** A jacket is no thinner than this on any side, and usually about so thick, mm. */
const JACKET_WALL_MM = { least: 0.2, usual: 1.5 } as const;

/** The least that a cable of so much copper can measure over its jacket, mm. @example leastOuterMm(70) // 11.5 */
export const leastOuterMm = (copperMm2: number): number =>
  Math.max(2, bundleDiameterMm(copperMm2) + 2 * JACKET_WALL_MM.least);

/** What one of so much copper usually measures, to a tenth, until its sheet gives it, mm. @example usualOuterMm(70) // 14.1 */
export const usualOuterMm = (copperMm2: number): number =>
  Math.round(10 * (bundleDiameterMm(copperMm2) + 2 * JACKET_WALL_MM.usual)) / 10;
