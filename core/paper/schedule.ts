import { tell } from '../words/message.ts';
import { sizeLabel } from '../model/tables/size.ts';
import type { WorkedCable } from '../cableWork.ts';
import { parseSize } from '../model/parseSize.ts';
import type { Cable } from '../model/cable.ts';
import { cableSchema } from '../model/cable.ts';
import {
  type Column,
  csvTitles,
  quantityField,
  type Read,
  readCsv,
  type RowProblem,
  textField,
  writeCsv,
} from '../model/csv.ts';
import { readJacket, readPole, readStud } from '../model/namedBy.ts';
import { refusalSays } from '../model/refusal.ts';
import { newCable } from '../model/newCable.ts';
import { type Shop } from '../model/shop.ts';
import { called } from '../model/catalogue/called.ts';
import { say } from '../words/say.ts';

const sizeField = (text: string): Read => {
  const entry = parseSize(text, 'metric');
  return entry.ok ? { ok: true, value: entry.size } : entry;
};
const whole = (value: number | undefined, decimals = 0) =>
  value === undefined ? '' : value.toFixed(decimals);

/** The schedule of cables, as it goes out and comes in. */
const COLUMNS: readonly Column<WorkedCable>[] = [
  { key: 'tag', title: 'tag', read: textField(80), write: ({ cable }) => cable.tag },
  { key: 'from', title: 'from', empty: '', read: textField(60), write: ({ cable }) => cable.ends.A.at },
  { key: 'to', title: 'to', empty: '', read: textField(60), write: ({ cable }) => cable.ends.B.at },
  {
    key: 'systemV',
    title: 'volts',
    empty: undefined,
    read: quantityField('voltage', 1, 1000),
    write: ({ cable }) => whole(cable.run.systemV),
  },
  {
    key: 'amps',
    title: 'amps',
    empty: 0,
    read: quantityField('current', 0, 5000),
    write: ({ work }) => whole(work.choice.taken.at.currentA ?? undefined, 1),
  },
  {
    key: 'lengthMm',
    title: 'length mm',
    read: quantityField('length', 50, 1e6),
    write: ({ cable }) => whole(cable.run.lengthMm),
  },
  {
    key: 'loopMm',
    title: 'loop mm',
    empty: 0,
    read: quantityField('length', 0, 10000),
    write: ({ cable }) => whole(cable.run.loopMm),
  },
  {
    key: 'size',
    title: 'size',
    empty: undefined,
    read: sizeField,
    write: ({ work }) => sizeLabel(work.choice.taken.at.size),
  },
  {
    key: 'kind',
    title: 'cable',
    empty: undefined,
    read: textField(80),
    write: ({ work }) => work.kind.title,
  },
  {
    key: 'jacket',
    title: 'colour',
    empty: undefined,
    read: readJacket,
    write: ({ cable }) => cable.jacket,
  },
  { key: 'polarity', title: 'pole', empty: undefined, read: readPole, write: ({ cable }) => cable.polarity },
  {
    key: 'studA',
    title: 'stud A',
    empty: 'M8',
    read: readStud,
    write: ({ cable }) => cable.ends.A.stud,
  },
  {
    key: 'studB',
    title: 'stud B',
    empty: 'M8',
    read: readStud,
    write: ({ cable }) => cable.ends.B.stud,
  },
];

/** What only goes out: it is computed here, and would be computed again. */
const OUT: readonly Column<WorkedCable>[] = [
  ...COLUMNS,
  {
    key: 'cutMm',
    title: 'cut mm',
    read: textField(20),
    write: ({ work }) => whole(work.lengths?.cutMm),
  },
  { key: 'lugA', title: 'lug A', read: textField(80), write: ({ work }) => work.ends.A.lug?.label ?? '' },
  { key: 'lugB', title: 'lug B', read: textField(80), write: ({ work }) => work.ends.B.lug?.label ?? '' },
  {
    key: 'verdict',
    title: 'verdict',
    read: textField(200),
    write: ({ work }) => tell(work.verdict.sentence),
  },
];

export const writeScheduleCsv = (cables: readonly WorkedCable[]) => writeCsv(OUT, cables);

/** Fields that a schedule may hold, and what they are usually called: to match columns with. */
export const SCHEDULE_FIELDS: readonly {
  readonly key: string;
  readonly title: string;
  readonly required: boolean;
}[] = COLUMNS.map((column) => ({ key: column.key, title: column.title, required: !('empty' in column) }));

