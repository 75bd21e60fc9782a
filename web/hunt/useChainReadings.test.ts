import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { Hunt, Piece } from '../../core/model/hunt.ts';
import { withAmps } from '../../core/hunt/changes.ts';
import { newHunt } from '../../core/hunt/newHunt.ts';
import { usePrefs } from '../stores/prefs.ts';
import { useChainReadings } from './useChainReadings.ts';

let hunt: Hunt;
let told: string[];
const setUp = (test_: Hunt['test']) => {
  let n = 0;
  hunt = { ...newHunt('h', 'circuit', 24, () => `p${(n += 1)}`), test: test_ };
  told = [];
  return useChainReadings(
    () => hunt,
    (next, what) => {
      hunt = next;
      told.push(what);
    },
  );
};
const pieceAt = (i: number): Piece => {
  const piece = hunt.pieces[i];
  if (!piece) throw new Error('the chain is shorter');
  return piece;
};

beforeEach(() => {
  setActivePinia(createPinia());
  usePrefs().prefs.person = 'R. Alder';
});

describe('readings across the pieces of a chain', () => {
  test('without the amps of the load they wait, and say what is missing', () => {
    const readings = setUp('steady');
    readings.take(pieceAt(1), { millivolt: 12 });
    expect(hunt.spans).toEqual([]);
    expect(readings.problem.value).toMatch(/load current first/);
    expect(readings.problemAt.value).toBe(pieceAt(1).title);
    expect(readings.millivoltOf(pieceAt(1))).toBe(12);
  });

  test('with them they are kept at the amps of their moment, with who read them', () => {
    const readings = setUp('steady');
    hunt = withAmps(hunt, 80);
    readings.take(pieceAt(1), { millivolt: 12 });
    expect(hunt.spans).toMatchObject([
      { first: pieceAt(1).id, last: pieceAt(1).id, millivolt: 12, amps: 80, by: 'R. Alder', source: 'typed' },
    ]);
    expect(told).toEqual([`reading across ${pieceAt(1).title}`]);
    expect([readings.millivoltOf(pieceAt(1)), readings.ampsOf(pieceAt(1))]).toEqual([12, 80]);
    expect(readings.isSimulated(pieceAt(1))).toBe(false);
    hunt = { ...hunt, spans: hunt.spans.map((span) => ({ ...span, source: 'simulated' as const })) };
    expect(readings.isSimulated(pieceAt(1))).toBe(true);
  });

  test.each([
    ['millivolts first', [{ millivolt: 90 }, { amps: 210 }]],
    ['amps first', [{ amps: 210 }, { millivolt: 90 }]],
  ])('a cranking test takes its amps with each, %s', (_, parts) => {
    const readings = setUp('cranking');
    for (const [i, part] of parts.entries()) {
      readings.take(pieceAt(2), part);
      expect(hunt.spans).toHaveLength(i);
    }
    expect(readings.problem.value).toBe('');
    expect(hunt.spans[0]).toMatchObject({ millivolt: 90, amps: 210 });
  });

  test('one that is taken away goes, whole or half', () => {
    const readings = setUp('cranking');
    readings.take(pieceAt(2), { millivolt: 90 });
    readings.clear(pieceAt(2));
    expect(readings.millivoltOf(pieceAt(2))).toBeNull();
    expect(told).toEqual([]);
    readings.take(pieceAt(2), { millivolt: 90, amps: 200 });
    readings.clear(pieceAt(2));
    expect(hunt.spans).toEqual([]);
    expect(told).toHaveLength(2);
  });

  test('what is wrong is told at its piece, and taken back', () => {
    const readings = setUp('steady');
    readings.tell(pieceAt(0), 'No figure.');
    expect([readings.problem.value, readings.problemAt.value]).toEqual(['No figure.', pieceAt(0).title]);
    readings.tell(pieceAt(0), '');
    expect([readings.problem.value, readings.problemAt.value]).toEqual(['', '']);
  });
});
