import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Job } from '../model/job.ts';
import { worst } from '../finding/finding.ts';
import { systemWork } from '../systemWork.ts';
import { withBond } from './edits.ts';
import { withPlaces } from './places.ts';
import { found, inStates, jobOf, placeId, SHOP, stiff, withFacts } from './systemFixture.ts';
import { loadTable } from './shown.ts';

const base = stiff(
  jobOf(['Bank + · fuse 200 · Winch 110 A · Bank −, 3 m', 'Bank − · Hull, 0.3 m', 'Frame · Stud']),
);
const [hull, frame, winch] = ['Hull', 'Frame', 'Winch'].map((name) => placeId(base, name));
/** The winch with its return over the hull alone, its case on the frame that a bond joins to it. */
function overHull(milliohm: number | undefined, dropPercent: number): Job {
  const cased = withFacts(
    { ...base, cables: base.cables.filter(({ ends }) => ends.A.at !== 'Winch −') },
    'Winch',
    { groundId: frame ?? '', dropPercent },
  );
  const joined = withBond(cased, {
    ...{ id: 'b', a: hull ?? '', b: frame ?? '' },
    ...(milliohm !== undefined && { milliohm }),
  });
  return inStates(joined, [{ id: 'full' }, { id: 'slow', loads: { [winch ?? '']: 40 } }]);
}
const cellsOf = (job: Job) =>
  loadTable(systemWork(withPlaces(job), SHOP).view).find(({ loadId }) => loadId === winch)?.cells ?? [];
const ledgerSays = (job: Job) =>
  found(job).filter(({ topic, places }) => topic === 'load-drop' && places.includes(winch ?? ''));

describe('the table of what loads get', () => {
  test('a return over a hull that nobody measured proves nothing, in any state', () => {
    expect(cellsOf(overHull(undefined, 40)).map(({ state }) => state)).toEqual(['unproved', 'unproved']);
    expect(cellsOf(overHull(1, 40)).map(({ state }) => state)).toEqual(['holds', 'holds']);
  });

  test('it and the ledger judge alike, whatever is measured and allowed', () => {
    const milliohm = fc.option(fc.double({ min: 0.1, max: 30, noNaN: true }), { nil: undefined });
    fc.assert(
      fc.property(milliohm, fc.double({ min: 0.5, max: 50, noNaN: true }), (ohm, most) => {
        const job = overHull(ohm, most);
        const cells = cellsOf(job);
        expect(cells).toHaveLength(2);
        expect(ledgerSays(job).map(({ state }) => state)).toEqual([
          worst(cells.flatMap(({ state }) => state ?? [])),
        ]);
      }),
      { numRuns: 40 },
    );
  });
});
