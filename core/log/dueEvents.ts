import type { DueEntry } from './log.ts';
import { say } from '../words/say.ts';

/** Something due as a calendar takes it: a whole day with an alarm before it. */
export interface DueEvent {
  /** Stays the same from export to export, so that a calendar updates and does not double. */
  readonly uid: string;
  /** ISO 8601. */
  readonly day: string;
  readonly title: string;
  readonly place: string;
  readonly description: string;
}

const TITLES = {
  'tighten again': say`Retighten`,
  'look again': say`Inspect`,
  replace: say`Replace`,
} as const;
const DOES = {
  'tighten again': say`Isolate and tag first: a battery cannot be switched off. Tighten both studs to their torque and record it.`,
  'look again': say`Heat marks, green copper, rubbed jacket, loose supports, boots in place. Tighten to torque. Record what was found.`,
  replace: say`A get-you-home repair: it must be replaced by this day.`,
} as const;

/** What a calendar is told of everything due. */
export const dueEvents = (list: readonly DueEntry[]): DueEvent[] =>
  list.map(({ entry: { cable, jobId, jobTitle }, due }) => ({
    uid: `${jobId}-${cable.id}-${due.what.replace(/\s+/g, '-')}@gruff-anchor.invalid`,
    day: due.by,
    title: `${TITLES[due.what]} ${cable.tag}`,
    place: jobTitle,
    description: say`${cable.tag}, ${cable.ends.A.at} to ${cable.ends.B.at}. Due by ${due.by}, counted from ${due.since}. ${DOES[due.what]}`,
  }));
