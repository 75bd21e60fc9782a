import { STUDS } from '../catalogue/tables/studs.ts';
import { digits, figure } from '../units/figure.ts';
import { HOME_MM, type Level, type MadeEnd } from './exercise.ts';
import type { PlaceName } from './faults.ts';

/** What one sees or measures at a place. */
export interface Readout {
  readonly what: string;
  readonly says: string;
  /** What the card asks of it. */
  readonly asked?: string;
}

const mm = (value: number, decimals = 1) => figure(value, 'mm', decimals);

/**
 * What a calliper and a lamp tell at a place. The first level says what is to be seen and what is asked beside it; the
 * others give figures alone, and leave the looking to the drawing.
 */
export function readout(made: MadeEnd, place: PlaceName, level: Level): Readout[] {
  const { asked } = made;
  const seen = (what: string, says: string): Readout[] => (level === 1 ? [{ what, says }] : []);
  const plain = (what: string, says: string, wanted: string): Readout[] => [
    { what, says, ...(level === 1 && { asked: wanted }) },
  ];
  switch (place) {
    case 'hole':
      return plain(
        'hole, and the stud in it',
        `${mm(made.holeMm)}, ${mm(STUDS[asked.stud].diameterMm)}`,
        `for ${asked.stud}`,
      );
    case 'sight':
      return seen('in the hole', made.shortMm <= HOME_MM ? 'copper' : 'dark: no copper');
    case 'crimps':
      return [
        ...plain(
          'across the flats',
          made.crimps.map(({ acrossFlatsMm }) => mm(acrossFlatsMm, 2)).join(' and '),
          `die ${digits(asked.die.acrossFlatsMm, 2)}, ${asked.crimps} times`,
        ),
        ...plain('ears', mm(made.earsMm, 2), 'to 0.5 mm'),
      ];
    case 'mouth':
      return [
        ...(made.bareMm >= 0
          ? plain('copper before the jacket', mm(made.bareMm), mm(asked.gapMm, 0))
          : plain('copper before the jacket', 'none to be measured', mm(asked.gapMm, 0))),
        ...seen('strands outside', digits(made.strandsOutside, 0)),
      ];
    case 'front':
      return plain(
        'from the shoulder to the sleeve',
        made.sleeveFrontMm < 0 ? `${mm(-made.sleeveFrontMm)} past it, on the palm` : mm(made.sleeveFrontMm),
        'at the shoulder',
      );
    case 'back':
      return seen('bead of adhesive', made.beads.back ? 'all round' : 'none');
    case 'jacket':
      return seen('jacket behind the sleeve', made.brownedMm > 0 ? 'brown, with bubbles' : 'its own colour');
    case 'colour':
      return plain('jacket', made.colour, asked.polarity);
  }
}
