import Papa from 'papaparse';
import { baseUnit, type QuantityKind } from './units/entryUnits.ts';
import { parseQuantity } from './units/quantity.ts';
import { say } from '../words/say.ts';

/** What one field of a table says: a value, or what is wrong with it. */
export type Read =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly sentence: string };

/** One column of a table as it is written to CSV and read back. */
export interface Column<T> {
  readonly key: string;
  /** As it stands in the first line, unit and all. */
  readonly title: string;
  /** What an empty field means; where there is no such meaning, the field must be filled. */
  readonly empty?: unknown;
  readonly read: (text: string) => Read;
  readonly write: (item: T) => string;
}

/** Something wrong in a table: the line as a spreadsheet counts it, the column, and a sentence. */
export interface RowProblem {
  readonly row: number;
  readonly column: string;
  readonly sentence: string;
}

export interface TableRead {
  /** Rows that are right, as fields by key. */
  readonly rows: readonly { readonly row: number; readonly fields: Readonly<Record<string, unknown>> }[];
  readonly problems: readonly RowProblem[];
}

/** More lines than any catalogue has: refused before they are read. */
const MOST_ROWS = 5000;

/**
 * Writes items as CSV that a spreadsheet opens safely: a field that begins like a formula is written as text.
 */
export function writeCsv<T>(columns: readonly Column<T>[], items: readonly T[]): string {
  const data = items.map((item) => columns.map(({ write }) => write(item)));
  return `${Papa.unparse(
    { fields: columns.map(({ title }) => title), data },
    { escapeFormulae: true, newline: '\n' },
  )}\n`;
}

const fold = (title: string) =>
  title
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, ' ');
/** A leading quote is how this file, and spreadsheets, mark text that begins like a formula. */
const unescaped = (text: string) => text.replace(/^'(?=[=+\-@\t\r])/, '').trim();

/**
 * Reads CSV by the titles of its first line, in any order, comma, semicolon or tab. Every problem is listed by row and
 * column; a row with a problem is not among the rows.
 *
 * @param mapping which column of the file holds which field, by its place; by title when not given
 */
export function readCsv<T>(
  columns: readonly Column<T>[],
  contents: string,
  mapping?: ReadonlyMap<string, number>,
): TableRead {
  const { data, errors } = Papa.parse<string[]>(contents.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
  });
  const [head, ...lines] = data;
  const refuse = (sentence: string): TableRead => ({
    rows: [],
    problems: [{ row: 1, column: '', sentence }],
  });
  if (!head || lines.length === 0) return refuse('This file has no rows.');
  if (lines.length > MOST_ROWS) return refuse(`At most ${MOST_ROWS} rows can be read at once.`);
  const titles = head.map(fold);
  const known = columns.map((column) => ({
    column,
    at: mapping ? (mapping.get(column.key) ?? -1) : titles.indexOf(fold(column.title)),
  }));
  const missing = known.filter(({ column, at }) => at < 0 && !('empty' in column));
  if (missing.length > 0) {
    return refuse(`The first line lacks: ${missing.map(({ column }) => column.title).join(', ')}.`);
  }
  const strange = mapping
    ? []
    : head.filter((title) => !columns.some((column) => fold(column.title) === fold(title)));
  const problems: RowProblem[] = [
    ...errors
      .filter(({ type }) => type === 'Quotes')
      .map(({ row = 0, message }) => ({ row: row + 1, column: '', sentence: `${message}.` })),
    ...strange.map((column) => ({ row: 1, column, sentence: say`No such column is known here.` })),
  ];
  const rows = lines.flatMap((line, i) => {
    const row = i + 2;
    const fields: Record<string, unknown> = {};
    const rowProblems: RowProblem[] = [];
    for (const { column, at } of known) {
      const text = unescaped(line[at] ?? '');
      if (text === '' && 'empty' in column) {
        if (column.empty !== undefined) fields[column.key] = column.empty;
        continue;
      }
      const read: Read = text === '' ? { ok: false, sentence: say`This field is empty.` } : column.read(text);
      if (read.ok) fields[column.key] = read.value;
      else rowProblems.push({ row, column: column.title, sentence: read.sentence });
    }
    problems.push(...rowProblems);
    return rowProblems.length > 0 ? [] : [{ row, fields }];
  });
  return { rows, problems };
}

/** The first line of a CSV file: its titles as written. */
export function csvTitles(contents: string): string[] {
  const { data } = Papa.parse<string[]>(contents.replace(/^\uFEFF/, ''), {
    preview: 1,
    skipEmptyLines: 'greedy',
  });
  return data[0] ?? [];
}

/** A text of bounded length. */
export const textField =
  (longest: number) =>
  (text: string): Read =>
    text.length <= longest
      ? { ok: true, value: text }
      : { ok: false, sentence: say`At most ${longest} letters; this has ${text.length}.` };

/** A quantity with or without its unit, within a range. */
export const quantityField =
  (kind: QuantityKind, least: number, most: number) =>
  (text: string): Read => {
    const entry = parseQuantity(text, kind, baseUnit(kind) || undefined, '.');
    if (!entry.ok) return entry;
    return entry.value >= least && entry.value <= most
      ? { ok: true, value: entry.value }
      : {
          ok: false,
          sentence: say`${text} is out of range: ${least} to ${most} ${baseUnit(kind)}.`.replace(' .', '.'),
        };
  };

/** One of a few words. */
export const wordField =
  (words: readonly string[]) =>
  (text: string): Read => {
    const found = words.find((word) => fold(word) === fold(text));
    return found === undefined
      ? { ok: false, sentence: say`“${text}” is not one of: ${words.join(', ')}.` }
      : { ok: true, value: found };
  };

/** Yes or no. */
export function yesField(text: string): Read {
  if (/^(y|yes|true|1|x)$/i.test(text)) return { ok: true, value: true };
  return /^(n|no|false|0)$/i.test(text)
    ? { ok: true, value: false }
    : { ok: false, sentence: say`“${text}” is neither yes nor no.` };
}
