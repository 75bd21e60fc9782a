import { huntSchema, type Hunt } from './hunt.ts';
import { cableSchema } from './cable.ts';
import { sameCables } from './design.ts';
import { MOST } from './limits.ts';
import { jobSchema, type Job } from './job.ts';
import { issueSays, refusalSays } from './refusal.ts';
import { shopSchema, type Shop } from './shop.ts';
import { say } from '../words/say.ts';

/** What was found sound: jobs, cables and shops are never changed in place, so once is enough. */
const sound = new WeakSet<object>();

/** What is kept. */
export interface Pieces {
  readonly jobs: readonly Job[];
  readonly hunts: readonly Hunt[];
  readonly shop: Shop;
}

/** Takes as sound what a reader has just read. */
export function markSound({ jobs, hunts, shop }: Omit<Pieces, 'shop'> & { shop: Shop | null }): void {
  for (const own of [...jobs, ...jobs.flatMap(({ cables }) => cables), ...hunts, ...(shop ? [shop] : [])])
    sound.add(own);
}

/** The latest sound state of each job, by id. */
const latest = new Map<string, WeakRef<Job>>();
/** Whether two states of a job differ in their cables at most. */
const sameButCables = (a: Job, b: Job): boolean => {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]) as Set<keyof Job>;
  return [...keys].every((key) => key === 'cables' || Object.is(a[key], b[key]));
};

/** What is wrong with a job beside its cables; empty where it differs in them alone from one that was sound. */
function shellProblem(job: Job, before: Job | undefined): string {
  if (before && sameButCables(before, job)) return '';
  const shell = jobSchema.safeParse({ ...job, cables: [] });
  return shell.success ? '' : refusalSays(shell.error, { ...job, cables: [] });
}

function jobProblem(job: Job): string {
  const before = latest.get(job.id)?.deref();
  const problem = shellProblem(job, before);
  if (problem) return problem;
  const { cables } = job;
  if (cables.length > MOST.cables) return say`a job holds ${MOST.cables} cables at most`;
  const keepsIds = before !== undefined && sameCables(cables, before.cables);
  if (!keepsIds && new Set(cables.map(({ id }) => id)).size < cables.length)
    return say`two cables have the same id`;
  const unknown = cables.filter((cable, i) => cable !== before?.cables[i] && !sound.has(cable));
  for (const cable of unknown) {
    const { error } = cableSchema.safeParse(cable);
    const [issue] = error?.issues ?? [];
    if (issue) return issueSays({ ...issue, path: ['cables', cables.indexOf(cable), ...issue.path] }, job);
    sound.add(cable);
  }
  latest.set(job.id, new WeakRef(job));
  return '';
}

function problemOf<T extends object>(value: T, find: (value: T) => string): string {
  if (sound.has(value)) return '';
  const problem = find(value);
  if (problem === '') sound.add(value);
  return problem;
}

/**
 * Why a reader would refuse something that is about to be kept; empty where it would read it. Nothing is written that
 * this refuses, so nothing is ever written that cannot be read again.
 *
 * @example unsoundness({ jobs: [jobWith21Devices], hunts: [], shop }) // "cable C-1, “devices” holds more than 20"
 */
export function unsoundness({ jobs, hunts, shop }: Pieces): string {
  for (const job of jobs) {
    const problem = problemOf(job, jobProblem);
    if (problem) return problem;
  }
  for (const hunt of hunts) {
    const problem = problemOf(hunt, (own) => {
      const { error } = huntSchema.safeParse(own);
      return error ? refusalSays(error, own) : '';
    });
    if (problem) return problem;
  }
  return problemOf(shop, (own) => {
    const { error } = shopSchema.safeParse(own);
    return error ? refusalSays(error, own) : '';
  });
}
