import type { Message } from '../../words/message.ts';
import { areaMm2 } from '../../model/tables/size.ts';
import type { Die, Lug, Tool } from '../../model/shop.ts';
import type { HousePractice } from '../../model/housePractice.ts';
import { crimpsThatFit } from './crimpLayout.ts';
import {
  bestDie,
  type DieMerits,
  isUsable,
  dieOffer,
  type DieOffer,
  dieRank,
  isStandardPair,
  settle,
} from './dieOffers.ts';
import { COPPER_SHARE, hexagonMm2, verdictAt } from './dieOnLug.ts';
import { learn, ownTrials, sameBarrel } from './learned.ts';
import { wallMm2, MEASURE_TOLERANCE_MM } from '../lugs/lugOnCable.ts';
import { stampClaims, stampMisleads } from './stamp.ts';
import { type CaseDie, type ToolCase, whyUnfit } from './toolCase.ts';

/** What the map writes where a lug meets a die. */
export type MapCell = DieMerits & Pick<DieOffer, 'kappa'> & { readonly tried: boolean };

/** One barrel of the map: lugs that differ only in hole and palm are one to a die. */
export interface MapRow {
  readonly key: string;
  readonly lug: Lug;
  readonly lugs: readonly Lug[];
  readonly copperMm2: number;
  /** One for each column, in the order of the columns. The whole of one is {@link dieOffer} of row and column. */
  readonly cells: readonly MapCell[];
  /** Column of the die to use; null where none suits. */
  readonly best: number | null;
  /** What the stamps of this row lead one to believe and is not so. */
  readonly misleads: readonly Message[];
}

/** Every lug owned against every die owned: what one would write inside the lid of the case. */
export interface DieMap {
  /** Dies from the widest to the closest. */
  readonly columns: readonly CaseDie[];
  readonly rows: readonly MapRow[];
}

const isCrimped = ({ form }: Lug) => form === 'tube' || form === 'butt';

/** Lugs by their barrels, thinnest conductor first; each on the conductor it is made for. */
function barrels(lugs: readonly Lug[]): { lug: Lug; lugs: Lug[]; copperMm2: number }[] {
  const groups = new Map<string, { lug: Lug; lugs: Lug[]; copperMm2: number }>();
  for (const lug of lugs) {
    if (!isCrimped(lug)) continue;
    const { forSize, boreMm, outerMm, barrelMm, family, form } = lug;
    const key = `${family}|${form}|${forSize.system} ${forSize.name}|${boreMm}|${outerMm}|${barrelMm}`;
    const group = groups.get(key);
    if (group && sameBarrel(group.lug, lug)) group.lugs.push(lug);
    else groups.set(key, { lug, lugs: [lug], copperMm2: areaMm2(forSize) });
  }
  return [...groups.values()].sort(
    (a, b) => a.copperMm2 - b.copperMm2 || a.lug.outerMm - b.lug.outerMm || a.lug.boreMm - b.lug.boreMm,
  );
}

/** Copper in a wall and in its bore, mm²: as they are, at their least, and at their most. */
interface BarrelAreas {
  readonly copperMm2: number;
  readonly wall: number;
  readonly thinWall: number;
  readonly thickWall: number;
}

/** Room in a closed die, mm²: as it is, at its most, and at its least. */
interface DieAreas {
  readonly room: number;
  readonly most: number;
  readonly least: number;
}

function barrelAreas({ outerMm, boreMm }: Lug, copperMm2: number): BarrelAreas {
  const off = MEASURE_TOLERANCE_MM;
  return {
    copperMm2,
    wall: wallMm2({ outerMm, boreMm }),
    thinWall: wallMm2({ outerMm: outerMm - off, boreMm: boreMm + off }),
    thickWall: wallMm2({ outerMm: outerMm + off, boreMm: boreMm - off }),
  };
}

const dieAreas = ({ learned: { flatsMm, flatsToleranceMm } }: CaseDie): DieAreas => ({
  room: hexagonMm2(flatsMm),
  most: hexagonMm2(flatsMm + flatsToleranceMm),
  least: hexagonMm2(flatsMm - flatsToleranceMm),
});

const packed = (copper: number, room: number) => (room > 0 ? copper / room : Number.POSITIVE_INFINITY);

