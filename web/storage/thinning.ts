/** How far apart versions are kept, by how old they are, ms. */
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const STEPS: readonly { readonly youngerThan: number; readonly apart: number }[] = [
  { youngerThan: HOUR, apart: 5 * MINUTE },
  { youngerThan: DAY, apart: HOUR },
  { youngerThan: 31 * DAY, apart: DAY },
  { youngerThan: Number.POSITIVE_INFINITY, apart: 30 * DAY },
];
/** Two versions of one job are at least so far apart. */
export const LEAST_APART = 5 * MINUTE;
const MOST_KEPT = 120;

/** Longer than this between two versions nobody worked, or the clock jumped: it counts as no more. */
const LONGEST_GAP = DAY;

/**
 * Which versions of a job to keep: one every five minutes of the last hour of work, one an hour of the last day, one a
 * day of the last month, one a month before that. Of those that lie too close the older one stays, so that what was
 * kept once does not wander.
 *
 * Age is counted from version to version, a gap as a day at most: a clock that runs years ahead, or is put back, makes
 * no version old.
 *
 * @param times moments of the versions there are, ms
 */
export function thinned(times: readonly number[]): number[] {
  const inOrder = times.toSorted((a, b) => a - b);
  const gaps = inOrder.map((time, i) => Math.min(LONGEST_GAP, time - (inOrder[i - 1] ?? time)));
  const ages = inOrder.map((_, i) => gaps.slice(i + 1).reduce((sum, gap) => sum + gap, 0));
  const kept: number[] = [];
  inOrder.forEach((time, i) => {
    const last = kept.at(-1);
    const step = STEPS.find(({ youngerThan }) => (ages[i] ?? 0) < youngerThan);
    if (last === undefined || i === inOrder.length - 1 || time - last >= (step?.apart ?? 0)) kept.push(time);
  });
  return kept.slice(-MOST_KEPT);
}
