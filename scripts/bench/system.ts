import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import { newCable } from '../../core/model/newCable.ts';
import type { Job } from '../../core/model/job.ts';
import { emptyJob } from '../../core/model/newCable.ts';
import { everythingOn, type Place } from '../../core/model/system.ts';
import type { PostName } from '../../core/model/tables/places.ts';
import { SYSTEM_INPUTS } from '../../core/model/run.ts';
import { diagramOf } from '../../core/system/diagram.ts';
import { installationOf } from '../../core/system/installation.ts';
import { solveSystem } from '../../core/system/solve.ts';
import { systemWork } from '../../core/systemWork.ts';
import { timed } from './timed.ts';

const shop = genericShop();
const METRIC = ['16', '25', '35', '50', '70'] as const;

/** A bank, bars along it, and branches of a fuse and a load on each, out and back: at most so many cables. */
export function installation(count: number): Job {
  const places: Place[] = [
    {
      id: 'bank',
      name: 'Bank',
      kind: 'battery',
      nominalV: 24,
      restV: 25.6,
      source: { kind: 'typed', milliohm: 2 },
    },
    { id: 'f0', name: 'Fuse F0', kind: 'fuse', fuse: 'class-t', ratingA: 400 },
  ];
  const cables: Job['cables'] = [];
  const cable = (from: [string, PostName], to: [string, PostName], lengthMm: number) => {
    const i = cables.length;
    const fresh = newCable(`c${i}`, `C-${i}`, shop);
    cables.push({
      ...fresh,
      gauge: { ...fresh.gauge, size: { system: 'metric', name: METRIC[i % METRIC.length] ?? '35' } },
      run: { ...fresh.run, lengthMm, return: { kind: 'none' }, fromSystem: [...SYSTEM_INPUTS] },
      ends: {
        A: { at: from[0], on: { place: from[0], post: from[1] }, stud: 'M8' },
        B: { at: to[0], on: { place: to[0], post: to[1] }, stud: 'M8' },
      },
    });
  };
  const bar = (id: string): void =>
    void places.push({ id, name: id, kind: 'bar', ratingA: 500, stud: 'M10' });
  bar('p0');
  bar('n0');
  cable(['bank', 'plus'], ['f0', 'line'], 150);
  cable(['f0', 'load'], ['p0', 'post'], 400);
  cable(['n0', 'post'], ['bank', 'minus'], 400);
  for (let i = 0; cables.length + 3 <= count; i += 1) {
    const on = Math.floor(i / 8);
    if (i > 0 && i % 8 === 0) {
      bar(`p${on}`);
      bar(`n${on}`);
      cable([`p${on - 1}`, 'post'], [`p${on}`, 'post'], 600);
      cable([`n${on}`, 'post'], [`n${on - 1}`, 'post'], 600);
    }
    places.push({ id: `f${i + 1}`, name: `Fuse F${i + 1}`, kind: 'fuse', fuse: 'link', ratingA: 60 });
    const draws =
      i % 3 === 0
        ? ({ kind: 'watts', watts: 40, efficiencyPercent: 90 } as const)
        : ({ kind: 'amps', amps: 2 } as const);
    places.push({ id: `l${i}`, name: `Load ${i}`, kind: 'load', look: 'other', draws, dropPercent: 3 });
    cable([`p${on}`, 'post'], [`f${i + 1}`, 'line'], 150);
    cable([`f${i + 1}`, 'load'], [`l${i}`, 'plus'], 1500 + 100 * (i % 20));
    cable([`l${i}`, 'minus'], [`n${on}`, 'post'], 1500 + 100 * (i % 20));
  }
  const light = Object.fromEntries(
    places.filter(({ kind }) => kind === 'load').map(({ id }) => [id, 4000 / count]),
  );
  return {
    ...emptyJob('bench', 'Bench'),
    cables,
    system: { places, bonds: [], states: [{ ...everythingOn('on', 'On'), loads: light }] },
  };
}

/** What one state of an installation costs, against one bare dense solve of the same order, and as it grows. */
export function benchSystem(): void {
  const of = [60, 500, 2000].map((count) => {
    const job = installation(count);
    const own = installationOf(job, shop);
    const order = own.posts.length;
    const rounds = count > 1000 ? 1 : 3;
    const state = timed(() => solveSystem(own), rounds);
    const matrix = Matrix.eye(order, order).mul(4);
    for (let i = 1; i < order; i += 1) {
      matrix.set(i, i - 1, -1);
      matrix.set(i - 1, i, -1);
    }
    const ones = Matrix.ones(order, 1);
    const dense = timed(() => new CholeskyDecomposition(matrix).solve(ones), rounds);
    return { count: job.cables.length, order, state, dense, job };
  });
  const [first] = of;
  for (const { count, order, state, dense } of of)
    console.log(
      `system of ${count} cables: a state ${state.toFixed(1)} ms, ${(state / dense).toFixed(2)} × one bare dense solve of order ${order}${first && count !== first.count ? `, ${(state / first.state / (count / first.count)).toFixed(2)} × as much a cable as one of ${first.count}` : ''}`,
    );
  for (const { count, state, job } of of.slice(0, 2)) {
    const whole = timed(() => systemWork({ ...job }, shop), 3);
    const { view } = systemWork(job, shop);
    const diagram = timed(() => diagramOf(view), 3);
    console.log(
      `  all of it for ${count} cables: ${whole.toFixed(0)} ms, ${(whole / state).toFixed(1)} × the state alone; its diagram before the layout ${diagram.toFixed(1)} ms`,
    );
  }
}
