import { releaseProxy, wrap } from 'comlink';
import { nanoid } from 'nanoid';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { isJpeg } from './jpeg.ts';
import { toBase64 } from './base64.ts';
import type { PhotoWorker, ScaledPhoto } from '../workers/photo.worker.ts';
import type { Step } from '../ui/useMaking.ts';
import { say } from '../../core/words/say.ts';
import { stores } from './stores.ts';

/** Pictures are kept apart from the jobs that name them: an edit then writes words, not pictures. */
const store = stores.photos;

const LONGEST_PX = 1600;
/** Larger than any camera's picture. */
const LARGEST_BYTES = 60_000_000;

export type Taken =
  | { readonly ok: true; readonly photo: ScaledPhoto }
  | { readonly ok: false; readonly sentence: string };

/** Scales a picture file in a worker, or says in one sentence why it cannot be taken. */
export async function takePhoto(file: File): Promise<Taken> {
  if (file.size > LARGEST_BYTES) {
    return { ok: false, sentence: say`This file is far larger than any photograph; it was not read.` };
  }
  const worker = new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<PhotoWorker>(worker);
  try {
    const photo = await remote.scale(file, LONGEST_PX);
    return photo
      ? { ok: true, photo }
      : { ok: false, sentence: say`“${file.name}” is no picture that can be read here.` };
  } finally {
    remote[releaseProxy]();
    worker.terminate();
  }
}

/**
 * Every picture there is, by the id of its photograph; and the ids of those that could not be read. None where this
 * browser keeps none.
 *
 * @param step told of each picture before it is read
 */
export async function allPictures(
  step?: Step,
): Promise<{ pictures: Record<string, Uint8Array>; damaged: string[] }> {
  const pictures: Record<string, Uint8Array> = {};
  const damaged: string[] = [];
  const ids = await store.keys().catch(() => []);
  for (const [i, id] of ids.entries()) {
    step?.(i, ids.length);
    const bytes = await bytesOf(id);
    if (bytes) pictures[id] = bytes;
    else damaged.push(id);
  }
  return { pictures, damaged };
}

export const keepPicture = (id: string, jpeg: Blob): Promise<Blob> => store.setItem(id, jpeg);

/** Keeps a picture; empty where that was done, else why it is not kept, to be said beside it. */
export async function keptOrWhy(id: string, jpeg: Blob): Promise<string> {
  try {
    await keepPicture(id, jpeg);
    return '';
  } catch (error) {
    return (error as { name?: string } | null)?.name === 'QuotaExceededError'
      ? say`The picture was not kept: this browser’s store is full. Make room, then take it again.`
      : say`The picture was not kept: this browser keeps nothing here.`;
  }
}

/** Lets go of every picture but these. */
export async function keepOnlyPictures(ids: readonly string[]): Promise<void> {
  for (const id of await store.keys()) if (!ids.includes(id)) await store.removeItem(id);
}
/** Null where it is not in this browser, or cannot be read: a job may name a photograph that was not brought along. */
export async function pictureOf(id: string): Promise<Blob | null> {
  const kept = await store.getItem<unknown>(id).catch(() => null);
  return kept instanceof Blob ? kept : null;
}

/** A picture as bytes; null where it is not here, or is no picture any more. */
export async function bytesOf(id: string): Promise<Uint8Array | null> {
  const jpeg = await pictureOf(id);
  const bytes = jpeg && new Uint8Array(await jpeg.arrayBuffer().catch(() => new ArrayBuffer(0)));
  return bytes && isJpeg(bytes) ? bytes : null;
}

/** The ids of a job's photographs, each once. */
const photoIds = (job: Job) => [
  ...new Set([...job.cables, ...(job.survey ?? [])].flatMap(({ photos }) => photos.map(({ id }) => id))),
];

/** The pictures of a job, for its file. */
export async function picturesOf(job: Job): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (const id of photoIds(job)) {
    const bytes = await bytesOf(id);
    if (bytes) found[id] = toBase64(bytes);
  }
  return found;
}

const sameBytes = (a: Uint8Array, b: Uint8Array) =>
  a.length === b.length && a.every((byte, i) => byte === b[i]);

/** A job from elsewhere with its pictures, those by other ids whose own are already of other pictures here. */
export interface Renamed<T> {
  readonly job: Job;
  readonly pictures: Readonly<Record<string, T>>;
}

/**
 * Gives the photographs of a job from elsewhere ids under which no other picture is kept here: nothing that is here is
 * written over, and no job shows a picture of another.
 */
export async function underFreeNames<T extends string | Uint8Array>(
  job: Job,
  pictures: Readonly<Record<string, T>>,
): Promise<Renamed<T>> {
  const renames = new Map<string, string>();
  for (const id of photoIds(job)) {
    const here = await bytesOf(id);
    const coming = Object.hasOwn(pictures, id) ? bytesIn(pictures[id] as T) : null;
    const isTaken = here !== null && !(coming && sameBytes(here, coming));
    if (isTaken) renames.set(id, nanoid(12));
  }
  const named = (id: string) => renames.get(id) ?? id;
  const renamed = <T extends Pick<Cable, 'photos'>>(of: T): T => ({
    ...of,
    photos: of.photos.map((photo) => ({ ...photo, id: named(photo.id) })),
  });
  return {
    job:
      renames.size === 0
        ? job
        : {
            ...job,
            cables: job.cables.map(renamed),
            ...(job.survey && { survey: job.survey.map(renamed) }),
          },
    pictures: Object.fromEntries(
      photoIds(job).flatMap((id): [string, T][] =>
        Object.hasOwn(pictures, id) ? [[named(id), pictures[id] as T]] : [],
      ),
    ),
  };
}

const bytesIn = (data: string | Uint8Array): Uint8Array =>
  typeof data === 'string' ? Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0)) : data;

/**
 * Keeps the pictures that came with a job; what only calls itself a JPEG is left out. Answers with why some were not
 * kept; empty where all were.
 */
export async function bringPictures(
  pictures: Readonly<Record<string, string | Uint8Array>>,
): Promise<string> {
  let why = '';
  for (const [id, data] of Object.entries(pictures)) {
    const bytes = bytesIn(data);
    if (isJpeg(bytes)) why ||= await keptOrWhy(id, new Blob([bytes as BlobPart], { type: 'image/jpeg' }));
  }
  return why;
}
