import type { Topic } from '../../finding/topics.ts';
import { trialsSay } from '../../words/counts.ts';
import { TOOL_KINDS } from '../../model/tables/tools.ts';
import { atLeast, atMost, type Finding, stated, type State } from '../../finding/finding.ts';
import type { Lug } from '../../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim, allOf, briefly } from '../../words/message.ts';
import { about } from './about.ts';
import { CLOSED_DIE, closesBy, closingForceKn, cornersMm, FLOW_N_PER_MM2 } from '../dies/closingForce.ts';
import { CRIMP_SPACING } from '../dies/crimpLayout.ts';
import { type DieOffer } from '../dies/dieOffers.ts';
import { dieDoubts } from '../dies/dieDoubts.ts';
import { COMPACTION, hexagonMm2 } from '../dies/dieOnLug.ts';
import type { OwnTrials } from '../dies/learned.ts';
import { forecast } from '../dies/sectionView.ts';
import { dieCalled } from '../lugOffers.ts';
import { wallMm2 } from '../lugs/lugOnCable.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { bandSays, packingSays } from '../dies/packingSays.ts';

/** A die compared with its lug: packing, compaction, and whether the crimps fit the barrel. */
export function crimpFindings(end: ResolvedEnd, lug: Lug): Finding[] {
  const { die } = end;
  if (!die) return [noDie(end, lug)];
  return [
    ...(die.unfit ? [unfit(end, die)] : []),
    ...(TOOL_KINDS[die.tool.kind].lastResort && !die.unfit ? [lastResort(end, die)] : []),
    ...(die.own ? [tried(end, die, die.own)] : die.verdict === 'untried' ? [untried(end, die)] : []),
    ...(die.leaves === 'hexagon' ? [...forceFindings(end, die), ...compactionFindings(end, die)] : []),
    crimpsFitFinding(end, lug, die),
  ];
}

const plain = (end: ResolvedEnd, key: Topic, title: Message) => ({
  ...about(end, key, title),
  value: null,
  unit: '' as const,
  decimals: 0,
});

/** What to do without a tool that may be used. */
const OTHER_WAYS = msg`Borrow or hire a made tool; have this end made; buy one (Kit compares its price with this job); or put on a screw terminal for tonight, with a date to replace it.`;

/** A tool that holds a lug when nothing else is to be had, and what it leaves unproved. */
function lastResort(end: ResolvedEnd, { tool }: DieOffer): Finding {
  return stated(
    {
      ...plain(end, 'tool', msg`Tool of last resort`),
      because: TOOL_KINDS[tool.kind].lastResort,
      remedy: OTHER_WAYS,
      work: {
        formula: msg`a crimp is proved by what can be measured of it`,
        substituted: [msg`${TOOL_KINDS[tool.kind].title}: no stop, no flats`],
        source: msg`craft practice`,
        assumes: '',
      },
    },
    'watch',
  );
}

/** Whether the tool has the force to close its die, where its force is known and nobody has tried. */
function forceFindings(end: ResolvedEnd, { die, tool, own }: DieOffer): Finding[] {
  const closes = closesBy(die, tool);
  if (closes === null || tool.forceKn === undefined || own) return [];
  const needed = closingForceKn(die);
  return [
    atMost(
      {
        ...about(end, 'die-force', msg`Force to close the die`),
        value: needed,
        unit: 'kN',
        decimals: 0,
        ...(closes !== 'surely' && {
          remedy:
            closes === 'perhaps'
              ? msg`Watch that the dies touch, and measure across the flats: a die that stays open leaves air.`
              : msg`Take a narrower die, or a stronger tool.`,
        }),
        work: {
          formula: msg`F = (2/√3) · σ · e · w, with e = (2/√3) · AF across the corners`,
          substituted: [
            msg`${numeral(CLOSED_DIE, 3)} · ${numeral(FLOW_N_PER_MM2, 0)} N/mm² · ${amount(cornersMm(die.acrossFlatsMm), 'mm', 1)} · ${amount(die.widthMm, 'mm', 1)} = ${amount(needed, 'kN', 0)}`,
          ],
          source: msg`forging of copper in a closed die; the tool’s own sheet governs`,
          assumes: msg`accurate to a quarter; a trial of this die on this barrel outranks it`,
        },
      },
      tool.forceKn,
      0,
      closes === 'surely' ? 'holds' : closes === 'perhaps' ? 'watch' : 'fails',
    ),
  ];
}

