import type { Picture } from './picture.ts';

/** A picture out of focus: each pixel the weighed mean of those about it, in a normal distribution of so many pixels. */
export function blurred({ width, height, data }: Picture, sigmaPx: number): Picture {
  const reach = Math.ceil(3 * sigmaPx);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigmaPx ** 2)),
  );
  const whole = bell.reduce((sum, weight) => sum + weight, 0);
  const kernel = Float64Array.from(bell, (weight) => weight / whole);
  const row = 4 * width;
  // Beyond its edges the picture goes on as it is there.
  const down = (from: Float32Array) =>
    weighed(height, row, kernel, (k, y) => ({
      from,
      first: row * Math.max(0, Math.min(height - 1, y + k - reach)),
    }));
  const padded = new Float32Array(row + 8 * reach);
  const across = (from: Float32Array) =>
    weighed(height, row, kernel, (k, y) => {
      if (k === 0)
        for (let i = 0; i < padded.length; i += 1) {
          const x = Math.max(0, Math.min(width - 1, Math.floor(i / 4) - reach));
          padded[i] = from[y * row + 4 * x + (i % 4)] ?? 0;
        }
      return { from: padded, first: 4 * k };
    });
  return { width, height, data: Uint8ClampedArray.from(down(across(Float32Array.from(data)))) };
}

/** Rows, each the sum of as many others as the kernel has weights. */
function weighed(
  rows: number,
  length: number,
  kernel: Float64Array,
  rowOf: (k: number, y: number) => { readonly from: Float32Array; readonly first: number },
): Float32Array {
  const to = new Float32Array(rows * length);
  const sums = new Float64Array(length);
  for (let y = 0; y < rows; y += 1) {
    sums.fill(0);
    for (const [k, weight] of kernel.entries()) {
      const { from, first } = rowOf(k, y);
      for (let i = 0; i < length; i += 1) sums[i] = (sums[i] ?? 0) + weight * (from[first + i] ?? 0);
    }
    to.set(sums, y * length);
  }
  return to;
}
