import type { CableWork } from '../cableWork.ts';
import { type ConductorSize, sizeLabel } from '../conductor/size.ts';
import type { Cable, Jacket } from '../job/cable.ts';
import type { Shop, Spool } from '../job/shop.ts';
import type { Piece, StockLength } from './cutPlan.ts';

/** Pieces that may be cut from the same spools: one kind, size and colour. */
export interface CutGroup {
  readonly key: string;
  readonly kindId: string;
  readonly kindTitle: string;
  readonly size: ConductorSize;
  readonly colour: Jacket;
  readonly title: string;
  readonly outerMm: number;
  readonly copperMm2: number;
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
export const isCut = ({ done }: Cable) => done.some(({ step }) => step === 'cut');

/** The pieces of many cables, by what they may be cut from; cables without a length have none. */
export function cutGroups(cables: readonly Cable[], works: readonly CableWork[], shop: Shop): CutGroup[] {
  const groups = new Map<
    string,
    { group: Omit<CutGroup, 'pieces' | 'cut'>; pieces: Piece[]; cut: Piece[] }
  >();
  cables.forEach((cable, i) => {
    const work = works[i];
    if (!work?.lengths) return;
    const { at } = work.choice.taken;
    const key = groupKey(work.kind.id, at.size, cable.jacket);
    const known = groups.get(key) ?? newGroup(key, cable, work, shop);
    groups.set(key, known);
    const copies = Array.from({ length: at.parallel }, (_, n) => ({
      id: n === 0 ? cable.id : `${cable.id}.${n + 1}`,
      label: n === 0 ? cable.tag : `${cable.tag} ${n + 1}`,
      lengthMm: Math.ceil(work.lengths?.cutMm ?? 0),
    }));
    (isCut(cable) ? known.cut : known.pieces).push(...copies);
  });
  return [...groups.values()]
    .map(({ group, pieces, cut }) => ({ ...group, pieces, cut }))
    .sort((a, b) => b.copperMm2 - a.copperMm2 || a.title.localeCompare(b.title));
}

function newGroup(key: string, cable: Cable, work: CableWork, shop: Shop) {
  const { at } = work.choice.taken;
  const spools = shop.spools.filter((own) => groupKey(own.kindId, own.size, own.colour) === key);
  const own = work.kind.sizes.find(
    ({ size }) => size.system === at.size.system && size.name === at.size.name,
  );
  return {
    group: {
      key,
      kindId: work.kind.id,
      kindTitle: work.kind.title,
      size: at.size,
      colour: cable.jacket,
      title: `${sizeLabel(at.size)} ${cable.jacket}`,
      outerMm: at.outerMm,
      copperMm2: at.copperMm2,
      pricePerM: own?.pricePerM ?? 0,
      stock: spools.map(({ id, lengthMm, offcut }) => ({ id, lengthMm, offcut })),
      spools,
    },
    pieces: [] as Piece[],
    cut: [] as Piece[],
  };
}

/**
 * Stock once pieces are cut from a spool: what is left of it, as an offcut when it was begun; gone when it is scrap.
 *
 * @param leftMm what the plan leaves
 */
export function spoolsAfterCut(
  spools: readonly Spool[],
  spoolId: string,
  leftMm: number,
  scrapMm: number,
): Spool[] {
  return spools.flatMap((own) => {
    if (own.id !== spoolId) return [own];
    return leftMm < scrapMm ? [] : [{ ...own, lengthMm: Math.floor(leftMm), offcut: true }];
  });
}
