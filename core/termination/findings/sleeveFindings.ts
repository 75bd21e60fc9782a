import type { Topic } from '../../finding/topics.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import { atLeast, atMost, type Facts, type Finding, stated } from '../../finding/finding.ts';
import type { Lug, Sleeve } from '../../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim } from '../../words/message.ts';
import { about } from './about.ts';
import type { EndConductor, ResolvedEnd, SleeveFit } from '../resolveEnd.ts';
import { SLEEVE_ROOM, sleeveWindow } from '../sleeves/sleeve.ts';
import { whyNoSleeve } from '../sleeves/sleeveOffers.ts';

/** Sleeve on the jacket must be at least this many jacket diameters. Shop practice. */
const LEAST_ON_JACKET = 1.5;

/** A sleeve compared with what it passes, grips and covers; or why there is none. */
export function sleeveFindings(
  end: ResolvedEnd,
  conductor: EndConductor,
  sleeves: readonly Sleeve[],
): Finding[] {
  return end.sleeve ? fitFindings(end, end.sleeve, conductor) : [noSleeve(end, sleeves)];
}

// oxlint-disable-next-line max-lines-per-function -- three findings that share their figures
function fitFindings(end: ResolvedEnd, fit: SleeveFit, { outerMm }: EndConductor): Finding[] {
  const task = end.sleeveTask;
  if (!task) return [];
  const { sleeve } = fit;
  const { ratio, title } = SLEEVES[sleeve.kind];
  const facts = (
    key: Topic,
    name: Message,
    value: number,
  ): Pick<Facts, 'topic' | 'stage' | 'end' | 'title' | 'value' | 'unit' | 'decimals'> => ({
    ...about(end, key, name),
    value,
    unit: 'mm',
    decimals: 1,
  });
  const source = msg`customary sizes, ${title} ${ratio}`;
  return [
    atLeast(
      {
        ...facts('sleeve-pass', msg`Sleeve goes over`, sleeve.suppliedMm),
        work: {
          formula: msg`supplied bore ≥ 1.1 × the largest it passes, and 0.3 mm over the barrel`,
          substituted: [
            verbatim`1.1 × ${numeral(task.passMm, 1)} = ${amount(SLEEVE_ROOM.pass * task.passMm, 'mm', 1)}`,
            ...(task.overBarrelMm === undefined
              ? []
              : [
                  msg`over the barrel: ${numeral(task.overBarrelMm, 1)} + ${numeral(SLEEVE_ROOM.overBarrelMm, 1)} = ${amount(task.overBarrelMm + SLEEVE_ROOM.overBarrelMm, 'mm', 1)}`,
                ]),
          ],
          source,
          assumes: end.spec.sleeveAfterLug
            ? msg`slid on after the lug: the folded palm, 2·(w + t) ÷ π, has to pass`
            : msg`slid on before the lug: the jacket and what is caught under it pass, and it is drawn forward over the barrel`,
        },
      },
      sleeveWindow(task).suppliedLeastMm,
    ),
    atMost(
      {
        ...facts('sleeve-grip', msg`Sleeve shrinks tight on`, sleeve.recoveredMm),
        work: {
          formula: msg`recovered bore ≤ 0.9 × the smallest it grips`,
          substituted: [
            verbatim`0.9 × ${numeral(task.gripMm, 1)} = ${amount(sleeveWindow(task).recoveredMostMm, 'mm', 1)}`,
          ],
          source,
          assumes: msg`the smallest of jacket, barrel and hexagon`,
        },
      },
      sleeveWindow(task).recoveredMostMm,
    ),
    atLeast(
      {
        ...facts('sleeve-cover', msg`Sleeve on jacket`, fit.onJacketMm),
        work: {
          formula: msg`cut = (barrel + gap + jacket cover) ÷ (1 − shortening)`,
          substituted: [
            verbatim`= (${numeral(fit.onBarrelMm, 1)} + ${numeral(fit.onJacketMm, 0)}) ÷ ${numeral(fit.coverMm / fit.cutMm, 2)} = ${amount(fit.cutMm, 'mm', 0)}`,
            msg`wall ${amount(fit.wallMm, 'mm', 2)} on the jacket once shrunk`,
            msg`at least 1.5 × ${numeral(outerMm, 1)} = ${amount(LEAST_ON_JACKET * outerMm, 'mm', 1)} on the jacket`,
          ],
          source,
          assumes: msg`placed from the shoulder backwards, never on the palm`,
        },
      },
      LEAST_ON_JACKET * outerMm,
    ),
  ];
}

function noSleeve(end: ResolvedEnd, sleeves: readonly Sleeve[]): Finding {
  const task = end.sleeveTask;
  const why = task
    ? whyNoSleeve(sleeves, task, end.spec.sleeveAfterLug ?? false)
    : { because: msg`No sleeve is chosen.`, remedy: msg`Choose the lug first.` };
  return stated(
    {
      ...about(end, 'sleeve', msg`Sleeve`),
      value: null,
      unit: '',
      decimals: 0,
      ...why,
      work: {
        formula: msg`supplied ≥ 1.1 × passes, recovered ≤ 0.9 × grips`,
        substituted: [msg`every sleeve owned was tried`],
        source: msg`craft practice`,
        assumes: end.spec.sleeveAfterLug ? msg`slid on after the lug` : msg`slid on before the lug`,
      },
    },
    'fails',
  );
}

export function stripFinding(end: ResolvedEnd, lug: Lug): Finding {
  return stated(
    {
      ...about(end, 'strip', msg`Strip`),
      value: lug.barrelMm + end.gapMm,
      unit: 'mm',
      decimals: 1,
      because:
        end.gapMm > 0
          ? msg`${amount(end.gapMm, 'mm', 1)} of copper shows at the mouth.`
          : msg`Flush: no copper shows.`,
      work: {
        formula: msg`strip = barrel depth + gap`,
        substituted: [
          verbatim`= ${numeral(lug.barrelMm, 1)} + ${numeral(end.gapMm, 1)} = ${amount(lug.barrelMm + end.gapMm, 'mm', 1)}`,
        ],
        source: msg`house practice: gap 0–2 mm for crimping, 2–4 mm to feed solder`,
        assumes: msg`the barrel as measured; never insulation under it`,
      },
    },
    'holds',
  );
}
