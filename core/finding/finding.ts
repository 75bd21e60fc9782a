import type { Stage } from '../model/cable.ts';
import type { Unit } from '../model/units/figure.ts';
import { type Message, amount, listed, msg, numeral, verbatim } from '../words/message.ts';

import { idOf, type Subject, type Topic } from './topics.ts';

/** From bad to good the order is fails, unproved, watch, holds: the worst decides. */
export type State = 'holds' | 'watch' | 'fails' | 'unproved';

/** Where a measured value came from. */
export type Provenance = 'typed' | 'instrument' | 'simulated';

export type Limit =
  | { readonly kind: 'most'; readonly most: number }
  | { readonly kind: 'least'; readonly least: number }
  | { readonly kind: 'window'; readonly least: number; readonly most: number };

/** How a figure came about, so that it can be checked by hand. */
export interface Work {
  readonly formula: Message;
  /** The formula with this cable's numbers, a line each. */
  readonly substituted: readonly Message[];
  readonly source: Message;
  readonly assumes: Message;
}

/** The least an instrument must resolve for its reading to say anything. */
export interface Needs {
  readonly least: number;
  readonly unit: Unit;
}

/** Something that a value goes by and that is not known exactly. */
export interface Doubt {
  /** With how much of it is calculated: "length + 2 %". */
  readonly what: Message;
  /** How far the value moves with it towards its limit, in its own unit, at least 0. */
  readonly off: number;
  /** What would settle it, to be put after "To be sure:". */
  readonly settle: Message;
}

/** One thing known, or not known, about a cable: a value, a limit, a margin and a reason. */
export interface Finding extends Subject {
  /** Its name among the findings of its cable, see {@link idOf}: it is stored, and never taken apart. */
  readonly id: string;
  readonly topic: Topic;
  readonly stage: Stage;
  readonly title: Message;
  /** Null where it is not known. */
  readonly value: number | null;
  readonly unit: Unit;
  readonly decimals: number;
  readonly limit?: Limit;
  /** How much of the limit is used up: 1 is at the limit. Absent where there is no limit to come up to. */
  readonly use?: number;
  /** What is left of the limit, as a share; negative past it. */
  readonly margin?: number;
  readonly state: State;
  /** Holds with under a tenth left, or is nearer to its limit than it is known. A flag, not a verdict. */
  readonly close?: boolean;
  /** How far the value may be off towards its limit, in its unit; absent where nothing is calculated of it. */
  readonly uncertainty?: number;
  /** A reading that is nearer to its limit than it is sure: it cannot be separated from it. */
  readonly untold?: true;
  readonly provenance?: Provenance;
  /** Who read it, when and with what. */
  readonly read?: { readonly by: string; readonly at: string; readonly with?: string; readonly due?: string };
  /** Not proved, and somebody answers for doing without. */
  readonly waived?: { readonly by: string; readonly at: string; readonly why: string };
  /** The least its instrument must resolve. */
  readonly needs?: Needs;
  /** What a simulated reading would mean if it were real. */
  readonly would?: State;
  readonly because: Message;
  /** What to do about it. */
  readonly remedy?: Message;
  readonly work: Work;
}

/** What every finding is given; the builders below add limit, use, margin and state. */
export type Facts = Omit<
  Finding,
  'id' | 'value' | 'limit' | 'use' | 'margin' | 'state' | 'close' | 'uncertainty' | 'because'
> & {
  readonly value: number;
  readonly because?: Message;
  /** What it rests on that is not known exactly. */
  readonly doubts?: readonly Doubt[];
  /** It is known otherwise that its doubts could tip it. */
  readonly couldTip?: boolean;
};

/** Under this much left, what holds is close. */
const CLOSE_UNDER = 0.1;

const stateOf = (use: number): State => (1 - use >= -1e-9 ? 'holds' : 'fails');
const closeAt = (use: number, state: State) => state === 'holds' && 1 - use < CLOSE_UNDER;
const useOfMost = (value: number, most: number, zero: number) =>
  most > zero ? (value - zero) / (most - zero) : value > most ? 2 : 1;

