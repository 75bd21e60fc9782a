import { STUDS, type StudName } from '../../model/tables/studs.ts';
import { boreFill, fillVerdict, type FillVerdict, wallMm2 } from './lugOnCable.ts';
import { webMm } from './lugOnStud.ts';
import { type Message, msg } from '../../words/message.ts';

/** A lug made in the field from a length of annealed copper tube, flattened and drilled. */
export interface TubeLug {
  readonly fill: number;
  readonly fillVerdict: FillVerdict;
  /** Copper in the tube's wall, mm². */
  readonly tubeMm2: number;
  readonly palmWidthMm: number;
  readonly palmThicknessMm: number;
  readonly holeMm: number;
  readonly webMm: number;
  /** Tube to cut, mm: barrel, neck, and a palm with half a hole's width beyond the hole. */
  readonly cutMm: number;
  /** What stands against it, a sentence each; empty where it can do. */
  readonly problems: readonly Message[];
}

/** The barrel of a made lug is this many bores deep. Craft practice. */
const BARREL_BORES = 2;

/**
 * Whether a tube can be made into a lug.
 *
 * Source: palm `π·bore/2 + 2t` wide and `2t` thick, tube metal at least the conductor's, half a hole of web each side.
 *
 * @param outerMm outside of the tube, mm
 * @param wallMm of the tube, mm
 * @example tubeLug(15, 2, 50, 'M8').palmThicknessMm // 4
 */
export function tubeLug(
  outerMm: number,
  wallThicknessMm: number,
  copperMm2: number,
  stud: StudName,
): TubeLug {
  const boreMm = outerMm - 2 * wallThicknessMm;
  const fill = boreFill(copperMm2, boreMm);
  const verdict = fillVerdict(fill);
  const tubeMm2 = wallMm2({ outerMm, boreMm });
  const palmWidthMm = (Math.PI * boreMm) / 2 + 2 * wallThicknessMm;
  const { holeMm } = STUDS[stud];
  const web = webMm(palmWidthMm, holeMm);
  const problems = [
    verdict === 'cannot-enter' && msg`The cable cannot enter: never cut strands.`,
    (verdict === 'wrong-lug' || verdict === 'loose') && msg`The bore is too wide for this cable.`,
    tubeMm2 < copperMm2 && msg`The tube holds less copper than the cable: take the thick-walled kind.`,
    web < holeMm / 2 && msg`Too little metal beside the hole for this stud.`,
  ].filter((problem) => problem !== false);
  return {
    fill,
    fillVerdict: verdict,
    tubeMm2,
    palmWidthMm,
    palmThicknessMm: 2 * wallThicknessMm,
    holeMm,
    webMm: web,
    cutMm: BARREL_BORES * boreMm + outerMm / 2 + 2 * holeMm,
    problems,
  };
}
