import { JACKET_CONDUCTIVITY } from '../catalogue/cableKinds.ts';
import { LUG_FAMILIES } from '../catalogue/tables/lugFamilies.ts';
import { bundleDiameterMm, cableMassPerMetre } from '../conductor/geometry.ts';
import { resistancePerMetre, resistancePerMetre20 } from '../conductor/resistance.ts';
import { areaMm2, CIRCULAR_MIL_MM2, type ConductorSize, largestNotAbove } from '../conductor/size.ts';
import type { Run } from '../job/cable.ts';
import type { CableKind, CableSize } from '../job/shop.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import {
  currentForWatts,
  type LoopResistance,
  quickRuleCircularMils,
  totalOhm,
  voltageDrop,
} from './drop.ts';
import {
  ampacityByHeatBalance,
  HOTTEST_C,
  steadyTemperature,
  type Surroundings,
  type ThermalCable,
} from './heatBalance.ts';
import { placingFactor } from './placing.ts';
import { ampacityInch, ampacityMetric, type TableReading, type TableSite } from './tableAmpacity.ts';
import { followSteps, hottest } from './transient.ts';

/** Sun on a jacket, W/m². Shop practice. */
const SUN_W_PER_M2 = 900;

/** What one size of cable does in one run: every figure that a limit can be held against. */
export interface Assessment {
  readonly size: ConductorSize;
  readonly copperMm2: number;
  readonly outerMm: number;
  /** The lower of insulation and termination, °C. */
  readonly limitC: number;
  readonly placing: number;
  readonly site: TableSite;
  /** Amps the load draws through this cable; null where no current can deliver its watts. */
  readonly currentA: number | null;
  /** Null where the conductor never settles. */
  readonly settledC: number | null;
  readonly loop: LoopResistance;
  readonly joints: number;
  readonly barrelMm: number;
  readonly dropV: number;
  readonly dropPercent: number;
  readonly wattsLost: number;
  readonly surge: { readonly endC: number; readonly dropPercent: number; readonly ohm: number } | null;
  /** Copper the printed-chart rule asks, mm². */
  readonly quickMm2: number;
  readonly inch: TableReading | null;
  readonly metric: TableReading | null;
  /** By heat balance, before placing, A. */
  readonly heatA: number;
  readonly massKg: number;
  readonly price: number;
}

/** The printed charts come for two drops; the careful one is the rule meant here. */
export const QUICK_RULE_PERCENT = 3;

/** One metre of a cable size as the heat balance sees it. */
export function thermalCable(kind: CableKind, { size, outerMm }: CableSize): ThermalCable {
  const copperMm2 = areaMm2(size);
  return {
    ohmPerMetre20: resistancePerMetre20(size, kind.tinned),
    copperMm2,
    bundleMm: bundleDiameterMm(copperMm2),
    outerMm,
    jacketConductivity: JACKET_CONDUCTIVITY[kind.insulation],
  };
}

export function surroundingsOf(run: Run): Surroundings {
  return { ambientC: run.ambientC, sunWPerM2: run.sun ? SUN_W_PER_M2 : 0 };
}

/** The lower of what the insulation and what the cable is bolted to stand, °C. */
export function limitOf(run: Run, kind: CableKind, practice: HousePractice): number {
  return Math.min(kind.limitC, run.terminationC ?? practice.terminationC);
}

/**
 * Barrel depth of a lug typical for a conductor, mm: a good crimp starts at the resistance of that much conductor.
 *
 * @example typicalBarrelMm(70) // 28
 */
export function typicalBarrelMm(copperMm2: number): number {
  const { sizes } = LUG_FAMILIES['compression-metric'];
  const row = largestNotAbove(Object.keys(sizes), Number, copperMm2) ?? '10';
  return sizes[row]?.barrelMm ?? 10;
}

