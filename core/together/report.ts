import { atMost, stated, worstFirst } from '../finding/finding.ts';
import type { Job } from '../model/job.ts';
import type { Shop } from '../model/shop.ts';
import type { Sizing } from '../model/system.ts';
import { sizeNamed } from '../model/tables/size.ts';
import type { Unit } from '../model/units/figure.ts';
import type { FollowDuty } from '../sizing/assess.ts';
import { about, facts, stateSays, type SystemFinding } from '../system/findingParts.ts';
import type { SystemView } from '../system/view.ts';
import { withPlaces } from '../system/places.ts';
import { systemFindings } from '../systemFigures.ts';
import { systemWork } from '../systemWork.ts';
import { amount, capitalised, listed, type Message, msg, numeral, verbatim } from '../words/message.ts';
import { workUpCables } from '../workup.ts';
import type { Together } from './together.ts';
import { measured, metresOf, type Totals } from './totals.ts';

/** What is to be least, and how it is written. */
export const MEASURES: Readonly<
  Record<Sizing['least'], { readonly title: Message; readonly unit: Unit; readonly decimals: number }>
> = {
  copper: { title: msg`copper`, unit: 'mm²·m', decimals: 0 },
  weight: { title: msg`weight`, unit: 'kg', decimals: 2 },
  money: { title: msg`price of the cable`, unit: '', decimals: 2 },
  years: { title: msg`price and losses over the years`, unit: '', decimals: 2 },
};

/** What stands in the way, a sentence each. */
export function inTheWaySays({ inTheWay }: Together, view: SystemView): Message[] {
  if (!inTheWay) return [];
  return [
    ...inTheWay.cables.map(
      ({ cableId, because }) => msg`${view.cableOf(cableId)?.tag ?? cableId} may get no size: ${because}.`,
    ),
    ...inTheWay.collapsed.map(
      (stateId) =>
        msg`In ${stateSays(view, stateId)} its loads cannot run together, even with the thickest cables.`,
    ),
    ...inTheWay.loads.map(
      ({ loadId, stateId, allowedPercent, neededPercent }) =>
        msg`${view.placeOf(loadId)?.name ?? loadId} would have to be allowed ${amount(neededPercent, '%', 2)} in place of ${amount(allowedPercent, '%', 2)}, in ${stateSays(view, stateId)}.`,
    ),
    ...(inTheWay.leastKg !== undefined ? [msg`Only the weight limit prevents it.`] : []),
    ...(inTheWay.isByRule && inTheWay.leastKg === undefined
      ? [
          msg`The drops could be kept, but not with so few sizes or with the cables alike; those that stay have ${inTheWay.sizesThatStay} different ones.`,
        ]
      : []),
  ];
}

/** The figures of a choice of sizes, each with how it came about. */
export const TOTAL_KEYS = ['copper', 'weight', 'price', 'lost', 'year', 'use'] as const;
export type TotalKey = (typeof TOTAL_KEYS)[number];

/** What each of them is, and in what it is written. */
const TOTAL_FACTS: Readonly<
  Record<
    TotalKey,
    {
      readonly title: Message;
      readonly unit: Unit;
      readonly decimals: number;
      readonly formula: Message;
      readonly of: (totals: Totals) => number;
    }
  >
> = {
  copper: {
    ...{ title: msg`copper`, unit: 'mm²·m', decimals: 0, of: ({ copperMm2M }) => copperMm2M },
    formula: msg`Σ n · S · L over the cables: conductors side by side, mm², metres with the service loop`,
  },
  weight: {
    ...{ title: msg`weight`, unit: 'kg', decimals: 1, of: ({ massKg }) => massKg },
    formula: msg`Σ n · m · L: copper and jacket a metre, by its outside diameter`,
  },
  price: {
    ...{ title: msg`cable price`, unit: '', decimals: 2, of: ({ price }) => price },
    formula: msg`Σ n · price a metre · L; no lugs, no sleeves, no work`,
  },
  lost: {
    ...{ title: msg`lost in the cables`, unit: 'W', decimals: 0, of: ({ lostW }) => lostW },
    formula: msg`Σ I² · R of the cables, in the state in which that is most`,
  },
  year: {
    ...{ title: msg`lost a year`, unit: 'kWh', decimals: 1, of: ({ kWhPerYear }) => kWhPerYear },
    formula: msg`Σ over the states: Σ I² · R · hours a year`,
  },
  use: {
    ...{ title: msg`of the drop allowed`, unit: '%', decimals: 0, of: ({ use }) => 100 * use },
    formula: msg`the largest ΔU ÷ what is allowed, of all loads in all states`,
  },
};

