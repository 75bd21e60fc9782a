import { type Message, verbatim } from '../words/message.ts';
import { term } from '../words/terms.ts';
import {
  ADAPTERS,
  type AdapterFacts,
  type AdapterId,
  POST_KINDS,
  type PostKindFacts,
  type PostKind,
} from './tables/posts.ts';
import type { StudName } from './tables/studs.ts';
import type { End } from './end.ts';
import type { Post } from './shop.ts';

/** What a cable end really meets: a stud for a ring lug, or a tapered post for a clamp. */
export type Meets =
  | { readonly kind: 'stud'; readonly stud: StudName }
  | { readonly kind: 'post'; readonly post: Post };

/** Post and polarity in words: "large taper, positive". */
export const postTitle = ({ kind, polarity }: Post) => verbatim`${POST_KINDS[kind].title}, ${term(polarity)}`;

/** What an end meets, in a word or two: "M10", "large taper +". */
export function meetsWord(meets: Meets): Message {
  if (meets.kind === 'stud') return meets.stud;
  return verbatim`${POST_KINDS[meets.post.kind].title} ${meets.post.polarity === 'positive' ? '+' : '\u2212'}`;
}

/** Adapters that fit a kind of post. */
export function adaptersFor(kind: PostKind): AdapterId[] {
  return (Object.keys(ADAPTERS) as AdapterId[]).filter((id) => ADAPTERS[id].from === kind);
}

/**
 * What an end is bolted or clamped to, through its adapter where there is one.
 *
 * @example endMeets({ stud: 'M8', post: { kind: 'large taper', polarity: 'positive' }, adapter: 'large-to-m10' })
 *   // a stud, M10
 */
export function endMeets({ stud, post, adapter }: Pick<End, 'stud' | 'post' | 'adapter'>): Meets {
  if (!post) return { kind: 'stud', stud };
  const between: AdapterFacts | undefined = adapter && ADAPTERS[adapter];
  if (between && between.from === post.kind) {
    return 'stud' in between.to
      ? { kind: 'stud', stud: between.to.stud }
      : { kind: 'post', post: { kind: between.to.post, polarity: post.polarity } };
  }
  return postTopMm(post) !== null ? { kind: 'post', post } : { kind: 'stud', stud };
}

/** Top diameter of a tapered post, mm; null where it is not tapered. @example postTopMm({ kind: 'large taper', polarity: 'positive' }) // 17.5 */
export function postTopMm({ kind, polarity }: Post): number | null {
  const facts: PostKindFacts = POST_KINDS[kind];
  return facts.topMm?.[polarity] ?? null;
}
