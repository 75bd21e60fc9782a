import { medianOf } from '../lib/lists.ts';
import { acrossFlatsPx, type Outline } from './hexagon.ts';
import type { Point } from './picture.ts';
import type { Seen } from './voids.ts';

/** Thickness of the barrel at each side, px, in the order of the outline's corners. */
export type WallPx = readonly [number, number, number, number, number, number];

/** Looked for from here inwards, as shares of the across flats: outside is the rim, further in are strands. */
const FROM_SHARE = 0.03;
const TO_SHARE = 0.36;
/** Places along the middle of each side. */
const PLACES = 15;
/** Pixels averaged along the side and inwards, so that grain does not count. */
const ALONG = 4;
const DEEP = 1;
/** Where the wall ends it is darker than this share of itself: a seam, or air. */
const SEAM_UNDER = 0.86;
/** A side is known when the wall ends at so many of its places. */
const LEAST_FOUND = PLACES / 2;

/** Where the barrel's wall ends and strands begin, side by side; null where it shows on too few of them. */
export function findWall(seen: Seen, outline: Outline): WallPx | null {
  const across = acrossFlatsPx(outline);
  const sides = outline.map((from, i) => sideWall(seen, from, outline[(i + 1) % 6] as Point, across));
  const known = sides.filter((side) => side !== null);
  if (known.length < 4) return null;
  // A side that does not show is taken as the middle of those that do.
  const middle = medianOf(known);
  return sides.map((side) => side ?? middle) as unknown as WallPx;
}

function sideWall(seen: Seen, from: Point, to: Point, across: number): number | null {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  // Inwards, for corners that run round as the angle grows.
  const inwards: Point = [-along[1], along[0]];
  const found: number[] = [];
  for (let k = 0; k < PLACES; k += 1) {
    const share = 0.3 + (0.4 * k) / (PLACES - 1);
    const at: Point = [from[0] + along[0] * length * share, from[1] + along[1] * length * share];
    const depth = depthAt(seen, at, along, inwards, across);
    if (depth !== null) found.push(depth);
  }
  return found.length >= LEAST_FOUND ? medianOf(found) : null;
}

/** How deep the wall is at one place, px: where it first turns darker than itself and stays so. */
function depthAt(seen: Seen, point: Point, along: Point, inwards: Point, across: number): number | null {
  const first = Math.ceil(FROM_SHARE * across);
  const last = Math.floor(TO_SHARE * across);
  const level = (depth: number) => {
    let [sum, count] = [0, 0];
    for (let s = -ALONG; s <= ALONG; s += 1) {
      for (let d = -DEEP; d <= DEEP; d += 1) {
        const value = relativeAt(seen, [
          point[0] + along[0] * s + inwards[0] * (depth + d),
          point[1] + along[1] * s + inwards[1] * (depth + d),
        ]);
        if (value === null) continue;
        sum += value;
        count += 1;
      }
    }
    return count > 0 ? sum / count : null;
  };
  let [sum, count] = [0, 0];
  for (let depth = first; depth <= last; depth += 1) {
    const value = level(depth);
    if (value === null) return null;
    const wall = sum / Math.max(1, count);
    if (count >= 4 && value < SEAM_UNDER * wall) {
      const next = level(depth + 1);
      if (next !== null && next < SEAM_UNDER * wall) return depth;
    }
    sum += value;
    count += 1;
  }
  return null;
}

function relativeAt({ voids: { box }, relative }: Seen, [x, y]: Point): number | null {
  const [column, row] = [Math.round(x) - box.left, Math.round(y) - box.top];
  if (column < 0 || row < 0 || column >= box.width || row >= box.height) return null;
  const value = relative[row * box.width + column] ?? 0;
  return value === 0 ? null : value;
}

/** How evenly a barrel is pressed: its thinnest side over its thickest. @example wallEvenness([9, 10, 10, 10, 10, 10]) // 0.9 */
export const wallEvenness = (wall: WallPx): number => Math.min(...wall) / Math.max(...wall);
