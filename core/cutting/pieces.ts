import { type Message, tell, verbatim } from '../words/message.ts';
import type { Both } from '../model/end.ts';
import { term } from '../words/terms.ts';
import { type ConductorSize, sizeNamed, sameSize } from '../model/tables/size.ts';
import type { Cable, Jacket } from '../model/cable.ts';
import { isDone } from '../model/stepId.ts';
import type { CableKind, Shop, Spool } from '../model/shop.ts';
import type { SizeChoice } from '../sizing/choose.ts';
import type { ResolvedJoin } from '../termination/join.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import type { CableLengths } from './cutLength.ts';
import { type CutRules, type Piece, restMm, type StockLength } from './cutPlan.ts';

/** A cable to be cut, with its work. Jobs may use one id twice, so each has a key of its own among all that are cut together. */
export interface ToCut {
  readonly key: string;
  readonly cable: Cable;
  readonly work: Takes;
}

/** What is worked out of a cable, as far as it tells what is taken for it. */
export interface Takes {
  readonly kind: CableKind;
  readonly choice: SizeChoice;
  readonly ends: Both<ResolvedEnd>;
  readonly joins: readonly ResolvedJoin[];
  readonly lengths: CableLengths | null;
}

/** Pieces that may be cut from the same spools: one kind, size and colour. */
export interface CutGroup {
  readonly key: string;
  readonly kindId: string;
  readonly kindTitle: string;
  readonly size: ConductorSize;
  readonly colour: Jacket;
  readonly title: Message;
  readonly outerMm: number;
  readonly gPerM: number | undefined;
  readonly copperMm2: number;
  /** What was paid for the cable on the shelf, by its length; its kind's usual price where none is given. */
  readonly pricePerM: number;
  readonly pieces: readonly Piece[];
  /** Pieces cut already, by the step ticked. */
  readonly cut: readonly Piece[];
  readonly stock: readonly StockLength[];
  readonly spools: readonly Spool[];
}

export const groupKey = (kindId: string, size: ConductorSize, colour: Jacket) =>
  `${kindId}|${size.system} ${size.name}|${colour}`;

/** Whether a cable has been cut to length. */
export const isCut = (cable: Cable) => isDone(cable, 'cut');

/** Ids of the pieces of a cable: one, or as many as run side by side. */
export const pieceIds = ({ key, work }: ToCut): string[] =>
  Array.from({ length: work.choice.taken.at.parallel }, (_, n) => (n === 0 ? key : `${key} ${n + 1}`));

/** The pieces of many cables, by what they may be cut from; cables without a length have none. */
export function cutGroups(cables: readonly ToCut[], shop: Shop): CutGroup[] {
  const groups = new Map<
    string,
    { group: Omit<CutGroup, 'pieces' | 'cut'>; pieces: Piece[]; cut: Piece[] }
  >();
  for (const toCut of cables) {
    const { cable, work } = toCut;
    if (!work.lengths) continue;
    const lengthMm = Math.ceil(work.lengths.cutMm);
    const { at } = work.choice.taken;
    const key = groupKey(work.kind.id, at.size, cable.jacket);
    const known = groups.get(key) ?? newGroup(key, toCut, shop);
    groups.set(key, known);
    const copies = pieceIds(toCut).map((id, n) => ({
      id,
      label: n === 0 ? cable.tag : `${cable.tag} ${n + 1}`,
      lengthMm,
    }));
    (isCut(cable) ? known.cut : known.pieces).push(...copies);
  }
  return [...groups.values()]
    .map(({ group, pieces, cut }) => ({ ...group, pieces, cut }))
    .sort((a, b) => b.copperMm2 - a.copperMm2 || tell(a.title).localeCompare(tell(b.title)));
}

function meanPrice(spools: readonly Spool[], usual: number): number {
  const mm = spools.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  if (mm === 0) return usual;
  return spools.reduce((sum, { lengthMm, pricePerM = usual }) => sum + lengthMm * pricePerM, 0) / mm;
}

function newGroup(key: string, { cable, work }: ToCut, shop: Shop) {
  const { at: assessed } = work.choice.taken;
  const spools = shop.spools.filter((own) => groupKey(own.kindId, own.size, own.colour) === key);
  const kindSize = work.kind.sizes.find(({ size }) => sameSize(size, assessed.size));
  return {
    group: {
      key,
      kindId: work.kind.id,
      kindTitle: work.kind.title,
      size: assessed.size,
      colour: cable.jacket,
      title: verbatim`${sizeNamed(assessed.size)} ${term(cable.jacket)}`,
      outerMm: assessed.outerMm,
      gPerM: kindSize?.gPerM,
      copperMm2: assessed.copperMm2,
      pricePerM: meanPrice(spools, kindSize?.pricePerM ?? 0),
      stock: spools.map(({ id, lengthMm, offcut }) => ({ id, lengthMm, offcut })),
      spools,
    },
    pieces: [] as Piece[],
    cut: [] as Piece[],
  };
}

/**
 * Stock once pieces are cut from a length of it: so much shorter, an offcut from then on, and gone where what is left is
 * scrap.
 *
 * @param later whether more is to be cut from it: then it stays, however short
 */
export function spoolsAfterCut(
  spools: readonly Spool[],
  spoolId: string,
  pieces: readonly Piece[],
  rules: CutRules,
  later = false,
): Spool[] {
  return spools.flatMap((own) => {
    if (own.id !== spoolId) return [own];
    const lengthMm = Math.floor(restMm(own, pieces, rules));
    return lengthMm > 0 && (later || lengthMm >= rules.scrapMm) ? [{ ...own, lengthMm, offcut: true }] : [];
  });
}
