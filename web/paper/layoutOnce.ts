import fontkit from '@pdf-lib/fontkit';
import { remember } from '../../core/lib/remember.ts';

type Fontkit = typeof fontkit;
type Font = ReturnType<Fontkit['create']>;

/** So many texts of a font are remembered, a few megabytes of them. */
const MOST_TEXTS = 5_000;
const fonts = remember<Font>();
const texts = remember<ReturnType<Font['layout']>>(MOST_TEXTS);

/** A font that lays each text out once: a page measures its texts several times before it draws them. */
function layingOutOnce(bytes: Uint8Array): Font {
  const font = fontkit.create(bytes);
  const layOut = font.layout.bind(font);
  font.layout = (text, features) =>
    features === undefined ? texts([font], text, () => layOut(text)) : layOut(text, features);
  return font;
}

/** Reads fonts for PDFs. The same bytes are the same font, in whichever document. */
export const layoutOnce: Fontkit = {
  ...fontkit,
  create: (bytes) => fonts([bytes], '', () => layingOutOnce(bytes)),
};
