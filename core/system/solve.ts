import type { Place, SystemState } from '../model/system.ts';
import { airOf, startC, type Warming, warmingOf } from './warmth.ts';
import {
  COLD_COPPER_C,
  type Conductor,
  type Installation,
  inState,
  type Wired,
  wire,
} from './installation.ts';
import { isCollapse, solveNetwork } from './network.ts';
import type { Solution, SupplyMode } from './pieces.ts';
import { postKey } from './places.ts';

/** A cable in a state. */
export interface CableFlow {
  readonly id: string;
  /** A from end A to end B; negative the other way. */
  readonly amps: number;
  /** °C of its copper: settled in a state that is held, else at the end of it. */
  readonly copperC: number;
  /** V lost from end A to end B, its sign that of the amps. */
  readonly dropV: number;
  readonly lostW: number;
}

/** A place in a state. */
export interface PlaceFlow {
  readonly id: string;
  /**
   * A: out of a battery (negative while it is charged), a supply or the output of a converter; into a load; through a
   * device from its line side; onto a bar or ground from all that feeds it.
   */
  readonly amps: number;
  /** V between its posts: of a device what it drops; of one post what it stands at. */
  readonly volts: number;
  /** Of a load, whether it is on and what feeds it reaches it. */
  readonly isFed: boolean;
  readonly isOn: boolean;
  readonly mode?: SupplyMode;
  /** Of a DC-DC charger: at its input. */
  readonly inputA?: number;
  readonly inputV?: number;
}

/** The installation in one of its states. */
export interface SolvedState {
  readonly stateId: string;
  /** Nothing in it gives. */
  readonly hasNoSource: boolean;
  /** Loads that cannot run together; null where all do. */
  readonly collapse: readonly string[] | null;
  /** V at every post, in the order of the installation's posts. */
  readonly volts: readonly number[];
  /** In the order of the installation's conductors. */
  readonly cables: readonly CableFlow[];
  /** In the order of the system's places. */
  readonly places: readonly PlaceFlow[];
  /** W that sources give, that loads take, and that is lost in cables, in devices and bonds, and in converters. */
  readonly givenW: number;
  readonly usedW: number;
  readonly lostInCopperW: number;
  readonly lostElsewhereW: number;
}

/** Every state, and the volts that are nominal at each post. */
export interface SolvedSystem {
  readonly installation: Installation;
  readonly states: readonly SolvedState[];
  /** V by the names of the batteries, every switch closed, nothing drawn. */
  readonly nominalV: readonly number[];
}

/** Copper that moved less than this between two rounds is settled, K. */
const STILL_K = 0.01;
const MOST_ROUNDS = 30;

/** Whether a state is held, or lasts for a time. */
export const isHeld = ({ lasts }: SystemState): boolean => lasts.kind === 'held';

interface Settled {
  readonly wired: Wired;
  readonly solution: Solution | null;
  readonly collapse: readonly string[] | null;
  readonly copperC: readonly number[];
}

/** Currents and temperatures together: the hotter the copper, the more it resists. */
function settle(
  installation: Installation,
  state: SystemState,
  start: readonly number[],
  heat: (conductor: number, amps: number) => number,
): Settled {
  let copperC = start;
  for (let round = 1; ; round += 1) {
    const now = copperC;
    const wired = wire(
      installation,
      inState(state, (conductor) => now[conductor] ?? COLD_COPPER_C),
    );
    const solved = solveNetwork(wired.network);
    if (isCollapse(solved)) {
      const collapse = solved.together.map((draw) => wired.draws[draw] ?? '');
      return { wired, solution: null, collapse, copperC };
    }
    const next = installation.conductors.map((_, i) => heat(i, solved.conductorA[i] ?? 0));
    const isStill = next.every((celsius, i) => Math.abs(celsius - (now[i] ?? 0)) < STILL_K);
    if (isStill || round >= MOST_ROUNDS) return { wired, solution: solved, collapse: null, copperC };
    copperC = next;
  }
}

const difference = (volts: readonly number[], plus: number | undefined, minus: number | undefined): number =>
  (volts[plus ?? -1] ?? 0) - (volts[minus ?? -1] ?? 0);

