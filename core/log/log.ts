import type { State } from '../finding/finding.ts';
import { type Due, duesOf, fittedDay } from '../fit/service.ts';
import type { Cable } from '../model/cable.ts';
import { END_NAMES } from '../model/end.ts';
import type { Job } from '../model/job.ts';
import type { Shop } from '../model/shop.ts';
import { underItsName } from '../model/catalogue/called.ts';
import { say } from '../words/say.ts';

/** One cable of the log. */
export interface LogEntry {
  readonly jobId: string;
  readonly jobTitle: string;
  readonly cable: Cable;
  /** The day it was made: of its last record, else of the last step or reading; null while nothing was done to it. */
  readonly made: string | null;
  readonly fitted: string | null;
  /** Everybody who made, measured, sealed or fitted it, the first to be named first. */
  readonly people: readonly string[];
  readonly tools: readonly string[];
  readonly dies: readonly string[];
  /** Of its last sealed record; null where none is sealed. */
  readonly verdict: State | null;
  readonly simulated: boolean;
  readonly dues: readonly Due[];
}

/** The day of a moment. */
const dayOf = (at: string) => at.slice(0, 10);
const unique = (words: readonly string[]) => [...new Set(words.filter((word) => word !== ''))];

function entryOf(cable: Cable, job: Job, shop: Shop): LogEntry {
  const record = cable.records.at(-1);
  const touched = [...cable.done, ...cable.readings].map(({ at }) => dayOf(at)).sort();
  const dieIds = [
    ...END_NAMES.flatMap((name) => cable.ends[name].dieId ?? []),
    ...cable.joins.flatMap(({ dieId }) => dieId ?? []),
  ];
  const dies = shop.dies.filter(({ id }) => dieIds.includes(id));
  const tools = shop.tools.filter(({ id }) => dies.some(({ toolId }) => toolId === id)).map(underItsName);
  return {
    jobId: job.id,
    jobTitle: job.title,
    cable,
    made: record ? dayOf(record.at) : (touched.at(-1) ?? null),
    fitted: fittedDay(cable),
    people: unique([
      ...cable.done.map(({ by }) => by),
      ...cable.readings.map(({ by }) => by),
      ...cable.records.map(({ by }) => by),
      ...cable.fitted.map(({ by }) => by),
    ]),
    tools: unique(tools.map(({ title }) => title)),
    dies: unique(
      dies.map(
        ({ stamp, toolId }) =>
          `${stamp || say`unmarked`}, ${tools.find(({ id }) => id === toolId)?.title ?? say`no tool`}`,
      ),
    ),
    verdict: record?.verdict ?? null,
    simulated: record?.simulated ?? false,
    dues: duesOf(cable, shop.practice),
  };
}

/** Every cable of every job that anything was ever done to, and those that are only planned. */
export const logOf = (jobs: readonly Job[], shop: Shop): LogEntry[] =>
  jobs.flatMap((job) => job.cables.map((cable) => entryOf(cable, job, shop)));

export const LOG_STATES = {
  all: say`made, and planned`,
  made: say`made`,
  planned: say`planned only`,
  proved: say`proved`,
  'not proved': say`not proved`,
  due: say`due within a month`,
  overdue: say`overdue`,
} as const;
export type LogState = keyof typeof LOG_STATES;

export const LOG_SORTS = {
  newest: say`newest first`,
  oldest: say`oldest first`,
  tag: say`tag`,
  job: say`job`,
  due: say`due soonest`,
} as const;
export type LogSort = keyof typeof LOG_SORTS;

/** What is looked for in the log; empty words ask for nothing. */
export interface LogQuery {
  readonly text: string;
  readonly job: string;
  readonly person: string;
  readonly tool: string;
  readonly die: string;
  readonly keyword: string;
  readonly state: LogState;
  readonly sort: LogSort;
}

export const WHOLE_LOG: LogQuery = {
  text: '',
  job: '',
  person: '',
  tool: '',
  die: '',
  keyword: '',
  state: 'made',
  sort: 'newest',
};

/** The soonest day an entry is due; null where it is due for nothing. */
export const dueDay = ({ dues }: LogEntry): string | null => dues[0]?.by ?? null;

