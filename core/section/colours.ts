import type { Picture } from './picture.ts';
import type { Voids } from './voids.ts';

/** Copper in white or warm light, and a grey picture of it: its green is this share of its red at least, and at most. */
const GREEN = { least: 0.35, most: 1.15 };
/** And its blue. */
const BLUE = { least: 0.12, most: 1.15 };
/** Every so many pixels are looked at. */
const STRIDE = 7;

/** Whether what is inside the outline has the colours of copper, or is grey; a picture that lost a channel is neither. */
export function isCopper({ width, data }: Picture, { box, mask }: Voids): boolean {
  const sums = [0, 0, 0];
  for (let i = 0; i < mask.length; i += STRIDE) {
    // Air tells nothing of the colours, and outside there is bench.
    if ((mask[i] ?? 0) > 0) continue;
    const x = i % box.width;
    const y = (i - x) / box.width;
    // The middle half of the box is copper for certain.
    if (Math.abs(x / box.width - 0.5) > 0.25 || Math.abs(y / box.height - 0.5) > 0.25) continue;
    const at = ((y + box.top) * width + x + box.left) * 4;
    for (let c = 0; c < 3; c += 1) sums[c] = (sums[c] ?? 0) + (data[at + c] ?? 0);
  }
  const [red = 0, green = 0, blue = 0] = sums;
  const isWithin = (value: number, { least, most }: { least: number; most: number }) =>
    value >= least * red && value <= most * red;
  return red > 0 && isWithin(green, GREEN) && isWithin(blue, BLUE);
}
