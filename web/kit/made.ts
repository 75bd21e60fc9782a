import type { ToCut } from '../../core/cutting/pieces.ts';
import type { Job } from '../../core/job/job.ts';
import type { Shop } from '../../core/job/shop.ts';
import { workOf } from '../stores/work.ts';

/** A cable of a kit with its work, and the job it belongs to. */
export interface Made extends ToCut {
  readonly job: Job;
}

/** Each cable of some jobs with its work: one worked up in its own job. */
export const madeOf = (jobs: readonly Job[], shop: Shop): Made[] =>
  jobs.flatMap((job) =>
    job.cables.map((cable) => ({ key: `${job.id}/${cable.id}`, job, cable, work: workOf(cable, shop, job) })),
  );
