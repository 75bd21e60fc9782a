import { cableMassPerMetre } from '../conductor/geometry.ts';
import { areaMm2, CIRCULAR_MIL_MM2, type ConductorSize } from '../model/tables/size.ts';
import { stretchesOf } from './governingRun.ts';
import type { Duty, Run } from '../model/run.ts';
import type { CableKind, CableSize } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { SOLDERED_END_C } from '../model/method.ts';
import { currentForWatts, quickRuleCircularMils, voltageDrop } from './drop.ts';
import { type DutyCycle, dutyCycle } from './dutyCycle.ts';
import {
  ampacityByHeatBalance,
  HOTTEST_C,
  steadyTemperature,
  type Surroundings,
  type ThermalCable,
} from './heatBalance.ts';
import { heaviestStepA } from './loadIn.ts';
import {
  airC,
  jointsOf,
  type RunContext,
  type Spender,
  spendersAt,
  surroundingsOf,
  thermalCable,
  totalOhm,
  typicalBarrelMm,
} from './loop.ts';
import { placingFactor } from './placing.ts';
import { sourceResistance } from './source.ts';
import { ampacityInch, ampacityMetric, type TableReading, type TableSite } from './tableAmpacity.ts';
import type { SettledStart } from './transient.ts';

/** What one size of cable does in one run: every figure that a limit can be compared with. */
export interface Assessment {
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly outerMm: number;
  /** The lower of insulation and termination, °C. */
  readonly limitC: number;
  readonly placing: number;
  /** Share of the allowed amps that house practice uses. */
  readonly kept: number;
  readonly parallel: number;
  readonly site: TableSite;
  /** The air of the hottest stretch as it is calculated, °C, and whether the sun is on it. */
  readonly airC: number;
  readonly sun: boolean;
  /** The stretch of the route that makes it hottest; empty where it is the way itself. */
  readonly stretch: string;
  /** Amps the load draws through the loop; null where no current can deliver its watts. */
  readonly currentA: number | null;
  /** Null where the conductor never settles. */
  readonly settledC: number | null;
  readonly spenders: readonly Spender[];
  readonly joints: number;
  readonly barrelMm: number;
  readonly dropV: number;
  readonly dropPercent: number;
  readonly wattsLost: number;
  readonly duty: DutyAssessment | null;
  /** Copper the printed-chart rule requires, mm², of all conductors together. */
  readonly quickMm2: number;
  readonly inch: TableReading | null;
  readonly metric: TableReading | null;
  /** By heat balance, one conductor, before placing, A. */
  readonly heatA: number;
  /** Of all conductors of this cable. */
  readonly massKg: number;
  readonly price: number;
  readonly kilowattHoursPerYear: number;
  /** Least bend radius lying still, and as it is used, mm. */
  readonly bendMm: number;
}

/** A duty cycle worked on one size: the cycle itself, and its drop at the heaviest step. */
export interface DutyAssessment {
  readonly heaviestA: number;
  /** Of a duty that repeats, its effective amps, root mean square; 0 of one that does not. */
  readonly rmsA: number;
  /** Null while it is still being worked out. */
  readonly cycle: DutyCycle | null;
  /** With the copper at the peak. */
  readonly spenders: readonly Spender[];
  readonly dropPercent: number;
}

/** Amps that are held, A: drawn continuously, or the effective ones of a duty that repeats. */
export const heldAmps = ({ currentA, duty }: Pick<Assessment, 'currentA' | 'duty'>): number =>
  Math.max(currentA ?? 0, duty?.rmsA ?? 0);

/** Follows a duty cycle; the application may answer from a worker's results. Null while it is not known. */
export type FollowDuty = (
  cable: ThermalCable,
  around: Surroundings,
  duty: Duty,
  start: SettledStart,
  limitC: number,
  placing: number,
) => DutyCycle | null;

/** The printed charts come for two drops: the careful one for what is held, the other for a surge. */
export const QUICK_RULE_PERCENT = { held: 3, surge: 10 } as const;

