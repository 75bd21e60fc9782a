import { readFileSync } from 'node:fs';
import fontkit from '@pdf-lib/fontkit';
import { expect, test } from '@jest/globals';
import { unwrapped } from './woff.ts';

const woff = readFileSync(
  'node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-400-normal.woff',
);
const sfnt = unwrapped(woff);

test('every table is as long as it says, begins at a multiple of four, and adds up to its own checksum', () => {
  const view = new DataView(sfnt.buffer);
  const count = view.getUint16(4);
  expect(count).toBeGreaterThan(9);
  for (let i = 0; i < count; i += 1) {
    const [tag, checksum, offset, length] = [0, 4, 8, 12].map((at) => view.getUint32(12 + 16 * i + at)) as [
      number,
      number,
      number,
      number,
    ];
    // The head’s own sum stands in itself, and is counted as nothing.
    const isHead = tag === 0x68656164;
    let sum = 0;
    for (let at = offset; at < offset + length; at += 4)
      sum = (sum + (isHead && at === offset + 8 ? 0 : view.getUint32(at))) >>> 0;
    expect([i, offset % 4, offset + length <= sfnt.length, sum]).toEqual([i, 0, true, checksum]);
  }
});
test('an independent reader finds the same letters in it, of the same width', () => {
  const [wrapped, bare] = [fontkit.create(woff), fontkit.create(sfnt)];
  for (const letter of ['A', 'ß', '4', '²', 'µ', 'Ω', '→']) {
    const widths = [wrapped, bare].map((font) =>
      font.layout(letter).glyphs.map(({ id, advanceWidth }) => [id, advanceWidth]),
    );
    expect(widths[1]).toEqual(widths[0]);
  }
});
test('what is no WOFF is refused', () => {
  expect(() => unwrapped(sfnt)).toThrow(RangeError);
  expect(() => unwrapped(new Uint8Array(3))).toThrow(RangeError);
});
