import type { Cable, End } from './cable.ts';
import type { Job } from './job.ts';
import type { Shop } from './shop.ts';

type Item = { readonly id: string };
type Renames = ReadonlyMap<string, string>;

/** Items that `owned` lacks, under ids that are free there; an item already owned, alike to the letter, is shared. */
function bringIn<T extends Item>(
  owned: readonly T[],
  incoming: readonly T[],
): { items: T[]; renames: Renames } {
  const items = [...owned];
  const renames = new Map<string, string>();
  for (const item of incoming) {
    const same = items.find(({ id }) => id === item.id);
    if (same && JSON.stringify(same) === JSON.stringify(item)) continue;
    const id = freeId(item.id, items);
    if (id !== item.id) renames.set(item.id, id);
    items.push({ ...item, id });
  }
  return { items, renames };
}

/** `wanted` itself when no item has it, else `wanted-2`, `wanted-3` … */
export function freeId(wanted: string, taken: readonly Item[]): string {
  const used = new Set(taken.map(({ id }) => id));
  let id = wanted;
  for (let n = 2; used.has(id); n += 1) id = `${wanted}-${n}`;
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
  const lugs = bringIn(shop.lugs, pick(from.lugs));
  const sleeves = bringIn(shop.sleeves, pick(from.sleeves));
  const tools = bringIn(
    shop.tools,
    from.tools.filter(({ id }) => usedTools.has(id)),
  );
  const dies = bringIn(
    shop.dies,
    usedDies.map((die) => ({ ...die, toolId: renamed(die.toolId, tools.renames) })),
  );
  const adoptEnd = (end: End): End => ({
    ...end,
    ...(end.lugId && { lugId: renamed(end.lugId, lugs.renames) }),
    ...(end.dieId && { dieId: renamed(end.dieId, dies.renames) }),
    ...(end.sleeveId && { sleeveId: renamed(end.sleeveId, sleeves.renames) }),
  });
  const adoptCable = (cable: Cable): Cable => ({
    ...cable,
    gauge: { ...cable.gauge, kindId: renamed(cable.gauge.kindId, kinds.renames) },
    ends: { A: adoptEnd(cable.ends.A), B: adoptEnd(cable.ends.B) },
  });
  return {
    shop: {
      ...shop,
      cableKinds: kinds.items,
      lugs: lugs.items,
      sleeves: sleeves.items,
      tools: tools.items,
      dies: dies.items,
    },
    job: { ...job, cables: job.cables.map(adoptCable) },
  };
}

function usedBy(job: Job): ReadonlySet<string> {
  return new Set(
    job.cables
      .flatMap(({ gauge, ends }) => [
        gauge.kindId,
        ...[ends.A, ends.B].flatMap(({ lugId, dieId, sleeveId }) => [lugId, dieId, sleeveId]),
      ])
      .filter((id) => id !== undefined),
  );
}
