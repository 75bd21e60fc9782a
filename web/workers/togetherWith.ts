import loadHighs from 'highs';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { rememberDuty } from '../../core/sizing/rememberDuty.ts';
import type { SystemFinding } from '../../core/system/findingParts.ts';
import { togetherFindings } from '../../core/together/report.ts';
import { chooseTogether, type Together, type TradePoint, type Worked } from '../../core/together/together.ts';
import { solveWith } from './highsSolve.ts';

/** What came of choosing all sizes at once, and what the installation would be found to be with them. */
export interface Chosen {
  readonly together: Together;
  readonly findings: readonly SystemFinding[];
}

/** Chooses with HiGHS, and remembers the last choice for points of its trade. */
export async function togetherWith(wasmUrl: string) {
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  const followDuty = rememberDuty();
  let last: Worked | null = null;
  return {
    choose(job: Job, shop: Shop, seconds: number, onRound: (round: number) => void): Chosen | null {
      last = chooseTogether({ job, shop, solve: solveWith(highs), followDuty, seconds, onRound });
      if (!last) return null;
      const { together } = last;
      return { together, findings: togetherFindings(together, last.job, shop, followDuty) };
    },
    trade: (dropPercent: number): TradePoint | null => last?.tradeAt(dropPercent) ?? null,
  };
}
