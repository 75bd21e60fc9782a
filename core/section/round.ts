import { connectedComponents } from './connectedComponents.ts';
import { acrossFlatsPx, type Outline } from './hexagon.ts';
import type { Point } from './picture.ts';
import type { Seen } from './voids.ts';
import type { WallPx } from './wall.ts';

/** The seam between wall and strands is so wide, as a share of the across flats. */
const SEAM_SHARE = 0.035;
/** With less air than this share of the outline no strand stands by itself. */
const LEAST_AIR = 0.002;
/** One or two discs are the strands pressed into one, not strands. */
const LEAST_DISCS = 3;
/** Copper is worn down by this share of a strand's radius: discs that only touch come apart, flats do not. */
const WORN = 0.5;
/** What is left of a round strand fills the circle of its own depth to within this. */
const MOST_OVER_CIRCLE = 1.5;
/** Strands thinner than this are too fine to see, px. */
const LEAST_RADIUS_PX = 4;
/** With this share of them round, the round ones are the strands, and not chance. */
const ENOUGH_ROUND = 0.25;
const NONE_ROUND: RoundStrands = { share: 0, strandPx: null };
/** Steps of the distance: straight and across, in thirds of a pixel. */
const [STRAIGHT, ACROSS] = [3, 4];

/** Strands that stand round. */
export interface RoundStrands {
  /** Copper of them as a share of all strands' copper. */
  readonly share: number;
  /** How thick one is, px; null where too few stand round to say. */
  readonly strandPx: number | null;
}

/**
 * Share of the strands' copper that still stands as round strands: worn down by part of a strand's radius, a round one
 * is left as a small disc by itself, while strands pressed flat against each other stay together.
 *
 * @returns none where they are pressed into one; null where strands are too fine to be seen
 */
export function roundStrands(seen: Seen, outline: Outline, wall: WallPx): RoundStrands | null {
  const { voidPx, insidePx } = seen.voids;
  if (voidPx < LEAST_AIR * insidePx) return NONE_ROUND;
  const strands = strandsIn(seen, outline, wall);
  if (!strands) return null;
  const { mask, width, height } = strands;
  let copperPx = 0;
  for (const own of mask) copperPx += own;
  const deep = depths(mask, width, height);
  const radius = strandRadius(deep, width, height);
  if (copperPx === 0 || radius === null) return copperPx === 0 ? null : NONE_ROUND;
  if (radius < LEAST_RADIUS_PX) return null;
  const core = new Uint8Array(deep.length);
  for (let i = 0; i < core.length; i += 1) core[i] = (deep[i] ?? 0) > WORN * radius ? 1 : 0;
  let [roundPx, count] = [0, 0];
  for (const { pixels } of connectedComponents(core, width, height)) {
    const own = pixels.reduce((most, i) => Math.max(most, deep[i] ?? 0), 0);
    const circle = Math.PI * (own - WORN * radius + 0.5) ** 2;
    if (own < 1.6 * radius && pixels.length <= MOST_OVER_CIRCLE * circle) {
      roundPx += Math.PI * own ** 2;
      count += 1;
    }
  }
  if (count < LEAST_DISCS) return NONE_ROUND;
  const share = Math.min(1, roundPx / copperPx);
  return { share, strandPx: share < ENOUGH_ROUND ? null : 2 * Math.sqrt(roundPx / count / Math.PI) };
}

/** Copper of strands, pixel by pixel. */
interface Strands {
  readonly width: number;
  readonly height: number;
  /** 1 where a strand is. */
  readonly mask: Uint8Array;
}

