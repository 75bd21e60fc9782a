import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import type { State } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { Reading, Waiver } from '../model/reading.ts';
import type { Shop } from '../model/shop.ts';
import { FURTHER_PROOFS } from '../model/housePractice.ts';
import { workUpCable } from '../workup.ts';
import { jointIndex } from './jointIndex.ts';
import { base, DIE, found, GOOD, good, goodFurther, shop, stamp } from './proofFixture.ts';
import { resolutionNeeded, resolutionWords } from './resolution.ts';
import { readTogether } from './source.ts';
import { excessAtRated, underJacket } from './thermalExcess.ts';

const asking: Shop = { ...shop, practice: { ...shop.practice, alsoProve: [...FURTHER_PROOFS] } };
const prove = (readings: readonly Reading[], change: Partial<Cable> = {}, of = shop) =>
  workUpCable({ ...base, ...change, readings: [...readings] }, of);
const state = (readings: readonly Reading[], id: string) => found(prove(readings), id).state;

describe('figures to check by hand', () => {
  test('a worked joint: 22.4 µΩ over an 18 mm barrel and 30 mm of cable is 1.68 barrels', () =>
    expect(jointIndex({ milliohm: 0.0224, beyondMm: 30, barrelMm: 18, milliohmPerM: 0.372 })).toBeCloseTo(
      1.68,
      2,
    ));
  test('a worked excess: 6.5 K at 90 of 160 A is 18.3 K', () =>
    expect(excessAtRated(6.5, 90, 160)).toBeCloseTo(18.3, 1));
  test('strands under a jacket are warmer by watts times resistance', () =>
    expect(underJacket(48, 10, 0.3)).toBeCloseTo(51, 9));
  test('one barrel of 70 mm² asks for half a microohm', () => {
    expect(tell(resolutionWords(resolutionNeeded(0.0078), 'mΩ'))).toBe('0.39\u2009µΩ');
    expect(tell(resolutionWords(0.5, 'mV'))).toBe('0.5\u2009mV');
    expect(tell(resolutionWords(10, 'mΩ'))).toBe('10\u2009mΩ');
  });
  test('a joint without a barrel, an excess without a current, are broken contracts', () => {
    expect(() => jointIndex({ milliohm: 1, beyondMm: 0, barrelMm: 0, milliohmPerM: 1 })).toThrow(RangeError);
    expect(() => excessAtRated(1, 0, 100)).toThrow(RangeError);
  });
});

describe('a joint by four wires', () => {
  // r = 0.27 mΩ/m, barrel 28 mm: a barrel is 7.56 µΩ, 30 mm of cable 8.1 µΩ.
  test.each<[string, number, State]>([
    ['as good as its cable', 0.0081 + 0.9 * 0.00756, 'holds'],
    ['a little worse', 0.0081 + 1.3 * 0.00756, 'watch'],
    ['far worse', 0.0081 + 2 * 0.00756, 'fails'],
    ['less than the cable alone', 0.007, 'unproved'],
  ])('%s', (_, milliohm, expected) =>
    expect(state([good.joint('A', { milliohm })], 'joint.A')).toBe(expected),
  );
  test('held against a plain stretch that is too short it says nothing', () =>
    expect(state([good.joint('A', { plain: { milliohm: 0.0297, lengthMm: 110 } })], 'joint.A')).toBe(
      'unproved',
    ));
  test('a shop that asks it misses it, and says what meter it takes', () =>
    expect(found(prove(GOOD, {}, asking), 'joint.B')).toMatchObject({ state: 'unproved', value: null }));
  test('one that was never asked nor read is not in the ledger', () =>
    expect(prove(GOOD).findings.some(({ id }) => id === 'joint.A')).toBe(false));
});

describe('warmth under load', () => {
  test.each<[string, Parameters<typeof good.thermal>[1], State]>([
    ['as cool as its conductor', {}, 'holds'],
    ['2 K over it at full load', { lugC: 52, earlierC: 52 }, 'watch'],
    ['8 K over it', { lugC: 58, earlierC: 58 }, 'fails'],
    ['a good figure after ten minutes', { minutes: 10 }, 'unproved'],
    ['a good figure at a fifth of the load', { amps: 30 }, 'unproved'],
    ['a good figure, still rising', { earlierC: 46 }, 'unproved'],
    ['a good figure on bright metal', { matte: false }, 'unproved'],
    ['20 K over, whatever was not waited for', { lugC: 70, earlierC: 60, minutes: 10 }, 'fails'],
    ['against the jacket, strands being warmer', { against: 'jacket', lugC: 51, earlierC: 51 }, 'holds'],
  ])('%s', (_, change, expected) => expect(state([good.thermal('A', change)], 'thermal.A')).toBe(expected));
});

