import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Finding, State } from '../finding/finding.ts';
import { cases } from '../lib/casesFixture.ts';
import type { Reading, ReadingOf } from '../model/reading.ts';
import { readJobFile } from '../model/file.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';
import { evenly, expanded, instrumentParts } from './budget.ts';
import { crimpsMeasured, nextPlace } from './crimpsRead.ts';
import { base, DIE, flats, found, good, MILLIOHM, shop, stamp } from './proofFixture.ts';

const RANK: readonly State[] = ['holds', 'watch', 'unproved', 'fails'];
const rank = ({ state }: Finding) => RANK.indexOf(state);
const guarding = { ...shop, practice: { ...shop.practice, decision: 'guarded' as const } };
const judged = (readings: readonly Reading[], id: string, own = shop) =>
  found(workUpCable({ ...base, readings: [...readings] }, own), id);

describe('crimps, each by its number', () => {
  const read = fc.record({
    crimp: fc.integer({ min: 1, max: 2 }),
    flat: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
  });
  test('both are measured only once each of them is, however often one was', () => {
    fc.assert(
      fc.property(fc.array(read, { maxLength: 8 }), fc.constantFrom(1, 3), (places, flatsEach) => {
        const each = [1, 2].map(
          (crimp) => new Set(places.filter((own) => own.crimp === crimp).map(({ flat }) => flat ?? 0)),
        );
        const isWhole = each.every(({ size }) => size >= flatsEach);
        return isWhole || crimpsMeasured(places as ReadingOf<'across-flats'>[], 2, flatsEach) < 2;
      }),
      { numRuns: cases(300) },
    );
  });
  test('one measured twice is one of two, and the next to measure is the other', () => {
    const twice = [flats('A', DIE + 0.1), flats('A', DIE + 0.12)];
    expect(tell(judged(twice, 'across-flats.A').because)).toBe('1 of 2 crimps measured.');
    expect(judged(twice, 'across-flats.A').state).toBe('unproved');
    expect(nextPlace(twice as ReadingOf<'across-flats'>[], 2)).toEqual({ crimp: 2, flat: 1 });
  });
  test('asked one after the other, they come to an end with every flat of each measured', () => {
    const places: { crimp: number; flat: number }[] = [];
    for (let next = nextPlace(places, 2); next; next = nextPlace(places, 2)) places.push(next);
    expect(places.map(({ crimp, flat }) => `${crimp}.${flat}`)).toEqual([
      ...['1.1', '2.1', '1.2', '2.2', '1.3', '2.3'],
    ]);
  });
  test('where the shop measures all three flats, one of each crimp is not enough', () => {
    const all = { ...shop, practice: { ...shop.practice, flatsEach: 3 as const } };
    const one = [flats('A', DIE + 0.1), flats('A', DIE + 0.1, 0, 2)];
    expect(judged(one, 'across-flats.A').state).toBe('holds');
    expect(judged(one, 'across-flats.A', all).state).toBe('unproved');
    const three = [1, 2].flatMap((crimp) =>
      [1, 2, 3].map((flat) => ({ ...flats('A', DIE + 0.1, 0, crimp), flat }) as Reading),
    );
    expect(judged(three, 'across-flats.A', all).state).toBe('holds');
  });
  test('readings from before crimps were numbered stand as they stood, and say so', () => {
    const old = [1, 2].map(() => {
      const { crimp: _, flat: __, ...rest } = flats('A', DIE + 0.1) as ReadingOf<'across-flats'>;
      return rest as Reading;
    });
    expect(judged(old.slice(1), 'across-flats.A').state).toBe('unproved');
    const both = judged(old, 'across-flats.A');
    expect(both.state).toBe('holds');
    expect(tell(both.because)).toContain('before crimps were numbered');
  });
  test('a file of version 4 is judged so', () => {
    const file = readJobFile(readFileSync('core/model/fixtures/job-v4.json', 'utf8'));
    if (!file.ok) throw new Error(file.sentence);
    const { job, shop: its } = file.value;
    const [cable] = job.cables;
    const old = cable && found(workUpCable(cable, its), 'across-flats.A');
    expect(old?.state).toBe('holds');
    expect(tell(old?.because)).toContain('before crimps were numbered');
  });
  test('ears of one crimp alone are not those of the end; of no crimp they are of the worst place', () => {
    const ears = (crimp?: number): Reading => ({
      ...stamp(),
      check: 'ears',
      end: 'A',
      ...(crimp !== undefined && { crimp }),
      valueMm: 0.2,
    });
    expect(judged([ears(1)], 'ears.A').state).toBe('unproved');
    expect(judged([ears(1), ears(2)], 'ears.A').state).toBe('holds');
    expect(judged([ears()], 'ears.A').state).toBe('holds');
  });
});

