import { type ChainCheck, chainSays, checkChains } from '../../core/log/chain.ts';
import type { Job } from '../../core/model/job.ts';
import { tell } from '../../core/words/message.ts';
import { sha256 } from './sha256.ts';

/** What does not fit in the sealed records of some jobs, in sentences; empty where nothing does. */
export async function chainFaults(jobs: readonly Job[]): Promise<string> {
  const checks: ChainCheck[] = [];
  for (const job of jobs) checks.push(await checkChains(job, sha256));
  return checks
    .filter(({ faults }) => faults.length > 0)
    .map((check) => [chainSays(check), ...check.faults].map(tell).join(' '))
    .join(' ');
}
