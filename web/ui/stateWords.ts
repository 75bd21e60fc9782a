import type { State } from '../../core/finding.ts';
import { say } from '../../core/words/say.ts';

/** How each state is said, and its base form after "would". */
export const STATE_WORDS: Readonly<Record<State | 'binds', { says: string; base: string }>> = {
  holds: { says: say`holds`, base: 'hold' },
  binds: { says: say`binds`, base: 'bind' },
  watch: { says: say`watch`, base: 'watch' },
  fails: { says: say`fails`, base: 'fail' },
  unproved: { says: say`not proved`, base: say`not prove` },
};
