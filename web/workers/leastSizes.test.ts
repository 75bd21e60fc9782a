import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import loadHighs from 'highs';
import type { Solve } from '../../core/cutting/cutModel.ts';
import { cases } from '../../core/lib/casesFixture.ts';
import { resistancePerMetre20 } from '../../core/conductor/resistance.ts';
import { areaMm2, type ConductorSize } from '../../core/model/tables/size.ts';
import {
  eachAlone,
  isInfeasible,
  kgIn,
  leastSizes,
  lostOn,
  type SizesProblem,
} from '../../core/together/leastSizes.ts';
import { solveWith } from './highsSolve.ts';

let solve: Solve;
beforeAll(async () => {
  solve = solveWith(await loadHighs());
});
const solved = (problem: SizesProblem) => {
  const answer = leastSizes(problem, solve);
  if (!answer || isInfeasible(answer)) throw new Error(`no answer: ${JSON.stringify(answer)}`);
  return answer;
};
const costOf = ({ cables }: SizesProblem, chosen: ReadonlyMap<string, number>) =>
  cables.reduce((sum, { id, choices }) => sum + (choices[chosen.get(id) ?? 0]?.cost ?? 0), 0);
const keeps = ({ paths }: SizesProblem, chosen: ReadonlyMap<string, number>) =>
  paths.every((path) => lostOn(path, chosen) <= path.mostV * (1 + 1e-6));

interface Example {
  readonly id: string;
  readonly cables: Readonly<Record<string, { m: number; atLeastMm2: number }>>;
  readonly loads: Readonly<Record<string, { A: number; V: number; dropPercent: number; through: string[] }>>;
  readonly expect: {
    readonly together: Readonly<Record<string, number>>;
    readonly copperMm2M: number;
    readonly eachByItsShareOfLength: Readonly<Record<string, number>>;
    readonly thatCopperMm2M: number;
  };
}
const file = JSON.parse(readFileSync('core/fixtures/together-examples.json', 'utf8')) as {
  sizes: number[];
  examples: Example[];
};
const metric = (mm2: number): ConductorSize => ({ system: 'metric', name: String(mm2) }) as ConductorSize;

/** An example as a problem: constant currents, plain copper at 20 °C, no joints. */
function problemOf({
  cables,
  loads,
}: Example): SizesProblem & { sizes: ReadonlyMap<string, readonly number[]> } {
  const sizes = new Map(
    Object.entries(cables).map(([id, { atLeastMm2 }]) => [id, file.sizes.filter((mm2) => mm2 >= atLeastMm2)]),
  );
  const of = (id: string) => sizes.get(id) ?? [];
  /** All loads run at once: a cable carries the amps of every load behind it. */
  const ampsIn = (id: string) =>
    Object.values(loads).reduce((sum, { A, through }) => sum + (through.includes(id) ? A : 0), 0);
  return {
    sizes,
    cables: Object.entries(cables).map(([id, { m }]) => ({
      id,
      metres: m,
      choices: of(id).map((mm2) => ({ key: String(mm2), cost: areaMm2(metric(mm2)) * m })),
    })),
    paths: Object.entries(loads).map(([id, { V, dropPercent, through }]) => ({
      id,
      mostV: (V * dropPercent) / 100,
      fixedV: 0,
      cables: through.map((cable) => ({
        id: cable,
        volts: of(cable).map(
          (mm2) =>
            ampsIn(cable) * resistancePerMetre20(metric(mm2), { tinned: false }) * (cables[cable]?.m ?? 0),
        ),
      })),
    })),
  };
}

describe('the worked examples', () => {
  test.each(file.examples.map((own) => [own.id, own] as const))('%s', (_id, example) => {
    const problem = problemOf(example);
    const named = (chosen: ReadonlyMap<string, number>) =>
      Object.fromEntries([...chosen].map(([id, s]) => [id, problem.sizes.get(id)?.[s]]));
    const answer = solved(problem);
    expect(answer.isProved).toBe(true);
    expect(answer.cost).toBeCloseTo(example.expect.copperMm2M, 3);
    expect(named(answer.chosen)).toEqual(example.expect.together);
    const alone = eachAlone(problem);
    expect(named(alone)).toEqual(example.expect.eachByItsShareOfLength);
    expect(costOf(problem, alone)).toBeCloseTo(example.expect.thatCopperMm2M, 3);
  });
});

