import { JACKET_CONDUCTIVITY } from '../catalogue/cableKinds.ts';
import { LUG_FAMILIES } from '../catalogue/tables/lugFamilies.ts';
import { bundleDiameterMm, cableMassPerMetre } from '../conductor/geometry.ts';
import { resistancePerMetre, resistancePerMetre20 } from '../conductor/resistance.ts';
import { areaMm2, CIRCULAR_MIL_MM2, type ConductorSize, isNotAbove } from '../conductor/size.ts';
import type { Duty, Fuse, Run } from '../job/run.ts';
import type { CableKind, CableSize } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { type Device, deviceMilliohm, onLoop } from './devices.ts';
import { currentForWatts, quickRuleCircularMils, voltageDrop } from './drop.ts';
import { type DutyCycle, dutyCycle } from './dutyCycle.ts';
import {
  ampacityByHeatBalance,
  HOTTEST_C,
  steadyTemperature,
  type Surroundings,
  type ThermalCable,
} from './heatBalance.ts';
import { SOLDERED_END_C } from '../termination/methods/method.ts';
import { stretchesOf } from '../cutting/governingRun.ts';
import { heaviestStepA } from './loadIn.ts';
import { placingFactor } from './placing.ts';
import { sourceResistance } from './source.ts';
import { ampacityInch, ampacityMetric, type TableReading, type TableSite } from './tableAmpacity.ts';
import type { SettledStart } from './transient.ts';
import { say } from '../words/say.ts';

/** Sun on a jacket, W/m². Shop practice. */
const SUN_W_PER_M2 = 900;

/** Another cable of the same circuit, as far as its share of the drop goes. */
export interface Mate {
  readonly tag: string;
  readonly lengthMm: number;
  readonly devices: readonly Device[];
  readonly fuses: readonly Fuse[];
  /** The size said on it; where none is, it is taken to be of the size now being tried. */
  readonly size: ConductorSize | null;
  readonly tinned: boolean;
  readonly parallel: number;
  /** What it says of the circuit: amps held, the heaviest step of its duty, and the voltage. */
  readonly amps: number;
  readonly heaviestA: number;
  readonly systemV: number;
}

/** What a size is assessed in: the run, how many conductors share it, and the rest of its circuit. */
export interface RunContext {
  readonly run: Run;
  readonly parallel: number;
  readonly mates: readonly Mate[];
  /** Whether an end is soldered: solder stands less than copper. */
  readonly soldered: boolean;
}

/** One who spends of the loop's drop, Ω, with the copper as hot as it gets. */
export interface Spender {
  readonly label: string;
  readonly kind: 'cable' | 'return' | 'joints' | 'device';
  readonly ohm: number;
}

/** What one size of cable does in one run: every figure that a limit can be held against. */
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
  /** The air of the hottest stretch as it is reckoned, °C, and whether the sun is on it. */
  readonly airC: number;
  readonly sun: boolean;
  /** The stretch of the way that makes it hottest; empty where it is the way itself. */
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
  /** Copper the printed-chart rule asks, mm², of all conductors together. */
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

/** The thinnest jacket that is reckoned with, as a share of the outside diameter: see {@link isThinnerThanItsCopper}. */
const LEAST_JACKET_SHARE = 0.02;

/** Whether an outside diameter cannot be right: solid copper of that area would be thicker. */
export const isThinnerThanItsCopper = ({ size, outerMm }: Pick<CableSize, 'size' | 'outerMm'>): boolean =>
  outerMm <= bundleDiameterMm(areaMm2(size), 1);

/**
 * One metre of a cable size as the heat balance sees it. An outside diameter that leaves the strands no jacket is taken
 * with the thinnest there is, so that something can be said of it; a finding says that it cannot be.
 */
export function thermalCable(
  kind: CableKind,
  { size, outerMm }: Pick<CableSize, 'size' | 'outerMm'>,
): ThermalCable {
  const copperMm2 = areaMm2(size);
  return {
    ohmPerMetre20: resistancePerMetre20(size, kind.tinned),
    copperMm2,
    bundleMm: Math.min(bundleDiameterMm(copperMm2), outerMm * (1 - LEAST_JACKET_SHARE)),
    outerMm,
    jacketConductivity: JACKET_CONDUCTIVITY[kind.insulation],
  };
}

/** Air that an engine space has at least while its engine runs, °C. Source: small-craft practice. */
export const ENGINE_SPACE_C = 50;
/** The air that the conductor is reckoned in, °C. */
export const airC = ({ ambientC, engineSpace }: Pick<Run, 'ambientC' | 'engineSpace'>): number =>
  engineSpace ? Math.max(ambientC, ENGINE_SPACE_C) : ambientC;

export function surroundingsOf(run: Run): Surroundings {
  return { ambientC: airC(run), sunWPerM2: run.sun ? SUN_W_PER_M2 : 0 };
}

