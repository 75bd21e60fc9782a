import { expect, test } from '@jest/globals';
import { nothingToCut } from './nothingToCut.ts';

test.each([
  [0, 0, 'Nothing to cut yet', 'There is no cable yet.'],
  [3, 3, 'Nothing is left to cut', 'Every cable has been cut.'],
  [3, 2, 'Nothing to cut yet', '1 cable waits for its length.'],
  [3, 0, 'Nothing to cut yet', '3 cables wait for their lengths.'],
])(
  'of %i cables of which %i are cut, with no piece planned, no more is said than is so',
  (cables, cut, title, why) => expect(nothingToCut(cables, cut)).toEqual({ title, why }),
);
