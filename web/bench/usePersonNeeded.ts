import { ref } from 'vue';
import { usePrefs } from '../stores/prefs.ts';
import { say } from '../../core/words/say.ts';

/** A reading stands for nothing without a name: says so, and answers whether one is missing. */
export function usePersonNeeded() {
  const { prefs } = usePrefs();
  const problem = ref('');
  function nameNeeded(): boolean {
    problem.value = prefs.person.trim() === '' ? say`Enter who is measuring first.` : '';
    return problem.value !== '';
  }
  return { problem, nameNeeded };
}
