import type { CableSize } from '../model/shop.ts';
import { remember } from '../lib/remember.ts';
import { sameSize } from '../model/tables/size.ts';
import { allowedPercent, neededV } from '../system/allowed.ts';
import { type Conductor, ohmOf } from '../system/installation.ts';
import { isHeld } from '../system/solve.ts';
import type { Share } from '../system/path.ts';
import type { SystemView } from '../system/view.ts';
import { copperInStates } from '../system/warmth.ts';
import type { PathLimit } from './leastSizes.ts';

/** What one size of one cable loses in each state, in the order of the solved states. */
export interface SizeLoss {
  readonly ohm: readonly number[];
  readonly watts: readonly number[];
}

/** Ohms and watts of a conductor in every state had it another size, its amps as they are and its copper as warm as those make it. */
export const lossesAs = (view: SystemView, conductor: Conductor, size: CableSize): SizeLoss =>
  lossesKnown([view, conductor, size], '', () => losses(view, conductor, size));
const lossesKnown = remember<SizeLoss>();

function losses(view: SystemView, conductor: Conductor, size: CableSize): SizeLoss {
  const index = view.installation.conductors.indexOf(conductor);
  const as = { ...conductor, size };
  const flows = view.solved.states.map(({ stateId, cables }) => ({
    lasts: view.stateOf(stateId)?.lasts ?? ({ kind: 'held' } as const),
    amps: cables[index]?.amps ?? 0,
    isSame: sameSize(conductor.size.size, size.size),
    copperC: cables[index]?.copperC ?? 0,
  }));
  const warm = copperInStates(as, flows);
  const ohm = flows.map(({ isSame, copperC }, i) => ohmOf(as, isSame ? copperC : (warm[i] ?? copperC)));
  return { ohm, watts: flows.map(({ amps }, i) => amps ** 2 * (ohm[i] ?? 0)) };
}

/** V that a piece on a load's way loses with so many ohms, its amps as they are; what gives back stays negative. */
export const lostAlong = ({ volts, amps }: Pick<Share, 'volts' | 'amps'>, ohm: number): number =>
  Math.sign(volts) * amps * ohm;

/** What a load may lose in a state, V: by its percent, and by the least volts that it needs. */
function mostVOf(view: SystemView, drop: SystemView['drops'][number], dropShare: number): number | null {
  const load = view.placeOf(drop.loadId);
  const state = view.stateOf(drop.stateId);
  if (load?.kind !== 'load' || !state || drop.nominalV <= 0) return null;
  const byPercent = (dropShare * allowedPercent(load, isHeld(state)) * drop.nominalV) / 100;
  const needed = neededV(load);
  return needed > 0 ? Math.min(byPercent, drop.sourceV - needed) : byPercent;
}

/** Of the drop of a load in a state. */
export const pathId = ({ loadId, stateId }: { readonly loadId: string; readonly stateId: string }): string =>
  `${loadId} ${stateId}`;

/**
 * What every load may lose in every state in which it runs, and what each size of each cable on its way would lose of it,
 * the amps as they are.
 *
 * @param sizesOf the sizes that a cable may get
 * @param dropShare of what is allowed: 1 is all of it
 */
export function pathLimits(
  view: SystemView,
  sizesOf: (cableId: string) => readonly CableSize[],
  dropShare: number,
): PathLimit[] {
  const stateIndex = new Map(view.solved.states.map(({ stateId }, i) => [stateId, i]));
  return view.drops.flatMap((drop): PathLimit[] => {
    const mostV = mostVOf(view, drop, dropShare);
    const state = stateIndex.get(drop.stateId);
    if (mostV === null || state === undefined) return [];
    const onTheWay = drop.shares.flatMap((share) => {
      const conductor = share.of.kind === 'cable' ? view.conductorOf(share.of.id) : undefined;
      const sizes = conductor ? sizesOf(conductor.cable.id) : [];
      if (!conductor || sizes.length === 0) return [];
      const volts = sizes.map((size) => lostAlong(share, lossesAs(view, conductor, size).ohm[state] ?? 0));
      return [{ id: conductor.cable.id, volts }];
    });
    const counted = new Set(onTheWay.map(({ id }) => id));
    const fixedV = drop.shares.reduce(
      (sum, { of, volts }) => (of.kind === 'cable' && counted.has(of.id) ? sum : sum + volts),
      0,
    );
    return [{ id: pathId(drop), mostV, fixedV, cables: onTheWay }];
  });
}
