import { residuals } from './background.ts';
import { type Component, connectedComponents, dilated } from './connectedComponents.ts';
import type { Downsampled } from './picture.ts';

/** A section must fill this share of the picture, and at most that. */
const LEAST_SHARE = 0.03;
const MOST_SHARE = 0.85;

/** The largest patch that is not bench. */
export function metalOf(small: Downsampled): Component | null {
  const far = residuals(small);
  if (!far) return null;
  const limit = splitAt(far);
  const { width, height } = small;
  const strange = Uint8Array.from(far, (value) => (value > limit ? 1 : 0));
  // Specks of bench go, cracks of metal close.
  const opened = dilated(dilated(strange, width, height, 1, true), width, height, 1);
  const closed = dilated(dilated(opened, width, height, 2), width, height, 2, true);
  const [largest] = connectedComponents(closed, width, height);
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
