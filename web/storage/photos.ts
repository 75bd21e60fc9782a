import { releaseProxy, wrap } from 'comlink';
import localforage from 'localforage';
import type { Job } from '../../core/job/job.ts';
import { toBase64 } from './base64.ts';
import type { PhotoWorker, ScaledPhoto } from '../workers/photo.worker.ts';
import { say } from '../../core/words/say.ts';

/** Pictures are kept apart from the jobs that name them: an edit then writes words, not pictures. */
const store = localforage.createInstance({ name: 'gruff-anchor', storeName: 'photos' });

const LONGEST_PX = 1600;
/** Larger than any camera's picture. */
const LARGEST_BYTES = 60_000_000;

export type Taken =
  { readonly ok: true; readonly photo: ScaledPhoto } | { readonly ok: false; readonly sentence: string };

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

/** Every picture there is, by the id of its photograph. */
export async function allPictures(): Promise<Record<string, Uint8Array>> {
  const found: Record<string, Uint8Array> = {};
  for (const id of await store.keys()) {
    const jpeg = await pictureOf(id);
    if (jpeg) found[id] = new Uint8Array(await jpeg.arrayBuffer());
  }
  return found;
}

export const keepPicture = (id: string, jpeg: Blob): Promise<Blob> => store.setItem(id, jpeg);
/** Lets go of every picture but these. */
export async function keepOnlyPictures(ids: readonly string[]): Promise<void> {
  for (const id of await store.keys()) if (!ids.includes(id)) await store.removeItem(id);
}
/** Null where it is not in this browser: a job may name a photograph that was not brought along. */
export const pictureOf = (id: string): Promise<Blob | null> => store.getItem<Blob>(id);

const JPEG_START = [0xff, 0xd8, 0xff];
/** The pictures of a job, for its file. */
export async function picturesOf(job: Job): Promise<Record<string, string>> {
  const ids = job.cables.flatMap(({ photos }) => photos.map(({ id }) => id));
  const found: Record<string, string> = {};
  for (const id of ids) {
    const jpeg = await pictureOf(id);
    if (jpeg) found[id] = toBase64(new Uint8Array(await jpeg.arrayBuffer()));
  }
  return found;
}

/** Keeps the pictures that came in a job file; what only calls itself a JPEG is left out. */
export async function bringPictures(pictures: Readonly<Record<string, string>>): Promise<void> {
  for (const [id, text] of Object.entries(pictures)) {
    const bytes = Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
    if (JPEG_START.some((byte, i) => bytes[i] !== byte)) continue;
    await keepPicture(id, new Blob([bytes], { type: 'image/jpeg' }));
  }
}
