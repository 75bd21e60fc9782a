import { say } from '../words/say.ts';
import type { State } from '../finding/finding.ts';

/** What a verdict is called on paper. */
export const STATE_SAYS: Readonly<Record<State, string>> = {
  holds: say`proved`,
  watch: say`passes, to be watched`,
  fails: say`fails`,
  unproved: say`not proved`,
};
