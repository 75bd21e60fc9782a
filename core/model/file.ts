import { FORMAT, type Job, type JobFile, jobFileSchema, VERSION } from './job.ts';
import { migrateFile } from './migrate.ts';
import { refusalSays } from './refusal.ts';
import type { Shop } from './shop.ts';
import { say } from '../words/say.ts';

/**
 * Larger than any real job by far, with as many photographs as one may hold: a file over it is refused before it is
 * read, and none over it is written. A browser's longest text is about 537 million letters.
 */
export const LARGEST_FILE_CHARS = 400_000_000;
/** No job nests deeper than this: what does is refused before it costs seconds to read. */
const DEEPEST = 40;

/** Whether brackets outside of texts nest deeper than in any job; it stops at the first that does. */
export function isTooDeep(contents: string): boolean {
  let depth = 0;
  for (let i = 0; i < contents.length; i += 1) {
    const sign = contents.charCodeAt(i);
    if (sign === 0x22) {
      // To the end of the text, past what a backslash keeps from ending it.
      do {
        i = contents.indexOf('"', i + 1);
        if (i < 0) return false;
      } while (isKept(contents, i));
    } else if (sign === 0x5b || sign === 0x7b) {
      depth += 1;
      if (depth > DEEPEST) return true;
    } else if (sign === 0x5d || sign === 0x7d) depth -= 1;
  }
  return false;
}
/** Whether a quotation mark stands behind an odd number of backslashes. */
function isKept(contents: string, at: number): boolean {
  let slashes = 0;
  while (contents[at - 1 - slashes] === '\\') slashes += 1;
  return slashes % 2 === 1;
}

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
  if (isTooDeep(contents)) return refuse(say`This is not a job file: it nests deeper than any job does.`);
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
  const migrated = migrateFile(data as Record<string, unknown>);
  const parsed = jobFileSchema.safeParse(migrated);
  if (parsed.success) return { ok: true, value: parsed.data };
  return refuse(
    say`This job file cannot be used: ${refusalSays(parsed.error, migrated)}.`,
    parsed.error.issues[0]?.path.join('.') ?? '',
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
