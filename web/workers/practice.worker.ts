import { expose } from 'comlink';
import { speakAsTold } from '../words.ts';
import type { compareUnderPractices } from './comparePractices.ts';

// The page names its worker by the language it speaks; the rooms are loaded after that is known.
const rooms = speakAsTold(self.name).then(() => import('./comparePractices.ts'));

/** Works a job up under each practice that a shop could have, away from the page. */
const practising = {
  async compare(...asked: Parameters<typeof compareUnderPractices>): Promise<void> {
    await (await rooms).compareUnderPractices(...asked);
  },
};
export type PracticeWorker = typeof practising;
expose(practising);