/** What no formula can answer is not proved, whatever the limit: a verdict is never better than what is known. */
const noAnswer = ({ because: _, ...facts }: Omit<Facts, 'value'>): Finding => ({
  ...facts,
  id: idOf(facts),
  value: null,
  state: 'unproved',
  because: msg`No figure follows from what is given here: something in it cannot be.`,
});

function judged(given: Facts, limit: Limit, use: number, because: Message, state?: State): Finding {
  const { doubts = [], couldTip = false, ...facts } = given;
  if (!Number.isFinite(facts.value) || !Number.isFinite(use)) return noAnswer(facts);
  const judgedState = state ?? stateOf(use);
  const finding: Finding = {
    ...facts,
    id: idOf(facts),
    limit,
    use,
    margin: 1 - use,
    state: judgedState,
    ...(closeAt(use, judgedState) && { close: true }),
    because: facts.because ?? because,
  };
  return doubts.length > 0 ? doubted(finding, doubts, couldTip) : finding;
}

/** How far all doubts together move a value: they are independent of each other. */
const allDoubts = (doubts: readonly Doubt[]): number => Math.hypot(...doubts.map(({ off }) => off));

/** How far a value is from its limit, in its unit. */
export const roomTo = (value: number, limit: Limit): number =>
  Math.min(
    limit.kind === 'least' ? Number.POSITIVE_INFINITY : limit.most - value,
    limit.kind === 'most' ? Number.POSITIVE_INFINITY : value - limit.least,
  );

/**
 * What is nearer to its limit than it is known does not hold: it is close, to be watched, and says what would settle
 * it. What it may be off stands in its work in any case.
 */
function doubted(finding: Finding, doubts: readonly Doubt[], couldTip: boolean): Finding {
  const { value, limit, unit, decimals, work, state } = finding;
  const uncertainty = allDoubts(doubts);
  const parts = doubts.filter(({ off }) => off > 0).sort((a, b) => b.off - a.off);
  const [largest] = parts;
  if (value === null || !limit || !largest) return finding;
  const digitsShown = Math.max(decimals, 2);
  const line = msg`may be off by ${amount(uncertainty, unit, digitsShown)}: ${listed(
    parts.map(({ what, off }) => verbatim`${what} = ${numeral(off, digitsShown)}`),
    ', ',
  )}`;
  const known = { ...finding, uncertainty, work: { ...work, substituted: [...work.substituted, line] } };
  if (state !== 'holds' || !(couldTip || roomTo(value, limit) < uncertainty)) return known;
  return {
    ...known,
    state: 'watch',
    close: true,
    because: msg`${finding.because} It may be off by ${amount(uncertainty, unit, Math.max(decimals, 1))}, so it is close.`,
    remedy: finding.remedy ?? msg`To be sure: ${largest.settle}.`,
  };
}

const said = (facts: Facts, value: number) => amount(value, facts.unit, facts.decimals);

/**
 * A finding whose value may be at most `most`.
 *
 * @param zero where the bar starts, for figures that do not start at 0: the air's temperature, say
 */
export function atMost(facts: Facts, most: number, zero = 0, state?: State): Finding {
  const use = useOfMost(facts.value, most, zero);
  const relation = facts.value <= most ? msg`is within` : msg`is over`;
  return judged(
    facts,
    { kind: 'most', most },
    use,
    verbatim`${said(facts, facts.value)} ${relation} ${said(facts, most)}.`,
    state,
  );
}

/** A finding whose value must be at least `least`. */
export function atLeast(facts: Facts, least: number, state?: State): Finding {
  const use = facts.value > 0 ? least / facts.value : least > 0 ? 2 : 0;
  const relation = facts.value >= least ? msg`reaches` : msg`is under`;
  return judged(
    facts,
    { kind: 'least', least },
    use,
    verbatim`${said(facts, facts.value)} ${relation} ${said(facts, least)}.`,
    state,
  );
}

