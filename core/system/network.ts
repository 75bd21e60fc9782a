import { LuDecomposition, Matrix } from 'ml-matrix';
import { reduced } from './reduced.ts';

/** Two posts of a network by their number: current is counted from `plus` through the piece's outside to `minus`. */
export interface Pair {
  readonly plus: number;
  readonly minus: number;
}

/** A battery: its volts at rest behind its own resistance. It gives and takes. */
export interface NetBattery extends Pair {
  readonly volts: number;
  readonly ohm: number;
}

/** A charger: it holds its volts while that takes no more than its amps, and takes nothing back. */
export interface NetSupply extends Pair {
  readonly volts: number;
  readonly amps: number;
  readonly ohm: number;
}

/** A DC-DC charger: a supply at its output that draws from its input what it gives, by its efficiency. */
export interface NetConverter {
  readonly input: Pair;
  readonly output: Pair;
  readonly volts: number;
  readonly amps: number;
  readonly ohm: number;
  /** Share of the input's watts that arrive, 0 to 1. */
  readonly efficiency: number;
}

/** A load that takes its amps, or its watts whatever the volts. */
export type NetDraw = Pair & ({ readonly amps: number } | { readonly watts: number });

/** What is solved: posts joined by conductors, and what gives and takes at them. Every figure at least 0. */
export interface Network {
  /** Posts, numbered from 0. */
  readonly posts: number;
  readonly conductors: readonly (Pair & { readonly ohm: number })[];
  readonly batteries: readonly NetBattery[];
  readonly supplies: readonly NetSupply[];
  readonly converters: readonly NetConverter[];
  readonly draws: readonly NetDraw[];
}

/** What a supply does: gives what it can, holds its volts, or stands by because the network is above them. */
export type SupplyMode = 'limit' | 'holds' | 'stands by';

export interface SupplyGives {
  readonly amps: number;
  readonly mode: SupplyMode;
}

/** Where a network settles. */
export interface Solution {
  /** V, against the lowest-numbered source's minus of its island; 0 where nothing feeds. */
  readonly volts: readonly number[];
  /** A through each conductor from plus to minus. */
  readonly conductorA: readonly number[];
  /** A that each battery gives; negative while it is charged. */
  readonly batteryA: readonly number[];
  readonly supplies: readonly SupplyGives[];
  readonly converters: readonly (SupplyGives & { readonly inputA: number })[];
  /** A that each draw takes; 0 where nothing feeds it. */
  readonly drawA: readonly number[];
  readonly isFed: readonly boolean[];
}

/** Where no current delivers what is drawn: the fewest draws, by their number, that cannot run together. */
export interface Collapse {
  readonly together: readonly number[];
}

/** No contact is better than this, Ω: a switch or a source of none would tell nothing of how amps share. */
export const LEAST_OHM = 1e-6;
/** A supply without a resistance of its own is taken so stiff, Ω. */
const STIFF_SUPPLY_OHM = 1e-5;
const sound = (ohm: number, least = LEAST_OHM) => Math.max(ohm, least);

type Vector = number[];

/** Posts that hang together through what conducts, with what gives in each. */
interface Islands {
  /** Of each post; the number of an island without a source is -1. */
  readonly islandOf: readonly number[];
  /** Its posts in order, the one that volts are counted from first. */
  readonly posts: readonly (readonly number[])[];
}

function islandsOf(network: Network, outputs: readonly NetSupply[]): Islands {
  const parent = Array.from({ length: network.posts }, (_, post) => post);
  const find = (post: number): number => {
    let root = post;
    while (parent[root] !== root) {
      // Half way up each time, so that the next one is shorter.
      parent[root] = parent[parent[root] ?? root] ?? root;
      root = parent[root] ?? root;
    }
    return root;
  };
  const givers = [...network.batteries, ...network.supplies, ...outputs];
  for (const { plus, minus } of [...network.conductors, ...givers]) parent[find(plus)] = find(minus);
  const numbers = new Map<number, number>();
  const posts: number[][] = [];
  for (const { minus } of givers) {
    const root = find(minus);
    if (numbers.has(root)) continue;
    numbers.set(root, posts.length);
    posts.push([minus]);
  }
  const islandOf = parent.map((_, post) => numbers.get(find(post)) ?? -1);
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
      const volts = new Array<number>(network.posts).fill(0);
      solve(injected, volts);
      return volts;
    },
  };
}

