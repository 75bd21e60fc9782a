import { ref } from 'vue';
import { say } from '../../core/words/say.ts';

/** Who is waited for does not want it any more. */
class Stopped extends Error {}

/** A file in the making: how far it is, a way to leave it, and one sentence where it cannot be made. */
export function useMaking() {
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
      problem.value =
        error instanceof Stopped
          ? say`Stopped; nothing was saved.`
          : say`This file could not be made. Print the page instead: it holds the same.`;
    }
    busy.value = '';
  }
  /** Says how far it is. Between two such steps it can be left: then it goes no further. */
  function step(says: string): void {
    if (isLeft) throw new Stopped();
    busy.value = says;
  }
  const stop = () => void (isLeft = true);
  return { busy, problem, keep, step, stop };
}
