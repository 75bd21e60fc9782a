import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
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
  pdf.registerFontkit(fontkit);
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

/** A list as a PDF, as many pages as it takes, its head repeated on each. */
export async function listPdf(doc: ListDoc, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> {
  const into = await paperDocument(fonts);
  drawList(into, doc, paper);
  into.pdf.setTitle(`${doc.title}, ${doc.subtitle}`);
  return into.pdf.save();
}

/** Draws a list on new pages of a document. */
// eslint-disable-next-line max-lines-per-function -- a page from top to bottom: each part begins where the last one ended
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
  const cell = (text: string, i: number, font: PDFFont, at: number) => {
    const column = columns[i];
    if (!column) return;
    const words = fitted(text, font, at, column.px);
    const shift = column.right ? column.px - font.widthOfTextAtSize(words, at) : 0;
    page.drawText(words, { x: column.x + shift, y, size: at, font, color: INK });
  };
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
    doc.columns.forEach(({ title }, i) => cell(title, i, plain, 10));
    y -= 5;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: size[0] - MARGIN, y }, thickness: 0.8, color: INK });
    y -= LINE;
  };
  const room = () => {
    if (y > MARGIN + 6) return;
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
      room();
      row.forEach((text, i) => cell(text, i, plain, 11));
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
