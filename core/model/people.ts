import type { Job } from './job.ts';

/** Who does something, when, and the id under which it is kept. */
export interface Signed {
  readonly id: string;
  /** ISO 8601. */
  readonly at: string;
  readonly by: string;
}

/** Names, lots and titles are the same whatever their spaces and capitals. @example sameName('R. Alder', ' r. alder') // true */
export const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Everybody who did or measured something on a job, the last one first.
 *
 * @example peopleOf(demo) // ['R. Pell', 'J. Mold']
 */
export function peopleOf(job: Job): string[] {
  const acts = job.cables.flatMap(({ done, readings, reworks, records }) => [
    ...done,
    ...readings,
    ...reworks,
    ...records,
  ]);
  const latest = acts
    .filter(({ by }) => by !== '')
    .toSorted((a, b) => b.at.localeCompare(a.at))
    .map(({ by }) => by);
  return [...new Set(latest)];
}
