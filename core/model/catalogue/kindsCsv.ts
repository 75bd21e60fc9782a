import {
  type Column,
  quantityField,
  type Read,
  readCsv,
  textField,
  wordField,
  writeCsv,
  yesField,
} from '../csv.ts';
import { refusalSays } from '../refusal.ts';
import { type CableKind, cableKindSchema, type CableSize, JACKETS } from '../shop.ts';
import { sizeLabel } from '../tables/size.ts';
import { say } from '../../words/say.ts';
import { type CatalogueRead, catalogueId, plain, type Row, sizeField, takeIn, yes } from './catalogueCsv.ts';
import { isFields } from '../fields.ts';

/** A line of the file: one size, with its kind beside it. */
interface Line {
  readonly kind: CableKind;
  readonly at: CableSize;
}

const numberField = (least: number, most: number) => quantityField('number', least, most);
const coloursField = (text: string): Read => {
  const colours = text
    .toLowerCase()
    .split(/[\s/;+]+/)
    .filter(Boolean);
  const strange = colours.find((colour) => !(JACKETS as readonly string[]).includes(colour));
  return strange === undefined
    ? { ok: true, value: [...new Set(colours)] }
    : { ok: false, sentence: say`“${strange}” is not a jacket colour: ${JACKETS.join(', ')}.` };
};

const KIND_COLUMNS: readonly Column<Line>[] = [
  { key: 'title', title: 'kind', read: textField(80), write: ({ kind }) => kind.title },
  { key: 'tinned', title: 'tinned', read: yesField, write: ({ kind }) => yes(kind.tinned) },
  {
    key: 'strands',
    title: 'strand class',
    read: wordField(['coarse', 'fine', 'extra fine']),
    write: ({ kind }) => kind.strands,
  },
  {
    key: 'insulation',
    title: 'insulation',
    read: wordField(['pvc', 'thermoplastic', 'xlpe', 'rubber']),
    write: ({ kind }) => kind.insulation,
  },
  {
    key: 'limitC',
    title: 'limit °C',
    read: quantityField('temperature', 60, 200),
    write: ({ kind }) => plain(kind.limitC),
  },
  { key: 'ratedV', title: 'rated V', read: numberField(12, 2000), write: ({ kind }) => plain(kind.ratedV) },
  { key: 'bend', title: 'bend × D', read: numberField(2, 20), write: ({ kind }) => plain(kind.bend) },
  { key: 'oil', title: 'oil', empty: false, read: yesField, write: ({ kind }) => yes(kind.stands.oil) },
  { key: 'sun', title: 'sun', empty: false, read: yesField, write: ({ kind }) => yes(kind.stands.sun) },
  { key: 'flame', title: 'flame', empty: false, read: yesField, write: ({ kind }) => yes(kind.stands.flame) },
  {
    key: 'rubbing',
    title: 'rubbing',
    empty: undefined,
    read: yesField,
    write: ({ kind }) => (kind.stands.rubbing === undefined ? '' : yes(kind.stands.rubbing)),
  },
  {
    key: 'colours',
    title: 'colours',
    empty: undefined,
    read: coloursField,
    write: ({ kind }) => kind.colours?.join(' ') ?? '',
  },
  { key: 'size', title: 'size', read: sizeField, write: ({ at }) => sizeLabel(at.size) },
  {
    key: 'outerMm',
    title: 'outside mm',
    read: quantityField('length', 2, 60),
    write: ({ at }) => plain(at.outerMm),
  },
  {
    key: 'pricePerM',
    title: 'price per m',
    empty: 0,
    read: numberField(0, 1e4),
    write: ({ at }) => plain(at.pricePerM),
  },
  {
    key: 'gPerM',
    title: 'g per m',
    empty: undefined,
    read: numberField(5, 20000),
    write: ({ at }) => plain(at.gPerM),
  },
  {
    key: 'ohmPerKm',
    title: 'ohm per km',
    empty: undefined,
    read: numberField(0.01, 50),
    write: ({ at }) => plain(at.ohmPerKm),
  },
  {
    key: 'strandCount',
    title: 'strands',
    empty: undefined,
    read: numberField(1, 20000),
    write: ({ at }) => plain(at.strandCount),
  },
];

/** Kinds of cable as CSV: a line for each size, its kind beside it. */
export const writeKindsCsv = (kinds: readonly CableKind[]): string =>
  writeCsv(
    KIND_COLUMNS,
    kinds.flatMap((kind) => kind.sizes.map((at) => ({ kind, at }))),
  );

const OF_SIZE = ['size', 'outerMm', 'pricePerM', 'gPerM', 'ohmPerKm', 'strandCount'];
const OF_JACKET = ['oil', 'sun', 'flame', 'rubbing'];

/** The fields of a line, as a kind with that one size. */
function asKind(fields: Row['fields']): Record<string, unknown> & { readonly sizes: readonly unknown[] } {
  const pick = (keys: readonly string[], isIn: boolean) =>
    Object.fromEntries(Object.entries(fields).filter(([key]) => keys.includes(key) === isIn));
  return {
    ...pick([...OF_SIZE, ...OF_JACKET], false),
    stands: pick(OF_JACKET, true),
    sizes: [pick(OF_SIZE, true)],
  };
}

/**
 * Reads kinds of cable from CSV. Lines of one name are one kind; what its first line says of the kind counts, and a later
 * line that says otherwise is refused. A kind that is owned keeps the sizes that the file does not name: cables may be
 * made of them.
 */
export function readKindsCsv(contents: string, owned: readonly CableKind[]): CatalogueRead<CableKind> {
  const { rows, problems } = readCsv(KIND_COLUMNS, contents);
  const merged = new Map<string, { row: number; fields: ReturnType<typeof asKind>; as: string }>();
  const refused: { row: number; column: string; sentence: string }[] = [];
  for (const { row, fields } of rows) {
    const kind = asKind(fields);
    const { sizes, ...rest } = kind;
    const title = String(fields['title']);
    const as = JSON.stringify(rest);
    const known = merged.get(title);
    if (known && known.as !== as)
      refused.push({
        row,
        column: 'kind',
        sentence: say`This line differs from line ${known.row} about “${title}”.`,
      });
    else
      merged.set(title, {
        row: known?.row ?? row,
        as,
        fields: { ...kind, sizes: [...(known?.fields.sizes ?? []), ...sizes] },
      });
  }
  const read = takeIn<CableKind>(
    owned,
    [...merged.values()],
    ({ title }, items) => items.find((kind) => kind.title === title),
    ({ title }) => catalogueId(String(title)),
    (data, row) => {
      const { sizes: named, id } = data as { readonly sizes: readonly CableSize[]; readonly id: string };
      const kept = owned.find((kind) => kind.id === id)?.sizes ?? [];
      const sizes = [...kept, ...named].filter(
        ({ size }, i, all) => all.findLastIndex((own) => sizeLabel(own.size) === sizeLabel(size)) === i,
      );
      const whole = isFields(data) ? { ...data, sizes } : data;
      const parsed = cableKindSchema.safeParse(whole);
      return parsed.success
        ? { item: parsed.data }
        : { row, column: '', sentence: `${refusalSays(parsed.error, whole)}.` };
    },
  );
  return { ...read, problems: [...problems, ...refused, ...read.problems].sort((a, b) => a.row - b.row) };
}
