import type { Cable } from './cable.ts';
import type { Job } from './job.ts';
import type { Shop } from './shop.ts';
import { LONGEST_ID } from './text.ts';

type Item = { readonly id: string };
/** What an end or a join may refer to in the shop. */
interface Parts {
  readonly lugId?: string | undefined;
  readonly connectorId?: string | undefined;
  readonly dieId?: string | undefined;
  readonly sleeveId?: string | undefined;
}
type Renames = ReadonlyMap<string, string>;

/** How much is left of a thing, and how often it closed: no part of what it is. */
const COUNTS = ['stock', 'stockMm', 'closed'];
/** Nor is what it is called: a shop may have named it in another language. */
const WORDS = ['title', 'label', 'family', 'mark'];
const without = (item: object, keys: readonly string[]) =>
  JSON.stringify(
    Object.entries(item)
      .filter(([key, value]) => !keys.includes(key) && value !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );
/** All of a thing but how much of it there is: another name or price is something that a person entered. */
export const asMade = (item: object): string => without(item, COUNTS);
const figuresOf = (item: Item): string => without(item, [...COUNTS, ...WORDS]);

/** Items that `owned` lacks, under ids that are free there; one of the same id and the same figures is shared. */
function bringIn<T extends Item>(
  owned: readonly T[],
  incoming: readonly T[],
): { items: T[]; renames: Renames } {
  const items = [...owned];
  const renames = new Map<string, string>();
  for (const item of incoming) {
    const same = items.find(({ id }) => id === item.id);
    if (same && figuresOf(same) === figuresOf(item)) continue;
    const id = freeId(item.id, items);
    if (id !== item.id) renames.set(item.id, id);
    items.push({ ...item, id });
  }
  return { items, renames };
}

/** `wanted` itself when no item has it, else `wanted-2`, `wanted-3` …, never longer than an id may be. */
export function freeId(wanted: string, taken: readonly Item[]): string {
  const used = new Set(taken.map(({ id }) => id));
  let id = wanted;
  for (let n = 2; used.has(id); n += 1) id = `${wanted.slice(0, LONGEST_ID - 1 - String(n).length)}-${n}`;
  return id;
}

const renamed = (id: string, renames: Renames) => renames.get(id) ?? id;

/**
 * Takes a job from elsewhere into a shop: what the job refers to and the shop lacks comes along, nothing the shop
 * owns is changed, and references are kept true where an id meant something else here.
 */
export function adoptJob(shop: Shop, from: Shop, job: Job): { shop: Shop; job: Job } {
  const used = usedBy(job);
  const pick = <T extends Item>(items: readonly T[]) => items.filter(({ id }) => used.has(id));
  const usedDies = pick(from.dies);
  const usedTools = new Set(usedDies.map(({ toolId }) => toolId));
  const kinds = bringIn(shop.cableKinds, pick(from.cableKinds));
  // A die's trials come along, and so do the lugs they were made on.
  const tried = new Set(from.trials.filter(({ dieId }) => used.has(dieId)).map(({ lugId }) => lugId));
  const lugs = bringIn(
    shop.lugs,
    from.lugs.filter(({ id }) => used.has(id) || tried.has(id)),
  );
  const sleeves = bringIn(shop.sleeves, pick(from.sleeves));
  const tools = bringIn(
    shop.tools,
    from.tools.filter(({ id }) => usedTools.has(id)),
  );
  const dies = bringIn(
    shop.dies,
    usedDies.map((die) => ({ ...die, toolId: renamed(die.toolId, tools.renames) })),
  );
  const trials = bringIn(
    shop.trials,
    from.trials
      .filter(({ dieId }) => used.has(dieId))
      .map((trial) => ({
        ...trial,
        dieId: renamed(trial.dieId, dies.renames),
        lugId: renamed(trial.lugId, lugs.renames),
      })),
  );
  const adoptParts = <T extends Parts>(part: T): T => ({
    ...part,
    ...(part.lugId && { lugId: renamed(part.lugId, lugs.renames) }),
    ...(part.connectorId && { connectorId: renamed(part.connectorId, lugs.renames) }),
    ...(part.dieId && { dieId: renamed(part.dieId, dies.renames) }),
    ...(part.sleeveId && { sleeveId: renamed(part.sleeveId, sleeves.renames) }),
  });
  const adoptCable = (cable: Cable): Cable => ({
    ...cable,
    // What came off another shelf does not go back on this one.
    done: cable.done.map(({ took: _, ...tick }) => tick),
    gauge: { ...cable.gauge, kindId: renamed(cable.gauge.kindId, kinds.renames) },
    ends: { A: adoptParts(cable.ends.A), B: adoptParts(cable.ends.B) },
    joins: cable.joins.map(adoptParts),
  });
  return {
    shop: {
      ...shop,
      cableKinds: kinds.items,
      lugs: lugs.items,
      sleeves: sleeves.items,
      tools: tools.items,
      dies: dies.items,
      trials: trials.items,
    },
    job: { ...job, cables: job.cables.map(adoptCable) },
  };
}

/** Ids of the kinds of cable, lugs, dies and sleeves that the cables of a job name. */
export function usedBy(job: Job): ReadonlySet<string> {
  return new Set(
    job.cables
      .flatMap(({ gauge, ends, joins }) => [
        gauge.kindId,
        ...[ends.A, ends.B].flatMap(({ lugId, dieId, sleeveId }) => [lugId, dieId, sleeveId]),
        ...joins.flatMap(({ connectorId, dieId, sleeveId }) => [connectorId, dieId, sleeveId]),
      ])
      .filter((id) => id !== undefined),
  );
}
