import { INCH_SMALL_CRAFT } from '../catalogue/tables/inchSmallCraft.ts';
import { METRIC_SMALL_CRAFT } from '../catalogue/tables/metricSmallCraft.ts';
import { resistancePerMetre20 } from '../conductor/resistance.ts';
import { sizeLabel } from '../conductor/size.ts';
import { atLeast, atMost, type Facts, type Finding, stated } from '../finding.ts';
import type { Run } from '../job/cable.ts';
import type { CableKind } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { digits, figure } from '../units/figure.ts';
import type { Assessment } from './assess.ts';
import { totalOhm } from './drop.ts';
import { HOTTEST_C, jacketResistance } from './heatBalance.ts';
import { thermalCable } from './assess.ts';
import type { TableReading } from './tableAmpacity.ts';

const milliohm = (ohm: number) => digits(ohm * 1000, 3);

/** Every limit that one size of cable is held against in its run, each with its work. */
export function sizingFindings(
  at: Assessment,
  run: Run,
  kind: CableKind,
  practice: HousePractice,
): Finding[] {
  if (at.currentA === null) return [noOperatingPoint(at, run)];
  const current = at.currentA;
  return [
    dropAtLoad(at, run, kind, current),
    settledTemperature(at, run, kind, current),
    ...surgeFindings(at, run, kind),
    ...schoolFindings(at, current, practice),
  ];
}

function noOperatingPoint(at: Assessment, run: Run): Finding {
  const { load } = run;
  const watts = load.kind === 'watts' ? load.watts / (load.efficiencyPercent / 100) : 0;
  const volts = load.kind === 'watts' ? load.lowestV : run.systemV;
  const ohm = totalOhm(at.loop);
  return stated(
    {
      id: 'drop',
      stage: 'gauge',
      title: 'Power at the load',
      value: null,
      unit: 'W',
      decimals: 0,
      because: `No current through ${sizeLabel(at.size)} delivers this: at most ${figure(volts ** 2 / (4 * ohm), 'W', 0)} can arrive.`,
      remedy: 'Use a thicker or shorter cable, or a higher system voltage.',
      work: {
        formula: 'I · (U − I · R) = P ÷ η',
        substituted: [
          `P ÷ η = ${figure(watts, 'W', 0)}, U = ${figure(volts, 'V', 1)}, R = ${milliohm(ohm)} mΩ`,
          `U² ÷ 4R = ${figure(volts ** 2 / (4 * ohm), 'W', 0)}: less than is asked`,
        ],
        source: 'Ohm’s law, the smaller root',
        assumes: 'the conductor no warmer than its limit',
      },
    },
    'fails',
  );
}

function dropAtLoad(at: Assessment, run: Run, kind: CableKind, current: number): Finding {
  // What never settles is worked at the hottest that is followed: it drops at least this much.
  const hot = at.settledC ?? HOTTEST_C;
  const lengthM = (run.lengthMm + run.loopMm) / 1000;
  const backM = run.return.kind === 'cable' ? run.return.lengthMm / 1000 : 0;
  const { cablesOhm, returnOhm, jointsOhm, devicesOhm } = at.loop;
  const perMetre = resistancePerMetre20(at.size, kind.tinned);
  const back =
    run.return.kind === 'chassis'
      ? `chassis ${digits(run.return.milliohm, 2)} mΩ`
      : `${digits(backM, 2)} m back`;
  return atMost(
    {
      id: 'drop',
      stage: 'gauge',
      title: 'Drop at the load',
      value: at.dropPercent,
      unit: '%',
      decimals: 2,
      work: {
        formula: 'ΔU = I · (R_cable + R_return + R_joints + R_devices)',
        substituted: [
          `= ${figure(current, 'A', 1)} × (${milliohm(cablesOhm)} + ${milliohm(returnOhm)} + ${milliohm(jointsOhm)} + ${milliohm(devicesOhm)}) mΩ = ${figure(at.dropV, 'V', 3)}`,
          `= ${digits(at.dropV, 3)} ÷ ${figure(run.systemV, 'V', 1)} = ${figure(at.dropPercent, '%', 2)}`,
          `R_cable = ${digits(perMetre * 1000, 3)} mΩ/m × ${digits(lengthM, 2)} m × [1 + 0.00393 × (${digits(hot, 1)} − 20)]; ${run.return.kind === 'none' ? 'no return counted' : back}`,
        ],
        source:
          at.size.system === 'metric'
            ? `IEC 60228 class 5, ${kind.tinned ? 'tinned' : 'plain'}: maxima, so real cable may drop less`
            : 'ASTM B258 area, ρ/A with 2 % for lay' + (kind.tinned ? ' and 2 % for tin' : ''),
        assumes: `${at.joints} joints, each as ${digits(at.barrelMm, 0)} mm of this conductor; the service loop is carried`,
      },
    },
    run.dropPercent,
  );
}

