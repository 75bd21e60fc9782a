import type { CableWork } from '../../core/cableWork.ts';
import type { Cable, Stage } from '../../core/model/cable.ts';
import { sameDesign } from '../../core/model/design.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { ALONE, contextOf, type JobContext } from '../../core/jobContext.ts';
import { remember } from '../../core/lib/remember.ts';
import { sameButCounts } from '../../core/model/sameButCounts.ts';
import { withPlaces } from '../../core/system/places.ts';
import { fedOf, sameSystem, systemWork, type SystemWork, withCablesOf } from '../../core/systemWork.ts';
import type { KindCompared } from '../../core/sizing/kindsCompared.ts';
import { kindsBeside } from '../../core/stages.ts';
import { findingsAt, workedOut, workUpCable } from '../../core/workup.ts';
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
/** What was solved last, and for what: most changes are a step ticked or a count, and change nothing of it. */
let latest:
  | { readonly job: Job; readonly shop: Shop; readonly tick: number; readonly work: SystemWork }
  | undefined;

/**
 * The installation of a job, solved once for as long as its places, the design of its cables and what the shop works
 * with stay as they are; places drawn where it has none.
 */
export const systemOf = (job: Job, shop: Shop): SystemWork =>
  solved([job, shop], String(dutyTick.value), () => {
    const tick = dutyTick.value;
    const isSame = latest?.tick === tick && sameButCounts(latest.shop, shop) && sameSystem(latest.job, job);
    const work =
      latest && isSame
        ? withCablesOf(latest.work, withPlaces(job))
        : systemWork(withPlaces(job), shop, followDuty);
    latest = { job, shop, tick, work };
    return work;
  });

/** Cables and shops are never changed in place, so work is done once for as long as all it rests on stays. */
const kept = new WeakMap<Cable, Kept>();

const sameList = <T>(a: readonly T[], b: readonly T[], isSame: (one: T, other: T) => boolean) =>
  a.length === b.length && a.every((item, i) => isSame(item, b[i] as T));
const sameContext = (a: JobContext, b: JobContext) =>
  sameList(a.mates, b.mates, sameDesign) &&
  sameList(a.neighbours, b.neighbours, sameDesign) &&
  sameList(a.studs, b.studs, Object.is) &&
  sameList(a.grounds, b.grounds, Object.is);

/** A cable as the system of its job feeds it, and what it needs to know of that job. */
function placedIn(given: Cable, shop: Shop, job: Job | undefined) {
  const system = job && takesFromSystem(given, job) ? systemOf(job, shop) : null;
  const cable = system?.job.cables.find(({ id }) => id === given.id) ?? given;
  const fedJob = system?.job ?? job;
  return { cable, context: fedJob ? contextOf(cable, fedJob) : ALONE, fedBy: fedOf(system, given.id) };
}

/** The kinds of the shop beside one another for the run of a cable. */
export function kindsBesideFor(given: Cable, shop: Shop, job?: Job): KindCompared[] {
  const { cable, context, fedBy } = placedIn(given, shop, job);
  return kindsBeside(cable, shop, { context, followDuty, ...(fedBy && { fed: fedBy }) });
}

/**
 * Everything computed about a cable of a job; from memory where neither it, those of its circuit and studs, what the
 * shop works with nor the day has changed. Counts in it are of the day it was worked out: the shop has those of now.
 */
export function workOf(given: Cable, shop: Shop, job?: Job): CableWork {
  const day = today();
  const known = kept.get(given);
  const isOfNow =
    known !== undefined &&
    sameButCounts(known.shop, shop) &&
    known.day === day &&
    known.tick === tickOf(known.cable);
  if (isOfNow && known.shop === shop && job && known.job?.deref() === job) return known.work;
  const { cable, context, fedBy } = placedIn(given, shop, job);
  const fed = fedBy ? JSON.stringify(fedBy) : '';
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

const tried = (cable: Cable, work: () => CableWork): CableWork | null => {
  try {
    return work();
  } catch (error) {
    report(error, cable.id);
    return null;
  }
};

/** As {@link workOf}; null where the cable cannot be worked up, which is noted. The others of its job go on. */
export const triedWork = (cable: Cable, shop: Shop, job?: Job): CableWork | null =>
  tried(cable, () => workedOut(workOf(cable, shop, job)));

/** As {@link triedWork}, of what one stage needs: the rest of it is worked out when it is read. */
export const triedStage = (cable: Cable, stage: Stage, shop: Shop, job?: Job): CableWork | null =>
  tried(cable, () => {
    const work = workOf(cable, shop, job);
    findingsAt(work, stage);
    return work;
  });