/** {@link dieOffer} without what only a person reads: the map asks for tens of thousands in a frame. */
function cellOf(
  lug: Lug,
  { copperMm2, wall, thinWall, thickWall }: BarrelAreas,
  caseDie: CaseDie,
  { room, most, least }: DieAreas,
  lugs: readonly Lug[],
): MapCell {
  const { die, kind, learned, trials } = caseDie;
  const standard = isStandardPair(lug, die, learned.flatsMm);
  const trialsOfOwn = trials.length > 0 ? ownTrials(trials, lug, copperMm2, lugs) : null;
  const [few, many] = [copperMm2 * COPPER_SHARE.least, copperMm2 * COPPER_SHARE.most];
  const c = (wall + copperMm2) / room;
  const kappa = packed(copperMm2, room - wall) * learned.packing;
  const { verdict, sure } = settle(
    verdictAt(c, kappa),
    verdictAt((thinWall + few) / most, packed(few, most - thinWall) * learned.packing),
    verdictAt((thickWall + many) / least, packed(many, least - thickWall) * learned.packing),
    kind.leaves,
    standard,
    trialsOfOwn,
  );
  return {
    verdict,
    sure,
    standard,
    crimpsFit: crimpsThatFit(lug.barrelMm, die.widthMm),
    unfit: whyUnfit(caseDie, copperMm2, undefined, trialsOfOwn !== null),
    lastResort: kind.lastResort !== '',
    c,
    kappa: trialsOfOwn?.kappa ?? kappa,
    tried: trialsOfOwn !== null,
  };
}

/** A die of the map, with what it needs for every lug. */
interface Column {
  readonly own: CaseDie;
  readonly areas: DieAreas;
  readonly claims: ReturnType<typeof stampClaims>;
}

/** A cell and what its stamp leads one to believe, as they were worked out with this tool. */
interface Entry {
  readonly tool: Tool;
  readonly cell: MapCell;
  /** Empty where it does not. */
  readonly misleads: Message;
}

/**
 * Lugs and dies are never changed in place, so where both are the same and nothing was learned by trial, the cell is
 * too: while one dimension is edited only its row or its column is worked out. Tens of thousands of cells are asked for
 * within one frame: two plain maps cost half of what `remember` does.
 */
const known = new WeakMap<Lug, WeakMap<Die, Entry>>();

function entryOf(
  lug: Lug,
  barrel: BarrelAreas,
  { own: caseDie, areas, claims }: Column,
  lugs: readonly Lug[],
): Entry {
  const row = known.get(lug) ?? new WeakMap<Die, Entry>();
  known.set(lug, row);
  const before = row.get(caseDie.die);
  if (before && before.tool === caseDie.tool && caseDie.trials.length === 0) return before;
  const cell = cellOf(lug, barrel, caseDie, areas, lugs);
  const misleads =
    cell.verdict === 'untried' ? '' : stampMisleads(caseDie.die, claims, lug, cell.verdict === 'right');
  const entry: Entry = { tool: caseDie.tool, cell, misleads };
  if (caseDie.trials.length === 0) row.set(caseDie.die, entry);
  return entry;
}

/** Works out the whole map. Wider dies stand to the left, as in the strip of an end. */
export function dieMap(toolCase: ToolCase, practice: HousePractice): DieMap {
  const columns = toolCase.dies.toSorted((a, b) => b.learned.flatsMm - a.learned.flatsMm);
  const worked = columns.map((own): Column => ({
    own,
    areas: dieAreas(own),
    claims: stampClaims(own.die.stamp),
  }));
  const rows = barrels(toolCase.lugs).map(({ lug, lugs, copperMm2 }): MapRow => {
    const barrel = barrelAreas(lug, copperMm2);
    const entries = worked.map((column) => entryOf(lug, barrel, column, toolCase.lugs));
    const cells = entries.map(({ cell }) => cell);
    const asked = lug.form === 'butt' ? 1 : practice.crimps;
    // What has to be tried first is no die of the map.
    const best = bestDie(cells.filter(isUsable), asked, practice.dieStep);
    return {
      key: lug.id,
      lug,
      lugs,
      copperMm2,
      cells,
      best: best ? cells.indexOf(best) : null,
      misleads: entries.flatMap(({ misleads }) => misleads || []),
    };
  });
  return { columns, rows };
}

/** A lug and conductor that a die could serve. */
export interface DieUse {
  readonly lug: Lug;
  readonly lugs: readonly Lug[];
  readonly offer: DieOffer;
}

/**
 * What an unmarked die is for: every lug of the shop on its own conductor that it closes on rightly, or nearly, the
 * best first.
 */
export function usesOf(die: CaseDie, toolCase: ToolCase, crimpsAsked: number): DieUse[] {
  return barrels(toolCase.lugs)
    .map(({ lug, lugs, copperMm2 }) => ({
      lug,
      lugs,
      offer: dieOffer(lug, copperMm2, die, toolCase.lugs),
    }))
    .filter(
      ({ offer }) => offer.verdict === 'right' || offer.verdict === 'light' || offer.verdict === 'tight',
    )
    .sort((a, b) => dieRank(a.offer, crimpsAsked) - dieRank(b.offer, crimpsAsked));
}

/** A die that is not in the case yet, as only its flats and width are known. */
export function looseDie(acrossFlatsMm: number, widthMm: number, toolCase: ToolCase): CaseDie | null {
  const [first] = toolCase.dies.filter(({ kind }) => kind.leaves === 'hexagon');
  if (!first) return null;
  const die: Die = { id: 'in-hand', toolId: first.tool.id, stamp: '', acrossFlatsMm, widthMm };
  return {
    ...first,
    die,
    learned: learn(die, [], []),
    trials: [],
  };
}
