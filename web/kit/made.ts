import type { CableWork } from '../../core/cableWork.ts';
import type { Cable } from '../../core/job/cable.ts';
import type { Job } from '../../core/job/job.ts';

/** A cable of a kit, with the job it belongs to and its work. */
export interface Made {
  readonly job: Job;
  readonly cable: Cable;
  readonly work: CableWork;
}
