import { expect, test } from '@jest/globals';
import { latest } from './latest.ts';

test('the oldest is forgotten first, one kept again is not counted twice, and what is null is known', () => {
  const { known, keep } = latest<number | null>(2);
  expect(keep('a', 1)).toBe(1);
  keep('b', null);
  keep('b', null);
  expect(known('a')).toBe(1);
  expect(known('b')).toBeNull();
  keep('c', 3);
  expect(known('a')).toBeUndefined();
  expect([known('b'), known('c')]).toEqual([null, 3]);
});
