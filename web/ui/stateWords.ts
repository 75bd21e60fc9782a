import type { State } from '../../core/finding.ts';

/** How each state is said, and its base form after "would". */
export const STATE_WORDS: Readonly<Record<State | 'binds', { says: string; base: string }>> = {
  holds: { says: 'holds', base: 'hold' },
  binds: { says: 'binds', base: 'bind' },
  watch: { says: 'watch', base: 'watch' },
  fails: { says: 'fails', base: 'fail' },
  unproved: { says: 'not proved', base: 'not prove' },
};
