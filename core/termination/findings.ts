import { SLEEVES } from '../catalogue/tables/sleeves.ts';
import { STUDS } from '../catalogue/tables/studs.ts';
import { atLeast, atMost, type Facts, type Finding, stated, type State, within } from '../finding.ts';
import type { Lug } from '../job/shop.ts';
import { digits, figure } from '../units/figure.ts';
import { CRIMP_SPACING } from './crimpLayout.ts';
import { COMPACTION, compactionBand, type DieVerdict, hexagonMm2 } from './dieOnLug.ts';
import { boreFill, circleMm2, FILL, fillVerdict, LIGHT_WALL, wallMm2 } from './lugOnCable.ts';
import {
  clearanceVerdict,
  LEAST_WEB_SHARE,
  MOST_CLEARANCE_MM,
  rightClearanceMm,
  webMm,
} from './lugOnStud.ts';
import type { DieOffer } from './offers.ts';
import type { EndConductor, ResolvedEnd, SleeveFit } from './resolveEnd.ts';
import { sleeveWindow } from './sleeve.ts';

/** Sleeve on the jacket must be at least this many jacket diameters. Shop practice. */
const LEAST_ON_JACKET = 1.5;

/** Everything one end is held against, with its work. */
export function endFindings(end: ResolvedEnd, conductor: EndConductor): Finding[] {
  const { lug, die } = end;
  if (!lug) return [noLug(end, conductor)];
  return [
    fillFinding(end, lug, conductor),
    clearanceFinding(end, lug),
    ...(die ? compactionFindings(end, die) : [noDie(end, lug)]),
    ...(die ? [crimpsFitFinding(end, lug, die)] : []),
    wallFinding(end, lug, conductor),
    webFinding(end, lug),
    ...(end.sleeve ? sleeveFindings(end, end.sleeve, conductor) : [noSleeve(end)]),
    stripFinding(end, lug),
  ];
}

const about = (end: ResolvedEnd, key: string, title: string) =>
  ({ id: `${key}.${end.name}`, stage: 'ends', end: end.name, title }) as const;

function noLug(end: ResolvedEnd, { copperMm2 }: EndConductor): Finding {
  return stated(
    {
      ...about(end, 'lug', 'Lug'),
      value: null,
      unit: '',
      decimals: 0,
      because: `No lug on the shelf suits ${figure(copperMm2, 'mm²', 1)} on ${end.spec.stud}.`,
      remedy: 'Buy the lug made for this cable and this stud. Never cut strands, never drill a lug out.',
      work: {
        formula: 'fill = A ÷ A_bore between 0.53 and 0.76, hole clearance 0 to 1.2 mm',
        substituted: ['every lug owned was tried'],
        source: 'craft practice; thresholds are shop settings',
        assumes: 'lugs as measured in the shop',
      },
    },
    'fails',
  );
}

function fillFinding(end: ResolvedEnd, lug: Lug, { copperMm2 }: EndConductor): Finding {
  const fill = boreFill(copperMm2, lug.boreMm);
  const verdict = fillVerdict(fill);
  const says = {
    'cannot-enter': 'The cable cannot enter without cutting strands: refuse this lug.',
    tight: 'Tight: a flared mouth and a gentle twist help it in.',
    right: 'The strands fill the bore as they should.',
    loose: 'Loose: only the right die makes this good.',
    'wrong-lug': 'Far too big: this is another cable’s lug.',
  }[verdict];
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'tight' || verdict === 'loose' ? 'watch' : 'fails';
  return within(
    {
      ...about(end, 'fill', 'Bore fill'),
      value: fill,
      unit: '',
      decimals: 2,
      because: says,
      ...(state === 'fails' && { remedy: 'Take the lug made for this cable.' }),
      work: {
        formula: 'fill = A ÷ (π/4 · bore²)',
        substituted: [`= ${digits(copperMm2, 1)} ÷ ${digits(circleMm2(lug.boreMm), 1)} = ${digits(fill, 3)}`],
        source: 'craft practice: 0.53–0.72 right, to 0.76 tight, to 0.45 loose',
        assumes: `bore ${figure(lug.boreMm, 'mm', 1)} as measured`,
      },
    },
    FILL.right,
    FILL.tight,
    state,
  );
}

