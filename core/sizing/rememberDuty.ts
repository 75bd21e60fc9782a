import { latest } from '../lib/latest.ts';
import type { FollowDuty } from './assess.ts';
import { dutyCycle, type DutyCycle } from './dutyCycle.ts';

/** More than the sizes of all cables of a job, tried in all schools. */
const MOST = 20_000;

/**
 * Follows duties, each of them once: for working the same cables up again and again, where most of what a duty rests
 * on stays.
 */
export function rememberDuty(): FollowDuty {
  const { known, keep } = latest<DutyCycle | null>(MOST);
  return (...asked) => {
    const key = JSON.stringify(asked);
    const result = known(key);
    if (result !== undefined) return result;
    return keep(key, dutyCycle(...asked));
  };
}