function settledTemperature(at: Assessment, run: Run, kind: CableKind, current: number): Finding {
  const cable = thermalCable(kind, { size: at.size, outerMm: at.outerMm, pricePerM: 0 });
  const resistance = jacketResistance(cable);
  const facts: Omit<Facts, 'value'> = {
    id: 'settled',
    stage: 'gauge',
    title: 'Conductor, held',
    unit: '°C',
    decimals: 1,
    work: {
      formula: 'I² · R(T) = (T − T_s) ÷ R_th = π·D·[h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)]',
      substituted: [
        `I = ${figure(current, 'A', 1)} ÷ ${digits(at.placing, 2)} for placing = ${figure(current / at.placing, 'A', 1)}`,
        `R_th = ln(${digits(at.outerMm, 1)} ÷ ${digits(cable.bundleMm, 2)}) ÷ (2π × ${digits(cable.jacketConductivity, 2)}) = ${digits(resistance, 3)} K·m/W`,
        at.settledC === null
          ? 'no temperature under 1000 °C balances'
          : `T = ${figure(at.settledC, '°C', 1)} in air of ${figure(run.ambientC, '°C', 0)}${run.sun ? ', sun 900 W/m²' : ''}`,
      ],
      source: 'Churchill and Chu for a horizontal cylinder; radiation with ε = 0.9',
      assumes: 'one horizontal cable in still air; the limit is the lower of insulation and termination',
    },
  };
  if (at.settledC === null) {
    return stated(
      {
        ...facts,
        value: null,
        because: 'This current never settles: the cable would burn.',
        remedy: 'Use a thicker cable.',
      },
      'fails',
    );
  }
  return atMost({ ...facts, value: at.settledC }, at.limitC, run.ambientC);
}

function surgeFindings(at: Assessment, run: Run, kind: CableKind): Finding[] {
  if (!run.surge || !at.surge || at.settledC === null) return [];
  const { amps, seconds, dropPercent } = run.surge;
  const from = `from ${figure(at.settledC, '°C', 1)}, ${figure(amps / at.placing, 'A', 0)} for ${figure(seconds, 's', 0)}`;
  return [
    atMost(
      {
        id: 'surge-drop',
        stage: 'gauge',
        title: 'Surge drop',
        value: at.surge.dropPercent,
        unit: '%',
        decimals: 2,
        work: {
          formula: 'ΔU = I · R_loop, R at the end of the surge',
          substituted: [
            `= ${figure(amps, 'A', 0)} × ${milliohm(at.surge.ohm)} mΩ = ${figure(amps * at.surge.ohm, 'V', 3)}`,
            `= ${figure(at.surge.dropPercent, '%', 2)} of ${figure(run.systemV, 'V', 1)}`,
          ],
          source: `resistance as for the drop at the load, copper at ${figure(at.surge.endC, '°C', 1)}`,
          assumes: 'the surge starts from the settled temperature of the continuous load',
        },
      },
      dropPercent,
    ),
    atMost(
      {
        id: 'surge-end',
        stage: 'gauge',
        title: 'End of the surge',
        value: at.surge.endC,
        unit: '°C',
        decimals: 1,
        work: {
          formula: 'C · dT/dt = I² · R(T) − (T − T_1) ÷ R_1, eight rings of jacket',
          substituted: [`${from} → ${figure(at.surge.endC, '°C', 1)}`],
          source: `copper 385 J/kgK, jacket 2.0 MJ/m³K, ${digits(kind.insulation === 'pvc' || kind.insulation === 'thermoplastic' ? 0.17 : 0.28, 2)} W/mK; backward Euler, 0.05 to 0.25 s`,
          assumes: 'one surge, from the settled temperature of the continuous load',
        },
      },
      at.limitC,
      run.ambientC,
    ),
  ];
}