function clearanceFinding(end: ResolvedEnd, lug: Lug): Finding {
  const { diameterMm } = STUDS[end.spec.stud];
  const clearance = lug.holeMm - diameterMm;
  const verdict = clearanceVerdict(diameterMm, lug.holeMm);
  const state: State = verdict === 'right' ? 'holds' : verdict === 'acceptable' ? 'watch' : 'fails';
  return atMost(
    {
      ...about(end, 'clearance', 'Stud clearance'),
      value: clearance,
      unit: 'mm',
      decimals: 2,
      because: {
        'does-not-fit': `The hole does not pass ${end.spec.stud}. Do not drill it out.`,
        right: `A close hole on ${end.spec.stud}.`,
        acceptable: `A little loose on ${end.spec.stud}: centre it before tightening.`,
        loose: `Loose on ${end.spec.stud}: it loses face and works free.`,
      }[verdict],
      ...(state === 'fails' && { remedy: 'Buy the hole you need.' }),
      work: {
        formula: 'clearance = hole − d, right up to max(0.6, 0.09 · d)',
        substituted: [
          `= ${digits(lug.holeMm, 1)} − ${digits(diameterMm, 2)} = ${figure(clearance, 'mm', 2)}`,
          `right to ${figure(rightClearanceMm(diameterMm), 'mm', 2)}, acceptable to ${figure(MOST_CLEARANCE_MM, 'mm', 1)}`,
        ],
        source: 'craft practice; stud diameters as customary',
        assumes: 'the hole as measured',
      },
    },
    rightClearanceMm(diameterMm),
    0,
    state,
  );
}

const DIE_SAYS: Readonly<Record<DieVerdict, string>> = {
  open: 'Open: air is left between the strands.',
  light: 'Light: hardly packed.',
  right: 'Packed without ears.',
  tight: 'Tight: expect ears and a longer barrel.',
  'will-not-close': 'This die will not close on so much copper.',
};

function compactionFindings(end: ResolvedEnd, offer: DieOffer): Finding[] {
  const { c, kappa, verdict, parts, standard, sure } = offer;
  const wall = wallMm2(parts);
  const hexagon = hexagonMm2(parts.acrossFlatsMm);
  const { loosest, tightest } = compactionBand(parts);
  const right = verdict === 'right';
  const stateOf = (own: boolean): State => {
    if (right) return sure ? 'holds' : 'watch';
    if (!own) return 'holds';
    return verdict === 'light' || verdict === 'tight' ? 'watch' : 'fails';
  };
  const isOpen = verdict === 'open' || verdict === 'light';
  const because = standard && right ? 'The standard die for this very lug.' : DIE_SAYS[verdict];
  const unsure =
    right && !sure ? { remedy: 'Measures could tip this either way: crimp a spare lug and measure it.' } : {};
  const another = verdict === 'open' || verdict === 'will-not-close' ? { remedy: 'Take another die.' } : {};
  const work = (formula: string, line: string, low: number, high: number) => ({
    formula,
    substituted: [line, `band ${digits(low, 2)} to ${Number.isFinite(high) ? digits(high, 2) : 'solid'}`],
    source: 'area balance of a hexagon crimp; thresholds are shop practice',
    assumes: `flats ${figure(parts.acrossFlatsMm, 'mm', 2)} as measured, not as stamped; ±0.1 mm, copper −10/+2 %`,
  });
  // A die inside the lug's own wall leaves no room at all: shown as packed twice over.
  const packed = Number.isFinite(kappa) ? kappa : 2;
  return [
    atLeast(
      {
        ...about(end, 'packing', 'Packing, κ'),
        value: packed,
        unit: '',
        decimals: 2,
        because,
        ...another,
        ...unsure,
        work: work(
          'κ = A ÷ (A_die − A_wall)',
          `= ${digits(parts.copperMm2, 1)} ÷ (${digits(hexagon, 1)} − ${digits(wall, 1)}) = ${Number.isFinite(kappa) ? digits(kappa, 2) : 'no room'}`,
          loosest.kappa,
          tightest.kappa,
        ),
      },
      COMPACTION.rightKappa,
      stateOf(isOpen),
    ),
    atMost(
      {
        ...about(end, 'compaction', 'Compaction, c'),
        value: c,
        unit: '',
        decimals: 2,
        because,
        ...another,
        ...unsure,
        work: work(
          'c = (A_wall + A) ÷ (√3/2 · F²)',
          `= (${digits(wall, 1)} + ${digits(parts.copperMm2, 1)}) ÷ (0.866 × ${digits(parts.acrossFlatsMm, 2)}²) = ${digits(c, 3)}`,
          loosest.c,
          tightest.c,
        ),
      },
      COMPACTION.rightC,
      0.5,
      stateOf(!isOpen),
    ),
  ];
}

