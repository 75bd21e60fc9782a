import { type PDFFont, type PDFPage } from 'pdf-lib';
import type { Handover } from '../../core/paper/handover.ts';
import { type Paper, PAPER_MM } from '../../core/paper/label.ts';
import type { TestRecord } from '../../core/paper/testRecord.ts';
import {
  drawList,
  fitted,
  type PaperDocument,
  paperDocument,
  type PaperFonts,
  POINTS_PER_MM,
  printable,
  INK,
} from './listPdf.ts';
import { drawPicture, type PaperPicture } from './paperPicture.ts';
import { drawDiagram } from './systemPdf.ts';
import { drawRecord, type RecordPictures, PALE } from './recordPdf.ts';
import { say } from '../../core/words/say.ts';

const MARGIN = 40;

/** One record with its pictures, as it goes into the pack. */
export interface PackedRecord {
  readonly record: TestRecord;
  readonly pictures: RecordPictures;
}

/** A line that is broken to a width, word by word. */
function broken(text: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of printable(text).split(' ')) {
    const longer = line ? `${line} ${word}` : word;
    if (line && font.widthOfTextAtSize(longer, size) > width) {
      lines.push(line);
      line = word;
    } else {
      line = longer;
    }
  }
  return line ? [...lines, line] : lines;
}

/** The first pages: what it is, what is open, cautions, and the stacks with their pictures. */
// oxlint-disable-next-line max-lines-per-function -- a page from top to bottom: each part begins where the last one ended
function drawFront(
  { pdf, plain, strong }: PaperDocument,
  pack: Handover,
  paper: Paper,
  stacks: readonly (PaperPicture | null)[],
): void {
  const { width, height } = PAPER_MM[paper];
  const [w, h] = [width * POINTS_PER_MM, height * POINTS_PER_MM];
  const inner = w - 2 * MARGIN;
  let page: PDFPage = pdf.addPage([w, h]);
  let y = h - MARGIN;
  const room = (needed: number) => {
    if (y - needed > MARGIN) return;
    page = pdf.addPage([w, h]);
    y = h - MARGIN;
  };
  const write = (text: string, size: number, font: PDFFont, color = INK) => {
    for (const line of broken(text, font, size, inner)) {
      room(size * 1.4);
      y -= size * 1.3;
      page.drawText(line, { x: MARGIN, y, size, font, color });
    }
  };
  const head = (text: string) => {
    room(50);
    y -= 14;
    write(text, 14, strong);
    y -= 4;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: w - MARGIN, y }, thickness: 0.8, color: INK });
    y -= 4;
  };
  write(say`Handover`, 12, plain, PALE);
  write(pack.title, 26, strong);
  write(pack.subtitle, 13, plain);
  y -= 6;
  for (const fact of pack.facts) write(fact, 12, plain);
  head(say`Still open`);
  if (pack.open.length === 0)
    write(say`Nothing: every cable is proved, and no reading is simulated.`, 12, plain);
  for (const line of pack.open) write(line, 12, strong);
  head(say`Before you touch it`);
  for (const { title, items } of pack.cautions) {
    y -= 4;
    write(title, 12, strong);
    for (const item of items) write(`- ${item}`, 11, plain);
  }
  if (pack.stacks.length > 0) head(say`Stud stacks, from the face outwards`);
  for (const [i, { name, stack, lines }] of pack.stacks.entries()) {
    const picture = stacks[i];
    const wide = 0.55 * inner;
    const high = picture ? (wide * picture.height) / picture.width : 0;
    room(high + 30 + lines.length * 15);
    y -= 6;
    write(`${name}, ${stack.stud}`, 12, strong);
    if (picture) {
      y -= high + 4;
      drawPicture(page, picture, { x: MARGIN, y, width: wide, height: high });
    }
    for (const line of lines) write(line, 11, plain);
  }
  y -= 10;
  write(pack.foot, 9, plain, PALE);
}

/**
 * A job's handover as one PDF: front, schedule, ends and torque, when to come back, and the test record of every cable,
 * its pages numbered through.
 *
 * @param diagram a picture of the system; null where the job has none, or it could not be drawn
 * @param stacks pictures of the stud stacks, in their order; null where one could not be drawn
 */
export async function handoverPdf(
  pack: Handover,
  records: readonly PackedRecord[],
  paper: Paper,
  fonts: PaperFonts,
  stacks: readonly (PaperPicture | null)[],
  told: (done: number) => void = () => {},
  diagram: PaperPicture | null = null,
): Promise<Uint8Array> {
  const into = await paperDocument(fonts);
  const { pdf, plain } = into;
  drawFront(into, pack, paper, stacks);
  if (diagram) drawDiagram(into, pack.title, diagram, paper);
  for (const list of [...pack.system, pack.schedule, pack.ends, pack.dues]) drawList(into, list, paper);
  for (const [i, { record, pictures }] of records.entries()) {
    await drawRecord(into, record, paper, pictures);
    told(i + 1);
  }
  const pages = pdf.getPages();
  pages.forEach((page, i) => {
    const words = fitted(
      say`${pack.title}, handover ${pack.day}, page ${i + 1} of ${pages.length}`,
      plain,
      8.5,
      400,
    );
    const size = page.getSize();
    page.drawText(words, {
      x: size.width - MARGIN - plain.widthOfTextAtSize(words, 8.5),
      y: 12,
      size: 8.5,
      font: plain,
      color: PALE,
    });
  });
  pdf.setTitle(printable(say`Handover, ${pack.title}`));
  return pdf.save();
}
