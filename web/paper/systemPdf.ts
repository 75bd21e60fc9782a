import type { Paper } from '../../core/paper/label.ts';
import { PAPER_MM } from '../../core/paper/label.ts';
import type { ListDoc } from '../../core/paper/listDoc.ts';
import { say } from '../../core/words/say.ts';
import {
  drawList,
  INK,
  type PaperDocument,
  paperDocument,
  type PaperFonts,
  POINTS_PER_MM,
  printable,
} from './listPdf.ts';
import { drawPicture, type PaperPicture } from './paperPicture.ts';

const MARGIN = 40;

/** The diagram on a page of its own, on its side, as large as it goes. */
export function drawDiagram(
  { pdf, strong }: PaperDocument,
  title: string,
  picture: PaperPicture,
  paper: Paper,
): void {
  const { width, height } = PAPER_MM[paper];
  const [w, h] = [height * POINTS_PER_MM, width * POINTS_PER_MM];
  const page = pdf.addPage([w, h]);
  const scale = Math.min((w - 2 * MARGIN) / picture.width, (h - 2 * MARGIN - 24) / picture.height);
  page.drawText(printable(say`System, ${title}`), {
    x: MARGIN,
    y: h - MARGIN - 4,
    size: 16,
    font: strong,
    color: INK,
  });
  drawPicture(page, picture, {
    x: MARGIN,
    y: h - MARGIN - 20 - picture.height * scale,
    width: picture.width * scale,
    height: picture.height * scale,
  });
}

/** The diagram and the tables of an installation as one PDF. */
export async function systemPdf(
  title: string,
  picture: PaperPicture,
  lists: readonly ListDoc[],
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> {
  const into = await paperDocument(fonts);
  drawDiagram(into, title, picture, paper);
  for (const list of lists) drawList(into, list, paper);
  into.pdf.setTitle(printable(say`System, ${title}`));
  return into.pdf.save();
}
