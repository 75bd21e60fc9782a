// npm run --silent section -- [--blur PIXELS] FILES…: measures photographs of sawn crimps and prints what it finds as
// JSON. With --blur each is first put so far out of focus: to see what a soft picture would have hidden.
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { blurred } from '../core/section/blurFixture.ts';
import { sectionFindings } from '../core/section/findings.ts';
import { airBounds } from '../core/section/bounds.ts';
import { measureSection } from '../core/section/measure.ts';
import { wallEvenness } from '../core/section/wall.ts';
import { tell } from '../core/words/message.ts';
import { decodePicture } from './decodePicture.ts';

const asked = (() => {
  try {
    return parseArgs({ allowPositionals: true, options: { blur: { type: 'string' } } });
  } catch {
    console.error('Unknown option: only --blur PIXELS and files are accepted.');
    process.exit(2);
  }
})();
const files = asked.positionals;
const blurPx = Number(asked.values.blur ?? 0);
if (!(blurPx >= 0 && blurPx <= 50)) {
  console.error('--blur takes a number of pixels, from 0 to 50.');
  process.exit(2);
}
if (files.length === 0) {
  console.error('Give one or more pictures of sawn crimps, JPEG or PNG.');
  process.exit(2);
}
const found = files.map((file) => {
  const picture = decodePicture(readFileSync(file));
  if (!picture)
    return { file, refused: 'no picture', sentence: 'This file is no JPEG or PNG that can be read.' };
  const measured = measureSection(blurPx > 0 ? blurred(picture, blurPx) : picture);
  if (!measured.ok) return { file, refused: measured.refused, sentence: tell(measured.sentence) };
  const { least, most, hidden } = airBounds(measured.section);
  if (hidden !== null) {
    const [air] = sectionFindings(measured.section, null);
    const refused = hidden === 'soft' ? 'not sharp' : hidden;
    return { file, refused, sentence: tell(air?.because), seenShare: measured.section.voidShare };
  }
  const { voidShare, largestShare, outlineBox, outline, wallPx, roundShare } = measured.section;
  const round = (value: number) => Math.round(value * 1e5) / 1e5;
  return {
    file,
    voidShare: round(voidShare),
    voidLeast: round(least),
    voidMost: round(most),
    largestShare: round(largestShare),
    outlineBox,
    wallEvenness: wallPx && round(wallEvenness(wallPx)),
    roundShare: roundShare === null ? null : round(roundShare),
    outline: outline.map((spot) => spot.map((value) => Math.round(value * 10) / 10)),
  };
});
console.log(JSON.stringify(found, null, 1));
