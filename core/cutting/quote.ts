import type { Taken } from '../model/cable.ts';
import type { Job } from '../model/job.ts';
import type { Shop } from '../model/shop.ts';
import type { Work } from '../finding/finding.ts';
import { msg, numeral, verbatim } from '../words/message.ts';
import { sameSize } from '../model/tables/size.ts';
import type { Kit } from './kit.ts';
import type { ToCut } from './pieces.ts';
import { keyOf, stockTitle, stockUnit, unitPriceOf } from './stockTitle.ts';

/** What a customer is asked: margin and tax, for whom, and how long it stands. */
export type QuoteTerms = NonNullable<Job['quote']>;

export const NO_TERMS: QuoteTerms = { customer: '', marginPercent: 0, taxPercent: 0, validDays: 30 };

/** What a job comes to for a customer, in the shop's currency. */
export interface Quote {
  /** With the margin on them. */
  readonly materials: number;
  readonly work: number;
  readonly hours: number;
  readonly net: number;
  readonly tax: number;
  readonly total: number;
  /** Things of the kit whose price is not known: they are not in it. */
  readonly unpriced: number;
  readonly workings: Work;
}

/**
 * A quotation: materials of the whole kit and what is cut off as scrap, hours at their rate, the margin on both, then tax.
 *
 * @param minutes that all of it takes
 * @example quoteOf({ kit, scrap: 4, minutes: 180, ratePerHour: 45 }, terms).total // (materials + 3 h · 45) · 1.15 · 1.2
 */
export function quoteOf(
  {
    kit,
    scrap,
    minutes,
    ratePerHour,
  }: {
    readonly kit: Pick<Kit, 'lines' | 'price'>;
    readonly scrap: number;
    readonly minutes: number;
    readonly ratePerHour: number;
  },
  { marginPercent, taxPercent }: Pick<QuoteTerms, 'marginPercent' | 'taxPercent'>,
): Quote {
  const margin = 1 + marginPercent / 100;
  const hours = minutes / 60;
  const materials = (kit.price + scrap) * margin;
  const work = hours * ratePerHour * margin;
  const net = materials + work;
  const tax = (net * taxPercent) / 100;
  return {
    ...{ materials, work, hours, net, tax, total: net + tax },
    unpriced: kit.lines.filter(({ need, unitPrice }) => need > 0 && unitPrice === null).length,
    workings: {
      formula: msg`total = (kit + scrap + hours · rate) · (1 + margin) · (1 + tax)`,
      substituted: [
        msg`(${numeral(kit.price, 2)} + ${numeral(scrap, 2)} + ${numeral(hours, 2)} · ${numeral(ratePerHour, 2)}) · ${numeral(margin, 3)} = ${numeral(net, 2)}`,
        msg`${numeral(net, 2)} + ${numeral(tax, 2)} of tax = ${numeral(net + tax, 2)}`,
      ],
      source: msg`prices of the tool case and the shelf, typed by the shop`,
      assumes: msg`all of it new, none from stock, nothing spoilt`,
    },
  };
}

/** What a mm of a cable's own kind and size usually costs; null where its kind is not made in it. */
function usualPrice({ work }: Pick<ToCut, 'work'>): number | null {
  const { size } = work.choice.taken.at;
  const made = work.kind.sizes.find((own) => sameSize(own.size, size));
  return made ? made.pricePerM / 1000 : null;
}

/** What mishaps cost in material. */
export interface Spoilt {
  readonly mishaps: number;
  readonly price: number;
  readonly unpriced: number;
  readonly workings: Work;
}

/**
 * What went wrong with some cables, in money: what each mishap spoilt of what is counted on the shelf, at its price. The
 * hours are in the bench's clock, not here.
 */
export function spoiltOf(cables: readonly ToCut[], shop: Shop): Spoilt {
  const each = cables.flatMap((toCut) =>
    toCut.cable.mishaps.flatMap(({ lost = [] }) =>
      lost.map(({ stock, amount: quantity }: Taken) => {
        const unitPrice =
          unitPriceOf(stock, shop) ?? (keyOf(stock).kind === 'spool' ? usualPrice(toCut) : null);
        const what = msg`${toCut.cable.tag}, ${stockTitle(stock, shop) ?? stock}`;
        const spent = numeral(quantity, stockUnit(stock) === 'g' ? 1 : 0);
        return {
          price: unitPrice === null ? null : unitPrice * quantity,
          says:
            unitPrice === null
              ? msg`${what}: no price`
              : verbatim`${what}: ${spent} · ${numeral(unitPrice, 4)} = ${numeral(unitPrice * quantity, 2)}`,
        };
      }),
    ),
  );
  const price = each.reduce((sum, own) => sum + (own.price ?? 0), 0);
  return {
    mishaps: cables.reduce((sum, { cable }) => sum + cable.mishaps.length, 0),
    price,
    unpriced: each.filter((own) => own.price === null).length,
    workings: {
      formula: msg`Σ what was spoilt · its price, by the piece, mm or g`,
      substituted: [...each.map(({ says }) => says), verbatim`= ${numeral(price, 2)}`],
      source: msg`prices of the tool case and the shelf, typed by the shop`,
      assumes: msg`at the prices of today; the hours are not in it`,
    },
  };
}
