// npm run bench: what sizing costs, as ratios within one run. Single times on a shared machine mean little.
import { genericShop } from '../core/catalogue/genericShop.ts';
import type { Cable } from '../core/job/cable.ts';
import { newCable } from '../core/job/newCable.ts';
import { surroundingsOf, thermalCable } from '../core/sizing/assess.ts';
import { steadyTemperature } from '../core/sizing/heatBalance.ts';
import { workUp } from '../core/workup.ts';

const shop = genericShop();

/** Cables that differ in load and length, so that none repeats another. */
function cables(count: number): Cable[] {
  return Array.from({ length: count }, (_, i) => {
    const cable = newCable(`c${i}`, `C-${i}`, shop);
    return {
      ...cable,
      run: {
        ...cable.run,
        load: { kind: 'amps', amps: 20 + ((i * 37) % 230) },
        lengthMm: 600 + ((i * 113) % 5000),
      },
    };
  });
}

function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

const median = (numbers: number[]) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? 0;
const timed = (work: () => void) => median(Array.from({ length: 5 }, () => milliseconds(work)));

const job = (count: number) => ({ id: 'bench', title: 'bench', subtitle: '', cables: cables(count) });
const [kind] = shop.cableKinds;
if (!kind) throw new Error('the generic shop has no cable');

/** The heat balance alone, once for each size of each cable: the least any sizing has to do. */
function rootsOnly(list: readonly Cable[]): void {
  for (const { run } of list) {
    const amps = run.load.kind === 'amps' ? run.load.amps : 0;
    for (const size of kind?.sizes ?? []) {
      if (kind) steadyTemperature(thermalCable(kind, size), surroundingsOf(run), amps);
    }
  }
}

workUp(job(20), shop);
const counts = [20, 100, 200];
const each = counts.map((count) => {
  const subject = job(count);
  return timed(() => workUp(subject, shop)) / count;
});
const roots = timed(() => rootsOnly(cables(100))) / 100;
const [first = 1] = each;
counts.forEach((count, i) => {
  const own = each[i] ?? 0;
  console.log(
    `${count} cables: ${own.toFixed(2)} ms a cable, ${(own / first).toFixed(2)} × that of ${counts[0]}`,
  );
});
console.log(`whole work-up against the heat-balance roots alone: ${((each[1] ?? 0) / roots).toFixed(1)} ×`);
