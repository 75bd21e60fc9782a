import { cautionsTold } from './cautionsTold.ts';
import { tell } from '../words/message.ts';
import { word } from '../words/terms.ts';
import { sizeNamed } from '../model/tables/size.ts';
import type { WorkedCable } from '../cableWork.ts';
import { lotItems, lotOf } from '../cutting/lots.ts';
import { CAUTIONS, type CautionId } from '../model/cautions.ts';
import { figure } from '../model/units/figure.ts';
import { say } from '../words/say.ts';

/** One line of a printed traveller. */
export interface TravellerLine {
  readonly number: number;
  readonly order: string;
  readonly detail: string;
  readonly figure: string;
  /** What must be true first. */
  readonly gates: string;
  /** Between what a measured figure may lie; empty where nothing is measured. */
  readonly limit: string;
}

/** The steps of one cable on paper: boxes to tick, lines to write on, cautions before all. */
export interface TravellerDoc {
  readonly title: string;
  readonly subtitle: string;
  readonly facts: readonly string[];
  readonly cautions: readonly { readonly title: string; readonly items: readonly string[] }[];
  readonly lines: readonly TravellerLine[];
  /** Each thing that comes in lots; its lot is empty where it is to be written in. */
  readonly lots: readonly { readonly title: string; readonly lot: string }[];
  readonly foot: string;
}

/** The traveller of a cable for paper; no lines while it cannot be made. */
export function travellerDoc({ cable, work }: WorkedCable, jobTitle: string): TravellerDoc {
  const { steps, lengths, ends } = work;
  const met = [...new Set(steps.flatMap(({ caution }) => (caution ? [caution.of] : [])))];
  const order = Object.keys(CAUTIONS) as CautionId[];
  return {
    title: say`Traveller ${cable.tag}`,
    subtitle: say`${jobTitle}: ${cable.ends.A.at} to ${cable.ends.B.at}`,
    facts: [
      `${word(cable.polarity)}, ${tell(sizeNamed(work.choice.taken.at.size))} ${work.kind.title.toLowerCase()}, ${word(cable.jacket)}`,
      ...(lengths
        ? [say`cut ${figure(lengths.cutMm, 'mm', 0)}, finished ${figure(lengths.finishedMm, 'mm', 0)}`]
        : []),
      ...[ends.A, ends.B].map(
        ({ name, lug, die, method }) =>
          `${name}: ${lug?.label ?? say`no lug`}, ${word(method)}${die ? say`, die ${die.die.stamp || say`unmarked`}` : ''}`,
      ),
      say`palms at ${cable.palmAngleDeg}°`,
    ],
    cautions: cautionsTold(order.filter((id) => met.includes(id))),
    lines: steps.map((step, i) => ({
      number: i + 1,
      order: step.end ? `${step.end}: ${tell(step.order)}` : tell(step.order),
      detail: tell(step.detail),
      figure: step.figure
        ? `${step.figure.unit === '°' ? `${step.figure.value}°` : figure(step.figure.value, step.figure.unit, step.figure.decimals)} ${tell(step.figure.means)}`
        : '',
      gates: step.gates
        .filter(({ id }) => id !== 'order')
        .map(({ says }) => tell(says))
        .join('; '),
      limit: step.ask
        ? `${step.ask.least > 0 ? say`${figure(step.ask.least, '', step.ask.decimals)} to ` : say`at most `}${figure(step.ask.most, step.ask.unit, step.ask.decimals)}`
        : '',
    })),
    lots: lotItems(work).map(({ item, title }) => ({ title: tell(title), lot: lotOf(cable, item) })),
    foot: say`Planning figures only. Local codes, class rules and licensed electricians take precedence.`,
  };
}
