// What sizing costs, as ratios within one run. Single times on a shared machine mean little.
import { genericShop } from '../core/model/catalogue/genericShop.ts';
import type { Cable } from '../core/model/cable.ts';
import type { Die, Lug } from '../core/model/shop.ts';
import { newCable } from '../core/model/newCable.ts';
import { surroundingsOf, thermalCable } from '../core/sizing/loop.ts';
import { chooseSize } from '../core/sizing/choose.ts';
import { dutyCycle } from '../core/sizing/dutyCycle.ts';
import { steadyTemperature } from '../core/sizing/heatBalance.ts';
import { dieMap } from '../core/termination/dies/dieMap.ts';
import { openCase } from '../core/termination/dies/toolCase.ts';
import { ask, layOut, size, STAGE_FINDINGS, stepsOf, terminate } from '../core/stages.ts';
import { workedOut, workUpCable } from '../core/workup.ts';
import { timed, timesAs } from './bench/timed.ts';

const shop = genericShop();
const { practice } = shop;
const [kind] = shop.cableKinds;
const thick = kind?.sizes.at(-3);
if (!kind || !thick) throw new Error('the generic shop has no cable');

/** Cables that differ in load and length, so that none repeats another. */
function cables(count: number): Cable[] {
  return Array.from({ length: count }, (_, i) => {
    const cable = newCable(`c${i}`, `C-${i}`, shop);
    const load = { kind: 'amps' as const, amps: 20 + ((i * 37) % 230) };
    return { ...cable, run: { ...cable.run, load, lengthMm: 600 + ((i * 113) % 5000) } };
  });
}

const ampsOf = ({ run }: Cable) => (run.load.kind === 'amps' ? run.load.amps : 0);

/** What a choice says of its methods is worked out when it is read. */
const sizing = (list: readonly Cable[]) => () =>
  list.map((cable) => chooseSize(cable, kind, practice).schools);
/** The heat balance alone, once for each size of each cable: the least that any sizing has to do. */
const roots = (list: readonly Cable[]) => () =>
  list.forEach((cable) => {
    const around = surroundingsOf(cable.run);
    kind.sizes.forEach((own) => steadyTemperature(thermalCable(kind, own), around, ampsOf(cable)));
  });

const counts = [50, 500, 5000];
const [smallest = 1, ...larger] = counts.map(
  (count) => timed(sizing(cables(count)), count > 1000 ? 3 : 5) / count,
);
const some = cables(500);
const rootsEach = timed(roots(some)) / some.length;
console.log(`sizing, all sizes and schools: ${smallest.toFixed(3)} ms a cable in a job of ${counts[0]}`);
larger.forEach((each, i) =>
  console.log(`  in a job of ${counts[i + 1]}: ${(each / smallest).toFixed(2)} × that a cable`),
);
console.log(`  against the heat-balance roots alone: ${((larger[0] ?? 0) / rootsEach).toFixed(1)} ×`);

const few = cables(100);
const whole = timesAs(
  // Each time again: a cable that was worked up is remembered.
  () => few.forEach((cable) => workedOut(workUpCable({ ...cable }, shop))),
  sizing(few),
);
console.log(
  `whole work-up of a cable, ends, steps and proof too: ${whole.toFixed(1)} × its sizing (at most 8)`,
);

/** What each stage costs by itself, as a share of them all. */
const asked = few.map((cable) => ask(cable, shop, {}));
const sized = asked.map(size);
const ended = sized.map(terminate);
const laid = ended.map(layOut);
const stages: Readonly<Record<string, () => unknown>> = {
  ask: () => few.map((cable) => ask(cable, shop, {})),
  size: () => asked.map(size),
  terminate: () => sized.map(terminate),
  'lay out': () => ended.map(layOut),
  steps: () => laid.map(stepsOf),
  ...Object.fromEntries(
    Object.entries(STAGE_FINDINGS).map(([stage, findingsOf]) => [
      `what ${stage} finds`,
      () => laid.map((own) => findingsOf(own)),
    ]),
  ),
};
const costs = Object.entries(stages).map(([title, run]) => ({ title, ms: timed(() => void run()) }));
const allStages = costs.reduce((sum, { ms }) => sum + ms, 0);
console.log(
  `  of which ${costs.map(({ title, ms }) => `${title} ${((100 * ms) / allStages).toFixed(0)} %`).join(', ')}`,
);

/** A duty of many steps, settled: what the worker does for one size. */
const duty = (steps: number) => ({
  steps: Array.from({ length: steps }, (_, i) => ({ amps: 40 + ((i * 53) % 220), seconds: 20 })),
  repeats: true,
  dropPercent: 10,
});
const around = { ambientC: 30, sunWPerM2: 0 };
const start = { conductorC: 30, currentA: 0 };
const settle = (steps: number) =>
  timed(() => dutyCycle(thermalCable(kind, thick), around, duty(steps), start, 90, 1));
const [ten, hundred] = [settle(10), settle(100)];
console.log(`a duty of 100 steps against one of 10: ${(hundred / ten).toFixed(1)} ×`);

/** Four hundred measured lugs against sixty dies: what is redrawn while one dimension is edited. */
const tubes = shop.lugs.filter(({ form }) => form === 'tube');
const measured = (): Lug[] =>
  Array.from({ length: 400 }, (_, i) => {
    const lug = tubes[i % tubes.length];
    if (!lug) throw new Error('the generic shop has no lug');
    return { ...lug, id: `m${i}`, boreMm: lug.boreMm + i * 0.0005, measured: true };
  });
const dies: Die[] = Array.from({ length: 60 }, (_, i) => ({
  id: `d${i}`,
  toolId: shop.tools[0]?.id ?? '',
  stamp: i % 2 === 0 ? '70' : 'K16',
  acrossFlatsMm: 5 + i * 0.25,
  widthMm: 7,
}));
const mapOf = (lugs: Lug[], own = dies) => dieMap(openCase({ ...shop, lugs, dies: own }), practice);
const cells = 400 * 60;
const opened = timed(() => mapOf(measured()), 9);
const kept = measured();
let flats = 6.7;
const edited = timed(() => {
  flats += 0.01;
  mapOf(
    kept,
    dies.map((die, i) => (i === 7 ? { ...die, acrossFlatsMm: flats } : die)),
  );
}, 15);
const FRAME_MS = 16.7;
console.log(
  `the map of 400 lugs and 60 dies, opened: ${((opened / cells) * 1e6).toFixed(0)} ns a cell, one cell ${(opened / cells / (rootsEach / kind.sizes.length)).toFixed(4)} of one heat-balance root; while a dimension is edited: ${((edited / cells) * 1e6).toFixed(0)} ns a cell, ${(edited / FRAME_MS).toFixed(2)} of a frame`,
);
