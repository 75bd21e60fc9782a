import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { INSTRUMENT_KINDS, INSTRUMENTS, type InstrumentKind } from '../model/tables/instruments.ts';
import { chargeOf } from './charge.ts';
import { holdOf } from './hold.ts';
import { compileLine } from './linePattern.ts';
import { lineSplitter } from './lines.ts';
import type { Value } from './sample.ts';
import { bothWays, settledValue } from './settle.ts';
import { inUnitOf } from './units.ts';

const value = (figure: number, atS: number, settled: boolean | null = null): Value => ({
  kind: 'value',
  value: figure,
  atS,
  settled,
});
const reader = (pattern: string, unit: string, kind: InstrumentKind) => {
  const compiled = compileLine(pattern, unit, kind);
  if (!compiled.ok) throw new Error(compiled.sentence);
  return (line: string) => compiled.read(line, 0);
};

describe('a line as an instrument writes it', () => {
  test.each<[string, string, InstrumentKind, string, number]>([
    ['<value> <unit>', '', 'calliper', '  14.02 mm', 14.02],
    ['<value><unit>', '', 'calliper', '0.5520in', 14.0208],
    ['<value>', 'mm', 'calliper', '+014,02', 14.02],
    ['ST,<skip>,<value><unit>', '', 'scale', 'ST,GS,+ 68.0kg', 666.852],
    ['<value>', 'V', 'millivolt', '1.53E-03', 1.53],
    ['R=<value> <unit>', '', 'milliohm', 'R=14.9 µΩ', 0.0149],
    ['<value> <unit>', '', 'insulation', '2.4 GΩ', 2400],
    ['T1 <value><unit>', '', 'thermal', 'T1 122.0F', 50],
  ])('%s', (pattern, unit, kind, line, expected) => {
    const said = reader(pattern, unit, kind)(line);
    expect(said).toMatchObject({ kind: 'value' });
    expect(said.kind === 'value' ? said.value : Number.NaN).toBeCloseTo(expected, 3);
  });
  test.each(['OL', ' O.L ', 'OVER', '----', 'ST,OL,kg'])('%s is too much, not a figure', (line) =>
    expect(reader('<value> <unit>', '', 'milliohm')(line).kind).toBe('over'),
  );
  test('another unit is refused, a megohm is no milliohm', () => {
    const read = reader('<value> <unit>', '', 'milliohm');
    expect(read('5.2 MΩ')).toMatchObject({ kind: 'refused', because: 'wrong unit' });
    expect(read('5.2 V')).toMatchObject({ kind: 'refused', because: 'wrong unit' });
    expect(inUnitOf('milliohm', 1, 'constructor')).toBeNull();
  });
  test.each(['', '5.2', 'x 5.2 mΩ', '5.2 mΩ y', '5..2 mΩ', '5.2 mΩ 6.1 mΩ', 'NaN mΩ', 'Infinity mΩ'])(
    '“%s” is garbage',
    (line) => expect(reader('<value> <unit>', '', 'milliohm')(line)).toMatchObject({ kind: 'refused' }),
  );
  test('an endless line is let go', () =>
    expect(reader('<skip><value>', 'mm', 'calliper')('9'.repeat(500))).toMatchObject({
      because: 'too long',
    }));
  test('whatever comes, a value is a finite figure or it is refused', () =>
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary', maxLength: 60 }),
        fc.constantFrom(...INSTRUMENT_KINDS),
        (line, kind) => {
          const said = reader('<skip><value><unit>', '', kind)(line);
          return said.kind !== 'value' || Number.isFinite(said.value);
        },
      ),
      { numRuns: cases(400) },
    ));
});

describe('a pattern that cannot be meant is refused in a sentence', () => {
  test.each<[string, string, RegExp]>([
    ['<unit>', '', /<value>/],
    ['<value> <value>', 'mm', /once/],
    ['<value> <unit> <unit>', '', /once/],
    ['<value> <figure>', 'mm', /“<figure>” is nothing/],
    ['<value>', '', /give no unit/],
    ['<value>', 'kg', /“kg” is no unit/],
    ['<skip><skip><skip><skip><skip><value>', 'mm', /four times/],
  ])('%s', (pattern, unit, sentence) => {
    const compiled = compileLine(pattern, unit, 'calliper');
    expect(compiled.ok ? '' : compiled.sentence).toMatch(sentence);
  });
  test('what means something to a regular expression means itself here', () =>
    expect(reader('(.*)[<value>]', 'mm', 'calliper')('(.*)[14.02]')).toMatchObject({ value: 14.02 }));
});

