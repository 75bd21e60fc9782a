import type { Topic } from '../../finding/topics.ts';
import { type Polarity } from '../../model/shop.ts';
import { ADAPTERS, type AdapterFacts, POST_KINDS } from '../../model/tables/posts.ts';
import { type Finding, stated, type State } from '../../finding/finding.ts';
import { type Message, msg, numeral } from '../../words/message.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { postTitle, postTopMm } from '../../model/posts.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';

import { term } from '../../words/terms.ts';

/** A battery post and what is put on it: kind, polarity, adapter, and how many cables. */
export function postFindings(end: ResolvedEnd, { cable, onPost }: EndSubject): Finding[] {
  const { post, adapter } = end.spec;
  if (!post) return [];
  const cables = onPost[end.name];
  return [
    matches(end, cable.polarity),
    ...(adapter ? [between(end)] : []),
    ...(cables > 1 && end.meets.kind === 'post' ? [shared(end, cables)] : []),
  ];
}

const facts = (end: ResolvedEnd, key: Topic, title: Message, substituted: readonly Message[]) => ({
  ...about(end, key, title),
  value: null,
  unit: '' as const,
  decimals: 0,
  work: {
    formula: msg`kind and polarity of post, adapter and clamp are the same`,
    substituted,
    source: msg`customary tapered posts, 1:9: the positive is the fatter one`,
    assumes: msg`the battery’s own sheet governs`,
  },
});

function matches(end: ResolvedEnd, polarity: Polarity | 'link'): Finding {
  const { post } = end.spec;
  if (!post) throw new RangeError('no post');
  const top = postTopMm(post);
  const substituted = [
    top === null ? postTitle(post) : msg`${postTitle(post)}: ${numeral(top, 1)} mm at the top`,
    ...(end.lug?.clamp ? [msg`clamp bored for ${postTitle(end.lug.clamp.post)}`] : []),
  ];
  const said = (state: State, because: Message, remedy?: Message) =>
    stated(
      { ...facts(end, 'post', msg`On the post`, substituted), because, ...(remedy && { remedy }) },
      state,
    );
  if (polarity !== 'link' && polarity !== post.polarity) {
    return said(
      'fails',
      msg`A ${term(polarity)} cable on the ${term(post.polarity)} post.`,
      msg`Check the battery again.`,
    );
  }
  const { lug, meets } = end;
  if (meets.kind === 'stud') {
    return lug?.clamp
      ? said('fails', msg`A clamp cannot grip a stud.`, msg`Take a ring lug.`)
      : said('holds', msg`A ring lug on ${meets.stud} at the ${POST_KINDS[post.kind].title}.`);
  }
  if (!lug?.clamp) {
    return said(
      'fails',
      msg`A ring lug does not sit on a tapered post.`,
      msg`Take a clamp, or an adapter to a stud.`,
    );
  }
  const fits = lug.clamp.post.kind === meets.post.kind && lug.clamp.post.polarity === meets.post.polarity;
  return fits
    ? said('holds', msg`The clamp is bored for this post.`)
    : said(
        'fails',
        msg`Bored for ${postTitle(lug.clamp.post)}: it does not fit this one.`,
        msg`Clamps are not interchangeable: take the other.`,
      );
}

function between(end: ResolvedEnd): Finding {
  const { post, adapter } = end.spec;
  const adapterFacts: AdapterFacts | undefined = adapter && ADAPTERS[adapter];
  const fits = adapterFacts !== undefined && adapterFacts.from === post?.kind;
  return stated(
    {
      ...facts(end, 'adapter', msg`Adapter`, adapterFacts ? [adapterFacts.title] : []),
      because: fits
        ? msg`${adapterFacts.title}, in its ${term(post?.polarity)} make.`
        : msg`${adapterFacts?.title} does not fit a ${post && POST_KINDS[post.kind].title}.`,
      ...(!fits && { remedy: msg`Take the adapter that starts from this post.` }),
    },
    fits ? 'holds' : 'fails',
  );
}

function shared(end: ResolvedEnd, cables: number): Finding {
  const takes = end.lug?.clamp?.cables ?? 1;
  return stated(
    {
      ...facts(end, 'post-shared', msg`Cables on one post`, [
        msg`${cables} cables, the clamp takes ${takes}`,
      ]),
      because:
        cables <= takes
          ? msg`A clamp made for ${takes} cables.`
          : msg`${cables} cables on one post need a clamp made for them, not a pile of lugs.`,
      ...(cables > takes && { remedy: msg`Take the clamp for two cables, or a bus bar.` }),
    },
    cables <= takes ? 'holds' : 'fails',
  );
}
