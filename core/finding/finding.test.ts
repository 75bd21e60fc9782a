import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import {
  atLeast,
  atMost,
  type Facts,
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
  test('exactly at the limit holds, and binds', () =>
    expect(atMost(facts(5), 5)).toMatchObject({ state: 'holds', binds: true }));
  test('nine tenths used does not bind; a little more does', () => {
    expect(atMost(facts(4.4), 5).binds).toBeUndefined();
    expect(atMost(facts(4.6), 5).binds).toBe(true);
  });
  test('past it fails, and says both figures', () => {
    const finding = atMost(facts(6), 5);
    expect(finding.state).toBe('fails');
    expect(tell(finding.because)).toContain('over');
    expect(finding.binds).toBeUndefined();
  });
  test('a rise is counted from the air, not from zero', () =>
    expect(atMost(facts(60), 90, 30).use).toBeCloseTo(0.5, 9));
  test('a limit no higher than the air is already used up', () => {
    expect(atMost(facts(95), 90, 95)).toMatchObject({ state: 'fails' });
    expect(atMost(facts(90), 90, 90)).toMatchObject({ state: 'holds', binds: true });
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
    expect(within(facts(6), 4, 6)).toMatchObject({ state: 'holds', binds: true });
    expect(within(facts(3.9), 4, 6).state).toBe('fails');
  });
});

describe('what is not known or not real', () => {
  test('missing has no value and is not proved', () =>
    expect(notProved({ ...facts(0), because: 'missing' })).toMatchObject({ value: null, state: 'unproved' }));
  test('simulated shows what it would mean, binds nothing, and is not proved', () => {
    const shown = simulated(atMost(facts(4.9), 5));
    expect(shown).toMatchObject({ would: 'holds', state: 'unproved' });
    expect(shown.binds).toBeUndefined();
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
