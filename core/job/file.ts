import type * as z from 'zod/mini';
import { FORMAT, type Job, type JobFile, jobFileSchema, VERSION } from './job.ts';
import { migrateFile } from './migrate.ts';
import type { Shop } from './shop.ts';
import { say } from '../words/say.ts';

/** Larger than any real job by far: a file over it is refused before it is read. */
export const LARGEST_FILE_CHARS = 100_000_000;

export type Parsed<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly sentence: string; readonly path: string };

const refuse = (sentence: string, path = ''): Parsed<never> => ({ ok: false, sentence, path });

/**
 * Reads a job file. Nothing is half read: the answer is a whole job file, or one sentence saying why not.
 *
 * @example readJobFile('{"format":"gruff-anchor-job"').ok // false: "This file ends too early …"
 */
export function readJobFile(contents: string): Parsed<JobFile> {
  if (contents.length > LARGEST_FILE_CHARS)
    return refuse(say`This file is far larger than any job; it was not read.`);
  if (contents.trim() === '') return refuse(say`This file is empty.`);
  let data: unknown;
  try {
    data = JSON.parse(contents);
  } catch {
    return refuse(
      contents.trimStart().startsWith('{')
        ? say`This file ends too early or is damaged: it is not complete JSON.`
        : say`This is not a job file: it is not JSON.`,
    );
  }
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return refuse(say`This is not a job file: it holds no job.`);
  }
  const { format, version } = data as Record<string, unknown>;
  if (format !== FORMAT) return refuse(say`This is not a job file: its format is not "${FORMAT}".`, 'format');
  if (typeof version === 'number' && version > VERSION) {
    return refuse(
      say`This file was written by a newer version (file version ${version}, this one reads ${VERSION}). Update, then open it again.`,
      'version',
    );
  }
  const parsed = jobFileSchema.safeParse(migrateFile(data as Record<string, unknown>));
  return parsed.success ? { ok: true, value: parsed.data } : refuseIssue(parsed.error);
}

function refuseIssue(error: z.core.$ZodError): Parsed<never> {
  const [first] = error.issues;
  const path = first?.path.join('.') ?? '';
  const more = error.issues.length > 1 ? say` (and ${error.issues.length - 1} more)` : '';
  return refuse(
    say`This job file cannot be used: at "${path}", ${first?.message ?? say`something is wrong`}${more}.`,
    path,
  );
}

/** Writes a job file, indented so that a person can read it and two versions can be compared. */
export function writeJobFile(
  job: Job,
  shop: Shop,
  savedAt: string,
  photos: NonNullable<JobFile['photos']> = {},
  hunts: NonNullable<JobFile['hunts']> = [],
): string {
  const file: JobFile = {
    format: FORMAT,
    version: VERSION,
    savedAt,
    job,
    shop,
    ...(Object.keys(photos).length > 0 && { photos }),
    ...(hunts.length > 0 && { hunts: [...hunts] }),
  };
  return `${JSON.stringify(file, null, 1)}\n`;
}
