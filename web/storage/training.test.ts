import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { KeptRound } from './training.ts';

/** The browser's store, in memory. */
const entries = new Map<string, unknown>();
const store = {
  ready: async () => {},
  keys: async () => [...entries.keys()],
  getItem: async (key: string) => entries.get(key) ?? null,
  setItem: async (key: string, value: unknown) => void entries.set(key, structuredClone(value)),
  clear: async () => entries.clear(),
};
jest.unstable_mockModule('localforage', () => ({ default: { createInstance: () => store } }));
const { allRounds, loadRound, MOST_ROUND, replaceRounds, saveRound } = await import('./training.ts');

const round = (level: KeptRound['level'], number: number, more: Partial<KeptRound> = {}): KeptRound => ({
  level,
  round: number,
  by: 'R. Alder',
  at: '',
  ends: Array.from({ length: 5 }, () => ({ marks: [], handedIn: false })),
  ...more,
});

beforeEach(() => entries.clear());

describe('a round of training', () => {
  test('that was never begun is not there', async () => expect(await loadRound(1, 7)).toBeNull());

  test('comes back as it was left, each level and number by itself', async () => {
    const own = round(2, 7, { ends: round(2, 7).ends.map((end, i) => ({ ...end, handedIn: i < 3 })) });
    await saveRound(own);
    await saveRound(round(1, 7));
    expect(await loadRound(2, 7)).toEqual(own);
    expect(await loadRound(1, 7)).toEqual(round(1, 7));
    expect(await loadRound(2, 8)).toBeNull();
  });

  test('that cannot be read is as if it were not there, and is left as it is', async () => {
    entries.set('1:3', { level: 1, round: 3, ends: 'torn' });
    await saveRound(round(1, 4));
    expect(await loadRound(1, 3)).toBeNull();
    expect(await allRounds()).toEqual([round(1, 4)]);
    expect(entries.get('1:3')).toEqual({ level: 1, round: 3, ends: 'torn' });
  });

  test.each([
    ['too few ends', round(1, 1, { ends: [] })],
    ['a number past the last', round(1, MOST_ROUND + 1)],
    ['a name too long', round(1, 1, { by: 'x'.repeat(61) })],
  ])('with %s is not kept', async (_, own) => {
    await expect(saveRound(own)).rejects.toThrow();
    expect(entries.size).toBe(0);
  });

  test('of a backup takes the place of all that were here', async () => {
    await saveRound(round(1, 1));
    await replaceRounds([round(3, 2), round(2, 9)]);
    expect((await allRounds()).map(({ level, round: number }) => [level, number])).toEqual([
      [2, 9],
      [3, 2],
    ]);
  });
});
