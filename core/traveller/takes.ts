import type { Both } from '../model/end.ts';
import { SOLDER } from '../model/tables/solder.ts';
import { type Finding, stated } from '../finding/finding.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { coolSeconds, TOUCH_C } from '../termination/methods/cooling.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { shrinkHeatJ, shrinkInW, SHRUNK_C, shrinkSeconds } from '../termination/shrinkTime.ts';
import { solderNeed } from '../termination/solderNeed.ts';
import { type Message, msg, numeral, verbatim, amount } from '../words/message.ts';
import { type Step } from './step.ts';
import { kindOf } from '../model/stepId.ts';

import { term } from '../words/terms.ts';

type Ends = Both<ResolvedEnd>;

/** Puts to each step that takes its time how long it takes: shrinking, soldering, cooling. */
export function withTakes(steps: readonly Step[], ends: Ends, practice: HousePractice): Step[] {
  return steps.map((step) => {
    const takes = step.end && takesOf(kindOf(step.id), ends[step.end], practice);
    return takes ? { ...step, takes } : step;
  });
}

function takesOf(kind: string, end: ResolvedEnd, practice: HousePractice): Finding | null {
  switch (kind) {
    case 'shrink':
      return shrinking(end, practice);
    case 'solder':
    case 'slug':
      return soldering(end, practice);
    case 'cool':
      return cooling(end);
    default:
      return null;
  }
}

const about = (end: ResolvedEnd, key: string, title: Message) =>
  ({ topic: 'takes', part: key, stage: 'make', end: end.name, title, unit: 's', decimals: 0 }) as const;

function shrinking(end: ResolvedEnd, practice: HousePractice): Finding | null {
  const seconds = shrinkSeconds(end, practice);
  const heatJ = shrinkHeatJ(end);
  if (seconds === null || heatJ === null || !end.lug || !end.sleeve) return null;
  const inW = shrinkInW(end.lug.outerMm, end.sleeve.coverMm, practice.shrinkBy);
  return stated(
    {
      ...about(end, 'shrink', msg`Shrinking`),
      value: seconds,
      because: msg`Until the barrel under it is at ${amount(SHRUNK_C, '°C', 0)} too: then the adhesive wets the metal.`,
      remedy: msg`The bead at both ends says when it is done, not the clock.`,
      work: {
        formula: msg`E + 2·k·A·ΔT·√(t/(π·α)) = P·t; P = h·π·D·L·(T_air − T_mean)`,
        substituted: [
          msg`E = ${numeral(heatJ, 0)} J, A = ${numeral(end.copperMm2, 0)} mm², P = ${numeral(inW, 0)} W by ${term(practice.shrinkBy)}`,
          verbatim`t = ${numeral(seconds, 0)} s`,
        ],
        source: msg`lumped barrel and sleeve on a half-infinite conductor; confidence low`,
        assumes: msg`from 20 °C, the whole sleeve in the heat`,
      },
    },
    'holds',
  );
}

function soldering(end: ResolvedEnd, practice: HousePractice): Finding | null {
  if (!end.lug) return null;
  const { seconds, wholeG, loadedG } = solderNeed(end, end.lug, practice);
  return stated(
    {
      ...about(end, 'solder', msg`Heating`),
      value: seconds,
      because: msg`Until the tin of the lug runs and the solder follows it.`,
      work: {
        formula: 'E + 2·k·A·ΔT·√(t/(π·α)) = 0.15·P·t',
        substituted: [
          msg`A = ${numeral(end.copperMm2, 0)} mm², ${numeral(Math.max(wholeG, loadedG), 1)} g of solder, P = ${numeral(practice.solder.torchW, 0)} W`,
          verbatim`t = ${numeral(seconds, 0)} s`,
        ],
        source: msg`lumped joint on a half-infinite conductor; confidence low`,
        assumes: msg`from 20 °C to 40 K over the liquidus, and 0.15 of the flame enters`,
      },
    },
    'holds',
  );
}

function cooling(end: ResolvedEnd): Finding | null {
  if (!end.lug) return null;
  const seconds = coolSeconds(end.lug, end.copperMm2, SOLDER.liquidusC);
  return stated(
    {
      ...about(end, 'cool', msg`Cooling`),
      value: seconds,
      because: msg`Until it can be touched, at ${amount(TOUCH_C, '°C', 0)}, and a sleeve may go over it.`,
      work: {
        formula: msg`t = (m·c ÷ h·A)·ln((T₀ − T_air) ÷ (50 − T_air))`,
        substituted: [msg`from ${SOLDER.liquidusC} °C in still air at 20 °C: t = ${numeral(seconds, 0)} s`],
        source: msg`cooling of a lump in air; confidence low`,
        assumes: msg`nothing runs off along the cable, which is the safe side`,
      },
    },
    'holds',
  );
}
