import type { Assessment } from '../sizing/assess.ts';
import type { Facts, Finding, Work } from '../finding/finding.ts';
import type { Topic } from '../finding/topics.ts';
import type { SystemState } from '../model/system.ts';
import type { Unit } from '../model/units/figure.ts';
import { capitalised, type Message, msg, numeral } from '../words/message.ts';
import { type Guard, guardKey } from './protection.ts';
import type { PieceOf } from './installation.ts';
import type { SystemView } from './view.ts';

/** A finding of the installation, with what it speaks of. */
export interface SystemFinding extends Finding {
  readonly places: readonly string[];
  readonly cables: readonly string[];
  /** The state that it is worst in; null where it is of all. */
  readonly stateId: string | null;
}

/** What is known of a cable's own conductor, from its bench. */
export interface CableLimits {
  readonly at: Assessment;
  /** A that it is allowed by the strictest method switched on; null where none says. */
  readonly allowedA: number | null;
  /** A·√s/mm² in a short, from the temperature it is held at; null where it never settles. */
  readonly k: number | null;
}
export type LimitsOf = (cableId: string) => CableLimits | null;

/** What a finding points at. */
export const about = (
  finding: Finding,
  { places = [], cables = [], stateId = null }: Partial<Pick<SystemFinding, 'places' | 'cables' | 'stateId'>>,
): SystemFinding => ({ ...finding, places, cables, stateId });

/** Part of a finding's name: ids of places and cables can be long. */
const LONGEST_PART = 180;
/** The facts of a finding of the installation. */
export const facts = (
  topic: Topic,
  part: string,
  title: Message,
  [unit, decimals]: readonly [Unit, number],
  work: Work,
): Omit<Facts, 'value' | 'because'> & { readonly stage: 'gauge' } => ({
  topic,
  part: part.slice(0, LONGEST_PART),
  stage: 'gauge',
  title: capitalised(title),
  unit,
  decimals,
  work,
});

/** How long a state lasts: "continuous", "3 min in 15", "12 s". */
export function lastsSays({ lasts }: SystemState): Message {
  if (lasts.kind === 'held') return msg`continuous`;
  const { seconds, everySeconds } = lasts;
  const isMinutes = seconds >= 60 && seconds % 30 === 0 && (everySeconds ?? 60) % 30 === 0;
  const time = (s: number) => numeral(isMinutes ? s / 60 : s, (isMinutes ? s % 60 : s % 1) === 0 ? 0 : 1);
  if (everySeconds === undefined) return isMinutes ? msg`${time(seconds)} min` : msg`${time(seconds)} s`;
  return isMinutes
    ? msg`${time(seconds)} min in ${time(everySeconds)}`
    : msg`${time(seconds)} s in ${time(everySeconds)}`;
}

/** A state with how long it lasts: "Thruster, 3 min in 15". */
export const stateSays = (view: SystemView, stateId: string): Message => {
  const state = view.stateOf(stateId);
  return state ? msg`${state.name}, ${lastsSays(state)}` : stateId;
};

/** What a piece is called. */
export const pieceSays = (view: SystemView, { kind, id }: PieceOf): Message =>
  kind === 'cable'
    ? (view.cableOf(id)?.tag ?? id)
    : kind === 'place'
      ? (view.placeOf(id)?.name ?? id)
      : bondSays(view, id);

/** Two grounds that are joined: "Engine block to Chassis". */
export function bondSays(view: SystemView, id: string): Message {
  const load = view.placeOf(id);
  if (load) return msg`case of ${load.name}`;
  const bond = view.installation.system.bonds.find((own) => own.id === id);
  const name = (place: string | undefined) => (place && view.placeOf(place)?.name) ?? '';
  return msg`${name(bond?.a)} to ${name(bond?.b)}`;
}

/** What a fuse is called: by its place, or by the cable that it is in. */
export function guardSays(view: SystemView, guard: Guard): Message {
  if (guard.kind === 'place') return guard.place.name;
  const cable = view.cableOf(guard.cableId);
  const tag = cable?.tag ?? guard.cableId;
  return (cable?.run.fuses.length ?? 0) > 1
    ? msg`fuse in ${tag}, end ${guard.fuse.end}`
    : msg`fuse in ${tag}`;
}

/** A fuse in the name of a finding. */
export const keyPart = (guard: Guard): string => guardKey(guard).replaceAll(' ', '-');

/** What a finding about a fuse points at. */
export const pointsOf = (guard: Guard) =>
  guard.kind === 'place' ? { places: [guard.place.id] } : { cables: [guard.cableId] };
