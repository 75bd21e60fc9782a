import { asJudged, atMost, type Facts, type Finding, judgeAtMost, type Judged, stated } from '../finding.ts';
import type { CableKind } from '../job/shop.ts';
import { digits, figure } from '../units/figure.ts';
import { type Assessment, type RunContext, thermalCable, totalOhm } from './assess.ts';
import { jacketResistance } from './heatBalance.ts';

/** How hot the conductor gets: held for ever, and at the peak of its duty. */
export function heatFindings(at: Assessment, context: RunContext, kind: CableKind): Judged[] {
  const { currentA, settledC } = at;
  if (currentA === null) return [];
  const facts = () => settledFacts(at, context, kind, currentA);
  const held =
    settledC === null
      ? asJudged(neverSettles(facts()))
      : judgeAtMost('settled', settledC, at.limitC, context.run.ambientC, () => ({
          ...facts(),
          value: settledC,
        }));
  return [held, ...dutyFindings(at, context, kind).map(asJudged)];
}

function settledFacts(
  at: Assessment,
  { run, parallel }: RunContext,
  kind: CableKind,
  current: number,
): Omit<Facts, 'value'> {
  const cable = thermalCable(kind, at);
  const side = parallel > 1 ? ` ÷ ${parallel} side by side` : '';
  return {
    id: 'settled',
    stage: 'gauge',
    title: 'Conductor, held',
    unit: '°C',
    decimals: 1,
    work: {
      formula: 'I² · R(T) = (T − T_s) ÷ R_th = π·D·[h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)]',
      substituted: [
        `I = ${figure(current, 'A', 1)}${side} ÷ ${digits(at.placing, 2)} for placing = ${figure(current / parallel / at.placing, 'A', 1)}`,
        `R_th = ln(${digits(at.outerMm, 1)} ÷ ${digits(cable.bundleMm, 2)}) ÷ (2π × ${digits(cable.jacketConductivity, 2)}) = ${digits(jacketResistance(cable), 3)} K·m/W`,
        at.settledC === null
          ? 'no temperature under 1000 °C balances'
          : `T = ${figure(at.settledC, '°C', 1)} in air of ${figure(run.ambientC, '°C', 0)}${run.sun ? ', sun 900 W/m²' : ''}`,
      ],
      source: 'Churchill and Chu for a horizontal cylinder; radiation with ε = 0.9',
      assumes: 'one horizontal cable in still air; the limit is the lower of insulation and termination',
    },
  };
}

function neverSettles(facts: Omit<Facts, 'value'>): Finding {
  const because = 'This current never settles: the cable would burn.';
  return stated({ ...facts, value: null, because, remedy: 'Use a thicker cable.' }, 'fails');
}

function dutyFindings(at: Assessment, { run }: RunContext, kind: CableKind): Finding[] {
  if (!run.duty || !at.duty) return [];
  const { duty } = run;
  const { heaviestA, cycle, spenders, dropPercent } = at.duty;
  const ohm = totalOhm(spenders);
  const steps = duty.steps
    .slice(0, 6)
    .map(({ amps, seconds }) => `${digits(amps, 0)} A for ${digits(seconds, 0)} s`);
  const said = `${steps.join(', ')}${duty.steps.length > 6 ? ' …' : ''}${duty.repeats ? ', again and again' : ', once'}`;
  const peakC = cycle?.peakC ?? at.limitC;
  const drop = atMost(
    {
      id: 'duty-drop',
      stage: 'gauge',
      title: 'Surge drop',
      value: dropPercent,
      unit: '%',
      decimals: 2,
      work: {
        formula: 'ΔU = I · R_loop, the copper as hot as it gets',
        substituted: [
          `= ${figure(heaviestA, 'A', 0)} × ${digits(ohm * 1000, 3)} mΩ = ${figure(heaviestA * ohm, 'V', 3)}`,
          `= ${figure(dropPercent, '%', 2)} of ${figure(run.systemV, 'V', 1)}`,
        ],
        source: `resistance as for the drop at the load, copper at ${figure(peakC, '°C', 1)}`,
        assumes: 'the heaviest step drops most',
      },
    },
    duty.dropPercent,
  );
  const about = {
    id: 'duty-peak',
    stage: 'gauge',
    title: 'Surge, hottest',
    unit: '°C',
    decimals: 1,
  } as const;
  const work = {
    formula: 'C · dT/dt = I² · R(T) − (T − T_1) ÷ R_1, eight rings of jacket',
    substituted: cycle
      ? [
          said,
          `peak ${figure(cycle.peakC, '°C', 1)} after ${figure(cycle.peakAtS, 's', 0)}`,
          `as hot as ${figure(cycle.equivalentA, 'A', 0)} held for ever`,
          cycle.secondsToLimit === null
            ? `${figure(heaviestA, 'A', 0)} may be held for ever`
            : `${figure(heaviestA, 'A', 0)} reaches the limit in ${figure(cycle.secondsToLimit, 's', 0)}`,
        ]
      : [said],
    source: `copper 385 J/kgK, jacket 2.0 MJ/m³K and ${digits(thermalCable(kind, at).jacketConductivity, 2)} W/mK; backward Euler, strides growing from 0.05 s`,
    assumes: duty.repeats
      ? 'the cycle has come again until its temperatures repeat'
      : 'it starts from the settled temperature of the continuous load',
  };
  if (!cycle) {
    const because = 'This cycle never settles, or is still being worked.';
    return [drop, stated({ ...about, value: null, because, work }, 'unproved')];
  }
  return [drop, atMost({ ...about, value: cycle.peakC, work }, at.limitC, run.ambientC)];
}