/** The lower of what the insulation and what the cable is bolted to stand, °C. */
export function limitOf(run: Run, kind: CableKind, practice: HousePractice, soldered = false): number {
  const bolted = run.terminationC ?? practice.terminationC;
  return Math.min(kind.limitC, bolted, soldered ? SOLDERED_END_C : bolted);
}

/**
 * Barrel depth of a lug typical for a conductor, mm: a good crimp starts at the resistance of that much conductor.
 *
 * @example typicalBarrelMm(70) // 28
 */
export function typicalBarrelMm(copperMm2: number): number {
  return (
    BARRELS.findLast((barrel) => isNotAbove(barrel.copperMm2, copperMm2))?.barrelMm ?? SHORTEST_BARREL_MM
  );
}

const SHORTEST_BARREL_MM = 10;
const BARRELS = Object.entries(LUG_FAMILIES['compression-metric'].sizes)
  .map(([name, { barrelMm }]) => ({ copperMm2: Number(name), barrelMm }))
  .sort((a, b) => a.copperMm2 - b.copperMm2);

/** Times its diameter that a cable which flexes in use must not be bent tighter than, fine strands less. */
const FLEXING_BEND = 10;

/** Where the loop's resistance lies with its copper at `copperC`, the cable itself first. */
function spendersAt(context: RunContext, kind: CableKind, size: ConductorSize, copperC: number): Spender[] {
  const { run, parallel, mates } = context;
  const perMetre = resistancePerMetre(size, kind.tinned, copperC) / parallel;
  const jointM = typicalBarrelMm(areaMm2(size)) / 1000;
  const cable = (lengthMm: number) => (perMetre * lengthMm) / 1000;
  const devices = (list: readonly Device[]) =>
    list.map((device): Spender => ({
      label: device.kind,
      kind: 'device',
      ohm: deviceMilliohm(device) / 1000,
    }));
  const own: Spender[] = [
    { label: say`this cable`, kind: 'cable', ohm: cable(run.lengthMm + run.loopMm) },
    { label: say`joints`, kind: 'joints', ohm: perMetre * jointM * jointsOf(context) },
    ...devices(onLoop(run)),
  ];
  const back = run.return;
  switch (back.kind) {
    case 'cable':
      return [...own, { label: say`return`, kind: 'return', ohm: cable(back.lengthMm) }];
    case 'chassis':
      return [...own, { label: say`chassis`, kind: 'return', ohm: back.milliohm / 1000 }];
    case 'none':
      return own;
    case 'circuit':
      return [
        ...own,
        ...mates.flatMap((mate): Spender[] => {
          const matePerMetre = resistancePerMetre(mate.size ?? size, mate.tinned, copperC) / mate.parallel;
          const mateJoints = 2 * (typicalBarrelMm(areaMm2(mate.size ?? size)) / 1000);
          return [
            { label: mate.tag, kind: 'return', ohm: matePerMetre * (mate.lengthMm / 1000 + mateJoints) },
            ...devices(onLoop(mate)),
          ];
        }),
      ];
  }
}

/** Two to a cable, and two more where the return is a twin of it. A chassis figure includes its own. */
const jointsOf = ({ run }: RunContext) => (run.return.kind === 'cable' ? 4 : 2);

export const totalOhm = (spenders: readonly Spender[]) => spenders.reduce((sum, { ohm }) => sum + ohm, 0);

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
    const ohm = sourceOhm + totalOhm(spendersAt(context, kind, cableSize.size, settledC));
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
  const spenders = spendersAt(context, kind, size, settledC ?? HOTTEST_C);
  const dropV = voltageDrop(currentA ?? 0, totalOhm(spenders));
  const lengthM = (run.lengthMm + run.loopMm) / 1000;
  const backMm =
    run.return.kind === 'cable' ? run.return.lengthMm : mates.reduce((sum, mate) => sum + mate.lengthMm, 0);
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
    massKg: cableMassPerMetre(copperMm2, outerMm) * lengthM * parallel,
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
  at: Pick<Assessment, 'currentA' | 'settledC' | 'limitC' | 'placing'>,
  followDuty: FollowDuty,
): DutyAssessment | null {
  const { run, parallel } = context;
  if (!run.duty || at.currentA === null || at.settledC === null) return null;
  const share = at.placing * parallel;
  const start = { conductorC: at.settledC, currentA: at.currentA / share };
  const cycle = followDuty(
    thermalCable(kind, cableSize),
    surroundingsOf(run),
    run.duty,
    start,
    at.limitC,
    share,
  );
  const heaviestA = heaviestStepA(run.duty);
  const spenders = spendersAt(context, kind, cableSize.size, cycle?.peakC ?? at.limitC);
  const dropV = voltageDrop(heaviestA, totalOhm(spenders));
  return { heaviestA, rmsA: rmsOf(run.duty), cycle, spenders, dropPercent: (dropV / run.systemV) * 100 };
}