/** A tool that cannot be used on this size, or in this place. */
function unfit(end: ResolvedEnd, { tool, unfit: why }: DieOffer): Finding {
  const { title, hands, stop } = TOOL_KINDS[tool.kind];
  return stated(
    {
      ...plain(end, 'tool', msg`Tool`),
      because: verbatim`${tool.title}: ${why}.`,
      remedy: TOOL_KINDS[tool.kind].refused ? OTHER_WAYS : msg`Take a tool that can work here.`,
      work: {
        formula: msg`largest copper, room to swing, floor, bench`,
        substituted: [verbatim`${title}: ${hands}${stop ? msg`; done when ${stop}` : ''}`],
        source: msg`craft practice; the tool’s own sheet governs`,
        assumes: end.spec.inPlace
          ? msg`${briefly(end.spec.inPlace.swingMm, 'mm', 1)} of room, ${end.spec.inPlace.solidFloor ? msg`a solid floor` : msg`no solid floor`}`
          : msg`made on the bench`,
      },
    },
    'fails',
  );
}

/** Trials on this barrel and conductor outrank the figures. */
function tried(end: ResolvedEnd, { verdict, die }: DieOffer, ownTrials: OwnTrials): Finding {
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'light' || verdict === 'tight' ? 'watch' : 'fails';
  return stated(
    {
      ...about(end, 'trial', msg`Trial crimps`),
      value: ownTrials.count,
      unit: '',
      decimals: 0,
      because: ownTrials.because,
      ...(state !== 'holds' && { remedy: msg`Take another die, and crimp a spare with it.` }),
      work: {
        formula: msg`a trial of this die on this barrel and conductor outranks the prediction`,
        substituted: [
          msg`${trialsSay(ownTrials.count)} with ${dieCalled(die)}; ears ${numeral(ownTrials.earsMm, 2)} mm${ownTrials.kappa === null ? '' : msg`; κ seen ${numeral(ownTrials.kappa, 3)}`}`,
        ],
        source: msg`the shop’s own test crimps`,
        assumes: msg`the same barrel, the same copper to 1 %`,
      },
    },
    state,
  );
}

function untried(end: ResolvedEnd, { tool }: DieOffer): Finding {
  return stated(
    {
      ...plain(end, 'trial', msg`Trial crimps`),
      because: msg`${tool.title} makes an indent crimp: only a test crimp can prove it.`,
      remedy: msg`Crimp a spare lug with it, pull it or saw it, and record the trial in the tool case.`,
      work: {
        formula: msg`indent and plunger tools: by trial only`,
        substituted: [msg`no trial on this barrel and conductor`],
        source: msg`craft practice`,
        assumes: '',
      },
    },
    'unproved',
  );
}

const DIE_SAYS: Readonly<Record<DieOffer['verdict'], Message>> = {
  untried: msg`Not tried.`,
  open: msg`Too loose: air is left between the strands.`,
  light: msg`Light: hardly packed.`,
  right: msg`Packed without ears.`,
  tight: msg`Tight: expect ears and a longer barrel.`,
  'will-not-close': msg`This die will not close on so much copper.`,
};

