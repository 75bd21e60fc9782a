import { JACKETS, type Lug, type Shop, type Sleeve, type Tool } from '../shop.ts';
import type { Job } from '../job.ts';
import { usedBy } from '../merge.ts';
import type { LugFamilyId } from '../tables/lugFamilies.ts';
import { LUG_FAMILIES } from '../tables/lugFamilies.ts';
import { SLEEVE_KINDS, type SleeveKind } from '../tables/sleeves.ts';
import { CODE_DIES, genericShop, genericSleeves, HEXAGON_DIES } from './genericShop.ts';

/** What a person says is in their case: kinds of tool, sets of dies, families of lugs, kinds of sleeve. */
export interface CaseAnswers {
  /** Ids of the generic tools that are owned. */
  readonly tools: readonly string[];
  readonly dieSets: readonly DieSet[];
  readonly families: readonly LugFamilyId[];
  readonly sleeves: readonly SleeveKind[];
  /** In-line connectors and post clamps, which are no ring lugs. */
  readonly extras: readonly Extra[];
}

export const DIE_SETS = ['hexagon', 'code'] as const;
export type DieSet = (typeof DIE_SETS)[number];
export const EXTRAS = ['connectors', 'clamps'] as const;
export type Extra = (typeof EXTRAS)[number];
export const FAMILIES = Object.keys(LUG_FAMILIES) as LugFamilyId[];

const SETS: Readonly<Record<DieSet, readonly string[]>> = { hexagon: HEXAGON_DIES, code: CODE_DIES };

/** Everything is to be bought: the catalogue stays, nothing of it is on the shelf. */
export const unstocked = (shop: Shop): Shop => ({
  ...shop,
  lugs: shop.lugs.map((lug) => ({ ...lug, stock: 0 })),
  sleeves: shop.sleeves.map((sleeve) => ({ ...sleeve, stockMm: 0 })),
  spools: [],
});

/**
 * The shop of whoever has said nothing yet: the usual tools are assumed so that a cable can be planned, and the shelves
 * are empty, so that no plan counts on what is not there.
 */
export const assumedShop = (): Shop => ({ ...unstocked(genericShop()), origin: 'assumed' });

/** A whole made-up workshop, to plan with before there is one: tools, and a shelf with some of everything. */
export function exampleShop(): Shop {
  const shop = genericShop();
  const spools = shop.cableKinds.flatMap((kind) =>
    ['16', '35', '70'].flatMap((name) => {
      const size = kind.sizes.find((own) => own.size.system === 'metric' && own.size.name === name)?.size;
      return size && kind === shop.cableKinds[0]
        ? JACKETS.slice(0, 2).map((colour) => ({
            id: `example-${name}-${colour}`,
            label: `${name} ${colour}`,
            kindId: kind.id,
            size,
            colour,
            lengthMm: 30_000,
            offcut: false,
          }))
        : [];
    }),
  );
  return { ...shop, spools, origin: 'example' };
}

/** The example workshop in the place of a shop: what its cables name and its practice stay. */
export function exampleFor(shop: Shop, jobs: readonly Job[]): Shop {
  const named = namedBy(jobs);
  const example = exampleShop();
  const dies = shop.dies.filter(({ id }) => named.has(id));
  const held = new Set(dies.map(({ toolId }) => toolId));
  const kept = <T extends { readonly id: string }>(made: readonly T[], owned: readonly T[]) => {
    const there = byId(owned);
    return [...owned, ...made.filter(({ id }) => !there.has(id))];
  };
  const isNamed = ({ id }: { readonly id: string }) => named.has(id);
  return {
    ...example,
    name: shop.name,
    currency: shop.currency,
    practice: shop.practice,
    cableKinds: kept(example.cableKinds, shop.cableKinds),
    tools: kept(
      example.tools,
      shop.tools.filter(({ id }) => held.has(id)),
    ),
    dies: kept(example.dies, dies),
    lugs: kept(example.lugs, shop.lugs.filter(isNamed)),
    sleeves: kept(example.sleeves, shop.sleeves.filter(isNamed)),
    trials: shop.trials.filter(({ dieId }) => named.has(dieId)),
  };
}

/** What of a shop its jobs name: a cable that is decided keeps what it is decided with. */
const namedBy = (jobs: readonly Job[]): ReadonlySet<string> =>
  new Set(jobs.flatMap((job) => [...usedBy(job)]));

/**
 * A shop without tools, dies, trials, instruments or stock. Kinds of cable, lugs and sleeves stay as a catalogue to buy
 * from, house practice stays, and so does what cables here are made with.
 */
