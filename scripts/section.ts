// npm run --silent section -- [--blur PIXELS] FILES…: measures photographs of sawn crimps and prints what it finds as
// JSON. With --blur each is first put so far out of focus: to see what a soft picture would have hidden.
import { readFileSync } from 'node:fs';
import { blurred } from '../core/section/blurFixture.ts';
import { sectionFindings } from '../core/section/findings.ts';
import { airBounds } from '../core/section/bounds.ts';
import { measureSection } from '../core/section/measure.ts';
import { wallEvenness } from '../core/section/wall.ts';
import { tell } from '../core/words/message.ts';
import { type Answer, asCommand, askedFor, misasked, print } from './command.ts';
import { decodePicture } from './decodePicture.ts';

const MOST_BLUR_PX = 50;

/** What is found on one photograph, or why nothing is. */
function foundOn(file: string, blurPx: number) {
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
}

/** What is found on each photograph that is asked for. */
export function sectionsFound(args: readonly string[]): Answer {
  const asked = askedFor(args, { blur: { type: 'string' } });
  if (!asked) return misasked('Unknown option: only --blur PIXELS and files are accepted.');
  const blurPx = Number(asked.values.blur ?? 0);
  if (!(blurPx >= 0 && blurPx <= MOST_BLUR_PX))
    return misasked(`--blur takes a number of pixels, from 0 to ${MOST_BLUR_PX}.`);
  if (asked.positionals.length === 0)
    return misasked('Give one or more pictures of sawn crimps, JPEG or PNG.');
  const found = asked.positionals.map((file) => foundOn(file, blurPx));
  return print(JSON.stringify(found, null, 1));
}

await asCommand(import.meta.url, sectionsFound);
