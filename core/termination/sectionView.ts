import { COMPACTION, type CrimpParts, hexagonMm2, strandHexagonMm, stretch } from './dieOnLug.ts';

/** How much flash to expect at the parting line. */
export type EarsExpected = 'none' | 'slight' | 'expect';

/** What a crimp is expected to look like when it is sawn. */
export interface CrimpForecast {
  /** Air left, as a share of the outline. */
  readonly voidShare: number;
  readonly voidMm2: number;
  /** Across flats of the strands' own hexagon, mm; null where the wall alone fills the die. */
  readonly strandsMm: number | null;
  /** How much longer the barrel gets, as a share. */
  readonly stretch: number;
  readonly ears: EarsExpected;
}

/**
 * The section and the barrel to expect of a crimp. Metal that is more than the die holds goes lengthwise first; past
 * the right window it also comes out at the parting line.
 *
 * @param packing what sections of this die showed over what was predicted, see `learn`
 * @example forecast({ boreMm: 10, outerMm: 12.5, copperMm2: 50, acrossFlatsMm: 10.4 }).ears // 'none'
 */
export function forecast(parts: CrimpParts, c: number, packing = 1): CrimpForecast {
  const outline = hexagonMm2(parts.acrossFlatsMm);
  const strandsMm = strandHexagonMm(parts);
  const roomMm2 = strandsMm === null ? 0 : hexagonMm2(strandsMm);
  const kappa = roomMm2 > 0 ? Math.min(1, parts.copperMm2 / roomMm2) : 1;
  const voidShare = (roomMm2 * Math.max(0, 1 - kappa * packing)) / outline;
  return {
    voidShare,
    voidMm2: voidShare * outline,
    strandsMm,
    stretch: stretch(c),
    ears: c > COMPACTION.rightC ? 'expect' : c > 1.1 ? 'slight' : 'none',
  };
}
