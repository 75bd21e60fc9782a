import { asMade } from '../merge.ts';
import { JACKETS, type Lug, type Shop } from '../shop.ts';
import type { Job } from '../job.ts';
import { usedBy } from '../merge.ts';
import { LUG_FAMILIES, type LugFamilyId } from '../tables/lugFamilies.ts';
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
export const unstocked = ({ shelf: _s, recounts: _r, ...shop }: Shop): Shop => ({
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

/** Sizes of cable that the example has a spool of in each of two colours, mm². */
const EXAMPLE_SPOOLS = ['16', '35', '70'];

/** A whole made-up workshop, to plan with before there is one: tools, and a shelf with some of everything. */
export function exampleShop(): Shop {
  const shop = genericShop();
  const [kind] = shop.cableKinds;
  const sizes = kind?.sizes.filter(
    ({ size }) => size.system === 'metric' && EXAMPLE_SPOOLS.includes(size.name),
  );
  const spools = (sizes ?? []).flatMap(({ size }) =>
    JACKETS.slice(0, 2).map((colour) => ({
      id: `example-${size.name}-${colour}`,
      label: `${size.name} ${colour}`,
      kindId: kind?.id ?? '',
      size,
      colour,
      lengthMm: 30_000,
      offcut: false,
    })),
  );
  return { ...shop, spools, origin: 'example' };
}

const byId = <T extends { readonly id: string }>(items: readonly T[]) =>
  new Map(items.map((item) => [item.id, item]));

/** Things of a shop, and those of another list whose ids it lacks. */
function joined<T extends { readonly id: string }>(owned: readonly T[], others: readonly T[]): T[] {
  const there = byId(owned);
  return [...owned, ...others.filter(({ id }) => !there.has(id))];
}

/** What of a shop its jobs name: a cable that is decided keeps what it is decided with. */
const namedBy = (jobs: readonly Job[]): ReadonlySet<string> =>
  new Set(jobs.flatMap((job) => [...usedBy(job)]));

/** The dies, lugs and sleeves of a shop that its jobs name, with the tools and the trials of those dies. */
function namedParts(
  shop: Shop,
  jobs: readonly Job[],
): Pick<Shop, 'tools' | 'dies' | 'trials' | 'lugs' | 'sleeves'> {
  const named = namedBy(jobs);
  const isNamed = ({ id }: { readonly id: string }) => named.has(id);
  const dies = shop.dies.filter(isNamed);
  const held = new Set(dies.map(({ toolId }) => toolId));
  return {
    tools: shop.tools.filter(({ id }) => held.has(id)),
    dies,
    trials: shop.trials.filter(({ dieId }) => named.has(dieId)),
    lugs: shop.lugs.filter(isNamed),
    sleeves: shop.sleeves.filter(isNamed),
  };
}

/** The example workshop in the place of a shop: what its cables name and its practice stay. */
export function exampleFor(shop: Shop, jobs: readonly Job[]): Shop {
  const example = exampleShop();
  const { tools, dies, trials, lugs, sleeves } = namedParts(shop, jobs);
  return {
    ...example,
    name: shop.name,
    currency: shop.currency,
    practice: shop.practice,
    cableKinds: joined(shop.cableKinds, example.cableKinds),
    tools: joined(tools, example.tools),
    dies: joined(dies, example.dies),
    lugs: joined(lugs, example.lugs),
    sleeves: joined(sleeves, example.sleeves),
    trials,
  };
}

/**
 * A shop without tools, dies, trials, instruments or stock. Kinds of cable, lugs and sleeves stay as a catalogue to buy
 * from, house practice stays, and so does what cables here are made with.
 */
export function emptiedShop(shop: Shop, jobs: readonly Job[]): Shop {
  const { tools, dies, trials } = namedParts(shop, jobs);
  return { ...unstocked(shop), tools, dies, trials, instruments: [], origin: 'empty' };
}

const isUntouched = <T extends { readonly id: string }>(
  item: T,
  generic: ReadonlyMap<string, T>,
): boolean => {
  const made = generic.get(item.id);
  return made !== undefined && asMade(made) === asMade(item);
};
/** Generic things that were asked for, and whatever else a shop has that is its own, is in stock or is named by a job. */
function filled<T extends { readonly id: string }>(
  owned: readonly T[],
  generic: readonly T[],
  isWanted: (item: T) => boolean,
  mayGo: (item: T) => boolean,
): T[] {
  const known = byId(generic);
  const kept = owned.filter((item) => !isUntouched(item, known) || isWanted(item) || !mayGo(item));
  return joined(kept, generic.filter(isWanted));
}

const setOf = (dieId: string): DieSet | undefined => DIE_SETS.find((set) => SETS[set].includes(dieId));

function wantsLug({ families, extras }: CaseAnswers, lug: Lug): boolean {
  if (lug.form === 'butt') return extras.includes('connectors');
  if (lug.clamp) return extras.includes('clamps');
  return families.some((family) => lug.family === LUG_FAMILIES[family].title);
}

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
    tools: filled(shop.tools, generic.tools, ({ id }) => answers.tools.includes(id) || held.has(id), isFree),
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
      ({ kind }) => answers.sleeves.includes(kind),
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
