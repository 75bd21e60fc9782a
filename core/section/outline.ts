import { type Blob, blobs, filled, grown } from './blobs.ts';
import { strangeness } from './background.ts';
import { type Picture, shrink, type Small, type Spot } from './picture.ts';

/** Six corners of the crimp's outline, in order round it, px. */
export type Outline = readonly [Spot, Spot, Spot, Spot, Spot, Spot];

/** An outline, and how much its corners are rounded off. */
export interface Found {
  readonly outline: Outline;
  readonly cutPx: number;
}

/** Why a picture has no section in it. */
export type Refusal = 'too small' | 'no metal' | 'cut off' | 'no outline' | 'too blurred' | 'spoilt colours';

const LOOK_PX = 280;
/** A section must fill this share of the picture, and at most that. */
const LEAST_SHARE = 0.03;
const MOST_SHARE = 0.85;
/** Fewer pixels across than this and no void can be seen. */
export const LEAST_ACROSS_PX = 120;
/** A shape is taken for a hexagon when it fills this share of the one drawn round it. */
const LEAST_FILL = 0.86;

/** Finds the outline of a sawn crimp on a bench by itself, or says why it cannot. */
export function findOutline(picture: Picture): Found | { refused: Refusal } {
  if (Math.min(picture.width, picture.height) < LEAST_ACROSS_PX) return { refused: 'too small' };
  const small = shrink(picture, LOOK_PX);
  const blob = metalOf(small);
  if (!blob) return { refused: 'no metal' };
  if (blob.touchesEdge) return { refused: 'cut off' };
  const mask = filled(blob, small.width, small.height);
  const rough = hexagonRound(mask, small.width, small.height);
  if (!rough || rough.fill < LEAST_FILL || !isEven(rough.corners as unknown as Outline)) {
    return { refused: 'no outline' };
  }
  const half = (small.factor - 1) / 2;
  const corners = rough.corners.map(([x, y]): Spot => [x * small.factor + half, y * small.factor + half]);
  // From afar first: what lies on the bench beside it may have pushed a side outwards.
  const near = refined(corners as unknown as Outline, picture, 3 * small.factor, 0.06);
  const outline = refined(near, picture, 8, 0.02);
  if (acrossFlatsPx(outline) < LEAST_ACROSS_PX) return { refused: 'too small' };
  return { outline, cutPx: cornerCut(outline, picture) };
}

