import { type Guard, GUARDS } from '../model/tables/guards.ts';
import { LAYERS } from '../model/tables/layers.ts';
import { MOULDED } from '../model/tables/moulded.ts';
import { ADAPTERS } from '../model/tables/posts.ts';
import type { Shop } from '../model/shop.ts';
import { capitalised, type Message, briefly, msg, verbatim } from '../words/message.ts';
import { term } from '../words/terms.ts';

/** The key of something on the shelf in its parts; what is there once has no id. @example keyOf('lug:l4') // { kind: 'lug', id: 'l4' } */
export function keyOf(stock: string): { readonly kind: string; readonly id: string } {
  const [kind = '', id = ''] = stock.split(':', 2);
  return { kind, id };
}

/** How something on the shelf is counted: pieces, mm or g. */
export type StockUnit = '' | 'mm' | 'g';

const isGuardByLength = (kind: string, id: string) =>
  kind === 'guard' && Object.hasOwn(GUARDS, id) && GUARDS[id as Guard].cutMm !== null;

/** How something on the shelf is counted, by its key there. @example stockUnit('sleeve:s2') // "mm" */
export function stockUnit(stock: string): StockUnit {
  const { kind, id } = keyOf(stock);
  if (['solder', 'flux', 'sealant'].includes(kind)) return 'g';
  return ['sleeve', 'spool'].includes(kind) ||
    (kind === 'layer' && id !== 'boot') ||
    isGuardByLength(kind, id)
    ? 'mm'
    : '';
}

const titleIn = (
  table: Readonly<Record<string, { readonly title: Message }>>,
  id: string,
): Message | null => {
  const facts = Object.hasOwn(table, id) ? table[id] : undefined;
  return facts ? capitalised(facts.title) : null;
};

/** What something on the shelf is called, by its key there; null where the shop does not know it any more. */
export function stockTitle(stock: string, shop: Shop): Message | null {
  const { kind, id } = keyOf(stock);
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
      return titleIn(LAYERS, id);
    case 'solder':
      return msg`Solder wire ${briefly(shop.practice.solder.wireMm, 'mm', 2)}, rosin flux`;
    case 'label':
      return msg`Printed label`;
    case 'slug':
      return msg`Solder slug for ${id}, pre-fluxed`;
    case 'flux':
      return msg`Rosin flux`;
    case 'sealant':
      return msg`Flexible adhesive`;
    case 'adapter':
      return titleIn(ADAPTERS, id);
    case 'moulded':
      return titleIn(MOULDED, id);
    case 'guard':
      return titleIn(GUARDS, id);
    case 'hardware':
      return msg`Nut and washers ${id}`;
    default:
      return null;
  }
}

/** Solder is priced by 100 g, what is cut from a length by the metre. */
const PRICED_BY = { '': 1, mm: 1000, g: 100 } as const;

/** What a piece, a mm or a g of something on the shelf costs, as the shop says; null where it does not. */
export function unitPriceOf(
  stock: string,
  shop: Pick<Shop, 'lugs' | 'sleeves' | 'spools' | 'shelf'>,
): number | null {
  const { kind, id } = keyOf(stock);
  const isIt = (owned: { readonly id: string }) => owned.id === id;
  if (kind === 'lug') return shop.lugs.find(isIt)?.price || null;
  const price =
    kind === 'sleeve'
      ? shop.sleeves.find(isIt)?.pricePerM
      : kind === 'spool'
        ? shop.spools.find(isIt)?.pricePerM
        : shop.shelf?.find((entry) => entry.stock === stock)?.price;
  return price === undefined ? null : price / PRICED_BY[stockUnit(stock)];
}
