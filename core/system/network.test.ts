import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { cases } from '../lib/casesFixture.ts';
import { isCollapse, shortsOf, solveNetwork } from './network.ts';
import type { NetDraw, Network, Pair, Solution } from './pieces.ts';
import { across, anyNetwork, bare, copperOhm, settled } from './networkFixture.ts';

interface Example {
  readonly id: string;
  readonly expect: Readonly<Record<string, unknown>>;
}
const { examples } = JSON.parse(readFileSync('core/fixtures/network-examples.json', 'utf8')) as {
  readonly examples: readonly Example[];
};
const expected = (id: string) => {
  const found = examples.find((own) => own.id === id);
  if (!found) throw new Error(`no example ${id}`);
  return found.expect as Readonly<Record<string, number>>;
};
/** Within a share of what was worked out elsewhere. */
const near = (value: number | undefined, other: number | undefined, share = 0.002) =>
  expect(Math.abs((value ?? 0) - (other ?? 0))).toBeLessThanOrEqual(Math.abs(other ?? 0) * share);

/** Four batteries in a row, linked plus to plus and minus to minus. */
const row = (minus: number): Network => ({
  ...bare,
  posts: 8,
  batteries: [0, 1, 2, 3].map((i) => ({ plus: 2 * i, minus: 2 * i + 1, volts: 12.7, ohm: 0.0045 })),
  conductors: [0, 1, 2].flatMap((i) => [
    { plus: 2 * i, minus: 2 * i + 2, ohm: copperOhm(0.3, '35') },
    { plus: 2 * i + 1, minus: 2 * i + 3, ohm: copperOhm(0.3, '35') },
  ]),
  draws: [{ plus: 0, minus, amps: 200 }],
});

const BOAT = {
  minus: 0,
  plus: 1,
  bus: 2,
  inverter: 3,
  inverterBack: 4,
  bar: 5,
  thruster: 6,
  thrusterBack: 7,
} as const;
const boat = (watts: number, amps: number): Network => ({
  ...bare,
  posts: 8,
  batteries: [{ plus: BOAT.plus, minus: BOAT.minus, volts: 25.6, ohm: 0.0036 }],
  conductors: [
    { plus: BOAT.plus, minus: BOAT.bus, ohm: copperOhm(0.4, '95') },
    { plus: BOAT.bus, minus: BOAT.inverter, ohm: copperOhm(1.5, '50') },
    { plus: BOAT.inverterBack, minus: BOAT.bar, ohm: copperOhm(1.7, '50') },
    { plus: BOAT.bus, minus: BOAT.thruster, ohm: copperOhm(6.4, '70') },
    { plus: BOAT.thrusterBack, minus: BOAT.bar, ohm: copperOhm(6.8, '70') },
    { plus: BOAT.bar, minus: BOAT.minus, ohm: copperOhm(0.5, '95') },
  ],
  draws: [
    { plus: BOAT.inverter, minus: BOAT.inverterBack, watts: watts / 0.9 },
    { plus: BOAT.thruster, minus: BOAT.thrusterBack, amps },
  ],
});

const solar = (loadA: number, volts: number, limitA: number): Network => ({
  ...bare,
  posts: 6,
  batteries: [{ plus: 1, minus: 0, volts: 25.2, ohm: 0.004 }],
  supplies: [{ plus: 4, minus: 5, volts, amps: limitA, ohm: 0.002 }],
  conductors: [
    { plus: 1, minus: 2, ohm: copperOhm(0.6, '50') },
    { plus: 3, minus: 0, ohm: copperOhm(0.7, '50') },
    { plus: 4, minus: 2, ohm: copperOhm(2.4, '16') },
    { plus: 3, minus: 5, ohm: copperOhm(2.5, '16') },
  ],
  draws: [{ plus: 2, minus: 3, amps: loadA }],
});