function noDie(end: ResolvedEnd, lug: Lug): Finding {
  return stated(
    {
      ...about(end, 'compaction', 'Die'),
      value: null,
      unit: '',
      decimals: 0,
      because: `No die in the case closes right on ${lug.label}.`,
      remedy: 'Take another lug, or buy the die its maker names.',
      work: {
        formula: 'κ = A ÷ (A_die − A_wall) ≥ 0.90 and c = (A_wall + A) ÷ A_die ≤ 1.16',
        substituted: ['every die owned was tried'],
        source: 'area balance of a hexagon crimp',
        assumes: 'dies as measured across flats',
      },
    },
    'fails',
  );
}

function crimpsFitFinding(end: ResolvedEnd, lug: Lug, { die, crimpsFit: fit }: DieOffer): Finding {
  const { palmMm, mouthMm, betweenMm } = CRIMP_SPACING;
  const needs = end.crimpsAsked * die.widthMm + palmMm + mouthMm + (end.crimpsAsked - 1) * betweenMm;
  const words = ['No crimp fits', 'One crimp fits', 'Two crimps fit'];
  // One crimp where two were asked is a choice to look at, no crimp is a failure.
  const state: State = fit >= end.crimpsAsked ? 'holds' : fit > 0 ? 'watch' : 'fails';
  return atMost(
    {
      ...about(end, 'crimps', end.crimpsAsked === 2 ? 'Two crimps fit' : 'The crimp fits'),
      value: needs,
      unit: 'mm',
      decimals: 1,
      because: `${words[Math.min(fit, 2)]} a barrel ${figure(lug.barrelMm, 'mm', 0)} deep.`,
      ...(state !== 'holds' && {
        remedy: fit > 0 ? 'Make one crimp, in the middle.' : 'Take a narrower die.',
      }),
      work: {
        formula: 'n · width + 2 at the palm + 2 at the mouth + 1.5 between',
        substituted: [
          `= ${end.crimpsAsked} × ${digits(die.widthMm, 1)} + ${palmMm} + ${mouthMm} + ${digits((end.crimpsAsked - 1) * betweenMm, 1)} = ${figure(needs, 'mm', 1)}`,
          `middles from the mouth: ${end.crimps.map((mm) => digits(mm, 1)).join(' and ') || 'none'}`,
        ],
        source: 'craft practice',
        assumes: 'spare barrel shared between mouth, gap and palm',
      },
    },
    lug.barrelMm,
    0,
    state,
  );
}

function wallFinding(end: ResolvedEnd, lug: Lug, { copperMm2 }: EndConductor): Finding {
  const ratio = wallMm2(lug) / copperMm2;
  const light = ratio < LIGHT_WALL;
  return atLeast(
    {
      ...about(end, 'wall', 'Wall copper'),
      value: ratio,
      unit: '',
      decimals: 2,
      because: light
        ? 'A light lug: less copper than the cable brings.'
        : 'The barrel carries as much as the cable.',
      work: {
        formula: 'A_wall ÷ A, at least 0.80',
        substituted: [`= ${digits(wallMm2(lug), 1)} ÷ ${digits(copperMm2, 1)} = ${digits(ratio, 2)}`],
        source: 'craft practice: thick wall, long barrel',
        assumes: `${digits(lug.outerMm, 1)} over ${digits(lug.boreMm, 1)} as measured`,
      },
    },
    LIGHT_WALL,
    light ? 'watch' : 'holds',
  );
}

function webFinding(end: ResolvedEnd, lug: Lug): Finding {
  const web = webMm(lug.palmWidthMm, lug.holeMm);
  return atLeast(
    {
      ...about(end, 'web', 'Web at the hole'),
      value: web,
      unit: 'mm',
      decimals: 1,
      work: {
        formula: 'web = (palm − hole) ÷ 2, at least half the hole',
        substituted: [
          `= (${digits(lug.palmWidthMm, 1)} − ${digits(lug.holeMm, 1)}) ÷ 2 = ${figure(web, 'mm', 1)}`,
        ],
        source: 'craft practice',
        assumes: 'the hole in the middle of the palm',
      },
    },
    LEAST_WEB_SHARE * lug.holeMm,
  );
}

