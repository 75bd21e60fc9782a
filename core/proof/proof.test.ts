import { describe, expect, test } from '@jest/globals';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { areaMm2 } from '../model/tables/size.ts';
import type { State } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { Reading } from '../model/reading.ts';
import { workUpCable } from '../workup.ts';
import { expectedResistance } from './cableResistance.ts';
import { acrossFlatsWindow } from '../termination/dies/dieClosed.ts';
import { kilogramsToHang, pullTargets } from '../termination/dies/pullForce.ts';
import { ALL_RIGHT, base, DIE, flats, found, GOOD, MILLIOHM, shop, stamp } from './proofFixture.ts';
import { sealRecord } from '../log/record.ts';

const prove = (readings: readonly Reading[], change: Partial<Cable> = {}) =>
  workUpCable({ ...base, ...change, readings: [...readings] }, shop);
const finding = (readings: readonly Reading[], id: string, change: Partial<Cable> = {}) =>
  found(prove(readings, change), id);
const without = (check: Reading['check']) => GOOD.filter((reading) => reading.check !== check);

describe('the pull a crimp must hold', () => {
  test('AWG 2: 400, 801 and 2018 N; 81.6 kg hang for the usual', () => {
    const { leastN, usualN, heaviestN } = pullTargets(areaMm2({ system: 'awg', name: '2' }));
    expect(leastN / 400).toBeCloseTo(1, 2);
    expect(usualN / 801).toBeCloseTo(1, 2);
    expect(heaviestN / 2018).toBeCloseTo(1, 2);
    expect(kilogramsToHang(usualN)).toBeCloseTo(81.6, 0);
  });
  test('the heaviest rule stops at 20 kN', () => expect(pullTargets(400).heaviestN).toBe(20000));
  test('68 kg hang with 667 N', () => expect(kilogramsToHang(666.85)).toBeCloseTo(68, 2));
});

describe('figures to compare with', () => {
  test('a 14.00 die may leave 13.9 to 14.28', () => {
    const { leastMm, mostMm } = acrossFlatsWindow(14);
    expect(leastMm).toBeCloseTo(13.9, 9);
    expect(mostMm).toBeCloseTo(14.28, 9);
  });
  test('a whole cable is its conductor and two joints, each its own barrel long', () => {
    const expected = expectedResistance(
      { system: 'metric', name: '70' },
      { tinned: true },
      1.9,
      [0.028, 0.028],
      20,
    );
    expect(expected.totalOhm * 1000).toBeCloseTo(0.277 * (1.9 + 0.056), 6);
  });
});

describe('a cable nobody measured', () => {
  test('is not proved, and says what is missing', () => {
    const { verdict, stages } = prove([]);
    expect(verdict.state).toBe('unproved');
    expect(tell(verdict.sentence)).toMatch(/^Not proved/);
    expect(tell(stages.prove.summary)).toBe('nothing measured');
  });
});

describe('a cable with every reading good', () => {
  test('is proved', () => {
    const work = prove(GOOD);
    expect(inWords(work.verdict)).toMatchObject({ state: 'holds', sentence: 'Proved: every figure passes' });
    expect(work.stages.prove.done).toBe(true);
  });
  test.each(['across-flats', 'ears', 'pull', 'look', 'resistance', 'insulation'] as const)(
    'but not without its %s',
    (check) => expect(prove(without(check)).verdict.state).toBe('unproved'),
  );
});

describe('a crimp that did not shut', () => {
  test('fails across flats, and the verdict with it', () => {
    const readings = [...GOOD, flats('B', DIE * 1.04)];
    expect(inWords(finding(readings, 'across-flats.B'))).toMatchObject({
      state: 'fails',
      because: 'Larger than the die: it did not shut.',
    });
    expect(prove(readings).verdict.state).toBe('fails');
  });
  test('a better reading afterwards does not hide it; recorded rework does', () => {
    const readings = [...GOOD, flats('B', DIE * 1.04, 5), flats('B', DIE + 0.1, 6)];
    expect(finding(readings, 'across-flats.B').state).toBe('fails');
    const reworks = [
      {
        id: 'w',
        at: '2026-11-20T10:30:00.000Z',
        by: 'R. Alder',
        end: 'B' as const,
        what: 'cut back, new lug',
      },
    ];
    expect(finding(readings, 'across-flats.B', { reworks }).state).toBe('unproved');
    const after = [...readings, flats('B', DIE + 0.1, 40), flats('B', DIE + 0.11, 41, 2)];
    expect(finding(after, 'across-flats.B', { reworks }).state).toBe('holds');
  });
  test('struck out with a reason, it no longer counts', () => {
    const bad = {
      ...flats('B', DIE * 1.04),
      struck: { at: '2026-11-20T11:00:00.000Z', by: 'R. Alder', why: 'read the wrong lug' },
    };
    expect(finding([...GOOD, bad], 'across-flats.B').state).toBe('holds');
  });
  test('one of two crimps measured is not both', () =>
    expect(inWords(finding([flats('A', DIE + 0.1)], 'across-flats.A'))).toMatchObject({
      state: 'unproved',
      because: '1 of 2 crimps measured.',
    }));
});

describe('pull', () => {
  const one = (forceN: number, held: boolean): Reading => ({
    ...stamp(),
    check: 'pull',
    end: 'A',
    forceN,
    held,
  });
  test('slipped fails; held but too light proves nothing', () => {
    expect(finding([one(700, false)], 'pull.A').state).toBe('fails');
    expect(finding([one(300, true)], 'pull.A').state).toBe('unproved');
  });
  test('a heavy pull asks for a rig and never for a person', () => {
    const heavy = { ...shop, practice: { ...shop.practice, pull: 'heaviest' as const } };
    const asked = workUpCable(base, heavy).findings.find(({ id }) => id === 'pull.A');
    expect(tell(asked?.remedy)).toMatch(/Never hang a person/);
  });
});

