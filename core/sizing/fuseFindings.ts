import { FUSE_PLACES, FUSES } from '../catalogue/tables/fuses.ts';
import { atLeast, atMost, type Finding, stated } from '../finding.ts';
import type { Fuse } from '../job/run.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { digits, figure } from '../units/figure.ts';
import type { Assessment, RunContext } from './assess.ts';
import { survivalSeconds } from './fault.ts';
import { about, type FaultView, faultView, fusesOf, guessed, survivalWork } from './faultView.ts';
import { breakingAmps, ratingFor } from './fuse.ts';
import { chargingVolts } from './source.ts';

/** What is asked of the fuse itself, whatever the size; or what a short does where there is none. */
export function fuseFindings(
  at: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  if (at.currentA === null) return [];
  const fuses = fusesOf(context);
  const view = faultView(at, context, kind);
  if (fuses.length === 0) return [unfused(at, context, view), ...bothEnds(context)];
  const isOwn = context.run.fuses.length > 0;
  return [
    ...fuses.flatMap((fuse) => [
      breaking(fuse, context, view),
      carries(fuse, at, practice),
      ...(isOwn ? [stands(fuse)] : []),
    ]),
    ...bothEnds(context),
  ];
}

function unfused(at: Assessment, { run }: RunContext, view: FaultView | null): Finding {
  const facts = { id: 'short', stage: 'gauge', title: 'A short, no fuse', unit: 's', decimals: 2 } as const;
  const remedy = run.starter
    ? 'Protect it by its path: short, sheathed, clear of anything that can chafe through.'
    : 'Say which fuse guards it, or mark it as a starter cable.';
  if (!view) {
    const because =
      run.source.kind === 'unknown'
        ? 'No fuse is said, and nothing of the source: what a short would do is not known.'
        : 'It never settles, so what a short would do is not known.';
    const work = {
      formula: 't = k² · S² ÷ I²',
      substituted: ['the source’s resistance is missing'],
      source: 'IEC 60364-5-54',
      assumes: '',
    };
    return stated(
      { ...facts, value: null, because, remedy: `${remedy} Give the source in Run.`, work },
      'unproved',
    );
  }
  const survivesS = survivalSeconds(view.k, at.copperMm2, view.currents.leastA);
  const because = `A short draws ${figure(view.currents.leastA, 'A', 0)} to ${figure(view.currents.mostA, 'A', 0)}; nothing opens, and the conductor is at ${view.finalC} °C in ${figure(survivesS, 's', 1)}.`;
  return stated(
    { ...facts, value: survivesS, because, remedy, work: survivalWork(at, view, view.currents.leastA) },
    run.starter ? 'watch' : 'unproved',
  );
}

function breaking(fuse: Fuse, { run }: RunContext, view: FaultView | null): Finding {
  const volts = chargingVolts(run.systemV);
  const breaks = fuse.breakingA ?? breakingAmps(fuse.kind, volts, run.systemV);
  const facts = { ...about(fuse, 'breaking', 'Fuse can break'), unit: 'A', decimals: 0 } as const;
  const work = {
    formula: 'I_breaking ≥ I_most = U_charging ÷ R_source',
    substituted: [
      view
        ? `${figure(volts, 'V', 1)} ÷ ${digits(view.source.ohm * 1000, 2)} mΩ = ${figure(view.currents.mostA, 'A', 0)}`
        : 'the source is not known',
    ],
    source:
      fuse.breakingA === undefined
        ? `customary for a ${FUSES[fuse.kind].title} fuse; its own sheet governs`
        : 'its own sheet',
    assumes: 'charged, all strings, fault right at the fuse',
  };
  if (breaks === null) {
    const because = `A ${FUSES[fuse.kind].title} fuse is not made for ${figure(volts, 'V', 1)}.`;
    return stated(
      { ...facts, value: null, because, remedy: 'Take a kind made for this voltage.', work },
      'fails',
    );
  }
  if (!view) {
    const because = 'What a short can draw is not known: say what the source is.';
    return stated({ ...facts, value: null, because, remedy: 'Give the source in Run.', work }, 'unproved');
  }
  const finding = atMost({ ...facts, value: view.currents.mostA, work }, breaks);
  return guessed(finding, view);
}

function carries(fuse: Fuse, at: Assessment, { fuseOverLoad }: HousePractice): Finding {
  const continuous = at.currentA ?? 0;
  const heaviest = at.duty?.heaviestA ?? 0;
  const least = Math.max(fuseOverLoad * continuous, heaviest);
  const suggested = ratingFor(continuous, heaviest, fuseOverLoad);
  // A rating is taken just over what is asked: that it comes close is the rule, not a warning.
  const { binds: _, ...finding } = atLeast(
    {
      ...about(fuse, 'carries', 'Fuse carries it'),
      value: fuse.ratingA,
      unit: 'A',
      decimals: 0,
      ...(fuse.ratingA < least && {
        remedy:
          suggested === null
            ? 'No standard rating is that large.'
            : `The next standard rating is ${suggested} A.`,
      }),
      work: {
        formula: `rating ≥ ${fuseOverLoad} · I, and not under the heaviest step`,
        substituted: [
          `${fuseOverLoad} × ${digits(continuous, 0)} = ${figure(fuseOverLoad * continuous, 'A', 0)}${heaviest > 0 ? `, heaviest step ${digits(heaviest, 0)} A` : ''}`,
        ],
        source: 'customary rating rule, by house practice',
        assumes: 'the maker’s curve may show that it carries a short step above its rating',
      },
    },
    least,
  );
  return finding;
}

function stands(fuse: Fuse): Finding {
  const { title, mostMm } = FUSE_PLACES[fuse.place];
  return atMost(
    {
      ...about(fuse, 'fuse-place', 'Fuse from source'),
      value: fuse.distanceMm,
      unit: 'mm',
      decimals: 0,
      ...(fuse.distanceMm > mostMm && {
        remedy: 'Move the fuse nearer to its source, or sheath the stretch before it.',
      }),
      work: {
        formula: 'distance along the cable ≤ the placement rule',
        substituted: [`${title}: at most ${figure(mostMm, 'mm', 0)}`],
        source: 'small-craft practice',
        assumes: 'measured along the conductor from the source’s terminal',
      },
    },
    mostMm,
  );
}

function bothEnds({ run }: RunContext): Finding[] {
  if (!run.bothEndsLive) return [];
  const missing = (['A', 'B'] as const).filter((end) => !run.fuses.some((fuse) => fuse.end === end));
  return [
    stated(
      {
        id: 'both-ends',
        stage: 'gauge',
        title: 'A fuse at each source',
        value: null,
        unit: '',
        decimals: 0,
        because:
          missing.length === 0
            ? 'Both ends are live and each has its own.'
            : `Both ends are live: end ${missing.join(' and ')} has no fuse.`,
        ...(missing.length > 0 && { remedy: 'Put a fuse at every end that a source can feed.' }),
        work: {
          formula: 'a fuse at every end that can feed a fault',
          substituted: [`fuses at ${run.fuses.map(({ end }) => end).join(' and ') || 'neither end'}`],
          source: 'small-craft practice',
          assumes: '',
        },
      },
      missing.length === 0 ? 'holds' : 'fails',
    ),
  ];
}
