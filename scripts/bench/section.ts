import { readFileSync } from 'node:fs';
import { measureSection } from '../../core/section/measure.ts';
import type { Picture } from '../../core/section/picture.ts';
import { decodePicture } from '../decodePicture.ts';
import { timed } from './timed.ts';

/** Side of the picture, px: 12 megapixels in all. */
const WIDE = 4000;
const HIGH = 3000;

/** A picture drawn larger, each pixel several times. */
function enlarged(from: Picture): Picture {
  const data = new Uint8ClampedArray(WIDE * HIGH * 4);
  for (let y = 0; y < HIGH; y += 1) {
    const row = Math.floor((y * from.height) / HIGH) * from.width;
    for (let x = 0; x < WIDE; x += 1) {
      const at = (row + Math.floor((x * from.width) / WIDE)) * 4;
      data.set(from.data.subarray(at, at + 4), (y * WIDE + x) * 4);
    }
  }
  return { width: WIDE, height: HIGH, data };
}

/** A bare pass that only reads every pixel once: what any measurement has to do at least. */
function readAll({ data }: Picture): number {
  let sum = 0;
  for (let i = 0; i < data.length; i += 4) sum += (data[i] ?? 0) + (data[i + 1] ?? 0) + (data[i + 2] ?? 0);
  return sum;
}

/** What measuring a 12-megapixel photograph of a sawn crimp costs. */
export function benchSection(): void {
  const small = decodePicture(readFileSync('demo/sections/section-06.jpg'));
  if (!small) throw new Error('the demo has this picture');
  const picture = enlarged(small);
  let total = 0;
  const bare = timed(() => {
    total += readAll(picture);
  });
  const before = process.memoryUsage().rss;
  let share = Number.NaN;
  const whole = timed(() => {
    const measured = measureSection(picture);
    share = measured.ok ? measured.section.voidShare : Number.NaN;
  });
  const memory = process.memoryUsage().rss - before;
  const megapixels = (WIDE * HIGH) / 1e6;
  console.log(
    `section picture of ${megapixels} megapixels: ${(whole / 1000).toFixed(2)} s, ${((1000 * megapixels) / whole).toFixed(1)} megapixels a second, ${(whole / bare).toFixed(1)} × a bare pass`,
  );
  console.log(
    `  air ${(100 * share).toFixed(2)} %, ${Math.max(0, memory / 1e6).toFixed(0)} MB beside its ${(picture.data.length / 1e6).toFixed(0)} MB of pixels${total === 0 ? ', all black' : ''}`,
  );
}