// oxlint-disable-next-line max-lines-per-function -- one place for every kind of place
function placeFlows({ system, numberOf }: Installation, { wired, solution }: Settled): PlaceFlow[] {
  const volts = solution?.volts ?? [];
  const by = (ids: readonly string[]) => new Map(ids.map((id, i) => [id, i]));
  const [batteries, supplies, converters, draws] = [
    by(wired.batteries),
    by(wired.supplies),
    by(wired.converters),
    by(wired.draws),
  ];
  const through = new Map<string, number>();
  const onto = new Map<number, number>();
  wired.network.conductors.forEach(({ plus, minus }, i) => {
    const amps = solution?.conductorA[i] ?? 0;
    const of = wired.conductors[i];
    if (of?.kind === 'place') through.set(of.id, amps);
    const into = amps > 0 ? minus : plus;
    onto.set(into, (onto.get(into) ?? 0) + Math.abs(amps));
  });
  const post = (place: Place, name: Parameters<typeof postKey>[0]['post']) =>
    numberOf.get(postKey({ place: place.id, post: name }));
  return system.places.map((place): PlaceFlow => {
    const { id } = place;
    const across = difference(volts, post(place, 'plus'), post(place, 'minus'));
    const rest = { id, isFed: false, isOn: true };
    switch (place.kind) {
      case 'battery':
        return { ...rest, volts: across, amps: solution?.batteryA[batteries.get(id) ?? -1] ?? 0 };
      case 'supply': {
        const gives = solution?.supplies[supplies.get(id) ?? -1];
        return {
          ...rest,
          volts: across,
          amps: gives?.amps ?? 0,
          isOn: supplies.has(id),
          ...(gives && { mode: gives.mode }),
        };
      }
      case 'dcdc': {
        const gives = solution?.converters[converters.get(id) ?? -1];
        return {
          ...rest,
          volts: difference(volts, post(place, 'out-plus'), post(place, 'out-minus')),
          amps: gives?.amps ?? 0,
          isOn: converters.has(id),
          ...(gives && { mode: gives.mode }),
          inputA: gives?.inputA ?? 0,
          inputV: difference(volts, post(place, 'in-plus'), post(place, 'in-minus')),
        };
      }
      case 'load': {
        const draw = draws.get(id);
        const amps = draw === undefined ? (through.get(id) ?? 0) : (solution?.drawA[draw] ?? 0);
        const isFed = draw === undefined ? across > 0 : (solution?.isFed[draw] ?? false);
        return { id, volts: across, amps, isFed, isOn: draw !== undefined || through.has(id) };
      }
      case 'fuse':
      case 'breaker':
      case 'switch':
      case 'relay':
      case 'shunt': {
        const isOn = through.has(id);
        const drop = difference(volts, post(place, 'line'), post(place, 'load'));
        return { ...rest, volts: drop, amps: through.get(id) ?? 0, isOn };
      }
      case 'bar':
      case 'ground': {
        const own = post(place, 'post') ?? -1;
        return { ...rest, volts: volts[own] ?? 0, amps: onto.get(own) ?? 0 };
      }
    }
  });
}

function solvedState(installation: Installation, state: SystemState, settled: Settled): SolvedState {
  const { wired, solution, collapse, copperC } = settled;
  const cables = installation.conductors.map(({ cable, at }, i): CableFlow => {
    const amps = solution?.conductorA[i] ?? 0;
    const dropV = solution ? difference(solution.volts, at.A, at.B) : 0;
    return { id: cable.id, amps, copperC: copperC[i] ?? 0, dropV, lostW: amps * dropV };
  });
  const places = placeFlows(installation, settled);
  const loads = new Set(installation.system.places.filter(({ kind }) => kind === 'load').map(({ id }) => id));
  let [givenW, usedW, elsewhereW] = [0, 0, 0];
  for (const [i, place] of installation.system.places.entries()) {
    const flow = places[i];
    if (!flow) continue;
    const watts = flow.amps * flow.volts;
    if (place.kind === 'battery' || place.kind === 'supply') givenW += watts;
    else if (place.kind === 'load') usedW += watts;
    else if (place.kind === 'dcdc') elsewhereW += (flow.inputA ?? 0) * (flow.inputV ?? 0) - watts;
  }
  wired.network.conductors.forEach((piece, i) => {
    const of = wired.conductors[i];
    if (of?.kind === 'cable' || (of?.kind === 'place' && loads.has(of.id))) return;
    const amps = solution?.conductorA[i] ?? 0;
    elsewhereW += amps * difference(solution?.volts ?? [], piece.plus, piece.minus);
  });
  return {
    stateId: state.id,
    hasNoSource: wired.batteries.length + wired.supplies.length === 0,
    collapse,
    volts: solution?.volts ?? installation.posts.map(() => 0),
    cables,
    places,
    givenW,
    usedW,
    lostInCopperW: cables.reduce((sum, { lostW }) => sum + lostW, 0),
    lostElsewhereW: elsewhereW,
  };
}