export function emptiedShop(shop: Shop, jobs: readonly Job[]): Shop {
  const named = namedBy(jobs);
  const dies = shop.dies.filter(({ id }) => named.has(id));
  const tools = new Set(dies.map(({ toolId }) => toolId));
  return {
    ...unstocked(shop),
    tools: shop.tools.filter(({ id }) => tools.has(id)),
    dies,
    trials: shop.trials.filter(({ dieId }) => named.has(dieId)),
    instruments: [],
    origin: 'empty',
  };
}

/** All of a thing but how much of it there is: another name or price is something that a person entered. */
const asMade = ({ stock: _s, stockMm: _m, ...facts }: Record<string, unknown>) =>
  JSON.stringify(Object.entries(facts).sort(([a], [b]) => (a < b ? -1 : 1)));
const isUntouched = <T extends { readonly id: string }>(
  item: T,
  generic: ReadonlyMap<string, T>,
): boolean => {
  const made = generic.get(item.id);
  return made !== undefined && asMade({ ...made }) === asMade({ ...item });
};
const byId = <T extends { readonly id: string }>(items: readonly T[]) =>
  new Map(items.map((item) => [item.id, item]));

/** Generic things that were asked for, and whatever else a shop has that is its own, is in stock or is named by a job. */
function filled<T extends { readonly id: string }>(
  owned: readonly T[],
  generic: readonly T[],
  isWanted: (item: T) => boolean,
  mayGo: (item: T) => boolean,
): T[] {
  const known = byId(generic);
  const kept = owned.filter((item) => !isUntouched(item, known) || isWanted(item) || !mayGo(item));
  const there = byId(kept);
  return [...kept, ...generic.filter((item) => isWanted(item) && !there.has(item.id))];
}

const wantsTool = (answers: CaseAnswers, { id }: Tool) => answers.tools.includes(id);
const setOf = (dieId: string): DieSet | undefined => DIE_SETS.find((set) => SETS[set].includes(dieId));

function wantsLug({ families, extras }: CaseAnswers, lug: Lug): boolean {
  if (lug.form === 'butt') return extras.includes('connectors');
  if (lug.clamp) return extras.includes('clamps');
  return families.some((family) => lug.family === LUG_FAMILIES[family].title);
}
const wantsSleeve = ({ sleeves }: CaseAnswers, { kind }: Sleeve) => sleeves.includes(kind);

/**
 * A shop as a person describes it. What the answers name and the shop lacks comes in, with nothing of it in stock; what
 * they do not name goes, unless it was measured or changed, is in stock, has trials, or is named by a cable: nothing
 * that a person entered is ever lost by answering again.
 */
export function answeredShop(shop: Shop, answers: CaseAnswers, jobs: readonly Job[]): Shop {
  const generic = unstocked({ ...genericShop(), sleeves: genericSleeves(SLEEVE_KINDS) });
  const named = namedBy(jobs);
  const tried = new Set(shop.trials.flatMap(({ dieId, lugId }) => [dieId, lugId]));
  const isFree = ({ id }: { readonly id: string }) => !named.has(id) && !tried.has(id);
  const dies = filled(
    shop.dies,
    generic.dies,
    (die) => {
      const set = setOf(die.id);
      // A nest belongs to its tool; a set of dies is bought by itself.
      return set ? answers.dieSets.includes(set) : answers.tools.includes(die.toolId);
    },
    isFree,
  );
  const held = new Set(dies.map(({ toolId }) => toolId));
  return {
    ...shop,
    tools: filled(shop.tools, generic.tools, (tool) => wantsTool(answers, tool) || held.has(tool.id), isFree),
    dies,
    lugs: filled(
      shop.lugs,
      generic.lugs,
      (lug) => wantsLug(answers, lug),
      (lug) => isFree(lug) && lug.stock === 0,
    ),
    sleeves: filled(
      shop.sleeves,
      generic.sleeves,
      (sleeve) => wantsSleeve(answers, sleeve),
      (sleeve) => isFree(sleeve) && sleeve.stockMm === 0,
    ),
    origin: 'answers',
  };
}

/** The answers that a shop stands for, to be changed and given again. */
export function answersOf(shop: Shop): CaseAnswers {
  const generic = genericShop();
  const has = (id: string) => shop.dies.some((die) => die.id === id);
  return {
    tools: generic.tools.map(({ id }) => id).filter((id) => shop.tools.some((tool) => tool.id === id)),
    dieSets: DIE_SETS.filter((set) => SETS[set].some(has)),
    families: FAMILIES.filter((family) =>
      shop.lugs.some((lug) => lug.form === 'tube' && lug.family === LUG_FAMILIES[family].title),
    ),
    sleeves: SLEEVE_KINDS.filter((kind) => shop.sleeves.some((sleeve) => sleeve.kind === kind)),
    extras: EXTRAS.filter((extra) =>
      shop.lugs.some((lug) => (extra === 'clamps' ? lug.clamp !== undefined : lug.form === 'butt')),
    ),
  };
}
