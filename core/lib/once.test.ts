import { expect, test } from '@jest/globals';
import { once } from './once.ts';

test('work is done when it is first asked for, and once', () => {
  let done = 0;
  const answer = once(() => {
    done += 1;
    return undefined;
  });
  expect(done).toBe(0);
  answer();
  answer();
  expect(done).toBe(1);
});

test('what failed is tried again', () => {
  let tries = 0;
  const answer = once(() => {
    tries += 1;
    if (tries === 1) throw new Error('not yet');
    return tries;
  });
  expect(answer).toThrow('not yet');
  expect(answer()).toBe(2);
});
