import type { Stage } from '../model/cable.ts';
import type { Unit } from '../model/units/figure.ts';
import { type Message, amount, msg, verbatim } from '../words/message.ts';

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

/** The least an instrument must tell apart for its reading to say anything. */
export interface Needs {
  readonly least: number;
  readonly unit: Unit;
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
  /** Holds with under a tenth left. A flag, not a verdict. */
  readonly binds?: boolean;
  readonly provenance?: Provenance;
  /** Who read it, when and with what. */
  readonly read?: { readonly by: string; readonly at: string; readonly with?: string; readonly due?: string };
  /** Not proved, and somebody answers for doing without. */
  readonly waived?: { readonly by: string; readonly at: string; readonly why: string };
  /** The least its instrument must tell apart. */
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
  'id' | 'value' | 'limit' | 'use' | 'margin' | 'state' | 'binds' | 'because'
> & {
  readonly value: number;
  readonly because?: Message;
};

/** Under this much left, what holds binds. */
const BINDS_UNDER = 0.1;

const stateOf = (use: number): State => (1 - use >= -1e-9 ? 'holds' : 'fails');
const bindsAt = (use: number, state: State) => state === 'holds' && 1 - use < BINDS_UNDER;
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

const judged = (facts: Facts, limit: Limit, use: number, because: Message, state?: State): Finding => {
  if (!Number.isFinite(facts.value) || !Number.isFinite(use)) return noAnswer(facts);
  const judgedState = state ?? stateOf(use);
  return {
    ...facts,
    id: idOf(facts),
    limit,
    use,
    margin: 1 - use,
    state: judgedState,
    ...(bindsAt(use, judgedState) && { binds: true }),
    because: facts.because ?? because,
  };
};

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
  const relation = use <= 1 + 1e-9 ? msg`lies in` : msg`lies outside`;
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

/** A simulated reading shows what it would mean, and counts as not proved. */
export function simulated(finding: Finding): Finding {
  const { binds: _, ...rest } = finding;
  return {
    ...rest,
    would: finding.state,
    state: 'unproved',
    because: msg`Simulated, so it proves nothing. ${finding.because}`,
  };
}

/**
 * A finding already judged, whose words are written only when somebody reads them: of all the sizes that are tried,
 * one is read.
 */
export interface Judged {
  readonly topic: Topic;
  readonly state: State;
  readonly binds: boolean;
  /** It is not proved because nothing is known to hold it against: no other size would change that. */
  readonly isOpen?: boolean;
  readonly write: () => Finding;
}

/** What {@link atMost} would say of a value, judged now and written later. */
export function judgeAtMost(
  topic: Topic,
  value: number,
  most: number,
  zero: number,
  facts: () => Facts,
): Judged {
  const use = useOfMost(value, most, zero);
  const state = Number.isFinite(use) ? stateOf(use) : 'unproved';
  return { topic, state, binds: bindsAt(use, state), write: () => atMost(facts(), most, zero) };
}

/** A finding that is written already. */
export function asJudged(finding: Finding): Judged {
  const isOpen = finding.state === 'unproved' && finding.limit === undefined;
  return {
    topic: finding.topic,
    state: finding.state,
    binds: finding.binds ?? false,
    isOpen,
    write: () => finding,
  };
}

const BADNESS: Readonly<Record<State, number>> = { fails: 3, unproved: 2, watch: 1, holds: 0 };

/** The worst state of all; holds when there is none. */
export function worst(states: readonly State[]): State {
  return states.reduce<State>((bad, next) => (BADNESS[next] > BADNESS[bad] ? next : bad), 'holds');
}

/** Worst first; among equals the one with least left. */
export function worstFirst(findings: readonly Finding[]): Finding[] {
  const order = (finding: Finding) => BADNESS[finding.state] + (finding.binds ? 0.5 : 0);
  return [...findings].sort((a, b) => order(b) - order(a) || (b.use ?? 0) - (a.use ?? 0));
}
