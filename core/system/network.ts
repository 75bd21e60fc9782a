import { groupsOf } from '../lib/groups.ts';
import type { Collapse, NetSupply, Network, Pair, Solution, SupplyGives } from './pieces.ts';
import { sound, STIFF_SUPPLY_OHM } from './pieces.ts';
import { given, type Port, Ports } from './ports.ts';
import { reduced } from './reduced.ts';

/** Amps or volts by post. */
type Vector = Float64Array;

/** Posts that hang together through what conducts, with what gives in each. */
interface Islands {
  /** Of each post; the number of an island without a source is -1. */
  readonly islandOf: readonly number[];
  /** Its posts in order, the one that volts are counted from first. */
  readonly posts: readonly (readonly number[])[];
}

function islandsOf(network: Network, outputs: readonly NetSupply[]): Islands {
  const givers = [...network.batteries, ...network.supplies, ...outputs];
  const groups = groupsOf(
    network.posts,
    [...network.conductors, ...givers].map(({ plus, minus }) => [plus, minus]),
  );
  const numbers = new Map<number, number>();
  const posts: number[][] = [];
  for (const { minus } of givers) {
    const group = groups[minus] ?? -1;
    if (numbers.has(group)) continue;
    numbers.set(group, posts.length);
    posts.push([minus]);
  }
  const islandOf = groups.map((group) => numbers.get(group) ?? -1);
  islandOf.forEach((island, post) => {
    const own = posts[island];
    if (own && own[0] !== post) own.push(post);
  });
  return { islandOf, posts };
}

/** A network whose conductances are factored: amps put into its posts give the volts of all. */
interface Factored {
  readonly islandOf: readonly number[];
  readonly volts: (injected: Vector) => Vector;
}

function factored(network: Network, outputs: readonly NetSupply[]): Factored {
  const { islandOf, posts } = islandsOf(network, outputs);
  const joins = [
    ...network.conductors.map((piece) => ({ ...piece, ohm: sound(piece.ohm) })),
    ...network.batteries.map((piece) => ({ ...piece, ohm: sound(piece.ohm) })),
    ...[...network.supplies, ...outputs].map((piece) => ({
      ...piece,
      ohm: sound(piece.ohm, STIFF_SUPPLY_OHM),
    })),
  ];
  const mesh = new Map<number, Map<number, number>>(posts.flat().map((post) => [post, new Map()]));
  for (const { plus, minus, ohm } of joins) {
    const [a, b] = [mesh.get(plus), mesh.get(minus)];
    if (!a || !b || plus === minus) continue;
    a.set(minus, (a.get(minus) ?? 0) + 1 / ohm);
    b.set(plus, (b.get(plus) ?? 0) + 1 / ohm);
  }
  const solve = reduced(mesh, new Set(posts.map(([first]) => first ?? -1)));
  return {
    islandOf,
    volts: (injected) => {
      const volts = new Float64Array(network.posts);
      solve(injected, volts);
      return volts;
    },
  };
}

const inject = (into: Vector, { plus, minus }: Pair, amps: number): void => {
  into[plus] = (into[plus] ?? 0) + amps;
  into[minus] = (into[minus] ?? 0) - amps;
};
const across = (volts: ArrayLike<number>, { plus, minus }: Pair): number =>
  (volts[plus] ?? 0) - (volts[minus] ?? 0);

/** What the draws given of a network come to; null where there is no operating point. */
// oxlint-disable-next-line max-lines-per-function -- the ports of a network, put together and taken apart again
function attempt(network: Network, isOn: (draw: number) => boolean): Solution | null {
  const { converters, supplies, batteries, draws } = network;
  // A converter whose input nothing feeds gives nothing.
  const alive = aliveConverters(network);
  const outputs = converters.map(({ output, volts, amps, ohm }, i): NetSupply => ({
    ...output,
    volts,
    amps: alive[i] ? amps : 0,
    ohm,
  }));
  const live = outputs.filter((_, i) => alive[i]);
  const { islandOf, volts: voltsOf } = factored(network, live);
  const isLive = ({ plus, minus }: Pair) => (islandOf[plus] ?? -1) >= 0 && islandOf[plus] === islandOf[minus];
  const base = new Float64Array(network.posts);
  for (const battery of batteries) inject(base, battery, battery.volts / sound(battery.ohm));
  for (const supply of [...supplies, ...live])
    inject(base, supply, supply.volts / sound(supply.ohm, STIFF_SUPPLY_OHM));
  const isFed = draws.map((draw) => isLive(draw));
  draws.forEach((draw, i) => {
    if ('amps' in draw && isFed[i] && isOn(i)) inject(base, draw, -draw.amps);
  });
  const ports: Port[] = [];
  const portOf = { draw: new Map<number, number>(), supply: new Map<number, number>() };
  const outputPort = new Map<number, number>();
  const inputPort = new Map<number, number>();
  const push = (port: Port) => ports.push(port) - 1;
  draws.forEach((draw, i) => {
    if ('watts' in draw && draw.watts > 0 && isFed[i] && isOn(i))
      portOf.draw.set(i, push({ pair: draw, is: { kind: 'watts', watts: draw.watts } }));
  });
  supplies.forEach((supply, i) =>
    portOf.supply.set(i, push({ pair: supply, is: { kind: 'supply', supply } })),
  );
  converters.forEach(({ input, efficiency }, i) => {
    const supply = outputs[i];
    if (!alive[i] || !supply) return;
    const output = push({ pair: supply, is: { kind: 'supply', supply } });
    outputPort.set(i, output);
    inputPort.set(i, push({ pair: input, is: { kind: 'input', output, efficiency } }));
  });
  const opened = voltsOf(base);
  const responses = ports.map(({ pair }) => {
    const one = new Float64Array(network.posts);
    inject(one, pair, 1);
    return voltsOf(one);
  });
  const solved = new Ports(
    ports,
    ports.map(({ pair }) => across(opened, pair)),
    ports.map(({ pair }) => responses.map((response) => across(response, pair))),
  ).solve();
  if (!solved) return null;
  const volts = Array.from(opened, (value, post) =>
    responses.reduce((sum, response, p) => sum + (response[post] ?? 0) * (solved.amps[p] ?? 0), value),
  );
  const drawn = draws.map((draw, i) => {
    if (!isFed[i] || !isOn(i)) return 0;
    return 'amps' in draw ? draw.amps : Math.max(0, -(solved.amps[portOf.draw.get(i) ?? -1] ?? 0));
  });
  // What takes its amps from no volts at all does not run either.
  if (draws.some((draw, i) => 'amps' in draw && (drawn[i] ?? 0) > 0 && across(volts, draw) <= 0)) return null;
  const gives = (supply: NetSupply, port: number | undefined): SupplyGives =>
    port === undefined
      ? { amps: 0, mode: 'stands by' }
      : {
          amps: given(supply, across(volts, supply), solved.amps[port] ?? 0),
          mode: solved.modes[port] ?? 'holds',
        };
  return {
    volts,
    conductorA: network.conductors.map((piece) => across(volts, piece) / sound(piece.ohm)),
    batteryA: batteries.map((battery) => (battery.volts - across(volts, battery)) / sound(battery.ohm)),
    supplies: supplies.map((supply, i) => gives(supply, portOf.supply.get(i))),
    converters: outputs.map((supply, i) => ({
      ...gives(supply, outputPort.get(i)),
      inputA: Math.max(0, -(solved.amps[inputPort.get(i) ?? -1] ?? 0)),
    })),
    drawA: drawn,
    isFed,
  };
}

