import { transfer, wrap } from 'comlink';
import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { type Everything, type readBackup, writeBackup } from './backup.ts';
import type { Parsed } from '../../core/model/file.ts';
import { saveFile } from './files.ts';
import { loadLibrary, replaceLibrary, savePrefs } from './library.ts';
import { allPictures, bringPictures, keepOnlyPictures, keepPicture, underFreeNames } from './photos.ts';
import { allRounds, replaceRounds } from './training.ts';
import { spokenHere } from '../words.ts';
import type { BackupWorker } from '../workers/backup.worker.ts';
import { say } from '../../core/words/say.ts';

/**
 * Everything that this browser keeps, as one file to put elsewhere.
 *
 * @returns what could not be put into it, in a sentence; empty where nothing is missing
 */
export async function backUp(): Promise<string> {
  const bench = useBench();
  const { prefs } = usePrefs();
  await bench.save();
  const madeAt = new Date().toISOString();
  const { jobs, hunts, bin, shop } = bench.document;
  const { pictures, damaged } = await allPictures().catch(() => ({ pictures: {}, damaged: [] as string[] }));
  const zip = await writeBackup(
    {
      kept: { jobs, hunts, bin, shop },
      prefs: { ...prefs, backedUp: madeAt },
      rounds: await allRounds().catch(() => []),
      photos: pictures,
    },
    madeAt,
  );
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

/** Reads a backup file in a worker, or says in one sentence why it cannot be used. */
export async function openBackup(file: File): Promise<Awaited<ReturnType<typeof readBackup>>> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const worker = new Worker(new URL('../workers/backup.worker.ts', import.meta.url), {
    type: 'module',
    name: spokenHere(),
  });
  const longest = PATIENCE_MS + bytes.length * PATIENCE_MS_PER_BYTE;
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    return await Promise.race([
      wrap<BackupWorker>(worker).read(transfer(bytes, [bytes.buffer])),
      new Promise<never>((_, reject) => {
        timer = setTimeout(() => reject(new Error('too long')), longest);
      }),
    ]);
  } catch {
    return {
      ok: false,
      sentence: say`This file takes far longer to read than any backup of its size; it was not read.`,
      path: '',
    };
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}

/** Puts a backup in the place of all that is here: afterwards this browser keeps exactly what the backup holds. */
export async function replaceWith({ kept, prefs, rounds, photos }: Everything): Promise<void> {
  const bench = useBench();
  await bench.save();
  for (const [id, bytes] of Object.entries(photos))
    await keepPicture(id, new Blob([bytes as BlobPart], { type: 'image/jpeg' }));
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
 * @returns how many came, and why something did not; that is empty where all did
 */
export async function addFrom({ kept, photos }: Everything): Promise<{ count: number; lacks: string }> {
  const bench = useBench();
  let [count, lacks] = [0, ''];
  for (const own of kept.jobs) {
    const { job, pictures } = await underFreeNames(own, photos);
    const hunts = kept.hunts.filter((hunt) => hunt.jobId === own.id);
    if (bench.addJob(job, kept.shop ?? bench.shop, say`jobs of a backup`, hunts)) {
      count += 1;
      lacks ||= await bringPictures(pictures);
    } else lacks ||= bench.refusal;
  }
  await bench.save();
  return { count, lacks };
}

export type OpenedBackup = Extract<Parsed<Everything>, { ok: true }>['value'];
