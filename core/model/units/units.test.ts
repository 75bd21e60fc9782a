import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { figure } from './figure.ts';
import { digits, NO_FIGURE, THIN } from '../../words/numerals.ts';
import { parseSize } from '../parseSize.ts';
import type { QuantityKind } from './entryUnits.ts';
import { parseQuantity } from './quantity.ts';

const mm = (text: string) => parseQuantity(text, 'length', 'mm');
const valueOf = (text: string, kind: QuantityKind, unit?: string) => {
  const entry = parseQuantity(text, kind, unit);
  return entry.ok ? entry.value : entry.sentence;
};

describe('lengths as people type them', () => {
  test.each([
    ['2*350+40', 740],
    ['12 ft 6 in', 3810],
    ['12 ft 6', 3810],
    [`12' 6"`, 3810],
    ['3.8m', 3800],
    ['3,8 m', 3800],
    ['6 349', 6349],
    ['6\u2009349 mm', 6349],
    ['3 1/2 in', 88.9],
    ['(1.2 m - 40) / 2', 580],
    ['2 m + 40', 2040],
    ['.5 m', 500],
    ['2 × 350', 700],
    ['1 m 20 cm', 1200],
  ])('%s', (text, expected) => {
    const entry = mm(text);
    expect(entry.ok && entry.value).toBeCloseTo(expected, 6);
  });
  test('a bare number is in the unit the field shows', () =>
    expect(valueOf('10', 'length', 'in')).toBeCloseTo(254, 9));
});

describe('other figures', () => {
  test.each([
    ['1.5 kW', 'power', 1500],
    ['225', 'current', 225],
    ['0.6kA', 'current', 600],
    ['3 min', 'duration', 180],
    ['104 °F', 'temperature', 40],
    ['-5', 'temperature', -5],
    ['250 µΩ', 'milliohm', 0.25],
    ['2 GΩ', 'megohm', 2000],
    ['68 kg', 'force', 666.85],
    ['12 lbf ft', 'torque', 16.27],
    ['12 Nm', 'torque', 12],
    ['5 %', 'percent', 5],
  ] as const)('%s', (text, kind, expected) => expect(valueOf(text, kind)).toBeCloseTo(expected, 2));
});

describe('what cannot be meant is said in a sentence', () => {
  test.each([
    ['', 'Enter a value.'],
    ['abc', 'A number is missing.'],
    ['12 kg', '"kg" is not a unit for this; mm is.'],
    ['1,250', '"1,250" can be read two ways: write 1250 or 1.250.'],
    ['2 m * 3 m', 'Two units cannot be multiplied or divided here.'],
    ['5/0', 'Nothing can be divided by 0.'],
    ['(2 + 3', 'A bracket is not closed.'],
    ['2 3', 'Unexpected "3".'],
    ['2 m 3', 'Give the unit of the second number.'],
    ['7 # 2', '"#" is not understood here.'],
    ['2 +', 'A number is missing.'],
  ])('%j', (text, sentence) => expect(mm(text)).toEqual({ ok: false, sentence }));
  test('megohms typed for milliohms', () => expect(valueOf('3 MΩ', 'milliohm')).toMatch(/use mΩ/));
  test('anything at all gives a figure or a sentence, and never throws', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...'0123456789.,+-*/() mft\'"%Ω'), maxLength: 24 }),
        (text) => {
          const entry = mm(text);
          return entry.ok ? Number.isFinite(entry.value) : entry.sentence.length > 5;
        },
      ),
    );
  });
  test('a figure written out reads back as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (value) => {
        const entry = mm(digits(value, 0));
        return entry.ok && entry.value === value;
      }),
    );
  });
});

describe('sizes as people write them', () => {
  test.each([
    ['2/0', 'metric', { system: 'awg', name: '2/0' }],
    ['0000', 'metric', { system: 'awg', name: '4/0' }],
    ['70 mm2', 'awg', { system: 'metric', name: '70' }],
    ['70', 'metric', { system: 'metric', name: '70' }],
    ['4', 'sae', { system: 'sae', name: '4' }],
    ['AWG 2', 'metric', { system: 'awg', name: '2' }],
    ['4 sae', 'metric', { system: 'sae', name: '4' }],
  ] as const)('%s', (text, system, size) => expect(parseSize(text, system)).toEqual({ ok: true, size }));
  test.each(['71', 'thick', '5/0', ''])('%j is refused', (text) =>
    expect(parseSize(text, 'metric').ok).toBe(false),
  );
});

describe('figures as they are written', () => {
  test('thousands stand apart by a thin space', () => expect(digits(6349, 0)).toBe(`6${THIN}349`));
  test('a real minus, and none on a rounded zero', () => {
    expect(digits(-11.42, 1)).toBe('\u221211.4');
    expect(digits(-0.001, 1)).toBe('0.0');
  });
  test('a unit stands one thin space away', () => expect(figure(4.612, '%', 2)).toBe(`4.61${THIN}%`));
  test.each([Number.NaN, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY])(
    '%p is never written, and nothing throws for it',
    (value) => expect(digits(value, 1)).toBe(NO_FIGURE),
  );
});