/** A finding whose value must lie between two limits; use is 0 in the middle and 1 at either edge. */
export function within(facts: Facts, least: number, most: number, state?: State): Finding {
  const use = Math.abs(facts.value - (least + most) / 2) / ((most - least) / 2);
  const relation = use <= 1 + 1e-9 ? msg`is within` : msg`is outside`;
  const window = msg`${said(facts, least)} to ${said(facts, most)}`;
  return judged(
    facts,
    { kind: 'window', least, most },
    use,
    verbatim`${said(facts, facts.value)} ${relation} ${window}.`,
    state,
  );
}

/** A finding with no limit to come up to: it holds, is watched or fails for the reason given. */
export function stated(
  facts: Omit<Facts, 'because' | 'value'> & { value: number | null; because: Message },
  state: State,
): Finding {
  return facts.value === null || Number.isFinite(facts.value)
    ? { ...facts, id: idOf(facts), state }
    : noAnswer(facts);
}

/** What is missing: never a pass. */
export function notProved(
  facts: Omit<Facts, 'because' | 'value'> & { because: Message },
  limit?: Limit,
): Finding {
  return { ...facts, id: idOf(facts), value: null, ...(limit && { limit }), state: 'unproved' };
}

/** A finding turned to a worse state for a reason of its own: how close it was says nothing any more. */
export function turnedTo(
  finding: Finding,
  state: 'watch' | 'unproved',
  reason: Pick<Finding, 'because' | 'remedy'>,
): Finding {
  const { close: _, ...rest } = finding;
  return { ...rest, state, ...reason };
}

/** A simulated reading shows what it would mean, and counts as not proved. */
export const simulated = (finding: Finding): Finding => ({
  ...turnedTo(finding, 'unproved', { because: msg`Simulated, so it proves nothing. ${finding.because}` }),
  would: finding.state,
});

/**
 * A finding already judged, whose words are written only when somebody reads them: of all the sizes that are tried,
 * one is read.
 */
export interface Judged {
  readonly topic: Topic;
  readonly state: State;
  readonly close: boolean;
  /** It is not proved because nothing is known to hold it against: no other size would change that. */
  readonly isOpen?: boolean;
  readonly write: () => Finding;
}

/**
 * What {@link atMost} would say of a value, judged now and written later.
 *
 * @param doubts what it rests on that is not known exactly: a size that is close is proposed all the same
 */
export function judgeAtMost(
  topic: Topic,
  value: number,
  most: number,
  zero: number,
  facts: () => Facts,
  doubts: readonly Doubt[] = [],
): Judged {
  const use = useOfMost(value, most, zero);
  const state = Number.isFinite(use) ? stateOf(use) : 'unproved';
  const isNear = state === 'holds' && most - value < allDoubts(doubts);
  return {
    topic,
    state,
    close: isNear || closeAt(use, state),
    write: () => atMost({ ...facts(), doubts }, most, zero),
  };
}

/** A finding that is written already. */
export function asJudged(finding: Finding): Judged {
  const isOpen = finding.state === 'unproved' && finding.limit === undefined;
  return {
    topic: finding.topic,
    state: finding.state,
    close: finding.close ?? false,
    isOpen,
    write: () => finding,
  };
}

const BADNESS: Readonly<Record<State, number>> = { fails: 3, unproved: 2, watch: 1, holds: 0 };

/** The worst state of all; holds when there is none. */
export function worst(states: readonly State[]): State {
  return states.reduce<State>((bad, next) => (BADNESS[next] > BADNESS[bad] ? next : bad), 'holds');
}

/** Whether findings of so bad a state are only close: what is to be watched for another reason is not. */
export const isOnlyClose = (findings: readonly Finding[], state: State): boolean =>
  state === 'watch'
    ? findings.every((finding) => finding.state !== 'watch' || finding.close === true)
    : findings.some(({ close }) => close);

/** Where what is close stands: before what holds, behind what is to be watched for another reason. */
const closeness = ({ close, state }: Finding) => (!close ? 0 : state === 'holds' ? 0.5 : -0.25);

/** Worst first; among equals the one with least left. */
export function worstFirst<Own extends Finding>(findings: readonly Own[]): Own[] {
  const order = (finding: Own) => BADNESS[finding.state] + closeness(finding);
  return [...findings].sort((a, b) => order(b) - order(a) || (b.use ?? 0) - (a.use ?? 0));
}