/** Words as they are compared: without case or accents. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** A tag as it is typed in a hurry: "so1" for SO-1. A word without a letter or digit is in none. */
const squeezed = (text: string) => plain(text).replace(/[^\p{L}\p{N}]+/gu, '') || '\0';

function words({ cable, jobTitle, people, tools, dies }: LogEntry): string {
  return plain(
    [
      cable.tag,
      cable.ends.A.at,
      cable.ends.B.at,
      cable.jacket,
      cable.polarity,
      cable.gauge.size?.name ?? '',
      cable.notes,
      jobTitle,
      ...cable.keywords,
      ...people,
      ...tools,
      ...dies,
    ].join(' '),
  );
}

const STATES: Readonly<Record<LogState, (entry: LogEntry, today: string, soon: string) => boolean>> = {
  all: () => true,
  made: ({ made }) => made !== null,
  planned: ({ made }) => made === null,
  proved: ({ verdict }) => verdict === 'holds' || verdict === 'watch',
  'not proved': ({ made, verdict }) => made !== null && verdict !== 'holds' && verdict !== 'watch',
  due: (entry, _, soon) => (dueDay(entry) ?? '9999') <= soon,
  overdue: (entry, today) => (dueDay(entry) ?? '9999') < today,
};

const byText = (a: string, b: string) => a.localeCompare(b, 'en', { numeric: true });
const SORTS: Readonly<Record<LogSort, (a: LogEntry, b: LogEntry) => number>> = {
  newest: (a, b) => byText(b.made ?? '', a.made ?? ''),
  oldest: (a, b) => byText(a.made ?? '9999', b.made ?? '9999'),
  tag: (a, b) => byText(a.cable.tag, b.cable.tag),
  job: (a, b) => byText(a.jobTitle, b.jobTitle),
  due: (a, b) => byText(dueDay(a) ?? '9999', dueDay(b) ?? '9999'),
};

/**
 * The entries that a query asks for, in its order; every word of its text must be found somewhere in an entry.
 *
 * @param today ISO 8601
 * @param soon the last day that counts as due soon
 */
export function searchLog(
  entries: readonly LogEntry[],
  query: LogQuery,
  today: string,
  soon: string,
): LogEntry[] {
  const asked = plain(query.text).split(/\s+/).filter(Boolean);
  // Who looks for a word finds a cable that is only planned too, unless they chose which.
  const state = asked.length > 0 && query.state === WHOLE_LOG.state ? 'all' : query.state;
  const has = (list: readonly string[], word: string) => word === '' || list.includes(word);
  return entries
    .filter(
      (entry) =>
        (query.job === '' || entry.jobId === query.job) &&
        has(entry.people, query.person) &&
        has(entry.tools, query.tool) &&
        has(entry.dies, query.die) &&
        has(entry.cable.keywords, query.keyword) &&
        STATES[state](entry, today, soon) &&
        asked.every(
          (word) => words(entry).includes(word) || squeezed(entry.cable.tag).includes(squeezed(word)),
        ),
    )
    .sort((a, b) => SORTS[query.sort](a, b) || byText(a.cable.tag, b.cable.tag));
}

/** What can be asked for: everything that stands in the log, each word once. */
export function logWords(entries: readonly LogEntry[]): {
  readonly people: readonly string[];
  readonly tools: readonly string[];
  readonly dies: readonly string[];
  readonly keywords: readonly string[];
} {
  const all = (of: (entry: LogEntry) => readonly string[]) => unique(entries.flatMap(of)).sort(byText);
  return {
    people: all(({ people }) => people),
    tools: all(({ tools }) => tools),
    dies: all(({ dies }) => dies),
    keywords: all(({ cable }) => cable.keywords),
  };
}

/** Something due, with the cable it is due for. */
export interface DueEntry {
  readonly entry: LogEntry;
  readonly due: Due;
}

/** Everything that is due for any of the entries, the soonest first. */
export const dueList = (entries: readonly LogEntry[]): DueEntry[] =>
  entries
    .flatMap((entry) => entry.dues.map((due) => ({ entry, due })))
    .sort((a, b) => byText(a.due.by, b.due.by) || byText(a.entry.cable.tag, b.entry.cable.tag));
