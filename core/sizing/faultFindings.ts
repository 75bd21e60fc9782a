import { FUSE_PLACES, FUSES } from '../catalogue/tables/fuses.ts';
import { atLeast, atMost, type Facts, type Finding, stated } from '../finding.ts';
import type { Fuse } from '../job/cable.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { digits, figure } from '../units/figure.ts';
import { type Assessment, type RunContext, surroundingsOf, thermalCable, totalOhm } from './assess.ts';
import {
  ADIABATIC_S,
  adiabaticK,
  type FaultCurrents,
  faultCurrents,
  SHORT_CIRCUIT_LIMIT_C,
  survivalSeconds,
  worstFault,
} from './fault.ts';
import { breakingAmps, HOTTEST_AT_RATING_C, ratingFor, SHORT_ONLY_UP_TO } from './fuse.ts';
import { steadyTemperature } from './heatBalance.ts';
import { strictestAmps } from './schoolFindings.ts';
import { chargingVolts, type SourceResistance, sourceResistance } from './source.ts';

/** What a short would draw, and what the cable stands of it. */
export interface FaultView {
  readonly currents: FaultCurrents;
  readonly source: SourceResistance;
  readonly k: number;
  readonly heldC: number;
  readonly finalC: number;
}

/** Works the fault of one size; null where the source is not known or the cable never settles. */
export function faultView(at: Assessment, { run }: RunContext, kind: CableKind): FaultView | null {
  const source = sourceResistance(run.source, run.systemV);
  const heldC = at.duty?.cycle?.peakC ?? at.settledC;
  const finalC = SHORT_CIRCUIT_LIMIT_C[kind.insulation];
  if (!source || heldC === null || heldC >= finalC) return null;
  const currents = faultCurrents(run.systemV, chargingVolts(run.systemV), source.ohm, totalOhm(at.spenders));
  return { currents, source, k: adiabaticK(heldC, finalC), heldC, finalC };
}

/** The fuses that guard a cable: its own, else those of its circuit. */
export function fusesOf({ run, mates }: RunContext): readonly Fuse[] {
  return run.fuses.length > 0 ? run.fuses : mates.flatMap(({ fuses }) => fuses).slice(0, 1);
}

/** What a fuse asks of the size: that it outlives a fault, and that the fuse guards it. */
export function fuseLimits(
  at: Assessment,
  context: RunContext,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  const fuses = fusesOf(context);
  if (at.currentA === null || fuses.length === 0) return [];
  const view = faultView(at, context, kind);
  return fuses.flatMap((fuse) => [
    survives(fuse, at, view, context),
    guards(fuse, at, kind, context, practice),
  ]);
}

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

const about = (fuse: Fuse, key: string, title: string) =>
  ({ id: `${key}.${fuse.end}`, stage: 'gauge', end: fuse.end, title }) as const;

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

