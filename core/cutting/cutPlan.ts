/** A length of cable to be cut. */
export interface Piece {
  readonly id: string;
  readonly label: string;
  readonly lengthMm: number;
}

/** A spool, or an offcut worth keeping. */
export interface StockLength {
  readonly id: string;
  readonly lengthMm: number;
  /** An offcut, or a spool already begun, costs nothing more: it is used before a whole one. */
  readonly offcut: boolean;
}

/** What each cut takes, and what is too short to keep, mm. */
export interface CutRules {
  readonly kerfMm: number;
  /** Cut off the torn end of each spool first. */
  readonly squareMm: number;
  readonly scrapMm: number;
}

/** What is cut from one spool. */
export interface SpoolCuts {
  readonly stock: StockLength;
  readonly pieces: readonly Piece[];
  readonly restMm: number;
}

export interface CutPlan {
  readonly spools: readonly SpoolCuts[];
  /** Pieces that no stock holds. */
  readonly unplaced: readonly Piece[];
}

/** A spool is squared off first; what was cut here before is square already. */
export const squareOf = ({ offcut }: StockLength, { squareMm }: CutRules) => (offcut ? 0 : squareMm);

/** Room for pieces on a length of stock, mm: each takes a kerf, save the last where nothing is left over. */
export const roomMm = (stock: StockLength, rules: CutRules) =>
  stock.lengthMm - squareOf(stock, rules) + rules.kerfMm;
const takesMm = (pieces: readonly Piece[], { kerfMm }: CutRules) =>
  pieces.reduce((sum, { lengthMm }) => sum + lengthMm + kerfMm, 0);

/** What is left of a length of stock once pieces are cut from it, mm; never under nothing. */
export function restMm(stock: StockLength, pieces: readonly Piece[], rules: CutRules): number {
  if (pieces.length === 0) return stock.lengthMm;
  return Math.max(0, stock.lengthMm - squareOf(stock, rules) - takesMm(pieces, rules));
}

/** Whether pieces can all be cut from a length of stock. */
export const holds = (stock: StockLength, pieces: readonly Piece[], rules: CutRules) =>
  takesMm(pieces, rules) <= roomMm(stock, rules) + 1e-6;

/** Length of new spools that a plan begins, mm: what it costs. */
export const newStockMm = ({ spools }: CutPlan) =>
  spools.reduce(
    (sum, { stock, pieces }) => sum + (pieces.length > 0 && !stock.offcut ? stock.lengthMm : 0),
    0,
  );

/** The longest offcut that a plan leaves of what it cut into, mm. */
export const longestRestMm = ({ spools }: CutPlan) =>
  Math.max(0, ...spools.filter(({ pieces }) => pieces.length > 0).map((own) => own.restMm));

const placed = (lists: ReadonlyMap<StockLength, readonly Piece[]>, rules: CutRules): SpoolCuts[] =>
  [...lists].map(([stock, pieces]) => ({ stock, pieces, restMm: restMm(stock, pieces, rules) }));

/**
 * The plan a careful hand makes: longest piece first, each from the stock it leaves least of; offcuts and spools already
 * begun before a new one, and of the new ones the shortest that will do.
 */
export function bestFitDecreasing(
  pieces: readonly Piece[],
  stock: readonly StockLength[],
  rules: CutRules,
): CutPlan {
  const lists = new Map(stock.map((own): [StockLength, Piece[]] => [own, []]));
  const unplaced: Piece[] = [];
  for (const piece of [...pieces].sort((a, b) => b.lengthMm - a.lengthMm)) {
    const fitting = stock
      .filter((own) => holds(own, [...(lists.get(own) ?? []), piece], rules))
      .map((own) => ({
        own,
        isNew: !own.offcut && lists.get(own)?.length === 0,
        left: restMm(own, [...(lists.get(own) ?? []), piece], rules),
      }))
      .sort((a, b) => Number(a.isNew) - Number(b.isNew) || a.left - b.left);
    const [best] = fitting;
    if (best) lists.get(best.own)?.push(piece);
    else unplaced.push(piece);
  }
  return { spools: placed(lists, rules), unplaced };
}

/**
 * The least new stock that any plan could begin, mm, were cable divisible: all pieces with their kerfs, less what the
 * offcuts hold. Nothing cuts less.
 */
export function linearBoundMm(
  pieces: readonly Piece[],
  stock: readonly StockLength[],
  rules: CutRules,
): number {
  const asked = takesMm(pieces, rules);
  const fromOffcuts = stock
    .filter(({ offcut }) => offcut)
    .reduce((sum, own) => sum + Math.max(0, roomMm(own, rules)), 0);
  const short = Math.max(0, asked - fromOffcuts);
  // A whole spool gives its room for its length: never more length than room is needed, less the kerf at its end.
  const spools = stock.filter(({ offcut }) => !offcut);
  const bestShare = Math.min(1, ...spools.map((own) => own.lengthMm / Math.max(1e-9, roomMm(own, rules))));
  return short * bestShare;
}

/** Makes a plan from the pieces on each length of stock; throws where a piece is lost or a spool overfilled. */
export function planOf(
  cuts: ReadonlyMap<string, readonly Piece[]>,
  pieces: readonly Piece[],
  stock: readonly StockLength[],
  rules: CutRules,
): CutPlan {
  const lists = new Map(stock.map((own): [StockLength, readonly Piece[]] => [own, cuts.get(own.id) ?? []]));
  for (const [own, list] of lists) {
    if (!holds(own, list, rules)) throw new RangeError(`stock ${own.id} is overfilled`);
  }
  const used = new Set([...lists.values()].flat().map(({ id }) => id));
  return { spools: placed(lists, rules), unplaced: pieces.filter(({ id }) => !used.has(id)) };
}

/** The better of two plans: fewer pieces without stock, then less new stock, then the longer offcut left. */
export function betterPlan(a: CutPlan, b: CutPlan): CutPlan {
  const missing = ({ unplaced }: CutPlan) => unplaced.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const order =
    missing(a) - missing(b) || newStockMm(a) - newStockMm(b) || longestRestMm(b) - longestRestMm(a);
  return order <= 1e-6 ? a : b;
}

/** What is too little, and exactly what to buy: one length that holds all that is unplaced, mm. */
export function toBuyMm({ unplaced }: CutPlan, rules: CutRules): number {
  return unplaced.length === 0 ? 0 : Math.ceil(takesMm(unplaced, rules) - rules.kerfMm + rules.squareMm);
}
