import { COPPER } from '../../conductor/copper.ts';
import type { Lug } from '../../model/shop.ts';
import { circleMm2, wallMm2 } from './lugOnCable.ts';

/** Copper of a lug, g: its barrel, and its palm less the hole. */
export function lugMassG(lug: Lug): number {
  const barrel = wallMm2(lug) * lug.barrelMm;
  const palm =
    lug.palmThicknessMm *
    (lug.palmWidthMm * (lug.studToBarrelMm + lug.palmWidthMm / 2) - circleMm2(lug.holeMm));
  return ((barrel + Math.max(0, palm)) * COPPER.density) / 1e6;
}
