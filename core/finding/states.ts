import type { State } from './finding.ts';
import { say } from '../words/say.ts';

/** How each state is said, and its base form after "would". */
export const STATE_WORDS: Readonly<Record<State | 'binds', { says: string; base: string }>> = {
  holds: { says: say`holds`, base: say`hold` },
  binds: { says: say`binds`, base: say`bind` },
  watch: { says: say`watch`, base: say`watch` },
  fails: { says: say`fails`, base: say`fail` },
  unproved: { says: say`not proved`, base: say`not prove` },
};
