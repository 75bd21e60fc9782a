import type { Cable, Lot } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import { usesSolder } from '../model/method.ts';
import type { Shop } from '../model/shop.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { type Message, msg, verbatim } from '../words/message.ts';
import type { Takes } from './pieces.ts';

/** What is worked out of a cable, as far as it tells what comes in lots. */
type LotWork = Pick<Takes, 'kind' | 'choice' | 'ends'>;

/** Something of a cable that comes in lots: what it is there, and as what it lies on the shelf. */
export interface LotItem {
  /** Its place on the cable: "cable", "lug.A". */
  readonly item: Lot['item'];
  readonly title: Message;
  /** The thing on the shelf whose bag or drum carries the lot. */
  readonly stock: string;
}

/** What of a cable comes in lots, in the order in which it is laid out. */
export function lotItems(work: LotWork): LotItem[] {
  const { size } = work.choice.taken.at;
  const ends = END_NAMES.map((name) => work.ends[name]);
  return [
    {
      item: 'cable',
      title: msg`cable ${sizeNamed(size)}`,
      stock: `cable:${work.kind.id}:${size.system}:${size.name}`,
    },
    ...ends.flatMap(({ name, lug }): LotItem[] =>
      lug ? [{ item: `lug.${name}`, title: msg`lug ${name}, ${lug.label}`, stock: `lug:${lug.id}` }] : [],
    ),
    ...ends.flatMap(({ name, sleeve }): LotItem[] =>
      sleeve
        ? [{ item: `sleeve.${name}`, title: msg`sleeve ${name}`, stock: `sleeve:${sleeve.sleeve.id}` }]
        : [],
    ),
    ...(ends.some(({ method }) => usesSolder(method))
      ? [{ item: 'solder' as const, title: msg`solder`, stock: 'solder' }]
      : []),
    { item: 'label', title: msg`labels`, stock: 'label' },
  ];
}

/** The lot that something on the shelf is taken from now: the last one that was entered; null where none was. */
export const lotInUse = ({ lots }: Pick<Shop, 'lots'>, stock: string): string | null =>
  lots?.findLast((lot) => lot.stock === stock)?.lot ?? null;

/** The lot of a part of a cable, the last that was entered for it; empty where none is known. */
export const lotOf = ({ lots }: Pick<Cable, 'lots'>, item: Lot['item']): string =>
  lots?.findLast((lot) => lot.item === item)?.lot ?? '';

/** Lots in one line: "cable 4711, lug A L2211"; what has none is left out. */
export const lotsSay = (cable: Pick<Cable, 'lots'>, work: LotWork): Message[] =>
  lotItems(work).flatMap(({ item, title }) => {
    const lot = lotOf(cable, item);
    return lot === '' ? [] : [verbatim`${title}: ${lot}`];
  });

/**
 * The lots of a cable as a step of it is ticked: with the first step each of its parts that has none takes along the lot
 * in use.
 *
 * @example lotsBegun(cable, work, shop, { at, by }) // [{ item: 'lug.A', lot: 'L2211', at, by }, …]
 */
export function lotsBegun(
  cable: Pick<Cable, 'lots' | 'done'>,
  work: LotWork,
  shop: Pick<Shop, 'lots'>,
  { at: takenAt, by }: Pick<Lot, 'at' | 'by'>,
): Lot[] {
  const known = cable.lots ?? [];
  if (cable.done.length > 0) return known;
  const taken = lotItems(work).flatMap(({ item, stock }) => {
    const lot = lotOf(cable, item) === '' ? lotInUse(shop, stock) : null;
    return lot === null ? [] : [{ item, lot, at: takenAt, by }];
  });
  return [...known, ...taken];
}