/** How far the outline's rounded corners stay from where its sides would meet, px: the middle of the six. */
function cornerCut(outline: Outline, picture: Picture): number {
  const centre: Spot = [0, 1].map(
    (c) => outline.reduce((sum, spot) => sum + (spot[c] ?? 0), 0) / 6,
  ) as unknown as Spot;
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

/** The outline with its corners taken off, px. */
export function contourOf(outline: Outline, cutPx: number): Spot[] {
  return outline.flatMap((corner, i): Spot[] => {
    const before = outline[(i + 5) % 6] as Spot;
    const after = outline[(i + 1) % 6] as Spot;
    // At 120° a cut of depth d takes 2·d of each side.
    return [before, after].map((to): Spot => {
      const far = Math.hypot(to[0] - corner[0], to[1] - corner[1]);
      const share = Math.min(0.45, (2 * cutPx) / far);
      return [corner[0] + (to[0] - corner[0]) * share, corner[1] + (to[1] - corner[1]) * share];
    });
  });
}

/** The largest patch that is not bench. */
function metalOf(small: Small): Blob | null {
  const far = strangeness(small);
  if (!far) return null;
  const limit = splitAt(far);
  const { width, height } = small;
  const strange = Uint8Array.from(far, (value) => (value > limit ? 1 : 0));
  // Specks of bench go, cracks of metal close.
  const opened = grown(grown(strange, width, height, 1, true), width, height, 1);
  const closed = grown(grown(opened, width, height, 2), width, height, 2, true);
  const [largest] = blobs(closed, width, height);
  const share = (largest?.pixels.length ?? 0) / (width * height);
  return largest && share >= LEAST_SHARE && share <= MOST_SHARE ? largest : null;
}

/** Where bench ends and metal begins: the level that parts the two best, on a logarithmic scale. */
function splitAt(far: Float32Array): number {
  const BINS = 128;
  const top = Math.log(1 + 60);
  const counts = new Array<number>(BINS).fill(0);
  for (const value of far) {
    const bin = Math.min(BINS - 1, Math.floor((Math.log(1 + Math.min(60, value)) / top) * BINS));
    counts[bin] = (counts[bin] ?? 0) + 1;
  }
  const total = far.length;
  const sum = counts.reduce((all, count, bin) => all + count * bin, 0);
  let [below, belowSum, best, bestBin] = [0, 0, -1, 0];
  counts.forEach((count, bin) => {
    below += count;
    belowSum += count * bin;
    if (below === 0 || below === total) return;
    const gap = belowSum / below - (sum - belowSum) / (total - below);
    const between = below * (total - below) * gap * gap;
    if (between > best) [best, bestBin] = [between, bin];
  });
  return Math.max(4, Math.exp(((bestBin + 1) / BINS) * top) - 1);
}

/** The hexagon drawn round a patch whose area is least, its opposite sides parallel. */
function hexagonRound(
  mask: Uint8Array,
  width: number,
  height: number,
): { corners: Spot[]; fill: number } | null {
  const edge: Spot[] = [];
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
  let best: { corners: Spot[]; fill: number } | null = null;
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

interface Side {
  readonly nx: number;
  readonly ny: number;
  readonly reach: number;
}

/** Where each side meets the next. */
function cornersOf(sides: readonly Side[]): Spot[] {
  return sides.map((side, i): Spot => {
    const next = sides[(i + 1) % sides.length] as Side;
    const det = side.nx * next.ny - side.ny * next.nx;
    return [
      (side.reach * next.ny - next.reach * side.ny) / det,
      (side.nx * next.reach - next.nx * side.reach) / det,
    ];
  });
}

/** Area of a polygon, px². */
export function polygonArea(corners: readonly Spot[]): number {
  const twice = corners.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = corners[(i + 1) % corners.length] as Spot;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(twice) / 2;
}

/** Mean distance between opposite sides, px. */
export const acrossFlatsPx = (outline: Outline): number =>
  flatsOf(outline).reduce((sum, own) => sum + own, 0) / 3;

/** A die closes evenly: the narrowest across flats is no less than this share of the widest. */
const LEAST_EVEN = 0.75;
const isEven = (outline: Outline) =>
  Math.min(...flatsOf(outline)) >= LEAST_EVEN * Math.max(...flatsOf(outline));

/** The three distances between opposite sides, px. */
function flatsOf(outline: Outline): number[] {
  const middle = (i: number): Spot => {
    const [a, b] = [outline[i % 6] as Spot, outline[(i + 1) % 6] as Spot];
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  };
  return [0, 1, 2].map((i) => {
    const [a, b] = [middle(i), middle(i + 3)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
  });
}

/** A step of colour smaller than this is no edge, of 255. */
const LEAST_STEP = 9;
const ALONG = 36;
/** Beside a side this many pixels are averaged, so that grain does not count. */
const BESIDE = 3;

/** Moves each side to where the picture really changes from bench to section, seen from outside. */
function refined(rough: Outline, picture: Picture, leastPx: number, share: number): Outline {
  const reach = Math.max(leastPx, share * acrossFlatsPx(rough));
  const sides = rough.map((from, i): Side => {
    const to = rough[(i + 1) % 6] as Spot;
    return edgeLine(from, to, picture, reach);
  });
  // Side i runs from corner i to corner i + 1: the corner before it is where the one before meets it.
  const corners = cornersOf(sides);
  return corners.map((_, i) => corners[(i + 5) % 6] as Spot) as unknown as Outline;
}

function edgeLine(from: Spot, to: Spot, picture: Picture, reach: number): Side {
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
  const spot = (along: number): Spot => [
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

/** From outside in, where the picture first stops looking like what lies outside, px along the normal. */
function crossing(
  picture: Picture,
  [x, y]: Spot,
  [nx, ny]: Spot,
  [dx, dy]: Spot,
  reach: number,
  beside = BESIDE,
): number | null {
  const outer = Math.ceil(0.6 * reach);
  const rows = profile(picture, [x, y], [nx, ny], [dx, dy], reach + outer, reach, beside);
  return rows && outermostStep(rows, outer, reach);
}

/** Colours along a normal from outside in, a pixel apart; null where it leaves the picture. */
function profile(
  picture: Picture,
  [x, y]: Spot,
  [nx, ny]: Spot,
  [dx, dy]: Spot,
  outwards: number,
  inwards: number,
  beside: number,
): Colour[] | null {
  const rows: Colour[] = [];
  for (let k = 0; k <= outwards + inwards; k += 1) {
    const out = outwards - k;
    const sum: Colour = [0, 0, 0];
    for (let s = -beside; s <= beside; s += 1) {
      const own = colourAt(picture, x + nx * out + dx * s, y + ny * out + dy * s);
      if (!own) return null;
      for (let c = 0; c < 3; c += 1) sum[c] = (sum[c] ?? 0) + (own[c] ?? 0) / (2 * beside + 1);
    }
    rows.push(sum);
  }
  return rows;
}

/** How wide the edge of a section is from bench to metal, px: the middle of several places on its sides. */
export function edgeWidthPx(outline: Outline, picture: Picture): number {
  const reach = Math.max(12, 0.06 * acrossFlatsPx(outline));
  const widths = outline.flatMap(([x, y], i) => {
    const to = outline[(i + 1) % 6] as Spot;
    const length = Math.hypot(to[0] - x, to[1] - y);
    const along: Spot = [(to[0] - x) / length, (to[1] - y) / length];
    return [0.3, 0.5, 0.7].flatMap((share) => {
      const at: Spot = [x + along[0] * length * share, y + along[1] * length * share];
      const rows = profile(picture, at, [along[1], -along[0]], along, reach, reach, 12);
      if (!rows) return [];
      const step = (a: Colour | undefined, b: Colour | undefined) =>
        a && b ? Math.hypot(...a.map((value, c) => value - (b[c] ?? 0))) : 0;
      const sharpest = Math.max(...rows.map((row, k) => step(rows[k - 1], row)));
      const whole = Math.max(...rows.map((row) => step(rows[0], row)));
      return sharpest > 0 ? [whole / sharpest] : [];
    });
  });
  return widths.sort((a, b) => a - b)[Math.floor(widths.length / 2)] ?? Number.POSITIVE_INFINITY;
}

type Colour = [number, number, number];

/** Half the stretch over which a step of colour is seen, px. */
const STEP_HALF = 2;
/** A step this small beside the largest is still the edge: a tinned rim on a light bench. */
const LEAST_OF_LARGEST = 0.3;

/** The first step of colour from outside that counts; a bench that slowly changes makes none. */
function outermostStep(rows: readonly Colour[], outer: number, reach: number): number | null {
  const steps = rows.map((_, k) => {
    const [before, after] = [rows[k - STEP_HALF], rows[k + STEP_HALF]];
    return before && after ? Math.hypot(...after.map((value, c) => value - (before[c] ?? 0))) : 0;
  });
  const largest = Math.max(...steps);
  const noise = Math.max(...steps.slice(0, outer));
  const limit = Math.max(LEAST_STEP, LEAST_OF_LARGEST * largest, 1.3 * noise);
  for (let k = outer; k + 1 < steps.length; k += 1) {
    const [before, own, after] = [steps[k - 1] ?? 0, steps[k] ?? 0, steps[k + 1] ?? 0];
    if (own < limit || own < before || own < after) continue;
    // The top of a parabola through three points.
    const bend = before - 2 * own + after;
    const between = bend === 0 ? 0 : (0.5 * (before - after)) / bend;
    return reach - (k - outer + between);
  }
  return null;
}

/** The colour between four pixels; null outside the picture. */
function colourAt({ width, height, data }: Picture, x: number, y: number): Colour | null {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) return null;
  const [u, v] = [x - left, y - top];
  const at = (top * width + left) * 4;
  const below = at + width * 4;
  const colour: Colour = [0, 0, 0];
  for (let c = 0; c < 3; c += 1) {
    const upper = (data[at + c] ?? 0) * (1 - u) + (data[at + 4 + c] ?? 0) * u;
    const lower = (data[below + c] ?? 0) * (1 - u) + (data[below + 4 + c] ?? 0) * u;
    colour[c] = upper * (1 - v) + lower * v;
  }
  return colour;
}
