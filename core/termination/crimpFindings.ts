import { TOOL_KINDS } from '../catalogue/tables/tools.ts';
import { atLeast, atMost, type Finding, stated, type State } from '../finding.ts';
import type { Lug } from '../job/shop.ts';
import { digits, figure } from '../units/figure.ts';
import { about } from './about.ts';
import { CRIMP_SPACING } from './crimpLayout.ts';
import { type DieOffer } from './dieOffers.ts';
import { COMPACTION, hexagonMm2 } from './dieOnLug.ts';
import type { OwnTrials } from './learned.ts';
import { dieCalled } from './lugOffers.ts';
import { wallMm2 } from './lugOnCable.ts';
import type { ResolvedEnd } from './resolveEnd.ts';

/** A die held against its lug: packing, compaction, and whether the crimps fit the barrel. */
export function crimpFindings(end: ResolvedEnd, lug: Lug): Finding[] {
  const { die } = end;
  if (!die) return [noDie(end, lug)];
  return [
    ...(die.unfit ? [unfit(end, die)] : []),
    ...(die.own ? [tried(end, die, die.own)] : die.verdict === 'untried' ? [untried(end, die)] : []),
    ...(die.leaves === 'hexagon' ? compactionFindings(end, die) : []),
    crimpsFitFinding(end, lug, die),
  ];
}

const plain = (end: ResolvedEnd, key: string, title: string) => ({
  ...about(end, key, title),
  value: null,
  unit: '' as const,
  decimals: 0,
});

/** A tool that cannot be used on this size, or in this place. */
function unfit(end: ResolvedEnd, { tool, unfit: why }: DieOffer): Finding {
  const { title, hands, stop } = TOOL_KINDS[tool.kind];
  return stated(
    {
      ...plain(end, 'tool', 'Tool'),
      because: `${tool.title}: ${why}.`,
      remedy: 'Take a tool that can work here.',
      work: {
        formula: 'largest copper, room to swing, floor, bench',
        substituted: [`${title}: ${hands}${stop ? `; done when ${stop}` : ''}`],
        source: 'craft practice; the tool’s own sheet governs',
        assumes: end.spec.inPlace
          ? `${end.spec.inPlace.swingMm} mm of room, ${end.spec.inPlace.solidFloor ? 'a solid floor' : 'no solid floor'}`
          : 'made on the bench',
      },
    },
    'fails',
  );
}

/** Trials on this barrel and conductor outrank the figures. */
function tried(end: ResolvedEnd, { verdict, die }: DieOffer, own: OwnTrials): Finding {
  const state: State =
    verdict === 'right' ? 'holds' : verdict === 'light' || verdict === 'tight' ? 'watch' : 'fails';
  return stated(
    {
      ...about(end, 'trial', 'Trial crimps'),
      value: own.count,
      unit: '',
      decimals: 0,
      because: own.because,
      ...(state !== 'holds' && { remedy: 'Take another die, and crimp a spare with it.' }),
      work: {
        formula: 'a trial of this die on this barrel and conductor outranks the prediction',
        substituted: [
          `${own.count} ${own.count === 1 ? 'trial' : 'trials'} with ${dieCalled(die)}; ears ${digits(own.earsMm, 2)} mm${own.kappa === null ? '' : `; κ seen ${digits(own.kappa, 3)}`}`,
        ],
        source: 'the shop’s own test crimps',
        assumes: 'the same barrel, the same copper to 1 %',
      },
    },
    state,
  );
}

function untried(end: ResolvedEnd, { tool }: DieOffer): Finding {
  return stated(
    {
      ...plain(end, 'trial', 'Trial crimps'),
      because: `${tool.title} leaves an indent: figures cannot judge it, only a trial can.`,
      remedy: 'Crimp a spare lug with it, pull it or saw it, and record the trial in the tool case.',
      work: {
        formula: 'indent and plunger tools: by trial only',
        substituted: ['no trial on this barrel and conductor'],
        source: 'craft practice',
        assumes: '',
      },
    },
    'unproved',
  );
}

const DIE_SAYS: Readonly<Record<DieOffer['verdict'], string>> = {
  untried: 'Not tried.',
  open: 'Open: air is left between the strands.',
  light: 'Light: hardly packed.',
  right: 'Packed without ears.',
  tight: 'Tight: expect ears and a longer barrel.',
  'will-not-close': 'This die will not close on so much copper.',
};

function compactionFindings(end: ResolvedEnd, offer: DieOffer): Finding[] {
  const { c, kappa, verdict, parts, standard, sure, learned, loosest, tightest, own: trials } = offer;
  const wall = wallMm2(parts);
  const hexagon = hexagonMm2(parts.acrossFlatsMm);
  const right = verdict === 'right';
  const stateOf = (own: boolean): State => {
    if (right) return sure ? 'holds' : 'watch';
    // What a trial found wrong is said by the trial; the figures stay as they are.
    if (!own || trials) return 'holds';
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
    assumes:
      learned.trials > 0
        ? `flats ${figure(parts.acrossFlatsMm, 'mm', 2)} from ${learned.trials} ${learned.trials === 1 ? 'trial' : 'trials'} (die ${figure(offer.die.acrossFlatsMm, 'mm', 2)}), ±${digits(learned.flatsToleranceMm, 2)} mm${learned.sections > 0 ? `; κ × ${digits(learned.packing, 3)} as ${learned.sections} sections showed` : ''}`
        : `flats ${figure(parts.acrossFlatsMm, 'mm', 2)} as measured, not as stamped; ±0.1 mm, copper −10/+2 %`,
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
      because: end.spec.inPlace
        ? `No tool that can work in that place closes right on ${lug.label}.`
        : `No die in the case closes right on ${lug.label}.`,
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