function survivalWork(at: Assessment, view: FaultView, currentA: number): Finding['work'] {
  const { currents, source, k, heldC, finalC } = view;
  return {
    formula: 't = k² · S² ÷ I², k = 226 · √ln((234.5 + T_f) ÷ (234.5 + T_i))',
    substituted: [
      `k = 226 · √ln((234.5 + ${finalC}) ÷ (234.5 + ${digits(heldC, 1)})) = ${digits(k, 1)}`,
      `t = ${digits(k, 1)}² × ${digits(at.copperMm2, 1)}² ÷ ${digits(currentA, 0)}² = ${figure(survivalSeconds(k, at.copperMm2, currentA), 's', 2)}`,
      `a short draws ${digits(currents.leastA, 0)} A (far end, half the source, hot) to ${digits(currents.mostA, 0)} A (at the fuse, charged)`,
    ],
    source: 'IEC 60364-5-54 and 60724',
    assumes: `source ${digits(source.ohm * 1000, 2)} mΩ, ${source.how}${source.confidence === 'low' ? ' (low confidence)' : ''}; over ${ADIABATIC_S} s the cable also cools, so it errs to the safe side`,
  };
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

/** What holds only by an estimate is watched, and says so. */
function guessed(finding: Finding, view: FaultView): Finding {
  if (finding.state !== 'holds' || view.source.confidence === 'good') return finding;
  const { binds: _, ...rest } = finding;
  return {
    ...rest,
    state: 'watch',
    because: `${finding.because} The source is only estimated.`,
    remedy: 'Type the source’s resistance from its sheet.',
  };
}

function survives(fuse: Fuse, at: Assessment, view: FaultView | null, { run }: RunContext): Finding {
  const facts = { ...about(fuse, 'survives', 'Outlives a fault'), unit: 's', decimals: 2 } as const;
  const curve = fuse.curve ?? FUSES[fuse.kind].curve;
  if (!view) {
    const work = {
      formula: 'clears in t ≤ k² · S² ÷ I²',
      substituted: ['the source is not known'],
      source: 'IEC 60364-5-54',
      assumes: '',
    };
    const because =
      run.source.kind === 'unknown'
        ? 'What a short can draw is not known.'
        : 'It never settles, so no start is known.';
    return stated({ ...facts, value: null, because, remedy: 'Give the source in Run.', work }, 'unproved');
  }
  if (curve.length === 0) {
    const because = `How fast a ${FUSES[fuse.kind].title} fuse clears is not known here.`;
    const work = survivalWork(at, view, view.currents.leastA);
    return stated(
      { ...facts, value: null, because, remedy: 'Type its curve from the maker’s sheet.', work },
      'unproved',
    );
  }
  const worst = worstFault(curve, fuse.ratingA, view.currents, view.k, at.copperMm2);
  const work = survivalWork(at, view, worst?.currentA ?? view.currents.leastA);
  if (!worst) {
    const because = `A far short draws only ${figure(view.currents.leastA, 'A', 0)}: a ${digits(fuse.ratingA, 0)} A fuse may never open.`;
    return stated(
      { ...facts, value: null, because, remedy: 'Take a smaller fuse or a thicker cable.', work },
      'fails',
    );
  }
  const finding = atMost({ ...facts, value: worst.clearsS, work }, worst.survivesS);
  if (finding.state === 'fails' && worst.beyondCurve) {
    const because = `At ${figure(worst.currentA, 'A', 0)} the curve only says “within ${digits(worst.clearsS, 2)} s”; the cable lasts ${figure(worst.survivesS, 's', 2)}.`;
    return {
      ...finding,
      state: 'unproved',
      because,
      remedy: 'Type more of its curve from the maker’s sheet.',
    };
  }
  return guessed(finding, view);
}

function guards(
  fuse: Fuse,
  at: Assessment,
  kind: CableKind,
  context: RunContext,
  practice: HousePractice,
): Finding {
  const allowed = strictestAmps(at, practice);
  const cable = thermalCable(kind, { size: at.size, outerMm: at.outerMm, pricePerM: 0 });
  const around = surroundingsOf(context.run);
  // In parallel, the fuse must protect each on its own share.
  const atRating = steadyTemperature(cable, around, fuse.ratingA / at.parallel / at.placing);
  const facts: Facts = {
    ...about(fuse, 'guards', 'Fuse guards it'),
    value: fuse.ratingA,
    unit: 'A',
    decimals: 0,
    work: {
      formula: 'rating ≤ allowed amps; to 1.5 × it guards against a short only',
      substituted: [
        allowed === null
          ? 'no school switched on allows an amperage'
          : `allowed ${figure(allowed, 'A', 0)}, rating ${digits(fuse.ratingA, 0)} A`,
        atRating === null
          ? 'at its rating the conductor never settles'
          : `at its rating the conductor is at ${figure(atRating, '°C', 0)}`,
      ],
      source: 'small-craft practice; the strictest of the schools switched on',
      assumes: 'the fuse carries its rating for ever',
    },
  };
  if (allowed === null)
    return stated({ ...facts, because: 'No school that is switched on says what it may carry.' }, 'unproved');
  if (fuse.ratingA <= allowed) return atMost(facts, allowed);
  if (fuse.ratingA > SHORT_ONLY_UP_TO * allowed || atRating === null || atRating > HOTTEST_AT_RATING_C) {
    return {
      ...atMost({ ...facts, remedy: 'Take a smaller fuse or a thicker cable.' }, allowed),
      because: 'This fuse lets the cable burn before it opens.',
    };
  }
  const because = `Guards against a short only: at ${digits(fuse.ratingA, 0)} A the conductor is at ${figure(atRating, '°C', 0)}.`;
  if (!fuse.waiver) {
    const remedy = 'Needs a name and a reason to stand, a smaller fuse, or a thicker cable.';
    return atMost({ ...facts, because, remedy }, allowed, 0, 'unproved');
  }
  return atMost(
    { ...facts, because: `${because} ${fuse.waiver.by}: ${fuse.waiver.why}` },
    allowed,
    0,
    'watch',
  );
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