describe('installations that were worked out elsewhere', () => {
  test.each([
    ['bank-one-end', 1],
    ['bank-across', 7],
  ] as const)('%s', (id, minus) => {
    const given = expected(id) as unknown as { A: number[]; V: number; spread: number };
    const solved = settled(row(minus));
    given.A.forEach((amps, i) => near(solved.batteryA[i], amps));
    near(across(solved, 0, minus), given.V);
    near(Math.max(...solved.batteryA) / Math.min(...solved.batteryA), given.spread, 0.005);
  });

  test.each([
    ['boat-inverter', 2000, 0],
    ['boat-thruster', 0, 240],
    ['boat-both', 2000, 240],
  ] as const)('%s', (id, watts, amps) => {
    const given = expected(id);
    const solved = settled(boat(watts, amps));
    near(solved.batteryA[0], given.bankA);
    near(across(solved, BOAT.bus, BOAT.bar), given.busV);
    if (given.inverterA !== undefined) near(solved.drawA[0], given.inverterA);
    if (given.inverterV !== undefined)
      near(across(solved, BOAT.inverter, BOAT.inverterBack), given.inverterV);
    if (given.thrusterV !== undefined)
      near(across(solved, BOAT.thruster, BOAT.thrusterBack), given.thrusterV);
  });

  test.each([
    ['boat-short-thruster', BOAT.thruster, BOAT.thrusterBack],
    ['boat-short-bus', BOAT.bus, BOAT.bar],
  ] as const)('%s', (id, plus, minus) => {
    near(shortsOf(boat(0, 0)).between({ plus, minus }).amps, expected(id).A, 0.005);
  });

  test('2200 W over ten metres of 10 mm² from 12.4 V has no operating point', () => {
    const network: Network = {
      ...bare,
      posts: 4,
      batteries: [{ plus: 1, minus: 0, volts: 12.4, ohm: 0.006 }],
      conductors: [
        { plus: 1, minus: 2, ohm: copperOhm(5, '10') },
        { plus: 3, minus: 0, ohm: copperOhm(5, '10') },
      ],
      draws: [{ plus: 2, minus: 3, watts: 2200 }],
    };
    expect(solveNetwork(network)).toEqual({ together: [0] });
    // By hand: at most U² ÷ 4R arrives.
    const ohm = 2 * copperOhm(5, '10') + 0.006;
    const most = 12.4 ** 2 / (4 * ohm);
    const drawing = (watts: number) => solveNetwork({ ...network, draws: [{ plus: 2, minus: 3, watts }] });
    expect(isCollapse(drawing(most * 0.999))).toBe(false);
    expect(isCollapse(drawing(most * 1.001))).toBe(true);
  });

  test.each([
    ['solar-shares', 100, 28.4, 40],
    ['solar-charges', 10, 28.4, 40],
    ['solar-holds', 10, 25.6, 400],
  ] as const)('%s', (id, loadA, volts, limitA) => {
    const given = expected(id);
    const solved = settled(solar(loadA, volts, limitA));
    near(solved.supplies[0]?.amps, given.controllerA);
    expect(solved.supplies[0]?.mode).toBe(id === 'solar-holds' ? 'holds' : 'limit');
    near(solved.batteryA[0], given.bankA);
    if (given.busV !== undefined) near(across(solved, 2, 3), given.busV);
  });

  test('parallel-unlike: 70 beside 50 mm², by their ohms', () => {
    const given = expected('parallel-unlike');
    const solved = settled({
      ...bare,
      posts: 3,
      batteries: [{ plus: 1, minus: 0, volts: 12, ohm: 0.001 }],
      conductors: [
        { plus: 1, minus: 2, ohm: copperOhm(2, '70') },
        { plus: 1, minus: 2, ohm: copperOhm(1.5, '50') },
      ],
      draws: [{ plus: 2, minus: 0, amps: 300 }],
    });
    near(solved.conductorA[0], given.A70);
    near(solved.conductorA[1], given.A50);
  });

  test('crank-sag: what a panel gets while the engine is cranked', () => {
    const given = expected('crank-sag');
    const solved = settled({
      ...bare,
      posts: 7,
      batteries: [{ plus: 1, minus: 0, volts: 12.6, ohm: 0.0052 }],
      conductors: [
        { plus: 1, minus: 2, ohm: copperOhm(0.8, '70') },
        { plus: 2, minus: 3, ohm: copperOhm(1.9, '70') },
        { plus: 3, minus: 4, ohm: 0.012 },
        { plus: 4, minus: 0, ohm: copperOhm(1.1, '70') },
        { plus: 2, minus: 5, ohm: copperOhm(3.5, '16') },
        { plus: 6, minus: 0, ohm: copperOhm(3.6, '16') },
      ],
      draws: [{ plus: 5, minus: 6, amps: 18 }],
    });
    near(solved.conductorA[2], given.starterA);
    near(across(solved, 5, 6), given.panelV);
    near(across(solved, 1, 0), given.bankV);
  });

  test('hull-shares: what comes back by the cable, and what by the hull', () => {
    const given = expected('hull-shares');
    const solved = settled({
      ...bare,
      posts: 3,
      batteries: [{ plus: 1, minus: 0, volts: 12, ohm: 0.001 }],
      conductors: [
        { plus: 2, minus: 0, ohm: copperOhm(4.4, '35') },
        { plus: 2, minus: 0, ohm: 0.0011 },
      ],
      draws: [{ plus: 1, minus: 2, amps: 110 }],
    });
    near(solved.conductorA[0], given.cableA);
    near(solved.conductorA[1], given.chassisA);
  });
});

