import { ref } from 'vue';
import { say } from '../../core/words/say.ts';

/** A file in the making: what is being done, and one sentence where it cannot be made. */
export function useMaking() {
  const busy = ref('');
  const problem = ref('');
  async function keep(what: string, make: () => Promise<void>): Promise<void> {
    busy.value = what;
    problem.value = '';
    try {
      await make();
    } catch {
      problem.value = say`This file could not be made. Print the page instead: it holds the same.`;
    }
    busy.value = '';
  }
  return { busy, problem, keep };
}
