import { sizeLabel } from '../tables/size.ts';
import {
  type Column,
  quantityField,
  type Read,
  readCsv,
  type RowProblem,
  textField,
  wordField,
  writeCsv,
  yesField,
} from '../csv.ts';
import { freeId } from '../merge.ts';
import {
  type Die,
  dieSchema,
  type Lug,
  CONNECTOR_COVERS,
  LUG_FORMS,
  lugSchema,
  POLARITIES,
  type Tool,
} from '../shop.ts';
import { parseSize } from '../parseSize.ts';
import { POST_KINDS } from '../tables/posts.ts';
import { STUD_NAMES } from '../tables/studs.ts';
import { isFields } from '../fields.ts';
import { refusalSays } from '../refusal.ts';
import { called } from './called.ts';
import { say } from '../../words/say.ts';

export const sizeField = (text: string): Read => {
  const entry = parseSize(text, 'metric');
  return entry.ok ? { ok: true, value: entry.size } : entry;
};
const countField = (text: string): Read =>
  /^\d{1,5}$/.test(text)
    ? { ok: true, value: Number(text) }
    : { ok: false, sentence: say`“${text}” is not a count.` };
export const plain = (value: number | undefined) => (value === undefined ? '' : String(value));
export const yes = (value: boolean) => (value ? 'yes' : 'no');
const mmField = (least: number, most: number) => quantityField('length', least, most);

const LUG_COLUMNS: readonly Column<Lug>[] = [
  { key: 'label', title: 'lug', read: textField(80), write: ({ label }) => label },
  {
    key: 'family',
    title: 'family',
    empty: 'measured here',
    read: textField(80),
    write: ({ family }) => family,
  },
  { key: 'forSize', title: 'size', read: sizeField, write: ({ forSize }) => sizeLabel(forSize) },
  { key: 'stud', title: 'stud', read: wordField(STUD_NAMES), write: ({ stud }) => stud },
  { key: 'holeMm', title: 'hole mm', read: mmField(2, 30), write: ({ holeMm }) => plain(holeMm) },
  { key: 'boreMm', title: 'bore mm', read: mmField(1, 60), write: ({ boreMm }) => plain(boreMm) },
  { key: 'outerMm', title: 'outside mm', read: mmField(2, 80), write: ({ outerMm }) => plain(outerMm) },
  { key: 'barrelMm', title: 'barrel mm', read: mmField(3, 120), write: ({ barrelMm }) => plain(barrelMm) },
  {
    key: 'palmWidthMm',
    title: 'palm width mm',
    read: mmField(4, 120),
    write: ({ palmWidthMm }) => plain(palmWidthMm),
  },
  {
    key: 'palmThicknessMm',
    title: 'palm thickness mm',
    read: mmField(0.5, 20),
    write: ({ palmThicknessMm }) => plain(palmThicknessMm),
  },
  {
    key: 'studToBarrelMm',
    title: 'stud to barrel mm',
    read: mmField(0, 120),
    write: ({ studToBarrelMm }) => plain(studToBarrelMm),
  },
  { key: 'form', title: 'form', empty: 'tube', read: wordField(LUG_FORMS), write: ({ form }) => form },
  {
    key: 'metal',
    title: 'metal',
    empty: 'copper',
    read: wordField(['copper', 'brass', 'lead']),
    write: ({ metal }) => metal,
  },
  {
    key: 'plating',
    title: 'plating',
    empty: 'tin',
    read: wordField(['tin', 'none']),
    write: ({ plating }) => plating,
  },
  { key: 'sightHole', title: 'sight hole', empty: false, read: yesField, write: (lug) => yes(lug.sightHole) },
  { key: 'flared', title: 'flared', empty: false, read: yesField, write: (lug) => yes(lug.flared) },
  {
    key: 'offsetMm',
    title: 'offset mm',
    empty: 0,
    read: mmField(0, 60),
    write: (lug) => plain(lug.offsetMm),
  },
  {
    key: 'angleDeg',
    title: 'angle deg',
    empty: 0,
    read: quantityField('angle', 0, 90),
    write: ({ angleDeg }) => plain(angleDeg),
  },
  {
    key: 'drilledOut',
    title: 'drilled out',
    empty: false,
    read: yesField,
    write: (lug) => yes(lug.drilledOut),
  },
  { key: 'measured', title: 'measured', empty: true, read: yesField, write: (lug) => yes(lug.measured) },
  {
    key: 'post',
    title: 'post',
    empty: undefined,
    read: wordField(Object.keys(POST_KINDS)),
    write: ({ clamp }) => clamp?.post.kind ?? '',
  },
  {
    key: 'polarity',
    title: 'polarity',
    empty: undefined,
    read: wordField(POLARITIES),
    write: ({ clamp }) => clamp?.post.polarity ?? '',
  },
  {
    key: 'cables',
    title: 'cables',
    empty: undefined,
    read: countField,
    write: ({ clamp }) => plain(clamp?.cables),
  },
  {
    key: 'wallMm',
    title: 'made of tube with wall mm',
    empty: undefined,
    read: mmField(0.5, 8),
    write: ({ madeHere }) => plain(madeHere?.wallMm),
  },
  {
    key: 'solderG',
    title: 'solder g',
    empty: undefined,
    read: quantityField('mass', 0, 500),
    write: ({ solderG }) => plain(solderG),
  },
  {
    key: 'cover',
    title: 'jacket',
    empty: undefined,
    read: wordField(CONNECTOR_COVERS),
    write: ({ cover }) => cover ?? '',
  },
  {
    key: 'price',
    title: 'price',
    empty: 0,
    read: quantityField('number', 0, 1e4),
    write: ({ price }) => plain(price),
  },
  { key: 'stock', title: 'stock', empty: 0, read: countField, write: ({ stock }) => plain(stock) },
];

