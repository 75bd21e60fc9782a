import type { Topic } from '../../finding/topics.ts';
import { type Polarity } from '../../model/shop.ts';
import { ADAPTERS, type AdapterFacts, POST_KINDS } from '../../model/tables/posts.ts';
import { type Finding, stated, type State } from '../../finding/finding.ts';
import { digits } from '../../model/units/figure.ts';
import { about } from './about.ts';
import type { EndSubject } from '../endSubject.ts';
import { postTitle, postTopMm } from '../../model/posts.ts';
import type { ResolvedEnd } from '../resolveEnd.ts';
import { say } from '../../words/say.ts';
import { word } from '../../words/terms.ts';

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

const facts = (end: ResolvedEnd, key: Topic, title: string, substituted: readonly string[]) => ({
  ...about(end, key, title),
  value: null,
  unit: '' as const,
  decimals: 0,
  work: {
    formula: say`kind and polarity of post, adapter and clamp are the same`,
    substituted,
    source: say`customary tapered posts, 1:9: the positive is the fatter one`,
    assumes: say`the battery’s own sheet governs`,
  },
});

function matches(end: ResolvedEnd, polarity: Polarity | 'link'): Finding {
  const { post } = end.spec;
  if (!post) throw new RangeError('no post');
  const top = postTopMm(post);
  const substituted = [
    top === null ? postTitle(post) : say`${postTitle(post)}: ${digits(top, 1)} mm at the top`,
    ...(end.lug?.clamp ? [say`clamp bored for ${postTitle(end.lug.clamp.post)}`] : []),
  ];
  const said = (state: State, because: string, remedy?: string) =>
    stated(
      { ...facts(end, 'post', say`On the post`, substituted), because, ...(remedy && { remedy }) },
      state,
    );
  if (polarity !== 'link' && polarity !== post.polarity) {
    return said(
      'fails',
      say`A ${word(polarity)} cable on the ${word(post.polarity)} post.`,
      say`Look at the battery again.`,
    );
  }
  const { lug, meets } = end;
  if (meets.kind === 'stud') {
    return lug?.clamp
      ? said('fails', say`A clamp cannot grip a stud.`, say`Take a ring lug.`)
      : said('holds', say`A ring lug on ${meets.stud} at the ${POST_KINDS[post.kind].title}.`);
  }
  if (!lug?.clamp) {
    return said(
      'fails',
      say`A ring lug does not sit on a tapered post.`,
      say`Take a clamp, or an adapter to a stud.`,
    );
  }
  const fits = lug.clamp.post.kind === meets.post.kind && lug.clamp.post.polarity === meets.post.polarity;
  return fits
    ? said('holds', say`The clamp is bored for this post.`)
    : said(
        'fails',
        say`Bored for ${postTitle(lug.clamp.post)}: it does not fit this one.`,
        say`Clamps are not interchangeable: take the other.`,
      );
}

function between(end: ResolvedEnd): Finding {
  const { post, adapter } = end.spec;
  const adapterFacts: AdapterFacts | undefined = adapter && ADAPTERS[adapter];
  const fits = adapterFacts !== undefined && adapterFacts.from === post?.kind;
  return stated(
    {
      ...facts(end, 'adapter', say`Adapter`, adapterFacts ? [adapterFacts.title] : []),
      because: fits
        ? say`${adapterFacts.title}, in its ${word(post?.polarity)} make.`
        : say`${adapterFacts?.title} does not fit a ${post && POST_KINDS[post.kind].title}.`,
      ...(!fits && { remedy: say`Take the adapter that starts from this post.` }),
    },
    fits ? 'holds' : 'fails',
  );
}

function shared(end: ResolvedEnd, cables: number): Finding {
  const takes = end.lug?.clamp?.cables ?? 1;
  return stated(
    {
      ...facts(end, 'post-shared', say`Cables on one post`, [
        say`${cables} cables, the clamp takes ${takes}`,
      ]),
      because:
        cables <= takes
          ? say`A clamp made for ${takes} cables.`
          : say`${cables} cables on one post want a clamp made for them, not a pile of lugs.`,
      ...(cables > takes && { remedy: say`Take the clamp for two cables, or a bus bar.` }),
    },
    cables <= takes ? 'holds' : 'fails',
  );
}
