import type { Run } from '../job/run.ts';
import type { Assessment } from './assess.ts';

/** The drop that comes nearest to what it may be. */
export interface GoverningDrop {
  readonly of: 'load' | 'surge';
  readonly percent: number;
  readonly limitPercent: number;
}

/** Whether the continuous load or the heaviest step of the duty uses up more of its allowed drop, and by how much. */
export function governingDrop(
  at: Pick<Assessment, 'dropPercent' | 'duty'>,
  run: Pick<Run, 'dropPercent' | 'duty'>,
): GoverningDrop {
  const load: GoverningDrop = { of: 'load', percent: at.dropPercent, limitPercent: run.dropPercent };
  if (!at.duty || !run.duty) return load;
  const surge: GoverningDrop = {
    of: 'surge',
    percent: at.duty.dropPercent,
    limitPercent: run.duty.dropPercent,
  };
  return surge.percent / surge.limitPercent > load.percent / load.limitPercent ? surge : load;
}

/** The hottest the conductor gets, held or in its duty, °C; null where it never settles. */
export function hottestC({ settledC, duty }: Pick<Assessment, 'settledC' | 'duty'>): number | null {
  return settledC === null ? null : Math.max(settledC, duty?.cycle?.peakC ?? settledC);
}
