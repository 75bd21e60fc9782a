import { LAYERS } from '../model/tables/layers.ts';
import type { Shop } from '../model/shop.ts';
import { capitalised, type Message, briefly, msg, verbatim } from '../words/message.ts';
import { term } from '../words/terms.ts';

/** How something on the shelf is counted: pieces, mm or g. */
export type StockUnit = '' | 'mm' | 'g';

/** How something on the shelf is counted, by its key there. @example stockUnit('sleeve:s2') // "mm" */
export function stockUnit(stock: string): StockUnit {
  if (stock === 'solder') return 'g';
  const isLength = /^(sleeve|spool):/.test(stock) || (stock.startsWith('layer:') && stock !== 'layer:boot');
  return isLength ? 'mm' : '';
}

/** What something on the shelf is called, by its key there; null where the shop does not know it any more. */
export function stockTitle(stock: string, shop: Shop): Message | null {
  const [kind, id = ''] = stock.split(':', 2);
  switch (kind) {
    case 'lug': {
      const lug = shop.lugs.find((owned) => owned.id === id);
      if (!lug) return null;
      return lug.form === 'butt' ? msg`Connector ${lug.label}` : msg`Lug ${lug.label}`;
    }
    case 'sleeve': {
      const sleeve = shop.sleeves.find((owned) => owned.id === id);
      if (!sleeve) return null;
      const { suppliedMm, recoveredMm, colour } = sleeve;
      return msg`Sleeve ${suppliedMm} / ${recoveredMm}${colour === 'black' ? '' : verbatim` ${term(colour)}`}`;
    }
    case 'spool':
      return shop.spools.find((owned) => owned.id === id)?.label ?? null;
    case 'layer':
      return Object.hasOwn(LAYERS, id) ? capitalised(LAYERS[id as keyof typeof LAYERS].title) : null;
    case 'solder':
      return msg`Solder wire ${briefly(shop.practice.solder.wireMm, 'mm', 2)}, rosin flux`;
    case 'label':
      return msg`Printed label`;
    default:
      return null;
  }
}
