import { describe, expect, test } from '@jest/globals';
import { msg, tell } from '../words/message.ts';
import fc from 'fast-check';
import {
  atLeast,
  atMost,
  type Doubt,
  type Facts,
  isOnlyClose,
  judgeAtMost,
  notProved,
  simulated,
  type State,
  within,
  worst,
  worstFirst,
} from './finding.ts';

const facts = (value: number): Facts => ({
  topic: 'fill',
  stage: 'gauge',
  title: 'X',
  value,
  unit: 'mm',
  decimals: 1,
  work: { formula: '', substituted: [], source: '', assumes: '' },
});

describe('a limit from above', () => {
  test('half used holds with half left', () =>
    expect(atMost(facts(2.5), 5)).toMatchObject({ state: 'holds', use: 0.5, margin: 0.5 }));
  test('exactly at the limit holds, and is close', () =>
    expect(atMost(facts(5), 5)).toMatchObject({ state: 'holds', close: true }));
  test('nine tenths used is not close; a little more is', () => {
    expect(atMost(facts(4.4), 5).close).toBeUndefined();
    expect(atMost(facts(4.6), 5).close).toBe(true);
  });
  test('past it fails, and says both figures', () => {
    const finding = atMost(facts(6), 5);
    expect(finding.state).toBe('fails');
    expect(tell(finding.because)).toContain('over');
    expect(finding.close).toBeUndefined();
  });
  test('a rise is counted from the air, not from zero', () =>
    expect(atMost(facts(60), 90, 30).use).toBeCloseTo(0.5, 9));
  test('a limit no higher than the air is already used up', () => {
    expect(atMost(facts(95), 90, 95)).toMatchObject({ state: 'fails' });
    expect(atMost(facts(90), 90, 90)).toMatchObject({ state: 'holds', close: true });
  });
});

describe('a limit from below', () => {
  test('twice what is asked leaves half', () => expect(atLeast(facts(10), 5).margin).toBeCloseTo(0.5, 9));
  test('nothing at all fails', () => expect(atLeast(facts(0), 5).state).toBe('fails'));
  test('nothing asked, nothing used', () =>
    expect(atLeast(facts(0), 0)).toMatchObject({ state: 'holds', use: 0 }));
});

describe('a window', () => {
  test('its middle is unused, its edges are used up, outside fails', () => {
    expect(within(facts(5), 4, 6)).toMatchObject({ state: 'holds', use: 0 });
    expect(within(facts(6), 4, 6)).toMatchObject({ state: 'holds', close: true });
    expect(within(facts(3.9), 4, 6).state).toBe('fails');
  });
});

describe('what is not known or not real', () => {
  test('missing has no value and is not proved', () =>
    expect(notProved({ ...facts(0), because: 'missing' })).toMatchObject({ value: null, state: 'unproved' }));
  describe('known only to so much', () => {
    const doubts: Doubt[] = [
      { what: msg`length + 2 %`, off: 0.3, settle: msg`measure it` },
      { what: msg`air + 5 °C`, off: 0.4, settle: msg`feel the air` },
    ];
    test('nearer to its limit than that, it is close and does not hold, and says what would settle it', () => {
      const finding = atMost({ ...facts(4.6), doubts }, 5);
      expect(finding).toMatchObject({ state: 'watch', close: true, uncertainty: 0.5 });
      expect(tell(finding.remedy)).toBe('To be sure: feel the air.');
      expect(tell(finding.because)).toMatch(/It may be off by 0\.5.* so it is close\.$/);
      expect(tell(finding.work.substituted.at(-1))).toMatch(
        /^may be off by 0\.50.*air \+ 5 °C = 0\.40, length \+ 2 % = 0\.30$/,
      );
    });
    test('farther from it it holds, past it it fails, and its work says what it may be off', () => {
      expect(atMost({ ...facts(4.4), doubts }, 5)).toMatchObject({ state: 'holds', uncertainty: 0.5 });
      expect(atMost({ ...facts(5.1), doubts }, 5)).toMatchObject({ state: 'fails', uncertainty: 0.5 });
      expect(atLeast({ ...facts(5.4), doubts }, 5).state).toBe('watch');
      expect(within({ ...facts(5.8), doubts }, 4, 6).state).toBe('watch');
    });
    test('a size that is close is proposed all the same, and shown as close', () => {
      const judged = judgeAtMost('drop', 4.4, 5, 0, () => facts(4.4), [
        { what: msg`length + 2 %`, off: 0.7, settle: msg`measure it` },
      ]);
      expect(judged).toMatchObject({ state: 'holds', close: true });
      expect(judged.write()).toMatchObject({ state: 'watch', close: true });
    });
    test('what is close stands behind what is to be watched for another reason, and never for it', () => {
      const near = atMost({ ...facts(4.6), doubts }, 5);
      const watched = atMost({ ...facts(4), topic: 'drop' }, 5, 0, 'watch');
      const sound = atMost({ ...facts(1), topic: 'quick' }, 5);
      expect(worstFirst([sound, near, watched])).toEqual([watched, near, sound]);
      expect(isOnlyClose([near, sound], 'watch')).toBe(true);
      expect(isOnlyClose([near, watched], 'watch')).toBe(false);
      expect(isOnlyClose([sound], 'holds')).toBe(false);
    });
    test('more doubt never makes a better verdict', () => {
      const ORDER = ['fails', 'unproved', 'watch', 'holds'];
      const off = fc.double({ min: 0, max: 5, noNaN: true });
      fc.assert(
        fc.property(fc.double({ min: 0, max: 10, noNaN: true }), off, off, (value, one, more) => {
          const at = (offs: readonly number[]) =>
            ORDER.indexOf(
              atMost(
                { ...facts(value), doubts: offs.map((own) => ({ what: 'x', off: own, settle: 'y' })) },
                5,
              ).state,
            );
          expect(at([one, more])).toBeLessThanOrEqual(at([one]));
          expect(at([one])).toBeLessThanOrEqual(at([]));
        }),
      );
    });
  });
  test('simulated shows what it would mean, is close to nothing, and is not proved', () => {
    const shown = simulated(atMost(facts(4.9), 5));
    expect(shown).toMatchObject({ would: 'holds', state: 'unproved' });
    expect(shown.close).toBeUndefined();
  });
});

describe('the worst decides', () => {
  const states: State[] = ['holds', 'watch', 'unproved', 'fails'];
  test('fails over not proved over watch over holds', () => {
    expect(worst(['holds', 'watch'])).toBe('watch');
    expect(worst(['watch', 'unproved'])).toBe('unproved');
    expect(worst(['unproved', 'fails'])).toBe('fails');
    expect(worst([])).toBe('holds');
  });
  test('adding one never makes it better', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...states)), fc.constantFrom(...states), (some, one) => {
        const rank = (state: State) => states.indexOf(state);
        return rank(worst([...some, one])) >= rank(worst(some));
      }),
    );
  });
  test('the order of the ledger: failing first, binding before merely holding', () => {
    const list = [atMost(facts(1), 5), atMost(facts(4.9), 5), atMost(facts(6), 5)];
    expect(worstFirst(list).map(({ value }) => value)).toEqual([6, 4.9, 1]);
  });
});