const inject = (into: Vector, { plus, minus }: Pair, amps: number): void => {
  into[plus] = (into[plus] ?? 0) + amps;
  into[minus] = (into[minus] ?? 0) - amps;
};
const across = (volts: readonly number[], { plus, minus }: Pair): number =>
  (volts[plus] ?? 0) - (volts[minus] ?? 0);

/**
 * A place where what flows is not in proportion to the volts: a load of watts, a supply at its limit, the two sides of a
 * converter. All else is in the factored network.
 */
interface Port {
  readonly pair: Pair;
  readonly is:
    | { readonly kind: 'watts'; readonly watts: number }
    | { readonly kind: 'supply'; readonly supply: NetSupply }
    | { readonly kind: 'input'; readonly output: number; readonly efficiency: number };
}

/** Amps a supply gives through its own resistance and what was put beside it. */
const given = (supply: NetSupply, volts: number, beside: number): number =>
  (supply.volts - volts) / sound(supply.ohm, STIFF_SUPPLY_OHM) + beside;

const MOST_NEWTON = 25;
const MOST_MODES = 60;
/** A step of the whole load smaller than this is none: the network carries no more. */
const LEAST_LOAD_STEP = 5e-4;
const CLOSE_A = 1e-9;

/** The ports solved together: their volts before anything is drawn there, and what an ampere at each does to all. */
class Ports {
  constructor(
    private readonly ports: readonly Port[],
    private readonly open: Vector,
    private readonly ohm: readonly (readonly number[])[],
  ) {}

  volts(amps: Vector): Vector {
    return this.open.map((volts, p) =>
      this.ports.reduce((sum, _, q) => sum + (this.ohm[p]?.[q] ?? 0) * (amps[q] ?? 0), volts),
    );
  }

  /** How far each port is from what it must do, and how that moves with the amps at each. */
  private equations(amps: Vector, volts: Vector, modes: readonly SupplyMode[], share: number) {
    const slopes = this.ports.map(() => new Array<number>(this.ports.length).fill(0));
    const add = (row: number, byVolts: number, port: number) =>
      this.ports.forEach((_, q) => {
        const own = slopes[row];
        if (own) own[q] = (own[q] ?? 0) + byVolts * (this.ohm[port]?.[q] ?? 0);
      });
    const addAmps = (row: number, port: number, value: number) => {
      const own = slopes[row];
      if (own) own[port] = (own[port] ?? 0) + value;
    };
    const off = this.ports.map(({ is }, p): number => {
      const [current, portV] = [amps[p] ?? 0, volts[p] ?? 0];
      if (is.kind === 'watts') {
        // −amps is drawn: −amps · volts = share · watts.
        addAmps(p, p, portV);
        add(p, current, p);
        return current * portV + share * is.watts;
      }
      if (is.kind === 'supply') {
        const mode = modes[p] ?? 'holds';
        addAmps(p, p, 1);
        if (mode === 'holds') return current;
        add(p, -1 / sound(is.supply.ohm, STIFF_SUPPLY_OHM), p);
        return given(is.supply, portV, current) - (mode === 'limit' ? is.supply.amps : 0);
      }
      const output = this.ports[is.output];
      if (output?.is.kind !== 'supply') return current;
      const { supply } = output.is;
      const [outV, out] = [volts[is.output] ?? 0, amps[is.output] ?? 0];
      const gives = given(supply, outV, out);
      addAmps(p, p, portV);
      add(p, current, p);
      const perVolt = gives - outV / sound(supply.ohm, STIFF_SUPPLY_OHM);
      add(p, (share * perVolt) / is.efficiency, is.output);
      addAmps(p, is.output, (share * outV) / is.efficiency);
      return current * portV + (share * gives * outV) / is.efficiency;
    });
    return { off, slopes };
  }

