import { groupKey } from '../cutting/pieces.ts';
import type { Shop } from '../model/shop.ts';
import type { Sizing } from '../model/system.ts';
import { type ConductorSize, sameSize } from '../model/tables/size.ts';
import type { FollowDuty } from '../sizing/assess.ts';
import type { SystemView } from '../system/view.ts';
import type { SystemWork } from '../systemWork.ts';
import { type Choices, choicesOf, type Stays } from './choices.ts';
import { type Choice, keepsAll, type Sizable, type SizesProblem } from './leastSizes.ts';
import { costOf, metresOf, type Priced, priced } from './totals.ts';
import { lossesAs, pathLimits } from './ways.ts';

/** What every round is asked with. */
export interface Needed {
  readonly shop: Shop;
  readonly sizing: Sizing;
  /** Of the cables whose sizes are not chosen, why. */
  readonly stays: ReadonlyMap<string, Stays>;
  readonly followDuty: FollowDuty;
}

/** The question of one round, with what its numbers stand for. */
export interface Question {
  readonly view: SystemView;
  readonly choices: readonly Choices[];
  /** Cables that should be alike and cannot. */
  readonly unlike: readonly string[];
  readonly problem: SizesProblem;
}

const sizeKey = ({ system, name }: ConductorSize) => `${system} ${name}`;

/**
 * Cables that carry the same current in every state, out and back of one circuit: those that may have a size in common. One
 * that stays is among them where the others may have its size.
 */
function alikeIn(
  view: SystemView,
  choices: readonly Choices[],
  keysOf: ReadonlyMap<string, readonly string[]>,
): { readonly groups: string[][]; readonly unlike: string[] } {
  const same = new Map<string, { readonly free: string[]; readonly fixed: string[] }>();
  choices.forEach(({ conductor, stays }, i) => {
    const amps = view.solved.states.map(({ cables }) => Math.abs(cables[i]?.amps ?? 0));
    if (!amps.some((one) => one > 1e-3)) return;
    const { cable, kind } = conductor;
    const key = [...amps.map((one) => one.toPrecision(4)), kind.id, cable.gauge.parallel ?? 1].join(' ');
    const group = same.get(key) ?? { free: [], fixed: [] };
    same.set(key, group);
    (stays ? group.fixed : group.free).push(cable.id);
  });
  const groups: string[][] = [];
  const unlike: string[] = [];
  for (const { free, fixed } of same.values()) {
    const common = (keysOf.get(free[0] ?? '') ?? []).filter((key) =>
      free.every((id) => keysOf.get(id)?.includes(key)),
    );
    const [kept, ...others] = fixed;
    const isOneSize = others.every((id) => keysOf.get(id)?.[0] === keysOf.get(kept ?? '')?.[0]);
    const isFitting = kept !== undefined && isOneSize && common.includes(keysOf.get(kept)?.[0] ?? '');
    if (free.length === 0) continue;
    if (common.length === 0 || (kept !== undefined && !isFitting)) unlike.push(...free);
    const group = isFitting ? [kept, ...free] : free;
    if (common.length > 0 && group.length > 1) groups.push(group);
  }
  return { groups, unlike };
}

/** Metres on the shelf by kind, size and colour. */
const shelfOf = ({ spools }: Shop): ReadonlyMap<string, number> => {
  const metres = new Map<string, number>();
  for (const { kindId, size, colour, lengthMm } of spools) {
    const key = groupKey(kindId, size, colour);
    metres.set(key, (metres.get(key) ?? 0) + lengthMm / 1000);
  }
  return metres;
};

/** The question that a solved installation asks of its cables' sizes. */
export function questionOf(work: SystemWork, { shop, sizing, stays: staying, followDuty }: Needed): Question {
  const { view } = work;
  const choices = view.installation.conductors.map((own) =>
    choicesOf(own, work, shop, sizing, staying.get(own.cable.id) ?? null, followDuty),
  );
  const byId = new Map(choices.map((own) => [own.conductor.cable.id, own]));
  const weighed = (its: Priced) => ({ cost: costOf(sizing, its), kg: its.massKg });
  const cables = choices.map(({ conductor, sizes, stays }): Sizable => {
    const { cable, kind } = conductor;
    return {
      id: cable.id,
      metres: metresOf(conductor),
      isFixed: stays !== null,
      choices: sizes.map((cableSize): Choice => ({
        key: `${kind.id} ${sizeKey(cableSize.size)}`,
        spool: groupKey(kind.id, cableSize.size, cable.jacket),
        ...weighed(priced(view, conductor, cableSize, lossesAs(view, conductor, cableSize))),
      })),
    };
  });
  const keysOf = new Map(cables.map((one) => [one.id, one.choices.map(({ key }) => key)]));
  const alike = sizing.alike ? alikeIn(view, choices, keysOf) : { groups: [], unlike: [] };
  return {
    view,
    choices,
    unlike: alike.unlike,
    problem: {
      cables,
      paths: pathLimits(view, (id) => byId.get(id)?.sizes ?? [], sizing.dropPercent / 100),
      ...(sizing.alike && { alike: alike.groups }),
      ...(sizing.mostSizes !== undefined && { mostSizes: sizing.mostSizes }),
      ...(sizing.mostKg !== undefined && { mostKg: sizing.mostKg }),
      ...(sizing.shelf && { shelf: shelfOf(shop) }),
    },
  };
}

/** States in which the loads cannot run together. */
export const collapsedIn = ({ solved }: SystemView): string[] =>
  solved.states.flatMap(({ stateId, collapse }) => (collapse ? [stateId] : []));

/** The sizes that a solved installation has, as places in the lists of choices; null where one of them may not be used. */
export function presentIn({ view, choices, problem }: Question): ReadonlyMap<string, number> | null {
  if (collapsedIn(view).length > 0) return null;
  const present = new Map<string, number>();
  for (const { conductor, sizes } of choices) {
    const place = sizes.findIndex(({ size }) => sameSize(size, conductor.size.size));
    if (place < 0) return null;
    present.set(conductor.cable.id, place);
  }
  return keepsAll(problem, present) ? present : null;
}

/** The thickest size that each cable may get. */
export const thickestOf = ({ choices }: Question): ReadonlyMap<string, ConductorSize> =>
  new Map(
    choices.flatMap(({ conductor, stays, sizes }) => {
      const thickest = sizes.at(-1);
      return stays || !thickest ? [] : [[conductor.cable.id, thickest.size] as const];
    }),
  );