describe('insulation', () => {
  const one = (change: Partial<Extract<Reading, { check: 'insulation' }>>): Reading => ({
    ...stamp(),
    check: 'insulation',
    megohm: 2000,
    testV: 250,
    electrode: 'foil',
    ...change,
  });
  test.each<[string, Parameters<typeof one>[0], State]>([
    ['without a second electrode nothing is tested', { electrode: 'none' }, 'unproved'],
    ['at too low a voltage nothing is proved', { testV: 50 }, 'unproved'],
    ['under the least fails whatever the electrode', { megohm: 0.2, electrode: 'none' }, 'fails'],
    ['new and dry, but low, asks for a look', { megohm: 20 }, 'watch'],
    ['good against foil', {}, 'holds'],
  ])('%s', (_, change, state) => expect(finding([one(change)], 'insulation').state).toBe(state));
  test('a 110 V system is tested at 500 V', () =>
    expect(tell(finding([], 'insulation', { run: { ...base.run, systemV: 110 } }).because)).toContain('500'));
  test('over 500 V is tested at 1 000 V: a test at 500 V proves nothing there', () => {
    const run = { ...base.run, systemV: 600 };
    expect(finding([one({ testV: 500, megohm: 900 })], 'insulation', { run }).state).toBe('unproved');
    expect(finding([one({ testV: 1000, megohm: 900 })], 'insulation', { run }).state).toBe('holds');
  });
});

describe('resistance', () => {
  const one = (milliohm: number, copperC = 20): Reading => ({
    ...stamp(),
    ...MILLIOHM,
    check: 'resistance',
    milliohm,
    copperC,
  });
  test('over what the length may have fails', () =>
    expect(finding([one(0.7)], 'resistance').state).toBe('fails'));
  test('warm copper may read more', () => expect(finding([one(0.56, 60)], 'resistance').state).toBe('holds'));
  test('far under it is looked at, not believed', () =>
    expect(finding([one(0.2)], 'resistance').state).toBe('watch'));
});

describe('simulated readings', () => {
  const sim = (reading: Reading): Reading => ({ ...reading, source: 'simulated' });
  test('prove nothing, though all of them would hold', () => {
    const work = prove(GOOD.map(sim));
    expect(work.verdict.state).toBe('unproved');
    expect(
      work.findings.filter(({ stage }) => stage === 'prove').every(({ would }) => would === 'holds'),
    ).toBe(true);
  });
  test('never speak where there is a real one', () => {
    const work = prove([...GOOD, sim(flats('A', DIE * 1.1))]);
    expect(work.verdict.state).toBe('holds');
  });
  test('mark the record they are sealed into', () => {
    const cable = {
      ...base,
      readings: [
        ...without('resistance'),
        sim({ ...stamp(), ...MILLIOHM, check: 'resistance', milliohm: 0.5, copperC: 20 }),
      ],
    };
    const record = sealRecord(cable, workUpCable(cable, shop), 'R. Alder', '2026-11-20T12:00:00.000Z');
    expect(record).toMatchObject({ simulated: true, verdict: 'unproved' });
  });
});

describe('the verdict on one end', () => {
  test('goes by its own findings alone, the worst reason first', () => {
    const bad: Reading = { ...stamp(), check: 'pull', end: 'B', forceN: 200, held: false };
    const { endVerdicts } = prove([...without('ears'), bad]);
    expect(endVerdicts.A).toMatchObject({ state: 'unproved' });
    expect(endVerdicts.B.state).toBe('fails');
    expect(endVerdicts.B.reasons.map(({ id }) => id).slice(0, 2)).toEqual(['pull.B', 'ears.B']);
  });
});

describe('the verdict', () => {
  const states: State[] = ['holds', 'watch', 'unproved', 'fails'];
  const rank = (readings: readonly Reading[]) => states.indexOf(prove(readings).verdict.state);
  test('leaving a reading out never gives a pass', () => {
    fc.assert(
      fc.property(
        fc.subarray(GOOD),
        (some) => some.length === GOOD.length || prove(some).verdict.state !== 'holds',
      ),
      { numRuns: 30 },
    );
  });
  test('a worse reading never improves it', () => {
    const bad: Reading[] = [
      flats('A', DIE * 1.05),
      { ...stamp(), check: 'ears', end: 'B', valueMm: 0.9 },
      { ...stamp(), check: 'pull', end: 'B', forceN: 200, held: false },
      { ...stamp(), check: 'insulation', megohm: 0.1, testV: 250, electrode: 'foil' },
      { ...stamp(), ...MILLIOHM, check: 'resistance', milliohm: 1.2, copperC: 20 },
      { ...stamp(), check: 'look', end: 'A', marks: { ...ALL_RIGHT, seal: false } },
    ];
    fc.assert(
      fc.property(
        fc.subarray(GOOD),
        fc.constantFrom(...bad),
        (some, one) => rank([...some, one]) >= rank(some),
      ),
      { numRuns: 30 },
    );
  });
  test('no proof outweighs an end that fails', () => {
    const ends = {
      ...base.ends,
      B: { at: 'load', stud: 'M8', lugId: 'compression-metric-70-m10' },
    } as Cable['ends'];
    expect(prove(GOOD, { ends }).verdict.state).toBe('fails');
  });
});
