import { ref } from 'vue';
import { say } from '../../core/words/say.ts';

/** Who is waited for does not want it any more. */
class Stopped extends Error {}

/** Told between two steps of long work: how many are done, and of how many. Throws where it is to go no further. */
export type Step = (done: number, of: number) => void;

const SAYS = {
  stopped: () => say`Stopped; nothing was saved.`,
  failed: () => say`This file could not be made. Print the page instead: it holds the same.`,
};

/**
 * Long work: how far it is, a way to leave it, and one sentence where it cannot be done.
 *
 * @param says what is said where it was stopped or failed; by default that of a file in the making
 */
export function useMaking(says: Partial<typeof SAYS> = {}) {
  const busy = ref('');
  const problem = ref('');
  let isLeft = false;
  async function keep(what: string, make: () => Promise<void>): Promise<void> {
    busy.value = what;
    problem.value = '';
    isLeft = false;
    try {
      await make();
    } catch (error) {
      problem.value = { ...SAYS, ...says }[error instanceof Stopped ? 'stopped' : 'failed']();
    }
    busy.value = '';
  }
  /** Says how far it is. Between two such steps it can be left: then it goes no further. */
  function step(now: string): void {
    if (isLeft) throw new Stopped();
    busy.value = now;
  }
  const stop = () => void (isLeft = true);
  return { busy, problem, keep, step, stop };
}
