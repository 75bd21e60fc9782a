import { expose } from 'comlink';
import * as z from 'zod/mini';
import { speakAsTold } from '../words.ts';
import type { readBackup } from '../storage/backup.ts';

// As on the page: no probing for what its policy forbids, and the language before anything that says something.
z.config({ jitless: true });
const rooms = speakAsTold(self.name).then(() => import('../storage/backup.ts'));

/** Reads backups away from the page: one that is made to cost time costs the page none. */
const backups = {
  async read(bytes: Uint8Array): ReturnType<typeof readBackup> {
    return (await rooms).readBackup(bytes);
  },
};
export type BackupWorker = typeof backups;
expose(backups);
