import type { Message } from '../../words/message.ts';
import { type Stud, STUDS, type StudName } from '../../model/tables/studs.ts';
import { circleMm2 } from '../lugs/lugOnCable.ts';

/** One thing on a stud. */
export interface StackMember {
  /** "th2.B" for the end of a cable, the name for anything else. */
  readonly key: string;
  readonly label: string;
  readonly amps: number;
  /** Null while its lug is not decided. */
  readonly palmMm: number | null;
  readonly isThis: boolean;
}

/** Everything on one stud, from the face outwards. */
export interface StudStack {
  readonly stud: StudName;
  readonly name: Message;
  readonly lengthMm: number | null;
  readonly springWasher: boolean;
  readonly members: readonly StackMember[];
  /** Members whose cables say another stud. */
  readonly disagree: readonly string[];
}

/** No more than this many lugs on a stud, and this many threads beyond the nut. Small-craft practice. */
export const STACK = { mostLugs: 4, threadsBeyond: 1.5 } as const;

/** A spring washer is about as thick as a plain one. */
const washersMm = (stud: Stud, springWasher: boolean) => stud.washerMm * (springWasher ? 2 : 1);

/**
 * Thread that a stack needs, mm: palms, washers, nut and one and a half threads.
 *
 * @example stackMm('M8', [3, 2.5], false) // 3 + 2.5 + 1.6 + 6.8 + 1.9 = 15.8
 */
export function stackMm(studName: StudName, palmsMm: readonly number[], springWasher: boolean): number {
  const stud = STUDS[studName];
  const palms = palmsMm.reduce((sum, mm) => sum + mm, 0);
  return palms + washersMm(stud, springWasher) + stud.nutMm + STACK.threadsBeyond * stud.pitchMm;
}

/** The largest current lies next to the face; where amps are alike, the order given stands. */
export function byAmps<T extends { readonly amps: number }>(members: readonly T[]): T[] {
  return [...members].sort((a, b) => b.amps - a.amps);
}

/**
 * Amps per mm² over the ring that washer and hole leave, between a member and what lies under it: all that is stacked
 * above flows through it too. Null where the hole is as wide as the washer.
 *
 * @example contactDensity('M8', 8.4, 160) // 1.10 A/mm²
 */
export function contactDensity(studName: StudName, holeMm: number, amps: number): number | null {
  const ringMm2 = circleMm2(STUDS[studName].washerOuterMm) - circleMm2(holeMm);
  return ringMm2 > 0 ? amps / ringMm2 : null;
}

/** Amps that flow through the lower face of a member: its own, and those stacked above it. */
export function ampsThrough(members: readonly StackMember[], key: string): number {
  const at = members.findIndex((member) => member.key === key);
  return members.slice(at).reduce((sum, { amps }) => sum + amps, 0);
}
