import type { Taken } from '../model/cable.ts';
import { MOST } from '../model/limits.ts';
import type { Signed } from '../model/people.ts';
import type { Recount, Shop, Spool } from '../model/shop.ts';
import { bestFitDecreasing, type CutRules, holds, type Piece, restMm } from './cutPlan.ts';
import { type CutGroup, cutGroups, isCut, spoolsAfterCut, type ToCut } from './pieces.ts';
import { keyOf } from './stockTitle.ts';
import { isSpent, type Use, usesOf } from './uses.ts';

/** What of a shop lies on the shelf and is counted. */
export type Shelf = Pick<Shop, 'lugs' | 'sleeves' | 'spools' | 'shelf' | 'recounts'>;

/** What is noted of something besides its count; nothing where nothing is. */
export const noted = ({ shelf }: Pick<Shelf, 'shelf'>, stock: string) =>
  shelf?.find((entry) => entry.stock === stock);

/** How much of something there is: pieces, mm or g; null where nobody counts it. @example haveOf(shop, 'lug:l4') // 12 */
export function haveOf(shelf: Shelf, stock: string): number | null {
  const key = keyOf(stock);
  const isIt = ({ id }: { readonly id: string }) => id === key.id;
  switch (key.kind) {
    case 'lug':
      return shelf.lugs.find(isIt)?.stock ?? null;
    case 'sleeve':
      return shelf.sleeves.find(isIt)?.stockMm ?? null;
    case 'spool':
      return shelf.spools.find(isIt)?.lengthMm ?? null;
    default:
      return noted(shelf, stock)?.have ?? null;
  }
}

/** The least to keep of something: with less it is bought again. */
export const leastOf = (shelf: Pick<Shelf, 'shelf'>, stock: string): number =>
  noted(shelf, stock)?.least ?? 0;

/** The shelf with what is noted of something changed; what is undefined is no longer noted. */
export function withNote<S extends Pick<Shelf, 'shelf'>>(
  shelf: S,
  stock: string,
  change: { readonly [key in 'have' | 'least' | 'price']?: number | undefined },
): S {
  const before = noted(shelf, stock);
  const entries = Object.entries({ stock, ...before, ...change }).filter(([, value]) => value !== undefined);
  const after = Object.fromEntries(entries) as NonNullable<typeof before>;
  const others = shelf.shelf ?? [];
  const kept = before ? others.map((entry) => (entry === before ? after : entry)) : [...others, after];
  return { ...shelf, shelf: kept.filter((entry) => Object.keys(entry).length > 1) };
}

/** The most that a shelf holds of one thing. */
const MOST_LUGS = 1e5;
const MOST_LENGTH_MM = 1e6;

/** The shelf with so much of something on it; a spool without a millimetre left is gone. */
function withHave<S extends Shelf>(shelf: S, stock: string, have: number): S {
  const { kind, id } = keyOf(stock);
  const changed = <T extends { readonly id: string }>(items: readonly T[], change: Partial<T>): T[] =>
    items.map((item) => (item.id === id ? { ...item, ...change } : item));
  switch (kind) {
    case 'lug':
      return { ...shelf, lugs: changed(shelf.lugs, { stock: Math.min(MOST_LUGS, Math.round(have)) }) };
    case 'sleeve':
      return { ...shelf, sleeves: changed(shelf.sleeves, { stockMm: Math.min(MOST_LENGTH_MM, have) }) };
    case 'spool': {
      const spools = changed(shelf.spools, { lengthMm: have });
      return { ...shelf, spools: spools.filter(({ lengthMm }) => lengthMm >= 1) };
    }
    default:
      return withNote(shelf, stock, { have });
  }
}

/**
 * The shelf as it was counted: the count is corrected, and what it was before stays to be read.
 *
 * @example recounted(shop, 'lug:l4', 9, { at, by }).recounts?.at(-1) // { stock: 'lug:l4', at, by, was: 12, now: 9 }
 */
