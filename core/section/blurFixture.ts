import type { Picture } from './picture.ts';

/** A picture out of focus: each pixel the weighed mean of those about it, in a normal distribution of so many pixels. */
export function blurred({ width, height, data }: Picture, sigmaPx: number): Picture {
  const reach = Math.ceil(3 * sigmaPx);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigmaPx ** 2)),
  );
  const whole = bell.reduce((sum, weight) => sum + weight, 0);
  const kernel = Float64Array.from(bell, (weight) => weight / whole);
  const along = (from: Float32Array, step: number, length: number) => {
    const to = new Float32Array(data.length);
    for (let i = 0; i < data.length; i += 1) {
      const place = Math.floor(i / step) % length;
      const first = i - place * step;
      const last = i + (length - 1 - place) * step;
      let sum = 0;
      let other = i - reach * step;
      for (let k = 0; k <= 2 * reach; k += 1) {
        sum += (kernel[k] ?? 0) * (from[other < first ? first : other > last ? last : other] ?? 0);
        other += step;
      }
      to[i] = sum;
    }
    return to;
  };
  return {
    width,
    height,
    data: Uint8ClampedArray.from(along(along(Float32Array.from(data), 4, width), 4 * width, height)),
  };
}
