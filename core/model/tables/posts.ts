import { type Message, msg } from '../../words/message.ts';
import type { StudName } from './studs.ts';

/** How a battery lets its current out. */
export interface PostKindFacts {
  readonly title: Message;
  /** Diameter at the top, mm, where the post is tapered. */
  readonly topMm?: { readonly positive: number; readonly negative: number };
  /** The bolt or stud a ring lug goes on, where there is one. */
  readonly bolt?: StudName;
}

/**
 * Battery posts. Source: customary tapered posts, taper 1:9, diameter at the top; the positive is the fatter.
 * Confidence: good for tapers, medium for the rest: the battery's own sheet governs.
 */
export const POST_KINDS = {
  'large taper': { title: msg`large taper`, topMm: { positive: 17.5, negative: 15.9 } },
  'small taper': { title: msg`small taper`, topMm: { positive: 14.7, negative: 13.0 } },
  'side stud': { title: msg`side stud`, bolt: '3/8' },
  blade: { title: msg`blade with a bolt`, bolt: 'M6' },
  'M-stud': { title: msg`M stud`, bolt: 'M8' },
} as const satisfies Record<string, PostKindFacts>;

export type PostKind = keyof typeof POST_KINDS;

/** An adapter between a post and what a cable end can be bolted to. */
export interface AdapterFacts {
  readonly title: Message;
  readonly from: PostKind;
  /** Another kind of post, or a stud for a ring lug. */
  readonly to: { readonly post: PostKind } | { readonly stud: StudName };
  /** It stands beside the clamp on its bolt: what is bolted to it is no cable on the post itself. */
  readonly beside?: true;
}

/** Adapters met in the trade. Each comes in a positive and a negative: the pair has to match. */
export const ADAPTERS = {
  'small-to-large': {
    title: msg`sleeve, small taper to large`,
    from: 'small taper',
    to: { post: 'large taper' },
  },
  'large-to-m8': { title: msg`large taper to M8 stud`, from: 'large taper', to: { stud: 'M8' } },
  'large-to-m10': { title: msg`large taper to M10 stud`, from: 'large taper', to: { stud: 'M10' } },
  'small-to-m8': { title: msg`small taper to M8 stud`, from: 'small taper', to: { stud: 'M8' } },
  'side-to-large': { title: msg`side stud to large taper`, from: 'side stud', to: { post: 'large taper' } },
  'side-to-m10': { title: msg`side stud to M10 stud`, from: 'side stud', to: { stud: 'M10' } },
  'stud-to-large': { title: msg`M stud to large taper`, from: 'M-stud', to: { post: 'large taper' } },
  'blade-to-m8': { title: msg`blade to M8 stud`, from: 'blade', to: { stud: 'M8' } },
  'large-beside-m8': {
    title: msg`parallel fitting on the clamp’s bolt, M8 stud`,
    from: 'large taper',
    to: { stud: 'M8' },
    beside: true,
  },
  'small-beside-m8': {
    title: msg`parallel fitting on the clamp’s bolt, M8 stud`,
    from: 'small taper',
    to: { stud: 'M8' },
    beside: true,
  },
} as const satisfies Record<string, AdapterFacts>;

export type AdapterId = keyof typeof ADAPTERS;
