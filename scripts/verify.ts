// npm run --silent verify -- FILE…: whether the sealed records in job files and backups are as they were sealed, in
// sentences. Ends with 1 where something does not fit, 2 where a file cannot be read.
import { readFileSync } from 'node:fs';
import { type ChainCheck, chainSays, checkChains } from '../core/log/chain.ts';
import { readJobFile } from '../core/model/file.ts';
import type { Job } from '../core/model/job.ts';
import { tell } from '../core/words/message.ts';
import { readBackup } from '../web/storage/backup.ts';
import { sha256 } from '../web/storage/sha256.ts';

type Read = { readonly jobs: readonly Job[] } | { readonly refused: string };

/** The jobs of a file: a backup is a zip, and begins as one. */
async function jobsIn(bytes: Uint8Array): Promise<Read> {
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
    const backup = await readBackup(bytes);
    return backup.ok ? { jobs: backup.value.kept.jobs } : { refused: backup.sentence };
  }
  const file = readJobFile(new TextDecoder().decode(bytes));
  return file.ok ? { jobs: [file.value.job] } : { refused: file.sentence };
}

const together = (checks: readonly ChainCheck[]): ChainCheck => ({
  chained: checks.reduce((sum, check) => sum + check.chained, 0),
  older: checks.reduce((sum, check) => sum + check.older, 0),
  faults: checks.flatMap(({ faults }) => faults),
});

async function verify(path: string): Promise<number> {
  let read: Read;
  try {
    read = await jobsIn(readFileSync(path));
  } catch {
    read = { refused: 'This file cannot be read.' };
  }
  if ('refused' in read) {
    console.log(`${path}: ${read.refused}`);
    return 2;
  }
  const check = together(await Promise.all(read.jobs.map((job) => checkChains(job, sha256))));
  console.log(
    [`${path}: ${tell(chainSays(check))}`, ...check.faults.map((fault) => `  ${tell(fault)}`)].join('\n'),
  );
  return check.faults.length > 0 ? 1 : 0;
}

const paths = process.argv.slice(2);
if (paths.length === 0) {
  console.log('Give the job files or backups to check: npm run --silent verify -- FILE…');
  process.exitCode = 2;
}
for (const path of paths) process.exitCode = Math.max(Number(process.exitCode ?? 0), await verify(path));