describe('millivolts under load', () => {
  test('over a joint: good, watched, bad', () => {
    // 0.277 mΩ/m · 58 mm · 100 A = 1.61 mV; a barrel of it is 0.78 mV.
    expect(state([good.drop('A', { millivolt: 1.5 })], 'drop.A')).toBe('holds');
    expect(state([good.drop('A', { millivolt: 1.9 })], 'drop.A')).toBe('watch');
    expect(state([good.drop('A', { millivolt: 2.6 })], 'drop.A')).toBe('fails');
  });
  test('over a metre of conductor: is it the copper it is sold as?', () => {
    const metre = (millivolt: number): Reading => ({
      ...stamp(),
      check: 'drop',
      millivolt,
      amps: 100,
      spanMm: 1000,
      copperC: 20,
    });
    expect(state([metre(27)], 'drop-length')).toBe('holds');
    expect(state([metre(31)], 'drop-length')).toBe('fails');
  });
});

describe('an identical sample', () => {
  test('sawn and packed holds; with air it is watched or fails', () => {
    expect(state([good.section('A', { voidShare: 0.01 })], 'section.A')).toBe('holds');
    expect(state([good.section('A', { voidShare: 0.1 })], 'section.A')).toBe('fails');
    expect(state([good.section('A', { acrossFlatsMm: 8 })], 'section.A')).toBe('unproved');
  });
  const usual: Shop = { ...shop, practice: { ...shop.practice, pull: 'usual' } };
  const sample = (forceN: number, held = true): Reading => ({
    ...stamp(),
    check: 'pull',
    end: 'A',
    forceN,
    held,
    sample: true,
  });
  const pull = (readings: readonly Reading[], of = usual) => found(prove(readings, {}, of), 'pull.A').state;
  test('a proof at the least is not enough where the shop asks for more of a sample', () => {
    expect(pull(GOOD)).toBe('unproved');
    expect(pull([...GOOD, sample(1400)])).toBe('holds');
    expect(pull([...GOOD, sample(900)])).toBe('unproved');
    expect(pull([...GOOD, sample(900, false)])).toBe('fails');
  });
  test('nor is a sample without a proof of the end itself', () =>
    expect(pull([...GOOD.filter(({ check }) => check !== 'pull'), sample(1400)])).toBe('unproved'));
  test('a hold that was too short is no proof', () =>
    expect(
      state([{ ...stamp(), check: 'pull', end: 'A', forceN: 700, held: true, heldS: 42 }], 'pull.A'),
    ).toBe('unproved'));
});

describe('what a reading was taken with', () => {
  const title = 'Meter';
  test('a hand multimeter cannot see a cable, good or bad; what fails fails', () => {
    const coarse = (milliohm: number): Reading => ({
      ...stamp(),
      check: 'resistance',
      milliohm,
      copperC: 20,
      instrument: { title, resolution: 10 },
    });
    expect(tell(found(prove([coarse(0.5)]), 'resistance').because)).toContain('this check needs');
    expect(state([coarse(0.5)], 'resistance')).toBe('unproved');
    expect(state([coarse(20)], 'resistance')).toBe('fails');
  });
  test('a meter that tells a microohm apart is not enough for one joint', () => {
    const instrument = { title, resolution: 0.001 };
    expect(state([good.joint('A', { instrument })], 'joint.A')).toBe('unproved');
    expect(state([good.joint('A', { instrument: { title, resolution: 0.0001 } })], 'joint.A')).toBe('holds');
  });
  test('past its due day it is to be watched', () => {
    const dated = (due: string) =>
      GOOD.map((reading) => ({ ...reading, instrument: { title, due, resolution: 1e-5 } }));
    expect(prove(dated('2026-11-20')).verdict.state).toBe('holds');
    expect(prove(dated('2026-11-19')).verdict.state).toBe('watch');
    expect(tell(found(prove(dated('2026-11-19')), 'ears.A').because)).toContain('due for calibration');
  });
  test('who read it, when and with what goes along with the figure', () =>
    expect(found(prove(GOOD), 'pull.A').read).toMatchObject({ by: 'R. Alder' }));
});