/** A that leave each post, everything counted. */
function sums(network: Network, solved: Solution): number[] {
  const out = new Array<number>(network.posts).fill(0);
  const flow = ({ plus, minus }: Pair, amps: number) => {
    out[plus] = (out[plus] ?? 0) + amps;
    out[minus] = (out[minus] ?? 0) - amps;
  };
  network.conductors.forEach((piece, i) => flow(piece, solved.conductorA[i] ?? 0));
  network.batteries.forEach((piece, i) => flow(piece, -(solved.batteryA[i] ?? 0)));
  network.supplies.forEach((piece, i) => flow(piece, -(solved.supplies[i]?.amps ?? 0)));
  network.converters.forEach(({ input, output }, i) => {
    flow(input, solved.converters[i]?.inputA ?? 0);
    flow(output, -(solved.converters[i]?.amps ?? 0));
  });
  network.draws.forEach((piece, i) => flow(piece, solved.drawA[i] ?? 0));
  return out;
}
/** W given by sources, and W that end somewhere: in loads, in ohms, in converters. */
function watts(network: Network, solved: Solution): { given: number; ended: number } {
  const v = ({ plus, minus }: Pair) => across(solved, plus, minus);
  const sum = <T>(list: readonly T[], of: (item: T, i: number) => number) =>
    list.reduce((total, item, i) => total + of(item, i), 0);
  const given =
    sum(network.batteries, (own, i) => v(own) * (solved.batteryA[i] ?? 0)) +
    sum(network.supplies, (own, i) => v(own) * (solved.supplies[i]?.amps ?? 0));
  const ended =
    sum(network.conductors, (own, i) => v(own) * (solved.conductorA[i] ?? 0)) +
    sum(network.draws, (own, i) => v(own) * (solved.drawA[i] ?? 0)) +
    sum(network.converters, ({ input, output }, i) => {
      const { inputA = 0, amps = 0 } = solved.converters[i] ?? {};
      return v(input) * inputA - v(output) * amps;
    });
  return { given, ended };
}
const close = (a: number, b: number, scale: number) => Math.abs(a - b) <= 1e-5 * (1 + Math.abs(scale));
const whole = anyNetwork({ supplies: true, converters: true });
const passive = anyNetwork({ supplies: false, converters: false });

