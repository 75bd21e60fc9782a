import type { Solve } from '../cutting/cutModel.ts';
import { addTo } from '../lib/lists.ts';

/** One size that a cable may get. */
export interface Choice {
  /** Which size of which kind. */
  readonly key: string;
  /** What spools it is cut from, where there is a shelf: its key and its colour. */
  readonly spool?: string;
  /** In the measure that is to be least. */
  readonly cost: number;
  /** The whole cable, kg; needed where the weight of all is limited. */
  readonly kg?: number;
}

/** A cable whose size is to be chosen, with all that it may get. */
export interface Sizable {
  readonly id: string;
  readonly metres: number;
  readonly choices: readonly Choice[];
  /** It stays as it is: its one choice is what it has. */
  readonly isFixed?: boolean;
}

/** What one load may lose in one state, and what each size of each cable on the way would lose of it. */
export interface PathLimit {
  readonly id: string;
  readonly mostV: number;
  /** Lost by all on the way that has no choice: devices, joining metal, cables that stay as they are. */
  readonly fixedV: number;
  /** V by the place of the choice in its cable's list. */
  readonly cables: readonly { readonly id: string; readonly volts: readonly number[] }[];
}

/** Sizes to be chosen all at once, with the currents held fixed. */
export interface SizesProblem {
  readonly cables: readonly Sizable[];
  readonly paths: readonly PathLimit[];
  /** Cables that must get the same size. */
  readonly alike?: readonly (readonly string[])[];
  /** At most so many different sizes, those that stay among them; no such limit where not given. */
  readonly mostSizes?: number;
  /** All cables together weigh at most so much, kg; no such limit where not given. */
  readonly mostKg?: number;
  /** Metres on the shelf by spool: where it is given, as little as can be is bought besides. */
  readonly shelf?: ReadonlyMap<string, number>;
}

/** Which choice each cable gets, by its place in the cable's list, and how sure it is that nothing costs less. */
export interface SizesAnswer {
  readonly chosen: ReadonlyMap<string, number>;
  readonly cost: number;
  /** Nothing can cost less than this. */
  readonly bound: number;
  readonly isProved: boolean;
}

/** What stands in the way where no choice of sizes will do. */
export interface Infeasible {
  /** Cables without a single size that may be used. */
  readonly without: readonly string[];
  /** The least that would have to give way: paths, and the V that each would have to be allowed. */
  readonly over: readonly { readonly path: string; readonly neededV: number }[];
  /** All drops could be kept, but not with so few sizes, with cables alike, or as light. */
  readonly isByRule: boolean;
  /** All of it could be kept but the weight: this is the least that keeps the rest, kg. */
  readonly leastKg?: number;
}
export const isInfeasible = (answer: SizesAnswer | Infeasible): answer is Infeasible => 'over' in answer;

