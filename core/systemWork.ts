import type { Fed } from './sizing/loop.ts';
import type { FollowDuty } from './sizing/assess.ts';
import type { Cable } from './model/cable.ts';
import type { Job } from './model/job.ts';
import type { CableKind, CableSize, Shop } from './model/shop.ts';
import { areaMm2 } from './model/tables/size.ts';
import { contextOf } from './jobContext.ts';
import { ask, size } from './stages.ts';
import { type FromSystem, fromSystem } from './system/fed.ts';
import { installationOf, type SizeOf } from './system/installation.ts';
import { solveSystem } from './system/solve.ts';
import { type SystemView, viewOf } from './system/view.ts';

/** The installation of a job solved, and what it makes of its cables. */
export interface SystemWork {
  readonly view: SystemView;
  readonly from: ReadonlyMap<string, FromSystem>;
  /** The job with every input that comes from the system in place of what is typed. */
  readonly job: Job;
}

/** Sizes are proposed anew until nothing changes, so many times; from then on only thicker. */
const FREE_ROUNDS = 3;
const MOST_ROUNDS = 8;

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

/** What the system says of a cable beyond its run; nothing where none of it comes from there. */
export function fedOf(work: SystemWork | null, cableId: string): Fed | undefined {
  const fed = work?.from.get(cableId)?.fed;
  return fed && (fed.rest ?? fed.guards ?? fed.shorts) ? fed : undefined;
}

/**
 * Solves the installation of a job, and puts what follows from it in the place of what its cables ask of it. Cables
 * without a size are reckoned with the one that the bench proposes for them, until neither changes the other.
 *
 * @param job with its system, see {@link withPlaces}
 */
export function systemWork(job: Job, shop: Shop, followDuty?: FollowDuty): SystemWork {
  const proposed = new Map<string, CableSize>();
  const thickest = ({ sizes }: CableKind) =>
    sizes.reduce((most, own) => (areaMm2(own.size) > areaMm2(most.size) ? own : most));
  const sizeOf: SizeOf = (cable, kind) => proposed.get(cable.id) ?? thickest(kind);
  for (let round = 1; ; round += 1) {
    const view = viewOf(solveSystem(installationOf(job, shop, sizeOf)));
    const from = fromSystem(view);
    const fed: Job = { ...job, cables: job.cables.map((cable) => fedCable(cable, from.get(cable.id))) };
    const work = { view, from, job: fed };
    let changed = false;
    for (const { cable, size: now } of view.installation.conductors) {
      if (cable.gauge.size) continue;
      const own = fed.cables.find(({ id }) => id === cable.id) ?? cable;
      const fedBy = fedOf(work, cable.id);
      const around = {
        context: contextOf(own, fed),
        ...(followDuty && { followDuty }),
        ...(fedBy && { fed: fedBy }),
      };
      const { at } = size(ask(own, shop, around)).choice.taken;
      const kind = shop.cableKinds.find(({ id }) => id === cable.gauge.kindId) ?? shop.cableKinds[0];
      const next = kind?.sizes.find(
        (one) => areaMm2(one.size) === at.copperMm2 && one.outerMm === at.outerMm,
      );
      if (!next || next === now) continue;
      if (round > FREE_ROUNDS && areaMm2(next.size) < areaMm2(now.size)) continue;
      proposed.set(cable.id, next);
      changed = true;
    }
    if (!changed || round >= MOST_ROUNDS) return work;
  }
}
