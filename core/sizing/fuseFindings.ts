import { FUSE_PLACES, FUSES } from '../model/tables/fuses.ts';
import { atLeast, atMost, type Finding, stated } from '../finding/finding.ts';
import { END_NAMES } from '../model/end.ts';
import type { Duty, Fuse, Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import { type Assessment, heldAmps } from './assess.ts';
import type { RunContext } from './loop.ts';
import { survivalSeconds } from './fault.ts';
import {
  about,
  type FaultView,
  faultView,
  fusesOf,
  giveSource,
  guessed,
  survivalWork,
  whyNoView,
} from './faultView.ts';
import { breakingAmps, meltsNotBefore, smallestFuse } from './fuse.ts';
import { chargedTo, sourceAt } from './source.ts';
import { bothEnds, stringFuses } from './sourceFindings.ts';

/** What is required of the fuse itself, whatever the size; or what a short does where there is none. */
export function fuseFindings(
  assessed: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  if (assessed.currentA === null) return [];
  const fuses = fusesOf(context);
  const strings = stringFuses(context);
  if (fuses.length === 0) return [unfused(assessed, context, kind), ...bothEnds(context), ...strings];
  const isOwn = !context.fed?.guards && context.run.fuses.length > 0;
  return [
    ...fuses.flatMap((fuse) => {
      const view = faultView(assessed, context, kind, fuse.end);
      return [
        breaking(fuse, context, view),
        carries(fuse, assessed, context, practice, view),
        ...(isOwn ? [stands(fuse)] : []),
      ];
    }),
    ...bothEnds(context),
    ...strings,
  ];
}

/** Where both ends are live, the source that a short draws most from; none while either is not known. */
function strongest(at: Assessment, context: RunContext, kind: CableKind): FaultView | null {
  if (!context.run.bothEndsLive) return faultView(at, context, kind);
  const [a, b] = [faultView(at, context, kind, 'A'), faultView(at, context, kind, 'B')];
  return a && b && b.currents.mostA > a.currents.mostA ? b : a && b && a;
}

function unfused(assessed: Assessment, context: RunContext, kind: CableKind): Finding {
  const { run } = context;
  const view = strongest(assessed, context, kind);
  const facts = {
    topic: 'short',
    stage: 'gauge',
    title: msg`Short circuit with no fuse`,
    unit: 's',
    decimals: 2,
  } as const;
  const remedy = run.starter
    ? msg`Protect it by its path: short, sheathed, clear of anything that can chafe through.`
    : msg`Name the fuse that protects it, or mark it as a starter cable.`;
  if (!view) {
    const missing = END_NAMES.find((end) => sourceAt(run, end).kind === 'unknown');
    const because = whyNoView(
      context,
      missing,
      msg`No fuse and no source entered, so the short-circuit check cannot be made.`,
    );
    const work = {
      formula: 't = k² · S² ÷ I²',
      substituted: [msg`the source’s resistance is missing`],
      source: msg`IEC 60364-5-54`,
      assumes: '',
    };
    return stated(
      { ...facts, value: null, because, remedy: verbatim`${remedy} ${giveSource(context, missing)}`, work },
      'unproved',
    );
  }
  const survivesS = survivalSeconds(view.k, assessed.copperMm2, view.currents.leastA);
  const because = msg`A short draws ${amount(view.currents.leastA, 'A', 0)} to ${amount(view.currents.mostA, 'A', 0)}; nothing opens, and the conductor is at ${amount(view.finalC, '°C', 0)} in ${amount(survivesS, 's', 1)}.`;
  return stated(
    { ...facts, value: survivesS, because, remedy, work: survivalWork(assessed, view, view.currents.leastA) },
    run.starter ? 'watch' : 'unproved',
  );
}

function breaking(fuse: Fuse, context: RunContext, view: FaultView | null): Finding {
  const { run } = context;
  const { volts, how } = chargedTo(run);
  const customary = breakingAmps(fuse.kind, volts, run.systemV);
  // A fuse over its voltage does not open at all, whatever it is said to break.
  const isByItsSheet = FUSES[fuse.kind].breaking.length === 0;
  const breaks = customary === null && !isByItsSheet ? null : (fuse.breakingA ?? customary);
  const facts = {
    ...about(fuse, 'breaking', msg`Interrupting rating`),
    unit: 'A',
    decimals: 0,
  } as const;
  const work = {
    formula: msg`I_breaking ≥ I_most = U_charging ÷ R_source`,
    substituted: [
      view
        ? verbatim`${amount(volts, 'V', 1)} ÷ ${numeral(view.source.ohm * 1000, 2)} mΩ = ${amount(view.currents.mostA, 'A', 0)}`
        : msg`the source is not known`,
    ],
    source:
      fuse.breakingA === undefined
        ? msg`customary for a ${FUSES[fuse.kind].title} fuse; its own sheet governs`
        : msg`its own sheet`,
    assumes: msg`charged to ${amount(volts, 'V', 1)} (${how}), all strings, fault right at the fuse`,
  };
  if (breaks === null && isByItsSheet) {
    const because = msg`The interrupting rating of a ${FUSES[fuse.kind].title} is on its own sheet only.`;
    return stated(
      { ...facts, value: null, because, remedy: msg`Enter its interrupting rating.`, work },
      'unproved',
    );
  }
  if (breaks === null) {
    const because = msg`A ${FUSES[fuse.kind].title} fuse is not made for ${amount(volts, 'V', 1)}.`;
    return stated(
      { ...facts, value: null, because, remedy: msg`Take a kind made for this voltage.`, work },
      'fails',
    );
  }
  if (!view) {
    const because = msg`The short-circuit current is not known: enter what the source is.`;
    return stated(
      { ...facts, value: null, because, remedy: giveSource(context, fuse.end), work },
      'unproved',
    );
  }
  const finding = atMost({ ...facts, value: view.currents.mostA, work }, breaks);
  return guessed(finding, view);
}

/** How a fuse takes a step that is over its rating. */
interface Inrush {
  readonly amps: number;
  readonly seconds: number;
  /** Before this it does not melt, s; null where nothing is known of it. */
  readonly notBeforeS: number | null;
  readonly how: Message;
  readonly isTyped: boolean;
}

/** Every step over the rating, with the shortest time that a fuse of this kind melts in. */
function inrushes(fuse: Fuse, at: Assessment, duty: Duty | undefined): Inrush[] {
  const steps = at.duty && duty ? duty.steps : [];
  return steps
    .filter(({ amps }) => amps > fuse.ratingA)
    .map(({ amps, seconds }) => ({ amps, seconds, ...meltsNotBefore(fuse, amps / fuse.ratingA) }));
}

function carries(
  fuse: Fuse,
  assessed: Assessment,
  { run }: RunContext,
  { fuseOverLoad }: HousePractice,
  view: FaultView | null,
): Finding {
  const continuous = heldAmps(assessed);
  const heaviest = assessed.duty?.heaviestA ?? 0;
  const least = fuseOverLoad * continuous;
  const over = inrushes(fuse, assessed, run.duty);
  const melts = over.find(({ seconds, notBeforeS }) => notBeforeS !== null && seconds >= notBeforeS);
  const unknown = over.find(({ notBeforeS }) => notBeforeS === null);
  const remedy = fuseRemedy(
    run,
    continuous,
    assessed.duty ? (run.duty?.steps ?? []) : [],
    fuseOverLoad,
    view,
  );
  const facts = {
    ...about(fuse, 'carries', msg`Fuse rating against load`),
    value: fuse.ratingA,
    unit: 'A',
    decimals: 0,
    work: {
      formula: msg`rating ≥ ${fuseOverLoad} · I; each step shorter than the shortest melting time at its amps`,
      substituted: [
        verbatim`${fuseOverLoad} × ${numeral(continuous, 0)} = ${amount(least, 'A', 0)}${heaviest > 0 ? msg`, heaviest step ${numeral(heaviest, 0)} A` : ''}`,
        ...over.map(({ amps, seconds, notBeforeS, how }) =>
          notBeforeS === null
            ? msg`${numeral(amps, 0)} A for ${numeral(seconds, 1)} s: ${how}`
            : msg`${numeral(amps, 0)} A for ${numeral(seconds, 1)} s: melts not before ${numeral(notBeforeS, 2)} s, ${how}`,
        ),
      ],
      source: msg`customary rating rule, by house practice`,
      assumes: msg`melting times are of low confidence unless the maker’s curve gives them`,
    },
  } as const;
  // A rating is taken just over what is asked: that it comes close is the rule, not a warning.
  const { close: _, ...finding } = atLeast({ ...facts, ...(fuse.ratingA < least && { remedy }) }, least);
  if (finding.state === 'fails' || over.length === 0) return finding;
  const isSure = over.every(({ isTyped }) => isTyped);
  if (melts) {
    const because = msg`${amount(melts.amps, 'A', 0)} for ${amount(melts.seconds, 's', 1)} may melt it: at that current it melts from ${amount(melts.notBeforeS ?? 0, 's', 2)} on.`;
    return { ...finding, state: 'fails', because, remedy };
  }
  if (unknown) {
    const because = msg`${amount(unknown.amps, 'A', 0)} for ${amount(unknown.seconds, 's', 1)} is over its rating, and how soon it melts is not known.`;
    return { ...finding, state: 'unproved', because, remedy };
  }
  const [first] = over;
  const because = msg`${amount(first?.amps ?? 0, 'A', 0)} is over its rating for ${amount(first?.seconds ?? 0, 's', 1)}, shorter than it takes to melt.`;
  return isSure ? { ...finding, because } : { ...finding, state: 'watch', because };
}

/** A kind and a rating that would carry the load with its steps, and break the fault. */
function fuseRemedy(
  run: Run,
  continuousA: number,
  steps: readonly { readonly amps: number; readonly seconds: number }[],
  overLoad: number,
  view: FaultView | null,
): Message {
  const carried = { heldA: continuousA, steps };
  const does = smallestFuse(carried, overLoad, chargedTo(run).volts, run.systemV, view?.currents.mostA ?? 0);
  return does
    ? msg`A ${FUSES[does.kind].title} of ${does.ratingA} A would do, and interrupts ${amount(does.breaksA, 'A', 0)}.`
    : msg`No standard rating is that large.`;
}

function stands(fuse: Fuse): Finding {
  const { title, mostMm } = FUSE_PLACES[fuse.place];
  return atMost(
    {
      ...about(fuse, 'fuse-place', msg`Distance from source to fuse`),
      value: fuse.distanceMm,
      unit: 'mm',
      decimals: 0,
      ...(fuse.distanceMm > mostMm && {
        remedy: msg`Move the fuse nearer to its source, or sheath the stretch before it.`,
      }),
      work: {
        formula: msg`distance along the cable ≤ the placement rule`,
        substituted: [msg`${title}: at most ${amount(mostMm, 'mm', 0)}`],
        source: msg`small-craft practice`,
        assumes: msg`measured along the conductor from the source’s terminal`,
      },
    },
    mostMm,
  );
}
