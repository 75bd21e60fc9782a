import { asJudged, type Facts, type Finding, judgeAtMost, type Judged, stated } from '../finding/finding.ts';
import type { Duty } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { type Message, amount, msg, numeral, verbatim, listed } from '../words/message.ts';
import type { Assessment, DutyAssessment } from './assess.ts';
import { type RunContext, thermalCable, totalOhm } from './loop.ts';
import { dropDoubts, heatDoubts } from './doubts.ts';
import { overChassis } from './dropFindings.ts';
import { jacketResistance } from './heatBalance.ts';

/** How hot the conductor gets: held continuously, and at the peak of its duty. */
export function heatFindings(assessed: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { currentA, settledC } = assessed;
  if (currentA === null) return [];
  const facts = () => settledFacts(assessed, context, kind, currentA);
  const held =
    settledC === null
      ? asJudged(neverSettles(facts()))
      : judgeAtMost(
          'settled',
          settledC,
          assessed.limitC,
          assessed.airC,
          () => ({ ...facts(), value: settledC }),
          heatDoubts(settledC, assessed.airC),
        );
  return [held, ...dutyFindings(assessed, context, kind)];
}

function settledFacts(
  assessed: Assessment,
  { parallel }: RunContext,
  kind: CableKind,
  current: number,
): Omit<Facts, 'value'> {
  const cable = thermalCable(kind, assessed);
  const side = parallel > 1 ? msg` ÷ ${parallel} side by side` : '';
  return {
    topic: 'settled',
    stage: 'gauge',
    title: msg`Conductor temperature, continuous`,
    unit: '°C',
    decimals: 1,
    work: {
      formula: msg`I² · R(T) = (T − T_s) ÷ R_th = π·D·[h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)]`,
      substituted: [
        msg`I = ${amount(current, 'A', 1)}${side} ÷ ${numeral(assessed.placing, 2)} for placing = ${amount(current / parallel / assessed.placing, 'A', 1)}`,
        msg`R_th = ln(${numeral(assessed.outerMm, 1)} ÷ ${numeral(cable.bundleMm, 2)}) ÷ (2π × ${numeral(cable.jacketConductivity, 2)}) = ${numeral(jacketResistance(cable), 3)} K·m/W`,
        assessed.settledC === null
          ? msg`no temperature under 1000 °C balances`
          : msg`T = ${amount(assessed.settledC, '°C', 1)} in air of ${amount(assessed.airC, '°C', 0)}${assessed.sun ? msg`, sun 900 W/m²` : ''}${assessed.stretch ? msg`, in the stretch “${assessed.stretch}”` : ''}`,
      ],
      source: msg`Churchill and Chu for a horizontal cylinder; radiation with ε = 0.9`,
      assumes: msg`one horizontal cable in still air; the limit is the lower of insulation and termination`,
    },
  };
}

function neverSettles(facts: Omit<Facts, 'value'>): Finding {
  const because = msg`This current never settles: the cable would burn.`;
  return stated({ ...facts, value: null, because, remedy: msg`Use a thicker cable.` }, 'fails');
}

function dutyFindings(assessed: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { run } = context;
  const { duty } = run;
  if (!duty || !assessed.duty) return [];
  const worked = assessed.duty;
  const { dropPercent } = worked;
  const hotC = worked.cycle?.peakC ?? assessed.limitC;
  return [
    overChassis(
      judgeAtMost(
        'duty-drop',
        dropPercent,
        duty.dropPercent,
        0,
        () => surgeDrop(assessed, worked, run.systemV),
        dropDoubts(dropPercent, worked.spenders, hotC, assessed, context),
      ),
      run,
      { amps: worked.heaviestA, percent: dropPercent, mostPercent: duty.dropPercent },
    ),
    peakFinding(assessed, worked, duty, kind),
  ];
}

