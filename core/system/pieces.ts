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
export const STIFF_SUPPLY_OHM = 1e-5;
export const sound = (ohm: number, least = LEAST_OHM) => Math.max(ohm, least);
