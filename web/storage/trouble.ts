import { say } from '../../core/words/say.ts';
/** Why the browser's store cannot be used, in a sentence. Exporting works without it. */
export function troubleSays(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError')
    return say`This browser’s store is full: what you do now is not kept. Export your jobs or make a backup, then make room.`;
  if (name === 'SecurityError' || name === 'InvalidStateError' || name === 'NotAllowedError')
    return say`This browser keeps nothing here, as in a private window: what you do is gone when it is closed. Export what you need.`;
  return say`This browser could not save. Export your jobs or make a backup, so that nothing is lost.`;
}