const ALSO: Readonly<Record<string, readonly string[]>> = {
  tag: ['id', 'name', 'no', 'number', 'cable no', 'cable id', 'label'],
  from: ['source', 'start', 'end a', 'a'],
  to: ['destination', 'load', 'end b', 'b'],
  systemV: ['voltage', 'system', 'v', 'u'],
  amps: ['current', 'a max', 'i', 'current a'],
  lengthMm: ['length', 'run', 'len', 'length m', 'distance'],
  loopMm: ['loop', 'slack', 'service loop'],
  size: ['gauge', 'awg', 'mm2', 'csa', 'cross section', 'conductor'],
  kind: ['type', 'cable type', 'cable kind'],
  jacket: ['color', 'jacket', 'insulation colour', 'insulation color', 'kleur'],
  polarity: ['polarity', 'pos/neg', '+/-', 'sign', 'pool'],
  studA: ['stud from', 'hole a', 'stud 1', 'terminal a', 'terminal 1', 'lug a', 'bolt a', 'ring a'],
  studB: ['stud to', 'hole b', 'stud 2', 'terminal b', 'terminal 2', 'lug b', 'bolt b', 'ring b'],
};
const fold = (title: string) =>
  title
    .trim()
    .toLowerCase()
    .replace(/[\s_()[\].²]+/g, ' ')
    .trim();

/** Which column of a file most likely holds which field, by their titles. */
export function guessMapping(contents: string): Map<string, number> {
  const titles = csvTitles(contents).map(fold);
  const mapping = new Map<string, number>();
  for (const { key, title } of COLUMNS) {
    const names = [title, ...(ALSO[key] ?? [])].map(fold);
    const at = titles.findIndex((own, i) => names.includes(own) && ![...mapping.values()].includes(i));
    if (at >= 0) mapping.set(key, at);
  }
  return mapping;
}

/** A file to begin from: the columns with their titles, and two rows that show what goes into them. */
export const scheduleTemplate = (): string =>
  [
    COLUMNS.map(({ title }) => title).join(','),
    'TH-1,Battery +,Thruster +,24,240,6400,0,70,,red,positive,M8,M10',
    'TH-2,Thruster -,Battery -,24,240,6800,0,70,,black,negative,3/8,M8',
    '',
  ].join('\r\n');

export interface ScheduleRead {
  readonly cables: readonly Cable[];
  readonly problems: readonly RowProblem[];
}

/**
 * Reads a schedule of cables. A row with anything wrong makes no cable and is named; nothing is taken over here.
 *
 * @param mapping which column of the file holds which field
 * @param ids a fresh id for each cable
 * @param lengthUnit what a bare figure in the length column means
 */
// oxlint-disable-next-line max-lines-per-function -- one pass over the rows, refused or taken as a whole
export function readSchedule(
  contents: string,
  mapping: ReadonlyMap<string, number>,
  shop: Shop,
  ids: () => string,
  lengthUnit: 'mm' | 'm' | 'in' | 'ft' = 'mm',
): ScheduleRead {
  const columns = COLUMNS.map((column) =>
    column.key === 'lengthMm' && lengthUnit !== 'mm'
      ? {
          ...column,
          read: (text: string) => column.read(/[a-z"']/i.test(text) ? text : `${text} ${lengthUnit}`),
        }
      : column,
  );
  const { rows, problems } = readCsv(columns, contents, mapping);
  const found: RowProblem[] = [...problems];
  const seen = new Map<string, number>();
  const cables = rows.flatMap(({ row, fields }) => {
    const { tag, from, to, systemV, amps, lengthMm, loopMm, size, kind, jacket, polarity, studA, studB } =
      fields;
    const before = seen.get(String(tag));
    if (before !== undefined) {
      found.push({ row, column: 'tag', sentence: say`“${String(tag)}” is already in row ${before}.` });
      return [];
    }
    seen.set(String(tag), row);
    const owned =
      kind === undefined
        ? shop.cableKinds[0]
        : shop.cableKinds.find(({ title }) =>
            [title, called(title)].some((own) => fold(own) === fold(String(kind))),
          );
    if (!owned) {
      found.push({
        row,
        column: 'cable',
        sentence: say`No kind “${String(kind)}” is known: ${shop.cableKinds.map(({ title }) => called(title)).join(', ')}.`,
      });
      return [];
    }
    const fresh = newCable(ids(), String(tag), shop);
    const data = {
      ...fresh,
      polarity: polarity ?? 'positive',
      jacket: jacket ?? (polarity === 'negative' ? 'black' : 'red'),
      run: {
        ...fresh.run,
        systemV: systemV ?? fresh.run.systemV,
        load: { kind: 'amps', amps },
        lengthMm,
        loopMm,
        return: { kind: 'cable', lengthMm },
      },
      gauge: { kindId: owned.id, ...(size !== undefined && { size }) },
      ends: { A: { at: from, stud: studA }, B: { at: to, stud: studB } },
    };
    const parsed = cableSchema.safeParse(data);
    if (parsed.success) return [parsed.data];
    found.push({ row, column: '', sentence: `${refusalSays(parsed.error, data)}.` });
    return [];
  });
  return { cables, problems: found.sort((a, b) => a.row - b.row) };
}
