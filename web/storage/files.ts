import { LARGEST_FILE_CHARS, type Parsed, readJobFile, writeJobFile } from '../../core/model/file.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { chainFaults } from './chains.ts';
import { bringPictures, picturesOf, underFreeNames } from './photos.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** What a job's words may take of its file, letters. */
const ROOM_FOR_WORDS = 50_000_000;

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

/**
 * Hands a job to the browser as a file. What would be too large to be read again goes without its pictures.
 *
 * @returns what is missing from the file, in a sentence; empty where nothing is
 */
export async function exportJob(job: Job, shop: Shop): Promise<string> {
  const pictures = await picturesOf(job);
  const write = (own: Record<string, string>) =>
    writeJobFile(job, shop, new Date().toISOString(), own, huntsOf(job.id));
  const letters = Object.values(pictures).reduce((sum, { length }) => sum + length, 0);
  const isTooLarge = letters > LARGEST_FILE_CHARS - ROOM_FOR_WORDS;
  saveFile(fileName(job.title), write(isTooLarge ? {} : pictures), 'application/json');
  return isTooLarge
    ? say`The file is without its photographs: they are too many for one. A backup holds them all.`
    : '';
}

/** Reads a job file and puts its job on the bench, or says in one sentence why not and changes nothing. */
export async function importJob(file: File): Promise<Parsed<Job> & { readonly lacks?: string }> {
  if (file.size > LARGEST_FILE_CHARS) {
    return { ok: false, sentence: say`This file is far larger than any job; it was not read.`, path: '' };
  }
  const parsed = readJobFile(await file.text());
  if (!parsed.ok) return parsed;
  const bench = useBench();
  const { job: incoming, pictures } = await underFreeNames(parsed.value.job, parsed.value.photos ?? {});
  const job = bench.addJob(incoming, parsed.value.shop, say`import job`, parsed.value.hunts ?? []);
  if (!job) return { ok: false, sentence: bench.refusal, path: '' };
  const [notKept, notFitting] = [await bringPictures(pictures), await chainFaults([parsed.value.job])];
  await bench.save();
  const lacks = [notKept, notFitting].filter((sentence) => sentence !== '').join(' ');
  return { ok: true, value: job, lacks };
}