describe('a reading of several figures', () => {
  const meter = { title: 'M', resolution: 0.0001, due: '2027-03-31' };
  test('is simulated if any of them was, by instrument only if all were', () => {
    expect(readTogether([{ source: 'instrument' }, { source: 'simulated' }]).source).toBe('simulated');
    expect(readTogether([{ source: 'instrument' }, { source: 'typed' }]).source).toBe('typed');
    expect(readTogether([{ source: 'instrument' }, { source: 'instrument' }]).source).toBe('instrument');
  });
  test('goes by the coarsest of its instruments', () =>
    expect(
      readTogether([
        { source: 'typed', instrument: meter },
        { source: 'typed', instrument: { ...meter, title: 'N', resolution: 1 } },
      ]).instrument?.title,
    ).toBe('N'));
});

describe('insulation on its way to 60 s', () => {
  const one = (at15Megohm: number): Reading => ({
    ...stamp(),
    check: 'insulation',
    megohm: 500,
    testV: 250,
    electrode: 'foil',
    at15Megohm,
  });
  test('rising is a good jacket, falling is damp or a track', () => {
    expect(state([one(300)], 'insulation')).toBe('holds');
    expect(state([one(900)], 'insulation')).toBe('watch');
  });
});

describe('doing without a reading', () => {
  const waiver: Waiver = {
    id: 'w',
    at: '2026-11-20T12:00:00.000Z',
    by: 'S. Wren',
    finding: 'pull.B',
    why: 'end B is crimped in place',
  };
  const missing = GOOD.filter((reading) => !(reading.check === 'pull' && reading.end === 'B'));
  test('needs somebody who answers for it, and is never called proved', () => {
    const { verdict, findings } = prove(missing, { waivers: [waiver] });
    expect(inWords(verdict)).toMatchObject({
      state: 'watch',
      sentence: 'Not all proved: S. Wren waives pull of end B',
    });
    expect(findings.find(({ id }) => id === 'pull.B')).toMatchObject({
      state: 'unproved',
      waived: { by: 'S. Wren' },
    });
  });
  test('lapses with work done again, and never covers a failure', () => {
    const reworks = [
      { id: 'k', at: '2026-11-20T13:00:00.000Z', by: 'S. Wren', end: 'B' as const, what: 'new lug' },
    ];
    expect(prove(missing, { waivers: [waiver], reworks }).verdict.state).toBe('unproved');
    const slipped: Reading = { ...stamp(), check: 'pull', end: 'B', forceN: 300, held: false };
    expect(prove([...missing, slipped], { waivers: [waiver] }).verdict.state).toBe('fails');
  });
});

describe('the verdict with everything asked', () => {
  const all = [...GOOD, ...goodFurther('A'), ...goodFurther('B'), good.length()];
  const states: State[] = ['holds', 'watch', 'unproved', 'fails'];
  const rank = (readings: readonly Reading[]) => states.indexOf(prove(readings, {}, asking).verdict.state);
  const worse: Reading[] = [
    good.joint('A', { milliohm: 0.05 }),
    good.thermal('B', { lugC: 70, earlierC: 70 }),
    good.drop('B', { millivolt: 5 }),
    good.section('A', { voidShare: 0.2 }),
    { ...stamp(), check: 'across-flats', end: 'A', valueMm: DIE * 1.05 },
    { ...stamp(), check: 'pull', end: 'A', forceN: 900, held: false, sample: true },
  ];
  test('holds with every reading good', () => expect(rank(all)).toBe(0));
  test('removing any one never leaves a pass', () => {
    for (const one of all) expect(rank(all.filter((other) => other !== one))).toBeGreaterThan(0);
  });
  test('striking out a bad reading of what nobody asked leaves it missing, not passed', () => {
    const bad = good.joint('A', { milliohm: 0.05 });
    const struck = { ...bad, struck: { at: bad.at, by: 'R. Alder', why: 'probe slipped' } };
    expect(prove([...GOOD, bad]).verdict.state).toBe('fails');
    expect(prove([...GOOD, struck]).verdict.state).toBe('unproved');
  });
  test('a worse reading never improves it, whatever is there', () =>
    fc.assert(
      fc.property(
        fc.subarray(all),
        fc.constantFrom(...worse),
        (some, one) => rank([...some, one]) >= rank(some),
      ),
      { numRuns: cases(40) },
    ));
  test('simulated, the worst and the best of them change nothing', () =>
    fc.assert(
      fc.property(
        fc.subarray(all),
        fc.constantFrom(...worse, ...all),
        (some, one) => rank([...some, { ...one, source: 'simulated' }]) === rank(some),
      ),
      { numRuns: cases(40) },
    ));
});
