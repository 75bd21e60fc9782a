import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import { exercise, type Level, type MadeEnd } from './exercise.ts';
import { PLACES, type PlaceName } from './faults.ts';
import { readout } from './readout.ts';

const sound = (): MadeEnd => {
  for (let seed = 1; seed < 500; seed += 1) {
    const own = exercise(seed, 1, 1);
    if (own.faults.length === 0) return own.made;
  }
  throw new Error('no sound end');
};
const made = sound();
const says = (place: PlaceName, change: Partial<MadeEnd> = {}, level: Level = 1) =>
  readout({ ...made, ...change }, place, level).map(({ says: own }) => tell(own).replaceAll('\u2009', ' '));

describe('what one sees or measures at a place', () => {
  test('every place of the first level says something, with what is asked beside what is measured', () => {
    for (const place of Object.keys(PLACES) as PlaceName[]) {
      expect(readout(made, place, 1).length).toBeGreaterThan(0);
    }
    expect(tell(readout(made, 'hole', 1)[0]?.asked)).toContain(made.asked.stud);
  });

  test('later levels give figures alone, and what must be seen is left to the drawing', () => {
    for (const level of [2, 3] as const) {
      expect(readout(made, 'sight', level)).toEqual([]);
      expect(readout(made, 'back', level)).toEqual([]);
      expect(readout(made, 'jacket', level)).toEqual([]);
      expect(readout(made, 'crimps', level).every(({ asked }) => asked === undefined)).toBe(true);
    }
  });

  test('copper is seen in the hole up to a millimetre from its bottom, and no farther', () => {
    expect(says('sight', { shortMm: 1 })).toEqual(['copper']);
    expect(says('sight', { shortMm: 1.1 })).toEqual(['dark: no copper']);
  });

  test('each crimp is measured, and its ears', () => {
    const crimps = [10.42, 10.61].map((acrossFlatsMm, i) => ({ fromMouthMm: 8 + 10 * i, acrossFlatsMm }));
    expect(says('crimps', { crimps, earsMm: 0.32 })).toEqual(['10.42 mm and 10.61 mm', '0.32 mm']);
  });

  test('a jacket inside the barrel leaves no copper to be measured', () => {
    expect(says('mouth', { bareMm: 2.4, strandsOutside: 3 })).toEqual(['2.4 mm', '3']);
    expect(says('mouth', { bareMm: -1, strandsOutside: 0 })).toEqual(['none to be measured', '0']);
  });

  test('a sleeve that lies on the palm is past the shoulder', () => {
    expect(says('front', { sleeveFrontMm: 3 })).toEqual(['3.0 mm']);
    expect(says('front', { sleeveFrontMm: -2 })).toEqual(['2.0 mm past it, on the palm']);
  });

  test('behind the sleeve a bead is there or is not, and a jacket is brown or is not', () => {
    expect(says('back', { beads: { front: true, back: true } })).toEqual(['all round']);
    expect(says('back', { beads: { front: true, back: false } })).toEqual(['none']);
    expect(says('jacket', { brownedMm: 0 })).toEqual(['its own colour']);
    expect(says('jacket', { brownedMm: 4 })).toEqual(['brown, with bubbles']);
  });
});
