import type { Downsampled } from './picture.ts';

/** How far each pixel is from what the bench would look like there, in the bench's own spread. */
export type Residuals = Float32Array;

/** A plane curved once each way: 1, x, y, x², xy, y². */
const TERMS = 6;
const ROUNDS = 4;
/** What is further than this from the bench, in its spread, is not counted as bench. */
const STRANGE = 3;
/** The border that is bench at first, as a share of the shorter side. */
const BORDER_SHARE = 0.06;
/** A bench is never taken for smoother than this: logarithms of colour, and of brightness. */
const LEAST_SPREAD = [0.012, 0.012, 0.05] as const;

/**
 * Learns the bench from the border of the picture inwards: colour and brightness as curved planes, so that light from
 * one side and a lens that darkens its corners are bench too.
 *
 * @returns null where so much is strange that there is no bench to be seen
 */
export function residuals(small: Downsampled): Residuals | null {
  const { width, height } = small;
  const count = width * height;
  const features = featuresOf(small);
  const border = Math.max(2, Math.round(BORDER_SHARE * Math.min(width, height)));
  const isBench = new Uint8Array(count);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const inside = x >= border && y >= border && x < width - border && y < height - border;
      isBench[y * width + x] = inside ? 0 : 1;
    }
  }
  const far = new Float32Array(count);
  for (let round = 0; round < ROUNDS; round += 1) {
    far.fill(0);
    for (const [f, plane] of features.entries()) {
      const fit = fitPlane(plane, isBench, width, height);
      if (!fit) return null;
      const spread = Math.max(LEAST_SPREAD[f] ?? 0, fit.spread);
      fit.off.forEach((own, i) => {
        const off = own / spread;
        far[i] = (far[i] ?? 0) + off * off;
      });
    }
    for (let i = 0; i < count; i += 1) {
      far[i] = Math.sqrt(far[i] ?? 0);
      isBench[i] = (far[i] ?? 0) < STRANGE ? 1 : 0;
    }
  }
  return far;
}

/** Two ratios of colour, and brightness, as logarithms: light and shade then move brightness alone. */
function featuresOf({ red, green, blue }: Downsampled): Float32Array[] {
  const log = (plane: Float32Array, i: number) => Math.log((plane[i] ?? 0) + 12);
  const [warm, cold, bright] = [
    new Float32Array(red.length),
    new Float32Array(red.length),
    new Float32Array(red.length),
  ];
  for (let i = 0; i < red.length; i += 1) {
    const [r, g, b] = [log(red, i), log(green, i), log(blue, i)];
    warm[i] = r - g;
    cold[i] = g - b;
    bright[i] = (r + g + b) / 3;
  }
  return [warm, cold, bright];
}

type Terms = readonly [number, number, number, number, number, number];

/** Places along a side, from −1 to 1. */
const places = (length: number) => Float64Array.from({ length }, (_, k) => (2 * k) / length - 1);

/** How far each pixel is from the curved plane, in what the plane is of. */
function offPlane(
  plane: Float32Array,
  [one, x, y, xx, xy, yy]: Terms,
  us: Float64Array,
  vs: Float64Array,
): Float64Array {
  const off = new Float64Array(plane.length);
  let i = 0;
  for (const v of vs)
    for (let k = 0; k < us.length; k += 1, i += 1) {
      const u = us[k] ?? 0;
      off[i] = (plane[i] ?? 0) - (one + u * (x + xx * u + xy * v) + v * (y + yy * v));
    }
  return off;
}

/** A third of the pixels tell a plane as well as all of them. */
const EVERY = 3;

/** Least squares over what is bench; the spread is that of the middle half, so a few strangers do not count. */
function fitPlane(
  plane: Float32Array,
  isBench: Uint8Array,
  width: number,
  height: number,
): { off: Float64Array; spread: number } | null {
  const [us, vs] = [places(width), places(height)];
  const normal = new Float64Array(TERMS * (TERMS + 1));
  const fitted = new Float64Array(TERMS + 1);
  let used = 0;
  for (let i = 0; i < plane.length; i += EVERY) {
    if (isBench[i] === 0) continue;
    used += 1;
    const column = i % width;
    const u = us[column] ?? 0;
    const v = vs[(i - column) / width] ?? 0;
    fitted[0] = 1;
    fitted[1] = u;
    fitted[2] = v;
    fitted[3] = u * u;
    fitted[4] = u * v;
    fitted[5] = v * v;
    fitted[TERMS] = plane[i] ?? 0;
    for (let a = 0; a < TERMS; a += 1) {
      const share = fitted[a] ?? 0;
      const row = a * (TERMS + 1);
      for (let b = a; b <= TERMS; b += 1) normal[row + b] = (normal[row + b] ?? 0) + share * (fitted[b] ?? 0);
    }
  }
  const rows = Array.from({ length: TERMS }, (_, a) =>
    Array.from({ length: TERMS + 1 }, (_unused, b) =>
      b >= a ? (normal[a * (TERMS + 1) + b] ?? 0) : (normal[b * (TERMS + 1) + a] ?? 0),
    ),
  );
  const terms = used > 20 * TERMS ? (solve(rows) as unknown as Terms | null) : null;
  if (!terms) return null;
  const off = offPlane(plane, terms, us, vs);
  const ofBench = new Float32Array(used);
  let n = 0;
  for (let i = 0; i < plane.length; i += EVERY) {
    if (isBench[i] === 0) continue;
    ofBench[n] = Math.abs(off[i] ?? 0);
    n += 1;
  }
  ofBench.sort();
  // Half of a bell curve lies within 0.6745 of its spread.
  return { off, spread: (ofBench[Math.floor(ofBench.length / 2)] ?? 0) / 0.6745 };
}

/** Solves a small system by elimination with the largest pivot; null where it has no one answer. */
function solve(rows: number[][]): number[] | null {
  const n = rows.length;
  const matrix = rows.map((row) => [...row]);
  for (let i = 0; i < n; i += 1) {
    const best = matrix
      .slice(i)
      .reduce((top, row, k) => (Math.abs(row[i] ?? 0) > Math.abs(matrix[top]?.[i] ?? 0) ? i + k : top), i);
    [matrix[i], matrix[best]] = [matrix[best] as number[], matrix[i] as number[]];
    const pivot = matrix[i]?.[i] ?? 0;
    if (Math.abs(pivot) < 1e-12) return null;
    for (let k = 0; k < n; k += 1) {
      if (k === i) continue;
      const row = matrix[k] as number[];
      const factor = (row[i] ?? 0) / pivot;
      for (let j = i; j <= n; j += 1) row[j] = (row[j] ?? 0) - factor * (matrix[i]?.[j] ?? 0);
    }
  }
  return matrix.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}
