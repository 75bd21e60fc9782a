import { describe, expect, test } from '@jest/globals';
import { remember } from './remember.ts';

describe('what is remembered', () => {
  test('asked again of the same things in the same words, it is not worked again', () => {
    const sums = remember<{ sum: number }>();
    let worked = 0;
    const work = () => ({ sum: (worked += 1) });
    const [a, b] = [{}, {}];
    const first = sums([a, b], '50', work);
    expect(sums([a, b], '50', work)).toBe(first);
    expect(worked).toBe(1);
  });

  test('other words, other things, fewer things or another order of them are another matter', () => {
    const sums = remember<{ sum: number }>();
    let worked = 0;
    const work = () => ({ sum: (worked += 1) });
    const [a, b] = [{}, {}];
    const all = [
      sums([a, b], '50', work),
      sums([a, b], '70', work),
      sums([a], '50', work),
      sums([b, a], '50', work),
      sums([a, {}], '50', work),
    ];
    expect(all.map(({ sum }) => sum)).toEqual([1, 2, 3, 4, 5]);
  });

  test('work that throws is not remembered', () => {
    const sums = remember<{ sum: number }>();
    const things = [{}];
    expect(() =>
      sums(things, '', () => {
        throw new RangeError('no');
      }),
    ).toThrow('no');
    expect(sums(things, '', () => ({ sum: 1 }))).toEqual({ sum: 1 });
  });
});
