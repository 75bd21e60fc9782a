import { contextOf } from '../jobContext.ts';
import type { Cable } from '../model/cable.ts';
import type { CableKind, CableSize, Shop } from '../model/shop.ts';
import type { Sizing } from '../model/system.ts';
import { areaMm2, sameSize } from '../model/tables/size.ts';
import { type FollowDuty, heldAmps } from '../sizing/assess.ts';
import type { Carried } from '../sizing/fuse.ts';
import { butForDrop } from '../sizing/choose.ts';
import { strictestAmps } from '../sizing/schoolFindings.ts';
import { ask } from '../stages.ts';
import { guardRatingA } from '../system/protection.ts';
import { fuseOver } from '../system/unguardedFindings.ts';
import type { Conductor } from '../system/installation.ts';
import type { SystemWork } from '../systemWork.ts';
import type { Judged } from '../finding/finding.ts';
import { canCrimp } from '../termination/canCrimp.ts';
import { type Message, msg } from '../words/message.ts';

/** Why the size of a cable is not chosen with the others. */
export type Stays = 'begun' | 'by hand';

/** What a cable may get, thinnest first, and why nothing thinner. */
export interface Choices {
  readonly conductor: Conductor;
  readonly stays: Stays | null;
  readonly sizes: readonly CableSize[];
  /** What refuses the next thinner size of its kind; null where there is none thinner. */
  readonly thinnerFails: Message | null;
  /** What refuses them all; null where some may be used. */
  readonly allFail: Message | null;
}

/** A cable is begun when a step of it is done or a record sealed: its size stays whatever is asked. */
export const isBegun = ({ done, records }: Cable): boolean => done.length > 0 || records.length > 0;

/** Whether the size of a cable stays. */
export function staysIn({ cable }: Conductor, { byHand }: Sizing): Stays | null {
  if (isBegun(cable)) return 'begun';
  const { size, together } = cable.gauge;
  const isByHand = size !== undefined && !(together && sameSize(size, together));
  return isByHand && !byHand ? 'by hand' : null;
}

/** The first of some things in order from which on all pass, where one that passes is followed by none that does not. */
function firstPassing<T>(list: readonly T[], passes: (one: T) => boolean): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const one = list[middle];
    if (one !== undefined && passes(one)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** What a limit is called where it decides a size. */
function byLimit({ topic, write }: Judged): Message {
  switch (topic) {
    case 'guards':
      return msg`by its fuse`;
    case 'survives':
      return msg`by a short circuit`;
    case 'duty-peak':
      return msg`by the heat of a surge`;
    case 'amps-inch':
    case 'amps-metric':
    case 'amps-heat':
    case 'settled':
      return msg`by its heat`;
    case 'quick':
      return msg`by the quick rule`;
    case 'drop':
    case 'duty-drop':
    case 'load-volts':
      return msg`by the drop typed on it`;
    default:
      return write().title;
  }
}

const thinnestFirst = ({ sizes }: CableKind): CableSize[] =>
  sizes.toSorted((a, b) => areaMm2(a.size) - areaMm2(b.size));

/** A cable tried in other sizes where it lies: what refuses one, but for the drop, and the amps that one is allowed. */
interface Trial {
  /** As the system feeds it. */
  readonly cable: Cable;
  readonly refused: (size: CableSize) => Message | null;
  readonly allowedA: (size: CableSize) => number | null;
  /** The amps that it holds, by what it is told. */
  readonly heldA: (size: CableSize) => number;
}
function trialOf(
  { cable: { id }, kind, cable }: Conductor,
  { job, from, view }: SystemWork,
  shop: Shop,
  followDuty: FollowDuty,
): Trial {
  const fedBefore = job.cables.find((own) => own.id === id) ?? cable;
  const its = from.get(id)?.fed;
  const fed = its && { ...its, size: null, rest: its.rest && { ...its.rest, held: [], duty: [] } };
  const asked = ask(fedBefore, shop, {
    context: contextOf(fedBefore, job),
    followDuty,
    ...(fed && { fed }),
  });
  // What the system does not know of is kept by the cable itself: its typed drop.
  const hold = butForDrop(asked.cable, kind, shop.practice, asked.around, followDuty, !its?.rest);
  const guard = fuseOver(view, id);
  const isOwn = guard?.kind === 'inline' && guard.cableId === id;
  const mostA = guard && !isOwn ? guardRatingA(guard) : 0;
  return {
    cable: fedBefore,
    refused: (size) => {
      const { at: assessed, failing } = hold(size);
      const [limit] = failing;
      if (limit) return byLimit(limit);
      const allowedA = strictestAmps(assessed, shop.practice);
      return allowedA !== null && allowedA < mostA ? msg`by its fuse` : null;
    },
    allowedA: (size) => strictestAmps(hold(size).at, shop.practice),
    heldA: (size) => heldAmps(hold(size).at),
  };
}

/** The amps that a cable is allowed as it is; null where no method switched on says. */
export const allowedAsItIs = (
  conductor: Conductor,
  work: SystemWork,
  shop: Shop,
  followDuty: FollowDuty,
): number | null => trialOf(conductor, work, shop, followDuty).allowedA(conductor.size);

/** What a cable must carry whose load is typed on it: the system may know of less. Null where it comes from there. */
export function typedDraw(
  conductor: Conductor,
  work: SystemWork,
  shop: Shop,
  followDuty: FollowDuty,
): Carried | null {
  const { run } = conductor.cable;
  if (run.fromSystem?.includes('load')) return null;
  const heldA = trialOf(conductor, work, shop, followDuty).heldA(conductor.size);
  return { heldA, steps: run.duty?.steps ?? [] };
}

/**
 * The sizes that a cable may get but for what it loses on the way: those that stand its heat, its fuse and a short by the
 * methods switched on, and that the tool case can end. What stands all that, so does whatever is thicker.
 *
 * @param stays why its size is not chosen: then it is the one that it has
 */
export function choicesOf(
  conductor: Conductor,
  work: SystemWork,
  shop: Shop,
  { ends: mustEnd }: Sizing,
  stays: Stays | null,
  followDuty: FollowDuty,
): Choices {
  const { kind } = conductor;
  const kept = { conductor, stays, thinnerFails: null, allFail: null };
  if (stays) return { ...kept, sizes: [conductor.size] };
  const { cable, refused } = trialOf(conductor, work, shop, followDuty);
  const sizes = thinnestFirst(kind);
  const first = firstPassing(sizes, (size) => refused(size) === null);
  const standing = sizes.slice(first);
  const usable = mustEnd ? standing.filter(({ size }) => canCrimp(size, kind, cable, shop)) : standing;
  const refusing = (size: CableSize | undefined): Message | null => (size ? refused(size) : null);
  return {
    ...kept,
    sizes: usable,
    thinnerFails:
      usable[0] && standing[0] && !sameSize(usable[0].size, standing[0].size)
        ? msg`by the lugs and dies in the tool case`
        : refusing(sizes[first - 1]),
    allFail:
      usable.length > 0
        ? null
        : standing.length > 0
          ? msg`no lug or die for it in the tool case`
          : (refusing(sizes.at(-1)) ?? msg`its kind has no sizes`),
  };
}
