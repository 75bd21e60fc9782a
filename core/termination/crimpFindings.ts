import { atLeast, atMost, type Finding, stated, type State } from '../finding.ts';
import type { Lug } from '../job/shop.ts';
import { digits, figure } from '../units/figure.ts';
import { about } from './about.ts';
import { CRIMP_SPACING } from './crimpLayout.ts';
import { COMPACTION, compactionBand, type DieVerdict, hexagonMm2 } from './dieOnLug.ts';
import { wallMm2 } from './lugOnCable.ts';
import type { DieOffer } from './offers.ts';
import type { ResolvedEnd } from './resolveEnd.ts';

/** A die held against its lug: packing, compaction, and whether the crimps fit the barrel. */
export function crimpFindings(end: ResolvedEnd, lug: Lug): Finding[] {
  const { die } = end;
  return die ? [...compactionFindings(end, die), crimpsFitFinding(end, lug, die)] : [noDie(end, lug)];
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