/** The loop's resistance with its copper at `copperC`. */
function loopAt(run: Run, kind: CableKind, size: ConductorSize, copperC: number): LoopResistance {
  const perMetre = resistancePerMetre(size, kind.tinned, copperC);
  const jointM = (typicalBarrelMm(areaMm2(size)) / 1000) * jointsOf(run);
  const back = run.return;
  return {
    cablesOhm: (perMetre * (run.lengthMm + run.loopMm)) / 1000,
    returnOhm:
      back.kind === 'cable'
        ? (perMetre * back.lengthMm) / 1000
        : back.kind === 'chassis'
          ? back.milliohm / 1000
          : 0,
    jointsOhm: perMetre * jointM,
    devicesOhm: run.devicesMilliohm / 1000,
  };
}

/** Two to a cable. A chassis figure includes its own. */
const jointsOf = (run: Run) => (run.return.kind === 'cable' ? 4 : 2);

/** Amps and temperature together: the hotter the copper, the more it resists, and a load in watts then draws more. */
function operatingPoint(
  run: Run,
  kind: CableKind,
  cableSize: CableSize,
  placing: number,
): { currentA: number | null; settledC: number | null } {
  const cable = thermalCable(kind, cableSize);
  const around = surroundingsOf(run);
  const settle = (amps: number) => steadyTemperature(cable, around, amps / placing);
  const { load } = run;
  if (load.kind === 'amps') return { currentA: load.amps, settledC: settle(load.amps) };
  const watts = load.watts / (load.efficiencyPercent / 100);
  let settledC = run.ambientC;
  let last = 0;
  for (let i = 0; i < 100; i += 1) {
    const currentA = currentForWatts(
      watts,
      load.lowestV,
      totalOhm(loopAt(run, kind, cableSize.size, settledC)),
    );
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
 * Source: physics of this project's method page: the drop at the temperature really reached, three schools of
 * continuous current, the surge from the settled start. Loop length counts the service loop.
 */
export function assess(run: Run, kind: CableKind, cableSize: CableSize, practice: HousePractice): Assessment {
  const { size, outerMm } = cableSize;
  const copperMm2 = areaMm2(size);
  const placing = placingFactor(run.placing, run.bundled);
  const limitC = limitOf(run, kind, practice);
  const site = { copperMm2, limitC, ambientC: run.ambientC, engineSpace: run.engineSpace };
  const { currentA, settledC } = operatingPoint(run, kind, cableSize, placing);
  const loop = loopAt(run, kind, size, settledC ?? HOTTEST_C);
  const dropV = voltageDrop(currentA ?? 0, loop);
  const lengthM = (run.lengthMm + run.loopMm) / 1000;
  const backM = run.return.kind === 'cable' ? run.return.lengthMm / 1000 : 0;
  const quickDropV = (QUICK_RULE_PERCENT / 100) * run.systemV;
  return {
    size,
    copperMm2,
    outerMm,
    limitC,
    placing,
    site,
    currentA,
    settledC,
    loop,
    joints: jointsOf(run),
    barrelMm: typicalBarrelMm(copperMm2),
    dropV,
    dropPercent: (dropV / run.systemV) * 100,
    wattsLost: (currentA ?? 0) * dropV,
    surge:
      currentA === null || settledC === null
        ? null
        : surgeOf(run, kind, cableSize, placing, currentA, settledC),
    quickMm2: quickRuleCircularMils(currentA ?? 0, lengthM + backM, quickDropV) * CIRCULAR_MIL_MM2,
    inch: ampacityInch(site),
    metric: ampacityMetric(site),
    heatA: ampacityByHeatBalance(thermalCable(kind, cableSize), surroundingsOf(run), limitC),
    massKg: cableMassPerMetre(copperMm2, outerMm) * lengthM,
    price: cableSize.pricePerM * lengthM,
  };
}

function surgeOf(
  run: Run,
  kind: CableKind,
  cableSize: CableSize,
  placing: number,
  currentA: number,
  settledC: number,
): Assessment['surge'] {
  if (!run.surge) return null;
  const samples = followSteps(
    thermalCable(kind, cableSize),
    surroundingsOf(run),
    [{ currentA: run.surge.amps / placing, seconds: run.surge.seconds }],
    { conductorC: settledC, currentA: currentA / placing },
  );
  const endC = hottest(samples).conductorC;
  const ohm = totalOhm(loopAt(run, kind, cableSize.size, endC));
  return { endC, ohm, dropPercent: ((run.surge.amps * ohm) / run.systemV) * 100 };
}
