import { type Message, amount, msg, verbatim } from '../words/message.ts';
import type { Making } from './making.ts';
import type { Cable } from '../model/cable.ts';
import { type EndName, otherEnd } from '../model/end.ts';
import type { Shop, Sleeve } from '../model/shop.ts';
import { sleeveTaskOf } from '../termination/resolveEnd.ts';
import { overLayersMm, sleevesFor } from '../termination/sleeves/layers.ts';
import { SLEEVE_ROOM } from '../termination/sleeves/sleeve.ts';
import { bestSleeve, sleeveOffers, whyNoSleeve } from '../termination/sleeves/sleeveOffers.ts';
import { joinMm, unshrunkMm } from '../termination/throughHole.ts';
import { isDone, isHeld } from '../model/stepId.ts';

/** How a sleeve gets onto an end that holds its lug already, or why it does not. */
export interface SleeveWay {
  /** What is done, in a few words. */
  readonly says: Message;
  readonly because: Message;
  readonly possible: boolean;
  /** Steps that stand open again. */
  readonly reopens: readonly string[];
  /** The sleeve that comes on over the palm instead of the one before. */
  readonly over?: { readonly end: EndName; readonly sleeveId: string };
}

/** The step at which the layers of an end go on. */
export function layersStep(end: EndName, { steps }: Pick<Making, 'steps'>): string {
  const own = `layers.${end}`;
  return steps.some(({ id }) => id === own) ? own : 'layers';
}

/** Both ways: along the cable from the other end while that is free, and over the palm by a sleeve wide enough. */
export const newSleeveWays = (end: EndName, cable: Cable, work: Making, shop: Shop): SleeveWay[] => [
  fromOtherEnd(end, cable, work),
  overThePalm(end, cable, work, shop),
];

/** Why a sleeve cannot be slid along from the other end; null where it can. */
export function notFromOtherEnd(end: EndName, cable: Cable, work: Making): Message | null {
  const other = otherEnd(end);
  if (isHeld(other, cable.done)) return msg`End ${other} holds its lug as well.`;
  const sleeve = work.ends[end].sleeve?.sleeve;
  if (!sleeve) return null;
  const { holeMm } = cable.run;
  const outsideMm = unshrunkMm(sleeve);
  if (isDone(cable, 'pull-through') && holeMm !== undefined && outsideMm > holeMm) {
    return msg`Unshrunk it is ${amount(outsideMm, 'mm', 1)} across, and the hole is ${amount(holeMm, 'mm', 1)}.`;
  }
  const blocking = work.joins.find(
    (join) =>
      isDone(cable, `join-crimp-${join.spec.id}`) && !slidesOver(sleeve, join.spec.kind, joinMm(join)),
  );
  return blocking
    ? msg`It does not slide over the join at ${amount(blocking.spec.atMm / 1000, 'm', 2)}.`
    : null;
}

const slidesOver = ({ suppliedMm }: Sleeve, kind: 'butt' | 'branch', mm: number) =>
  kind === 'butt' && suppliedMm >= SLEEVE_ROOM.pass * mm;

function fromOtherEnd(end: EndName, cable: Cable, work: Making): SleeveWay {
  const why = notFromOtherEnd(end, cable, work);
  const says = msg`Slide one along from end ${otherEnd(end)}`;
  if (why !== null) return { says, because: why, possible: false, reopens: [] };
  return {
    says,
    because: msg`End ${otherEnd(end)} is still free: what waits there comes off, and goes on again after it.`,
    possible: true,
    reopens: [layersStep(end, work), `shrink.${end}`],
  };
}

function overThePalm(end: EndName, cable: Cable, work: Making, shop: Shop): SleeveWay {
  const thisEnd = work.ends[end];
  const says = msg`Bring a wide one on over the palm`;
  if (!thisEnd.lug) return { says, because: msg`Choose the lug first.`, possible: false, reopens: [] };
  const { outerMm } = work.conductor;
  const spec = { ...thisEnd.spec, sleeveAfterLug: true };
  const task = sleeveTaskOf(spec, thisEnd.lug, thisEnd.die, overLayersMm(outerMm, thisEnd.layers), outerMm);
  const owned = sleevesFor(shop.sleeves, cable.polarity);
  const sleeve = bestSleeve(sleeveOffers(owned, task, shop.practice.seal));
  if (!sleeve) {
    const { because, remedy } = whyNoSleeve(owned, task, false);
    return { says, because: verbatim`${because} ${remedy}`, possible: false, reopens: [] };
  }
  return {
    says,
    because: msg`${sleeve.suppliedMm}/${sleeve.recoveredMm} passes the folded palm and grips the cable.`,
    possible: true,
    reopens: [`shrink.${end}`],
    over: { end, sleeveId: sleeve.id },
  };
}
