import { describe, expect, test } from '@jest/globals';
import { cableLengths } from './cutLength.ts';

describe('cut is not stud to stud', () => {
  test('a 2471.4 route with 120 of loop and lugs of 31 and 26 is cut 2534.4', () => {
    const lengths = cableLengths(2471.4, 120, [31, 26]);
    expect(lengths.cutMm).toBeCloseTo(2534.4, 6);
    expect(lengths.finishedMm).toBeCloseTo(2591.4, 6);
  });
  test('with A bolted on, the mark for B is its own lug short of the end', () =>
    expect(cableLengths(1000, 0, [20, 25]).secondMarkMm).toBe(975));
});
