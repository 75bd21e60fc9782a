import type { Point } from './picture.ts';

/** Six corners of the crimp's outline, in order round it, px. */
export type Outline = readonly [Point, Point, Point, Point, Point, Point];

/** A side of an outline as the line it lies on: its outward normal, and how far along it, px. */
export interface Side {
  readonly nx: number;
  readonly ny: number;
  readonly reach: number;
}

/** Where each side meets the next. */
export function cornersOf(sides: readonly Side[]): Point[] {
  return sides.map((side, i): Point => {
    const next = sides[(i + 1) % sides.length] as Side;
    const det = side.nx * next.ny - side.ny * next.nx;
    return [
      (side.reach * next.ny - next.reach * side.ny) / det,
      (side.nx * next.reach - next.nx * side.reach) / det,
    ];
  });
}

/** Area of a polygon, px². */
export function polygonArea(corners: readonly Point[]): number {
  const twice = corners.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = corners[(i + 1) % corners.length] as Point;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(twice) / 2;
}

/** The middle of its corners. */
export function middleOf(outline: Outline): Point {
  const mean = (axis: 0 | 1) => outline.reduce((sum, corner) => sum + corner[axis], 0) / outline.length;
  return [mean(0), mean(1)];
}

/** Mean distance between opposite sides, px. */
export const acrossFlatsPx = (outline: Outline): number =>
  flatsOf(outline).reduce((sum, own) => sum + own, 0) / 3;

/** A die closes evenly: the narrowest across flats is no less than this share of the widest. */
const LEAST_EVEN = 0.75;
export const isEven = (outline: Outline) =>
  Math.min(...flatsOf(outline)) >= LEAST_EVEN * Math.max(...flatsOf(outline));

/** The three distances between opposite sides, px. */
function flatsOf(outline: Outline): number[] {
  const middle = (i: number): Point => {
    const [a, b] = [outline[i % 6] as Point, outline[(i + 1) % 6] as Point];
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  };
  return [0, 1, 2].map((i) => {
    const [a, b] = [middle(i), middle(i + 3)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
  });
}

/** The outline with its corners taken off, px. */
export function contourOf(outline: Outline, cutPx: number): Point[] {
  return outline.flatMap((corner, i): Point[] => {
    const before = outline[(i + 5) % 6] as Point;
    const after = outline[(i + 1) % 6] as Point;
    // At 120° a cut of depth d takes 2·d of each side.
    return [before, after].map((to): Point => {
      const far = Math.hypot(to[0] - corner[0], to[1] - corner[1]);
      const share = Math.min(0.45, (2 * cutPx) / far);
      return [corner[0] + (to[0] - corner[0]) * share, corner[1] + (to[1] - corner[1]) * share];
    });
  });
}
