import { wrap } from 'comlink';
import { latest } from '../../core/lib/latest.ts';
import { shallowRef } from 'vue';
import type { FollowDuty } from '../../core/sizing/assess.ts';
import { dutyCycle, type DutyCycle } from '../../core/sizing/dutyCycle.ts';
import type { DutyWorker } from './duty.worker.ts';

type Asked = Parameters<FollowDuty>;

/** A short duty is followed at once; a longer one would be felt while typing and goes to the worker. */
const STEPS_AT_ONCE = 6;
const KEPT = 2000;

/** Results by what was asked, so that the same cable in the same duty is followed once. */
const { known, keep } = latest<DutyCycle | null>(KEPT);
const pending = new Set<string>();
/** Rises with each result that comes in: work that waited for it is then done again. */
export const dutyTick = shallowRef(0);

let worker: ReturnType<typeof wrap<DutyWorker>> | undefined;
function start() {
  worker ??= wrap<DutyWorker>(new Worker(new URL('./duty.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}

async function ask(key: string, asked: Asked): Promise<void> {
  pending.add(key);
  try {
    keep(key, await start().dutyCycle(...asked));
    dutyTick.value += 1;
  } finally {
    pending.delete(key);
  }
}

/** Follows a duty: from memory, at once when it is short, else from the worker; null until that has answered. */
export const followDuty: FollowDuty = (...asked) => {
  const key = JSON.stringify(asked);
  const result = known(key);
  if (result !== undefined) return result;
  const [, , duty] = asked;
  if (duty.steps.length <= STEPS_AT_ONCE) return keep(key, dutyCycle(...asked));
  if (!pending.has(key)) void ask(key, asked);
  return null;
};

/** Whether any duty is still being followed. */
export const isFollowing = () => pending.size > 0;
