import { tell } from '../words/message.ts';
import { word } from '../words/terms.ts';
import { sizeLabel } from '../model/tables/size.ts';
import { meetsWord } from '../model/posts.ts';
import type { WorkedCable } from '../cableWork.ts';
import { STATE_SAYS } from './stateSays.ts';
import { say } from '../words/say.ts';
import { figure } from '../model/units/figure.ts';
import { dayText } from '../words/measures.ts';
import { THIN } from '../words/numerals.ts';

/** What a label says, line by line under its tag; the QR code holds the same and more, and needs no network. */
export interface Label {
  readonly tag: string;
  readonly lines: readonly string[];
  readonly qr: string;
}

/** How the data of a label begins: so that a reader knows it. */
export const LABEL_MARK = 'GA1';

const FIELDS = ['tag', 'pole', 'cable', 'from', 'to', 'length', 'lugs', 'die', 'proof', 'by'] as const;
type Field = (typeof FIELDS)[number];

/** One line each, and no line that could be taken for another. */
const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim();

/**
 * The label of a cable: its own data, so that it can be read where there is no network.
 *
 * @param day printed on it, ISO 8601
 */
export function labelOf({ cable, work }: WorkedCable, day: string): Label {
  const { A, B } = work.ends;
  const { size } = work.choice.taken.at;
  const length = work.lengths
    ? figure(work.lengths.finishedMm, 'mm', 0)
        .replace(/(\d)\u2009(?=\d)/u, '$1')
        .replace(THIN, ' ')
    : say`not known`;
  const record = cable.records.at(-1);
  const data: Readonly<Record<Field, string>> = {
    tag: cable.tag,
    pole: cable.polarity,
    cable: `${sizeLabel(size)} ${work.kind.title}, ${cable.jacket}`,
    from: `${cable.ends.A.at}, ${tell(meetsWord(A.meets))}`,
    to: `${cable.ends.B.at}, ${tell(meetsWord(B.meets))}`,
    length,
    lugs: `${A.lug?.label ?? say`none`} / ${B.lug?.label ?? say`none`}`,
    die: [A, B].map(({ die }) => (die ? die.die.stamp || say`unmarked` : say`none`)).join(' / '),
    proof: STATE_SAYS[record?.verdict ?? work.verdict.state],
    by: record ? `${record.by} ${dayText(record.at)}` : dayText(day),
  };
  return {
    tag: cable.tag,
    lines: [
      `${word(cable.polarity)}, ${sizeLabel(size)}`,
      oneLine(`${cable.ends.A.at} - ${cable.ends.B.at}`),
      `${length}, ${data.by}`,
    ],
    qr: [LABEL_MARK, ...FIELDS.map((field) => `${field}: ${oneLine(data[field])}`)].join('\n'),
  };
}

export type LabelRead =
  | { readonly ok: true; readonly fields: Readonly<Record<Field, string>> }
  | { readonly ok: false; readonly sentence: string };

/** Reads what a label's QR code holds. */
export function readLabel(text: string): LabelRead {
  const [mark, ...lines] = text.split('\n');
  if (mark?.trim() !== LABEL_MARK)
    return { ok: false, sentence: say`This is not the code of a cable label.` };
  const found = new Map(
    lines.map((line) => {
      const at = line.indexOf(': ');
      return [line.slice(0, at), line.slice(at + 2)] as const;
    }),
  );
  const missing = FIELDS.filter((field) => !found.has(field));
  return missing.length > 0
    ? { ok: false, sentence: say`This label lacks: ${missing.join(', ')}.` }
    : {
        ok: true,
        fields: Object.fromEntries(FIELDS.map((field) => [field, found.get(field) ?? ''])) as Record<
          Field,
          string
        >,
      };
}

export type LabelKind = 'wrap' | 'flag';
export type Paper = 'A4' | 'Letter';

/** Sheets of paper, mm. */
export const PAPER_MM: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
};

/** A wrap goes round the cable and lies on itself; a flag is folded in the middle, so both its sides are printed. */
const SIZES: Readonly<Record<LabelKind, { readonly width: number; readonly height: number }>> = {
  wrap: { width: 60, height: 25 },
  flag: { width: 90, height: 25 },
};
const MARGIN = 10;
const GAP = 4;

/** A label on its sheet, mm from the upper left corner. */
export interface PlacedLabel {
  readonly label: Label;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A label by itself, as a label printer prints it. */
export function placedAlone(label: Label, kind: LabelKind): PlacedLabel {
  return { label, x: 0, y: 0, ...SIZES[kind] };
}

/** Lays labels out, two of each cable, on as many sheets as they take. */
export function labelSheets(labels: readonly Label[], kind: LabelKind, paper: Paper): PlacedLabel[][] {
  const { width, height } = SIZES[kind];
  const sheet = PAPER_MM[paper];
  const across = Math.floor((sheet.width - 2 * MARGIN + GAP) / (width + GAP));
  const down = Math.floor((sheet.height - 2 * MARGIN + GAP) / (height + GAP));
  const both = labels.flatMap((label) => [label, label]);
  const sheets: PlacedLabel[][] = [];
  both.forEach((label, i) => {
    const onSheet = i % (across * down);
    if (onSheet === 0) sheets.push([]);
    sheets.at(-1)?.push({
      label,
      x: MARGIN + (onSheet % across) * (width + GAP),
      y: MARGIN + Math.floor(onSheet / across) * (height + GAP),
      width,
      height,
    });
  });
  return sheets;
}
