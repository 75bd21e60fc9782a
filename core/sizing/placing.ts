import { type Placing, PLACINGS } from '../model/tables/placings.ts';

/** Bundles of loaded conductors that run together for more than 600 mm: up to `most` of them, this factor. */
const BUNDLE_FACTORS = [
  { most: 2, factor: 1 },
  { most: 3, factor: 0.7 },
  { most: 6, factor: 0.6 },
  { most: 24, factor: 0.5 },
  { most: Number.POSITIVE_INFINITY, factor: 0.4 },
] as const;

/**
 * What placing leaves of the amps a cable may carry free in air.
 *
 * Source: the heat balance and customary practice for one cable and for a pair; for bundles the small-craft table
 * of 50 V and over, which careful shops also apply below. Shop practice, not law.
 *
 * @param loaded conductors carrying current in the bundle; counts only when placing is `bundle`
 * @example placingFactor('bundle', 5) // 0.6
 */
export function placingFactor(placing: Placing, loaded: number): number {
  if (placing !== 'bundle') return PLACINGS[placing].factor;
  const factor = BUNDLE_FACTORS.find(({ most }) => loaded <= most)?.factor ?? 0.4;
  // Two that lie together touch: the stricter of the two factors.
  return loaded >= 2 ? Math.min(factor, PLACINGS.touching.factor) : factor;
}
