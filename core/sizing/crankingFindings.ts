import { COLD_CRANKING } from '../model/tables/sources.ts';
import { atMost, type Facts, type Finding, judgeAtMost, type Judged, stated } from '../finding/finding.ts';
import { SAG_SHARE } from '../model/tables/sag.ts';
import type { Run } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { amount, msg, numeral, verbatim } from '../words/message.ts';
import type { Assessment } from './assess.ts';
import { type RunContext, spendersAt, totalOhm } from './loop.ts';
import { sourceResistance } from './source.ts';

/** What cold does to a start: how many times the amps an engine draws, and how much of its own a lead battery gives. */
export interface Cold {
  readonly asks: number;
  readonly gives: number;
}

const WARM_C = COLD_CRANKING[0].atC;
/** The least that is taken of a battery in deep cold, as a share. */
const LEAST_GIVES = 0.05;

/**
 * What cold does to a start, between the handbook's points and on beyond the coldest of them in the same line; nothing
 * above the warmest.
 *
 * Source: {@link COLD_CRANKING}. Confidence: low.
 *
 * @example coldAt(-9) // { asks: 1.825, gives: 0.525 }
 */
export function coldAt(celsius: number): Cold {
  const points = COLD_CRANKING;
  const warmest = points[0];
  if (celsius >= warmest.atC) return { asks: warmest.asks, gives: warmest.gives };
  const [warm, cold] = celsius >= points[1].atC ? [points[0], points[1]] : [points[1], points[2]];
  const share = (warm.atC - celsius) / (warm.atC - cold.atC);
  const between = (a: number, b: number) => a + share * (b - a);
  return {
    asks: between(warm.asks, cold.asks),
    gives: Math.max(LEAST_GIVES, between(warm.gives, cold.gives)),
  };
}

/** How much of what its label says a lead battery gives at a temperature: labels give it cold, cool or warm. */
function givesOf(source: Run['source'], celsius: number): number {
  const rated = source.kind === 'cranking' ? (source.ratedC ?? WARM_C) : WARM_C;
  return coldAt(celsius).gives / coldAt(rated).gives;
}

const SOURCE = msg`handbook: compared with 27 °C an engine draws 1.55 × at 0 °C and 2.1 × at −18 °C, a lead battery gives 0.65 and 0.40; confidence low`;

/** The drop while a cold engine is cranked: what it asks more there counts against the same limit as the surge. */
export function crankingLimits(assessed: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { run } = context;
  const { duty, coldestC } = run;
  if (!run.starter || !duty || !assessed.duty || coldestC === undefined) return [];
  const { amps, ohm } = coldStart(assessed, context, kind, coldestC);
  const percent = ((amps * ohm) / run.systemV) * 100;
  return [
    judgeAtMost('cranking-drop', percent, duty.dropPercent, 0, () => ({
      topic: 'cranking-drop',
      stage: 'gauge',
      title: msg`Surge drop, cold`,
      value: percent,
      unit: '%',
      decimals: 2,
      work: {
        formula: msg`ΔU = I_cold · R_loop, the copper as cold as the engine`,
        substituted: [
          msg`I_cold = ${amount(amps, 'A', 0)} at ${amount(coldestC, '°C', 0)}`,
          verbatim`= ${amount(amps, 'A', 0)} × ${numeral(ohm * 1000, 3)} mΩ = ${amount(amps * ohm, 'V', 3)} = ${amount(percent, '%', 2)}`,
        ],
        source: SOURCE,
        assumes: msg`the duty’s heaviest step is what it draws at 27 °C`,
      },
    })),
  ];
}

function coldStart(at: Assessment, context: RunContext, kind: CableKind, coldestC: number) {
  const amps = (at.duty?.heaviestA ?? 0) * coldAt(coldestC).asks;
  return { amps, ohm: totalOhm(spendersAt(context, kind, at.size, coldestC, 0)) };
}

/** Cranking amps against what the battery can give in the cold, and the volts that arrive at the starter. */
export function crankingFindings(at: Assessment, context: RunContext, kind: CableKind): Finding[] {
  const { run } = context;
  if (!run.starter || !run.duty || !at.duty) return [];
  return [amps(at, context), ...volts(at, context, kind)];
}

