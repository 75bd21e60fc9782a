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

/**
 * Which versions of a job to keep: one every five minutes of the last hour, one an hour of the last day, one a day of
 * the last month, one a month before that. Of those that lie too close the older one stays, so that what was kept once
 * does not wander.
 *
 * @param times moments of the versions there are, ms
 */
export function thinned(times: readonly number[], now: number): number[] {
  const kept: number[] = [];
  for (const time of times.toSorted((a, b) => a - b)) {
    const last = kept.at(-1);
    const step = STEPS.find(({ youngerThan }) => now - time < youngerThan);
    // A clock that was put back makes no version vanish.
    if (last === undefined || time > now || time - last >= (step?.apart ?? 0)) kept.push(time);
  }
  return kept.slice(-MOST_KEPT);
}
