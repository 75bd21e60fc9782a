import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import type { EndName } from '../model/end.ts';
import type { Fuse } from '../model/run.ts';
import { guardOf, type Places } from './upstream.ts';

const fuse = (end: EndName, ratingA: number): Fuse => ({
  ...{ end, kind: 'link', ratingA, place: 'near', distanceMm: 100 },
});
const cable = (A: string | null, B: string | null, ...fuses: Fuse[]) => ({
  places: { A, B } as Places,
  fuses,
});
const guard = (own: ReturnType<typeof cable>, ...mates: ReturnType<typeof cable>[]) =>
  guardOf(own.places, mates)[0]?.ratingA;

describe('the fuse that guards a cable which has none', () => {
  const first = cable('battery +', 'fuse box', fuse('A', 100));
  test('is the one that stands before it in the loop', () => {
    expect(guard(cable('fuse box', 'pump'), first)).toBe(100);
    expect(guard(cable('isolator', 'pump'), first, cable('fuse box', 'isolator'))).toBe(100);
  });
  test('and not one that stands behind it, seen from the source', () => {
    const behind = cable('isolator', 'pump', fuse('A', 50));
    expect(guard(cable('battery +', 'isolator'), behind)).toBeUndefined();
    expect(guard(cable('battery +', 'isolator'), behind, first)).toBeUndefined();
  });
  test('of several before it, the smallest; where nothing tells, the one that guards least', () => {
    const second = cable('fuse box', 'box 2', fuse('A', 60));
    expect(guard(cable('box 2', 'pump'), first, second)).toBe(60);
    expect(guard(cable('pump −', 'battery −'), first, second)).toBe(100);
    expect(guard(cable(null, 'pump'), cable(null, null, fuse('A', 80)), second)).toBe(80);
  });
  test('is the same in every order, and whatever the places are called', () => {
    const names = ['battery +', 'a', 'b', 'c', 'd', 'battery −'];
    const place = fc.constantFrom(...names, null);
    const anyCable = fc
      .record({
        A: place,
        B: place,
        fuses: fc.array(fc.tuple(fc.constantFrom('A' as const, 'B' as const), fc.constantFrom(50, 80, 100)), {
          maxLength: 2,
        }),
      })
      .map(({ A, B, fuses }) => cable(A, B, ...fuses.map(([end, amps]) => fuse(end, amps))));
    fc.assert(
      fc.property(anyCable, fc.array(anyCable, { maxLength: 5 }), fc.integer(), (own, mates, seed) => {
        const before = guard(own, ...mates);
        const turned = mates.toSorted(
          (a, b) => ((seed ^ mates.indexOf(a)) % 7) - ((seed ^ mates.indexOf(b)) % 7),
        );
        const called = (name: string | null) => name && `the ${name}`;
        const renamed = (one: typeof own) => cable(called(one.places.A), called(one.places.B), ...one.fuses);
        expect(guard(own, ...turned)).toBe(before);
        expect(guard(renamed(own), ...mates.map(renamed))).toBe(before);
        // Turned end for end, it is the same cable.
        expect(guardOf({ A: own.places.B, B: own.places.A }, mates)[0]?.ratingA).toBe(before);
      }),
      { numRuns: cases(200) },
    );
  });
});