  /** Newton's steps with each supply in its mode; null where they lead nowhere. */
  private settle(start: Vector, modes: readonly SupplyMode[], share: number): Vector | null {
    let amps = start;
    for (let i = 0; i < MOST_NEWTON; i += 1) {
      const volts = this.volts(amps);
      // A load that has come down to no volts does not come up again.
      if (this.ports.some(({ is }, p) => is.kind !== 'supply' && !((volts[p] ?? 0) > 0))) return null;
      const { off, slopes } = this.equations(amps, volts, modes, share);
      let step: Vector;
      try {
        step = new LuDecomposition(new Matrix(slopes)).solve(Matrix.columnVector(off)).to1DArray();
      } catch {
        return null;
      }
      amps = amps.map((value, p) => value - (step[p] ?? 0));
      if (amps.some((value) => !Number.isFinite(value) || Math.abs(value) > 1e9)) return null;
      if (step.every((value, p) => Math.abs(value) <= CLOSE_A * (1 + Math.abs(amps[p] ?? 0)))) return amps;
    }
    return null;
  }

  /** What a supply ought to do, where its mode is not borne out. */
  private wants(p: number, amps: Vector, volts: Vector, mode: SupplyMode): SupplyMode {
    const port = this.ports[p];
    if (port?.is.kind !== 'supply') return mode;
    const { supply } = port.is;
    const portV = volts[p] ?? 0;
    const now = given(supply, portV, amps[p] ?? 0);
    const slack = 1e-7 * (1 + supply.amps);
    if (mode === 'holds') return now > supply.amps + slack ? 'limit' : now < -slack ? 'stands by' : mode;
    const free = given(supply, portV, 0);
    if (mode === 'limit') return free < supply.amps - slack ? 'holds' : mode;
    return free > slack ? 'holds' : mode;
  }

  /** The ports at a share of all loads, each supply in the mode that is borne out; null where there is no such point. */
  private at(
    start: Vector,
    from: readonly SupplyMode[],
    share: number,
  ): { amps: Vector; modes: readonly SupplyMode[] } | null {
    let modes = from;
    for (let i = 0; i < MOST_MODES; i += 1) {
      const amps = this.settle(start, modes, share);
      if (!amps) return null;
      const volts = this.volts(amps);
      const next = modes.map((mode, p) => this.wants(p, amps, volts, mode));
      const changed = next.findIndex((mode, p) => mode !== modes[p]);
      if (changed < 0) return { amps, modes };
      // All at once at first; where that goes in circles, the first that must, which comes to an end.
      const one = i > 8;
      modes = modes.map((mode, p) => (!one || p === changed ? (next[p] ?? mode) : mode));
    }
    return null;
  }

  /**
   * All loads, brought on little by little from none, so that the upper of two operating points is found; null where
   * they cannot be brought on whole.
   */
  solve(): { amps: Vector; modes: readonly SupplyMode[] } | null {
    let now = this.at(
      this.ports.map(() => 0),
      this.ports.map(() => 'holds'),
      0,
    );
    let [share, stride] = [0, 0.5];
    while (now && share < 1) {
      const to = Math.min(1, share + stride);
      const next = this.at(now.amps, now.modes, to);
      const volts = next && this.volts(next.amps);
      const isUp = volts && this.ports.every(({ is }, p) => is.kind === 'supply' || (volts[p] ?? 0) > 0);
      if (next && isUp) [now, share, stride] = [next, to, 2 * stride];
      else {
        stride /= 2;
        if (stride < LEAST_LOAD_STEP) return null;
      }
    }
    return now;
  }
}

/** What the draws given of a network come to; null where there is no operating point. */
// eslint-disable-next-line max-lines-per-function -- the ports of a network, put together and taken apart again
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
  const base = new Array<number>(network.posts).fill(0);
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
    const one = new Array<number>(network.posts).fill(0);
    inject(one, pair, 1);
    return voltsOf(one);
  });
  const solved = new Ports(
    ports,
    ports.map(({ pair }) => across(opened, pair)),
    ports.map(({ pair }) => responses.map((response) => across(response, pair))),
  ).solve();
  if (!solved) return null;
  const volts = opened.map((value, post) =>
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
  const base = new Array<number>(network.posts).fill(0);
  for (const battery of network.batteries) inject(base, battery, battery.volts / sound(battery.ohm));
  const opened = volts(base);
  return {
    islandOf: (post: number): number => islandOf[post] ?? -1,
    opened,
    between(pair: Pair): ShortBetween {
      if ((islandOf[pair.plus] ?? -1) < 0 || islandOf[pair.plus] !== islandOf[pair.minus])
        return { openV: 0, ohm: Number.POSITIVE_INFINITY, amps: 0 };
      const one = new Array<number>(network.posts).fill(0);
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