/** The lower of what the insulation and what the cable is bolted to stand, °C. */
export function limitOf(run: Run, kind: CableKind, practice: HousePractice, soldered = false): number {
  const bolted = run.terminationC ?? practice.terminationC;
  return Math.min(kind.limitC, bolted, soldered ? SOLDERED_END_C : bolted);
}

/** Times its diameter that a cable which flexes in use must not be bent tighter than, fine strands less. */
const FLEXING_BEND = 10;

/** Amps and temperature together: the hotter the copper, the more it resists, and a load in watts then draws more. */
function operatingPoint(
  context: RunContext,
  kind: CableKind,
  cableSize: CableSize,
  placing: number,
): { currentA: number | null; settledC: number | null } {
  const { run, parallel } = context;
  const cable = thermalCable(kind, cableSize);
  const around = surroundingsOf(run);
  const settle = (amps: number) => steadyTemperature(cable, around, amps / parallel / placing);
  const { load } = run;
  if (load.kind === 'amps') return { currentA: load.amps, settledC: settle(load.amps) };
  const watts = load.watts / (load.efficiencyPercent / 100);
  const sourceOhm = sourceResistance(run.source, run.systemV)?.ohm ?? 0;
  let settledC = airC(run);
  let last = 0;
  for (let i = 0; i < 100; i += 1) {
    const ohm = sourceOhm + totalOhm(spendersAt(context, kind, cableSize.size, settledC, last));
    const currentA = currentForWatts(watts, load.lowestV, ohm);
    if (currentA === null) return { currentA, settledC: null };
    const next = settle(currentA);
    if (next === null || Math.abs(currentA - last) < 1e-6 * currentA) return { currentA, settledC: next };
    [settledC, last] = [next, currentA];
  }
  return { currentA: last, settledC };
}

/**
 * Works one size of cable through one run.
 *
 * Source: as each part says: the drop at the temperature really reached ({@link voltageDrop}), three schools of
 * continuous current, the duty from the settled start or as it repeats. Lengths count the service loop.
 *
 * @param followDuty how a duty cycle is followed: {@link dutyCycle}, or a stand-in that asks a worker
 */
export function assess(
  context: RunContext,
  kind: CableKind,
  cableSize: CableSize,
  practice: HousePractice,
  followDuty: FollowDuty = dutyCycle,
): Assessment {
  const stretches = stretchesOf(context.run).map(({ what, run }) => ({
    ...assessStretch({ ...context, run }, kind, cableSize, practice, followDuty),
    stretch: what,
  }));
  return stretches.reduce(worse);
}

/** Hotter first: what never settles or never follows is hotter than anything. */
const heatOf = (celsius: number | null | undefined) => celsius ?? Number.POSITIVE_INFINITY;

/** Of two stretches, figure by figure, the one that asks more: each school by its own worst stretch. */
function worse(a: Assessment, b: Assessment): Assessment {
  const hotter = heatOf(b.settledC) > heatOf(a.settledC) ? b : a;
  const least = (x: TableReading | null, y: TableReading | null) =>
    x === null || y === null ? null : y.allowedA < x.allowedA ? y : x;
  const surge =
    a.duty && b.duty && heatOf(b.duty.cycle?.peakC) > heatOf(a.duty.cycle?.peakC) ? b.duty : a.duty;
  return {
    ...hotter,
    duty: surge,
    inch: least(a.inch, b.inch),
    metric: least(a.metric, b.metric),
    heatA: Math.min(a.heatA, b.heatA),
    limitC: Math.min(a.limitC, b.limitC),
  };
}

