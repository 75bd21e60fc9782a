import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import * as fc from 'fast-check';
import { STUDS } from '../model/tables/studs.ts';
import { acrossFlatsWindow, MOST_EARS_MM } from '../termination/dies/dieClosed.ts';
import { seeded, shuffled } from '../lib/random.ts';
import { exercise, LEVELS, type Exercise } from './exercise.ts';
import { FAULT_NAMES, type FaultName, FAULTS, faultsOf, goesWith, PLACES, type PlaceName } from './faults.ts';
import { inspect } from './inspect.ts';
import { readout } from './readout.ts';
import { END_POINTS, markEnd, resultOf, ROUND_LENGTH, roundOf } from './round.ts';

const anyEnd = fc
  .record({ seed: fc.nat(99_999), level: fc.constantFrom(...LEVELS), number: fc.integer({ min: 1, max: 5 }) })
  .map(({ seed, level, number }) => exercise(seed, level, number));
const anyMarks = fc.subarray(FAULT_NAMES);
const failing = (own: Exercise) =>
  FAULT_NAMES.filter((name) => inspect(own.made)[name].state === 'fails').sort();

/** The first end of a level that has a fault. */
function endWith(name: FaultName, level: 1 | 2 | 3 = 1): Exercise {
  for (let seed = 1; seed < 2000; seed += 1) {
    const own = exercise(seed, level, 1);
    if (own.faults.includes(name)) return own;
  }
  throw new Error(`no end with ${name}`);
}