describe('what must hold of every network', () => {
  test('currents sum to zero at every post, and watts given are watts used and lost', () => {
    let settledOnes = 0;
    fc.assert(
      fc.property(whole, (network) => {
        const solved = solveNetwork(network);
        if (isCollapse(solved)) return;
        settledOnes += 1;
        const scale = Math.max(1, ...solved.conductorA.map(Math.abs), ...solved.batteryA.map(Math.abs));
        for (const out of sums(network, solved)) expect(close(out, 0, scale)).toBe(true);
        const { given, ended } = watts(network, solved);
        expect(close(given, ended, scale * 20)).toBe(true);
        // A load of watts takes just those, and no charger takes anything back.
        network.draws.forEach((draw, i) => {
          if ('watts' in draw && solved.isFed[i])
            expect(
              close((solved.drawA[i] ?? 0) * across(solved, draw.plus, draw.minus), draw.watts, draw.watts),
            ).toBe(true);
        });
        network.supplies.forEach((supply, i) => {
          const { amps = 0, mode } = solved.supplies[i] ?? {};
          expect(amps).toBeGreaterThanOrEqual(-1e-4);
          expect(amps).toBeLessThanOrEqual(supply.amps + 1e-4);
          if (mode === 'holds')
            expect(
              close(across(solved, supply.plus, supply.minus), supply.volts - supply.ohm * amps, 20),
            ).toBe(true);
          if (mode === 'limit')
            expect(across(solved, supply.plus, supply.minus)).toBeLessThanOrEqual(supply.volts + 1e-4);
          if (mode === 'stands by')
            expect(across(solved, supply.plus, supply.minus)).toBeGreaterThanOrEqual(supply.volts - 1e-4);
        });
      }),
      { numRuns: cases(300) },
    );
    expect(settledOnes).toBeGreaterThan(cases(300) / 3);
  });

  test('turning every polarity, and numbering every post anew, changes no figure', () => {
    fc.assert(
      fc.property(whole, fc.infiniteStream(fc.nat()), (network, stream) => {
        const solved = solveNetwork(network);
        const keys = Array.from({ length: network.posts }, () => stream.next().value as number);
        const order = keys
          .map((key, post) => [key, post] as const)
          .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
        const to = new Map(order.map(([, post], i) => [post, i]));
        const moved = <P extends Pair>(piece: P): P => ({
          ...piece,
          plus: to.get(piece.plus) ?? 0,
          minus: to.get(piece.minus) ?? 0,
        });
        const other = solveNetwork({
          ...network,
          conductors: network.conductors.map(moved),
          batteries: network.batteries.map(moved),
          supplies: network.supplies.map(moved),
          converters: network.converters.map((own) => ({
            ...own,
            input: moved(own.input),
            output: moved(own.output),
          })),
          draws: network.draws.map(moved) as NetDraw[],
        });
        const turned = <P extends Pair>(piece: P): P => ({ ...piece, plus: piece.minus, minus: piece.plus });
        const back = solveNetwork({
          ...network,
          batteries: network.batteries.map(turned),
          supplies: network.supplies.map(turned),
          converters: network.converters.map((own) => ({
            ...own,
            input: turned(own.input),
            output: turned(own.output),
          })),
          draws: network.draws.map(turned) as NetDraw[],
        });
        expect(isCollapse(other)).toBe(isCollapse(solved));
        expect(isCollapse(back)).toBe(isCollapse(solved));
        if (isCollapse(solved) || isCollapse(other) || isCollapse(back)) return;
        solved.batteryA.forEach((amps, i) => {
          expect(close(other.batteryA[i] ?? 0, amps, amps)).toBe(true);
          expect(close(back.batteryA[i] ?? 0, amps, amps)).toBe(true);
        });
        solved.conductorA.forEach((amps, i) => {
          expect(close(other.conductorA[i] ?? 0, amps, amps)).toBe(true);
          expect(close(-(back.conductorA[i] ?? 0), amps, amps)).toBe(true);
        });
      }),
      { numRuns: cases(100) },
    );
  });

  test('of batteries and what is passive: a further load raises no other load’s volts', () => {
    fc.assert(
      fc.property(passive, fc.nat(), fc.double({ min: 0.1, max: 40, noNaN: true }), (network, at, amps) => {
        const before = solveNetwork(network);
        const pair = Math.floor(network.posts / 2);
        const post = 2 * (at % pair);
        const after = solveNetwork({
          ...network,
          draws: [...network.draws, { plus: post, minus: post + 1, amps }],
        });
        if (isCollapse(before) || isCollapse(after)) return;
        for (const { plus, minus } of network.draws)
          expect(across(after, plus, minus)).toBeLessThanOrEqual(across(before, plus, minus) + 1e-6);
      }),
      { numRuns: cases(150) },
    );
  });

  test('a branch that is opened carries nothing, and is not fed', () => {
    fc.assert(
      fc.property(whole, fc.double({ min: 1, max: 40, noNaN: true }), (network, amps) => {
        const [plus, minus] = [network.posts, network.posts + 1];
        const branch = (isClosed: boolean): Network => ({
          ...network,
          posts: network.posts + 2,
          conductors: [
            ...network.conductors,
            { plus: 1, minus, ohm: 0.001 },
            ...(isClosed ? [{ plus: 0, minus: plus, ohm: 0.001 }] : []),
          ],
          draws: [...network.draws, { plus, minus, amps }],
        });
        const [open, closed, without] = [
          solveNetwork(branch(false)),
          solveNetwork(branch(true)),
          solveNetwork(network),
        ];
        if (isCollapse(open) || isCollapse(without)) return;
        expect(open.isFed.at(-1)).toBe(false);
        expect(open.drawA.at(-1)).toBe(0);
        open.batteryA.forEach((own, i) => expect(close(own, without.batteryA[i] ?? 0, own)).toBe(true));
        if (!isCollapse(closed)) expect(closed.drawA.at(-1)).toBeCloseTo(amps);
      }),
      { numRuns: cases(100) },
    );
  });

  test('what cannot run together is the fewest that cannot', () => {
    fc.assert(
      fc.property(whole, (network) => {
        const loaded = {
          ...network,
          draws: network.draws.map((draw) => ('watts' in draw ? { ...draw, watts: draw.watts * 8 } : draw)),
        };
        const solved = solveNetwork(loaded);
        if (!isCollapse(solved)) return;
        const only = (draws: readonly number[]) =>
          solveNetwork({ ...loaded, draws: loaded.draws.filter((_, i) => draws.includes(i)) });
        expect(isCollapse(only(solved.together))).toBe(true);
        for (const gone of solved.together)
          expect(isCollapse(only(solved.together.filter((draw) => draw !== gone)))).toBe(false);
      }),
      { numRuns: cases(60) },
    );
  });
});

