import type { PlaceOf } from '../model/system.ts';
import { jointsIn } from './installation.ts';
import type { LoadDrop } from './path.ts';
import { isHeld } from './solve.ts';
import type { SystemView } from './view.ts';

/** Percent that a load may lose while it runs held, or for a time. */
export const allowedPercent = (
  load: { readonly dropPercent: number; readonly shortDropPercent?: number | undefined },
  held: boolean,
): number => (held ? load.dropPercent : (load.shortDropPercent ?? load.dropPercent));

/** How much of what is allowed a load's drop uses up: 1 is all of it. */
export function useOf(view: SystemView, { loadId, stateId, dropPercent }: LoadDrop): number {
  const load = view.placeOf(loadId);
  const state = view.stateOf(stateId);
  return load?.kind === 'load' && state ? dropPercent / allowedPercent(load, isHeld(state)) : 0;
}

/** Of some drops the one that uses up most of what is allowed, the first of several alike. */
export const worstOf = (view: SystemView, drops: readonly LoadDrop[]): LoadDrop | null =>
  drops.reduce<LoadDrop | null>(
    (worst, own) => (worst && useOf(view, worst) >= useOf(view, own) ? worst : own),
    null,
  );

/** Whether a path goes over grounds whose joining metal was never measured. */
export const isOverUnmeasured = (view: SystemView, { shares }: LoadDrop): boolean =>
  shares.some(
    ({ of }) =>
      of.kind === 'bond' &&
      jointsIn(view.installation).some(({ id, isCustomary }) => id === of.id && isCustomary),
  );

/** V at which a load switches off; 0 where nothing is given. */
export const cutOutV = ({ draws }: PlaceOf<'load'>): number =>
  draws.kind === 'watts' ? (draws.cutOutV ?? 0) : 0;

/** The least V that a load must get, so as to run or to stay on; 0 where nothing is given. */
export const neededV = (load: PlaceOf<'load'>): number => Math.max(load.leastV ?? 0, cutOutV(load));
