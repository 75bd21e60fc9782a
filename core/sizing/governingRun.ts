import type { Run } from '../model/run.ts';

/**
 * The run as its route makes it: the smallest hole is the one to pass, and the jacket must suit every stretch. A run
 * without a route is as it is given.
 */
export function governingRun(run: Run): Run {
  const { way } = run;
  if (!way) return run;
  const holes = [...(run.holeMm === undefined ? [] : [run.holeMm]), ...way.holes.map(({ mm }) => mm)];
  return { ...run, ...(holes.length > 0 && { holeMm: Math.min(...holes) }) };
}

/** A stretch of the route by its own air, sun and engine space. */
export interface Stretch {
  /** What it is called; empty where it is the way itself. */
  readonly what: string;
  readonly run: Run;
}

/**
 * Every stretch that a cable must be judged in: its way as a whole, and each hotter zone with its own air, sun and
 * engine space. None of them is put together out of two.
 *
 * @example stretchesOf(run).map(({ what }) => what) // ['', 'engine box', 'deck']
 */
export const stretchesOf = (run: Run): readonly Stretch[] => [
  { what: '', run },
  ...(run.way?.zones ?? []).map(({ what, ambientC, engineSpace, sun }) => ({
    what,
    run: { ...run, ambientC, engineSpace, sun },
  })),
];