/** Which converters have something to draw from: one behind another is fed by that one. */
function aliveConverters(network: Network): boolean[] {
  const alive = network.converters.map(() => false);
  for (let grown = true; grown;) {
    grown = false;
    const outputs = network.converters
      .filter((_, i) => alive[i])
      .map(({ output, ...rest }): NetSupply => ({ ...output, ...rest }));
    const { islandOf } = islandsOf(network, outputs);
    network.converters.forEach(({ input }, i) => {
      const isFed = (islandOf[input.plus] ?? -1) >= 0 && islandOf[input.plus] === islandOf[input.minus];
      if (alive[i] || !isFed) return;
      alive[i] = true;
      grown = true;
    });
  }
  return alive;
}

/**
 * Volts at every post and amps in every piece of a network: nodal analysis, loads of watts by Newton from above, each
 * supply in the mode that is borne out. Where no current delivers what is drawn, the fewest draws that cannot run
 * together.
 *
 * Source: Kirchhoff's laws; Cholesky factors by ml-matrix. Currents are met to about 1 part in 10⁹.
 *
 * @example
 * solveNetwork({
 *   posts: 2, conductors: [], supplies: [], converters: [],
 *   batteries: [{ plus: 1, minus: 0, volts: 12.4, ohm: 0.006 }],
 *   draws: [{ plus: 1, minus: 0, watts: 1000 }],
 * }) // 84.1 A at 11.896 V
 */
export function solveNetwork(network: Network): Solution | Collapse {
  const solution = attempt(network, () => true);
  if (solution) return solution;
  let together = network.draws.map((_, i) => i);
  for (const draw of together) {
    const without = together.filter((own) => own !== draw);
    if (!attempt(network, (own) => without.includes(own))) together = without;
  }
  return { together };
}

/** Whether it does not settle. */
export const isCollapse = (solved: Solution | Collapse): solved is Collapse => 'together' in solved;

/** What a short between two posts would draw from a network without loads: volts there before it, and ohms to it. */
export interface ShortBetween {
  readonly openV: number;
  readonly ohm: number;
  /** A; 0 where nothing feeds it. */
  readonly amps: number;
}

/**
 * Shorts of a network without loads, supplies giving all they can, each solved from one factoring.
 *
 * Source: Thévenin: `I = U_open ÷ Z` between the two posts, and the amps of each supply beside it.
 */
export function shortsOf(network: Pick<Network, 'posts' | 'conductors' | 'batteries' | 'supplies'>) {
  const bare: Network = { ...network, supplies: [], converters: [], draws: [] };
  const { islandOf, volts } = factored(bare, []);
  const base = new Float64Array(network.posts);
  for (const battery of network.batteries) inject(base, battery, battery.volts / sound(battery.ohm));
  const opened = volts(base);
  return {
    islandOf: (post: number): number => islandOf[post] ?? -1,
    opened: [...opened],
    between(pair: Pair): ShortBetween {
      if ((islandOf[pair.plus] ?? -1) < 0 || islandOf[pair.plus] !== islandOf[pair.minus])
        return { openV: 0, ohm: Number.POSITIVE_INFINITY, amps: 0 };
      const one = new Float64Array(network.posts);
      inject(one, pair, 1);
      const response = volts(one);
      const ohm = across(response, pair);
      // By reciprocity, of an ampere put in at a supply so much flows through the short.
      const fromSupplies = network.supplies.reduce(
        (sum, supply) => sum + supply.amps * (ohm > 0 ? across(response, supply) / ohm : 0),
        0,
      );
      const openV = across(opened, pair);
      return { openV, ohm, amps: ohm > 0 ? Math.abs(openV) / ohm + Math.abs(fromSupplies) : 0 };
    },
  };
}