// oxlint-disable-next-line max-lines-per-function -- two findings that share their figures
function compactionFindings(end: ResolvedEnd, offer: DieOffer): Finding[] {
  const { c, kappa, verdict, parts, standard, sure, learned, loosest, tightest, own: trials } = offer;
  const wall = wallMm2(parts);
  const hexagon = hexagonMm2(parts.acrossFlatsMm);
  const right = verdict === 'right';
  const stateOf = (own: boolean): State => {
    if (right) return 'holds';
    // What a trial found wrong is said by the trial; the figures stay as they are.
    if (!own || trials) return 'holds';
    return verdict === 'light' || verdict === 'tight' ? 'watch' : 'fails';
  };
  const isOpen = verdict === 'open' || verdict === 'light';
  const because = standard && right ? msg`The standard die for this very lug.` : DIE_SAYS[verdict];
  // What a trial or the standard has settled is not doubted.
  const doubtsOf = (what: 'c' | 'kappa') =>
    standard || trials ? [] : dieDoubts(parts, learned.flatsToleranceMm, what);
  const couldTip = (what: 'c' | 'kappa') =>
    right && !sure && (what === 'c' ? tightest.c > COMPACTION.rightC : loosest.kappa < COMPACTION.rightKappa);
  const another =
    verdict === 'open' || verdict === 'will-not-close' ? { remedy: msg`Take another die.` } : {};
  const { kappa: filled, voidShare, stretch } = forecast(parts, c, learned.packing);
  const work = (formula: string, line: Message, low: number, high: number, follows: Message) => ({
    formula,
    substituted: [line, msg`band ${bandSays(low, high)}`, follows],
    source: msg`area balance of a hexagon crimp; thresholds are shop practice`,
    assumes:
      learned.trials > 0
        ? msg`flats ${amount(parts.acrossFlatsMm, 'mm', 2)} from ${trialsSay(learned.trials)} (die ${amount(offer.die.acrossFlatsMm, 'mm', 2)}), ±${numeral(learned.flatsToleranceMm, 2)} mm${learned.sections > 0 ? msg`; κ × ${numeral(learned.packing, 3)} as ${learned.sections} sections showed` : ''}`
        : msg`flats ${amount(parts.acrossFlatsMm, 'mm', 2)} as measured, not as stamped; ±0.1 mm, copper −10/+2 %`,
  });
  // A die inside the lug's own wall leaves no room at all: shown as packed twice over.
  const packed = Number.isFinite(kappa) ? kappa : 2;
  return [
    atLeast(
      {
        ...about(end, 'packing', msg`Strand packing, κ`),
        value: packed,
        unit: '',
        decimals: 2,
        because,
        ...another,
        doubts: doubtsOf('kappa'),
        couldTip: couldTip('kappa'),
        work: work(
          'κ = A ÷ (A_die − A_wall)',
          verbatim`= ${numeral(parts.copperMm2, 1)} ÷ (${numeral(hexagon, 1)} − ${numeral(wall, 1)}) = ${packingSays(kappa, 2)}`,
          loosest.kappa,
          tightest.kappa,
          msg`air = (1 − ${numeral(filled, 3)}) · (${numeral(hexagon, 1)} − ${numeral(wall, 1)}) ÷ ${numeral(hexagon, 1)} = ${numeral(100 * voidShare, 1)} %`,
        ),
      },
      COMPACTION.rightKappa,
      stateOf(isOpen),
    ),
    atMost(
      {
        ...about(end, 'compaction', msg`Compaction, c`),
        value: c,
        unit: '',
        decimals: 2,
        because,
        ...another,
        doubts: doubtsOf('c'),
        couldTip: couldTip('c'),
        work: work(
          'c = (A_wall + A) ÷ (√3/2 · F²)',
          verbatim`= (${numeral(wall, 1)} + ${numeral(parts.copperMm2, 1)}) ÷ (0.866 × ${numeral(parts.acrossFlatsMm, 2)}²) = ${numeral(c, 3)}`,
          loosest.c,
          tightest.c,
          msg`barrel longer by max(0, c − 1) = ${numeral(100 * stretch, 0)} %`,
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
      ...about(end, 'compaction', msg`Die`),
      value: null,
      unit: '',
      decimals: 0,
      because: end.spec.inPlace
        ? msg`No tool that can work in that place closes right on ${lug.label}.`
        : msg`No die in the case closes right on ${lug.label}.`,
      remedy: msg`Take another lug, or buy the die its maker names.`,
      work: {
        formula: msg`κ = A ÷ (A_die − A_wall) ≥ 0.90 and c = (A_wall + A) ÷ A_die ≤ 1.16`,
        substituted: [msg`every die owned was tried`],
        source: msg`area balance of a hexagon crimp`,
        assumes: msg`dies as measured across flats`,
      },
    },
    'fails',
  );
}

function crimpsFitFinding(end: ResolvedEnd, lug: Lug, { die, crimpsFit: fit }: DieOffer): Finding {
  const { palmMm, mouthMm, betweenMm } = CRIMP_SPACING;
  const needs = end.crimpsAsked * die.widthMm + palmMm + mouthMm + (end.crimpsAsked - 1) * betweenMm;
  const words = [msg`No crimp fits`, msg`One crimp fits`, msg`Two crimps fit`];
  // One crimp where two were asked is a choice to look at, no crimp is a failure.
  const state: State = fit >= end.crimpsAsked ? 'holds' : fit > 0 ? 'watch' : 'fails';
  return atMost(
    {
      ...about(end, 'crimps', end.crimpsAsked === 2 ? msg`Two crimps fit` : msg`The crimp fits`),
      value: needs,
      unit: 'mm',
      decimals: 1,
      because: msg`${words[Math.min(fit, 2)]} a barrel ${amount(lug.barrelMm, 'mm', 0)} deep.`,
      ...(state !== 'holds' && {
        remedy: fit > 0 ? msg`Make one crimp, in the middle.` : msg`Take a narrower die.`,
      }),
      work: {
        formula: msg`n · width + 2 at the palm + 2 at the mouth + 1.5 between`,
        substituted: [
          verbatim`= ${end.crimpsAsked} × ${numeral(die.widthMm, 1)} + ${palmMm} + ${mouthMm} + ${numeral((end.crimpsAsked - 1) * betweenMm, 1)} = ${amount(needs, 'mm', 1)}`,
          msg`middles from the mouth: ${allOf(end.crimps.map((mm) => numeral(mm, 1))) || msg`none`}`,
        ],
        source: msg`craft practice`,
        assumes: msg`spare barrel shared between mouth, gap and palm`,
      },
    },
    lug.barrelMm,
    0,
    state,
  );
}
