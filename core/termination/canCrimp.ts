import { areaMm2, type ConductorSize } from '../conductor/size.ts';
import { type Cable, END_NAMES } from '../job/cable.ts';
import type { Shop } from '../job/shop.ts';
import { lugOffers } from './offers.ts';

/** Whether the shop can put both ends on a size: a lug that suits cable and stud, and a die that suits the lug. */
export function canCrimp(size: ConductorSize, cable: Cable, shop: Shop): boolean {
  return END_NAMES.every((name) => {
    const { stud, crimps } = cable.ends[name];
    const [best] = lugOffers(shop.lugs, areaMm2(size), stud, shop.dies, crimps ?? shop.practice.crimps);
    return best !== undefined && best.refused === null && best.die !== null;
  });
}
