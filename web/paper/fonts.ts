import strongUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url';
import plainUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-400-normal.woff?url';
import type { PaperFonts } from './listPdf.ts';
import { unwrapped } from './woff.ts';

/** The faces of the page, for paper: they ship with the application. */
export async function paperFonts(): Promise<PaperFonts> {
  const [plain, strong] = await Promise.all(
    [plainUrl, strongUrl].map(async (url) =>
      unwrapped(new Uint8Array(await (await fetch(url)).arrayBuffer())),
    ),
  );
  if (!plain || !strong) throw new Error('the fonts are missing');
  return { plain, strong };
}
