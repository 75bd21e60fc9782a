import { useBench } from '../stores/bench.ts';
import { usePrefs } from '../stores/prefs.ts';
import { type Everything, readBackup, writeBackup } from './backup.ts';
import type { Parsed } from '../../core/job/file.ts';
import { saveFile } from './files.ts';
import { loadLibrary, replaceLibrary, savePrefs } from './library.ts';
import { allPictures, keepOnlyPictures, keepPicture } from './photos.ts';
import { allRounds, replaceRounds } from './training.ts';
import { say } from '../../core/words/say.ts';

/** Everything that this browser keeps, as one file to put elsewhere. */
export async function backUp(): Promise<void> {
  const bench = useBench();
  const { prefs } = usePrefs();
  await bench.save();
  const madeAt = new Date().toISOString();
  const { jobs, hunts, bin, shop } = bench.document;
  const zip = writeBackup(
    {
      kept: { jobs, hunts, bin, shop },
      prefs: { ...prefs, backedUp: madeAt },
      rounds: await allRounds().catch(() => []),
      photos: await allPictures().catch(() => ({})),
    },
    madeAt,
  );
  saveFile(`gruff-anchor-${madeAt.slice(0, 10)}.zip`, zip, 'application/zip');
  prefs.backedUp = madeAt;
  prefs.backupPutOff = '';
}

/** Reads a backup file, or says in one sentence why it cannot be used. */
export async function openBackup(file: File): Promise<ReturnType<typeof readBackup>> {
  return readBackup(new Uint8Array(await file.arrayBuffer()));
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

/** Adds the jobs of a backup to those that are here, under ids that are free; answers with how many came. */
export async function addFrom({ kept, photos }: Everything): Promise<number> {
  const bench = useBench();
  for (const [id, bytes] of Object.entries(photos))
    await keepPicture(id, new Blob([bytes as BlobPart], { type: 'image/jpeg' }));
  for (const job of kept.jobs)
    bench.addJob(
      job,
      kept.shop ?? bench.shop,
      say`jobs of a backup`,
      kept.hunts.filter((hunt) => hunt.jobId === job.id),
    );
  await bench.save();
  return kept.jobs.length;
}

export type OpenedBackup = Extract<Parsed<Everything>, { ok: true }>['value'];
