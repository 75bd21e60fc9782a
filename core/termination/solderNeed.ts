import type { Lug } from '../model/shop.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { expectedVoidShare, hexagonMm2 } from './dies/dieOnLug.ts';
import type { ResolvedEnd } from './resolveEnd.ts';
import { solderMassG, solderVolumeMm3, solderWireMm, torchSeconds } from './methods/solder.ts';

/** Solder that one end takes, and how long its flame needs. */
export interface SolderNeed {
  readonly volumeMm3: number;
  /** What fills it, g. */
  readonly wholeG: number;
  /** To be fed, beyond what the lug comes loaded with. */
  readonly massG: number;
  /** What the lug comes loaded with, g. */
  readonly loadedG: number;
  readonly wireMm: number;
  /** Barrel that is filled round the strands, mm. */
  readonly depthMm: number;
  /** Air left in the crimps, and the fillet, mm³. */
  readonly extraMm3: number;
  readonly afterCrimp: boolean;
  readonly seconds: number;
}

/**
 * Solder for an end: the whole barrel where solder comes first or alone; after a crimp, what the dies left open and
 * the air they left in.
 */
export function solderNeed(end: ResolvedEnd, lug: Lug, practice: HousePractice): SolderNeed {
  const afterCrimp = end.method === 'crimp then solder' && end.die !== null;
  const crimpedMm = afterCrimp && end.die ? end.crimps.length * end.die.die.widthMm : 0;
  const depthMm = lug.barrelMm - crimpedMm;
  const airMm3 =
    afterCrimp && end.die
      ? expectedVoidShare(end.die.parts) * hexagonMm2(end.die.parts.acrossFlatsMm) * crimpedMm
      : 0;
  const task = { boreMm: lug.boreMm, copperMm2: end.copperMm2, depthMm };
  const bare = Math.max(0, solderVolumeMm3(task, false));
  const volumeMm3 = Math.max(0, solderVolumeMm3(task, true)) + airMm3;
  const wholeG = solderMassG(volumeMm3);
  const loadedG = lug.solderG ?? 0;
  const massG = Math.max(0, wholeG - loadedG);
  return {
    volumeMm3,
    wholeG,
    massG,
    loadedG,
    wireMm: wholeG > 0 ? solderWireMm(volumeMm3 * (massG / wholeG), practice.solder.wireMm) : 0,
    depthMm,
    extraMm3: volumeMm3 - bare,
    afterCrimp,
    seconds: torchSeconds(
      { ...lug, copperMm2: end.copperMm2, solderG: Math.max(wholeG, loadedG) },
      practice.solder.torchW,
    ),
  };
}
