import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import type { ChainPieceKind } from '../model/tables/chainPieces.ts';
import { type Hunt, huntSchema, type Piece, type Span } from '../model/hunt.ts';
import { expectedMilliohm } from './expected.ts';
import { knownOf } from './known.ts';
import { huntFound } from './suspects.ts';

const piece = (
  kind: ChainPieceKind,
  i: number,
  side: Piece['side'] = 'out',
  change: Partial<Piece> = {},
): Piece => ({
  id: `p${i}`,
  kind,
  title: `${kind} ${i}`,
  side,
  ...change,
});
const cable = (lengthMm: number): Partial<Piece> => ({ size: { system: 'metric', name: '50' }, lengthMm });
/** Bank, clamp, cable, lug, stud, isolator, fuse, cable, load, cable back, stud at the hull, post. */
const PIECES: Piece[] = [
  piece('post', 0),
  piece('clamp', 1),
  piece('cable', 2, 'out', cable(800)),
  piece('lug', 3),
  piece('stud', 4),
  piece('switch', 5),
  piece('fuse', 6),
  piece('cable', 7, 'out', cable(6400)),
  piece('cable', 8, 'back', cable(6800)),
  piece('lug', 9, 'back'),
  piece('stud', 10, 'back'),
  piece('post', 11, 'back'),
];
const COPPER_C = 35;
const sound = PIECES.map((own) => 0.9 * expectedMilliohm(own, COPPER_C));
const AMPS = 120;
const base: Hunt = {
  id: 'h',
  title: 'the old thruster',
  systemV: 24,
  test: 'steady',
  load: 'thruster',
  loaded: {},
  copperC: COPPER_C,
  pieces: PIECES,
  spans: [],
  notes: '',
};
const sum = (values: readonly number[]) => values.reduce((all, own) => all + own, 0);

/** What a meter would read across pieces that really take so much. */
const span = (real: readonly number[], first: number, last = first, amps = AMPS): Span => ({
  id: `s${first}-${last}`,
  first: `p${first}`,
  last: `p${last}`,
  millivolt: sum(real.slice(first, last + 1)) * amps,
  amps,
  at: '2026-11-02T14:52:00Z',
  by: 'R. Pell',
  source: 'typed',
});
const loaded = (real: readonly number[], amps = AMPS): Hunt['loaded'] => ({
  postsV: 24.2,
  loadV: 24.2 - (sum(real) * amps) / 1000,
  amps,
});
const withBad = (at: number, milliohm: number) => sound.map((own, i) => (i === at ? milliohm : own));
/** One piece takes so much more than it should. */
const badBy = (at: number, more: number) =>
  withBad(at, expectedMilliohm(PIECES[at] as Piece, COPPER_C) + more);
const everyPiece = (real: readonly number[]): Hunt => ({
  ...base,
  loaded: loaded(real),
  spans: PIECES.map((_, i) => span(real, i)),
});

describe('a chain measured piece by piece', () => {
  const real = withBad(10, 4.058);
  const found = huntFound(everyPiece(real));
  test('the stud at the hull takes 4.03 mΩ too much: 58 W', () => {
    expect(found.suspects[0]).toMatchObject({ place: 10 });
    expect(found.suspects[0]?.excessMilliohm).toBeCloseTo(4.028, 3);
    expect(found.suspects[0]?.wastedW).toBeCloseTo(58, 0);
    expect(found.verdict).toMatchObject({ what: 'joint' });
    expect(found.next).toBeNull();
  });
  test('its pieces add up to the whole', () => {
    expect(found.totalMilliohm).toBeCloseTo(sum(real), 6);
    expect(sum(found.pieces.map(({ milliohm }) => milliohm ?? Number.NaN))).toBeCloseTo(sum(real), 6);
  });
  test('a sound one has nothing wrong with it', () => {
    const fine = huntFound(everyPiece(sound));
    expect(fine.suspects).toEqual([]);
    expect(fine.verdict.what).toBe('nothing wrong');
    expect(fine.certainty).toBe(1);
  });
  test('a battery that falls while the way is sound is the battery', () => {
    const weak = {
      ...everyPiece(sound),
      restV: 25.4,
      loaded: { ...loaded(sound), postsV: 19, loadV: 19 - (sum(sound) * AMPS) / 1000, amps: AMPS },
    };
    expect(huntFound(weak).verdict.what).toBe('battery');
  });
  test('a cable too thin is a cable', () =>
    expect(huntFound(everyPiece(withBad(7, 6))).verdict.what).toBe('cable'));
});

describe('following the next best place to probe', () => {
  /** Probes as it is told until the fault is pinned down; how many it took. */
  function probesUntilFound(real: readonly number[]): { probes: number; place: number | undefined } {
    let hunt: Hunt = { ...base, loaded: loaded(real) };
    for (let probes = 0; probes < 12; probes += 1) {
      const { next, suspects, verdict } = huntFound(hunt);
      if (['joint', 'cable', 'device'].includes(verdict.what)) return { probes, place: suspects[0]?.place };
      if (!next) return { probes, place: undefined };
      const at = (id: string) => PIECES.findIndex((own) => own.id === id);
      hunt = { ...hunt, spans: [...hunt.spans, span(real, at(next.first.id), at(next.last.id))] };
    }
    return { probes: 12, place: undefined };
  }
  test.each([0, 1, 3, 4, 5, 6, 9, 10, 11])('finds a bad piece at %i within four probes', (at) => {
    const found = probesUntilFound(withBad(at, 4));
    expect(found.place).toBe(at);
    expect(found.probes).toBeLessThanOrEqual(4);
  });
});

