import { describe, expect, test } from '@jest/globals';
import type { PracticeChange } from '../../core/practice/changes.ts';
import { changeSays, stepsSay } from './changeWords.ts';

const none: PracticeChange = { count: 0, cables: [], massG: 0, price: 0, steps: 0, fails: 0 };
const says = (change: Partial<PracticeChange>) =>
  changeSays({ ...none, count: 2, ...change }, '£').replaceAll(/\s/g, ' ');

describe('what another answer comes to', () => {
  test('is said with a sign, and only what changes', () => {
    expect(says({ massG: 3500, price: 97.84, steps: 1, fails: 1 })).toBe(
      '2 cables, +3.50 kg, +£97.84, +1 step, 1 more fail',
    );
    expect(says({ massG: -3500, price: -97.84, steps: -2, fails: -3 })).toBe(
      '2 cables, −3.50 kg, −£97.84, −2 steps, 3 fewer fail',
    );
    expect(says({})).toBe('2 cables');
  });
  test('leaves out what is too little to weigh or to pay', () => {
    expect(says({ massG: 9.9, price: 0.009 })).toBe('2 cables');
    expect(says({ massG: -10, price: -0.01 })).toBe('2 cables, −0.01 kg, −£0.01');
  });
  test('is nothing where no cable is another', () => {
    expect(changeSays(none, '£')).toBe('nothing on this job');
    expect([stepsSay(-1), stepsSay(4)]).toEqual(['−1 step', '+4 steps']);
  });
});
