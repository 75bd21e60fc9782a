import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Duty } from '../../core/model/run.ts';
import { dutyCycle as realDutyCycle } from '../../core/sizing/dutyCycle.ts';

/** A worker that answers when it is told to. */
let answer: (() => void) | undefined;
const asked = jest.fn();
jest.unstable_mockModule('comlink', () => ({
  wrap: () => ({
    dutyCycle: (...args: Parameters<typeof realDutyCycle>) => {
      asked();
      return new Promise((resolve) => {
        answer = () => resolve(realDutyCycle(...args));
      });
    },
  }),
}));
Object.assign(globalThis, { Worker: jest.fn() });
const { dutyTick, followDuty, isFollowing } = await import('./duties.ts');

const cable = {
  ohmPerMetre20: 0.000386,
  copperMm2: 50,
  bundleMm: 9.4,
  outerMm: 13.3,
  jacketConductivity: 0.17,
};
const around = { ambientC: 30, sunWPerM2: 0 };
const start = { conductorC: 30, currentA: 0 };
const duty = (steps: number, amps = 100): Duty => ({
  steps: Array.from({ length: steps }, (_, i) => ({ amps: amps + i, seconds: 10 })),
  repeats: false,
  dropPercent: 10,
});
const follow = (own: Duty) => followDuty(cable, around, own, start, 90, 1);

beforeEach(() => {
  asked.mockClear();
});

describe('following a duty', () => {
  test('a short one at once, and the same again from memory', () => {
    const first = follow(duty(3));
    expect(first?.peakC).toBeGreaterThan(30);
    expect(follow(duty(3))).toBe(first);
    expect(asked).not.toHaveBeenCalled();
  });
  test('a long one by the worker: nothing until it answers, asked once, then known', async () => {
    const before = dutyTick.value;
    expect(follow(duty(40))).toBeNull();
    expect(follow(duty(40))).toBeNull();
    expect(asked).toHaveBeenCalledTimes(1);
    expect(isFollowing()).toBe(true);
    answer?.();
    await new Promise((resolve) => setTimeout(resolve));
    expect(dutyTick.value).toBe(before + 1);
    expect(isFollowing()).toBe(false);
    expect(follow(duty(40))?.peakC).toBeCloseTo(
      realDutyCycle(cable, around, duty(40), start, 90, 1)?.peakC ?? 0,
      9,
    );
  });
  test('another amperage is another question', () => {
    expect(follow(duty(3, 200))?.peakC).toBeGreaterThan(follow(duty(3))?.peakC ?? Infinity);
  });
});
