import {
  type CutPlan,
  type CutRules,
  linearBoundMm,
  type Piece,
  planOf,
  roomMm,
  squareOf,
  type StockLength,
} from './cutPlan.ts';

/** Answers a mixed-integer model in LP text: HiGHS in a worker, or in Node. */
export type Solve = (
  lp: string,
  /** When to stop: after so long, or once nothing can be better by more than this. */
  until: { readonly seconds: number; readonly gap: number },
) => {
  /** Null where no answer was found in time. */
  readonly columns: Readonly<Record<string, number>> | null;
  readonly objective: number;
  /** Nothing can be better than this. */
  readonly bound: number;
  readonly optimal: boolean;
  /** Out of time before it was known whether there is any answer. */
  readonly isStopped: boolean;
};

/** Pieces of one length are one kind to the model. */
interface Kind {
  readonly lengthMm: number;
  readonly pieces: readonly Piece[];
}

function kindsOf(pieces: readonly Piece[]): Kind[] {
  const byLength = new Map<number, Piece[]>();
  for (const piece of pieces) {
    const own = byLength.get(piece.lengthMm);
    if (own) own.push(piece);
    else byLength.set(piece.lengthMm, [piece]);
  }
  return [...byLength]
    .map(([lengthMm, list]) => ({ lengthMm, pieces: list }))
    .sort((a, b) => b.lengthMm - a.lengthMm);
}

const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join(' + ') : '0 nought');
const x = (i: number, j: number) => `x${i}_${j}`;

/** How many of a kind a length of stock could hold. */
const mostOf = (kind: Kind, stock: StockLength, rules: CutRules) =>
  Math.min(
    kind.pieces.length,
    Math.max(0, Math.floor((roomMm(stock, rules) + 1e-6) / (kind.lengthMm + rules.kerfMm))),
  );

/** Without an answer a piece costs more than any stock that could hold it. */
const UNPLACED_COST = 1000;

interface Model {
  readonly kinds: readonly Kind[];
  readonly stock: readonly StockLength[];
  readonly rules: CutRules;
}

/** What holds in both questions: each piece once, no spool overfilled, alike spools begun in order. */
function constraints({ kinds, stock, rules }: Model): string[] {
  return [
    ...kinds.map(
      (kind, i) =>
        ` d${i}: ${sum([...stock.flatMap((own, j) => (mostOf(kind, own, rules) > 0 ? [x(i, j)] : [])), `u${i}`])} = ${kind.pieces.length}`,
    ),
    ...stock.map((stockLength, j) => {
      const terms = kinds.flatMap((kind, i) =>
        mostOf(kind, stockLength, rules) > 0 ? [`${kind.lengthMm + rules.kerfMm} ${x(i, j)}`] : [],
      );
      return ` c${j}: ${sum(terms)} - ${roomMm(stockLength, rules)} y${j} <= 0`;
    }),
    ...stock.flatMap((own, j) => {
      const before = stock[j - 1];
      return before && before.lengthMm === own.lengthMm && before.offcut === own.offcut
        ? [` s${j}: y${j - 1} - y${j} >= 0`]
        : [];
    }),
  ];
}

function declarations({ kinds, stock, rules }: Model): string[] {
  const counts = kinds.flatMap((kind, i) =>
    stock.flatMap((own, j) => {
      const most = mostOf(kind, own, rules);
      return most > 0 ? [{ name: x(i, j), most }] : [];
    }),
  );
  return [
    `Bounds`,
    ...counts.map(({ name, most }) => ` 0 <= ${name} <= ${most}`),
    ...kinds.map(({ pieces }, i) => ` 0 <= u${i} <= ${pieces.length}`),
    `General`,
    ` ${[...counts.map(({ name }) => name), ...kinds.map((_, i) => `u${i}`)].join(' ')}`,
  ];
}

const costOf = ({ kinds, stock }: Model) =>
  sum([
    ...stock.flatMap((own, j) => (own.offcut ? [] : [`${own.lengthMm} y${j}`])),
    ...kinds.map((kind, i) => `${kind.lengthMm * UNPLACED_COST} u${i}`),
  ]);

/** First question: the least new stock. */
export function leastStockModel(model: Model): string {
  return [
    `Minimize`,
    ` obj: ${costOf(model)}`,
    `Subject To`,
    ...constraints(model),
    ...declarations(model),
    `Binary`,
    ` ${model.stock.map((_, j) => `y${j}`).join(' ')}`,
    `End`,
  ].join('\n');
}