function assessStretch(
  context: RunContext,
  kind: CableKind,
  cableSize: CableSize,
  practice: HousePractice,
  followDuty: FollowDuty,
): Omit<Assessment, 'stretch'> {
  const { run, parallel, mates } = context;
  const { size, outerMm } = cableSize;
  const copperMm2 = areaMm2(size);
  const placing = placingFactor(run.placing, run.bundled);
  const limitC = limitOf(run, kind, practice, context.soldered);
  const site = { copperMm2, limitC, ambientC: run.ambientC, engineSpace: run.engineSpace };
  const { currentA, settledC } = operatingPoint(context, kind, cableSize, placing);
  const spenders = spendersAt(context, kind, size, settledC ?? HOTTEST_C, currentA ?? 0);
  const dropV = voltageDrop(currentA ?? 0, totalOhm(spenders));
  const lengthM = (run.lengthMm + run.loopMm) / 1000;
  const backMm =
    context.fed?.rest?.otherMm ??
    (run.return.kind === 'cable' ? run.return.lengthMm : mates.reduce((sum, mate) => sum + mate.lengthMm, 0));
  const heaviestA = heaviestStepA(run.duty);
  const quick = (amps: number, percent: number) =>
    quickRuleCircularMils(amps, lengthM + backMm / 1000, (percent / 100) * run.systemV) * CIRCULAR_MIL_MM2;
  const wattsLost = (currentA ?? 0) * dropV;
  const bendTimes = run.meets.includes('flexing') && kind.strands !== 'extra fine' ? FLEXING_BEND : kind.bend;
  const kept = 1 - practice.ampsMarginPercent / 100;
  return {
    size,
    copperMm2,
    outerMm,
    limitC,
    placing,
    kept,
    parallel,
    site,
    airC: airC(run),
    sun: run.sun,
    currentA,
    settledC,
    spenders,
    joints: jointsOf(context),
    barrelMm: typicalBarrelMm(copperMm2),
    dropV,
    dropPercent: (dropV / run.systemV) * 100,
    wattsLost,
    duty: dutyOf(context, kind, cableSize, { currentA, settledC, limitC, placing }, followDuty),
    quickMm2: Math.max(
      quick(currentA ?? 0, QUICK_RULE_PERCENT.held),
      quick(heaviestA, QUICK_RULE_PERCENT.surge),
    ),
    inch: ampacityInch(site),
    metric: ampacityMetric(site),
    heatA: ampacityByHeatBalance(thermalCable(kind, cableSize), surroundingsOf(run), limitC),
    massKg: cableMassPerMetre(copperMm2, cableSize) * lengthM * parallel,
    price: cableSize.pricePerM * lengthM * parallel,
    kilowattHoursPerYear: (wattsLost * run.hoursPerYear) / 1000,
    bendMm: bendTimes * outerMm,
  };
}

/** Effective amps of steps that come again and again: the root of the mean square. */
function rmsOf({ steps, repeats }: Duty): number {
  if (!repeats) return 0;
  const seconds = steps.reduce((sum, step) => sum + step.seconds, 0);
  return Math.sqrt(steps.reduce((sum, { amps, seconds: s }) => sum + amps ** 2 * s, 0) / seconds);
}

function dutyOf(
  context: RunContext,
  kind: CableKind,
  cableSize: CableSize,
  assessed: Pick<Assessment, 'currentA' | 'settledC' | 'limitC' | 'placing'>,
  followDuty: FollowDuty,
): DutyAssessment | null {
  const { run, parallel } = context;
  if (!run.duty || assessed.currentA === null || assessed.settledC === null) return null;
  const share = assessed.placing * parallel;
  const start = { conductorC: assessed.settledC, currentA: assessed.currentA / share };
  const cycle = followDuty(
    thermalCable(kind, cableSize),
    surroundingsOf(run),
    run.duty,
    start,
    assessed.limitC,
    share,
  );
  const heaviestA = heaviestStepA(run.duty);
  const spenders = spendersAt(
    context,
    kind,
    cableSize.size,
    cycle?.peakC ?? assessed.limitC,
    assessed.currentA,
    'duty',
  );
  const dropV = voltageDrop(heaviestA, totalOhm(spenders));
  return { heaviestA, rmsA: rmsOf(run.duty), cycle, spenders, dropPercent: (dropV / run.systemV) * 100 };
}
