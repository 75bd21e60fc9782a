import { COPPER_HEAT, SOLDER } from '../../model/tables/solder.ts';
import { ROOM_C } from './cooling.ts';
import { circleMm2, wallMm2 } from '../lugs/lugOnCable.ts';

/** A cavity to be filled. */
export interface SolderTask {
  readonly boreMm: number;
  readonly copperMm2: number;
  /** How much of the barrel is filled, mm. */
  readonly depthMm: number;
}

/** A fillet at the mouth, as a share of the bore's own circle times a tenth of its diameter. */
const FILLET_SHARE = 0.1;

/**
 * Solder to fill what the strands leave of a bore, mm³: `V = (A_bore − n·A)·depth + fillet`.
 *
 * @param withFillet a meniscus round the mouth, about a tenth of the bore high
 */
export function solderVolumeMm3({ boreMm, copperMm2, depthMm }: SolderTask, withFillet: boolean): number {
  const free = circleMm2(boreMm) - copperMm2;
  return free * depthMm + (withFillet ? free * FILLET_SHARE * boreMm : 0);
}

/**
 * Mass of solder, g.
 *
 * @example solderMassG(solderVolumeMm3({ boreMm: 15, copperMm2: 107.2, depthMm: 28 }, false)) // 16.3
 */
export function solderMassG(volumeMm3: number): number {
  return (volumeMm3 / 1000) * SOLDER.densityGPerCm3;
}

/** Length of solder wire of a diameter that holds a volume, mm. */
export function solderWireMm(volumeMm3: number, wireMm: number): number {
  return volumeMm3 / circleMm2(wireMm);
}

/** What a flame has to heat. */
export interface HeatTask {
  readonly boreMm: number;
  readonly outerMm: number;
  readonly barrelMm: number;
  readonly palmWidthMm: number;
  readonly palmThicknessMm: number;
  readonly studToBarrelMm: number;
  readonly copperMm2: number;
  readonly solderG: number;
}

/** The joint is taken this far past the solder's melting, K. */
const ABOVE_LIQUIDUS_K = 40;
/** Share of a flame's heat that the lug takes. Confidence: low. */
const TAKEN_SHARE = 0.15;

/** Over this a flame is too weak: the jacket cooks before the solder runs. Under the other it scorches, s. */
export const TORCH_S = { tooWeak: 120, scorches: 8 } as const;

/** Heat that lug, wetted copper and solder themselves need, J. */
export function jointHeatJ(task: HeatTask): number {
  const riseK = SOLDER.liquidusC + ABOVE_LIQUIDUS_K - ROOM_C;
  const barrelMm3 = (wallMm2(task) + task.copperMm2) * task.barrelMm;
  const palmMm3 = task.palmWidthMm * task.palmThicknessMm * (task.studToBarrelMm + task.palmWidthMm / 2);
  const copperG = ((barrelMm3 + palmMm3) / 1000) * COPPER_HEAT.densityGPerCm3;
  return (
    copperG * COPPER_HEAT.heatJPerGK * riseK + task.solderG * (SOLDER.heatJPerGK * riseK + SOLDER.meltJPerG)
  );
}

/**
 * Seconds a flame takes to bring a lug to soldering heat while the cable leads heat away, see {@link secondsToHeat}.
 *
 * @param torchW what the flame gives out, W, > 0
 * @example torchSeconds({ … 50 mm² lug }, 1200) // about 45
 */
export function torchSeconds(task: HeatTask, torchW: number): number {
  const riseK = SOLDER.liquidusC + ABOVE_LIQUIDUS_K - ROOM_C;
  return secondsToHeat(jointHeatJ(task), task.copperMm2, riseK, TAKEN_SHARE * torchW);
}

/**
 * Seconds that heat takes to warm a lug while its cable leads heat away: the t that solves
 * `E + 2·k·A·ΔT·√(t/(π·α)) = P·t`.
 *
 * Source: lumped joint on a half-infinite conductor. Confidence: low, as what enters is a guess.
 *
 * @param energyJ what the lug and all on it take up, J
 * @param copperMm2 conductor that leads heat away, mm²
 * @param inW what enters the lug, W, > 0
 */
export function secondsToHeat(energyJ: number, copperMm2: number, riseK: number, inW: number): number {
  const led =
    (2 * COPPER_HEAT.conductivityWPerMK * copperMm2 * 1e-6 * riseK) /
    Math.sqrt(Math.PI * COPPER_HEAT.diffusivityM2PerS);
  // With x = √t: P'·x² − led·x − E = 0, whose one positive root is exact.
  const root = (led + Math.sqrt(led ** 2 + 4 * inW * energyJ)) / (2 * inW);
  return root ** 2;
}

/** Least soldered length where solder alone holds, in bundle diameters. Source: ABYC E-11, battery lugs. */
export const SOLDER_ONLY_DIAMETERS = 1.5;
