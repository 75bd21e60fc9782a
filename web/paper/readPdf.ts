import { readFileSync } from 'node:fs';
import { getDocument } from 'unpdf/pdfjs';
import { POINTS_PER_MM } from './listPdf.ts';
import { unwrapped } from './woff.ts';

const face = (weight: number) =>
  unwrapped(
    readFileSync(
      `node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-${weight}-normal.woff`,
    ),
  );
/** The faces of the page, as they lie in their package. */
export const FONTS = { plain: face(400), strong: face(600) };

/** What an independent reader finds on each page: its words and its size in millimetres. */
export async function read(bytes: Uint8Array) {
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const page = await pdf.getPage(i + 1);
      const { items } = await page.getTextContent();
      const seen = items.flatMap((item) => ('str' in item && item.str.trim() !== '' ? item : []));
      const { width, height } = page.getViewport({ scale: 1 });
      return {
        words: seen.map(({ str }) => str),
        /** Where each of the words stands, points from the lower left corner. */
        places: seen.map(({ transform }) => ({ x: transform[4] as number, y: transform[5] as number })),
        width: width / POINTS_PER_MM,
        height: height / POINTS_PER_MM,
      };
    }),
  );
}
