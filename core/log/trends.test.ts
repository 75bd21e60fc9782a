import { readFileSync } from 'node:fs';
import { tell } from '../words/message.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { jobFileSchema } from '../model/job.ts';
import { workUp } from '../workup.ts';
import { base, flats, good, shop } from '../proof/proofFixture.ts';
import { workUpCable } from '../workup.ts';
import { controlFinding, controlOf, LEAST_POINTS, signalsOf, trendPoints } from './trends.ts';

const steady = [14.1, 14.12, 14.08, 14.1, 14.11, 14.09, 14.1, 14.12];
const control = () => {
  const found = controlOf(steady);
  if (!found) throw new Error('eight are enough');
  return found;
};
/** As read with one calliper, unless the last is read with another. */
const read = (values: readonly number[], last = 'K1', standard = 0.02) =>
  values.map((value, i) => ({
    value,
    instrument: i === values.length - 1 ? last : 'K1',
    parts: [{ what: 'its jaws', standard }],
  }));
const kinds = (values: readonly number[]) => signalsOf(values, control()).map(({ kind }) => kind);

describe('control limits', () => {
  test('by hand: mean 14.1025, moving ranges 0.02 0.04 0.02 0.01 0.02 0.01 0.02, mean 0.02', () => {
    const { mean, lower, upper } = control();
    expect(mean).toBeCloseTo(14.1025, 6);
    expect(upper - mean).toBeCloseTo(2.66 * 0.02, 6);
    expect(mean - lower).toBeCloseTo(2.66 * 0.02, 6);
  });
  test('seven say nothing yet', () => expect(controlOf(steady.slice(0, LEAST_POINTS - 1))).toBeNull());
  test('are set by the oldest twenty: what comes later does not move them', () => {
    const long = Array.from({ length: 20 }, (_, i) => 14 + (i % 3) * 0.01);
    expect(controlOf([...long, 15, 16, 17])?.mean).toBeCloseTo(controlOf(long)?.mean ?? 0, 9);
  });
  test('a die that always leaves the same has no reach, and nothing is out of the way', () => {
    const same = Array.from({ length: 12 }, () => 10);
    const own = controlOf(same);
    expect(own && signalsOf(same, own)).toEqual([]);
  });
});

describe('what the latest may be off by', () => {
  test('is shown, and decides only where it was read with another instrument than the limits came from', () => {
    const same = controlFinding('across-flats', read([...steady, 14.13]), control());
    expect(same).toMatchObject({ state: 'holds', uncertainty: 0.04 });
    const other = controlFinding('across-flats', read([...steady, 14.13], 'K2'), control());
    expect(other).toMatchObject({ state: 'watch', untold: true, uncertainty: 0.04 });
    expect(controlFinding('across-flats', read([...steady, 14.13], 'K2', 0.002), control()).state).toBe(
      'holds',
    );
    expect(controlFinding('across-flats', read([...steady, 14.3], 'K2'), control()).untold).toBeUndefined();
  });
  test('check crimps are points of their die like trials, with their own instrument', () => {
    const [die] = shop.dies;
    if (!die) throw new Error('no die');
    const check = {
      id: 'k',
      at: '2026-11-20T08:00:00.000Z',
      by: 'R. Pell',
      dieId: die.id,
      acrossFlatsMm: 14,
    };
    const named = { ...check, source: 'typed' as const, instrument: { title: 'K1', resolution: 0.01 } };
    const points = trendPoints([], {
      ...shop,
      trials: [],
      checks: [named, { ...named, source: 'simulated' }],
    });
    expect(points).toMatchObject([{ dieId: die.id, instrument: 'K1', measure: 'across-flats', value: 14 }]);
    expect(points[0]?.parts.length).toBeGreaterThan(1);
  });
});

describe('what does not happen by chance', () => {
  test('nothing in a steady series', () => expect(kinds(steady)).toEqual([]));
  test('one outside', () => expect(kinds([...steady, 14.3])).toContain('outside'));
  test('eight over the mean; seven are not enough', () => {
    const over = [14.11, 14.12, 14.11, 14.13, 14.11, 14.12, 14.11];
    expect(kinds([14.09, ...over])).not.toContain('one side');
    expect(kinds([14.09, ...over, 14.12])).toContain('one side');
  });
  test('six steps up; five are not enough', () => {
    const up = [14.06, 14.07, 14.08, 14.09, 14.1, 14.11];
    expect(kinds(up)).not.toContain('one way');
    expect(kinds([...up, 14.12])).toContain('one way');
  });
  test('the latest decides what is said of the die', () => {
    expect(controlFinding('across-flats', read([...steady, 14.3]), control()).state).toBe('watch');
    expect(controlFinding('across-flats', read([...steady, 14.3, 14.1]), control()).state).toBe('holds');
  });
  test('turned upside down it says as much', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 8, maxLength: 40 }),
        (values) => {
          const own = controlOf(values);
          const turned = controlOf(values.map((value) => -value));
          if (!own || !turned) return false;
          const said = (list: readonly number[], by: typeof own) =>
            signalsOf(list, by).map(({ kind, to }) => `${kind} ${to}`);
          return (
            said(values, own).join() ===
            said(
              values.map((value) => -value),
              turned,
            ).join()
          );
        },
      ),
    ));
});

describe('points of a die', () => {
  test('readings and trials by time, none simulated or struck out', () => {
    const cable = {
      ...base,
      readings: [
        flats('A', 14.1, 5),
        { ...flats('A', 15, 6), source: 'simulated' as const },
        { ...flats('A', 16, 7), struck: { at: '2026-11-20T11:00:00.000Z', by: 'x', why: 'wrong lug' } },
        good.joint('B'),
        good.section('B'),
      ],
    };
    const points = trendPoints([{ cable, work: workUpCable(cable, shop) }], shop);
    expect(points.map(({ measure, where }) => `${measure} ${tell(where)}`).sort()).toEqual([
      'across-flats C-1 A',
      'air C-1 B',
      'joint C-1 B',
    ]);
  });
  test('the demo has a die whose crimps creep up', () => {
    const { job, shop: own } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
    const worked = workUp(job, own).cables.map((work, i) => ({ cable: job.cables[i] ?? base, work }));
    const values = trendPoints(worked, own)
      .filter(({ dieId, measure }) => dieId === 'bench-k18' && measure === 'across-flats')
      .map(({ value }) => value);
    const limits = controlOf(values);
    expect(values.length).toBeGreaterThan(20);
    expect(limits && signalsOf(values, limits).at(-1)?.to).toBe(values.length - 1);
  });
});
