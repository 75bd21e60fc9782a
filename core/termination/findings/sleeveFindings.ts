import type { Topic } from '../../finding/topics.ts';
import { SLEEVES } from '../../model/tables/sleeves.ts';
import { atLeast, atMost, type Facts, type Finding, stated } from '../../finding/finding.ts';
import type { Lug, Sleeve } from '../../model/shop.ts';
import { digits, figure } from '../../model/units/figure.ts';
import { about } from './about.ts';
import type { EndConductor, ResolvedEnd, SleeveFit } from '../resolveEnd.ts';
import { SLEEVE_ROOM, sleeveWindow } from '../sleeves/sleeve.ts';
import { whyNoSleeve } from '../sleeves/sleeveOffers.ts';
import { say } from '../../words/say.ts';

/** Sleeve on the jacket must be at least this many jacket diameters. Shop practice. */
const LEAST_ON_JACKET = 1.5;

/** A sleeve held against what it passes, grips and covers; or why there is none. */
export function sleeveFindings(
  end: ResolvedEnd,
  conductor: EndConductor,
  sleeves: readonly Sleeve[],
): Finding[] {
  return end.sleeve ? fitFindings(end, end.sleeve, conductor) : [noSleeve(end, sleeves)];
}

// eslint-disable-next-line max-lines-per-function -- three findings that share their figures
function fitFindings(end: ResolvedEnd, fit: SleeveFit, { outerMm }: EndConductor): Finding[] {
  const task = end.sleeveTask;
  if (!task) return [];
  const { sleeve } = fit;
  const { ratio, title } = SLEEVES[sleeve.kind];
  const facts = (
    key: Topic,
    name: string,
    value: number,
  ): Pick<Facts, 'topic' | 'stage' | 'end' | 'title' | 'value' | 'unit' | 'decimals'> => ({
    ...about(end, key, name),
    value,
    unit: 'mm',
    decimals: 1,
  });
  const source = say`customary sizes, ${title} ${ratio}`;
  return [
    atLeast(
      {
        ...facts('sleeve-pass', say`Sleeve passes`, sleeve.suppliedMm),
        work: {
          formula: say`supplied bore ≥ 1.1 × the largest it passes, and 0.3 mm over the barrel`,
          substituted: [
            `1.1 × ${digits(task.passMm, 1)} = ${figure(SLEEVE_ROOM.pass * task.passMm, 'mm', 1)}`,
            ...(task.overBarrelMm === undefined
              ? []
              : [
                  say`over the barrel: ${digits(task.overBarrelMm, 1)} + ${digits(SLEEVE_ROOM.overBarrelMm, 1)} = ${figure(task.overBarrelMm + SLEEVE_ROOM.overBarrelMm, 'mm', 1)}`,
                ]),
          ],
          source,
          assumes: end.spec.sleeveAfterLug
            ? say`slid on after the lug: the folded palm, 2·(w + t) ÷ π, has to pass`
            : say`slid on before the lug: the jacket and what is caught under it pass, and it is drawn forward over the barrel`,
        },
      },
      sleeveWindow(task).suppliedLeastMm,
    ),
    atMost(
      {
        ...facts('sleeve-grip', say`Sleeve grips`, sleeve.recoveredMm),
        work: {
          formula: say`recovered bore ≤ 0.9 × the smallest it grips`,
          substituted: [
            `0.9 × ${digits(task.gripMm, 1)} = ${figure(sleeveWindow(task).recoveredMostMm, 'mm', 1)}`,
          ],
          source,
          assumes: say`the smallest of jacket, barrel and hexagon`,
        },
      },
      sleeveWindow(task).recoveredMostMm,
    ),
    atLeast(
      {
        ...facts('sleeve-cover', say`Sleeve on jacket`, fit.onJacketMm),
        work: {
          formula: say`cut = (barrel + gap + jacket cover) ÷ (1 − shortening)`,
          substituted: [
            `= (${digits(fit.onBarrelMm, 1)} + ${digits(fit.onJacketMm, 0)}) ÷ ${digits(fit.coverMm / fit.cutMm, 2)} = ${figure(fit.cutMm, 'mm', 0)}`,
            say`wall ${figure(fit.wallMm, 'mm', 2)} on the jacket once shrunk; on the shelf ${figure(sleeve.stockMm, 'mm', 0)}`,
            say`at least 1.5 × ${digits(outerMm, 1)} = ${figure(LEAST_ON_JACKET * outerMm, 'mm', 1)} on the jacket`,
          ],
          source,
          assumes: say`placed from the shoulder backwards, never on the palm`,
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
    : { because: say`No sleeve is chosen.`, remedy: say`Choose the lug first.` };
  return stated(
    {
      ...about(end, 'sleeve', say`Sleeve`),
      value: null,
      unit: '',
      decimals: 0,
      ...why,
      work: {
        formula: say`supplied ≥ 1.1 × passes, recovered ≤ 0.9 × grips`,
        substituted: [say`every sleeve owned was tried`],
        source: say`craft practice`,
        assumes: end.spec.sleeveAfterLug ? say`slid on after the lug` : say`slid on before the lug`,
      },
    },
    'fails',
  );
}

export function stripFinding(end: ResolvedEnd, lug: Lug): Finding {
  return stated(
    {
      ...about(end, 'strip', say`Strip`),
      value: lug.barrelMm + end.gapMm,
      unit: 'mm',
      decimals: 1,
      because:
        end.gapMm > 0
          ? say`${figure(end.gapMm, 'mm', 1)} of copper shows at the mouth.`
          : say`Flush: no copper shows.`,
      work: {
        formula: say`strip = barrel depth + gap`,
        substituted: [
          `= ${digits(lug.barrelMm, 1)} + ${digits(end.gapMm, 1)} = ${figure(lug.barrelMm + end.gapMm, 'mm', 1)}`,
        ],
        source: say`house practice: gap 0–2 mm for crimping, 2–4 mm to feed solder`,
        assumes: say`the barrel as measured; never insulation under it`,
      },
    },
    'holds',
  );
}
