import type { State } from './finding.ts';
import { type Message, msg } from '../words/message.ts';

/** How each state is said, and its base form after "would". */
export const STATE_WORDS: Readonly<Record<State | 'close', { says: Message; base: Message }>> = {
  holds: { says: msg`passes`, base: msg`pass` },
  close: { says: msg`close‖near its limit`, base: msg`be close` },
  watch: { says: msg`watch`, base: msg`watch` },
  fails: { says: msg`fails`, base: msg`fail` },
  unproved: { says: msg`not proved`, base: msg`not prove` },
};
