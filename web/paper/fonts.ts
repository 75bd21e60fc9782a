import strongUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url';
import plainUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-400-normal.woff?url';
import type { PaperFonts } from './listPdf.ts';
import { unwrapped } from './woff.ts';

async function read(): Promise<PaperFonts> {
  const [plain, strong] = await Promise.all(
    [plainUrl, strongUrl].map(async (url) =>
      unwrapped(new Uint8Array(await (await fetch(url)).arrayBuffer())),
    ),
  );
  if (!plain || !strong) throw new Error('the fonts are missing');
  return { plain, strong };
}

let faces: Promise<PaperFonts> | undefined;
/** The faces of the page, for paper: they ship with the application. What could not be read is tried again. */
export function paperFonts(): Promise<PaperFonts> {
  faces ??= read().catch((error: unknown) => {
    faces = undefined;
    throw error;
  });
  return faces;
}
