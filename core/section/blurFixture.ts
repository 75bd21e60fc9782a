import type { Picture } from './picture.ts';

/** A picture out of focus: each pixel the weighed mean of those about it, in a normal distribution of so many pixels. */
export function blurred({ width, height, data }: Picture, sigmaPx: number): Picture {
  const reach = Math.ceil(3 * sigmaPx);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigmaPx ** 2)),
  );
  const whole = kernel.reduce((sum, own) => sum + own, 0);
  const along = (from: Float32Array | Picture['data'], step: number, length: number) => {
    const to = new Float32Array(data.length);
    for (let i = 0; i < data.length; i += 1) {
      const place = Math.floor(i / step) % length;
      let sum = 0;
      for (let k = -reach; k <= reach; k += 1) {
        const other = Math.min(length - 1, Math.max(0, place + k));
        sum += ((kernel[k + reach] ?? 0) / whole) * (from[i + (other - place) * step] ?? 0);
      }
      to[i] = sum;
    }
    return to;
  };
  return { width, height, data: Uint8ClampedArray.from(along(along(data, 4, width), 4 * width, height)) };
}
