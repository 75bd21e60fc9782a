import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nameLines, nameRoom } from './nameLines.ts';

describe('names on the diagram', () => {
  test.each([
    ['Bus +', ['Bus +']],
    ['Refrigerator compressor, galley', ['Refrigerator', 'compressor, galley']],
    ['Forward electric windlass on the foredeck', ['Forward electric', 'windlass on the fo…']],
    ['Donaudampfschifffahrtskapitän', ['Donaudampfschifffah', 'rtskapitän']],
  ])('%s', (name, lines) => expect(nameLines(name)).toEqual(lines));

  test('none is wider than its room, and a short name is whole', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (name) => {
        const lines = nameLines(name);
        expect(lines.length).toBeLessThanOrEqual(2);
        for (const { length } of lines) expect(length).toBeLessThanOrEqual(19);
        if (name.trim().length <= 19) expect(lines).toEqual([name.trim()]);
      }),
    );
    expect(nameRoom('Bus')).toBe(74);
    expect(nameRoom('a'.repeat(80))).toBe(95);
  });
});