/** Small installations: cables of a few sizes each, and ways along some of them. */
const problems = fc
  .array(
    fc.record({
      metres: fc.integer({ min: 3, max: 80 }).map((n) => n / 10),
      least: fc.integer({ min: 0, max: 3 }),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .chain((cables) =>
    fc.record({
      cables: fc.constant(cables),
      paths: fc.array(
        fc.record({
          through: fc.subarray(
            cables.map((_, i) => i),
            { minLength: 1 },
          ),
          amps: fc.integer({ min: 10, max: 250 }),
          mostV: fc.integer({ min: 20, max: 1500 }).map((n) => n / 1000),
          fixedV: fc.integer({ min: 0, max: 40 }).map((n) => n / 1000),
        }),
        { minLength: 1, maxLength: 4 },
      ),
    }),
  )
  .map(({ cables, paths }): SizesProblem => {
    const sizesOf = (i: number) =>
      file.sizes.slice(cables[i]?.least, (cables[i]?.least ?? 0) + (cables[i]?.count ?? 1));
    return {
      cables: cables.map(({ metres }, i) => ({
        id: `c${i}`,
        metres,
        choices: sizesOf(i).map((mm2) => ({ key: String(mm2), cost: mm2 * metres })),
      })),
      paths: paths.map(({ through, amps, mostV, fixedV }, p) => ({
        id: `p${p}`,
        mostV,
        fixedV,
        cables: through.map((i) => ({
          id: `c${i}`,
          volts: sizesOf(i).map(
            (mm2) => amps * resistancePerMetre20(metric(mm2), { tinned: true }) * (cables[i]?.metres ?? 0),
          ),
        })),
      })),
    };
  });

/** The least cost of all combinations that keep every limit; null where none does. */
function byTrying(problem: SizesProblem, may: (chosen: ReadonlyMap<string, number>) => boolean = () => true) {
  let best: number | null = null;
  const chosen = new Map<string, number>();
  const next = (i: number): void => {
    const cable = problem.cables[i];
    if (!cable) {
      if (keeps(problem, chosen) && may(chosen)) best = Math.min(best ?? Infinity, costOf(problem, chosen));
      return;
    }
    cable.choices.forEach((_, s) => {
      chosen.set(cable.id, s);
      next(i + 1);
    });
  };
  next(0);
  return best;
}
const keysIn = ({ cables }: SizesProblem, chosen: ReadonlyMap<string, number>) =>
  new Set(cables.map(({ id, choices }) => choices[chosen.get(id) ?? 0]?.key));

describe('every small installation', () => {
  test('is answered as by trying all combinations, and what cannot be names what would have to give way', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const best = byTrying(problem);
        const answer = leastSizes(problem, solve);
        if (!answer) throw new Error('stopped');
        if (isInfeasible(answer)) {
          expect(best).toBeNull();
          expect(answer.over.length).toBeGreaterThan(0);
          // Giving way by just that makes it possible.
          const eased = problem.paths.map((path) => {
            const neededV = answer.over.find((own) => own.path === path.id)?.neededV;
            return neededV === undefined ? path : { ...path, mostV: neededV };
          });
          expect(byTrying({ ...problem, paths: eased })).not.toBeNull();
          return;
        }
        expect(keeps(problem, answer.chosen)).toBe(true);
        expect(answer.cost).toBeCloseTo(best ?? Number.NaN, 3);
        expect(answer.bound).toBeLessThanOrEqual(answer.cost);
      }),
      { numRuns: cases(80) },
    );
  });

  test('never costs more than each by itself where that keeps the limits, nor more where a limit is eased', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 100, max: 200 }), (problem, percent) => {
        const answer = leastSizes(problem, solve);
        const alone = eachAlone(problem);
        if (!answer || isInfeasible(answer)) return expect(keeps(problem, alone)).toBe(false);
        if (keeps(problem, alone)) expect(answer.cost).toBeLessThanOrEqual(costOf(problem, alone) + 1e-3);
        const paths = problem.paths.map((path) => ({ ...path, mostV: (path.mostV * percent) / 100 }));
        expect(solved({ ...problem, paths }).cost).toBeLessThanOrEqual(answer.cost + 1e-3);
      }),
      { numRuns: cases(60) },
    );
  });

  test('under a weight: as by trying all combinations, and what is too heavy names the least that would do', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 50, max: 130 }), (bare, percent) => {
        // Weight goes another way than cost: the cheap sizes are the heavy ones.
        const cables = bare.cables.map((cable) => ({
          ...cable,
          choices: cable.choices.map((choice, s) => ({
            ...choice,
            kg: choice.cost,
            cost: cable.metres * (1 + ((s * 7) % 5)),
          })),
        }));
        const problem = { ...bare, cables };
        const free = leastSizes(problem, solve);
        if (!free || isInfeasible(free)) return;
        const kgOf = (chosen: ReadonlyMap<string, number>) => kgIn(problem, chosen);
        const mostKg = (kgOf(free.chosen) * percent) / 100;
        const best = byTrying(problem, (chosen) => kgOf(chosen) <= mostKg * (1 + 1e-6));
        const answer = leastSizes({ ...problem, mostKg }, solve);
        if (!answer) throw new Error('stopped');
        if (!isInfeasible(answer)) {
          expect(kgOf(answer.chosen)).toBeLessThanOrEqual(mostKg * (1 + 1e-6));
          expect(answer.cost).toBeCloseTo(best ?? Number.NaN, 3);
          expect(answer.cost).toBeGreaterThanOrEqual(free.cost - 1e-3);
          return;
        }
        expect(best).toBeNull();
        expect(answer.leastKg).toBeGreaterThan(mostKg);
        const met = leastSizes({ ...problem, mostKg: (answer.leastKg ?? 0) * (1 + 1e-6) }, solve);
        expect(met && !isInfeasible(met)).toBe(true);
      }),
      { numRuns: cases(60) },
    );
  });

  test('with few sizes, with cables alike, and from the shelf first', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 1, max: 3 }), (problem, mostSizes) => {
        const few = (chosen: ReadonlyMap<string, number>) => keysIn(problem, chosen).size <= mostSizes;
        const answer = leastSizes({ ...problem, mostSizes }, solve);
        const best = byTrying(problem, few);
        if (!answer) throw new Error('stopped');
        if (isInfeasible(answer)) expect(best).toBeNull();
        else expect(answer.cost).toBeCloseTo(best ?? Number.NaN, 3);

        const alike = [problem.cables.slice(0, 2).map(({ id }) => id)];
        const pair = leastSizes({ ...problem, alike }, solve);
        const [a, b] = problem.cables;
        const same = (chosen: ReadonlyMap<string, number>) =>
          !a || !b || a.choices[chosen.get(a.id) ?? 0]?.key === b.choices[chosen.get(b.id) ?? 0]?.key;
        const bestPair = byTrying(problem, same);
        if (pair && !isInfeasible(pair)) expect(pair.cost).toBeCloseTo(bestPair ?? Number.NaN, 3);
        else expect(bestPair).toBeNull();

        // All that there is of the thickest on the shelf: nothing is bought where it keeps the limits.
        const thickest = new Map(problem.cables.map(({ id, choices }) => [id, choices.length - 1]));
        if (!keeps(problem, thickest)) return;
        const shelf = new Map<string, number>();
        for (const { id, choices, metres } of problem.cables) {
          const key = choices[thickest.get(id) ?? 0]?.key ?? '';
          shelf.set(key, (shelf.get(key) ?? 0) + metres);
        }
        const { chosen } = solved({ ...problem, shelf });
        const taken = new Map<string, number>();
        for (const { id, choices, metres } of problem.cables) {
          const key = choices[chosen.get(id) ?? 0]?.key ?? '';
          taken.set(key, (taken.get(key) ?? 0) + metres);
        }
        for (const [key, metres] of taken) expect(metres).toBeLessThanOrEqual((shelf.get(key) ?? 0) + 0.002);
      }),
      { numRuns: cases(40) },
    );
  });
});

