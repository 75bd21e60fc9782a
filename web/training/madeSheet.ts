import { HOME_MM, type MadeEnd } from '../../core/training/exercise.ts';
import type { PlaceName } from '../../core/training/faults.ts';
import { wallOnMm } from '../../core/termination/sleeves/sleeve.ts';
import { drawnLug, palmTipMm } from '../bench/workpiece/lugShape.ts';
import type { EndSheet } from '../bench/workpiece/sheet.ts';

/** Before the sleeve was slid on, and with it shrunk. */
export const VIEWS = ['bare', 'finished'] as const;
export type View = (typeof VIEWS)[number];

const mouthOf = ({ asked: { lug } }: MadeEnd) => lug.studToBarrelMm + lug.barrelMm;

/** What the workpiece drawing needs of an end as it was made. Lengths mm from the centre of the stud. */
export function madeSheet(made: MadeEnd, view: View): EndSheet {
  const { asked } = made;
  const mouth = mouthOf(made);
  const half = asked.die.widthMm / 2;
  const front = asked.lug.studToBarrelMm + made.sleeveFrontMm;
  return {
    name: 'A',
    // An end of the training lies straight: what is required of it is the crimp.
    lug: drawnLug({ ...asked.lug, holeMm: made.holeMm, angleDeg: 0, offsetMm: 0 }),
    angleDeg: 0,
    crimps: made.crimps.map(({ fromMouthMm, acrossFlatsMm }) => ({
      fromU: mouth - fromMouthMm - half,
      toU: mouth - fromMouthMm + half,
      acrossFlatsMm,
    })),
    progress: { crimped: true, shrunk: view === 'finished' },
    isProposed: false,
    // Under a shrunk sleeve a jacket that was pushed in no longer shows.
    jacketFromU: mouth + (view === 'finished' ? Math.max(0, made.bareMm) : made.bareMm),
    sleeve:
      view === 'finished'
        ? { fromU: front, toU: front + asked.coverMm, wallMm: wallOnMm(asked.sleeve, asked.outerMm) }
        : null,
  };
}

/** Room for a browned jacket behind the sleeve, and for the tag, mm. */
const BEHIND_MM = 30;
const TAG_MM = 14;

/** How far an end must be drawn along and across, mm: both views alike. */
export function madeExtent(made: MadeEnd): { along: number; across: number } {
  const { asked } = made;
  const back = asked.lug.studToBarrelMm + asked.coverMm;
  return {
    along: palmTipMm(asked.lug) + back + BEHIND_MM + TAG_MM,
    across: Math.max(asked.lug.palmWidthMm, asked.outerMm + 6),
  };
}

/** Where each place lies along the end, mm from the stud, and on which of the views. */
export function placesAlong(
  made: MadeEnd,
): Readonly<Record<PlaceName, { view: View; fromU: number; toU: number }>> {
  const { asked } = made;
  const bottom = asked.lug.studToBarrelMm;
  const mouth = mouthOf(made);
  const sleeve = madeSheet(made, 'finished').sleeve ?? { fromU: bottom, toU: mouth };
  const tip = palmTipMm(asked.lug);
  return {
    hole: { view: 'bare', fromU: -tip, toU: Math.min(0.7 * tip, bottom - 6) },
    sight: { view: 'bare', fromU: bottom - 5, toU: bottom + 3.5 },
    crimps: { view: 'bare', fromU: bottom + 3.8, toU: mouth - 2.3 },
    mouth: { view: 'bare', fromU: mouth - 2, toU: mouth + 11 },
    front: { view: 'finished', fromU: bottom - 7, toU: bottom + 6 },
    back: { view: 'finished', fromU: sleeve.toU - 6, toU: sleeve.toU + 3.5 },
    jacket: { view: 'finished', fromU: sleeve.toU + 4, toU: sleeve.toU + BEHIND_MM - 2 },
    colour: { view: 'finished', fromU: sleeve.toU + BEHIND_MM - 1, toU: sleeve.toU + BEHIND_MM + TAG_MM - 2 },
  };
}

export const isHome = ({ shortMm }: MadeEnd) => shortMm <= HOME_MM;
