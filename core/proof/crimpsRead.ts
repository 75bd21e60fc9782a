import type { ReadingOf } from '../model/reading.ts';

/** A place to put the calliper: a crimp, counted from the mouth of the barrel, and one of the three pairs of flats. */
export interface CrimpPlace {
  readonly crimp: number;
  readonly flat: number;
}
/** A hexagon has three pairs of flats. */
export const FLATS = 3;

type Flats = Pick<ReadingOf<'across-flats'>, 'crimp' | 'flat'>;

/** How many pairs of flats of a crimp were measured; one that names no flat counts as one. */
function flatsOf(readings: readonly Flats[], crimp: number): number {
  const own = readings.filter((reading) => reading.crimp === crimp);
  const named = new Set(own.flatMap(({ flat }) => flat ?? []));
  return Math.max(named.size, own.length > 0 ? 1 : 0);
}

/** Readings from before crimps were numbered: which crimp each is of is not known. */
export const unnumbered = <R extends { readonly crimp?: number | undefined }>(readings: readonly R[]): R[] =>
  readings.filter(({ crimp }) => crimp === undefined);

/**
 * How many crimps of an end are measured. One crimp measured twice is one crimp. Readings from before crimps were
 * numbered count as they did then: all crimps, once there are as many of them as crimps.
 *
 * @param readings real ones, since the end was last reworked
 * @param crimps how many the end has, at least 1
 * @param flatsEach pairs of flats to measure on each, 1 to 3
 * @example crimpsMeasured([{ crimp: 1 }, { crimp: 1 }], 2, 1) // 1
 */
export function crimpsMeasured(readings: readonly Flats[], crimps: number, flatsEach: number): number {
  if (unnumbered(readings).length >= crimps) return crimps;
  return Array.from({ length: crimps }, (_, i) => flatsOf(readings, i + 1)).filter(
    (measured) => measured >= flatsEach,
  ).length;
}

/**
 * Where to measure next: the first crimp that has the fewest flats measured, and the first of its flats that is not.
 * Null once every flat of every crimp is measured.
 *
 * @example nextPlace([{ crimp: 1, flat: 1 }], 2) // { crimp: 2, flat: 1 }
 */
export function nextPlace(readings: readonly Flats[], crimps: number): CrimpPlace | null {
  for (let round = 0; round < FLATS; round += 1)
    for (let crimp = 1; crimp <= crimps; crimp += 1) {
      if (flatsOf(readings, crimp) > round) continue;
      const taken = new Set(readings.filter((reading) => reading.crimp === crimp).map(({ flat }) => flat));
      const flat = Array.from({ length: FLATS }, (_, i) => i + 1).find((own) => !taken.has(own));
      if (flat !== undefined) return { crimp, flat };
    }
  return null;
}
