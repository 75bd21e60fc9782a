import { jobFileSchema, type Job } from '../../core/job/job.ts';
import { useBench } from '../stores/bench.ts';

/** The demo job, put on the bench when it is not there. Its shop becomes the shop of a bench that has no job yet. */
export async function ensureDemo(): Promise<Job> {
  const bench = useBench();
  const { default: file } = await import('../../demo/teasel.json');
  const { job, shop } = jobFileSchema.parse(file);
  const present = bench.jobById(job.id);
  if (present) return present;
  if (bench.jobs.length === 0) {
    bench.edit('demo shop', (draft) => {
      draft.shop = shop;
    });
  }
  const added = bench.addJob(job, shop, 'demo job');
  await bench.save();
  return added;
}