describe('lines out of pieces', () => {
  test('put together across pieces and endings of any kind', () => {
    const take = lineSplitter();
    expect(take('14.0')).toEqual([]);
    expect(take('2 mm\r')).toEqual(['14.02 mm']);
    expect(take('\n\n1 mm\n2 m')).toEqual(['1 mm']);
    expect(take('m\r\n')).toEqual(['2 mm']);
  });
  test('however a text is cut up, its lines are the same', () =>
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 20 })), (pieces) => {
        const take = lineSplitter();
        const lines = [...pieces.flatMap(take), ...take('\n')];
        return (
          lines.join('|') ===
          pieces
            .join('')
            .split(/[\r\n]+/)
            .filter((line) => line.trim() !== '')
            .join('|')
        );
      }),
    ));
  test('one without end is given out once, its rest let go, and the next one is whole', () => {
    const take = lineSplitter();
    const first = take('x'.repeat(1500));
    expect(first).toHaveLength(1);
    expect(take('y'.repeat(1500))).toEqual([]);
    expect(take('tail\n14.02 mm\n')).toEqual(['14.02 mm']);
  });
});

describe('settled', () => {
  const run = (figures: number[], settled: boolean | null = null) =>
    settledValue(
      figures.map((figure, i) => value(figure, i, settled)),
      0.01,
    );
  test('five that agree are their mean; four, or five that climb, are nothing yet', () => {
    expect(run([14, 14.01, 14.02, 14.01, 14.01])).toBeCloseTo(14.01, 9);
    expect(run([14, 14, 14, 14])).toBeNull();
    expect(run([13, 13.3, 13.6, 13.9, 14.2])).toBeNull();
  });
  test('an instrument that says it still moves is believed', () =>
    expect(run([14, 14, 14, 14, 14], false)).toBeNull());
  test('both ways take a thermal voltage out', () =>
    expect(bothWays(0.0152, 0.0144).milliohm).toBeCloseTo(0.0148, 9));
});

describe('a pull on its scale', () => {
  const held = Array.from({ length: 70 }, (_, i) => value(i < 6 ? i * 110 : 668 - (i % 3), i));
  test('winds up, holds, and is held after a minute', () => {
    expect(holdOf([], 667).state).toBe('slack');
    expect(holdOf(held.slice(0, 4), 667).state).toBe('rising');
    expect(holdOf(held.slice(0, 30), 667)).toMatchObject({ state: 'holding', heldS: 23 });
    expect(holdOf(held, 667)).toMatchObject({ state: 'held', heldN: 666 });
  });
  test('let down after its minute it stays held', () =>
    expect(holdOf([...held, value(20, 71)], 667).state).toBe('held'));
  test('a crimp that lets go slipped, at what it came to, before its force or during the minute', () => {
    expect(holdOf([value(100, 1), value(420, 2), value(140, 3)], 667)).toMatchObject({
      state: 'slipped',
      peakN: 420,
    });
    expect(holdOf([...held.slice(0, 40), value(200, 41)], 667)).toMatchObject({ state: 'slipped' });
  });
  test('a minute in two halves is no minute', () => {
    const half = held.slice(0, 40);
    const sag = [value(640, 41), ...half.slice(8).map((own) => value(own.value, own.atS + 40))];
    expect(holdOf([...half, ...sag], 667).state).toBe('holding');
  });
  test('a minute in which the scale was silent is none, however the readings fall', () => {
    const afterS = fc.oneof(
      { weight: 20, arbitrary: fc.integer({ min: 1, max: 5 }) },
      { weight: 1, arbitrary: fc.integer({ min: 6, max: 20 }) },
    );
    const reading = fc.record({ value: fc.integer({ min: 667, max: 700 }), afterS });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 40 }), (readings) => {
        let atS = 0;
        const forces = readings.map(({ value: force, afterS }) => value(force, (atS += afterS)));
        // The longest stretch in which no two readings are farther apart than five seconds.
        let [longestS, stretchS] = [0, 0];
        for (const { afterS } of readings.slice(1)) {
          stretchS = afterS > 5 ? 0 : stretchS + afterS;
          longestS = Math.max(longestS, stretchS);
        }
        expect(holdOf(forces, 667).state === 'held').toBe(longestS >= 60);
      }),
    );
    expect(holdOf([value(670, 0), value(668, 61)], 667)).toMatchObject({
      state: 'holding',
      heldS: 0,
      silentS: 61,
    });
    expect(holdOf([value(20, 0), value(668, 61)], 667).silentS).toBeNull();
  });
});

describe('an insulation test', () => {
  const run = Array.from({ length: 62 }, (_, i) => value(1000 + i, i));
  test('is read at its three moments, and not before', () => {
    expect(chargeOf(run)).toEqual({ 15: 1015, 30: 1030, 60: 1060 });
    expect(chargeOf(run.slice(0, 40))).toEqual({ 15: 1015, 30: 1030, 60: null });
  });
  test('a gap over a moment leaves it unread', () =>
    expect(chargeOf(run.filter(({ atS }) => atS < 14 || atS > 20))[15]).toBeNull());
});

test('every kind keeps its readings in a unit that it understands', () => {
  for (const kind of INSTRUMENT_KINDS) expect(inUnitOf(kind, 2, INSTRUMENTS[kind].unit)).toBe(2);
});
