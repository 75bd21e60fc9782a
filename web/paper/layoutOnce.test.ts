import { readFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';
import { expect, test } from '@jest/globals';
import { layoutOnce } from './layoutOnce.ts';
import { unwrapped } from './woff.ts';

const bytes = unwrapped(
  new Uint8Array(
    readFileSync('node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-400-normal.woff'),
  ),
);

test('a text is laid out once, in whichever document, and as it is by itself', () => {
  const [font, again] = [layoutOnce.create(bytes), layoutOnce.create(bytes)];
  const plain = fontkit.create(bytes);
  for (const text of ['', 'TH-3', '70 mm², AWG 2/0', 'TH-3']) {
    expect(font.layout(text).advanceWidth).toBe(plain.layout(text).advanceWidth);
    expect(again.layout(text)).toBe(font.layout(text));
  }
  // Asked for in another way it is another.
  expect(font.layout('fi', ['liga'])).not.toBe(font.layout('fi'));
});
