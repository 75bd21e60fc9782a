import { toRaw } from 'vue';
import { proxy, type Remote, transfer, wrap } from 'comlink';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import type { Everything, readBackup } from './backup.ts';
import type { Parsed } from '../../core/model/file.ts';
import { saveFile } from './files.ts';
import { loadLibrary, replaceLibrary, savePrefs } from './library.ts';
import { allPictures, bringPictures, keepOnlyPictures, keepPicture, underFreeNames } from './photos.ts';
import { allRounds, replaceRounds } from './training.ts';
import { spokenHere } from '../words.ts';
import type { BackupWorker } from '../workers/backup.worker.ts';
import type { Step } from '../ui/useMaking.ts';
import { say } from '../../core/words/say.ts';

/**
 * Asks something of a worker of its own, which is ended with the answer, when it takes too long, or as soon as the
 * step it is told of throws: with what was thrown.
 */
async function inWorker<T>(
  ask: (worker: Remote<BackupWorker>, step: Step) => Promise<T>,
  step: Step,
  longestMs?: number,
): Promise<T> {
  const worker = new Worker(new URL('../workers/backup.worker.ts', import.meta.url), {
    type: 'module',
    name: spokenHere(),
  });
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    return await new Promise<T>((resolve, reject) => {
      if (longestMs !== undefined) timer = setTimeout(() => reject(new TooLong()), longestMs);
      worker.addEventListener('error', () => reject(new Error('the worker failed')));
      const told: Step = (done, all) => {
        try {
          step(done, all);
        } catch (stopped) {
          reject(stopped);
        }
      };
      ask(wrap<BackupWorker>(worker), proxy(told)).then(resolve, reject);
    });
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
class TooLong extends Error {}

/**
 * Everything that this browser keeps, as one file to put elsewhere.
 *
 * @param step told of each picture that is fetched, then of each entry that is packed
 * @returns what could not be put into it, in a sentence; empty where nothing is missing
 */
export async function backUp(step: Step): Promise<string> {
  const bench = useBench();
  const { prefs } = usePrefs();
  await bench.save();
  const madeAt = new Date().toISOString();
  const { jobs, hunts, bin, shop } = bench.document;
  const { pictures, damaged } = await allPictures(step);
  const everything: Everything = {
    kept: { jobs, hunts, bin, shop },
    // As plain data: what is watched for changes cannot be handed to a worker.
    prefs: { ...toRaw(prefs), backedUp: madeAt },
    rounds: await allRounds().catch(() => []),
    photos: pictures,
  };
  const zip = await inWorker((worker, told) => worker.write(everything, madeAt, told), step);
  saveFile(`gruff-anchor-${madeAt.slice(0, 10)}.zip`, zip, 'application/zip');
  prefs.backedUp = madeAt;
  prefs.backupPutOff = '';
  return damaged.length === 0
    ? ''
    : say`Pictures that cannot be read are not in it: ${damaged.length}. Everything else is.`;
}

/** A small file that takes longer is made to cost time; a large one may take longer, ms and ms a byte. */
const PATIENCE_MS = 2000;
const PATIENCE_MS_PER_BYTE = 1 / 5000;

type Opened = Awaited<ReturnType<typeof readBackup>>;

/** Reads a backup file in a worker, or says in one sentence why it cannot be used. */
export async function openBackup(file: File, step: Step): Promise<Opened> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const longest = PATIENCE_MS + bytes.length * PATIENCE_MS_PER_BYTE;
  try {
    return await inWorker<Opened>(
      (worker, told) => worker.read(transfer(bytes, [bytes.buffer]), told),
      step,
      longest,
    );
  } catch (error) {
    if (!(error instanceof TooLong)) throw error;
    return {
      ok: false,
      sentence: say`This file takes far longer to read than any backup of its size; it was not read.`,
      path: '',
    };
  }
}

/**
 * Puts a backup in the place of all that is here: afterwards this browser keeps exactly what the backup holds.
 *
 * @param step told of each picture that is kept; half of a backup is of no use, so it cannot be left
 */
export async function replaceWith(
  { kept, prefs, rounds, photos }: Everything,
  step: (done: number, of: number) => void,
): Promise<void> {
  const bench = useBench();
  await bench.save();
  const pictures = Object.entries(photos);
  for (const [i, [id, bytes]] of pictures.entries()) {
    step(i, pictures.length);
    await keepPicture(id, new Blob([bytes as BlobPart], { type: 'image/jpeg' }));
  }
  await replaceRounds(rounds);
  await replaceLibrary(kept);
  await savePrefs(prefs);
  await keepOnlyPictures(Object.keys(photos));
  const library = await loadLibrary();
  bench.open(library);
  Object.assign(usePrefs().prefs, library.prefs);
}

/**
 * Adds the jobs of a backup to those that are here, under ids that are free; their pictures too, over none that is here.
 *
 * @param step told before each job; where it throws, the jobs before it stay
 * @returns how many came, and why something did not; that is empty where all did
 */
export async function addFrom(
  { kept, photos }: Everything,
  step: Step,
): Promise<{ count: number; lacks: string }> {
  const bench = useBench();
  let [count, lacks] = [0, ''];
  for (const [i, theirs] of kept.jobs.entries()) {
    try {
      step(i, kept.jobs.length);
    } catch {
      lacks ||= say`Stopped: ${kept.jobs.length - i} of its jobs were not added.`;
      break;
    }
    const { job, pictures } = await underFreeNames(theirs, photos);
    const hunts = kept.hunts.filter((hunt) => hunt.jobId === theirs.id);
    if (bench.addJob(job, kept.shop ?? bench.shop, say`jobs of a backup`, hunts)) {
      count += 1;
      lacks ||= await bringPictures(pictures);
    } else lacks ||= bench.refusal;
  }
  await bench.save();
  return { count, lacks };
}

export type OpenedBackup = Extract<Parsed<Everything>, { ok: true }>['value'];
