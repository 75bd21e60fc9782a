// npm run --silent section -- FILES…: measures photographs of sawn crimps and prints what it finds as JSON.
import { readFileSync } from 'node:fs';
import { measureSection } from '../core/section/measure.ts';
import { wallEvenness } from '../core/section/wall.ts';
import { decodePicture } from './decodePicture.ts';

const files = process.argv.slice(2);
if (files.length === 0) {
  console.error('Name one or more pictures of sawn crimps, JPEG or PNG.');
  process.exit(2);
}
const found = files.map((file) => {
  const picture = decodePicture(readFileSync(file));
  if (!picture)
    return { file, refused: 'no picture', sentence: 'This file is no JPEG or PNG that can be read.' };
  const measured = measureSection(picture);
  if (!measured.ok) return { file, refused: measured.refused, sentence: measured.sentence };
  const { voidShare, largestShare, outlineBox, outline, wallPx, roundShare } = measured.section;
  const round = (value: number) => Math.round(value * 1e5) / 1e5;
  return {
    file,
    voidShare: round(voidShare),
    largestShare: round(largestShare),
    outlineBox,
    wallEvenness: wallPx && round(wallEvenness(wallPx)),
    roundShare: roundShare === null ? null : round(roundShare),
    outline: outline.map((spot) => spot.map((value) => Math.round(value * 10) / 10)),
  };
});
console.log(JSON.stringify(found, null, 1));