function sleeveFindings(end: ResolvedEnd, fit: SleeveFit, { outerMm }: EndConductor): Finding[] {
  const task = end.sleeveTask;
  if (!task) return [];
  const { sleeve } = fit;
  const { ratio, title } = SLEEVES[sleeve.kind];
  const facts = (
    key: string,
    name: string,
    value: number,
  ): Pick<Facts, 'id' | 'stage' | 'end' | 'title' | 'value' | 'unit' | 'decimals'> => ({
    ...about(end, key, name),
    value,
    unit: 'mm',
    decimals: 1,
  });
  const source = `customary sizes, ${title} ${ratio}`;
  return [
    atLeast(
      {
        ...facts('sleeve-pass', 'Sleeve passes', sleeve.suppliedMm),
        work: {
          formula: 'supplied bore ≥ 1.1 × the largest it passes',
          substituted: [
            `1.1 × ${digits(task.passMm, 1)} = ${figure(sleeveWindow(task).suppliedLeastMm, 'mm', 1)}`,
          ],
          source,
          assumes: 'slid on before the lug, so only the jacket has to pass',
        },
      },
      sleeveWindow(task).suppliedLeastMm,
    ),
    atMost(
      {
        ...facts('sleeve-grip', 'Sleeve grips', sleeve.recoveredMm),
        work: {
          formula: 'recovered bore ≤ 0.9 × the smallest it grips',
          substituted: [
            `0.9 × ${digits(task.gripMm, 1)} = ${figure(sleeveWindow(task).recoveredMostMm, 'mm', 1)}`,
          ],
          source,
          assumes: 'the smallest of jacket, barrel and hexagon',
        },
      },
      sleeveWindow(task).recoveredMostMm,
    ),
    atLeast(
      {
        ...facts('sleeve-cover', 'Sleeve on jacket', fit.onJacketMm),
        work: {
          formula: 'cut = (barrel + gap + jacket cover) ÷ (1 − shortening)',
          substituted: [
            `= (${digits(fit.onBarrelMm, 1)} + ${digits(fit.onJacketMm, 0)}) ÷ ${digits(fit.coverMm / fit.cutMm, 2)} = ${figure(fit.cutMm, 'mm', 0)}`,
            `at least 1.5 × ${digits(outerMm, 1)} = ${figure(LEAST_ON_JACKET * outerMm, 'mm', 1)} on the jacket`,
          ],
          source,
          assumes: 'placed from the shoulder backwards, never on the palm',
        },
      },
      LEAST_ON_JACKET * outerMm,
    ),
  ];
}

function noSleeve(end: ResolvedEnd): Finding {
  const task = end.sleeveTask;
  return stated(
    {
      ...about(end, 'sleeve', 'Sleeve'),
      value: null,
      unit: '',
      decimals: 0,
      because: task
        ? `No sleeve owned passes ${figure(sleeveWindow(task).suppliedLeastMm, 'mm', 1)} and grips ${figure(sleeveWindow(task).recoveredMostMm, 'mm', 1)}.`
        : 'No sleeve is chosen.',
      remedy: 'A 4:1 sleeve spans more than a 3:1.',
      work: {
        formula: 'supplied ≥ 1.1 × passes, recovered ≤ 0.9 × grips',
        substituted: ['every sleeve owned was tried'],
        source: 'craft practice',
        assumes: 'slid on before the lug',
      },
    },
    'fails',
  );
}

function stripFinding(end: ResolvedEnd, lug: Lug): Finding {
  return stated(
    {
      ...about(end, 'strip', 'Strip'),
      value: lug.barrelMm + end.gapMm,
      unit: 'mm',
      decimals: 1,
      because:
        end.gapMm > 0
          ? `${figure(end.gapMm, 'mm', 1)} of copper shows at the mouth.`
          : 'Flush: no copper shows.',
      work: {
        formula: 'strip = barrel depth + gap',
        substituted: [
          `= ${digits(lug.barrelMm, 1)} + ${digits(end.gapMm, 1)} = ${figure(lug.barrelMm + end.gapMm, 'mm', 1)}`,
        ],
        source: 'house practice: gap 0–2 mm for crimping',
        assumes: 'the barrel as measured; never insulation under it',
      },
    },
    'holds',
  );
}
