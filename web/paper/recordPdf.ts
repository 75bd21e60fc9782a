import { type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import { type Paper, PAPER_MM } from '../../core/paper/label.ts';
import type { TestRecord } from '../../core/paper/testRecord.ts';
import {
  fitted,
  wrapped,
  type PaperDocument,
  paperDocument,
  type PaperFonts,
  POINTS_PER_MM,
  printable,
  INK,
} from './listPdf.ts';
import { drawPicture, type PaperPicture } from './paperPicture.ts';
import { say } from '../../core/words/say.ts';

/** Pictures that go with a record: the drawing in pixels, photographs as JPEG. */
export interface RecordPictures {
  readonly drawing: PaperPicture | null;
  readonly photos: readonly Uint8Array[];
}

export const PALE = rgb(0.4, 0.43, 0.45);
const MARGIN = 36;
const COLUMNS = [
  { key: 'title', title: say`figure`, share: 0.19 },
  { key: 'end', title: '', share: 0.03 },
  { key: 'value', title: say`read`, share: 0.1 },
  { key: 'limit', title: say`limit`, share: 0.16 },
  { key: 'left', title: say`left`, share: 0.08 },
  { key: 'says', title: say`state`, share: 0.16 },
  { key: 'read', title: say`tested by, date, instrument`, share: 0.28 },
] as const;
const LINE = 13;
const MOST_PHOTOS = 4;

/** A test record as a PDF: one page where its figures fit one. */
export async function recordPdf(
  record: TestRecord,
  paper: Paper,
  fonts: PaperFonts,
  pictures: RecordPictures,
): Promise<Uint8Array> {
  const into = await paperDocument(fonts);
  await drawRecord(into, record, paper, pictures);
  into.pdf.setTitle(printable(say`Test record ${record.tag}, ${record.job}`));
  return into.pdf.save();
}

/** Draws a test record on new pages of a document. */
// oxlint-disable-next-line max-lines-per-function -- a page from top to bottom: each part begins where the last one ended
export async function drawRecord(
  { pdf, plain, strong }: PaperDocument,
  record: TestRecord,
  paper: Paper,
  { drawing, photos }: RecordPictures,
): Promise<void> {
  const { width, height } = PAPER_MM[paper];
  const [w, h] = [width * POINTS_PER_MM, height * POINTS_PER_MM];
  const inner = w - 2 * MARGIN;
  let page: PDFPage = pdf.addPage([w, h]);
  let y = h - MARGIN;

  const text = (words: string, x: number, size: number, font: PDFFont, room = inner, color = INK) =>
    page.drawText(fitted(words, font, size, room), { x, y, size, font, color });
  /** A text in as many lines as it takes; answers how far below the first the last one stands. */
  const texts = (words: string, x: number, size: number, font: PDFFont, room = inner, color = INK) => {
    const lines = wrapped(words, font, size, room);
    lines.forEach((line, i) => page.drawText(line, { x, y: y - i * (size + 2), size, font, color }));
    return (lines.length - 1) * (size + 2);
  };
  const high = (words: string, size: number, font: PDFFont, room = inner) =>
    wrapped(words, font, size, room).length * (size + 2);
  const rule = (thickness: number, color = INK) =>
    page.drawLine({ start: { x: MARGIN, y }, end: { x: w - MARGIN, y }, thickness, color });
  const turn = (needed: number) => {
    if (y - needed > MARGIN + 20) return;
    page = pdf.addPage([w, h]);
    y = h - MARGIN - 12;
    text(say`${record.tag}, ${record.job}, continued`, MARGIN, 10, plain, inner, PALE);
    y -= 16;
  };
  const down = (by: number) => {
    y -= by;
  };

  down(16);
  text(say`Test record ${record.tag}`, MARGIN, 20, strong, inner * 0.7);
  if (record.simulated) {
    const words = say`SIMULATED READINGS`;
    const size = strong.widthOfTextAtSize(words, 12);
    page.drawRectangle({
      x: w - MARGIN - size - 10,
      y: y - 4,
      width: size + 10,
      height: 18,
      borderColor: INK,
      borderWidth: 1.4,
    });
    text(words, w - MARGIN - size - 5, 12, strong);
  }
  down(15);
  text(say`${record.job}: ${record.from} to ${record.to}`, MARGIN, 11, plain);
  for (const fact of record.facts) {
    down(12.5);
    down(texts(fact, MARGIN, 10, plain, inner, PALE));
  }
  down(8);
  rule(1.2);
  down(16);
  down(texts(record.verdict, MARGIN, 13, strong));
  down(13);
  down(
    texts(record.ends.map(({ end, verdict }) => say`End ${end}. ${verdict}.`).join('   '), MARGIN, 10, plain),
  );
  down(8);
  if (drawing) {
    const high = Math.min((inner * drawing.height) / drawing.width, 0.2 * h);
    const wide = (high * drawing.width) / drawing.height;
    down(high);
    drawPicture(page, drawing, { x: MARGIN + (inner - wide) / 2, y, width: wide, height: high });
  }
  down(14);
  const cells = (
    textOf: (key: (typeof COLUMNS)[number]['key']) => string,
    size: number,
    font: PDFFont,
    color = INK,
  ) => {
    let x = MARGIN;
    let deepest = 0;
    for (const { key, share } of COLUMNS) {
      const room = inner * share;
      const words = textOf(key);
      if (words)
        deepest = Math.max(deepest, texts(words, x, size, key === 'value' ? strong : font, room - 4, color));
      x += room;
    }
    down(deepest);
  };
  cells((key) => COLUMNS.find((own) => own.key === key)?.title ?? '', 9, plain, PALE);
  down(4);
  rule(0.8);
  for (const row of record.rows) {
    const textOf = (key: (typeof COLUMNS)[number]['key']) =>
      key === 'read' && row.simulated ? say`SIMULATED ${row.read}` : row[key];
    const whyRoom = inner * (1 - COLUMNS[0].share);
    const cellsHigh = Math.max(
      ...COLUMNS.map(({ key, share }) => high(textOf(key), 9.5, plain, inner * share - 4)),
    );
    turn(LINE + cellsHigh + (row.why ? high(row.why, 8.5, plain, whyRoom) : 0));
    down(LINE - 2);
    cells(textOf, 9.5, plain);
    if (row.why) {
      down(10.5);
      down(texts(row.why, MARGIN + inner * COLUMNS[0].share, 8.5, plain, whyRoom, PALE));
    }
    down(4);
    rule(0.3, PALE);
  }
  for (const line of record.history) {
    turn(LINE + high(line, 9, plain));
    down(LINE);
    down(texts(line, MARGIN, 9, plain));
  }
  await photographs();
  turn(70);
  down(14);
  text(record.sealed, MARGIN, 10, plain);
  down(34);
  record.signatures.forEach((who, i) => {
    const x = MARGIN + (inner * i) / record.signatures.length;
    const wide = inner / record.signatures.length - 14;
    page.drawLine({ start: { x, y }, end: { x: x + wide, y }, thickness: 0.8, color: INK });
    page.drawText(say`${who}, date`, { x, y: y - 11, size: 9, font: plain, color: PALE });
  });
  page.drawText(fitted(say`${record.foot} Printed ${record.day}.`, plain, 8.5, inner), {
    x: MARGIN,
    y: MARGIN - 12,
    size: 8.5,
    font: plain,
    color: PALE,
  });

  /** As many photographs as stand side by side; the rest are counted. */
  async function photographs(): Promise<void> {
    const shown = photos.slice(0, MOST_PHOTOS);
    if (shown.length === 0) return;
    // One that is damaged inside is left out; the others are not lost with it.
    const embedded = await Promise.all(shown.map((jpeg) => pdf.embedJpg(jpeg).catch(() => null)));
    const pictures = embedded.filter((own) => own !== null);
    if (pictures.length < embedded.length) {
      turn(LINE);
      down(LINE);
      text(
        say`${embedded.length - pictures.length} photograph cannot be read¦${embedded.length - pictures.length} photographs cannot be read`,
        MARGIN,
        9,
        plain,
        inner,
        PALE,
      );
    }
    if (pictures.length === 0) return;
    const wide = (inner - 8 * (MOST_PHOTOS - 1)) / MOST_PHOTOS;
    const high = Math.max(...pictures.map((own) => (wide * own.height) / own.width));
    turn(high + 30);
    down(high + 8);
    pictures.forEach((picture, i) =>
      page.drawImage(picture, {
        x: MARGIN + i * (wide + 8),
        y,
        width: wide,
        height: (wide * picture.height) / picture.width,
      }),
    );
    if (photos.length > shown.length) {
      down(11);
      text(say`and ${photos.length - shown.length} more photographs`, MARGIN, 9, plain, inner, PALE);
    }
  }
}