/** Second question: of all plans with no more new stock, the one that leaves the longest useful offcut. */
export function longestRestModel(model: Model, cost: number): string {
  const { kinds, stock, rules } = model;
  const rests = stock.flatMap((stockLength, j) => {
    const terms = kinds.flatMap((kind, i) =>
      mostOf(kind, stockLength, rules) > 0 ? [`${kind.lengthMm + rules.kerfMm} ${x(i, j)}`] : [],
    );
    const counts = kinds.flatMap((kind, i) => (mostOf(kind, stockLength, rules) > 0 ? [x(i, j)] : []));
    const room = stockLength.lengthMm - squareOf(stockLength, rules);
    return [
      // What nothing is cut from leaves no offcut: it was there before.
      ` b${j}: y${j}${counts.map((name) => ` - ${name}`).join('')} <= 0`,
      // The last cut of a spool that is used up needs no kerf: only where the rest is kept must it be there.
      ` r${j}c: rest${j} + ${sum(terms)} + ${rules.kerfMm} z${j} <= ${room + rules.kerfMm}`,
      ` r${j}y: rest${j} - ${room} y${j} <= 0`,
      ` r${j}z: rest${j} - ${room} z${j} <= 0`,
    ];
  });
  return [
    `Maximize`,
    ` obj: ${sum(stock.map((_, j) => `rest${j}`))}`,
    `Subject To`,
    ` least: ${costOf(model)} <= ${cost + 1e-3}`,
    ` one: ${sum(stock.map((_, j) => `z${j}`))} = 1`,
    ...constraints(model),
    ...rests,
    ...declarations(model),
    `Binary`,
    ` ${stock.flatMap((_, j) => [`y${j}`, `z${j}`]).join(' ')}`,
    `End`,
  ].join('\n');
}

/** Stock lengths are whole millimetres: under half of one nothing is left to gain. */
const EXACT_MM = 0.4;
/** An offcut longer by less than this is no better offcut: proving more would take far longer than the cutting. */
export const SAME_OFFCUT_MM = 25;

/** A plan and how sure it is: nothing can begin less new stock than the bound. */
export interface SolvedPlan {
  readonly plan: CutPlan;
  readonly boundMm: number;
  /** Proved: every piece has its place, and no plan begins less new stock. */
  readonly optimal: boolean;
  /** Stopped before it was known whether there is a better one: searching for longer may prove it. */
  readonly isStopped: boolean;
}

/**
 * The plan of least new stock, as proved by the solver, and of those the one that leaves the longest offcut, to 25 mm.
 *
 * @param seconds for each of the two questions
 * @returns null where the solver found nothing in time
 */
export function solvePlan(
  pieces: readonly Piece[],
  stock: readonly StockLength[],
  rules: CutRules,
  solve: Solve,
  seconds = 10,
): SolvedPlan | null {
  const sorted = [...stock].sort((a, b) => Number(b.offcut) - Number(a.offcut) || b.lengthMm - a.lengthMm);
  const model = { kinds: kindsOf(pieces), stock: sorted, rules };
  if (pieces.length === 0 || stock.length === 0) {
    return {
      plan: planOf(new Map(), pieces, stock, rules),
      boundMm: 0,
      optimal: pieces.length === 0,
      isStopped: false,
    };
  }
  const first = solve(leastStockModel(model), { seconds, gap: EXACT_MM });
  if (!first.columns) return null;
  const second = solve(longestRestModel(model, first.objective), { seconds, gap: SAME_OFFCUT_MM });
  const columns = second.columns ?? first.columns;
  const left = model.kinds.map((kind) => [...kind.pieces]);
  const cuts = new Map(
    sorted.map((own, j) => [
      own.id,
      model.kinds.flatMap((_, i) => left[i]?.splice(0, Math.round(columns[x(i, j)] ?? 0)) ?? []),
    ]),
  );
  const unplaced = left.flat();
  const missing = unplaced.reduce((total, { lengthMm }) => total + lengthMm * UNPLACED_COST, 0);
  const placed = pieces.filter((piece) => !unplaced.includes(piece));
  return {
    plan: planOf(cuts, pieces, stock, rules),
    // A solver stopped in time may know less than plain arithmetic does.
    boundMm: Math.max(linearBoundMm(placed, stock, rules), first.bound - missing),
    // Stock that runs out proves nothing: the next spool bought changes the plan.
    optimal: first.optimal && unplaced.length === 0,
    isStopped: !first.optimal,
  };
}
