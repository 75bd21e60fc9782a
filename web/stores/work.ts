import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { ALONE, contextOf, type JobContext } from '../../core/jobContext.ts';
import { remember } from '../../core/lib/remember.ts';
import { withPlaces } from '../../core/system/places.ts';
import { fedOf, systemWork, type SystemWork } from '../../core/systemWork.ts';
import { workUpCable } from '../../core/workup.ts';
import { today } from '../ui/today.ts';
import { report } from '../trouble/faults.ts';
import { dutyTick, followDuty } from '../workers/duties.ts';

interface Kept {
  readonly shop: Shop;
  /** The state of the job that it was last found good for. */
  readonly job: WeakRef<Job> | undefined;
  /** As the system feeds it: itself where that says nothing of it. */
  readonly cable: Cable;
  readonly context: JobContext;
  readonly tick: number;
  readonly day: string;
  /** What the system says of it beyond its run, as text. */
  readonly fed: string;
  readonly work: CableWork;
}

const solved = remember<SystemWork>();
/** The installation of a job, solved once for as long as the job stays as it is; places drawn where it has none. */
export const systemOf = (job: Job, shop: Shop): SystemWork =>
  solved([job, shop], String(dutyTick.value), () => systemWork(withPlaces(job), shop, followDuty));

/** Cables and shops are never changed in place, so work is done once for as long as all it rests on stays. */
const kept = new WeakMap<Cable, Kept>();

const sameList = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((item, i) => item === b[i]);
const sameContext = (a: JobContext, b: JobContext) =>
  sameList(a.mates, b.mates) && sameList(a.neighbours, b.neighbours) && sameList(a.studs, b.studs);

/**
 * Everything computed about a cable of a job; from memory where neither it, those of its circuit and studs, the shop
 * nor the day has changed.
 */
export function workOf(given: Cable, shop: Shop, job?: Job): CableWork {
  const day = today();
  const known = kept.get(given);
  const isOfNow = known?.shop === shop && known.day === day && known.tick === tickOf(known.cable);
  if (isOfNow && job && known.job?.deref() === job) return known.work;
  const system = job && takesFromSystem(given, job) ? systemOf(job, shop) : null;
  const fedJob = system?.job ?? job;
  const cable = system?.job.cables.find(({ id }) => id === given.id) ?? given;
  const fedBy = fedOf(system, given.id);
  const fed = fedBy ? JSON.stringify(fedBy) : '';
  const context = fedJob ? contextOf(cable, fedJob) : ALONE;
  const isSame = isOfNow && known.cable === cable && known.fed === fed && sameContext(known.context, context);
  const work = isSame
    ? known.work
    : workUpCable(cable, shop, { context, today: day, followDuty, ...(fedBy && { fed: fedBy }) });
  kept.set(given, {
    shop,
    job: job && new WeakRef(job),
    cable,
    context,
    tick: tickOf(cable),
    day,
    fed,
    work,
  });
  return work;
}

const tickOf = ({ run }: Cable): number => (run.duty ? dutyTick.value : 0);
const isFed = ({ run }: Cable): boolean => (run.fromSystem?.length ?? 0) > 0;
/** Whether the system of a job has anything to do with a cable: by itself, or by those it shares a circuit or stud with. */
function takesFromSystem(cable: Cable, job: Job): boolean {
  if (!job.system) return false;
  if (isFed(cable)) return true;
  const { mates, neighbours } = contextOf(cable, job);
  return mates.some(isFed) || neighbours.some(isFed);
}

/** As {@link workOf}; null where the cable cannot be worked up, which is noted. The others of its job go on. */
export function triedWork(cable: Cable, shop: Shop, job?: Job): CableWork | null {
  try {
    return workOf(cable, shop, job);
  } catch (error) {
    report(error, cable.id);
    return null;
  }
}
