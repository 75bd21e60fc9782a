import fontkit from '@pdf-lib/fontkit';

type Fontkit = typeof fontkit;
type Font = ReturnType<Fontkit['create']>;
type Laid = ReturnType<Font['layout']>;

/** So many texts are remembered, a few megabytes of them; then it begins afresh. */
const MOST_TEXTS = 5_000;
const known = new WeakMap<Uint8Array, Font>();

/** A font that lays each text out once: a page measures its texts several times before it draws them. */
function readOnce(bytes: Uint8Array): Font {
  const font = fontkit.create(bytes);
  const texts = new Map<string, Laid>();
  const layOut = font.layout.bind(font);
  font.layout = (text, features) => {
    if (features !== undefined) return layOut(text, features);
    const laid = texts.get(text) ?? layOut(text);
    if (texts.size >= MOST_TEXTS) texts.clear();
    texts.set(text, laid);
    return laid;
  };
  return font;
}

/** Reads fonts for PDFs. The same bytes are the same font, in whichever document. */
export const layoutOnce: Fontkit = {
  ...fontkit,
  create(bytes) {
    const font = known.get(bytes) ?? readOnce(bytes);
    known.set(bytes, font);
    return font;
  },
};
