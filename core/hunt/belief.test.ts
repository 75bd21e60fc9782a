import { describe, expect, test } from '@jest/globals';
import { isThereTime } from '../lib/casesFixture.ts';
import { between, seeded } from '../lib/random.ts';
import type { Hunt } from '../model/hunt.ts';
import { beliefOf } from './belief.ts';
import { sizesOf } from './guesses.ts';
import { withMended } from './changes.ts';
import { circuitOf, followed } from './circuitFixture.ts';
import { readingErrorMillivolt, sigmaOf } from './errors.ts';
import { FAULTS_PRIOR, priorsOf, worstMilliohm } from './prior.ts';
import { huntFound } from './suspects.ts';

const AMPS = 100;
const span = (first: string, last: string, millivolt: number) => ({
  id: `${first}${last}`,
  first,
  last,
  millivolt,
  amps: AMPS,
  at: '2026-11-02T14:52:00Z',
  by: '',
  source: 'typed' as const,
});
/** Three pieces, of which two readings say something together: none of them is read by itself. */
const short = (ab: number, bc: number): Hunt => ({
  id: 'h',
  title: 'three pieces',
  systemV: 12,
  test: 'steady',
  load: 'load',
  loaded: {},
  copperC: 30,
  pieces: [
    { id: 'a', kind: 'fuse', title: 'a', side: 'out' },
    { id: 'b', kind: 'stud', title: 'b', side: 'out' },
    { id: 'c', kind: 'switch', title: 'c', side: 'out' },
  ],
  spans: [span('a', 'b', ab), span('b', 'c', bc)],
  notes: '',
});

/** The same by trying every size of every fault in small steps, with the density of both readings written out. */
function enumerated(hunt: Hunt): Map<string, number> {
  const priors = priorsOf(hunt, AMPS);
  const worst = worstMilliohm(hunt, AMPS);
  const readings = hunt.spans.map(({ millivolt }) => millivolt / AMPS);
  const errors = hunt.spans.map(({ millivolt }) =>
    sigmaOf(readingErrorMillivolt(millivolt) / AMPS, millivolt / AMPS),
  );
  const [a, b, c] = priors.map(({ sigmaMilliohm }) => sigmaMilliohm ** 2) as [number, number, number];
  const [first, second, both] = [a + b + (errors[0] ?? 0) ** 2, b + c + (errors[1] ?? 0) ** 2, b];
  const determinant = first * second - both ** 2;
  const [m0, m1, m2] = priors.map(({ meanMilliohm }) => meanMilliohm) as [number, number, number];
  const [sound0, sound1] = [(readings[0] ?? 0) - m0 - m1, (readings[1] ?? 0) - m1 - m2];
  const density = (x: number, y: number) =>
    Math.exp(-(second * x * x - 2 * both * x * y + first * y * y) / (2 * determinant));
  /** Whether a piece lies in the first reading, and in the second. */
  const [inFirst, inSecond] = [
    [1, 1, 0],
    [0, 1, 1],
  ] as const;
  const STEPS = 160;
  /** Sizes of a fault and how much of the prior lies about each. */
  const sizes = priors.map((prior) => {
    const buckets = sizesOf(prior, worst);
    return buckets.flatMap(({ mean, variance }) => {
      const sigma = Math.sqrt(variance);
      const steps = Array.from({ length: STEPS }, (_, n) => -5 + (10 * (n + 0.5)) / STEPS);
      return steps.map((off) => ({
        size: mean + off * sigma,
        part: ((Math.exp(-(off ** 2) / 2) / Math.sqrt(2 * Math.PI)) * (10 / STEPS)) / buckets.length,
      }));
    });
  });
  const [none, one, two] = FAULTS_PRIOR;
  const share = priors.map((prior) => prior.share);
  const pairs = [
    [0, 1],
    [0, 2],
    [1, 2],
  ] as const;
  const twice = pairs.reduce((sum, [i, j]) => sum + (share[i] ?? 0) * (share[j] ?? 0), 0);
  const found = new Map<string, number>([['', none * density(sound0, sound1)]]);
  for (const i of [0, 1, 2] as const) {
    const sum = (sizes[i] ?? []).reduce(
      (all, { size, part }) => all + part * density(sound0 - inFirst[i] * size, sound1 - inSecond[i] * size),
      0,
    );
    found.set(`${i}`, sum * one * (share[i] ?? 0));
  }
  for (const [i, j] of pairs) {
    let sum = 0;
    for (const p of sizes[i] ?? []) {
      const [x, y] = [sound0 - inFirst[i] * p.size, sound1 - inSecond[i] * p.size];
      for (const q of sizes[j] ?? [])
        sum += p.part * q.part * density(x - inFirst[j] * q.size, y - inSecond[j] * q.size);
    }
    found.set(`${i} ${j}`, (sum * two * (share[i] ?? 0) * (share[j] ?? 0)) / twice);
  }
  const all = [...found.values()].reduce((sum, own) => sum + own, 0);
  return new Map([...found].map(([key, own]) => [key, own / all]));
}

