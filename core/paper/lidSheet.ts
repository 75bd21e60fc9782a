import { called } from '../model/catalogue/called.ts';
import { sizeNamed } from '../model/tables/size.ts';
import type { DieMap, MapRow } from '../termination/dies/dieMap.ts';
import { amount, tell } from '../words/message.ts';
import { say } from '../words/say.ts';

/** What a lid has room for, mm. */
export const LID_MM = { least: 60, most: 800 } as const;
/** A lid as most are, mm. */
export const USUAL_LID = { widthMm: 300, heightMm: 200 } as const;

/** A line of the sheet: a tool, or one of its dies. */
export interface LidRow {
  readonly kind: 'tool' | 'die';
  /** The tool's name, or the mark of the die as the shop stamped it. */
  readonly mark: string;
  readonly flats: string;
  /** What the die is for. */
  readonly uses: string;
}

/** A lug as it is called on the sheet: "70 mm² heavy". @example lugCalled(row) */
export const lugCalled = ({ lug }: Pick<MapRow, 'lug'>): string =>
  lug.form === 'butt'
    ? lug.label
    : `${tell(sizeNamed(lug.forSize))} ${lug.label.split(' ').slice(1).join(' ')}`;

/** What a die is for: the lugs it is the one for, those it also serves, and those that ask a spare crimp first. */
function usesSay({ rows, columns }: DieMap, column: number): string {
  const lugsWhere = (isIt: (row: MapRow) => boolean) =>
    [...new Set(rows.filter(isIt).map(lugCalled))].join(', ');
  const right = (row: MapRow) => row.cells[column]?.verdict === 'right' && row.cells[column]?.unfit === '';
  const sure = (row: MapRow) => right(row) && row.cells[column]?.sure === true;
  const own = lugsWhere((row) => sure(row) && row.best === column);
  const also = lugsWhere((row) => sure(row) && row.best !== column);
  const spare = lugsWhere((row) => right(row) && !sure(row) && row.best === column);
  const parts = [own, also && say`also ${also}`, spare && say`crimp a spare first: ${spare}`].filter(Boolean);
  if (parts.length > 0) return parts.join('; ');
  return columns[column]?.kind.leaves === 'indent' ? say`by trial only` : say`for none of the lugs owned`;
}

/** The lines of the sheet: tool by tool, each with its dies from the closest to the widest. */
export function lidRows(map: DieMap): LidRow[] {
  const tools = [...new Map(map.columns.map(({ tool }) => [tool.id, tool])).values()];
  return tools.flatMap((tool): LidRow[] => [
    { kind: 'tool', mark: called(tool.title), flats: '', uses: '' },
    ...map.columns
      .map((own, column) => ({ own, column }))
      .filter(({ own }) => own.tool.id === tool.id)
      .sort((a, b) => a.own.learned.flatsMm - b.own.learned.flatsMm)
      .map(({ own, column }): LidRow => ({
        kind: 'die',
        mark: own.die.stamp === '' ? say`no mark` : own.die.stamp,
        flats: tell(amount(own.die.acrossFlatsMm, 'mm', 1)),
        uses: usesSay(map, column),
      })),
  ]);
}

/** A text on the sheet: its left end and its baseline from the upper left corner, and its size, mm. */
export interface LidText {
  readonly xMm: number;
  readonly yMm: number;
  readonly sizeMm: number;
  readonly text: string;
  readonly strong: boolean;
}

/** The sheet as it is drawn, mm from its upper left corner. */
export interface LidSheet {
  readonly widthMm: number;
  readonly heightMm: number;
  /** How large its letters are, mm. */
  readonly sizeMm: number;
  readonly texts: readonly LidText[];
  /** Lines across a column, under each die. */
  readonly rules: readonly { readonly xMm: number; readonly yMm: number; readonly widthMm: number }[];
}

/** How wide a text is at a size, mm. */
export type MeasureText = (text: string, sizeMm: number, strong: boolean) => number;

/** Letters from what is read at arm's length down to what is read close by, mm. */
export const LETTERS = { most: 9, least: 1.8, step: 0.1 } as const;
const MARGIN_MM = 4;
const GAP_MM = 5;
/** From one line to the next, and between two dies, in sizes. */
const LINE = 1.15;
const BETWEEN = 0.45;
const MOST_COLUMNS = 4;

