import type { WorkedCable } from '../cableWork.ts';
import type { Kit } from '../cutting/kit.ts';
import { kitQuantity } from '../cutting/kit.ts';
import type { Quote, QuoteTerms } from '../cutting/quote.ts';
import type { Job } from '../model/job.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { figure } from '../model/units/figure.ts';
import { dayText } from '../words/measures.ts';
import { tell } from '../words/message.ts';
import { digits } from '../words/numerals.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';
import type { ListDoc } from './listDoc.ts';

/** What a quotation is written from. */
export interface Quoted {
  readonly job: Pick<Job, 'title'>;
  readonly shop: { readonly name: string; readonly currency: string };
  readonly cables: readonly WorkedCable[];
  readonly kit: Pick<Kit, 'lines'>;
  readonly quote: Quote;
  readonly terms: QuoteTerms;
  /** The day it is written, ISO 8601, and the last day it stands. */
  readonly day: string;
  readonly until: string;
}

/** A quotation for a customer: what is made, of what, the hours, and what it comes to. The margin is in each price. */
export function quotationDoc({ job, shop, cables, kit, quote, terms, day, until }: Quoted): ListDoc {
  const money = (value: number) => `${shop.currency}${digits(value, 2)}`;
  const margin = 1 + terms.marginPercent / 100;
  return {
    title: say`Quotation`,
    subtitle: [job.title, terms.customer.replaceAll('\n', ', '), dayText(day)].filter(Boolean).join(', '),
    columns: [
      { title: say`what`, width: 0.58 },
      { title: say`how much`, width: 0.22, right: true },
      { title: say`price`, width: 0.2, right: true },
    ],
    sections: [
      {
        title: say`Cables, made and proved`,
        rows: cables.map(({ cable, work }) => [
          `${cable.tag}: ${cable.ends.A.at || say`not given`}, ${cable.ends.B.at || say`not given`}`,
          [
            `${tell(sizeNamed(work.choice.taken.at.size))} ${word(cable.jacket)}`,
            work.lengths && figure(work.lengths.finishedMm / 1000, 'm', 2),
          ]
            .filter(Boolean)
            .join(', '),
          '',
        ]),
      },
      {
        title: say`Materials`,
        rows: kit.lines
          .filter(({ need }) => need > 0)
          .map(({ what, unit, need, unitPrice }) => [
            tell(what),
            kitQuantity(need, unit, 1),
            unitPrice === null ? say`not included` : money(need * unitPrice * margin),
          ]),
      },
      {
        title: say`Together`,
        rows: [
          [say`Materials, with what is cut off`, '', money(quote.materials)],
          [say`Work`, say`${digits(quote.hours, 1)} h`, money(quote.work)],
          [say`Before tax`, '', money(quote.net)],
          [say`Tax, ${digits(terms.taxPercent, 1)} %`, '', money(quote.tax)],
          [say`To pay`, '', money(quote.total)],
        ],
      },
    ],
    foot: say`${shop.name}. Valid until ${dayText(until)}. Fitting, and what local codes require of a licensed person, are not included.`,
  };
}