/** A total as it is written. */
export const totalOf = (key: TotalKey, totals: Totals): number => TOTAL_FACTS[key].of(totals);

/** How a total came about: its formula, the cables that it sums, and the three ways beside one another. */
export function totalFinding(key: TotalKey, found: Together, view: SystemView): SystemFinding {
  const { title, unit, decimals, formula } = TOTAL_FACTS[key];
  const { together, alone, now, rows } = found;
  const ways: readonly (readonly [Message, Totals | null])[] = [
    [msg`together`, together],
    [msg`each by its share of the length`, alone],
    [msg`as in the job`, now],
  ];
  const shown = together ?? now;
  const isOfCables = key === 'copper' || key === 'weight' || key === 'price';
  const state = shown.lostIn === null ? null : stateSays(view, shown.lostIn);
  return about(
    stated(
      {
        ...facts('sizes-together', key, title, [unit, decimals], {
          formula,
          substituted: [
            ...ways.flatMap(([way, totals]) =>
              totals ? [verbatim`${way}: ${amount(totalOf(key, totals), unit, decimals)}`] : [],
            ),
            ...(key === 'lost' && state !== null ? [state] : []),
            ...(isOfCables
              ? rows.flatMap(({ cableId, together: chosen, now: before }) => {
                  const conductor = view.conductorOf(cableId);
                  const metres = conductor ? metresOf(conductor) : 0;
                  return conductor
                    ? [
                        verbatim`${conductor.cable.tag}: ${sizeNamed(chosen ?? before)}, ${amount(metres, 'm', 2)}`,
                      ]
                    : [];
                })
              : []),
          ],
          source: isOfCables
            ? msg`the sizes, and what the tool case knows of each`
            : msg`nodal analysis: Kirchhoff’s laws, copper as warm as its current makes it`,
          assumes: isOfCables ? '' : msg`the currents of the sizes chosen, for all three ways`,
        }),
        value: totalOf(key, shown),
        because: verbatim`${capitalised(title)}: ${amount(totalOf(key, shown), unit, decimals)}.`,
      },
      'holds',
    ),
    {},
  );
}

/** That all sizes together cost least, against each by itself. */
function leastFinding(found: Together, view: SystemView): SystemFinding {
  const { sizing, together, alone, now, bound, rounds, isStill, isAloneEnough, outcome } = found;
  const { title, unit, decimals } = MEASURES[sizing.least];
  const written = (totals: Totals) => amount(measured(sizing, totals), unit, decimals);
  const base = facts('sizes-together', 'all', msg`${title}, all sizes together`, [unit, decimals], {
    formula: msg`least Σ over the cables, one size each, with Σ I·R(size) ≤ the drop allowed on every load’s circuit in every state`,
    substituted: [
      ...(together ? [msg`together ${written(together)}`] : []),
      msg`each by its share of the length ${written(alone)}`,
      msg`as in the job ${written(now)}`,
      ...(together ? [msg`nothing that keeps the limits is under ${amount(bound, unit, decimals)}`] : []),
    ],
    source: msg`a mixed-integer program, proved by branch and bound (HiGHS)`,
    assumes: isStill
      ? msg`the currents and temperatures that these sizes make: recalculated ${numeral(rounds, 0)} times, until nothing changed`
      : msg`currents and temperatures recalculated ${numeral(rounds, 0)} times; they still moved`,
  });
  if (!together) {
    const says = inTheWaySays(found, view);
    return about(
      stated(
        {
          ...base,
          value: null,
          because: says.length > 0 ? listed(says, ' ') : msg`The solver found nothing in time.`,
          remedy: msg`Shorten a route, allow a load more, or let it be fed by its own cable.`,
        },
        'fails',
      ),
      {},
    );
  }
  const value = measured(sizing, together);
  const proof =
    outcome === 'least'
      ? msg`Nothing that keeps every limit is less, for the currents that these sizes make.`
      : msg`The best that was found; that nothing is less is not proved.`;
  const aloneCost = measured(sizing, alone);
  const saved = aloneCost > 0 ? (100 * (aloneCost - value)) / aloneCost : 0;
  const beside = !isAloneEnough
    ? msg`Each by its share of the length does not keep every limit.`
    : saved > 0.05
      ? msg`${amount(saved, '%', 1)} less than each by its share of the length.`
      : msg`As much as each by its share of the length.`;
  return about(
    stated(
      { ...base, value, because: listed([beside, proof], ' ') },
      outcome === 'least' ? 'holds' : 'unproved',
    ),
    {},
  );
}