/** How hot the duty makes it: never a pass while it is not known, and a failure where it never settles. */
function peakFinding(assessed: Assessment, worked: DutyAssessment, duty: Duty, kind: CableKind): Judged {
  const { cycle, heaviestA } = worked;
  const facts = () => surgePeak(assessed, worked, duty, kind);
  if (!cycle)
    return asJudged(
      stated({ ...facts(), value: null, because: msg`This duty is still being calculated.` }, 'unproved'),
    );
  const remedy = msg`Use a thicker cable, several side by side, or a lighter duty.`;
  if (cycle.meltsAtS !== null) {
    const because = msg`${amount(heaviestA, 'A', 0)} melts the copper after ${amount(cycle.meltsAtS, 's', 2)}.`;
    return asJudged(stated({ ...facts(), value: cycle.peakC, because, remedy }, 'fails'));
  }
  if (cycle.runsAway) {
    const when =
      cycle.secondsToLimit === null
        ? ''
        : msg` after ${amount(cycle.secondsToLimit, 's', 0)}, and gets hotter each time`;
    const because = msg`This duty never settles: it passes ${amount(assessed.limitC, '°C', 0)}${when}.`;
    return asJudged(stated({ ...facts(), value: cycle.peakC, because, remedy }, 'fails'));
  }
  return judgeAtMost(
    'duty-peak',
    cycle.peakC,
    assessed.limitC,
    assessed.airC,
    () => ({ ...facts(), value: cycle.peakC }),
    heatDoubts(cycle.peakC, assessed.airC),
  );
}

function surgeDrop(assessed: Assessment, worked: DutyAssessment, systemV: number): Facts {
  const { heaviestA, cycle, spenders, dropPercent } = worked;
  const ohm = totalOhm(spenders);
  return {
    topic: 'duty-drop',
    stage: 'gauge',
    title: msg`Surge drop`,
    value: dropPercent,
    unit: '%',
    decimals: 2,
    work: {
      formula: msg`ΔU = I · R_loop, the copper as hot as it gets`,
      substituted: [
        verbatim`= ${amount(heaviestA, 'A', 0)} × ${numeral(ohm * 1000, 3)} mΩ = ${amount(heaviestA * ohm, 'V', 3)}`,
        msg`= ${amount(dropPercent, '%', 2)} of ${amount(systemV, 'V', 1)}`,
      ],
      source: msg`resistance as for the drop at the load, copper at ${amount(cycle?.peakC ?? assessed.limitC, '°C', 1)}`,
      assumes: msg`the heaviest step drops most`,
    },
  };
}

/** The duty in words, a long one cut off. */
function dutySays({ steps, repeats }: Duty): Message {
  const first = steps
    .slice(0, 6)
    .map(({ amps, seconds }) => msg`${numeral(amps, 0)} A for ${numeral(seconds, 0)} s`);
  return verbatim`${listed(first, ', ')}${steps.length > 6 ? ' …' : ''}${repeats ? msg`, again and again` : msg`, once`}`;
}

function surgePeak(
  assessed: Assessment,
  { heaviestA, cycle }: DutyAssessment,
  duty: Duty,
  kind: CableKind,
): Omit<Facts, 'value'> {
  return {
    topic: 'duty-peak',
    stage: 'gauge',
    title: msg`Surge, hottest`,
    unit: '°C',
    decimals: 1,
    work: {
      formula: msg`C · dT/dt = I² · R(T) − (T − T_1) ÷ R_1, eight rings of jacket`,
      substituted: [
        dutySays(duty),
        ...(cycle
          ? [
              msg`peak ${amount(cycle.peakC, '°C', 1)} after ${amount(cycle.peakAtS, 's', 0)}`,
              msg`as hot as ${amount(cycle.equivalentA, 'A', 0)} continuous`,
              cycle.secondsToLimit === null
                ? msg`${amount(heaviestA, 'A', 0)} can be carried continuously`
                : msg`${amount(heaviestA, 'A', 0)} reaches the limit in ${amount(cycle.secondsToLimit, 's', 0)}`,
            ]
          : []),
      ],
      source: msg`copper 385 J/kgK, jacket 2.0 MJ/m³K and ${numeral(thermalCable(kind, assessed).jacketConductivity, 2)} W/mK; backward Euler, strides growing from 0.05 s`,
      assumes: duty.repeats
        ? msg`the cycle has come again until its temperatures repeat; a step’s amps are the whole current of that step`
        : msg`it starts from the settled temperature of the continuous load; a step’s amps are the whole current of that step`,
    },
  };
}