function amps(at: Assessment, { run }: RunContext): Finding {
  const warmA = at.duty?.heaviestA ?? 0;
  const ratedA = run.source.kind === 'cranking' ? run.source.crankingA : null;
  const line = (celsius: number) => {
    const { asks } = coldAt(celsius);
    const gives = givesOf(run.source, celsius);
    const asked = msg`at ${amount(celsius, '°C', 0)} draws ${numeral(asks, 2)} × ${numeral(warmA, 0)} = ${amount(warmA * asks, 'A', 0)}`;
    return ratedA === null
      ? asked
      : msg`${asked}, gives ${numeral(gives, 2)} × ${numeral(ratedA, 0)} = ${amount(ratedA * gives, 'A', 0)}`;
  };
  const { coldestC } = run;
  const atC = coldestC ?? WARM_C;
  const facts: Facts = {
    topic: 'cranking-amps',
    stage: 'gauge',
    title: msg`Cranking, cold`,
    value: warmA * coldAt(atC).asks,
    unit: 'A',
    decimals: 0,
    work: {
      formula: msg`I_engine · draws(T) ≤ I_label · gives(T) ÷ gives(T_label)`,
      substituted: [
        ...(coldestC === undefined ? [] : [coldestC]),
        ...COLD_CRANKING.map(({ atC }) => atC),
      ].map(line),
      source: SOURCE,
      assumes: msg`the duty’s heaviest step is what it draws at 27 °C; a lead battery, charged, its label for ${amount(run.source.kind === 'cranking' ? (run.source.ratedC ?? WARM_C) : WARM_C, '°C', 0)}`,
    },
  };
  if (ratedA === null) {
    const because = msg`What the battery gives in the cold is not known.`;
    return stated({ ...facts, because, remedy: msg`Give its cranking amps under Source.` }, 'unproved');
  }
  if (coldestC === undefined) {
    const because = msg`Cold makes it draw more and the battery give less: at ${amount(-18, '°C', 0)} ${amount(warmA * coldAt(-18).asks, 'A', 0)} of ${amount(ratedA * givesOf(run.source, -18), 'A', 0)}.`;
    return stated(
      { ...facts, because, remedy: msg`Give the coldest temperature it must start in.` },
      'watch',
    );
  }
  const { close: _, ...finding } = atMost(
    { ...facts, remedy: msg`Take a battery of more cranking amps, or two side by side.` },
    ratedA * givesOf(run.source, atC),
  );
  if (finding.state !== 'holds') return finding;
  const { remedy: __, ...rest } = finding;
  return {
    ...rest,
    state: 'watch',
    because: msg`${finding.because} By a handbook’s figures, of low confidence.`,
  };
}

function volts(assessed: Assessment, context: RunContext, kind: CableKind): Finding[] {
  const { run } = context;
  const { coldestC, systemV } = run;
  const source = sourceResistance(run.source, systemV);
  if (coldestC === undefined || !source) return [];
  const start = coldStart(assessed, context, kind, coldestC);
  const sourceOhm = source.ohm / givesOf(run.source, coldestC);
  const left = Math.max(0, systemV - start.amps * (sourceOhm + start.ohm));
  const least = systemV * (1 - SAG_SHARE.cranking);
  return [
    stated(
      {
        topic: 'cranking-volts',
        stage: 'gauge',
        title: msg`Volts at the starter, cold`,
        value: left,
        unit: 'V',
        decimals: 2,
        because:
          left < least
            ? msg`Under the customary ${amount(least, 'V', 1)}: it may not turn fast enough to start.`
            : msg`Over the customary ${amount(least, 'V', 1)}.`,
        ...(left < least && { remedy: msg`A larger battery does most for it, then a thicker cable.` }),
        work: {
          formula: msg`U = U_n − I_cold · (R_source ÷ gives + R_loop)`,
          substituted: [
            verbatim`= ${amount(systemV, 'V', 1)} − ${amount(start.amps, 'A', 0)} × (${numeral(sourceOhm * 1000, 2)} + ${numeral(start.ohm * 1000, 2)}) mΩ = ${amount(left, 'V', 2)}`,
          ],
          source: SOURCE,
          assumes: msg`a source of ${numeral(source.ohm * 1000, 2)} mΩ, ${source.how}, that resists more the less it gives`,
        },
      },
      left < least ? 'watch' : 'holds',
    ),
  ];
}
