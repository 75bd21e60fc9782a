import type { FollowDuty } from './assess.ts';
import { dutyCycle, type DutyCycle } from './dutyCycle.ts';

/**
 * Follows duties, each of them once: for working the same cables up again and again, where most of what a duty rests
 * on stays.
 */
export function rememberDuty(): FollowDuty {
  const known = new Map<string, DutyCycle | null>();
  return (...asked) => {
    const key = JSON.stringify(asked);
    const result = known.get(key);
    if (result !== undefined) return result;
    const cycle = dutyCycle(...asked);
    known.set(key, cycle);
    return cycle;
  };
}
