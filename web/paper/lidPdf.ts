import type { LidSheet, MeasureText } from '../../core/paper/lidSheet.ts';
import { INK, type PaperDocument, POINTS_PER_MM, printable } from './listPdf.ts';

/** How wide a text is in the face of the page. A width grows as its size does, so each text is measured once. */
export function measureIn({ plain, strong }: PaperDocument): MeasureText {
  const widths = new Map<string, number>();
  return (text, sizeMm, isStrong) => {
    const key = `${isStrong ? 'strong' : 'plain'} ${text}`;
    const atOne = widths.get(key) ?? (isStrong ? strong : plain).widthOfTextAtSize(printable(text), 1);
    widths.set(key, atOne);
    return atOne * sizeMm;
  };
}

/** The sheet for the lid as a PDF whose page is the lid, to be printed as large as it is. */
export async function lidPdf(
  sheet: LidSheet,
  title: string,
  { pdf, plain, strong }: PaperDocument,
): Promise<Uint8Array> {
  const points = (mm: number) => mm * POINTS_PER_MM;
  const page = pdf.addPage([points(sheet.widthMm), points(sheet.heightMm)]);
  const up = (yMm: number) => points(sheet.heightMm - yMm);
  for (const { xMm, yMm, widthMm } of sheet.rules)
    page.drawLine({
      start: { x: points(xMm), y: up(yMm) },
      end: { x: points(xMm + widthMm), y: up(yMm) },
      thickness: 0.3,
      color: INK,
    });
  for (const { xMm, yMm, sizeMm, text, strong: isStrong } of sheet.texts)
    page.drawText(printable(text), {
      x: points(xMm),
      y: up(yMm),
      size: points(sizeMm),
      font: isStrong ? strong : plain,
      color: INK,
    });
  // Where it is cut out of a larger sheet of paper.
  page.drawRectangle({
    ...{ x: 0.5, y: 0.5, width: points(sheet.widthMm) - 1, height: points(sheet.heightMm) - 1 },
    ...{ borderWidth: 0.5, borderColor: INK },
  });
  pdf.setTitle(printable(title));
  return pdf.save();
}
