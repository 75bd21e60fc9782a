import { resistancePerMetre } from '../conductor/resistance.ts';
import { atMost, type Finding, stated, type State } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Message, amount, msg, numeral, verbatim } from '../words/message.ts';
import { INSTRUMENTS } from '../model/tables/instruments.ts';
import { evenly } from './budget.ts';
import { type Budget, type Check, judge } from './judge.ts';
import { countingReadings } from './readings.ts';
import type { ProofSubject } from './subject.ts';
import { EXCESS_K, excessAtRated, LEAST_LOAD_SHARE, STEADY, underJacket } from './thermalExcess.ts';

/** A lug under load: how much warmer it is than its own conductor, brought to rated amps. */
export function thermalProof(subject: ProofSubject, end: ResolvedEnd): Finding {
  const { ratedA } = subject;
  const readings = countingReadings(subject.cable, 'thermal', end.name);
  const last = readings.at(-1);
  const check: Check = {
    topic: 'thermal',
    title: msg`Temperature rise under load`,
    unit: 'K',
    decimals: 1,
    end: end.name,
    limit: { kind: 'most', most: EXCESS_K.good },
    missing: msg`Not taken yet: at least ${STEADY.minutes} min under load, ${ratedA ? amount(ratedA * LEAST_LOAD_SHARE, 'A', 0) : msg`40 % of the amps`} or more.`,
    remedy: msg`Matte tape on the bright metal, lug and jacket beside it, then the lug again after ten minutes. Do not touch.`,
    work: {
      formula: msg`ΔT = (T_lug − T_conductor) · (I_rated/I)^1.8`,
      substituted: last && ratedA ? substituted(subject, last, ratedA) : [],
      source: msg`maintenance-testing practice: under 1, 4 and 15 K over a like part at the same load`,
      assumes: msg`strands are warmer than their jacket by W·R_th; exponent 1.8, 1.6 to 2.0 in practice`,
    },
  };
  return judge<ReadingOf<'thermal'>>(
    check,
    readings,
    (reading, facts) => {
      if (!ratedA) {
        return stated({ ...facts, value: null, because: msg`What it carries is not known.` }, 'unproved');
      }
      const excess = excessAtRated(excessNow(subject, reading), reading.amps, ratedA);
      const judged = { ...facts, value: excess };
      const state: State = excess < EXCESS_K.good ? 'holds' : excess < EXCESS_K.watch ? 'watch' : 'fails';
      const unfit = unfitBecause(reading, ratedA);
      if (unfit && state !== 'fails') return stated({ ...judged, because: unfit }, 'unproved');
      const because = {
        holds: msg`As cool as its own conductor.`,
        watch: msg`A little warmer than its conductor: inspect it again soon.`,
        fails:
          excess >= EXCESS_K.repairNow
            ? msg`Far warmer than its conductor: repair it now.`
            : msg`Warmer than its conductor: plan its repair.`,
        unproved: '',
      }[state];
      return atMost({ ...judged, because }, EXCESS_K.good, 0, state);
    },
    thermalParts(ratedA),
  );
}

/** Pointing at the same spot again gives so much of a difference, ± K. Shop practice. */
const AIM_K = 0.3;

/** What an excess at the rated load may be off by, K. One meter reads both spots: its accuracy cancels. */
const thermalParts =
  (ratedA: number | null): Budget<ReadingOf<'thermal'>> =>
  ({ instrument, amps }) => {
    if (!ratedA) return [];
    const scale = excessAtRated(1, amps, ratedA);
    const resolution = instrument?.resolution ?? INSTRUMENTS.thermal.resolution;
    return [
      {
        what: msg`both last digits of one meter, whose accuracy cancels`,
        standard: evenly(resolution / 2) * Math.SQRT2 * scale,
      },
      { what: msg`where it is pointed, ± ${amount(AIM_K, 'K', 1)}`, standard: evenly(AIM_K) * scale },
    ];
  };

/** Excess of the lug over its conductor at the amps it was measured with, K. */
function excessNow(subject: ProofSubject, reading: ReadingOf<'thermal'>): number {
  return reading.lugC - (reading.against === 'lug' ? reading.againstC : conductorC(subject, reading));
}

function conductorC({ size, copper, jacketKmPerW }: ProofSubject, reading: ReadingOf<'thermal'>): number {
  const watts = reading.amps ** 2 * resistancePerMetre(size, copper, reading.againstC);
  return underJacket(reading.againstC, watts, jacketKmPerW);
}

/** Why a reading says too little; null where it is fit. */
function unfitBecause(
  { amps, minutes, matte, lugC, earlierC }: ReadingOf<'thermal'>,
  ratedA: number,
): Message | null {
  if (amps < LEAST_LOAD_SHARE * ratedA)
    return msg`${amount(amps, 'A', 0)} is under 40 % of ${amount(ratedA, 'A', 0)}: too little load to judge.`;
  if (minutes < STEADY.minutes)
    return msg`Under load for ${numeral(minutes, 0)} min; ${STEADY.minutes} is the least.`;
  if (Math.abs(lugC - earlierC) >= STEADY.driftK)
    return msg`Not steady: it changed by ${amount(Math.abs(lugC - earlierC), 'K', 1)} in ten minutes.`;
  return matte ? null : msg`Bright metal shows too cool: put matte tape on it.`;
}

function substituted(subject: ProofSubject, reading: ReadingOf<'thermal'>, ratedA: number): Message[] {
  const base = reading.against === 'lug' ? reading.againstC : conductorC(subject, reading);
  const under =
    reading.against === 'lug'
      ? []
      : [
          msg`T_conductor = ${numeral(reading.againstC, 1)} + W·${numeral(subject.jacketKmPerW, 3)} = ${amount(base, '°C', 1)}`,
        ];
  const excess = reading.lugC - base;
  return [
    ...under,
    verbatim`(${numeral(reading.lugC, 1)} − ${numeral(base, 1)}) · (${numeral(ratedA, 0)}/${numeral(reading.amps, 0)})^1.8 = ${amount(excessAtRated(excess, reading.amps, ratedA), 'K', 1)}`,
  ];
}
