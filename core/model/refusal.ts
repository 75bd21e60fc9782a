import type * as z from 'zod/mini';
import { type Fields, isFields } from './fields.ts';
import { digits } from '../words/numerals.ts';
import { say } from '../words/say.ts';

const textOf = (data: unknown): string => (typeof data === 'string' ? data.slice(0, 40) : '');

/** What is in a list: how one of it is called, by its own name or by its number. */
const THINGS: Readonly<Record<string, (item: Fields, n: number) => string>> = {
  jobs: ({ title }, n) => say`job ${textOf(title) || n}`,
  cables: ({ tag }, n) => say`cable ${textOf(tag) || n}`,
  hunts: ({ title }, n) => say`hunt ${textOf(title) || n}`,
  pieces: ({ title }, n) => say`part ${textOf(title) || n}`,
  studs: ({ name }, n) => say`stud ${textOf(name) || n}`,
  survey: ({ tag }, n) => say`old cable ${textOf(tag) || n}`,
  lugs: ({ label }, n) => say`lug ${textOf(label) || n}`,
  tools: ({ title }, n) => say`tool ${textOf(title) || n}`,
  dies: ({ stamp }, n) => say`die ${textOf(stamp) || n}`,
  cableKinds: ({ title }, n) => say`cable kind ${textOf(title) || n}`,
  spools: ({ label }, n) => say`spool ${textOf(label) || n}`,
  instruments: ({ title }, n) => say`instrument ${textOf(title) || n}`,
  sleeves: (_, n) => say`sleeve ${n}`,
  trials: (_, n) => say`trial ${n}`,
  sizes: (_, n) => say`size ${n}`,
  readings: (_, n) => say`reading ${n}`,
  records: (_, n) => say`record ${n}`,
  joins: (_, n) => say`join ${n}`,
  devices: (_, n) => say`device ${n}`,
  fuses: (_, n) => say`fuse ${n}`,
  zones: (_, n) => say`stretch ${n}`,
  holes: (_, n) => say`hole ${n}`,
  steps: (_, n) => say`step ${n}`,
  photos: (_, n) => say`photograph ${n}`,
};
/** Names of parts that say nothing to a person who reads where something stands. */
const SILENT = new Set(['job', 'shop', 'ends', 'run', 'gauge', 'way', 'route']);

/**
 * Where in a job, a shop or a hunt something stands, as a person would say it.
 *
 * @param root what the path begins in
 * @example placeSays(['job', 'cables', 1, 'ends', 'A', 'stud'], file) // "cable TH-3, end A, “stud”"
 */
export function placeSays(path: readonly PropertyKey[], root: unknown): string {
  const said: string[] = [];
  let reached: unknown = root;
  path.forEach((key, i) => {
    reached =
      typeof reached === 'object' && reached !== null
        ? (reached as Record<PropertyKey, unknown>)[key]
        : undefined;
    const list = String(path[i - 1] ?? '');
    const isLast = i === path.length - 1;
    if (typeof key === 'number') {
      const called = THINGS[list]?.(isFields(reached) ? reached : {}, key + 1);
      said.push(called ?? say`entry ${key + 1}`);
    } else if (list === 'ends') said.push(say`end ${String(key)}`);
    else if (isLast || (typeof path[i + 1] !== 'number' && !SILENT.has(String(key))))
      said.push(`“${String(key)}”`);
    else if (typeof path[i + 1] === 'number' && !THINGS[String(key)]) said.push(`“${String(key)}”`);
  });
  return said.join(', ');
}

const TYPES: Readonly<Record<string, () => string>> = {
  string: () => say`must be text`,
  number: () => say`must be a number`,
  int: () => say`must be a whole number`,
  boolean: () => say`must be yes or no`,
  array: () => say`must be a list`,
};

const most = (origin: string, maximum: number): string => {
  if (origin === 'string') return say`is longer than ${maximum} letters`;
  if (origin === 'array') return say`holds more than ${maximum}`;
  return say`is more than ${digits(maximum, 0)}`;
};
const least = (origin: string, minimum: number): string => {
  if (origin === 'string') return say`is shorter than ${minimum} letters`;
  if (origin === 'array') return say`holds fewer than ${minimum}`;
  return say`is less than ${digits(minimum, Number.isInteger(minimum) ? 0 : 2)}`;
};

const valueAt = (path: readonly PropertyKey[], root: unknown): unknown =>
  path.reduce<unknown>(
    (data, key) =>
      typeof data === 'object' && data !== null ? (data as Record<PropertyKey, unknown>)[key] : undefined,
    root,
  );

/** What is wrong, without where: "is missing", "is more than 5 000". */
function wrongSays(issue: z.core.$ZodIssue, root: unknown): string {
  const value = valueAt(issue.path, root);
  switch (issue.code) {
    case 'invalid_type':
      if (value === undefined) return say`is missing`;
      return TYPES[issue.expected]?.() ?? say`is not what belongs there`;
    case 'too_big':
      return most(issue.origin, Number(issue.maximum));
    case 'too_small':
      return least(issue.origin, Number(issue.minimum));
    case 'invalid_value':
      return value === undefined
        ? say`is missing`
        : say`must be one of ${issue.values.slice(0, 12).map(String).join(', ')}`;
    case 'unrecognized_keys':
      return say`holds what is not known here: ${issue.keys.slice(0, 5).join(', ').slice(0, 80)}`;
    case 'invalid_format':
      if (issue.format === 'datetime') return say`must be a moment, as 2026-03-14T09:00:00Z`;
      if (issue.format === 'date') return say`must be a day, as 2026-03-14`;
      return issue.message;
    case 'custom':
      return issue.message;
    default:
      return say`is not what belongs there`;
  }
}

/**
 * What a schema refuses, as a person would say it: where, and what is wrong with it.
 *
 * @param root what was parsed: names of cables and lugs are read out of it
 * @example issueSays(issue, file) // "cable TH-3, end A, “stud” must be one of M5, M6, M8"
 */
export function issueSays(issue: z.core.$ZodIssue, root: unknown): string {
  const place = placeSays(issue.path, root);
  return `${place || say`the file`} ${wrongSays(issue, root)}`;
}

/** The first of what a schema refuses, and how many more there are. */
export function refusalSays({ issues }: z.core.$ZodError, root: unknown): string {
  const [first] = issues;
  if (!first) return say`something is wrong`;
  return `${issueSays(first, root)}${issues.length > 1 ? say` (and ${issues.length - 1} more)` : ''}`;
}