function schoolFindings(at: Assessment, current: number, practice: HousePractice): Finding[] {
  const { schools } = practice;
  const found: Finding[] = [];
  if (schools.inch)
    found.push(tableFinding('amps-inch', 'By inch table', INCH_SMALL_CRAFT.source, at, at.inch, current));
  if (schools.metric) {
    found.push(
      tableFinding('amps-metric', 'By metric table', METRIC_SMALL_CRAFT.source, at, at.metric, current),
    );
  }
  if (schools.heat) found.push(heatFinding(at, current));
  if (schools.quick) found.push(quickFinding(at));
  return found;
}

function tableFinding(
  id: string,
  title: string,
  source: string,
  at: Assessment,
  reading: TableReading | null,
  current: number,
): Finding {
  const facts: Facts = {
    id,
    stage: 'gauge',
    title,
    value: current,
    unit: 'A',
    decimals: 0,
    work: {
      formula: 'I ≤ I_table · f_air · f_placing',
      substituted: reading
        ? [
            `row ${reading.row}, ${reading.columnC} °C column: ${figure(reading.tableA, 'A', 0)}`,
            `× ${digits(reading.ambientFactor, 3)} × ${digits(at.placing, 2)} = ${figure(reading.allowedA * at.placing, 'A', 0)}`,
          ]
        : [`no row for ${digits(at.copperMm2, 1)} mm² or no column for ${figure(at.limitC, '°C', 0)}`],
      source,
      assumes: `limit ${figure(at.limitC, '°C', 0)}; ${
        reading?.columnC === 60 && id === 'amps-metric' ? 'this column rests on 45 °C air; ' : ''
      }the row is the largest not above this copper`,
    },
  };
  if (!reading) {
    return stated(
      {
        ...facts,
        because: 'Outside this table: it says nothing about this cable.',
        remedy: 'Go by another school.',
      },
      'unproved',
    );
  }
  return atMost(facts, reading.allowedA * at.placing);
}

function heatFinding(at: Assessment, current: number): Finding {
  const allowed = at.heatA * at.placing;
  return atMost(
    {
      id: 'amps-heat',
      stage: 'gauge',
      title: 'By heat balance',
      value: current,
      unit: 'A',
      decimals: 0,
      work: {
        formula: 'I = √(Q(T_lim) ÷ R(T_lim)) · f_placing',
        substituted: [
          `at ${figure(at.limitC, '°C', 0)}: ${figure(at.heatA, 'A', 1)} × ${digits(at.placing, 2)} = ${figure(allowed, 'A', 0)}`,
        ],
        source: 'one metre in still air, Churchill and Chu, ε = 0.9',
        assumes: 'more generous than the tables outside 70–105 °C and 16–120 mm²',
      },
    },
    allowed,
  );
}

function quickFinding(at: Assessment): Finding {
  return atLeast(
    {
      id: 'quick',
      stage: 'gauge',
      title: 'Printed 3 % rule',
      value: at.copperMm2,
      unit: 'mm²',
      decimals: 1,
      work: {
        formula: 'CM = 10.75 · I · L_ft ÷ ΔU',
        substituted: [`asks ${figure(at.quickMm2, 'mm²', 1)} for the loop at 3 % of nominal`],
        source: 'the customary rule behind printed charts; 1 CM = 0.0005067 mm²',
        assumes: 'copper at about 30 °C, no joints, feet there and back',
      },
    },
    at.quickMm2,
  );
}
