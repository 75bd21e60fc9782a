import type { State } from './finding.ts';
import { type Message, msg } from '../words/message.ts';

/** How each state is said, and its base form after "would". */
export const STATE_WORDS: Readonly<Record<State | 'binds', { says: Message; base: Message }>> = {
  holds: { says: msg`holds`, base: msg`hold` },
  binds: { says: msg`binds`, base: msg`bind` },
  watch: { says: msg`watch`, base: msg`watch` },
  fails: { says: msg`fails`, base: msg`fail` },
  unproved: { says: msg`not proved`, base: msg`not prove` },
};
