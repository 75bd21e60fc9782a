import type { Lug } from '../../model/shop.ts';
import { areaMm2, type ConductorSize } from '../../model/tables/size.ts';
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
  /** How deep the barrel stays round, mm: so far in goes the bar that keeps it so. */
  readonly barrelMm: number;
  /** From the end of that bar to the flat, mm: shorter, and the tube tears where it opens. */
  readonly neckMm: number;
  /** The flat, mm: the hole in its middle, half a hole’s width of metal before and beyond it. */
  readonly flatMm: number;
  /** Tube to cut, mm: barrel, neck and flat. */
  readonly cutMm: number;
  /**
   * Metal where it is least before the washer takes the current over, mm²: round the barrel, or across the flat.
   */
  readonly leastMm2: number;
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
  const palmThicknessMm = 2 * wallThicknessMm;
  const { holeMm } = STUDS[stud];
  const web = webMm(palmWidthMm, holeMm);
  const barrelMm = BARREL_BORES * boreMm;
  const neckMm = outerMm / 2;
  const flatMm = 2 * holeMm;
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
    palmThicknessMm,
    holeMm,
    webMm: web,
    barrelMm,
    neckMm,
    flatMm,
    cutMm: barrelMm + neckMm + flatMm,
    leastMm2: Math.min(tubeMm2, palmWidthMm * palmThicknessMm),
    problems,
  };
}

/**
 * A lug made from tube, as the shop keeps it: bare copper, straight, with nothing to look through.
 *
 * @example lugOfTube('l9', { outerMm: 15, wallMm: 2 }, { system: 'metric', name: '70' }, 'M8').label // "tube 15 × 2, M8"
 */
export function lugOfTube(
  id: string,
  { outerMm, wallMm }: { readonly outerMm: number; readonly wallMm: number },
  forSize: ConductorSize,
  stud: StudName,
): Lug {
  const made = tubeLug(outerMm, wallMm, areaMm2(forSize), stud);
  const rounded = (mm: number) => Math.round(mm * 10) / 10;
  return {
    id,
    label: `tube ${outerMm} × ${wallMm}, ${stud}`,
    family: 'made here',
    forSize,
    stud,
    holeMm: made.holeMm,
    boreMm: rounded(outerMm - 2 * wallMm),
    outerMm,
    barrelMm: rounded(made.barrelMm),
    palmWidthMm: rounded(made.palmWidthMm),
    palmThicknessMm: rounded(made.palmThicknessMm),
    studToBarrelMm: rounded(made.neckMm + made.flatMm / 2),
    form: 'tube',
    metal: 'copper',
    plating: 'none',
    sightHole: false,
    flared: false,
    offsetMm: 0,
    angleDeg: 0,
    drilledOut: false,
    measured: true,
    madeHere: { wallMm },
    price: 0,
    stock: 0,
  };
}

/** What a lug was made from, and what making it takes; null where it was bought. */
export function madeFrom(lug: Lug, copperMm2: number): TubeLug | null {
  return lug.madeHere ? tubeLug(lug.outerMm, lug.madeHere.wallMm, copperMm2, lug.stud) : null;
}
