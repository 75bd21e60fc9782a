import { parseISO } from 'date-fns';
import { addTo, medianOf } from '../lib/lists.ts';
import type { Job } from '../model/job.ts';
import { kindOf } from '../model/stepId.ts';
import type { Work } from '../finding/finding.ts';
import { msg, numeral, verbatim } from '../words/message.ts';
import type { Step } from './step.ts';

/** How long steps take at this bench, by their kind: seconds, and of how many that was learned. */
export type BenchTimes = ReadonlyMap<string, { readonly seconds: number; readonly count: number }>;

/** Shorter is a step ticked along with the one before it; longer is a pause, or another day. */
const LEAST_S = 5;
const LONGEST_S = 20 * 60;
/** Of fewer steps nothing is learned yet. */
const LEAST_STEPS = 12;

/**
 * What the bench's own clock says: the time from one tick of a person to the next is what the next step took, whichever
 * cable it was of. The middle one of each kind of step counts.
 *
 * @example benchTimes(jobs).get('crimp') // { seconds: 95, count: 14 }
 */
export function benchTimes(jobs: readonly Pick<Job, 'cables'>[]): BenchTimes {
  const ticks = jobs
    .flatMap(({ cables }) => cables.flatMap(({ done }) => done))
    .map(({ step, at: ticked, by }) => ({ kind: kindOf(step), by, at: parseISO(ticked).getTime() }))
    .filter(({ at: ticked }) => Number.isFinite(ticked))
    .sort((a, b) => a.at - b.at);
  const before = new Map<string, number>();
  const taken = new Map<string, number[]>();
  for (const { kind, by, at: ticked } of ticks) {
    const seconds = (ticked - (before.get(by) ?? Number.NaN)) / 1000;
    before.set(by, ticked);
    if (!(seconds >= LEAST_S && seconds <= LONGEST_S)) continue;
    addTo(taken, kind, seconds);
  }
  return new Map([...taken].map(([kind, all]) => [kind, { seconds: medianOf(all), count: all.length }]));
}

/** What making a cable takes by the bench's clock. */
export interface LearnedTime {
  readonly minutes: number;
  /** Steps that it was learned from. */
  readonly count: number;
}

/**
 * The minutes that some steps take by the bench's clock; a kind never timed takes as long as the middle one of all. Null
 * while too few steps were timed.
 */
export function minutesOf(steps: readonly Pick<Step, 'id'>[], times: BenchTimes): LearnedTime | null {
  const known = [...times.values()];
  const count = known.reduce((sum, own) => sum + own.count, 0);
  if (count < LEAST_STEPS) return null;
  const usual = medianOf(known.map(({ seconds }) => seconds));
  const seconds = steps.reduce((sum, { id }) => sum + (times.get(kindOf(id))?.seconds ?? usual), 0);
  return { minutes: seconds / 60, count };
}

/**
 * The minutes that several cables take: each by the bench's clock where that knows enough, else as typed.
 *
 * @param typed minutes a cable
 * @returns `count` is of steps that were timed; null where too few were
 */
export function minutesOfAll(
  works: readonly { readonly steps: readonly Pick<Step, 'id'>[] }[],
  times: BenchTimes,
  typed: number,
): { readonly minutes: number; readonly count: number | null; readonly workings: Work } {
  const learned = works.map(({ steps }) => minutesOf(steps, times));
  const minutes = learned.reduce((sum, own) => sum + (own?.minutes ?? typed), 0);
  const count = learned[0]?.count ?? null;
  const all = numeral(minutes, 0);
  return {
    minutes,
    count,
    workings:
      count === null
        ? {
            formula: msg`cables · minutes a cable`,
            substituted: [msg`${works.length} · ${numeral(typed, 0)} = ${all} min`],
            source: msg`typed by the shop`,
            assumes: msg`one cable takes as long as another`,
          }
        : {
            formula: msg`Σ over the steps of all cables: the middle time of each kind of step`,
            substituted: [
              ...[...times].map(
                ([kind, { seconds, count: n }]) => msg`${kind}: ${numeral(seconds, 0)} s, of ${n}`,
              ),
              verbatim`= ${all} min`,
            ],
            source: msg`the bench’s own clock, from one tick of a person to the next`,
            assumes: msg`a kind of step never timed takes as long as the middle one of all`,
          },
  };
}
