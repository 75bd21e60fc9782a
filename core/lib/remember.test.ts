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

  test('where only so many are kept of the same things, the oldest goes', () => {
    const sums = remember<{ sum: number }>(2);
    let worked = 0;
    const ask = (asked: string) => sums([sums], asked, () => ({ sum: (worked += 1) })).sum;
    expect(['50', '70', '50', '95', '70', '50'].map(ask)).toEqual([1, 2, 1, 3, 2, 4]);
  });

  test('an answer that is not one to keep is worked out again', () => {
    const sums = remember<{ sum: number }>(Infinity, ({ sum }) => sum > 2);
    let worked = 0;
    const ask = () => sums([sums], '', () => ({ sum: (worked += 1) })).sum;
    expect([ask(), ask(), ask(), ask()]).toEqual([1, 2, 3, 3]);
  });

  test('an answer that is found not to be one to keep, after it was kept, is worked out again', () => {
    const read = remember<{ isWhole: boolean }>(Infinity, ({ isWhole }) => isWhole);
    let worked = 0;
    const ask = () => read([read], '', () => ({ isWhole: (worked += 1) > 0 }));
    const first = ask();
    expect(ask()).toBe(first);
    first.isWhole = false;
    expect(ask()).not.toBe(first);
    expect(worked).toBe(2);
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
