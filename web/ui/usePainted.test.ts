import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, shallowRef } from 'vue';
import { usePainted } from './usePainted.ts';

let frames: (FrameRequestCallback | undefined)[] = [];
const paint = () => {
  const due = frames;
  frames = [];
  due.forEach((frame) => frame?.(0));
};

beforeEach(() => {
  jest.useFakeTimers();
  frames = [];
  globalThis.requestAnimationFrame = (frame) => frames.push(frame);
  globalThis.cancelAnimationFrame = (id) => void (frames[id - 1] = undefined);
});
afterEach(() => void jest.useRealTimers());

describe('what only follows from an edit', () => {
  test('stays as it was until the edit is painted', async () => {
    const now = shallowRef('before');
    const scope = effectScope();
    const painted = scope.run(() => usePainted(() => now.value));
    now.value = 'after';
    await nextTick();
    expect(painted?.value).toBe('before');
    paint();
    expect(painted?.value).toBe('before');
    jest.runAllTimers();
    expect(painted?.value).toBe('after');
    scope.stop();
  });

  test('of two edits before a frame only the last is followed, and of none after it is left', async () => {
    const now = shallowRef(1);
    const scope = effectScope();
    const painted = scope.run(() => usePainted(() => now.value));
    now.value = 2;
    await nextTick();
    now.value = 3;
    await nextTick();
    expect(frames.filter(Boolean)).toHaveLength(1);
    paint();
    jest.runAllTimers();
    expect(painted?.value).toBe(3);
    now.value = 4;
    await nextTick();
    scope.stop();
    paint();
    jest.runAllTimers();
    expect(painted?.value).toBe(3);
  });
});
