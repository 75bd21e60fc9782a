import type { DieOffer } from './dieOffers.ts';
import { COMPACTION, type CrimpParts, hexagonMm2, strandHexagonMm, stretch } from './dieOnLug.ts';

/** How much flash to expect at the parting line. */
export type EarsExpected = 'none' | 'slight' | 'expect';

/** What a crimp is expected to look like when it is sawn. */
export interface CrimpForecast {
  /** Copper as a share of the room that the wall leaves it, at most 1. */
  readonly kappa: number;
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
  const kappa = roomMm2 > 0 ? Math.min(1, packing * Math.min(1, parts.copperMm2 / roomMm2)) : 1;
  const voidShare = (roomMm2 * (1 - kappa)) / outline;
  return {
    kappa,
    voidShare,
    voidMm2: voidShare * outline,
    strandsMm,
    stretch: stretch(c),
    ears: c > COMPACTION.rightC ? 'expect' : c > 1.1 ? 'slight' : 'none',
  };
}

/** The same of a die on offer, with what its sections showed; null where there is none, or it leaves no hexagon. */
export const forecastOf = (offer: DieOffer | null): CrimpForecast | null =>
  offer?.leaves === 'hexagon' ? forecast(offer.parts, offer.c, offer.learned.packing) : null;

/** A place in a section, mm from its middle. */
export type Place = readonly [x: number, y: number];

/**
 * Corners of a crimp's hexagon with flats above and below, mm from its middle.
 *
 * @example hexagonCorners(10)[0] // [5.77, 0]
 */
export function hexagonCorners(acrossFlatsMm: number): Place[] {
  const radius = acrossFlatsMm / Math.sqrt(3);
  return [0, 60, 120, 180, 240, 300]
    .map((degrees) => (degrees * Math.PI) / 180)
    .map((turn): Place => [radius * Math.cos(turn), radius * Math.sin(turn)]);
}

const GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5));
/** Cells are spread over this share of the strands' width: none lies in the wall. */
const SPREAD = 0.82;

/**
 * Where cells as large as a drawn strand stand for the air that is left, mm from the middle: as many as make up its
 * area, at most `most`, spread evenly; none where it is packed.
 *
 * @param cellMm side of the square that one cell stands for, mm
 */
export function airCells({ strandsMm, voidMm2 }: CrimpForecast, cellMm: number, most = 160): Place[] {
  if (strandsMm === null) return [];
  const count = Math.min(most, Math.round(voidMm2 / cellMm ** 2));
  const reach = (strandsMm / 2) * SPREAD;
  return Array.from({ length: count }, (_, i): Place => {
    const radius = reach * Math.sqrt((i + 0.5) / count);
    return [radius * Math.cos(i * GOLDEN_ANGLE), radius * Math.sin(i * GOLDEN_ANGLE)];
  });
}
