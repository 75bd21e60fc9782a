import type { Fed } from './sizing/loop.ts';
import type { FollowDuty } from './sizing/assess.ts';
import type { Cable } from './model/cable.ts';
import { sameDesign } from './model/design.ts';
import type { Job } from './model/job.ts';
import type { CableKind, CableSize, Shop } from './model/shop.ts';
import { areaMm2, sameSize } from './model/tables/size.ts';
import { contextOf } from './jobContext.ts';
import { ask, size } from './stages.ts';
import { type FromSystem, fromSystem } from './system/fed.ts';
import { grownFor } from './system/grow.ts';
import { type Conductor, installationOf } from './system/installation.ts';
import { solveSystem } from './system/solve.ts';
import { type SystemView, viewOf } from './system/view.ts';

/** The installation of a job solved, and what it makes of its cables. */
export interface SystemWork {
  readonly view: SystemView;
  readonly from: ReadonlyMap<string, FromSystem>;
  /** The job with every input that comes from the system in place of what is typed. */
  readonly job: Job;
}

/** Sizes are found by heat and fuse, then grown for the drops, each so many times with the currents found again. */
const HEAT_ROUNDS = 2;
const GROW_ROUNDS = 5;

const fedCables = new WeakMap<Cable, { readonly key: string; readonly cable: Cable }>();

/** A cable as the system feeds it: the same object as before where the system says the same. */
function fedCable(cable: Cable, from: FromSystem | undefined): Cable {
  if (!from || Object.keys(from.run).length === 0) return cable;
  const key = JSON.stringify(from.run);
  const known = fedCables.get(cable);
  if (known?.key === key) return known.cable;
  const { duty: _, ...typed } = cable.run;
  const { duty, ...given } = from.run;
  const run = 'duty' in from.run ? { ...typed, ...given, ...(duty && { duty }) } : { ...cable.run, ...given };
  const fed: Cable = { ...cable, run };
  fedCables.set(cable, { key, cable: fed });
  return fed;
}

const fedJob = (job: Job, from: SystemWork['from']): Job => ({
  ...job,
  cables: job.cables.map((cable) => fedCable(cable, from.get(cable.id))),
});

/** Whether two states of a job are of one installation: the same places, and the same cables by their design. */
export const sameSystem = (a: Job, b: Job): boolean =>
  a.system === b.system &&
  a.studs === b.studs &&
  a.cables.length === b.cables.length &&
  a.cables.every((cable, i) => sameDesign(cable, b.cables[i] ?? cable));

/**
 * An installation that was solved, with its cables as they are now: nothing that it rests on has changed.
 *
 * @param job with its system, of the one that was solved by {@link sameSystem}
 */
export function withCablesOf(work: SystemWork, job: Job): SystemWork {
  const { solved, installation } = work.view;
  const now = new Map(job.cables.map((cable) => [cable.id, cable]));
  const asNow = (cable: Cable): Cable => now.get(cable.id) ?? cable;
  const conductors = installation.conductors.map((own) => ({ ...own, cable: asNow(own.cable) }));
  const loose = installation.loose.map(asNow);
  return {
    view: viewOf({ ...solved, installation: { ...installation, job, conductors, loose } }),
    from: work.from,
    job: fedJob(job, work.from),
  };
}

/** What the system says of a cable beyond its run; nothing where none of it comes from there. */
export function fedOf(work: SystemWork | null, cableId: string): Fed | undefined {
  const fed = work?.from.get(cableId)?.fed;
  return fed && (fed.rest ?? fed.guards ?? fed.shorts ?? fed.size) ? fed : undefined;
}

const thickest = ({ sizes }: CableKind): CableSize =>
  sizes.reduce((most, own) => (areaMm2(own.size) > areaMm2(most.size) ? own : most));

/**
 * Solves the installation of a job, and puts what follows from it in the place of what its cables ask of it. A cable
 * without a size is calculated with the smallest that its heat, its fuse and its own drop allow; where several together
 * lose too much on the way to a load, those are made thicker that save most for their copper.
 *
 * @param job with its system, see {@link withPlaces}
 */
export function systemWork(job: Job, shop: Shop, followDuty?: FollowDuty): SystemWork {
  const proposed = new Map<string, CableSize>();
  const solved = (): SystemWork => {
    const view = viewOf(
      solveSystem(installationOf(job, shop, (cable, kind) => proposed.get(cable.id) ?? thickest(kind))),
    );
    const from = fromSystem(view, proposed);
    return { view, from, job: fedJob(job, from) };
  };
  let work = solved();
  const unsized = work.view.installation.conductors.filter(({ cable }) => !cable.gauge.size);
  if (unsized.length === 0) return work;
  for (let round = 0; round < HEAT_ROUNDS; round += 1) {
    for (const conductor of unsized) {
      const { cable } = conductor;
      const next = sizeAlone(conductor, work, shop, followDuty);
      const before = proposed.get(cable.id);
      if (next && (!before || areaMm2(next.size) > areaMm2(before.size))) proposed.set(cable.id, next);
    }
    work = solved();
  }
  for (let round = 0; round < GROW_ROUNDS; round += 1) {
    const grown = grownFor(work.view);
    if (grown.size === 0) break;
    for (const [id, size] of grown) proposed.set(id, size);
    work = solved();
  }
  return work;
}

/** The size that a cable would be proposed with nothing else on the way to its load. */
function sizeAlone(
  { cable, kind }: Conductor,
  { job, from }: SystemWork,
  shop: Shop,
  followDuty: FollowDuty | undefined,
): CableSize | undefined {
  const fedBefore = job.cables.find(({ id }) => id === cable.id) ?? cable;
  const its = from.get(cable.id)?.fed;
  const fed = its && { ...its, size: null, rest: its.rest && { ...its.rest, held: [], duty: [] } };
  const { size: taken } = size(
    ask(fedBefore, shop, {
      context: contextOf(fedBefore, job),
      ...(followDuty && { followDuty }),
      ...(fed && { fed }),
    }),
  ).choice.taken.at;
  return kind.sizes.find((one) => sameSize(one.size, taken));
}
