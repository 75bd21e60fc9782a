// Draws sections with known air, spoils their pictures as cameras do, by a phone or anyhow, and measures them: what the
// bounds of the air are tested with, and the bench.
import jpeg from 'jpeg-js';
import { between, pick, type Random, seeded } from '../core/lib/random.ts';
import { airBounds } from '../core/section/bounds.ts';
import { anyhow, byPhone, spoilt } from '../core/section/degradedFixture.ts';
import { drawSection } from '../core/section/draw.ts';
import { measureSection } from '../core/section/measure.ts';
import { hexagonMm2 } from '../core/termination/dies/dieOnLug.ts';
import { decodePicture } from './decodePicture.ts';

/** A section spoilt and measured. */
export interface SpoiltSection {
  readonly kind: 'phone' | 'any';
  readonly seed: number;
  readonly drawn: number;
  readonly refused: string | null;
  readonly voidShare: number;
  readonly least: number;
  readonly most: number;
}

const ACROSS_MM = 14;
/** Drawn larger than it is taken, so that its edges are as smooth as real ones. */
const DRAWN_TIMES = 1.25;
const MOST_DRAWN_PX = 2000;

function drawnAt(random: Random, widest: number) {
  const outline = hexagonMm2(ACROSS_MM);
  return drawSection(
    {
      acrossFlatsMm: ACROSS_MM,
      wallMm2: between(random, 0.4, 0.55) * outline,
      voidShare: random() < 0.15 ? 0 : between(random, 0.005, 0.16),
      strands: pick(random, [37, 61, 105, 160, 240, 420]),
      offCentre: between(random, 0, 0.4),
      tinned: random() < 0.5,
    },
    random,
    Math.min(MOST_DRAWN_PX, DRAWN_TIMES * widest),
  );
}

/** One of each kind and seed, the same each time. */
export function spoiltSection(kind: SpoiltSection['kind'], seed: number, widest = 4000): SpoiltSection {
  const random = seeded(seed);
  const { picture, voidShare: drawn } = drawnAt(random, widest);
  const how = (kind === 'phone' ? byPhone : anyhow)(random, widest);
  const { width, height, data } = spoilt(picture, how, random);
  const quality = Math.round(between(random, kind === 'phone' ? 75 : 40, 97));
  const seen = decodePicture(jpeg.encode({ width, height, data: data as Uint8Array }, quality).data);
  if (!seen) throw new Error('what was encoded is a picture');
  const measured = measureSection(seen);
  if (!measured.ok) return { kind, seed, drawn, refused: measured.refused, voidShare: 0, least: 0, most: 0 };
  const { voidShare } = measured.section;
  const { least, most, hidden } = airBounds(measured.section);
  return { kind, seed, drawn, refused: hidden, voidShare, least, most };
}
