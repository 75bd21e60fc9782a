import hut from '../../demo/hut.json?url';
import marrow from '../../demo/marrow.json?url';
import teasel from '../../demo/teasel.json?url';
import { jobFileSchema, type Job } from '../../core/model/job.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** The demo jobs, put on the bench where they are not there yet; answers with the first. They are data, not script. */
export async function ensureDemo(): Promise<Job> {
  const files = await Promise.all(
    [teasel, marrow, hut].map(async (address): Promise<unknown> => (await fetch(address)).json()),
  );
  const jobs = files.map(ensureJob);
  await useBench().save();
  const [first] = jobs;
  if (!first) throw new Error('there is no demo job');
  return first;
}

/** One demo job. Its shop becomes the shop of a browser that has none of its own yet. */
function ensureJob(file: unknown): Job {
  const bench = useBench();
  const { job, shop, hunts = [] } = jobFileSchema.parse(file);
  const present = bench.jobById(job.id);
  if (present) return present;
  if (bench.isNew && bench.jobs.length === 0)
    bench.edit(say`demo shop`, (draft) => void (draft.shop = { ...shop, origin: 'demo' }), false);
  const added = bench.addJob(job, shop, say`demo job`, hunts, false);
  if (!added) throw new Error(bench.refusal);
  return added;
}
