import { word } from '../words/terms.ts';
import { STUDS } from '../model/tables/studs.ts';
import { digits, figure } from '../model/units/figure.ts';
import { HOME_MM, type Level, type MadeEnd } from './exercise.ts';
import type { PlaceName } from './faults.ts';
import { say } from '../words/say.ts';

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
        say`hole, and the stud in it`,
        `${mm(made.holeMm)}, ${mm(STUDS[asked.stud].diameterMm)}`,
        say`for ${asked.stud}`,
      );
    case 'sight':
      return seen(say`in the hole`, made.shortMm <= HOME_MM ? say`copper` : say`dark: no copper`);
    case 'crimps':
      return [
        ...plain(
          say`across the flats`,
          made.crimps.map(({ acrossFlatsMm }) => mm(acrossFlatsMm, 2)).join(say` and `),
          say`die ${digits(asked.die.acrossFlatsMm, 2)}, ${asked.crimps} times`,
        ),
        ...plain(say`ears`, mm(made.earsMm, 2), say`to 0.5 mm`),
      ];
    case 'mouth':
      return [
        ...(made.bareMm >= 0
          ? plain(say`copper before the jacket`, mm(made.bareMm), mm(asked.gapMm, 0))
          : plain(say`copper before the jacket`, say`none to be measured`, mm(asked.gapMm, 0))),
        ...seen(say`strands outside`, digits(made.strandsOutside, 0)),
      ];
    case 'front':
      return plain(
        say`from the shoulder to the sleeve`,
        made.sleeveFrontMm < 0
          ? say`${mm(-made.sleeveFrontMm)} past it, on the palm`
          : mm(made.sleeveFrontMm),
        say`at the shoulder`,
      );
    case 'back':
      return seen(say`bead of adhesive`, made.beads.back ? say`all round` : say`none`);
    case 'jacket':
      return seen(
        say`jacket behind the sleeve`,
        made.brownedMm > 0 ? say`brown, with bubbles` : say`its own colour`,
      );
    case 'colour':
      return plain(say`jacket`, word(made.colour), word(asked.polarity));
  }
}
