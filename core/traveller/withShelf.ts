import { afterSpoiling, type AfterTaking, putBack, takenAt, takeOff } from '../cutting/shelf.ts';
import type { Cable } from '../model/cable.ts';
import type { Signed } from '../model/people.ts';
import type { Shop } from '../model/shop.ts';
import { withoutTick, withTick } from './following.ts';
import type { ToMake } from './making.ts';
import { afterMishap, spoiltBy, type WayOut } from './mishaps.ts';
import { practiceEnds } from './practise.ts';
import { dieAt, type Step } from './step.ts';

/** A cable, and the shop whose shelf it is made from. */
export interface CableAndShop {
  readonly cable: Cable;
  readonly shop: Shop;
}

/**
 * What ticking a step takes off the shelf: a practice piece its lug, any other what cannot be had back from then on.
 *
 * @param spoolId the spool that it is cut from; the best one where none is named
 */
export function takesOff(
  { id, end }: Pick<Step, 'id' | 'end'>,
  toMake: ToMake,
  shop: Shop,
  spoolId?: string,
) {
  const lug = end !== undefined && id === practiceEnds(end) ? toMake.work.ends[end].lug : null;
  const spent: AfterTaking = takenAt(id, toMake, shop, spoolId);
  if (!lug) return spent;
  const tried = takeOff(spent.shop, [{ part: `practice.${end}`, stock: `lug:${lug.id}`, amount: 1 }]);
  return { shop: tried.shop, took: [...spent.took, ...tried.took] };
}

/** The shop with the closings of a step's die counted, or taken back; cables side by side close it as often. */
function withClosings(shop: Shop, { work }: ToMake, step: Pick<Step, 'id' | 'end'>, sign: 1 | -1): Shop {
  const die = dieAt(step, work.ends, work.joins);
  if (!die) return shop;
  const closings = sign * work.choice.taken.at.parallel;
  return {
    ...shop,
    dies: shop.dies.map((own) =>
      own.id === die.id ? { ...own, closed: Math.max(0, (own.closed ?? 0) + closings) } : own,
    ),
  };
}

/** The cable with a step ticked, and the shelf without what that took. */
export function ticked(
  toMake: ToMake,
  step: Pick<Step, 'id' | 'end'>,
  shop: Shop,
  signed: Omit<Signed, 'id'>,
  spoolId?: string,
): CableAndShop {
  const { shop: left, took } = takesOff(step, toMake, shop, spoolId);
  return { cable: withTick(toMake.cable, step, signed, took), shop: withClosings(left, toMake, step, 1) };
}

/** The cable with the tick of a step taken back where nothing rests on it, and on the shelf again what that had taken. */
export function unticked(toMake: ToMake, step: Step, shop: Shop): CableAndShop {
  const cable = withoutTick(toMake.cable, step, toMake.work.steps);
  if (cable === toMake.cable) return { cable, shop };
  const took = toMake.cable.done.flatMap((tick) => (tick.step === step.id ? (tick.took ?? []) : []));
  return { cable, shop: withClosings(putBack(toMake, shop, took), toMake, step, -1) };
}

/** The cable and the shelf once a way out is taken: what is spoilt stays off it, what can be used again is on it. */
export function wentWrong(
  toMake: ToMake,
  { what, step, out }: { readonly what: string; readonly step: Step; readonly out: WayOut },
  shop: Shop,
  said: Signed,
): CableAndShop {
  const { cable } = toMake;
  const { shop: left, lost } = afterSpoiling(toMake, shop, spoiltBy(what, step, cable, out), out.reopens);
  return { cable: afterMishap(cable, what, step, out, said, lost), shop: left };
}
