import { acrossFlatsPx, type Outline } from './hexagon.ts';
import type { Picture, Point } from './picture.ts';

type Colour = [number, number, number];

/** A step of colour smaller than this is no edge, of 255. */
const LEAST_STEP = 9;
/** Beside a side this many pixels are averaged, so that grain does not count. */
const BESIDE = 3;

/** From outside in, where the picture first stops looking like what lies outside, px along the normal. */
export function crossing(
  picture: Picture,
  [x, y]: Point,
  [nx, ny]: Point,
  [dx, dy]: Point,
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
  [x, y]: Point,
  [nx, ny]: Point,
  [dx, dy]: Point,
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

/** So much of a profile from outside in lies on the bench for certain. */
const BENCH_SHARE = 0.3;

/** How wide the edge of a section is from bench to metal, px: the middle of several places on its sides. */
export function edgeWidthPx(outline: Outline, picture: Picture): number {
  const across = acrossFlatsPx(outline);
  const reach = Math.max(12, 0.06 * across);
  // Over a stretch of the side, so that grain is not taken for sharpness.
  const beside = Math.round(Math.max(8, 0.08 * across));
  const widths = outline.flatMap(([x, y], i) => {
    const to = outline[(i + 1) % 6] as Point;
    const length = Math.hypot(to[0] - x, to[1] - y);
    const along: Point = [(to[0] - x) / length, (to[1] - y) / length];
    return [0.3, 0.5, 0.7].flatMap((share) => {
      const at: Point = [x + along[0] * length * share, y + along[1] * length * share];
      const rows = profile(picture, at, [along[1], -along[0]], along, reach, reach, beside);
      if (!rows) return [];
      const step = (a: Colour | undefined, b: Colour | undefined) =>
        a && b ? Math.hypot(...a.map((value, c) => value - (b[c] ?? 0))) : 0;
      const steps = rows.map((row, k) => step(rows[k - 1], row));
      // On the bench before the edge there is grain alone.
      const grain = Math.max(...steps.slice(0, Math.round(BENCH_SHARE * steps.length)));
      const sharpest = Math.sqrt(Math.max(0, Math.max(...steps) ** 2 - grain ** 2));
      const whole = Math.max(...rows.map((row) => step(rows[0], row)));
      return [sharpest > 0 ? whole / sharpest : Number.POSITIVE_INFINITY];
    });
  });
  return widths.sort((a, b) => a - b)[Math.floor(widths.length / 2)] ?? Number.POSITIVE_INFINITY;
}

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
  const index = (top * width + left) * 4;
  const below = index + width * 4;
  const colour: Colour = [0, 0, 0];
  for (let c = 0; c < 3; c += 1) {
    const upper = (data[index + c] ?? 0) * (1 - u) + (data[index + 4 + c] ?? 0) * u;
    const lower = (data[below + c] ?? 0) * (1 - u) + (data[below + 4 + c] ?? 0) * u;
    colour[c] = upper * (1 - v) + lower * v;
  }
  return colour;
}