/** Copper inside the seam, cut out of the picture with a pixel of nothing round it; null where there is none. */
function strandsIn({ voids: { box, mask } }: Seen, outline: Outline, wall: WallPx): Strands | null {
  const seam = SEAM_SHARE * acrossFlatsPx(outline);
  const sides = outline.map(([x, y], i) => {
    const to = outline[(i + 1) % 6] as Point;
    const length = Math.hypot(to[0] - x, to[1] - y);
    // Depth of a pixel under side i is linear in its place.
    const [nx, ny] = [-(to[1] - y) / length, (to[0] - x) / length];
    return { nx, ny, least: x * nx + y * ny + (wall[i] ?? 0) + seam };
  });
  /** From where to where a row lies under all six sides. */
  const span = (y: number): readonly [number, number] => {
    let [from, to] = [box.left, box.left + box.width - 1];
    for (const { nx, ny, least } of sides) {
      const at = (least - y * ny) / nx;
      if (nx > 0) from = Math.max(from, at);
      else to = Math.min(to, at);
    }
    return [Math.ceil(from), Math.floor(to)];
  };
  const rows = Array.from({ length: box.height }, (_, row) => span(row + box.top));
  const filled = rows.flatMap(([from, to], row) => (to >= from ? [row] : []));
  const [first, last] = [filled[0], filled.at(-1)];
  if (first === undefined || last === undefined) return null;
  const left = Math.min(...filled.map((row) => rows[row]?.[0] ?? 0));
  const right = Math.max(...filled.map((row) => rows[row]?.[1] ?? 0));
  const [width, height] = [right - left + 3, last - first + 3];
  const strands = new Uint8Array(width * height);
  for (let row = first; row <= last; row += 1) {
    const [from, to] = rows[row] as readonly [number, number];
    for (let x = from; x <= to; x += 1) {
      if ((mask[row * box.width + x - box.left] ?? 0) < 128)
        strands[(row - first + 1) * width + x - left + 1] = 1;
    }
  }
  return { width, height, mask: strands };
}

/** How far each pixel of a mask is from what is not of it, px, by steps straight and across. */
function depths(mask: Uint8Array, width: number, height: number): Float32Array {
  const far = new Int32Array(mask.length);
  for (let y = 1; y < height - 1; y += 1) {
    for (let i = y * width + 1; i < (y + 1) * width - 1; i += 1) {
      if (mask[i] === 0) continue;
      const up = i - width;
      far[i] = Math.min(
        (far[i - 1] as number) + STRAIGHT,
        (far[up] as number) + STRAIGHT,
        (far[up - 1] as number) + ACROSS,
        (far[up + 1] as number) + ACROSS,
      );
    }
  }
  const deep = new Float32Array(mask.length);
  for (let y = height - 2; y > 0; y -= 1) {
    for (let i = (y + 1) * width - 2; i > y * width; i -= 1) {
      const depthHere = far[i] as number;
      if (depthHere === 0) continue;
      const down = i + width;
      const least = Math.min(
        depthHere,
        (far[i + 1] as number) + STRAIGHT,
        (far[down] as number) + STRAIGHT,
        (far[down + 1] as number) + ACROSS,
        (far[down - 1] as number) + ACROSS,
      );
      far[i] = least;
      deep[i] = least / STRAIGHT;
    }
  }
  return deep;
}

/** The largest circles that fit into the copper, none with its middle in a larger one. */
function circlesIn(deep: Float32Array, width: number, height: number): { at: number; radius: number }[] {
  const tops: { at: number; radius: number }[] = [];
  for (let y = 2; y < height - 2; y += 1) {
    for (let x = 2; x < width - 2; x += 1) {
      const at = y * width + x;
      const radius = deep[at] ?? 0;
      if (radius < 2 || (deep[at + 1] ?? 0) > radius || (deep[at + width] ?? 0) > radius) continue;
      if (isTop(deep, at, width)) tops.push({ at, radius });
    }
  }
  tops.sort((a, b) => b.radius - a.radius);
  const taken = new Uint8Array(deep.length);
  return tops.filter(({ at: summit, radius }) => {
    if (taken[summit] === 1) return false;
    const reach = Math.floor(radius);
    for (let dy = -reach; dy <= reach; dy += 1) {
      const half = Math.floor(Math.sqrt(reach * reach - dy * dy));
      taken.fill(1, summit + dy * width - half, summit + dy * width + half + 1);
    }
    return true;
  });
}

function isTop(deep: Float32Array, at: number, width: number): boolean {
  const own = deep[at] ?? 0;
  for (let dy = -2; dy <= 2; dy += 1)
    for (let dx = -2; dx <= 2; dx += 1) if ((deep[at + dy * width + dx] ?? 0) > own) return false;
  return true;
}

/** The radius of a strand: the one at which half of what the circles cover lies in smaller ones; null without any. */
function strandRadius(deep: Float32Array, width: number, height: number): number | null {
  const circles = circlesIn(deep, width, height).toReversed();
  const half = circles.reduce((sum, { radius }) => sum + radius ** 2, 0) / 2;
  let sum = 0;
  for (const { radius } of circles) {
    sum += radius ** 2;
    if (sum >= half) return radius;
  }
  return null;
}
