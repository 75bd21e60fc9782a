import { LARGEST_FILE_CHARS, type Parsed, readJobFile, writeJobFile } from '../../core/job/file.ts';
import type { Job } from '../../core/job/job.ts';
import type { Shop } from '../../core/job/shop.ts';
import { bringPictures, picturesOf } from './photos.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** Hands a text to the browser as a file to keep. */
export function saveFile(name: string, contents: string | Uint8Array, type: string): void {
  const url = URL.createObjectURL(new Blob([contents as BlobPart], { type }));
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  URL.revokeObjectURL(url);
}

/** A file name from a title: letters, digits and dashes. */
function fileName(title: string): string {
  const plain = title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'job'}.json`;
}

/** The hunts that belong to a job. */
export const huntsOf = (jobId: string) => useBench().hunts.filter((hunt) => hunt.jobId === jobId);

export async function exportJob(job: Job, shop: Shop): Promise<void> {
  const contents = writeJobFile(job, shop, new Date().toISOString(), await picturesOf(job), huntsOf(job.id));
  saveFile(fileName(job.title), contents, 'application/json');
}

/** Reads a job file and puts its job on the bench, or says in one sentence why not and changes nothing. */
export async function importJob(file: File): Promise<Parsed<Job>> {
  if (file.size > LARGEST_FILE_CHARS) {
    return { ok: false, sentence: say`This file is far larger than any job; it was not read.`, path: '' };
  }
  const parsed = readJobFile(await file.text());
  if (!parsed.ok) return parsed;
  const bench = useBench();
  const job = bench.addJob(parsed.value.job, parsed.value.shop, say`import job`, parsed.value.hunts ?? []);
  await bringPictures(parsed.value.photos ?? {});
  await bench.save();
  return { ok: true, value: job };
}