export function recounted<S extends Shelf>(
  shelf: S,
  stock: string,
  now: number,
  { at: countedAt, by }: Omit<Signed, 'id'>,
): S {
  const was = haveOf(shelf, stock);
  if (was === now) return shelf;
  const recount: Recount = { stock, at: countedAt, by, ...(was !== null && { was }), now };
  const recounts = [...(shelf.recounts ?? []), recount].slice(-MOST.recounts);
  return { ...withHave(shelf, stock, now), recounts };
}

/** The last time something was counted; undefined where it never was. */
export const lastRecount = ({ recounts }: Pick<Shelf, 'recounts'>, stock: string): Recount | undefined =>
  recounts?.findLast((own) => own.stock === stock);

/** How much is left of something with so much taken off; what is counted never falls under nothing. */
const less = (have: number, amount: number) => Math.max(0, Math.round((have - amount) * 1000) / 1000);

/** The shop, and what was taken off its shelf. */
export interface AfterTaking {
  readonly shop: Shop;
  readonly took: Taken[];
}

/** What comes off the shelf for some parts of a cable: as much as is there, of what is counted. */
export function takeOff(shop: Shop, uses: readonly Pick<Use, 'part' | 'stock' | 'amount'>[]): AfterTaking {
  let left = shop;
  const took: Taken[] = [];
  for (const { part, stock, amount } of uses) {
    const have = haveOf(left, stock);
    if (have === null || have === 0) continue;
    took.push({ part, stock, amount: Math.min(have, amount) });
    left = withHave(left, stock, less(have, amount));
  }
  return { shop: left, took };
}

/** A spool that a cable could be cut from, and what it would be left with, mm. */
export interface CutOffer {
  readonly spool: Spool;
  readonly restMm: number;
}

/** The pieces of one cable and what they may be cut from, cut already or not; undefined where it has no length. */
function groupOf(toCut: ToCut, shop: Shop): CutGroup | undefined {
  const done = toCut.cable.done.filter(({ step }) => step !== 'cut');
  return cutGroups([{ ...toCut, cable: { ...toCut.cable, done } }], shop)[0];
}

/**
 * The spools that hold all pieces of a cable, the best to cut from first: begun ones before whole ones, and of those the
 * one that leaves least.
 */
export function cutOffers(toCut: ToCut, shop: Shop): CutOffer[] {
  const group = groupOf(toCut, shop);
  if (!group) return [];
  const rules = shop.practice.cutting;
  return group.spools
    .filter((spool) => holds(spool, group.pieces, rules))
    .map((spool) => ({ spool, restMm: Math.floor(restMm(spool, group.pieces, rules)) }))
    .sort((a, b) => Number(b.spool.offcut) - Number(a.spool.offcut) || a.restMm - b.restMm);
}

/**
 * Cuts the pieces of a cable from the shelf: from one spool, or from the best where none is named; pieces that run side by
 * side may then come from several. Nothing is cut where there is too little.
 */
function cutFrom(toCut: ToCut, shop: Shop, spoolId?: string): { spools: Spool[]; took: Taken[] } {
  const nothing = { spools: shop.spools, took: [] };
  const group = groupOf(toCut, shop);
  if (!group) return nothing;
  const rules = shop.practice.cutting;
  const stock = spoolId === undefined ? group.stock : group.stock.filter(({ id }) => id === spoolId);
  const plan = bestFitDecreasing(group.pieces, stock, rules);
  if (plan.unplaced.length > 0) return nothing;
  const took: Taken[] = [];
  let { spools } = shop;
  for (const { stock: own, pieces } of plan.spools) {
    if (pieces.length === 0) continue;
    const cut = offSpool(spools, own.id, pieces, rules);
    spools = cut.spools;
    took.push(cut.took);
  }
  return { spools, took };
}

/**
 * Pieces cut from one spool, and what that took of it, what is left as scrap included.
 *
 * @param later whether more is to be cut from it: then it stays, however short
 */
