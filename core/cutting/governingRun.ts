import type { Run } from '../job/run.ts';

/**
 * The run as its way makes it: the hottest zone governs, an engine space or sun anywhere counts for the whole cable,
 * and the smallest hole is the one to pass. A run without a way is as it is said.
 */
export function governingRun(run: Run): Run {
  const { way } = run;
  if (!way) return run;
  const holes = [...(run.holeMm === undefined ? [] : [run.holeMm]), ...way.holes.map(({ mm }) => mm)];
  return {
    ...run,
    ambientC: Math.max(run.ambientC, ...way.zones.map(({ ambientC }) => ambientC)),
    engineSpace: run.engineSpace || way.zones.some(({ engineSpace }) => engineSpace),
    sun: run.sun || way.zones.some(({ sun }) => sun),
    ...(holes.length > 0 && { holeMm: Math.min(...holes) }),
  };
}
