import { asJudged, type Facts, type Finding, judgeAtMost, type Judged, stated } from '../finding/finding.ts';
import type { Duty } from '../model/run.ts';
import type { CableKind } from '../model/shop.ts';
import { digits, figure } from '../model/units/figure.ts';
import type { Assessment, DutyAssessment } from './assess.ts';
import { type RunContext, thermalCable, totalOhm } from './loop.ts';
import { overChassis } from './dropFindings.ts';
import { jacketResistance } from './heatBalance.ts';
import { say } from '../words/say.ts';

/** How hot the conductor gets: held for ever, and at the peak of its duty. */
export function heatFindings(assessed: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { currentA, settledC } = assessed;
  if (currentA === null) return [];
  const facts = () => settledFacts(assessed, context, kind, currentA);
  const held =
    settledC === null
      ? asJudged(neverSettles(facts()))
      : judgeAtMost('settled', settledC, assessed.limitC, assessed.airC, () => ({
          ...facts(),
          value: settledC,
        }));
  return [held, ...dutyFindings(assessed, context, kind)];
}

function settledFacts(
  assessed: Assessment,
  { parallel }: RunContext,
  kind: CableKind,
  current: number,
): Omit<Facts, 'value'> {
  const cable = thermalCable(kind, assessed);
  const side = parallel > 1 ? say` ÷ ${parallel} side by side` : '';
  return {
    topic: 'settled',
    stage: 'gauge',
    title: say`Conductor, held`,
    unit: '°C',
    decimals: 1,
    work: {
      formula: say`I² · R(T) = (T − T_s) ÷ R_th = π·D·[h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)]`,
      substituted: [
        say`I = ${figure(current, 'A', 1)}${side} ÷ ${digits(assessed.placing, 2)} for placing = ${figure(current / parallel / assessed.placing, 'A', 1)}`,
        say`R_th = ln(${digits(assessed.outerMm, 1)} ÷ ${digits(cable.bundleMm, 2)}) ÷ (2π × ${digits(cable.jacketConductivity, 2)}) = ${digits(jacketResistance(cable), 3)} K·m/W`,
        assessed.settledC === null
          ? say`no temperature under 1000 °C balances`
          : say`T = ${figure(assessed.settledC, '°C', 1)} in air of ${figure(assessed.airC, '°C', 0)}${assessed.sun ? say`, sun 900 W/m²` : ''}${assessed.stretch ? say`, in the stretch “${assessed.stretch}”` : ''}`,
      ],
      source: say`Churchill and Chu for a horizontal cylinder; radiation with ε = 0.9`,
      assumes: say`one horizontal cable in still air; the limit is the lower of insulation and termination`,
    },
  };
}

function neverSettles(facts: Omit<Facts, 'value'>): Finding {
  const because = say`This current never settles: the cable would burn.`;
  return stated({ ...facts, value: null, because, remedy: say`Use a thicker cable.` }, 'fails');
}

function dutyFindings(assessed: Assessment, { run }: RunContext, kind: CableKind): Judged[] {
  const { duty } = run;
  if (!duty || !assessed.duty) return [];
  const worked = assessed.duty;
  const { dropPercent } = worked;
  return [
    overChassis(
      judgeAtMost('duty-drop', dropPercent, duty.dropPercent, 0, () =>
        surgeDrop(assessed, worked, run.systemV),
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
      stated({ ...facts(), value: null, because: say`This duty is still being worked out.` }, 'unproved'),
    );
  const remedy = say`Use a thicker cable, several side by side, or a lighter duty.`;
  if (cycle.meltsAtS !== null) {
    const because = say`${figure(heaviestA, 'A', 0)} melts the copper after ${figure(cycle.meltsAtS, 's', 2)}.`;
    return asJudged(stated({ ...facts(), value: cycle.peakC, because, remedy }, 'fails'));
  }
  if (cycle.runsAway) {
    const when =
      cycle.secondsToLimit === null
        ? ''
        : say` after ${figure(cycle.secondsToLimit, 's', 0)}, and gets hotter each time`;
    const because = say`This duty never settles: it passes ${figure(assessed.limitC, '°C', 0)}${when}.`;
    return asJudged(stated({ ...facts(), value: cycle.peakC, because, remedy }, 'fails'));
  }
  return judgeAtMost('duty-peak', cycle.peakC, assessed.limitC, assessed.airC, () => ({
    ...facts(),
    value: cycle.peakC,
  }));
}

function surgeDrop(assessed: Assessment, worked: DutyAssessment, systemV: number): Facts {
  const { heaviestA, cycle, spenders, dropPercent } = worked;
  const ohm = totalOhm(spenders);
  return {
    topic: 'duty-drop',
    stage: 'gauge',
    title: say`Surge drop`,
    value: dropPercent,
    unit: '%',
    decimals: 2,
    work: {
      formula: say`ΔU = I · R_loop, the copper as hot as it gets`,
      substituted: [
        `= ${figure(heaviestA, 'A', 0)} × ${digits(ohm * 1000, 3)} mΩ = ${figure(heaviestA * ohm, 'V', 3)}`,
        say`= ${figure(dropPercent, '%', 2)} of ${figure(systemV, 'V', 1)}`,
      ],
      source: say`resistance as for the drop at the load, copper at ${figure(cycle?.peakC ?? assessed.limitC, '°C', 1)}`,
      assumes: say`the heaviest step drops most`,
    },
  };
}

/** The duty in words, a long one cut off. */
function dutySays({ steps, repeats }: Duty): string {
  const first = steps
    .slice(0, 6)
    .map(({ amps, seconds }) => say`${digits(amps, 0)} A for ${digits(seconds, 0)} s`);
  return `${first.join(', ')}${steps.length > 6 ? ' …' : ''}${repeats ? say`, again and again` : say`, once`}`;
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
    title: say`Surge, hottest`,
    unit: '°C',
    decimals: 1,
    work: {
      formula: say`C · dT/dt = I² · R(T) − (T − T_1) ÷ R_1, eight rings of jacket`,
      substituted: [
        dutySays(duty),
        ...(cycle
          ? [
              say`peak ${figure(cycle.peakC, '°C', 1)} after ${figure(cycle.peakAtS, 's', 0)}`,
              say`as hot as ${figure(cycle.equivalentA, 'A', 0)} held for ever`,
              cycle.secondsToLimit === null
                ? say`${figure(heaviestA, 'A', 0)} may be held for ever`
                : say`${figure(heaviestA, 'A', 0)} reaches the limit in ${figure(cycle.secondsToLimit, 's', 0)}`,
            ]
          : []),
      ],
      source: say`copper 385 J/kgK, jacket 2.0 MJ/m³K and ${digits(thermalCable(kind, assessed).jacketConductivity, 2)} W/mK; backward Euler, strides growing from 0.05 s`,
      assumes: duty.repeats
        ? say`the cycle has come again until its temperatures repeat; a step’s amps are the whole current of that step`
        : say`it starts from the settled temperature of the continuous load; a step’s amps are the whole current of that step`,
    },
  };
}
