import type { Seen } from './voids.ts';

/** As bright as this against the copper round it is copper, as dark as that is air: an edge runs from one to the other. */
const COPPER_FROM = 0.85;
const AIR_UNDER = 0.35;
/** A normal edge takes so many standard deviations of its blur between the two, and so many for the whole of its step. */
const BETWEEN_SIGMAS = 1.64;
const WHOLE_SIGMAS = Math.sqrt(2 * Math.PI);
/** Of the edges this share is sharper than what is taken for them: many are shaded, not soft. */
const SHARPER_SHARE = 1 / 8;
/** Where all is brighter than this there is copper alone. */
const ALL_COPPER = 0.55;
/** With more grain than this, edges are looked for in a picture half as large, down to so many pixels. */
const MOST_GRAIN = 0.05;
const LEAST_SIDE_PX = 100;
/** With fewer edges than this no sharpness is given. */
const LEAST_EDGES = 30;
/** Widths are counted in steps of a tenth of a pixel, up to so many pixels. */
const STEPS_PER_PX = 10;
const WIDEST_PX = 60;

/**
 * How wide the edges of air are inside a section, px: of those that run from copper to dark air along rows and
 * columns, the sharper ones. Infinite where there are too few: what is not seen whole is taken for soft.
 *
 * @example innerEdgePx(seen) // 2 in focus; 2.5 standard deviations of blur out of it
 */
export function innerEdgePx({ relative, voids: { box } }: Pick<Seen, 'relative' | 'voids'>): number {
  let plane: Plane = { values: relative, width: box.width, height: box.height };
  let scale = 1;
  for (; grainOf(plane) > MOST_GRAIN && Math.min(plane.width, plane.height) > LEAST_SIDE_PX; scale *= 2)
    plane = halved(plane);
  const { values, width, height } = plane;
  const widths = new Uint32Array(STEPS_PER_PX * WIDEST_PX);
  for (let y = 0; y < height; y += 1) crossings(values, y * width, 1, width, widths);
  for (let x = 0; x < width; x += 1) crossings(values, x, width, height, widths);
  const count = widths.reduce((sum, own) => sum + own, 0);
  if (count < LEAST_EDGES) return Number.POSITIVE_INFINITY;
  let passed = 0;
  const sharp = widths.findIndex((own) => (passed += own) >= SHARPER_SHARE * count);
  return ((scale * (sharp + 0.5)) / STEPS_PER_PX) * (WHOLE_SIGMAS / BETWEEN_SIGMAS);
}

/** How bright each pixel is against copper, rows from the top; 0 where nothing is known. */
interface Plane {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
}

/** Standard deviation of the grain of copper, as a share of its brightness. Source: Immerkær’s estimate. */
function grainOf({ values, width, height }: Plane): number {
  let [sum, count] = [0, 0];
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1; x < width - 1; x += 1) {
      const i = y * width + x;
      const e = values[i] ?? 0;
      if (e < ALL_COPPER) continue;
      const a = values[i - width - 1] ?? 0;
      const b = values[i - width] ?? 0;
      const c = values[i - width + 1] ?? 0;
      const d = values[i - 1] ?? 0;
      const f = values[i + 1] ?? 0;
      const g = values[i + width - 1] ?? 0;
      const h = values[i + width] ?? 0;
      const k = values[i + width + 1] ?? 0;
      if (Math.min(a, b, c, d, f, g, h, k) < ALL_COPPER) continue;
      sum += Math.abs(a - 2 * b + c - 2 * d + 4 * e - 2 * f + g - 2 * h + k);
      count += 1;
    }
  }
  return count > 0 ? (Math.sqrt(Math.PI / 2) * sum) / (6 * count) : 0;
}

/** A plane half as large each way; a pixel of it is known where all four of its own are. */
function halved({ values, width, height }: Plane): Plane {
  const [w, h] = [Math.floor(width / 2), Math.floor(height / 2)];
  const to = new Float32Array(w * h);
  for (let y = 0; y < h; y += 1) {
    for (let x = 0; x < w; x += 1) {
      const i = 2 * y * width + 2 * x;
      const four = [values[i] ?? 0, values[i + 1] ?? 0, values[i + width] ?? 0, values[i + width + 1] ?? 0];
      to[y * w + x] = Math.min(...four) > 0 ? four.reduce((sum, value) => sum + value, 0) / 4 : 0;
    }
  }
  return { values: to, width: w, height: h };
}

/** Where a level is reached between the pixel before `k` and `k`, px along the line. */
const reaches = (level: number, k: number, before: number, value: number) =>
  k - 1 + (level - before) / (value - before);

/** Counts the widths of the edges along a row or a column: from where copper ends to where air begins, or back. */
function crossings(
  values: Float32Array,
  start: number,
  step: number,
  length: number,
  widths: Uint32Array,
): void {
  let [copperAt, airAt] = [-1, -1];
  const add = (from: number, to: number) => {
    const width = Math.round((to - from) * STEPS_PER_PX);
    if (width >= 0 && width < widths.length) widths[width] = (widths[width] ?? 0) + 1;
  };
  for (let k = 1; k < length; k += 1) {
    const before = values[start + (k - 1) * step] ?? 0;
    const value = values[start + k * step] ?? 0;
    if (value <= 0 || before <= 0) {
      copperAt = -1;
      airAt = -1;
      continue;
    }
    if (before >= COPPER_FROM && value < COPPER_FROM) copperAt = reaches(COPPER_FROM, k, before, value);
    if (before <= AIR_UNDER && value > AIR_UNDER) airAt = reaches(AIR_UNDER, k, before, value);
    if (before > AIR_UNDER && value <= AIR_UNDER && copperAt >= 0) {
      add(copperAt, reaches(AIR_UNDER, k, before, value));
      copperAt = -1;
    }
    if (before < COPPER_FROM && value >= COPPER_FROM && airAt >= 0) {
      add(airAt, reaches(COPPER_FROM, k, before, value));
      airAt = -1;
    }
  }
}
