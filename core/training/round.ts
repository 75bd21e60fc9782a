import type { Finding } from '../finding/finding.ts';
import { exercise, type Exercise, type Level } from './exercise.ts';
import type { FaultName } from './faults.ts';
import { inspect } from './inspect.ts';

/** Ends of a round. */
export const ROUND_LENGTH = 5;
/** What an end is worth. */
export const END_POINTS = 10;

/** The ends of a round: the same for the same seed and level. */
export const roundOf = (seed: number, level: Level): Exercise[] =>
  Array.from({ length: ROUND_LENGTH }, (_, i) => exercise(seed, level, i + 1));

/** How an end was marked. */
export interface Marked {
  readonly found: readonly FaultName[];
  readonly missed: readonly FaultName[];
  /** Marked, and not there. */
  readonly wrong: readonly FaultName[];
  readonly points: number;
  /** Every point of the end, with its figures. */
  readonly findings: Readonly<Record<FaultName, Finding>>;
}

/**
 * Holds marks against an end. Of its points a missed fault takes its share; a mark that was wrong takes half a share,
 * and a quarter of the points at least: marking everything earns nothing.
 *
 * @example markEnd(soundEnd, []).points // 10
 */
export function markEnd(drawnEnd: Exercise, marks: readonly FaultName[]): Marked {
  const findings = inspect(drawnEnd.made);
  const found = drawnEnd.faults.filter((name) => marks.includes(name));
  const missed = drawnEnd.faults.filter((name) => !marks.includes(name));
  const wrong = [...new Set(marks)].filter((name) => !drawnEnd.faults.includes(name));
  const share = END_POINTS / Math.max(1, drawnEnd.faults.length);
  const lost = missed.length * share + wrong.length * Math.max(share / 2, END_POINTS / 4);
  return { found, missed, wrong, points: Math.max(0, Math.round(END_POINTS - lost)), findings };
}

/** What a round came to. */
export interface RoundResult {
  readonly points: number;
  readonly of: number;
  readonly found: number;
  readonly missed: number;
  readonly wrong: number;
}

export function resultOf(marked: readonly Marked[]): RoundResult {
  const sum = (of: (own: Marked) => number) => marked.reduce((total, own) => total + of(own), 0);
  return {
    points: sum(({ points }) => points),
    of: marked.length * END_POINTS,
    found: sum(({ found }) => found.length),
    missed: sum(({ missed }) => missed.length),
    wrong: sum(({ wrong }) => wrong.length),
  };
}