/** Paths are kept by this share of their limit: what the solver calls equal may be a hair over. */
const SOLVER_SLACK = 1e-7;
const number = (value: number) => Number(value.toPrecision(13)).toString();
/** A sum as the LP format has it; a variable that is always nought where there is none. */
const sum = (terms: readonly (readonly [number, string])[]): string =>
  terms.length === 0
    ? '0 nought'
    : terms
        .map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${number(Math.abs(factor))} ${name}`)
        .join(' ');
const x = (cable: number, choice: number) => `x${cable}_${choice}`;

type Terms = (readonly [number, string])[];

const weightTerms = (cables: SizesProblem['cables']): Terms =>
  cables.flatMap(({ choices }, i) => choices.map(({ kg = 0 }, s) => [kg, x(i, s)] as const));

/** What must hold whatever is asked for: one size each; alike, few sizes and a weight where asked. */
function rules({ cables, alike = [], mostSizes, mostKg, shelf }: SizesProblem): {
  readonly rows: readonly string[];
  readonly binaries: readonly string[];
  /** What is bought beyond the shelf: metres by key. */
  readonly bought: ReadonlyMap<string, string>;
} {
  const index = new Map(cables.map(({ id }, i) => [id, i]));
  const keys = [...new Set(cables.flatMap(({ choices }) => choices.map(({ key }) => key)))];
  const rows = cables.map(
    ({ choices }, i) => ` one${i}: ${sum(choices.map((_, s) => [1, x(i, s)] as const))} = 1`,
  );
  alike.forEach((ids, group) => {
    const [first, ...others] = ids.map((id) => index.get(id)).filter((i) => i !== undefined);
    const keyed = (i: number, key: string): Terms =>
      (cables[i]?.choices ?? []).flatMap((choice, s) => (choice.key === key ? [[1, x(i, s)] as const] : []));
    if (first === undefined) return;
    for (const other of others)
      keys.forEach((key, k) => {
        const [a, b] = [keyed(first, key), keyed(other, key)];
        if (a.length + b.length === 0) return;
        rows.push(
          ` like${group}_${other}_${k}: ${sum([...a, ...b.map(([, name]) => [-1, name] as const)])} = 0`,
        );
      });
  });
  const binaries = cables.flatMap(({ choices }, i) => choices.map((_, s) => x(i, s)));
  if (mostSizes !== undefined) {
    keys.forEach((key, k) => {
      cables.forEach(({ choices }, i) =>
        choices.forEach((choice, s) => {
          if (choice.key === key) rows.push(` use${k}_${i}_${s}: ${x(i, s)} - y${k} <= 0`);
        }),
      );
    });
    rows.push(` few: ${sum(keys.map((_, k) => [1, `y${k}`] as const))} <= ${mostSizes}`);
    binaries.push(...keys.map((_, k) => `y${k}`));
  }
  if (mostKg !== undefined) rows.push(` light: ${sum(weightTerms(cables))} <= ${number(mostKg)}`);
  const bought = new Map<string, string>();
  if (shelf) {
    const spoolOf = ({ spool, key }: Choice) => spool ?? key;
    const spools = [...new Set(cables.flatMap(({ choices }) => choices.map(spoolOf)))];
    spools.forEach((spool, k) => {
      bought.set(spool, `b${k}`);
      const taken = cables.flatMap(({ choices, metres, isFixed }, i) =>
        choices.flatMap((choice, s) =>
          spoolOf(choice) === spool && !isFixed ? [[metres, x(i, s)] as const] : [],
        ),
      );
      rows.push(` shelf${k}: ${sum([...taken, [-1, `b${k}`]])} <= ${number(shelf.get(spool) ?? 0)}`);
    });
  }
  return { rows, binaries, bought };
}

const lossOf = (problem: SizesProblem, path: PathLimit): Terms => {
  const index = new Map(problem.cables.map(({ id }, i) => [id, i]));
  return path.cables.flatMap(({ id, volts }) => {
    const i = index.get(id);
    return i === undefined ? [] : volts.map((own, s) => [own, x(i, s)] as const);
  });
};

interface Model {
  readonly objective: Terms;
  readonly rows: readonly string[];
  readonly binaries: readonly string[];
}
const lp = ({ objective, rows, binaries }: Model): string =>
  [
    'Minimize',
    ` obj: ${sum(objective)}`,
    'Subject To',
    ...rows,
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');

const dropRows = (problem: SizesProblem): string[] =>
  problem.paths.map((path, p) => {
    const room = path.mostV - path.fixedV - SOLVER_SLACK * Math.abs(path.mostV);
    return ` drop${p}: ${sum(lossOf(problem, path))} <= ${number(room)}`;
  });

const costOf = ({ cables }: SizesProblem): Terms =>
  cables.flatMap(({ choices }, i) => choices.map(({ cost }, s) => [cost, x(i, s)] as const));

function chosenIn(problem: SizesProblem, columns: Readonly<Record<string, number>>): Map<string, number> {
  return new Map(
    problem.cables.map(({ id, choices }, i) => {
      const found = choices.findIndex((_, s) => (columns[x(i, s)] ?? 0) > 0.5);
      return [id, Math.max(0, found)];
    }),
  );
}

/** What a choice of sizes costs. */
export const costIn = ({ cables }: SizesProblem, chosen: ReadonlyMap<string, number>): number =>
  cables.reduce((total, { id, choices }) => total + (choices[chosen.get(id) ?? 0]?.cost ?? 0), 0);

/** What a choice of sizes weighs, kg. */
export const kgIn = ({ cables }: SizesProblem, chosen: ReadonlyMap<string, number>): number =>
  cables.reduce((total, { id, choices }) => total + (choices[chosen.get(id) ?? 0]?.kg ?? 0), 0);

/** V that a path loses with some choice of sizes. */
export const lostOn = (path: PathLimit, chosen: ReadonlyMap<string, number>): number =>
  path.cables.reduce((total, { id, volts }) => total + (volts[chosen.get(id) ?? 0] ?? 0), path.fixedV);

/** A limit is kept to a millionth of it: the solver is no surer. */
const isOver = ({ mostV }: PathLimit, lostV: number): boolean => lostV > mostV * (1 + 1e-6);

/** Whether a choice of sizes keeps every drop, and what is required of all of them together. */
export function keepsAll(problem: SizesProblem, chosen: ReadonlyMap<string, number>): boolean {
  const { cables, paths, alike = [], mostSizes, mostKg } = problem;
  const keys = new Map(cables.map(({ id, choices }) => [id, choices[chosen.get(id) ?? -1]?.key]));
  return (
    [...keys.values()].every((key) => key !== undefined) &&
    !paths.some((path) => isOver(path, lostOn(path, chosen))) &&
    alike.every((ids) => new Set(ids.map((id) => keys.get(id))).size <= 1) &&
    (mostSizes === undefined || new Set(keys.values()).size <= mostSizes) &&
    (mostKg === undefined || kgIn(problem, chosen) <= mostKg * (1 + 1e-6))
  );
}

/** Under this of the whole cost nothing is left to gain. */
const SAME_SHARE = 1e-6;

/** What would have to give way: the drops as little over their limits as can be, all of them together by share. */
function leastOver(problem: SizesProblem, solve: Solve, seconds: number): Infeasible | null {
  const { rows, binaries } = rules(problem);
  const objective: Terms = problem.paths.map((_, p) => [1, `t${p}`] as const);
  const soft = problem.paths.map(
    (path, p) =>
      ` drop${p}: ${sum([...lossOf(problem, path), [-Math.max(1e-6, path.mostV), `t${p}`]])} <= ${number(path.mostV - path.fixedV)}`,
  );
  const { columns, isStopped } = solve(lp({ objective, rows: [...rows, ...soft], binaries }), {
    seconds,
    gap: 1e-4,
  });
  if (!columns) return isStopped ? null : { without: [], over: [], isByRule: true };
  const chosen = chosenIn(problem, columns);
  const over = problem.paths.flatMap((path) => {
    const neededV = lostOn(path, chosen);
    return isOver(path, neededV) ? [{ path: path.id, neededV }] : [];
  });
  return { without: [], over, isByRule: over.length === 0 };
}

/** The same where only the weight is to be least, and no limit is set to it. */
export const lightest = ({ mostKg: _, shelf: _shelf, ...problem }: SizesProblem): SizesProblem => ({
  ...problem,
  cables: problem.cables.map((cable) => ({
    ...cable,
    choices: cable.choices.map((choice) => ({ ...choice, cost: choice.kg ?? 0 })),
  })),
});

/** Whether it is the weight that stands in the way, and the least that keeps all else. */
function tooHeavy(problem: SizesProblem, solve: Solve, seconds: number): Infeasible | null {
  if (problem.mostKg === undefined) return null;
  const answer = leastSizes(lightest(problem), solve, seconds);
  if (!answer || isInfeasible(answer)) return null;
  return { without: [], over: [], isByRule: true, leastKg: answer.cost };
}

/**
 * The sizes that cost least of all that keep every limit, chosen at once: Σ over each load's way of I·R(size) ≤ what it
 * may lose, one size for each cable. With the currents held fixed that is a mixed-integer program, and the answer is
 * proved: nothing that keeps the limits costs less than its bound.
 *
 * @param solve HiGHS in a worker, or in Node
 * @param seconds for each question asked of it
 * @returns where nothing will do, what stands in the way and the least that would have to give way; null where the solver
 *   found nothing in time
 */
export function leastSizes(
  problem: SizesProblem,
  solve: Solve,
  seconds = 20,
): SizesAnswer | Infeasible | null {
  const without = problem.cables.filter(({ choices }) => choices.length === 0).map(({ id }) => id);
  if (without.length > 0) return { without, over: [], isByRule: false };
  if (problem.cables.length === 0) {
    const over = problem.paths.flatMap((path) =>
      isOver(path, path.fixedV) ? [{ path: path.id, neededV: path.fixedV }] : [],
    );
    return over.length > 0
      ? { without: [], over, isByRule: false }
      : { chosen: new Map(), cost: 0, bound: 0, isProved: true };
  }
  const { rows, binaries, bought } = rules(problem);
  const held = [...rows, ...dropRows(problem)];
  const objective = costOf(problem);
  const scale = Math.max(...objective.map(([cost]) => cost), 1e-9);
  const gap = SAME_SHARE * scale;
  const buying: string[] = [];
  if (problem.shelf) {
    const first = solve(
      lp({ objective: [...bought.values()].map((name) => [1, name] as const), rows: held, binaries }),
      { seconds, gap: 1e-4 },
    );
    if (first.columns)
      buying.push(
        ` bought: ${sum([...bought.values()].map((name) => [1, name] as const))} <= ${number(first.objective + 1e-3)}`,
      );
  }
  const answer = solve(lp({ objective, rows: [...held, ...buying], binaries }), { seconds, gap });
  if (!answer.columns)
    return answer.isStopped
      ? null
      : (tooHeavy(problem, solve, seconds) ?? leastOver(problem, solve, seconds));
  const chosen = chosenIn(problem, answer.columns);
  const cost = costIn(problem, chosen);
  return { chosen, cost, bound: Math.min(cost, answer.bound), isProved: answer.optimal };
}

/**
 * Each cable sized by itself, as it is usually done: it may lose the share of each load's limit that it has of the
 * length on the way there. The least costly size that keeps to its share; the one that loses least where none does.
 */
export function eachAlone({ cables, paths, alike = [] }: SizesProblem): ReadonlyMap<string, number> {
  const metres = new Map(cables.map((own) => [own.id, own.isFixed ? 0 : own.metres]));
  const fixed = new Set(cables.flatMap(({ id, isFixed }) => (isFixed ? [id] : [])));
  const shares = new Map<string, { readonly mostV: number; readonly volts: readonly number[] }[]>();
  for (const path of paths) {
    const whole = path.cables.reduce((total, { id }) => total + (metres.get(id) ?? 0), 0);
    const staysV = path.cables.reduce(
      (sumV, { id, volts }) => sumV + (fixed.has(id) ? (volts[0] ?? 0) : 0),
      0,
    );
    const room = path.mostV - path.fixedV - staysV;
    for (const { id, volts } of path.cables) {
      const mostV = whole > 0 ? (room * (metres.get(id) ?? 0)) / whole : 0;
      addTo(shares, id, { mostV, volts });
    }
  }
  const keeps = ({ id }: Sizable, s: number) =>
    (shares.get(id) ?? []).every(({ mostV, volts }) => (volts[s] ?? 0) <= mostV * (1 + 1e-9) + 1e-12);
  const losses = ({ id }: Sizable, s: number) =>
    (shares.get(id) ?? []).reduce((total, { volts }) => total + (volts[s] ?? 0), 0);
  const best = (cable: Sizable): number => {
    const all = cable.choices.map((_, s) => s);
    const kept = all.filter((s) => keeps(cable, s));
    const cost = (s: number) => cable.choices[s]?.cost ?? 0;
    return kept.length > 0
      ? kept.reduce((a, b) => (cost(b) < cost(a) ? b : a))
      : all.reduce((a, b) => (losses(cable, b) < losses(cable, a) ? b : a), all[0] ?? 0);
  };
  const alone = new Map(cables.map((cable) => [cable.id, best(cable)]));
  const byId = new Map(cables.map((cable) => [cable.id, cable]));
  for (const ids of alike) {
    // The same for all of them: a size that each keeps its share with, else the one that loses least.
    const members = ids.flatMap((id) => byId.get(id) ?? []);
    const [first] = members;
    if (!first) continue;
    const placeOf = (cable: Sizable, key: string) => cable.choices.findIndex((own) => own.key === key);
    const common = first.choices.filter(({ key }) => members.every((own) => placeOf(own, key) >= 0));
    const all = common.filter(({ key }) => members.every((own) => keeps(own, placeOf(own, key))));
    const total = (key: string, of: (cable: Sizable, s: number) => number) =>
      members.reduce((whole, own) => whole + of(own, placeOf(own, key)), 0);
    const least = (list: readonly Choice[], of: (cable: Sizable, s: number) => number) =>
      list.reduce<Choice | undefined>(
        (a, b) => (a && total(a.key, of) <= total(b.key, of) ? a : b),
        undefined,
      );
    const taken = least(all, (own, s) => own.choices[s]?.cost ?? 0) ?? least(common, losses);
    if (taken) for (const own of members) alone.set(own.id, placeOf(own, taken.key));
  }
  return alone;
}
