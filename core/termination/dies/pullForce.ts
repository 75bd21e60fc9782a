import { LBF_N } from '../../words/imperial.ts';
import { PULL, STANDARD_GRAVITY } from '../../model/tables/pull.ts';
import type { HousePractice } from '../../model/housePractice.ts';
import { areaMm2, type GaugeName, largestNotAbove } from '../../model/tables/size.ts';

/** What published rules ask of one crimp, held one minute, N. The shop chooses which one passes. */
export interface PullTargets {
  /** The greater of the small-craft row by gauge and the metric row. */
  readonly leastN: number;
  /** The pull-out figure: about twice the least. */
  readonly usualN: number;
  /** 60 N/mm², at most 20 kN. */
  readonly heaviestN: number;
}

/** Above this a load cell and a guarded rig: never hang a person, kg. */
export const HANG_LIMIT_KG = 100;

const gaugeArea = (name: string) => areaMm2({ system: 'awg', name: name as GaugeName });

function rowForce(
  rows: Readonly<Record<string, number>>,
  areaOf: (name: string) => number,
  copperMm2: number,
): number {
  const row = largestNotAbove(Object.keys(rows), areaOf, copperMm2);
  return row === undefined ? 0 : (rows[row] ?? 0);
}

/**
 * The pull a crimp must hold for one minute.
 *
 * Source: {@link PULL}; a conductor between rows takes the largest row that holds no more copper.
 *
 * @example pullTargets(33.631) // least 400, usual 801, heaviest 2018 N
 */
export function pullTargets(copperMm2: number): PullTargets {
  const byGauge = LBF_N * rowForce(PULL.smallCraftLbf, gaugeArea, copperMm2);
  const byArea = rowForce(PULL.metricSmallCraftN, Number, copperMm2);
  return {
    leastN: Math.max(byGauge, byArea),
    usualN: LBF_N * rowForce(PULL.pullOutLbf, gaugeArea, copperMm2),
    heaviestN: Math.min(PULL.heaviest.newtonPerMm2 * copperMm2, PULL.heaviest.mostN),
  };
}

/** The pull that a shop's school asks of a conductor, N. */
export function pullAsked(copperMm2: number, school: HousePractice['pull']): number {
  const { leastN, usualN, heaviestN } = pullTargets(copperMm2);
  return { least: leastN, usual: usualN, heaviest: heaviestN }[school];
}

/** Mass that hangs with a force, kg. @example kilogramsToHang(801) // 81.7 */
export function kilogramsToHang(forceN: number): number {
  return forceN / STANDARD_GRAVITY;
}
