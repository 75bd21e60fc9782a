import { latestOf } from '../lib/moments.ts';
import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import type { Reading, ReadingOf } from '../model/reading.ts';

/**
 * The readings of one check that count: not struck out, and taken since the end was last reworked. A whole-cable
 * reading counts since the last rework of either end. So a better reading never hides a worse one: only recorded
 * work does.
 */
export function countingReadings<Check extends Reading['check']>(
  cable: Cable,
  check: Check,
  end?: EndName,
): ReadingOf<Check>[] {
  const reworked = latestOf(
    cable.reworks.filter(
      (rework) => end === undefined || (rework.end === end && rework.joinId === undefined),
    ),
  );
  return cable.readings.filter(
    (reading): reading is ReadingOf<Check> =>
      reading.check === check &&
      reading.struck === undefined &&
      reading.at > reworked &&
      (end === undefined || ('end' in reading && reading.end === end)),
  );
}
