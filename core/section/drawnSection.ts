import { between, type Random } from '../lib/random.ts';
import { SPRING_BACK } from '../termination/dies/dieClosed.ts';
import { compaction, hexagonMm2 } from '../termination/dies/dieOnLug.ts';
import { wallMm2 } from '../termination/lugs/lugOnCable.ts';
import { forecast } from '../termination/dies/sectionView.ts';
import type { DrawnSection } from './draw.ts';

/** What is crimped: lug, die and conductor. */
export interface CrimpToDraw {
  readonly boreMm: number;
  readonly outerMm: number;
  readonly dieMm: number;
  readonly copperMm2: number;
  readonly strands: number;
  readonly tinned: boolean;
}

/** More strands than this are too fine to be drawn apart. */
const MOST_STRANDS = 260;
/** With more air than this share of the strands' room they lie loose: nothing was crimped. */
const MOST_AIR_IN_ROOM = 0.32;
/** Real crimps differ from their forecast by so much air, as a share of the outline. */
const SCATTER = 0.006;
/** How far the strands of a crimp lie off its middle, at most, as a share of the wall. */
const MOST_OFF = 0.3;

/**
 * A section as a crimp of this lug, die and conductor may come out; null where the die holds no more than the wall, or
 * where strands would lie about loose in it.
 *
 * @param random seeded
 */
export function drawnSectionOf(crimp: CrimpToDraw, random: Random): DrawnSection | null {
  const acrossFlatsMm = crimp.dieMm * (1 + between(random, 0.2, 0.6) * SPRING_BACK);
  const parts = { ...crimp, acrossFlatsMm };
  const outline = hexagonMm2(acrossFlatsMm);
  const wall = wallMm2(crimp);
  if (outline <= 1.05 * wall) return null;
  const expected = forecast(parts, compaction(parts).c).voidShare;
  const voidShare = Math.max(0, expected + between(random, -SCATTER, SCATTER));
  if (voidShare * outline > MOST_AIR_IN_ROOM * (outline - wall)) return null;
  return {
    acrossFlatsMm,
    wallMm2: wall,
    voidShare,
    strands: Math.min(MOST_STRANDS, Math.max(7, crimp.strands)),
    offCentre: between(random, 0, MOST_OFF),
    tinned: crimp.tinned,
  };
}
