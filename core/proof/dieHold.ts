import type { ResolvedJoin } from '../termination/join.ts';
import { heldBack } from './dieChecks.ts';
import type { Both } from '../model/end.ts';
import type { Shop } from '../model/shop.ts';
import { isPractising } from '../model/stepId.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { msg } from '../words/message.ts';
import { dieAt, type Step } from '../traveller/step.ts';

/**
 * The steps, with a gate before each crimp whose die is held back by its check: only a good check crimp opens it.
 *
 * @param today year-month-day; null where the day is not asked
 */
export function withDieHold(
  steps: readonly Step[],
  ends: Both<ResolvedEnd>,
  joins: readonly ResolvedJoin[],
  shop: Pick<Shop, 'checks' | 'practice' | 'dies' | 'lugs' | 'tools'>,
  today: string | null,
): Step[] {
  return steps.map((step) => {
    const die = isPractising(step) ? null : dieAt(step, ends, joins);
    const because = die ? heldBack(shop, die, today) : '';
    return because === ''
      ? step
      : {
          ...step,
          gates: [
            {
              id: 'refused' as const,
              says: msg`a die that passed its check`,
              needs: [],
              stop: {
                because,
                remedy: msg`Crimp a spare piece with it, and enter its across flats in the tool case. Until it is good, take another die.`,
              },
            },
            ...step.gates,
          ],
        };
  });
}
