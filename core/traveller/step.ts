import { type Message, msg, numeral } from '../words/message.ts';
import type { Finding } from '../finding/finding.ts';
import type { Both, EndName } from '../model/end.ts';
import type { Die } from '../model/shop.ts';
import { actOf } from '../model/stepId.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { CautionId } from '../model/cautions.ts';
import type { ResolvedEnd, SleeveFit } from '../termination/resolveEnd.ts';
import { usesDie } from '../model/method.ts';
import type { Unit } from '../model/units/figure.ts';

/** Parts of the workpiece that a step is about: the drawing lights them and leaves the rest pale. */
export type Feature =
  | 'cut'
  | 'layers'
  | 'strip'
  | 'strands'
  | 'barrel'
  | 'crimp'
  | 'clock'
  | 'sleeve'
  | 'palm'
  | 'tag';

/** What must be true before a step. */
export interface Gate {
  readonly id:
    | 'refused'
    | 'measured'
    | 'tried'
    | 'layers'
    | 'home'
    | 'set'
    | 'clocked'
    | 'kept'
    | 'cool'
    | 'order'
    | 'hot work'
    | 'live';
  /** What must be true, in a few words. */
  readonly says: Message;
  /** Steps that make it true. */
  readonly needs: readonly string[];
  /** It counts only once one of these is done. */
  readonly once?: readonly string[];
  /** Seconds that must have gone by since a step. */
  readonly wait?: { readonly after: string; readonly seconds: number };
  /** A list to be gone through first, once a day. */
  readonly list?: CautionId;
  /** Why it does not open at all as things are, and what would open it. */
  readonly stop?: Stop;
  /** A judgement, that may be gone past with a reason; all else is as the work is. */
  readonly isJudgement?: true;
}

/** Why a step cannot be done with what is chosen, and the way out. */
export interface Stop {
  readonly because: Message;
  readonly remedy: Message;
}

/** A figure to be typed before going on, and between what it may lie. */
export interface Ask {
  readonly what: 'strands' | 'across flats' | 'ears';
  readonly words: Message;
  /** Which crimp is measured, counted from the mouth. */
  readonly crimp?: number;
  readonly unit: Unit;
  readonly decimals: number;
  readonly least: number;
  readonly most: number;
  /** What can be meant at all. */
  readonly range: readonly [least: number, most: number];
}

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  /** Two or three words for the list. */
  readonly short: Message;
  /** What to do, as an order. */
  readonly order: Message;
  readonly end?: EndName;
  /** The number one would otherwise look up. */
  readonly figure?: {
    readonly value: number;
    readonly unit: Unit;
    readonly decimals: number;
    readonly means: Message;
  };
  readonly detail: Message;
  /** Why it matters, in one line. */
  readonly why: Message;
  /** The usual caution, where the danger is, and the list it belongs to. */
  readonly caution?: { readonly of: CautionId; readonly says: Message };
  readonly lit: readonly Feature[];
  /** Steps that stand directly before it: it cannot be done without them, see `predecessors`. */
  readonly after: readonly string[];
  readonly gates: readonly Gate[];
  readonly ask?: Ask;
  /** About how long it takes, where that is known; its work can be opened. */
  readonly takes?: Finding;
}

/** A step as it is written, before its order, its gates, its figure to be typed and its time are put to it. */
export type PlainStep = Omit<Step, 'after' | 'gates' | 'ask' | 'takes'>;

/** An end that can be made: its lug, its sleeve, and its die where the method closes one. */
export type ReadyEnd = ResolvedEnd & {
  readonly lug: NonNullable<ResolvedEnd['lug']>;
  readonly sleeve: SleeveFit | null;
  readonly stripMm: number;
};

export const isReady = (end: ResolvedEnd): end is ReadyEnd =>
  end.lug !== null &&
  (end.sleeve !== null || end.method === 'screwed') &&
  (!usesDie(end.method) || (end.die !== null && end.crimps.length > 0));

/** The caution of every step at which a lug is heated. */
export const HOT_WORK = msg`Hot work: no fuel vapour, no charging battery near the flame, extinguisher at hand, eyes covered.`;

/** A die as one looks for it in the case: by its stamp, and by the flats that tell what it is. */
export function dieName({ die: offer }: Pick<ResolvedEnd, 'die'>): Message {
  if (!offer) return msg`no die`;
  const { stamp, acrossFlatsMm } = offer.die;
  return msg`${stamp ? msg`die ${stamp}` : msg`the unmarked die`}, ${numeral(acrossFlatsMm, 1)} across flats`;
}

/** The die that closes at a step, on the cable or on a practice piece; null where none does. */
export function dieAt(
  { id, end }: Pick<Step, 'id' | 'end'>,
  ends: Both<ResolvedEnd>,
  joins: readonly ResolvedJoin[],
): Die | null {
  if (end) return actOf({ id }) === 'crimp' ? (ends[end].die?.die ?? null) : null;
  return joins.find(({ spec }) => id === `join-crimp-${spec.id}`)?.die?.die ?? null;
}