const dieColumns = (tools: readonly Tool[]): readonly Column<Die>[] => [
  {
    key: 'toolId',
    title: 'tool',
    read: (text) => {
      const found = tools.find(({ title }) =>
        [title, called(title)].some((name) => name.toLowerCase() === text.toLowerCase()),
      );
      return found
        ? { ok: true, value: found.id }
        : {
            ok: false,
            sentence: say`No tool called “${text}” is owned: ${tools.map(({ title }) => called(title)).join(', ')}.`,
          };
    },
    write: ({ toolId }) => tools.find(({ id }) => id === toolId)?.title ?? '',
  },
  { key: 'stamp', title: 'stamp', empty: '', read: textField(12), write: ({ stamp }) => stamp },
  { key: 'code', title: 'code', empty: undefined, read: countField, write: ({ code }) => plain(code) },
  {
    key: 'acrossFlatsMm',
    title: 'across flats mm',
    read: mmField(2, 60),
    write: ({ acrossFlatsMm }) => plain(acrossFlatsMm),
  },
  { key: 'widthMm', title: 'width mm', read: mmField(2, 40), write: ({ widthMm }) => plain(widthMm) },
  { key: 'mark', title: 'stops at', empty: undefined, read: textField(60), write: ({ mark }) => mark ?? '' },
  { key: 'blows', title: 'blows', empty: undefined, read: countField, write: ({ blows }) => plain(blows) },
];

export const writeLugsCsv = (lugs: readonly Lug[]) => writeCsv(LUG_COLUMNS, lugs);
export const writeDiesCsv = (dies: readonly Die[], tools: readonly Tool[]) =>
  writeCsv(dieColumns(tools), dies);

/** What a catalogue file would change. Nothing is taken over until somebody says so. */
export interface CatalogueRead<T> {
  /** The list as it would be: what is there, changed by name, and what is new. */
  readonly items: readonly T[];
  readonly added: number;
  readonly changed: number;
  readonly problems: readonly RowProblem[];
}

export interface Row {
  readonly row: number;
  readonly fields: Readonly<Record<string, unknown>>;
}

/** Whether two items say the same, in whatever order their fields stand. */
const alike = (a: object, b: object) => sorted(a) === sorted(b);
const sorted = (item: object): string =>
  JSON.stringify(item, (_key, value: unknown) =>
    isFields(value) ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))) : value,
  );

/**
 * Takes rows into a list: a row of a known name changes that item and keeps its id, another is added.
 *
 * @param keeps what no file says and an item keeps all the same
 */
