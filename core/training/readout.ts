import { term } from '../words/terms.ts';
import { type Message, amount, msg, numeral, verbatim, allOf, bare } from '../words/message.ts';
import { STUDS } from '../model/tables/studs.ts';

import { HOME_MM, type Level, type MadeEnd } from './exercise.ts';
import type { PlaceName } from './faults.ts';

/** What one sees or measures at a place. */
export interface Readout {
  readonly what: Message;
  readonly says: Message;
  /** What the card asks of it. */
  readonly asked?: Message;
}

const mm = (value: number, decimals = 1) => amount(value, 'mm', decimals);

/**
 * What a calliper and a lamp tell at a place. The first level says what is to be seen and what is asked beside it; the
 * others give figures alone, and leave the looking to the drawing.
 */
export function readout(made: MadeEnd, place: PlaceName, level: Level): Readout[] {
  const { asked } = made;
  const seen = (what: Message, says: Message): Readout[] => (level === 1 ? [{ what, says }] : []);
  const plain = (what: Message, says: Message, wanted: Message): Readout[] => [
    { what, says, ...(level === 1 && { asked: wanted }) },
  ];
  switch (place) {
    case 'hole':
      return plain(
        msg`hole, and the stud in it`,
        verbatim`${mm(made.holeMm)}, ${mm(STUDS[asked.stud].diameterMm)}`,
        msg`for ${asked.stud}`,
      );
    case 'sight':
      return seen(msg`in the hole`, made.shortMm <= HOME_MM ? msg`copper` : msg`dark: no copper`);
    case 'crimps':
      return [
        ...plain(
          msg`across the flats`,
          allOf(made.crimps.map(({ acrossFlatsMm }) => mm(acrossFlatsMm, 2))),
          msg`die ${bare(asked.die.acrossFlatsMm, 'mm', 2)}, ${asked.crimps} times`,
        ),
        ...plain(msg`ears`, mm(made.earsMm, 2), msg`to ${mm(0.5)}`),
      ];
    case 'mouth':
      return [
        ...(made.bareMm >= 0
          ? plain(msg`copper before the jacket`, mm(made.bareMm), mm(asked.gapMm, 0))
          : plain(msg`copper before the jacket`, msg`none to be measured`, mm(asked.gapMm, 0))),
        ...seen(msg`strands outside`, numeral(made.strandsOutside, 0)),
      ];
    case 'front':
      return plain(
        msg`from the shoulder to the sleeve`,
        made.sleeveFrontMm < 0
          ? msg`${mm(-made.sleeveFrontMm)} past it, on the palm`
          : mm(made.sleeveFrontMm),
        msg`at the shoulder`,
      );
    case 'back':
      return seen(msg`bead of adhesive`, made.beads.back ? msg`all round` : msg`none`);
    case 'jacket':
      return seen(
        msg`jacket behind the sleeve`,
        made.brownedMm > 0 ? msg`brown, with bubbles` : msg`its own colour`,
      );
    case 'colour':
      return plain(msg`jacket`, term(made.colour), term(asked.polarity));
  }
}
