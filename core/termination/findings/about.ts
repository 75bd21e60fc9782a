import type { Message } from '../../words/message.ts';
import type { Topic } from '../../finding/topics.ts';
import type { Stage } from '../../model/cable.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';

/** What every finding of an end starts with: its id with the end's letter, its stage, and its title. */
export function about(end: ResolvedEnd, key: Topic, title: Message) {
  const stage: Stage = 'ends';
  return { topic: key, stage, end: end.name, title };
}
