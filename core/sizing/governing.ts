import type { Run } from '../model/run.ts';
import type { Assessment } from './assess.ts';
import type { Spender } from './loop.ts';

/** The drop that comes nearest to what it may be. */
export interface GoverningDrop {
  readonly of: 'load' | 'surge';
  /** At which amps. */
  readonly amps: number;
  readonly percent: number;
  readonly limitPercent: number;
}

/** Whether the continuous load or the heaviest step of the duty uses up more of its allowed drop, and by how much. */
export function governingDrop(
  assessed: Pick<Assessment, 'dropPercent' | 'duty' | 'currentA'>,
  run: Pick<Run, 'dropPercent' | 'duty'>,
): GoverningDrop {
  const load: GoverningDrop = {
    of: 'load',
    amps: assessed.currentA ?? 0,
    percent: assessed.dropPercent,
    limitPercent: run.dropPercent,
  };
  if (!assessed.duty || !run.duty) return load;
  const surge: GoverningDrop = {
    of: 'surge',
    amps: assessed.duty.heaviestA,
    percent: assessed.duty.dropPercent,
    limitPercent: run.duty.dropPercent,
  };
  return surge.percent / surge.limitPercent > load.percent / load.limitPercent ? surge : load;
}

/** The hottest the conductor gets, held or in its duty, °C; null where it never settles. */
export function hottestC({ settledC, duty }: Pick<Assessment, 'settledC' | 'duty'>): number | null {
  return settledC === null ? null : Math.max(settledC, duty?.cycle?.peakC ?? settledC);
}

/** One who spends of the drop, with its share, % of the nominal voltage. */
export type DropShare = Spender & { readonly percent: number };

/**
 * Who spends the governing drop, and how much of it: `I · R ÷ U`. Together they are the drop itself.
 *
 * @example dropShares(at, run).map(({ label, percent }) => `${label} ${percent}`)
 */
export function dropShares(
  assessed: Pick<Assessment, 'dropPercent' | 'duty' | 'currentA' | 'spenders'>,
  run: Pick<Run, 'dropPercent' | 'duty' | 'systemV'>,
): DropShare[] {
  const { of, amps } = governingDrop(assessed, run);
  const spenders = of === 'surge' ? (assessed.duty?.spenders ?? []) : assessed.spenders;
  return spenders.map((spender) => ({ ...spender, percent: ((amps * spender.ohm) / run.systemV) * 100 }));
}