/** What a supply is called: 28.4 V is of 24 V. */
const calledV = (volts: number): number =>
  [6, 12, 24, 36, 48].find((called) => volts / called >= 1 && volts / called < 1.25) ?? volts;

/** Volts by name at every post: batteries first, supplies only where no battery is. */
function nominal(installation: Installation): readonly number[] {
  const { network } = wire(installation, {
    copperC: () => COLD_COPPER_C,
    isOpen: () => false,
    isOff: () => false,
    loadShare: () => 0,
    batteryV: ({ nominalV }) => nominalV,
    batteryOhms: 1,
  });
  const outputs = network.converters.map(({ output, volts, amps, ohm }) => ({ ...output, volts, amps, ohm }));
  // So weak that a battery beside it decides.
  const weak = [...network.supplies, ...outputs].map((own) => ({
    ...own,
    volts: calledV(own.volts),
    ohm: 1000,
  }));
  const solved = solveNetwork({
    ...network,
    supplies: [],
    converters: [],
    draws: [],
    batteries: [...network.batteries, ...weak],
  });
  return isCollapse(solved) ? installation.posts.map(() => 0) : solved.volts;
}

/**
 * Solves every state of an installation: volts at every post, amps in every cable, each cable as warm as that makes it. A
 * state that is held first; one that lasts for a time begins from the warmest of those.
 *
 * Source: nodal analysis ({@link solveNetwork}) and the heat balance of each cable, found together to 0.01 K.
 */
export function solveSystem(installation: Installation): SolvedSystem {
  const { system, conductors } = installation;
  const warming = conductors.map((conductor): Warming => warmingOf(conductor));
  const air = conductors.map((conductor: Conductor) => airOf(conductor));
  const heldC = [...air];
  const heldA = conductors.map(() => 0);
  const solved = new Map<string, SolvedState>();
  const keep = (state: SystemState, settled: Settled) =>
    solved.set(state.id, solvedState(installation, state, settled));
  for (const state of system.states.filter(isHeld)) {
    const settled = settle(
      installation,
      state,
      air,
      (i, amps) => warming[i]?.settledC(amps) ?? COLD_COPPER_C,
    );
    keep(state, settled);
    settled.copperC.forEach((celsius, i) => {
      heldC[i] = Math.max(heldC[i] ?? celsius, celsius);
      heldA[i] = Math.max(heldA[i] ?? 0, Math.abs(settled.solution?.conductorA[i] ?? 0));
    });
  }
  for (const state of system.states) {
    const { lasts } = state;
    if (lasts.kind === 'held') continue;
    const { seconds } = lasts;
    const start = (own: Warming, i: number, amps: number): number =>
      startC(own, lasts, amps, { celsius: heldC[i] ?? COLD_COPPER_C, amps: heldA[i] ?? 0 });
    const heat = (i: number, amps: number) =>
      warming[i]?.afterC(amps, seconds, start(warming[i], i, amps)) ?? COLD_COPPER_C;
    keep(state, settle(installation, state, heldC, heat));
  }
  return {
    installation,
    states: system.states.flatMap(({ id }) => solved.get(id) ?? []),
    nominalV: nominal(installation),
  };
}