describe('a cranking test: the current falls from reading to reading', () => {
  test('each reading goes with the amps of its own moment', () => {
    const real = withBad(4, 1.2);
    const hunt: Hunt = {
      ...base,
      loaded: loaded(real, 420),
      spans: PIECES.map((_, i) => span(real, i, i, 420 - 20 * i)),
    };
    const found = huntFound(hunt);
    expect(found.contradictions).toEqual([]);
    expect(found.suspects[0]?.place).toBe(4);
    expect(found.suspects[0]?.milliohm).toBeCloseTo(1.2, 6);
  });
});

describe('readings that cannot all be true', () => {
  const real = withBad(10, 4);
  test('parts that lose more than the whole', () => {
    const hunt = { ...base, spans: [span(real, 9, 11), { ...span(real, 10), millivolt: 900 }] };
    const { contradictions } = knownOf(hunt);
    expect(contradictions).toHaveLength(1);
    expect(contradictions[0]?.readings.toSorted()).toEqual(['s10-10', 's9-11']);
    expect(huntFound(hunt).verdict.what).toBe('contradiction');
  });
  test('a whole that loses more than all its parts', () => {
    const hunt = everyPiece(real);
    const off = { ...hunt, loaded: { postsV: 24.2, loadV: 22.0, amps: AMPS } };
    expect(knownOf(off).contradictions[0]?.why).toBe('whole over');
  });
  test('more volts at the load than at the posts', () =>
    expect(knownOf({ ...base, loaded: { postsV: 24, loadV: 24.4, amps: 100 } }).contradictions[0]?.why).toBe(
      'swapped',
    ));
  test('the same piece read twice, differently', () => {
    const twice = [span(real, 10), { ...span(real, 10), id: 'again', millivolt: 200 }];
    expect(knownOf({ ...base, spans: twice }).contradictions).toHaveLength(1);
  });
});

describe('what always holds', () => {
  const chain = fc.record({
    bad: fc.integer({ min: 0, max: PIECES.length - 1 }),
    milliohm: fc.double({ min: 0.5, max: 12, noNaN: true }),
    probed: fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 3 })), {
      maxLength: 10,
      selector: ([a, b]) => `${a}-${Math.min(11, a + b)}`,
    }),
  });
  const huntFor = ({
    bad,
    milliohm,
    probed,
  }: {
    bad: number;
    milliohm: number;
    probed: [number, number][];
  }): Hunt => {
    const real = badBy(bad, milliohm);
    return {
      ...base,
      loaded: loaded(real),
      spans: probed.map(([a, b]) => span(real, a, Math.min(11, a + b))),
    };
  };
  test('true readings never contradict each other, and the true fault is never ruled out', () =>
    fc.assert(
      fc.property(chain, (drawn) => {
        const found = huntFound(huntFor(drawn));
        const guilty = found.pieces[drawn.bad];
        return (
          found.contradictions.length === 0 &&
          (guilty?.mostMilliohm === null || (guilty?.mostMilliohm ?? 0) >= drawn.milliohm - 1e-6)
        );
      }),
    ));
  test('the top suspect is the one with the largest excess', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 8, noNaN: true }), { minLength: 12, maxLength: 12 }),
        (real) => {
          const { suspects, pieces } = huntFound(everyPiece(real));
          const most = Math.max(...pieces.map(({ excessMilliohm }) => excessMilliohm));
          return suspects.length === 0 || Math.abs((suspects[0]?.excessMilliohm ?? 0) - most) < 1e-9;
        },
      ),
    ));
  test('whatever was read, only what is at fault is named, and with a fault nothing is called sound', () =>
    fc.assert(
      fc.property(chain, (drawn) => {
        const { named, verdict, pieces } = huntFound(huntFor(drawn));
        const more = drawn.milliohm > 0.5 * (pieces[drawn.bad]?.shouldMilliohm ?? 0);
        return named.every(({ place }) => place === drawn.bad) && !(more && verdict.what === 'nothing wrong');
      }),
      { numRuns: cases(150) },
    ));
  test('each next probe stays on one side of the load, and was not read before', () =>
    fc.assert(
      fc.property(chain, (drawn) => {
        const hunt = huntFor(drawn);
        const { next } = huntFound(hunt);
        return (
          next === null ||
          (next.first.side === next.last.side &&
            !hunt.spans.some(({ first, last }) => first === next.first.id && last === next.last.id))
        );
      }),
      { numRuns: cases(150) },
    ));
  test('a hunt is plain data that its own schema takes', () =>
    expect(huntSchema.parse(JSON.parse(JSON.stringify(everyPiece(sound))))).toEqual(everyPiece(sound)));
});
