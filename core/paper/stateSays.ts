import type { State } from '../finding.ts';

/** What a verdict is called on paper. */
export const STATE_SAYS: Readonly<Record<State, string>> = {
  holds: 'proved',
  watch: 'holds, to be watched',
  fails: 'fails',
  unproved: 'not proved',
};
