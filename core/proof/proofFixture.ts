import { genericShop } from '../model/catalogue/genericShop.ts';
import type { CableWork } from '../cableWork.ts';
import type { Finding } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import { newCable } from '../model/newCable.ts';
import { LOOK_ITEMS, type Reading, type ReadingOf } from '../model/reading.ts';

/** A good cable and good readings of it: what tests of the proof start from. */
export const shop = genericShop();
export const base: Cable = {
  ...newCable('c', 'C-1', shop),
  gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '70' } },
  ends: { A: { at: 'bus', stud: 'M10' }, B: { at: 'load', stud: 'M10' } },
  run: {
    ...newCable('c', 'C-1', shop).run,
    systemV: 24,
    load: { kind: 'amps', amps: 150 },
    lengthMm: 2000,
    dropPercent: 5,
    source: { kind: 'typed', milliohm: 4 },
    fuses: [
      {
        end: 'A',
        kind: 'class-t',
        ratingA: 200,
        place: 'near',
        distanceMm: 120,
        curve: [
          { multiple: 1.5, seconds: 100 },
          { multiple: 5, seconds: 0.1 },
        ],
      },
    ],
  },
};
export const DIE = 13.86;
export const ALL_RIGHT = Object.fromEntries(Object.keys(LOOK_ITEMS).map((item) => [item, true]));

let serial = 0;
const typed = { by: 'R. Alder', source: 'typed' as const };
export const stamp = (minute = 0) => ({
  ...typed,
  id: `r${(serial += 1)}`,
  at: `2026-11-20T10:${String(minute).padStart(2, '0')}:00.000Z`,
});
export const flats = (end: 'A' | 'B', valueMm: number, minute = 0, crimp = 1): Reading => ({
  ...stamp(minute),
  check: 'across-flats',
  end,
  crimp,
  flat: 1,
  valueMm,
});
/** Meters that resolve what their checks need. */
export const MILLIOHM = { instrument: { title: 'Milliohm meter', resolution: 1e-5 } } as const;
export const MILLIVOLT = { instrument: { title: 'Millivolt meter', resolution: 0.001 } } as const;

/** A full set of good readings. */
export const GOOD: Reading[] = [
  ...(['A', 'B'] as const).flatMap((end): Reading[] => [
    flats(end, DIE + 0.1),
    flats(end, DIE + 0.12, 0, 2),
    { ...stamp(), check: 'ears', end, valueMm: 0.2 },
    { ...stamp(), check: 'pull', end, forceN: 700, held: true },
    { ...stamp(), check: 'look', end, marks: ALL_RIGHT },
  ]),
  { ...stamp(), ...MILLIOHM, check: 'resistance', milliohm: 0.53, copperC: 20 },
  { ...stamp(), check: 'insulation', megohm: 2000, testV: 250, electrode: 'foil' },
];

type Change<Check extends Reading['check']> = Partial<ReadingOf<Check>>;

/** A good reading of each further check, with what is to be different. */
export const good = {
  joint: (end: EndName, change: Change<'joint'> = {}): Reading => ({
    ...stamp(),
    ...MILLIOHM,
    check: 'joint',
    end,
    milliohm: 0.0149,
    beyondMm: 30,
    plain: { milliohm: 0.135, lengthMm: 500 },
    ...change,
  }),
  section: (end: EndName, change: Change<'section'> = {}): Reading => ({
    ...stamp(),
    check: 'section',
    end,
    voidShare: 0.01,
    largestShare: 0.002,
    acrossFlatsMm: DIE,
    ...change,
  }),
  thermal: (end: EndName, change: Change<'thermal'> = {}): Reading => ({
    ...stamp(),
    check: 'thermal',
    end,
    against: 'lug',
    lugC: 50.2,
    againstC: 50,
    earlierC: 49.8,
    amps: 150,
    minutes: 40,
    matte: true,
    ...change,
  }),
  drop: (end: EndName, change: Change<'drop'> = {}): Reading => ({
    ...stamp(),
    ...MILLIVOLT,
    check: 'drop',
    end,
    millivolt: 1.5,
    amps: 100,
    spanMm: 30,
    copperC: 20,
    ...change,
  }),
  length: (): Reading => ({
    ...stamp(),
    ...MILLIVOLT,
    check: 'drop',
    millivolt: 27,
    amps: 100,
    spanMm: 1000,
    copperC: 20,
  }),
};

export const goodFurther = (end: EndName): Reading[] => [
  good.joint(end),
  good.section(end),
  good.thermal(end),
  good.drop(end),
];

/** @throws Error where the work holds no such finding */
export function found(work: CableWork, id: string): Finding {
  const finding = work.findings.find((other) => other.id === id);
  if (!finding) throw new Error(`no finding ${id}`);
  return finding;
}