test('two banks of unlike volts joined by a DC-DC charger: what its output gives, its input draws by its efficiency', () => {
  const network: Network = {
    ...bare,
    posts: 4,
    batteries: [
      { plus: 1, minus: 0, volts: 12.6, ohm: 0.004 },
      { plus: 3, minus: 2, volts: 25.2, ohm: 0.004 },
    ],
    converters: [
      {
        input: { plus: 1, minus: 0 },
        output: { plus: 3, minus: 2 },
        volts: 28.4,
        amps: 20,
        ohm: 0,
        efficiency: 0.9,
      },
    ],
  };
  const solved = settled(network);
  const [given] = solved.converters;
  expect(given?.mode).toBe('limit');
  expect(given?.amps).toBeCloseTo(20, 6);
  const [low, high] = [across(solved, 1, 0), across(solved, 3, 2)];
  expect(high).toBeCloseTo(25.2 + 20 * 0.004, 6);
  expect((given?.inputA ?? 0) * low).toBeCloseTo((20 * high) / 0.9, 5);
  expect(solved.batteryA[0]).toBeCloseTo(given?.inputA ?? 0, 6);
});

test('a charger alone carries what it can: more than that does not run', () => {
  const alone = (amps: number): Network => ({
    ...bare,
    posts: 2,
    supplies: [{ plus: 1, minus: 0, volts: 14.2, amps: 40, ohm: 0 }],
    draws: [{ plus: 1, minus: 0, amps }],
  });
  expect(across(settled(alone(39.9)), 1, 0)).toBeCloseTo(14.2, 3);
  expect(isCollapse(solveNetwork(alone(41)))).toBe(true);
});
