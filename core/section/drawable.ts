import { areaMm2 } from '../model/tables/size.ts';
import { strandCount } from '../conductor/strands.ts';
import type { Lug, Shop } from '../model/shop.ts';
import { type Random, shuffled } from '../lib/random.ts';
import type { DrawnSection } from './draw.ts';
import { drawnSectionOf } from './drawnSection.ts';

/** A section of a lug in a die, as its figures say it comes out; null where that is none. */
export function sectionFor(lug: Lug, dieMm: number, shop: Shop, random: Random): DrawnSection | null {
  const copperMm2 = areaMm2(lug.forSize);
  const kind = shop.cableKinds[0];
  return drawnSectionOf(
    {
      boreMm: lug.boreMm,
      outerMm: lug.outerMm,
      dieMm,
      copperMm2,
      strands: strandCount(kind?.strands ?? 'fine', copperMm2),
      tinned: lug.plating === 'tin',
    },
    random,
  );
}

/** A section of some lug and die of the shop, good or bad; null where the shop has no pair that can be drawn. */
export function anySection(shop: Shop, random: Random): DrawnSection | null {
  const lugs = shop.lugs.filter(({ form }) => form === 'tube');
  for (const lug of shuffled(random, lugs)) {
    // Dies near enough to be taken by mistake, the right one among them.
    const near = shop.dies.filter(({ acrossFlatsMm }) => Math.abs(acrossFlatsMm / lug.outerMm - 0.92) < 0.12);
    for (const die of shuffled(random, near)) {
      const spec = sectionFor(lug, die.acrossFlatsMm, shop, random);
      if (spec) return spec;
    }
  }
  return null;
}