test('a cable that may get no size at all is named, and nothing else is said', () => {
  const answer = leastSizes(
    { cables: [{ id: 'a', metres: 1, choices: [] }], paths: [{ id: 'p', mostV: 1, fixedV: 0, cables: [] }] },
    solve,
  );
  expect(answer).toEqual({ without: ['a'], over: [], isByRule: false });
});

test('a solver that ran out of time says nothing of what is possible', () => {
  const stopped: Solve = (lp, until) => ({
    ...solve(lp, until),
    columns: null,
    optimal: false,
    isStopped: true,
  });
  const problem: SizesProblem = {
    cables: [{ id: 'a', metres: 1, choices: [{ key: '16', cost: 16 }] }],
    paths: [{ id: 'p', mostV: 1, fixedV: 2, cables: [] }],
  };
  expect(leastSizes(problem, stopped)).toBeNull();
  expect(leastSizes(problem, solve)).toMatchObject({ over: [{ path: 'p', neededV: 2 }] });
});

test('two cables with no size in common cannot be alike: the rule is in the way, not a drop', () => {
  const problem: SizesProblem = {
    cables: [
      { id: 'a', metres: 1, choices: [{ key: '16', cost: 16 }] },
      { id: 'b', metres: 1, choices: [{ key: '25', cost: 25 }] },
    ],
    paths: [],
    alike: [['a', 'b']],
  };
  expect(leastSizes(problem, solve)).toEqual({ without: [], over: [], isByRule: true });
  expect(solved({ ...problem, alike: [] }).cost).toBe(41);
});
