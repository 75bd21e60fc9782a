import { describe, expect, test } from '@jest/globals';
import { seeded } from '../lib/random.ts';
import type { Hunt } from '../model/hunt.ts';
import { circuitOf } from './circuitFixture.ts';
import { huntFound } from './suspects.ts';

const { hunt } = circuitOf(seeded(431), [300]);
const nextOf = (from: Hunt) => {
  const { next } = huntFound(from);
  if (!next) throw new Error('something is open');
  return [next.first.id, next.last.id] as const;
};
const behind = (from: Hunt, ...ids: readonly string[]): Hunt => ({
  ...from,
  pieces: from.pieces.map((piece) => (ids.includes(piece.id) ? { ...piece, behindPanel: true } : piece)),
});

describe('a piece behind a panel', () => {
  const [first, last] = nextOf(hunt);
  test('is not where the next probe goes while another tells nearly as much', () => {
    expect(nextOf(behind(hunt, first, last))).not.toEqual([first, last]);
  });
  test('is where it goes when all are', () => {
    const all = hunt.pieces.map(({ id }) => id);
    expect(nextOf(behind(hunt, ...all))).toEqual([first, last]);
  });
  test('once read there, it is open and costs nothing more', () => {
    const span = {
      id: 's1',
      first,
      last,
      millivolt: 120,
      amps: 100,
      at: '2026-11-02T14:52:00Z',
      by: '',
      source: 'typed' as const,
    };
    const read = { ...hunt, spans: [span] };
    expect(nextOf(behind(read, first, last))).toEqual(nextOf(read));
  });
});
