import { filled } from './connectedComponents.ts';
import { crossing } from './edge.ts';
import {
  acrossFlatsPx,
  cornersOf,
  isEven,
  middleOf,
  type Outline,
  polygonArea,
  type Side,
} from './hexagon.ts';
import { metalOf } from './metal.ts';
import { type Picture, downsample, type Point } from './picture.ts';

/** An outline, and how much its corners are rounded off. */
export interface Found {
  readonly outline: Outline;
  readonly cutPx: number;
}

/** Why a picture has no section in it. */
export type Refusal =
  | 'too small'
  | 'no metal'
  | 'cut off'
  | 'no outline'
  | 'round'
  | 'too blurred'
  | 'spoilt colours';

const LOOK_PX = 280;
/** Fewer pixels across than this and no void can be seen. */
export const LEAST_ACROSS_PX = 120;
/** A shape is taken for a hexagon when it fills this share of the one drawn round it. */
const LEAST_FILL = 0.86;

/** Finds the outline of a sawn crimp on a bench by itself, or says why it cannot. */
export function findOutline(picture: Picture): Found | { refused: Refusal } {
  if (Math.min(picture.width, picture.height) < LEAST_ACROSS_PX) return { refused: 'too small' };
  const small = downsample(picture, LOOK_PX);
  const component = metalOf(small);
  if (!component) return { refused: 'no metal' };
  if (component.touchesEdge) return { refused: 'cut off' };
  const mask = filled(component, small.width, small.height);
  const rough = hexagonRound(mask, small.width, small.height);
  if (!rough || rough.fill < LEAST_FILL || !isEven(rough.corners as unknown as Outline)) {
    return { refused: 'no outline' };
  }
  const half = (small.factor - 1) / 2;
  const corners = rough.corners.map(([x, y]): Point => [x * small.factor + half, y * small.factor + half]);
  // From afar first: what lies on the bench beside it may have pushed a side outwards.
  const near = refined(corners as unknown as Outline, picture, 3 * small.factor, 0.06);
  const outline = refined(near, picture, 8, 0.02);
  if (acrossFlatsPx(outline) < LEAST_ACROSS_PX) return { refused: 'too small' };
  return { outline, cutPx: cornerCut(outline, picture) };
}

/** How far the outline's rounded corners stay from where its sides would meet, px: the middle of the six. */
function cornerCut(outline: Outline, picture: Picture): number {
  const centre = middleOf(outline);
  const reach = 0.09 * acrossFlatsPx(outline);
  const cuts = outline.flatMap(([x, y]) => {
    const far = Math.hypot(x - centre[0], y - centre[1]);
    const [nx, ny] = [(x - centre[0]) / far, (y - centre[1]) / far];
    const out = crossing(
      picture,
      [x - nx * (reach / 2), y - ny * (reach / 2)],
      [nx, ny],
      [-ny, nx],
      reach,
      1,
    );
    return out === null ? [] : [reach / 2 - out];
  });
  cuts.sort((a, b) => a - b);
  return Math.max(0, cuts.length < 3 ? 0 : (cuts[Math.floor(cuts.length / 2)] ?? 0));
}

/** The hexagon drawn round a patch whose area is least, its opposite sides parallel. */
function hexagonRound(
  mask: Uint8Array,
  width: number,
  height: number,
): { corners: Point[]; fill: number } | null {
  const edge: Point[] = [];
  let area = 0;
  for (let y = 0; y < height; y += 1) {
    let [first, last] = [-1, -1];
    for (let x = 0; x < width; x += 1) {
      if (mask[y * width + x] === 0) continue;
      area += 1;
      if (first < 0) first = x;
      last = x;
    }
    if (first >= 0) edge.push([first - 0.5, y], [last + 0.5, y]);
  }
  if (area === 0) return null;
  let best: { corners: Point[]; fill: number } | null = null;
  for (let deg = 0; deg < 60; deg += 1) {
    const sides = [0, 60, 120, 180, 240, 300].map((turn) => {
      const angle = ((deg + turn) * Math.PI) / 180;
      const [nx, ny] = [Math.cos(angle), Math.sin(angle)];
      return { nx, ny, reach: Math.max(...edge.map(([x, y]) => x * nx + y * ny)) };
    });
    const corners = cornersOf(sides);
    const fill = area / polygonArea(corners);
    if (!best || fill > best.fill) best = { corners, fill };
  }
  return best;
}

/** Places along a side where its edge is looked for. */
const ALONG = 36;

/** Moves each side to where the picture really changes from bench to section, seen from outside. */
function refined(rough: Outline, picture: Picture, leastPx: number, share: number): Outline {
  const reach = Math.max(leastPx, share * acrossFlatsPx(rough));
  const sides = rough.map((from, i): Side => {
    const to = rough[(i + 1) % 6] as Point;
    return edgeLine(from, to, picture, reach);
  });
  // Side i runs from corner i to corner i + 1: the corner before it is where the one before meets it.
  const corners = cornersOf(sides);
  return corners.map((_, i) => corners[(i + 5) % 6] as Point) as unknown as Outline;
}

function edgeLine(from: Point, to: Point, picture: Picture, reach: number): Side {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [dx, dy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  // Outwards, for corners that run round as the angle grows.
  const [nx, ny] = [dy, -dx];
  const found: { along: number; out: number }[] = [];
  for (let k = 0; k < ALONG; k += 1) {
    const along = length * (0.14 + (0.72 * k) / (ALONG - 1));
    const out = crossing(picture, [from[0] + dx * along, from[1] + dy * along], [nx, ny], [dx, dy], reach);
    if (out !== null) found.push({ along, out });
  }
  const line = found.length >= ALONG / 3 ? steadyLine(found, length / 2) : { at: 0, slope: 0 };
  const offset = (along: number) => line.at + line.slope * (along - length / 2);
  const spot = (along: number): Point => [
    from[0] + dx * along + nx * offset(along),
    from[1] + dy * along + ny * offset(along),
  ];
  const [a, b] = [spot(0), spot(length)];
  const own = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const normal = [(b[1] - a[1]) / own, -(b[0] - a[0]) / own] as const;
  return { nx: normal[0], ny: normal[1], reach: a[0] * normal[0] + a[1] * normal[1] };
}

/**
 * A straight line through most of the points: the middle of the slopes, then the middle of what is left.
 *
 * @param middleAt where along the side its own place is told
 */
function steadyLine(
  found: readonly { along: number; out: number }[],
  middleAt: number,
): { at: number; slope: number } {
  const middle = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
  const slopes = found.flatMap((a, i) =>
    found
      .slice(i + 1)
      .filter((b) => b.along - a.along > 1)
      .map((b) => (b.out - a.out) / (b.along - a.along)),
  );
  const slope = middle(slopes);
  return { at: middle(found.map(({ along, out }) => out - slope * (along - middleAt))), slope };
}
