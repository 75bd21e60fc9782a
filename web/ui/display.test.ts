import { afterEach, describe, expect, test } from '@jest/globals';
import { sizeNamed } from '../../core/model/tables/size.ts';
import { AMERICAN, measureBy, METRIC } from '../../core/words/measures.ts';
import { tell } from '../../core/words/message.ts';
import {
  atLeast,
  atMost,
  type Facts,
  type Finding,
  type Provenance,
  within,
} from '../../core/finding/finding.ts';
import {
  conversionText,
  inReadersUnit,
  lengthText,
  limitText,
  marginText,
  readText,
  runText,
  sizeText,
} from './display.ts';

const facts = (value: number, unit: Facts['unit'] = 'mm', decimals = 1): Facts => ({
  topic: 'fill',
  stage: 'ends',
  title: 'X',
  value,
  unit,
  decimals,
  work: { formula: '', substituted: [], source: '', assumes: '' },
});
const plain = (text: string) => text.replaceAll('\u2009', ' ');

describe('figures in the reader’s unit', () => {
  afterEach(() => measureBy(() => METRIC));
  test('lengths turn into inches with two more decimals, the rest into what the reader chose', () => {
    measureBy(() => AMERICAN);
    expect(inReadersUnit(254, 'mm', 0)).toEqual({ value: '10.00', unit: 'in' });
    expect(inReadersUnit(60, '°C', 0)).toEqual({ value: '140', unit: '°F' });
    expect(inReadersUnit(35, 'K', 0)).toEqual({ value: '63', unit: '°F' });
    expect(inReadersUnit(14, 'N·m', 0)).toEqual({ value: '10.3', unit: 'lbf·ft' });
    expect(inReadersUnit(1000, 'N', 0)).toEqual({ value: '225', unit: 'lbf' });
    expect(inReadersUnit(240, 'A', 0)).toEqual({ value: '240', unit: 'A' });
    expect(plain(runText(6400))).toBe('21.0 ft');
    measureBy(() => METRIC);
    expect(inReadersUnit(254, 'mm', 0)).toEqual({ value: '254', unit: 'mm' });
    expect(inReadersUnit(90, '°C', 0)).toEqual({ value: '90', unit: '°C' });
    expect(plain(lengthText(6361, 0))).toBe('6 361 mm');
  });
  test('beyond a thousand the decimals are dropped', () =>
    expect(plain(inReadersUnit(3100, 'MΩ', 1).value)).toBe('3 100'));
});

describe('sizes as the reader names them', () => {
  const seventy = { system: 'metric', name: '70' } as const;
  test('a metric size is marked as near a gauge; a gauge in mm² is its real area', () => {
    expect(sizeText(seventy)).toBe('70 mm²');
    measureBy(() => AMERICAN);
    expect(sizeText(seventy)).toBe('≈ AWG 2/0');
    expect(tell(sizeNamed(seventy))).toBe('70 mm² (≈ AWG 2/0)');
    expect(sizeText({ system: 'sae', name: '4' })).toBe('SAE 4');
    measureBy(() => METRIC);
    expect(tell(sizeNamed(seventy))).toBe('70 mm²');
    expect(plain(sizeText({ system: 'awg', name: '4/0' }))).toBe('107 mm²');
  });
  test('and what that hides is said, both ways', () => {
    expect(plain(conversionText(seventy))).toBe('70 mm² has 3.8 % more copper than AWG 2/0');
    expect(plain(conversionText({ system: 'awg', name: '4' }))).toBe(
      'AWG 4 has 15.4 % less copper than 25 mm²',
    );
  });
});

describe('limits in words', () => {
  test('from above, from below, and a window', () => {
    expect(plain(limitText([atMost(facts(1), 5)]))).toBe('at most 5.0 mm');
    measureBy(() => AMERICAN);
    expect(plain(limitText([atLeast(facts(9), 5)]))).toBe('at least 0.197 in');
    measureBy(() => METRIC);
    expect(plain(limitText([within(facts(5, 'N·m'), 4, 7)]))).toBe('4.0 to 7.0 N·m');
  });
  test('of both ends: once where they agree, side by side where they differ', () => {
    expect(plain(limitText([atMost(facts(1), 5), atMost(facts(2), 5)]))).toBe('at most 5.0 mm');
    expect(plain(limitText([atMost(facts(1), 0.9), atMost(facts(1), 0.7)]))).toBe('at most 0.9 / 0.7 mm');
    expect(plain(limitText([within(facts(5), 4, 7), within(facts(9), 9, 14)]))).toBe(
      '4.0 to 7.0 / 9.0 to 14.0 mm',
    );
  });
  test('none where there is none', () => expect(limitText([])).toBe(''));
});

describe('what is left', () => {
  test.each([
    [atMost(facts(4.6, '%'), 5), '8.0 % left'],
    [atMost(facts(2.5, '%'), 5), '50 % left'],
    [atMost(facts(6, '%'), 5), '20 % over'],
    [atLeast(facts(4, 'N'), 5), '25 % short'],
    [atMost(facts(60, '°C'), 90, 30), '30 K left'],
    [atMost(facts(95, '°C'), 90, 30), '5 K over'],
    [within(facts(5), 4, 6), ''],
  ])('%#', (finding, words) => expect(plain(marginText(finding))).toBe(words));
});

describe('who read a figure', () => {
  const read = { by: 'R. Pell', at: '2026-11-20T09:00:00.000Z' };
  const from = (provenance: Provenance, more: Partial<NonNullable<Finding['read']>> = {}) =>
    readText({ ...atMost(facts(4.6), 5), provenance, read: { ...read, ...more } });

  test('typed: by whom, on which day, with what, and how long that is trusted', () =>
    expect(from('typed', { with: 'Calliper 150', due: '2027-05-31' })).toBe(
      'Typed by R. Pell on 2026-11-20, with Calliper 150, calibrated until 2027-05-31.',
    ));
  test('an instrument that is not said, and a person that is not named, are missed', () =>
    expect(from('typed', { by: '' })).toBe('Typed by nobody named on 2026-11-20, its instrument not given.'));
  test('what came from an instrument, and what came from a stand-in', () => {
    expect(from('instrument', { with: 'Bench scale' })).toBe(
      'By instrument, taken by R. Pell on 2026-11-20, with Bench scale.',
    );
    expect(from('simulated')).toMatch(/^Simulated, taken by R. Pell/);
  });
  test('nothing where nothing was read', () => expect(readText(atMost(facts(4.6), 5))).toBe(''));
});