/** Whether the cables are as light as was asked, and what that costs against the same without that limit. */
function weightFinding(found: Together): SystemFinding[] {
  const { weight, together, now, sizing } = found;
  if (!weight) return [];
  const { mostKg, without, leastKg, metAtDropPercent } = weight;
  const shown = together ?? now;
  const { title, unit, decimals } = MEASURES[sizing.least];
  const more = without ? measured(sizing, shown) - measured(sizing, without) : 0;
  const lostMore = without ? shown.lostW - without.lostW : 0;
  const costs =
    !together || !without
      ? null
      : without.massKg <= mostKg
        ? msg`It costs nothing: without the limit they weigh ${amount(without.massKg, 'kg', 1)}.`
        : msg`Without the limit: ${amount(without.massKg, 'kg', 1)}. Meeting it costs ${amount(Math.max(0, more), unit, decimals)} more (${title}), and ${amount(lostMore, 'W', 0)} more lost.`;
  const tooHeavy =
    leastKg === null
      ? msg`The other limits are not met at any weight.`
      : msg`Nothing that keeps the other limits is lighter than ${amount(leastKg, 'kg', 1)}.`;
  const way =
    metAtDropPercent === null
      ? msg`A lighter kind of cable, a shorter route, or a higher limit.`
      : msg`With ${amount(metAtDropPercent, '%', 0)} of the voltage drop allowed it can be met; or take a lighter kind of cable, or a shorter route.`;
  return [
    about(
      atMost(
        {
          ...facts('weight-limit', '', msg`Weight of all cables`, ['kg', 1], {
            formula: msg`Σ n · m · L ≤ the limit; its cost is the least sum with it less the least sum without it`,
            substituted: [
              msg`chosen: ${amount(shown.massKg, 'kg', 1)}`,
              ...(leastKg === null
                ? []
                : [msg`the lightest that keeps the rest: ${amount(leastKg, 'kg', 1)}`]),
              ...(without ? [msg`without the limit: ${amount(without.massKg, 'kg', 1)}`] : []),
            ],
            source: msg`a mixed-integer program, proved by branch and bound (HiGHS)`,
            assumes: msg`copper and jacket alone: no lugs, fuses or devices`,
          }),
          value: shown.massKg,
          ...(costs && { because: costs }),
          ...(!together && { because: tooHeavy, remedy: way }),
        },
        mostKg,
      ),
      {},
    ),
  ];
}

/** What the whole installation would be found to be with the sizes taken, worst first; what was chosen before all else. */
export function togetherFindings(
  found: Together,
  job: Job,
  shop: Shop,
  followDuty: FollowDuty,
): SystemFinding[] {
  const work = systemWork(withPlaces(job), shop, followDuty);
  if (!found.together) return [leastFinding(found, work.view), ...weightFinding(found)];
  const works = workUpCables(work.job, shop, work, { followDuty });
  return [
    leastFinding(found, work.view),
    ...worstFirst([...weightFinding(found), ...systemFindings(work, works, shop)]),
  ];
}
