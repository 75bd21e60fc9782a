import { wallMm2, MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';

/** The parts of a crimp that a hexagon die closes on. */
export interface CrimpParts {
  readonly boreMm: number;
  readonly outerMm: number;
  /** Copper of all conductors in the barrel, mm². */
  readonly copperMm2: number;
  /** The closed die, across flats, mm. */
  readonly acrossFlatsMm: number;
}

export type DieVerdict = 'open' | 'light' | 'right' | 'tight' | 'will-not-close';

/** c is how much metal the die must move; κ is how tightly the strands end up packed. */
export interface Compaction {
  readonly c: number;
  readonly kappa: number;
}

/** Where the verdict changes. */
export const COMPACTION = { openKappa: 0.85, rightKappa: 0.9, rightC: 1.16, willNotCloseC: 1.25 } as const;

/** Real copper against its nominal area. */
export const COPPER_SHARE = { least: 0.9, most: 1.02 } as const;

/** Area of a hexagon, mm²: `(√3/2)·F²`. @example hexagonMm2(12.4) // 133.2 */
export function hexagonMm2(acrossFlatsMm: number): number {
  return (Math.sqrt(3) / 2) * acrossFlatsMm ** 2;
}

/** The hexagon of an area, mm across flats. @example hexagonAcrossFlats(133.2) // 12.4 */
export function hexagonAcrossFlats(areaMm2: number): number {
  return Math.sqrt(areaMm2 / (Math.sqrt(3) / 2));
}

/**
 * What a die makes of a lug and its strands: `c = (A_wall + n·A)/A_die`, `κ = n·A/(A_die − A_wall)`.
 * κ is infinite where the die is smaller than the lug's own wall.
 *
 * @example compaction({ boreMm: 10, outerMm: 12.5, copperMm2: 50, acrossFlatsMm: 10.4 }) // c 1.005, κ 1.010
 */
export function compaction(parts: CrimpParts): Compaction {
  const die = hexagonMm2(parts.acrossFlatsMm);
  const wall = wallMm2(parts);
  const room = die - wall;
  return {
    c: (wall + parts.copperMm2) / die,
    kappa: room > 0 ? parts.copperMm2 / room : Number.POSITIVE_INFINITY,
  };
}

/** What a compaction means. Too open leaves air between the strands; too tight squeezes ears and thins the barrel. */
export function dieVerdict({ c, kappa }: Compaction): DieVerdict {
  return verdictAt(c, kappa);
}

/** {@link dieVerdict} of two bare numbers, for where there are tens of thousands of them. */
export function verdictAt(c: number, kappa: number): DieVerdict {
  if (c > COMPACTION.willNotCloseC) return 'will-not-close';
  if (kappa < COMPACTION.openKappa) return 'open';
  if (kappa < COMPACTION.rightKappa) return 'light';
  return c <= COMPACTION.rightC ? 'right' : 'tight';
}

/**
 * The loosest and tightest that the same parts can be, within what a calliper and a drum of cable may be off.
 *
 * @param flatsToleranceMm how well the die's flats are known; trials narrow it
 */
export function compactionBand(
  parts: CrimpParts,
  flatsToleranceMm = MEASURE_TOLERANCE_MM,
): { loosest: Compaction; tightest: Compaction } {
  const edge = (sign: 1 | -1, copperShare: number) =>
    compaction({
      // A thinner wall in a wider die is looser: outside down, bore up, flats up.
      outerMm: parts.outerMm - sign * MEASURE_TOLERANCE_MM,
      boreMm: parts.boreMm + sign * MEASURE_TOLERANCE_MM,
      acrossFlatsMm: parts.acrossFlatsMm + sign * flatsToleranceMm,
      copperMm2: parts.copperMm2 * copperShare,
    });
  return { loosest: edge(1, COPPER_SHARE.least), tightest: edge(-1, COPPER_SHARE.most) };
}

/** How much longer the barrel gets, as a share: `max(0, c − 1)`. */
export function stretch(c: number): number {
  return Math.max(0, c - 1);
}

/**
 * The die that would give compaction `c`, mm across flats.
 *
 * @example acrossFlatsFor(1.06, { boreMm: 11.5, outerMm: 16.5, copperMm2: 70 }) // 14.0
 */
export function acrossFlatsFor(c: number, parts: Omit<CrimpParts, 'acrossFlatsMm'>): number {
  return hexagonAcrossFlats((wallMm2(parts) + parts.copperMm2) / c);
}

/** Across-flats at which the verdict on one lug and cable changes, mm, from the widest. */
export interface DieZones {
  /** Wider than this is open. */
  readonly openMm: number;
  /** Wider than this is light. */
  readonly lightMm: number;
  /** Closer than this is tight. */
  readonly tightMm: number;
  /** Closer than this will not close. */
  readonly willNotCloseMm: number;
}

/**
 * Where each verdict begins, as across-flats: κ and c both follow from the die's width alone once lug and cable are
 * given.
 *
 * @example dieZones({ boreMm: 11.5, outerMm: 16.5, copperMm2: 70 }).tightMm // 13.39
 */
export function dieZones(parts: Omit<CrimpParts, 'acrossFlatsMm'>): DieZones {
  const forKappa = (kappa: number) => hexagonAcrossFlats(wallMm2(parts) + parts.copperMm2 / kappa);
  return {
    openMm: forKappa(COMPACTION.openKappa),
    lightMm: forKappa(COMPACTION.rightKappa),
    tightMm: acrossFlatsFor(COMPACTION.rightC, parts),
    willNotCloseMm: acrossFlatsFor(COMPACTION.willNotCloseC, parts),
  };
}

/**
 * How tightly strands were packed, from the air seen in a sawn crimp:
 * `κ = 1 − void·A_outline/(A_outline − A_wall)`.
 *
 * @param voidShare air as a share of the whole outline, 0–1
 * @throws RangeError where the outline holds no more than the wall: it was another lug
 * @example packingFromVoid(0.1, hexagonMm2(10.39), wallMm2({ outerMm: 12.5, boreMm: 8.2 })) // 0.604
 */
export function packingFromVoid(voidShare: number, outlineMm2: number, wallMm2: number): number {
  if (outlineMm2 <= wallMm2) throw new RangeError('the outline holds no more than the wall');
  return 1 - (voidShare * outlineMm2) / (outlineMm2 - wallMm2);
}

/** Share of the crimped outline that is still air. 0 when the strands are packed solid. */
export function expectedVoidShare(parts: CrimpParts): number {
  const die = hexagonMm2(parts.acrossFlatsMm);
  return Math.max(0, 1 - (wallMm2(parts) + parts.copperMm2) / die);
}

/**
 * Across-flats of the hexagon that the strands fill inside the crimp, mm: what the die leaves once the wall has its
 * share. Null where the wall alone fills the die.
 */
export function strandHexagonMm(parts: CrimpParts): number | null {
  const room = hexagonMm2(parts.acrossFlatsMm) - wallMm2(parts);
  return room > 0 ? hexagonAcrossFlats(room) : null;
}