describe('a reading with what it may be off by', () => {
  const window = { least: DIE - 0.1, most: DIE * 1.02 };
  const by = (percent: number, digits: number) => ({
    instrument: { title: 'Calliper', resolution: 0.01, accuracy: { percent, digits } },
  });
  const both = (valueMm: number, own = {}) => [
    { ...flats('A', valueMm), ...own },
    { ...flats('A', valueMm, 0, 2), ...own },
  ];
  const value = fc.double({ min: DIE - 0.4, max: DIE + 0.6, noNaN: true });
  const accuracy = fc.double({ min: 0, max: 3, noNaN: true });

  test('holds only where it holds with all of it, fails only past the limit, and guarded is never better', () => {
    fc.assert(
      fc.property(value, accuracy, (mm, percent) => {
        const finding = judged(both(mm, by(percent, 2)), 'across-flats.A');
        const guarded = judged(both(mm, by(percent, 2)), 'across-flats.A', guarding);
        const isIn = mm >= window.least && mm <= window.most;
        const off = finding.uncertainty ?? 0;
        const isSure = mm - off >= window.least && mm + off <= window.most;
        return (
          off > 0 &&
          (finding.state === 'fails') === !isIn &&
          (finding.state !== 'holds' || isSure) &&
          rank(guarded) >= rank(finding) &&
          (guarded.state === 'holds' || guarded.state === 'unproved' || guarded.state === 'fails')
        );
      }),
      { numRuns: cases(100) },
    );
  });
  test('a worse instrument never makes a better verdict', () => {
    fc.assert(
      fc.property(value, accuracy, accuracy, (mm, one, other) => {
        const [better, worse] = [Math.min(one, other), Math.max(one, other)];
        const state = (percent: number) => rank(judged(both(mm, by(percent, 2)), 'across-flats.A'));
        return state(worse) >= state(better);
      }),
      { numRuns: cases(100) },
    );
  });
  test('near its limit it is watched, and what would tell it is said', () => {
    const near = judged(both(window.most - 0.01, by(0, 2)), 'across-flats.A');
    expect([near.state, near.untold]).toEqual(['watch', true]);
    expect(tell(near.because)).toMatch(/too close to decide/);
    expect(tell(near.remedy)).toMatch(/No better instrument alone would decide/);
    const coarse = judged(both(window.most - 0.06, by(1, 2)), 'across-flats.A');
    expect(tell(coarse.remedy)).toMatch(/Calliper .* Brought down to ± 0\.0\d+/);
    expect(judged(both(window.most - 0.01, by(0, 2)), 'across-flats.A', guarding).state).toBe('unproved');
  });
  test('its budget stands in its work, and adds up', () => {
    const { uncertainty, work } = judged(both(DIE + 0.1, by(0, 2)), 'across-flats.A');
    // ± 0.02 of the calliper, half of its last digit, ± 0.03 of the jaws: each evenly spread, twice their root sum.
    expect(uncertainty).toBeCloseTo(2 * Math.hypot(0.02, 0.005, 0.03) * Math.sqrt(1 / 3), 9);
    expect(tell(work.substituted.at(-1))).toMatch(/U = 2 · √\(Σu²\) = ± 0\.0420/);
  });
  test('without an instrument a usual one of its kind is reckoned', () => {
    const parts = instrumentParts({}, 'calliper', 14);
    expect(tell(parts[0]?.what)).toContain('none is named');
    expect(expanded(parts)).toBeCloseTo(2 * Math.hypot(evenly(0.02), evenly(0.005)), 9);
  });
});

describe('what a hand meter cannot see', () => {
  const bare = (reading: Reading): Reading => {
    const { instrument: _, ...rest } = reading;
    return rest as Reading;
  };
  const resistance = (milliohm: number): Reading => ({
    ...stamp(),
    ...MILLIOHM,
    check: 'resistance',
    milliohm,
    copperC: 20,
  });
  test.each([
    ['resistance', resistance(0.5), 'holds'],
    ['joint.A', good.joint('A'), 'holds'],
    ['drop.A', good.drop('A'), 'holds'],
  ] as const)('%s is not proved by a figure typed without an instrument', (id, reading, state) => {
    expect(judged([reading], id).state).toBe(state);
    const typed = judged([bare(reading)], id);
    expect(typed.state).toBe('unproved');
    expect(tell(typed.because)).toContain('a hand meter cannot see it');
  });
  test('and what fails fails all the same', () => {
    expect(judged([bare(resistance(2))], 'resistance').state).toBe('fails');
  });
});
