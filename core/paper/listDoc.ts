import { tell, bare } from '../words/message.ts';
import { word } from '../words/terms.ts';
import { sizeNamed } from '../model/tables/size.ts';
import type { CutPlan } from '../cutting/cutPlan.ts';
import type { Kit, KitLine } from '../cutting/kit.ts';
import type { CutGroup } from '../cutting/pieces.ts';
import type { WorkedCable } from '../cableWork.ts';
import { digits } from '../words/numerals.ts';
import { say } from '../words/say.ts';
import { figure } from '../model/units/figure.ts';
import { measuredUnit } from '../words/measures.ts';
import { kitQuantity } from '../cutting/kit.ts';

/** A list to be printed: the same for the screen, the page and the PDF. */
export interface ListDoc {
  readonly title: string;
  readonly subtitle: string;
  readonly columns: readonly {
    readonly title: string;
    /** Share of the page's width. */
    readonly width: number;
    readonly right?: boolean;
  }[];
  readonly sections: readonly { readonly title: string; readonly rows: readonly (readonly string[])[] }[];
  /** Printed at the foot: what the list is not. */
  readonly foot: string;
}

const FOOT = say`Planning figures only. Local codes, class rules and licensed electricians take precedence.`;
const mm = (value: number) => tell(bare(value, 'mm', 0));

/** The cutting list: spool by spool, in the order of cutting, with a box to tick. */
export function cuttingListDoc(
  jobTitle: string,
  plans: readonly { readonly group: CutGroup; readonly plan: CutPlan }[],
): ListDoc {
  return {
    title: say`Cutting list`,
    subtitle: jobTitle,
    columns: [
      { title: say`tag`, width: 0.22 },
      { title: say`from`, width: 0.28 },
      { title: say`cut, ${measuredUnit('mm')}`, width: 0.2, right: true },
      { title: say`left on it, ${measuredUnit('mm')}`, width: 0.2, right: true },
      { title: say`done`, width: 0.1, right: true },
    ],
    sections: plans
      .filter(({ group }) => group.pieces.length > 0)
      .map(({ group, plan }) => ({
        title: `${tell(group.title)}, ${group.kindTitle.toLowerCase()}`,
        rows: [
          ...plan.spools.flatMap(({ stock, pieces, restMm }) =>
            pieces.map(({ label, lengthMm }, i) => [
              label,
              group.spools.find(({ id }) => id === stock.id)?.label ?? stock.id,
              mm(lengthMm),
              i === pieces.length - 1 ? mm(restMm) : '',
              '[  ]',
            ]),
          ),
          ...plan.unplaced.map(({ label, lengthMm }) => [label, say`to buy`, mm(lengthMm), '', '[  ]']),
        ],
      })),
    foot: FOOT,
  };
}

const KIT_TITLES = {
  cable: say`Cable`,
  lugs: say`Lugs and connectors`,
  sleeves: say`Sleeves`,
  layers: say`Other layers`,
  solder: say`Solder`,
  hardware: say`Adapters and hardware`,
  labels: say`Labels`,
} as const;

/** The kit list: what to lay out, what is on the shelf, what to buy. */
export function kitDoc(jobTitle: string, { lines, massG }: Kit): ListDoc {
  const amount = (value: number, unit: KitLine['unit']) => kitQuantity(value, unit, 1);
  return {
    title: say`Kit list`,
    subtitle: say`${jobTitle}, ${figure(massG / 1000, 'kg', 1)}`,
    columns: [
      { title: say`what`, width: 0.34 },
      { title: '', width: 0.27 },
      { title: say`need`, width: 0.13, right: true },
      { title: say`shelf`, width: 0.14, right: true },
      { title: say`buy`, width: 0.12, right: true },
    ],
    sections: (Object.keys(KIT_TITLES) as (keyof typeof KIT_TITLES)[])
      .map((group) => ({
        title: KIT_TITLES[group],
        rows: lines
          .filter((line) => line.group === group)
          .map(({ what, note, need, have, buy, unit }) => [
            tell(what),
            tell(note),
            amount(need, unit),
            have === null ? say`not counted` : amount(have, unit),
            buy > 0 ? amount(buy, unit) : '',
          ]),
      }))
      .filter(({ rows }) => rows.length > 0),
    foot: FOOT,
  };
}

/** The cable schedule: one line a cable. */
export function scheduleDoc(jobTitle: string, cables: readonly WorkedCable[]): ListDoc {
  return {
    title: say`Cable schedule`,
    subtitle: jobTitle,
    columns: [
      { title: say`tag`, width: 0.09 },
      { title: say`pole`, width: 0.09 },
      { title: say`from`, width: 0.2 },
      { title: say`to`, width: 0.2 },
      { title: say`amps`, width: 0.08, right: true },
      { title: say`cable`, width: 0.18 },
      { title: say`finished, ${measuredUnit('mm')}`, width: 0.08, right: true },
      { title: say`cut, ${measuredUnit('mm')}`, width: 0.08, right: true },
    ],
    sections: [
      {
        title: '',
        rows: cables.map(({ cable, work }) => [
          cable.tag,
          word(cable.polarity),
          `${cable.ends.A.at}, ${cable.ends.A.stud}`,
          `${cable.ends.B.at}, ${cable.ends.B.stud}`,
          work.choice.taken.at.currentA === null ? say`none` : digits(work.choice.taken.at.currentA, 0),
          `${tell(sizeNamed(work.choice.taken.at.size))} ${word(cable.jacket)}`,
          work.lengths ? mm(work.lengths.finishedMm) : '',
          work.lengths ? mm(work.lengths.cutMm) : '',
        ]),
      },
    ],
    foot: FOOT,
  };
}