export function takeIn<T extends { readonly id: string }>(
  owned: readonly T[],
  rows: readonly Row[],
  known: (fields: Row['fields'], items: readonly T[]) => T | undefined,
  wantedId: (fields: Row['fields']) => string,
  check: (data: unknown, row: number) => { item: T } | RowProblem,
  keeps: readonly (keyof T)[] = [],
): CatalogueRead<T> {
  const items = [...owned];
  const problems: RowProblem[] = [];
  let [added, changed] = [0, 0];
  for (const { row, fields } of rows) {
    const old = known(fields, items);
    const id = old?.id ?? freeId(wantedId(fields), items);
    const checked = check({ ...fields, id }, row);
    if (!('item' in checked)) {
      problems.push(checked);
    } else if (old) {
      const kept = Object.fromEntries(
        keeps.filter((key) => old[key] !== undefined).map((key) => [key, old[key]]),
      );
      const item = { ...checked.item, ...kept };
      items[items.indexOf(old)] = item;
      changed += alike(old, item) ? 0 : 1;
    } else {
      items.push(checked.item);
      added += 1;
    }
  }
  return { items, added, changed, problems };
}

export const catalogueId = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\w.-]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50) || 'item';

/** Reads lugs from CSV: every row is checked as a lug, bore inside outside, hole inside palm. */
export function readLugsCsv(contents: string, owned: readonly Lug[]): CatalogueRead<Lug> {
  const { rows, problems } = readCsv(LUG_COLUMNS, contents);
  const read = takeIn<Lug>(
    owned,
    rows,
    ({ label }, items) => items.find((lug) => lug.label === label),
    ({ label }) => catalogueId(String(label)),
    (data, row) => {
      const { post, polarity, cables, wallMm, ...given } = data as Record<string, unknown>;
      const rest = { ...given, ...(wallMm !== undefined && { madeHere: { wallMm } }) };
      const clamp =
        post === undefined ? {} : { clamp: { post: { kind: post, polarity }, cables: cables ?? 1 } };
      const parsed = lugSchema.safeParse({ ...rest, ...clamp });
      if (!parsed.success) {
        const [issue] = parsed.error.issues;
        const column = issue?.path.includes('polarity') ? 'polarity' : String(issue?.path.at(-1) ?? '');
        return {
          row,
          column,
          sentence:
            column === 'polarity'
              ? say`A post has a polarity.`
              : `${refusalSays(parsed.error, { ...rest, ...clamp })}.`,
        };
      }
      const lug = parsed.data;
      if (lug.boreMm >= lug.outerMm) {
        const sentence = say`A bore of ${lug.boreMm} is not inside ${lug.outerMm}.`;
        return { row, column: 'bore mm', sentence };
      }
      return lug.form === 'tube' && lug.holeMm >= lug.palmWidthMm
        ? { row, column: 'hole mm', sentence: say`A hole of ${lug.holeMm} is wider than its palm.` }
        : { item: lug };
    },
    ['tested'],
  );
  return { ...read, problems: [...problems, ...read.problems].sort((a, b) => a.row - b.row) };
}

/** Reads dies from CSV. Two dies of one tool with one stamp are one die measured again. */
export function readDiesCsv(
  contents: string,
  owned: readonly Die[],
  tools: readonly Tool[],
): CatalogueRead<Die> {
  const { rows, problems } = readCsv(dieColumns(tools), contents);
  const read = takeIn<Die>(
    owned,
    rows,
    ({ toolId, stamp }, items) =>
      stamp === '' ? undefined : items.find((die) => die.toolId === toolId && die.stamp === stamp),
    ({ toolId, stamp }) => catalogueId(`${String(toolId)}-${String(stamp) || 'unmarked'}`),
    (data, row) => {
      const parsed = dieSchema.safeParse(data);
      return parsed.success
        ? { item: parsed.data }
        : { row, column: '', sentence: `${refusalSays(parsed.error, data)}.` };
    },
    ['closed'],
  );
  return { ...read, problems: [...problems, ...read.problems].sort((a, b) => a.row - b.row) };
}