describe('seeded numbers', () => {
  test('are the same for the same seed, others for another, and from 0 up to 1', () => {
    const draw = (seed: number) => Array.from({ length: 50 }, seeded(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    expect(draw(7).every((number) => number >= 0 && number < 1)).toBe(true);
    const mean = Array.from({ length: 20_000 }, seeded(3)).reduce((sum, own) => sum + own, 0) / 20_000;
    expect(mean).toBeCloseTo(0.5, 2);
  });

  test('a list is shuffled whole, and stays as it was', () => {
    const list = [1, 2, 3, 4, 5, 6];
    expect(shuffled(seeded(1), list).toSorted()).toEqual(list);
    expect(list).toEqual([1, 2, 3, 4, 5, 6]);
  });
});

describe('an end to look at', () => {
  test('is the same for the same round, level and number', () => {
    fc.assert(
      fc.property(anyEnd, (own) => {
        expect(exercise(own.seed, own.level, own.number)).toEqual(own);
      }),
      { numRuns: 20 },
    );
  });

  test('fails in just what was done wrong on purpose, judged by one who does not know', () => {
    fc.assert(
      fc.property(anyEnd, (own) => {
        expect(failing(own)).toEqual([...own.faults].sort());
      }),
      { numRuns: cases(150) },
    );
  });

  test('has none to three faults, none of which hides another', () => {
    const counts = new Set<number>();
    fc.assert(
      fc.property(anyEnd, (own) => {
        counts.add(own.faults.length);
        expect(own.faults.length).toBeLessThanOrEqual(own.level === 1 ? 2 : 3);
        own.faults.forEach((name, i) => expect(goesWith(name, own.faults.toSpliced(i, 1))).toBe(true));
      }),
      { numRuns: cases(100) },
    );
    expect([...counts].sort()).toEqual([0, 1, 2, 3]);
  });

  test('every fault comes up at every level', () => {
    for (const level of LEVELS) {
      const seen = new Set(Array.from({ length: 120 }, (_, i) => exercise(i, level, 1).faults).flat());
      expect([...seen].sort()).toEqual([...FAULT_NAMES].sort());
    }
  });

  test('the fine level is nearer its limits than the plain one', () => {
    const gross = endWith('ears', 1).made.earsMm;
    const fine = endWith('ears', 3).made.earsMm;
    expect(fine).toBeGreaterThan(MOST_EARS_MM);
    expect(fine).toBeLessThan(gross);
  });
});

describe('what each fault is told by', () => {
  test('a loose hole by its clearance', () => {
    const { made } = endWith('loose hole');
    const finding = inspect(made)['loose hole'];
    expect(finding.value).toBeCloseTo(made.holeMm - STUDS[made.asked.stud].diameterMm, 6);
    expect(finding.value).toBeGreaterThan(1.2);
    expect(tell(finding.because)).toContain('Buy the hole you need');
  });

  test('another die by a hexagon outside the window of the die asked, with its packing', () => {
    const { made } = endWith('wrong die');
    const { leastMm, mostMm } = acrossFlatsWindow(made.asked.die.acrossFlatsMm);
    const { value, work } = inspect(made)['wrong die'];
    expect((value ?? 0) < leastMm || (value ?? 0) > mostMm).toBe(true);
    expect(tell(work.substituted[0])).toMatch(/^κ = \d\.\d\d, c = \d\.\d\d$/);
  });

  test('a short cable by the dark sight hole, and the share of the barrel that holds', () => {
    const { made } = endWith('not home');
    const { barrelMm } = made.asked.lug;
    const held = Math.round((100 * (barrelMm - made.shortMm)) / barrelMm);
    expect(tell(inspect(made)['not home'].because)).toContain(`${held} % of the barrel holds`);
    expect(inWords(readout(made, 'sight', 1))).toEqual([{ what: 'in the hole', says: 'dark: no copper' }]);
  });

  test('strands outside by their count and the amps left', () => {
    const { made } = endWith('strand outside');
    const left = made.asked.strandCount - made.strandsOutside;
    expect(inspect(made)['strand outside'].work.substituted.map(tell)).toEqual([
      `√(${left} ÷ ${made.asked.strandCount}) = ${(100 * Math.sqrt(left / made.asked.strandCount)).toFixed(1)} %`,
    ]);
  });

  test('every finding names its source and shows its numbers', () => {
    for (const name of FAULT_NAMES) {
      const { work, because } = inspect(endWith(name).made)[name];
      expect(tell(work.source)).not.toBe('');
      expect(work.substituted.length).toBeGreaterThan(0);
      expect(tell(because)).toMatch(/\.$/);
    }
  });
});

describe('what a place tells', () => {
  test('the plain level names what is asked; the others leave the looking to the drawing', () => {
    const { made } = endWith('no bead');
    expect(tell(readout(made, 'back', 1)[0]?.says)).toBe('none');
    expect(readout(made, 'back', 2)).toEqual([]);
    expect(tell(readout(made, 'crimps', 1)[0]?.asked)).toContain('die ');
    expect(readout(made, 'crimps', 3)[0]).not.toHaveProperty('asked');
  });

  test('every fault is marked at one place, and every place has one', () => {
    const places = Object.keys(PLACES) as PlaceName[];
    expect(places.flatMap(faultsOf).sort()).toEqual([...FAULT_NAMES].sort());
    expect(places.every((place) => faultsOf(place).length > 0)).toBe(true);
    expect(FAULTS.ears.at).toBe('crimps');
  });
});

describe('points', () => {
  const withFaults = (...faults: FaultName[]): Exercise => ({ ...exercise(1, 2, 1), faults });

  test('by hand', () => {
    expect(markEnd(withFaults(), []).points).toBe(END_POINTS);
    expect(markEnd(withFaults(), ['ears']).points).toBe(5);
    expect(markEnd(withFaults('ears', 'browned'), ['ears']).points).toBe(5);
    expect(markEnd(withFaults('ears', 'browned'), ['ears', 'browned', 'no bead']).points).toBe(8);
    expect(markEnd(withFaults('ears'), ['wrong die'])).toMatchObject({
      points: 0,
      found: [],
      missed: ['ears'],
      wrong: ['wrong die'],
    });
  });

  test('all found and nothing else earns all; marking everything earns nothing', () => {
    fc.assert(
      fc.property(anyEnd, (own) => {
        expect(markEnd(own, own.faults).points).toBe(END_POINTS);
        expect(markEnd(own, FAULT_NAMES).points).toBe(0);
      }),
      { numRuns: cases(40) },
    );
  });

  test('one more fault found never costs points, one more wrong mark never earns any', () => {
    fc.assert(
      fc.property(anyEnd, anyMarks, fc.constantFrom(...FAULT_NAMES), (own, marks, name) => {
        const without = markEnd(
          own,
          marks.filter((mark) => mark !== name),
        ).points;
        const withIt = markEnd(own, [...marks, name]).points;
        if (own.faults.includes(name)) expect(withIt).toBeGreaterThanOrEqual(without);
        else expect(withIt).toBeLessThanOrEqual(without);
      }),
      { numRuns: cases(60) },
    );
  });

  test('a round adds up', () => {
    const round = roundOf(47, 2);
    expect(round).toHaveLength(ROUND_LENGTH);
    const all = resultOf(round.map((own) => markEnd(own, own.faults)));
    expect(all).toEqual({
      points: ROUND_LENGTH * END_POINTS,
      of: ROUND_LENGTH * END_POINTS,
      found: round.flatMap(({ faults }) => faults).length,
      missed: 0,
      wrong: 0,
    });
  });
});

test('every end has a jacket to be inspected', () => {
  fc.assert(fc.property(anyEnd, ({ made }) => made.asked.kind.insulation !== 'bare'));
});