describe('what is believed', () => {
  // No reading leaves so little that a piece is cleared, or shows so much that one is taken as shown.
  const READ = [
    [50, 40],
    [90, 75],
    [300, 45],
    [90, 40],
  ] as const;
  test.each(READ.slice(isThereTime ? 0 : 2))('is what trying everything gives: %i and %i mV', (ab, bc) => {
    const hunt = short(ab, bc);
    const { explanations } = beliefOf(hunt, AMPS);
    const all = enumerated(hunt);
    for (const { places, probability } of explanations)
      expect(Math.abs(probability - (all.get(places.join(' ')) ?? 0))).toBeLessThan(2e-3);
  });
  test('of nothing read is what was believed before', () => {
    const { explanations, faulty } = beliefOf({ ...short(0, 0), spans: [] }, AMPS);
    const [none] = explanations.filter(({ places }) => places.length === 0);
    expect(none?.probability).toBeCloseTo(FAULTS_PRIOR[0], 6);
    expect(faulty.reduce((sum, own) => sum + own, 0)).toBeCloseTo(FAULTS_PRIOR[1] + 2 * FAULTS_PRIOR[2], 6);
  });
  test('adds up to one, whatever was read', () => {
    for (let seed = 0; seed < 30; seed += 1) {
      const random = seeded(seed);
      const { explanations } = beliefOf(short(between(random, 0, 900), between(random, 0, 900)), AMPS);
      expect(explanations.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 6);
    }
  });
});

describe('circuits of fifteen pieces, read within the meters’ errors', () => {
  const seeds = (count: number) => Array.from({ length: count }, (_, i) => 400 + i);
  const hunted = (seed: number, faults: readonly number[]) => {
    const circuit = circuitOf(seeded(seed), faults);
    return { circuit, ...followed(seeded(seed + 1), circuit) };
  };
  test('sound ones are called sound, and nobody is named', () => {
    for (const seed of seeds(8)) {
      const { found, probes } = hunted(seed, []);
      expect([seed, found.named, found.verdict.what]).toEqual([seed, [], 'nothing wrong']);
      expect(probes).toBeLessThanOrEqual(9);
    }
  });
  test('one fault is named and nothing else, two faults both', () => {
    for (const seed of seeds(6)) {
      const random = seeded(seed);
      for (const faults of [
        [between(random, 120, 700)],
        [between(random, 120, 700), between(random, 120, 700)],
      ]) {
        const { circuit, found } = hunted(seed, faults);
        const named = found.named.map(({ place }) => place).sort((a, b) => a - b);
        expect([seed, named]).toEqual([seed, circuit.faults.toSorted((a, b) => a - b)]);
        expect(found.verdict).toMatchObject({ isAll: true });
        expect(found.next).toBeNull();
      }
    }
  });
  test('what is likely and not read by itself is not named: it is what is asked next', () => {
    let asked = 0;
    for (const seed of seeds(24)) {
      const circuit = circuitOf(seeded(seed), [300]);
      followed(seeded(seed + 1), circuit, ({ pieces, named, next }) => {
        const [likely] = pieces.filter(
          ({ probability, milliohm }) => probability >= 0.95 && milliohm === null,
        );
        if (likely) {
          asked += 1;
          expect(named).not.toContain(likely);
          expect([next?.first.id, next?.last.id]).toEqual([likely.piece.id, likely.piece.id]);
        }
        return next === null;
      });
    }
    expect(asked).toBeGreaterThan(0);
  });
  test('what was mended is closed by three readings more, and its old readings are kept', () => {
    for (const seed of seeds(5)) {
      const circuit = circuitOf(seeded(seed), [400]);
      const { hunt, found } = followed(seeded(seed + 1), circuit);
      const place = circuit.faults[0] ?? 0;
      const piece = found.named[0]?.piece.id ?? '';
      const real = circuit.real.map((own, i) => (i === place ? (found.pieces[i]?.shouldMilliohm ?? 0) : own));
      const mended = withMended(hunt, piece, 'N. Sorrel', '2026-11-02T16:00:00.000Z');
      const [kept] = mended.mended ?? [];
      expect([...mended.spans, ...(kept?.spans ?? [])].map(({ id }) => id).sort()).toEqual(
        hunt.spans.map(({ id }) => id).sort(),
      );
      expect(huntFound(mended).named).toEqual([]);
      const lost = (real.reduce((sum, own) => sum + own, 0) * circuit.amps) / 1000;
      const { postsV = 0, amps = 0 } = hunt.loaded;
      const again = { ...mended, loaded: { postsV, loadV: postsV - lost, amps } };
      const closed = followed(seeded(seed + 2), { ...circuit, real, faults: [], hunt: again });
      expect([seed, closed.found.verdict.what]).toEqual([seed, 'nothing wrong']);
      expect(closed.probes).toBeLessThanOrEqual(3);
    }
  });
  test('a shop that asks for more certainty asks for no fewer readings', () => {
    const { hunt } = hunted(402, [300]);
    expect(huntFound(hunt, 0.5).next).toBeNull();
    expect(huntFound(hunt, 0.999999999).named.length).toBeLessThanOrEqual(huntFound(hunt, 0.5).named.length);
  });
});
