// Draws sections with known air and shape and measures them: what the measurement is tested with.
import { seeded } from '../core/lib/random.ts';
import { drawSection, type DrawnSection } from '../core/section/draw.ts';
import { airBounds } from '../core/section/bounds.ts';
import { MEASURE_STAGES, measureSection, type MeasureStage } from '../core/section/measure.ts';
import type { Picture } from '../core/section/picture.ts';
import { wallEvenness } from '../core/section/wall.ts';

const BASE: DrawnSection = {
  acrossFlatsMm: 13.86,
  wallMm2: 88,
  voidShare: 0.02,
  strands: 61,
  offCentre: 0,
  tinned: false,
};
type Recolour = (rgb: readonly number[]) => readonly number[];
/** Gaps full of something of that colour: what is dark is it. */
function filledWith(filling: readonly number[]): Recolour {
  return (rgb) => ((rgb[0] ?? 0) < 70 && (rgb[2] ?? 0) < 60 ? filling : rgb);
}
const CASES: readonly { name: string; change: Partial<DrawnSection>; recolour?: Recolour }[] = [
  { name: 'no air', change: { voidShare: 0 } },
  { name: 'little air', change: {} },
  { name: 'askew', change: { offCentre: 0.7 } },
  { name: 'some air, fine strands, tinned', change: { voidShare: 0.06, strands: 240, tinned: true } },
  { name: 'open', change: { voidShare: 0.15 } },
  { name: 'red alone', change: {}, recolour: ([r = 0]) => [r, 0, 0] },
  { name: 'solder in the gaps', change: { voidShare: 0.07 }, recolour: filledWith([190, 190, 195]) },
  { name: 'dust in the gaps', change: { voidShare: 0.07, strands: 240 }, recolour: filledWith([95, 88, 80]) },
  { name: 'blue light', change: {}, recolour: ([r = 0, g = 0, b = 0]) => [b, g, r] },
];

function recoloured({ width, height, data }: Picture, to: Recolour): Picture {
  const changed = new Uint8ClampedArray(data.length).fill(255);
  for (let i = 0; i < data.length; i += 4) {
    const rgb = to([data[i] ?? 0, data[i + 1] ?? 0, data[i + 2] ?? 0]);
    for (let c = 0; c < 3; c += 1) changed[i + c] = rgb[c] ?? 0;
  }
  return { width, height, data: changed };
}

/**
 * What was drawn of each, and what was measured of it.
 *
 * @param width of the pictures, px
 */
export const drawnSections = (width: number) =>
  CASES.map((section, i) => measuredAgain(section, i + 1, width));

function measuredAgain({ name, change, recolour }: (typeof CASES)[number], seed: number, width: number) {
  const {
    picture,
    voidShare: drawn,
    acrossFlatsPx,
  } = drawSection({ ...BASE, ...change }, seeded(seed), width);
  const stages: MeasureStage[] = [];
  const answer = measureSection(recolour ? recoloured(picture, recolour) : picture, undefined, (stage) =>
    stages.push(stage),
  );
  if (!answer.ok) return { name, drawn, refused: answer.refused };
  const { voidShare, wallPx, roundShare, acrossFlatsPx: across } = answer.section;
  return {
    name,
    drawn,
    voidShare,
    hidden: airBounds(answer.section).hidden,
    acrossFlats: across / acrossFlatsPx,
    wallEvenness: wallPx && wallEvenness(wallPx),
    roundShare,
    everyStage: stages.join() === MEASURE_STAGES.join(),
  };
}