/** A text in as many lines as it takes: broken after a comma or at a space. */
function wrapped(text: string, width: number, wide: (text: string) => number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && wide(longer) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

/** Lays the lines out in so many columns at one size; null where they do not fit. */
function laidAt(
  rows: readonly LidRow[],
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  columns: number,
  sizeMm: number,
  measure: MeasureText,
): Pick<LidSheet, 'texts' | 'rules'> | null {
  const columnMm = (widthMm - 2 * MARGIN_MM - (columns - 1) * GAP_MM) / columns;
  const wide = (text: string, strong: boolean) => measure(text, sizeMm, strong);
  const space = wide('  ', true) + 1;
  const dies = rows.filter(({ kind }) => kind === 'die');
  const markMm = Math.max(0, ...dies.map(({ mark }) => wide(mark, true))) + space;
  const flatsMm = Math.max(0, ...dies.map(({ flats }) => wide(flats, false))) + space;
  const usesMm = columnMm - markMm - flatsMm;
  const texts: LidText[] = [];
  const rules: { xMm: number; yMm: number; widthMm: number }[] = [];
  let column = 0;
  let yMm = MARGIN_MM;
  const blocks = rows.map(({ kind, uses }) =>
    kind === 'tool' ? [''] : wrapped(uses, usesMm, (text) => wide(text, false)),
  );
  for (const [i, { kind, mark, flats }] of rows.entries()) {
    const lines = blocks[i] ?? [];
    // Too long a word stands out of its column: letters this large do not fit.
    if (lines.some((line) => wide(line, false) > usesMm) || (kind === 'tool' && wide(mark, true) > columnMm))
      return null;
    const high = (lines.length * LINE + BETWEEN) * sizeMm;
    // A tool is not left alone at the foot of a column.
    const under = kind === 'tool' ? ((blocks[i + 1]?.length ?? 0) * LINE + BETWEEN) * sizeMm : 0;
    if (yMm + high + under > heightMm - MARGIN_MM) {
      column += 1;
      yMm = MARGIN_MM;
      if (column >= columns || yMm + high + under > heightMm - MARGIN_MM) return null;
    }
    const xMm = MARGIN_MM + column * (columnMm + GAP_MM);
    const put = (text: string, x: number, line: number, strong: boolean) =>
      texts.push({ xMm: x, yMm: yMm + (line * LINE + 1) * sizeMm, sizeMm, text, strong });
    put(mark, xMm, 0, true);
    if (kind === 'die') {
      put(flats, xMm + markMm, 0, false);
      lines.forEach((text, line) => put(text, xMm + markMm + flatsMm, line, false));
    }
    yMm += high;
    rules.push({ xMm, yMm: yMm - 0.1 * sizeMm, widthMm: columnMm });
  }
  return { texts, rules };
}

/**
 * The map of dies as a sheet to stick inside the lid of the tool case, at the size of that lid: with the largest letters
 * that all of it fits in, in as many columns as that takes.
 *
 * @param lid what the lid has room for, mm, {@link LID_MM}
 * @param measure how wide a text is in the face it is printed in
 * @returns null where it would take letters too small to read
 * @example laySheet(lidRows(map), { widthMm: 300, heightMm: 200 }, measure)?.sizeMm // 3.1
 */
export function laySheet(
  rows: readonly LidRow[],
  lid: { readonly widthMm: number; readonly heightMm: number },
  measure: MeasureText,
): LidSheet | null {
  const sizes = Math.round((LETTERS.most - LETTERS.least) / LETTERS.step);
  for (let i = 0; i <= sizes; i += 1) {
    const sizeMm = LETTERS.most - i * LETTERS.step;
    for (let columns = 1; columns <= MOST_COLUMNS; columns += 1) {
      const laid = laidAt(rows, lid, columns, sizeMm, measure);
      if (laid) return { widthMm: lid.widthMm, heightMm: lid.heightMm, sizeMm, ...laid };
    }
  }
  return null;
}
