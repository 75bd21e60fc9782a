import type { CableWork } from '../cableWork.ts';
import { type EndName, END_NAMES } from '../job/cable.ts';
import type { Die, Lug, Shop } from '../job/shop.ts';
import { countingTrials, sameBarrel } from '../termination/learned.ts';

/** A lug and a die that were never brought together here. */
export interface Untried {
  readonly ends: readonly EndName[];
  readonly lug: Lug;
  readonly die: Die;
}

/**
 * What is better practised on a spare lug first: each barrel and die of a cable without a trial in this shop. A
 * simulated trial taught nothing.
 */
export function toPractise({ ends }: Pick<CableWork, 'ends'>, { trials, lugs }: Shop): Untried[] {
  const counting = countingTrials(trials);
  const untried: { ends: EndName[]; lug: Lug; die: Die }[] = [];
  for (const name of END_NAMES) {
    const { lug, die } = ends[name];
    if (!lug || !die) continue;
    const isTried = counting.some(({ dieId, lugId }) => {
      const tried = lugs.find(({ id }) => id === lugId);
      return dieId === die.die.id && tried !== undefined && sameBarrel(tried, lug);
    });
    if (isTried) continue;
    const known = untried.find((own) => own.die.id === die.die.id && sameBarrel(own.lug, lug));
    if (known) known.ends.push(name);
    else untried.push({ ends: [name], lug, die: die.die });
  }
  return untried;
}
