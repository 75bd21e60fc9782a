import type { Message } from '../words/message.ts';
import { packingFromVoid } from '../termination/dies/dieOnLug.ts';
import { edgeWidthPx } from './edge.ts';
import { acrossFlatsPx, contourOf, type Outline } from './hexagon.ts';
import { findOutline, type Found, type Refusal } from './outline.ts';
import { type Picture, reduced, type Point } from './picture.ts';
import { isCopper } from './colours.ts';
import { roundStrands } from './round.ts';
import { findVoids, type Voids } from './voids.ts';
import { findWall, type WallPx } from './wall.ts';
import { REFUSALS } from './refusals.ts';
import { paleShare } from './pale.ts';
import { innerEdgePx } from './sharpness.ts';

/** What is done one after the other to a picture. */
export const MEASURE_STAGES = ['outline', 'air', 'wall', 'strands'] as const;
export type MeasureStage = (typeof MEASURE_STAGES)[number];

/** A sawn crimp, measured. */
export interface SectionMeasure {
  readonly outline: Outline;
  readonly cutPx: number;
  readonly acrossFlatsPx: number;
  /** How wide edges are in the picture, of the outline and of air, as a share of the across flats: how soft it is. */
  readonly edgeShare: number;
  /** How much of it is blown out by glare, as a share of all inside the outline. */
  readonly glareShare: number;
  /** How much of it is paler than its copper: a shine, dust, resin or solder, as a share of what was looked at. */
  readonly paleShare: number;
  /** Air as a share of all inside the outline. */
  readonly voidShare: number;
  /** The largest patch of air, as a share of the same. */
  readonly largestShare: number;
  /** Left, top, right and bottom of the outline, px. */
  readonly outlineBox: readonly [number, number, number, number];
  /** Air pixel by pixel, in a picture `factor` times smaller than the one given. */
  readonly voids: Voids;
  readonly factor: number;
  /** Thickness of the barrel at each of its six sides, px; null where it does not show where strands begin. */
  readonly wallPx: WallPx | null;
  /** Share of the strands' copper that still stands as round strands; null where they are too fine to see. */
  readonly roundShare: number | null;
  /** Diameter of the strands that stand round, as a share of the across flats; null where too few do. */
  readonly strandShare: number | null;
}

export type Measured =
  | { readonly ok: true; readonly section: SectionMeasure }
  | { readonly ok: false; readonly refused: Refusal; readonly sentence: Message };

const refuse = (refused: Refusal): Measured => ({ ok: false, refused, sentence: REFUSALS[refused] });

/** A larger picture is made smaller first: air shows as well, and a telephone has time for it, px. */
const MEASURED_PX = 2000;

/** An outline in a picture `by` times as large. Whole numbers are the middles of pixels in both. */
function scaled({ outline, cutPx }: Found, by: number): Found {
  const move = (value: number) => (value + 0.5) * by - 0.5;
  return {
    outline: outline.map(([x, y]): Point => [move(x), move(y)]) as unknown as Outline,
    cutPx: cutPx * by,
  };
}

/** The widest an edge of the outline may be and air still be seen, as a share of the across flats. */
const MOST_BLUR_SHARE = 0.022;
/** Corners more rounded than this, as a share of the across flats, are no corners: a circle’s would be 0.077. */
const MOST_CUT_SHARE = 0.06;
/** Edges of air this many times as wide as the outline’s are shaded, not soft. */
const SHADED_TIMES = 3;

/** How wide edges are: of the outline, and of air where it has any, the middle of both as they multiply. */
function edgeOf(outerPx: number, innerPx: number): number {
  return innerPx > SHADED_TIMES * outerPx ? outerPx : Math.sqrt(outerPx * innerPx);
}

/**
 * Measures a photograph of a sawn crimp: finds its outline by itself and says how much of it is air.
 *
 * Source: air is dark against the copper round it; see `docs/method.md`. On ten drawn pictures with known truth it is
 * within 0.6 points of void share on each.
 *
 * @param tell is told each stage as it begins
 * @param given an outline corrected by hand; found by itself where it is not given
 * @example measureSection(picture).section.voidShare // 0.0331
 */
export function measureSection(
  picture: Picture,
  given?: Found,
  tell: (stage: MeasureStage) => void = () => {},
): Measured {
  tell('outline');
  const small = reduced(picture, MEASURED_PX);
  const found = given ? scaled(given, 1 / small.factor) : findOutline(small.picture);
  if ('refused' in found) return refuse(found.refused);
  const { outline, cutPx } = found;
  const across = acrossFlatsPx(outline);
  // Before its edge is looked at along its sides: a round one has none.
  if (!given && cutPx > MOST_CUT_SHARE * across) return refuse('round');
  const outerPx = edgeWidthPx(outline, small.picture);
  if (outerPx > Math.max(4, MOST_BLUR_SHARE * across)) return refuse('too blurred');
  const contour = contourOf(outline, cutPx);
  tell('air');
  const seen = findVoids(small.picture, contour);
  const { voids } = seen;
  if (voids.insidePx === 0) return refuse('no outline');
  if (!isCopper(small.picture, voids)) return refuse('spoilt colours');
  tell('wall');
  const wall = findWall(seen, outline);
  tell('strands');
  const round = wall && roundStrands(seen, outline, wall);
  const foundOutline = scaled(found, small.factor);
  const full = contourOf(foundOutline.outline, foundOutline.cutPx);
  const xs = full.map(([x]) => x);
  const ys = full.map(([, y]) => y);
  return {
    ok: true,
    section: {
      ...foundOutline,
      factor: small.factor,
      acrossFlatsPx: across * small.factor,
      edgeShare: edgeOf(outerPx, innerEdgePx(seen)) / across,
      glareShare: seen.glarePx / voids.insidePx,
      paleShare: paleShare(small.picture, seen, outline),
      voidShare: voids.voidPx / voids.insidePx,
      largestShare: voids.largestPx / voids.insidePx,
      outlineBox: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)].map(
        Math.round,
      ) as unknown as [number, number, number, number],
      voids,
      wallPx: wall && (wall.map((own) => own * small.factor) as unknown as WallPx),
      roundShare: round && round.share,
      strandShare: round?.strandPx ? round.strandPx / across : null,
    },
  };
}

/** What a section means for a crimp of known size. */
export interface SectionScaled {
  readonly mmPerPx: number;
  readonly outlineMm2: number;
  readonly voidMm2: number;
  readonly largestMm2: number;
  /** How tightly the strands are packed; null where the barrel's wall is not known. */
  readonly kappa: number | null;
}

/**
 * Puts a measured section to scale by the across flats that a calliper read.
 *
 * @param acrossFlatsMm of the crimp that was sawn, 1–100
 * @param wallMm2 copper of the barrel; null where it is not known
 * @throws RangeError where the outline holds no more than the wall: it was another lug
 */
export function scaleSection(
  section: Pick<SectionMeasure, 'acrossFlatsPx' | 'voidShare' | 'largestShare' | 'voids' | 'factor'>,
  acrossFlatsMm: number,
  wallMm2: number | null,
): SectionScaled {
  const mmPerPx = acrossFlatsMm / section.acrossFlatsPx;
  const outlineMm2 = section.voids.insidePx * (mmPerPx * section.factor) ** 2;
  return {
    mmPerPx,
    outlineMm2,
    voidMm2: section.voidShare * outlineMm2,
    largestMm2: section.largestShare * outlineMm2,
    kappa: wallMm2 === null ? null : packingFromVoid(section.voidShare, outlineMm2, wallMm2),
  };
}
