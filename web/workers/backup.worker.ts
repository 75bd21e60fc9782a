import { expose, transfer } from 'comlink';
import * as z from 'zod/mini';
import { speakAsTold } from '../words.ts';
import type { Everything, readBackup } from '../storage/backup.ts';
import type { Step } from '../ui/useMaking.ts';

// As on the page: no probing for what its policy forbids, and the language before anything that says something.
z.config({ jitless: true });
const rooms = speakAsTold(self.name).then(() => import('../storage/backup.ts'));

/** Packs and reads backups away from the page: one that costs time, or is made to, costs the page none. */
const backups = {
  async write(everything: Everything, madeAt: string, step: Step): Promise<Uint8Array> {
    const zip = await (await rooms).writeBackup(everything, madeAt, step);
    return transfer(zip, [zip.buffer]);
  },
  async read(bytes: Uint8Array, step: Step): ReturnType<typeof readBackup> {
    return (await rooms).readBackup(bytes, step);
  },
};
export type BackupWorker = typeof backups;
expose(backups);
