import type { CableKind } from '../model/shop.ts';

/**
 * Diameter of one strand, mm, by how finely a cable is stranded.
 *
 * Source: largest strand of IEC 60228 class 5 and 6 by size; coarse as usual on stiff battery cable. They are
 * greatest diameters, so a counted cable may have more strands.
 */
export function strandMm(strands: CableKind['strands'], copperMm2: number): number {
  switch (strands) {
    case 'coarse':
      return copperMm2 < 50 ? 0.67 : 0.8;
    case 'fine':
      return copperMm2 > 50 ? 0.5 : 0.4;
    case 'extra fine':
      return 0.2;
  }
}

/**
 * About how many strands a conductor has: its copper over one strand's.
 *
 * @example strandCount('fine', 50) // 398
 */
export function strandCount(strands: CableKind['strands'], copperMm2: number): number {
  return Math.round(copperMm2 / ((Math.PI / 4) * strandMm(strands, copperMm2) ** 2));
}