export function offSpool(
  spools: Spool[],
  spoolId: string,
  pieces: readonly Piece[],
  rules: CutRules,
  later = false,
): { readonly spools: Spool[]; readonly took: Taken } {
  const lengthIn = (list: readonly Spool[]) => list.find(({ id }) => id === spoolId)?.lengthMm ?? 0;
  const after = spoolsAfterCut(spools, spoolId, pieces, rules, later);
  return {
    spools: after,
    took: { part: 'cable', stock: `spool:${spoolId}`, amount: lengthIn(spools) - lengthIn(after) },
  };
}

/** The shop less one lug: a trial, a sample or a check crimp spends the one it is made on. */
export const lessOneLug = (shop: Shop, lugId: string): Shop =>
  takeOff(shop, [{ part: 'spent', stock: `lug:${lugId}`, amount: 1 }]).shop;

/**
 * What ticking a step takes off the shelf: whatever cannot be had back from then on, and the cable's own length where
 * it is cut.
 *
 * @param spoolId the spool it is cut from; the best one where none is named
 * @example takenAt('crimp-1.A', toCut, shop).took // [{ part: 'lug.A', stock: 'lug:l4', amount: 1 }]
 */
export function takenAt(step: string, toCut: ToCut, shop: Shop, spoolId?: string): AfterTaking {
  const { cable } = toCut;
  const ticked = { ...cable, done: [...cable.done, { step, at: '', by: '' }] };
  const off = usesOf(toCut, shop.practice).filter((use) => !use.isSpent && isSpent(use.part, ticked));
  const rest = takeOff(shop, off);
  if (isCut(cable) || !isCut(ticked)) return rest;
  const { spools, took } = cutFrom(toCut, rest.shop, spoolId);
  return { shop: { ...rest.shop, spools }, took: [...rest.took, ...took] };
}

/** The shelf with what a step had taken back on it; cable whose spool is gone comes back as an offcut. */
export function putBack(toCut: Omit<ToCut, 'key'>, shop: Shop, took: readonly Taken[]): Shop {
  return took.reduce((shelf: Shop, { stock, amount }) => {
    const have = haveOf(shelf, stock);
    if (have !== null) return withHave(shelf, stock, less(have, -amount));
    const { kind, id } = keyOf(stock);
    if (kind !== 'spool' || amount < 1) return shelf;
    const { cable, work } = toCut;
    const offcut: Spool = {
      id,
      label: cable.tag,
      kindId: work.kind.id,
      size: { ...work.choice.taken.at.size },
      colour: cable.jacket,
      lengthMm: amount,
      offcut: true,
    };
    return { ...shelf, spools: [...shelf.spools, offcut] };
  }, shop);
}

/**
 * The shelf once something went wrong: what was spoilt stays off it, or comes off it now; what was on a step that stands
 * open again and is not spoilt is there to be used again.
 *
 * @param isSpoilt whether a part is lost: "lug.A", "cable"
 * @param reopened steps that stand open again
 */
export function afterSpoiling(
  toCut: ToCut,
  shop: Shop,
  isSpoilt: (part: string) => boolean,
  reopened: readonly string[],
): { readonly shop: Shop; readonly lost: Taken[] } {
  const { done } = toCut.cable;
  const held = done.flatMap(({ step, took = [] }) => (reopened.includes(step) ? took : []));
  const after = { done: done.filter(({ step }) => !reopened.includes(step)) };
  // The second of two crimps still holds the lug while the first is closed again.
  const free = held.filter(({ part }) => !isSpoilt(part) && !isSpent(part, after));
  const returned = putBack(toCut, shop, free);
  const unspent = usesOf(toCut, shop.practice).filter((use) => !use.isSpent && isSpoilt(use.part));
  const now = takeOff(returned, unspent);
  const isCutNow = isSpoilt('cable') && !isCut(toCut.cable);
  const cut = isCutNow ? cutFrom(toCut, now.shop) : { spools: now.shop.spools, took: [] };
  return {
    shop: { ...now.shop, spools: cut.spools },
    lost: [...held.filter(({ part }) => isSpoilt(part)), ...now.took, ...cut.took],
  };
}
