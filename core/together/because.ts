import { type Infeasible, lostOn } from './leastSizes.ts';
import { type Message, msg } from '../words/message.ts';
import { collapsedIn, type Question } from './question.ts';
import { pathId } from './ways.ts';

/** What stands in the way, in the terms of the installation. */
export interface InTheWay {
  /** States in which the loads cannot run together even with the thickest. */
  readonly collapsed: readonly string[];
  readonly cables: readonly { readonly cableId: string; readonly because: Message }[];
  readonly loads: readonly {
    readonly loadId: string;
    readonly stateId: string;
    readonly allowedPercent: number;
    readonly neededPercent: number;
  }[];
  /** All drops could be kept, but not with so few sizes: those that stay alone are this many. */
  readonly isByRule: boolean;
  readonly sizesThatStay: number;
  /** Where only the weight is in the way: the least that keeps all else, kg. */
  readonly leastKg?: number | undefined;
}

/** What decides the size that a cable gets. */
export function becauseOf(
  { view, choices, problem }: Question,
  id: string,
  chosen: ReadonlyMap<string, number>,
): Message {
  const its = choices.find(({ conductor }) => conductor.cable.id === id);
  const place = chosen.get(id) ?? 0;
  if (!its) return '';
  if (its.stays === 'begun') return msg`already started: its size stays`;
  if (its.stays === 'by hand') return msg`chosen by hand: its size stays`;
  if (place === 0 && its.thinnerFails !== null) return its.thinnerFails;
  if (place === 0) return msg`the thinnest of its kind`;
  const thinner = new Map([...chosen, [id, place - 1]]);
  const over = problem.paths
    .filter((path) => path.cables.some((one) => one.id === id))
    .map((path) => ({ path, over: lostOn(path, thinner) / Math.max(1e-9, path.mostV) }))
    .toSorted((a, b) => b.over - a.over)[0];
  const drop = over && over.over > 1 && view.drops.find((one) => pathId(one) === over.path.id);
  const load = drop ? view.placeOf(drop.loadId)?.name : undefined;
  return load === undefined ? msg`by the requirements of all together` : msg`by the voltage drop of ${load}`;
}

/** What stands in the way, in the installation's own terms. */
export function inTheWayOf(
  { view, choices, problem }: Question,
  { without, over, isByRule, leastKg }: Infeasible,
): InTheWay {
  return {
    isByRule,
    leastKg,
    sizesThatStay: new Set(
      problem.cables.flatMap(({ isFixed, choices: its }) => (isFixed ? [its[0]?.key] : [])),
    ).size,
    collapsed: collapsedIn(view),
    cables: without.map((cableId) => ({
      cableId,
      because: choices.find(({ conductor }) => conductor.cable.id === cableId)?.allFail ?? '',
    })),
    loads: over.flatMap(({ path, neededV }) => {
      const drop = view.drops.find((one) => pathId(one) === path);
      const load = drop && view.placeOf(drop.loadId);
      const state = drop && view.stateOf(drop.stateId);
      const limit = problem.paths.find(({ id }) => id === path);
      if (load?.kind !== 'load' || !state || !limit) return [];
      return [
        {
          loadId: load.id,
          stateId: state.id,
          allowedPercent: (100 * limit.mostV) / drop.nominalV,
          neededPercent: (100 * neededV) / drop.nominalV,
        },
      ];
    }),
  };
}
