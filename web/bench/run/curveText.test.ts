import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseCurve, writtenCurve } from './curveText.ts';

describe('a fuse’s curve as it is typed', () => {
  test('pairs of multiple and seconds', () =>
    expect(parseCurve('1.5 200, 3 4; 6 0.1')).toEqual({
      ok: true,
      sentence: '',
      points: [
        { multiple: 1.5, seconds: 200 },
        { multiple: 3, seconds: 4 },
        { multiple: 6, seconds: 0.1 },
      ],
    }));
  test.each([
    ['1.5', /is not a multiple and its seconds/],
    ['1.5 200 3', /is not a multiple and its seconds/],
    ['fast 2', /is not a multiple and its seconds/],
    ['', /is not a multiple and its seconds/],
    ['3 4, 2 9', /must rise/],
    ['2 4, 3 9', /times must fall/],
    ['0.5 9', /out of range/],
    ['2 0', /out of range/],
    [Array.from({ length: 21 }, (_, i) => `${i + 1} ${100 - i}`).join(', '), /At most 20/],
  ])('%j is refused', (text, sentence) => {
    const curve = parseCurve(text);
    expect(curve.ok).toBe(false);
    expect(curve.sentence).toMatch(sentence);
  });
  test('written and read again is the same', () => {
    const points = fc
      .uniqueArray(fc.integer({ min: 10, max: 1000 }), { minLength: 1, maxLength: 20 })
      .map((tenths) =>
        tenths.sort((a, b) => a - b).map((tenth, i) => ({ multiple: tenth / 10, seconds: 500 - i })),
      );
    fc.assert(
      fc.property(points, (curve) => {
        const read = parseCurve(writtenCurve(curve));
        return read.ok && JSON.stringify(read.points) === JSON.stringify(curve);
      }),
    );
  });
});
