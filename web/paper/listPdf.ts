import { layoutOnce } from './layoutOnce.ts';
import { breakTextIntoLines, PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import { type Paper, PAPER_MM } from '../../core/paper/label.ts';
import type { ListDoc } from '../../core/paper/listDoc.ts';
import { say } from '../../core/words/say.ts';

export interface PaperFonts {
  readonly plain: Uint8Array;
  readonly strong: Uint8Array;
}

export const POINTS_PER_MM = 72 / 25.4;
/** The ink of every page. */
export const INK = rgb(0.1, 0.14, 0.16);
const PALE = rgb(0.45, 0.47, 0.48);
const MARGIN = 40;
const LINE = 17;
/** From one line of a row to its next. */
const WRAPPED_LINE = 12.5;

/** What a face lacks is written with what it has: paper never shows an empty box. */
const LACKING: Readonly<Record<string, string>> = {
  '→': '-',
  '\u2009': ' ',
  '⌀': 'dia ',
  κ: 'k',
  '≈': '~',
  Ω: say`Ohm`,
  '≤': say`at most `,
  '≥': say`at least `,
  '−': '-',
  '…': '...',
};
export const printable = (text: string) => [...text].map((letter) => LACKING[letter] ?? letter).join('');

/** A document with the faces of the page in it. */
export interface PaperDocument {
  readonly pdf: PDFDocument;
  readonly plain: PDFFont;
  readonly strong: PDFFont;
}

export async function paperDocument(fonts: PaperFonts): Promise<PaperDocument> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(layoutOnce);
  return {
    pdf,
    plain: await pdf.embedFont(fonts.plain, { subset: true }),
    strong: await pdf.embedFont(fonts.strong, { subset: true }),
  };
}

/** A text cut short to a width, with an ellipsis. */
export function fitted(text: string, font: PDFFont, size: number, width: number): string {
  const whole = printable(text);
  if (font.widthOfTextAtSize(whole, size) <= width) return whole;
  let short = whole;
  while (short.length > 1 && font.widthOfTextAtSize(`${short}...`, size) > width) short = short.slice(0, -1);
  return `${short}...`;
}

/** A word longer than a whole line, broken where it must be. */
function broken(word: string, font: PDFFont, size: number, width: number): string[] {
  const parts = [''];
  for (const letter of word) {
    const longer = `${parts.at(-1)}${letter}`;
    if (parts.at(-1) !== '' && font.widthOfTextAtSize(longer, size) > width) parts.push(letter);
    else parts[parts.length - 1] = longer;
  }
  return parts;
}

/** A text in as many lines as it takes in a width: nothing of it is left out. At least one line. */
export const wrapped = (text: string, font: PDFFont, size: number, width: number): string[] =>
  breakTextIntoLines(printable(text), [' ', '/', ','], width, (line) =>
    font.widthOfTextAtSize(line, size),
  ).flatMap((line) =>
    font.widthOfTextAtSize(line.trim(), size) > width ? broken(line.trim(), font, size, width) : line.trim(),
  );

/** A list as a PDF, as many pages as it takes, its head repeated on each. */
export async function listPdf(doc: ListDoc, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> {
  const into = await paperDocument(fonts);
  drawList(into, doc, paper);
  into.pdf.setTitle(`${doc.title}, ${doc.subtitle}`);
  return into.pdf.save();
}

/** Draws a list on new pages of a document. */
// oxlint-disable-next-line max-lines-per-function -- a page from top to bottom: each part begins where the last one ended
export function drawList({ pdf, plain, strong }: PaperDocument, doc: ListDoc, paper: Paper): void {
  const { width, height } = PAPER_MM[paper];
  const size: [number, number] = [width * POINTS_PER_MM, height * POINTS_PER_MM];
  const inner = size[0] - 2 * MARGIN;
  let page: PDFPage = pdf.addPage(size);
  let y = 0;
  const columns = doc.columns.map((column, i) => ({
    ...column,
    x: MARGIN + inner * doc.columns.slice(0, i).reduce((sum, own) => sum + own.width, 0),
    px: inner * column.width - 6,
  }));
  /** The cells of a row in the lines they take, and how many lines that is. */
  const inLines = (texts: readonly string[], font: PDFFont, sizePt: number) => {
    const cells = columns.map(({ px }, i) => wrapped(texts[i] ?? '', font, sizePt, px));
    return { cells, lines: Math.max(1, ...cells.map(({ length }) => length)) };
  };
  const draw = (cells: readonly (readonly string[])[], font: PDFFont, sizePt: number) =>
    columns.forEach(({ x, px, right }, i) =>
      cells[i]?.forEach((words, line) => {
        const shift = right ? px - font.widthOfTextAtSize(words, sizePt) : 0;
        page.drawText(words, { x: x + shift, y: y - line * WRAPPED_LINE, size: sizePt, font, color: INK });
      }),
    );
  const head = () => {
    page.drawText(fitted(doc.title, strong, 20, inner), {
      x: MARGIN,
      y: size[1] - MARGIN - 14,
      size: 20,
      font: strong,
      color: INK,
    });
    page.drawText(fitted(doc.subtitle, plain, 12, inner), {
      x: MARGIN,
      y: size[1] - MARGIN - 31,
      size: 12,
      font: plain,
      color: PALE,
    });
    page.drawText(fitted(doc.foot, plain, 9, inner), {
      x: MARGIN,
      y: MARGIN - 16,
      size: 9,
      font: plain,
      color: PALE,
    });
    y = size[1] - MARGIN - 54;
    const titles = inLines(
      doc.columns.map(({ title }) => title),
      plain,
      10,
    );
    draw(titles.cells, plain, 10);
    y -= (titles.lines - 1) * WRAPPED_LINE + 5;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: size[0] - MARGIN, y }, thickness: 0.8, color: INK });
    y -= LINE;
  };
  /** A page of its own for what does not fit on this one. */
  const room = (lines = 1) => {
    if (y - (lines - 1) * WRAPPED_LINE > MARGIN + 6) return;
    page = pdf.addPage(size);
    head();
  };
  head();
  for (const section of doc.sections) {
    if (section.title) {
      room();
      page.drawText(fitted(section.title, strong, 12, inner), {
        x: MARGIN,
        y,
        size: 12,
        font: strong,
        color: INK,
      });
      y -= LINE;
    }
    for (const row of section.rows) {
      const { cells, lines } = inLines(row, plain, 11);
      room(lines);
      draw(cells, plain, 11);
      y -= (lines - 1) * WRAPPED_LINE;
      page.drawLine({
        start: { x: MARGIN, y: y - 4 },
        end: { x: size[0] - MARGIN, y: y - 4 },
        thickness: 0.3,
        color: PALE,
      });
      y -= LINE;
    }
    y -= 6;
  }
}
