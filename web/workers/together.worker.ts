import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import { speakAsTold } from '../words.ts';
import type { togetherWith } from './togetherWith.ts';

// The page names its worker by the language it speaks; the rooms are loaded after that is known.
const rooms = speakAsTold(self.name).then(() => import('./togetherWith.ts'));
let asked: ReturnType<typeof togetherWith> | undefined;

/** Chooses all sizes of a job at once, away from the page: the page ends the worker to cancel. */
const choosing = {
  async choose(...about: Parameters<Awaited<ReturnType<typeof togetherWith>>['choose']>) {
    asked ??= (await rooms).togetherWith(wasmUrl);
    return (await asked).choose(...about);
  },
  async trade(dropPercent: number) {
    return (await asked)?.trade(dropPercent) ?? null;
  },
};
export type TogetherWorker = typeof choosing;
expose(choosing);
