import type { Job } from '../../core/model/job.ts';
import { readStored } from '../../core/model/stored.ts';
import { LEAST_APART, thinned } from './thinning.ts';
import { stores } from './stores.ts';

const store = stores.versions;

/** A job as it was at a moment. */
export interface Version {
  readonly at: number;
  readonly job: Job;
}

const keyOf = (jobId: string, at: number) => `${jobId}@${at}`;
const timesOf = async (jobId: string) =>
  (await store.keys())
    .filter((key) => key.startsWith(`${jobId}@`))
    .map((key) => Number(key.slice(jobId.length + 1)))
    .filter(Number.isFinite);

/** Keeps a job as it stands before it is changed further, unless a version was kept a moment ago; thins the old ones. */
export type KeepVersion = (job: Job, now: number) => Promise<void>;

/** Keeps versions, and knows of each job when its last one was kept. */
export function keepsVersions(): KeepVersion {
  const lastKept = new Map<string, number>();
  return async (job, now) => {
    const known = lastKept.get(job.id) ?? Math.max(0, ...(await timesOf(job.id)));
    lastKept.set(job.id, known);
    // A clock that was put back is no reason to keep none until it has caught up.
    if (Math.abs(now - known) < LEAST_APART) return;
    lastKept.set(job.id, now);
    await store.setItem(keyOf(job.id, now), job);
    const times = await timesOf(job.id);
    const keep = new Set(thinned(times));
    keep.add(now);
    for (const time of times) if (!keep.has(time)) await store.removeItem(keyOf(job.id, time));
  };
}

/** The versions of a job that can still be read, the newest first. */
export async function versionsOf(jobId: string): Promise<Version[]> {
  const found: Version[] = [];
  for (const at of (await timesOf(jobId)).sort((a, b) => b - a)) {
    const read = readStored('job', await store.getItem(keyOf(jobId, at)));
    if (read.ok) found.push({ at, job: read.value });
  }
  return found;
}
