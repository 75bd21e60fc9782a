import { COPPER, resistanceGrowth } from '../conductor/copper.ts';
import {
  jacketResistance,
  type Surroundings,
  sunPerMetre,
  surfaceLossPerMetre,
  type ThermalCable,
} from './heatBalance.ts';
import { entry, solveChain } from './tridiagonal.ts';

/** A stretch of constant current. */
export interface DutyStep {
  /** A, ≥ 0. */
  readonly currentA: number;
  /** s, > 0. */
  readonly seconds: number;
}

/** How hot the conductor was at a moment, counted from the start of the steps. */
export interface ThermalSample {
  readonly seconds: number;
  readonly conductorC: number;
}

/** Heat the jacket takes up, J/(m³·K). */
const JACKET_HEAT_CAPACITY = 2.0e6;
const RINGS = 8;
/** A change of current is followed finely at first, then in strides that grow as the change slows. */
const FIRST_STRIDE_S = 0.05;
const STRIDE_GROWTH = 1.06;
const LONGEST_STRIDE_S = 5;
/** While nothing moves by more than this in one stride, K, the strides go on growing. */
const STILL_K = 0.001;
/** Copper is no conductor any more: what would come after is not followed, °C. */
export const COPPER_MELTS_C = 1085;

/** Temperatures of the conductor and, from it outwards, of the rings of jacket, °C. */
type Profile = Float64Array;

/** One metre of cable as a chain: node 0 the conductor, nodes 1…RINGS the jacket. */
interface Chain {
  /** J/K per metre. */
  readonly capacity: Float64Array;
  /** Between node i and i+1, W/K per metre. */
  readonly links: Float64Array;
  /** From the middle of the outermost ring to the surface, W/K per metre. */
  readonly toSurface: number;
}

function chainOf(cable: ThermalCable): Chain {
  const inner = cable.bundleMm / 2000;
  const ratio = cable.outerMm / cable.bundleMm;
  const edge = (i: number) => inner * ratio ** (i / RINGS);
  // Rings of equal ratio share the jacket's resistance equally, and a node sits half way through its ring.
  const ring = jacketResistance(cable) / RINGS;
  const rings = Array.from({ length: RINGS }, (_, i) => i);
  return {
    capacity: Float64Array.of(
      cable.copperMm2 * 1e-6 * COPPER.density * COPPER.specificHeat,
      ...rings.map((i) => Math.PI * (edge(i + 1) ** 2 - edge(i) ** 2) * JACKET_HEAT_CAPACITY),
    ),
    links: Float64Array.from(rings, (i) => 1 / (i === 0 ? ring / 2 : ring)),
    toSurface: 2 / ring,
  };
}

/** What the outermost ring loses at its temperature now, and how that grows by the kelvin. */
function lossFrom(
  ringC: number,
  toSurface: number,
  cable: ThermalCable,
  around: Surroundings,
): { watts: number; perKelvin: number } {
  const sun = sunPerMetre(cable, around);
  // The surface has no mass: Newton finds where what the ring sends is what the air takes, less the sun.
  let surfaceC = ringC;
  let slope = 0;
  for (let i = 0; i < 3; i += 1) {
    const now = surfaceLossPerMetre(cable.outerMm, surfaceC, around.ambientC, cable.emissivity);
    slope =
      (surfaceLossPerMetre(cable.outerMm, surfaceC + 0.5, around.ambientC, cable.emissivity) - now) / 0.5;
    const step = (now - sun - toSurface * (ringC - surfaceC)) / (slope + toSurface);
    surfaceC -= step;
    if (Math.abs(step) < 1e-4) break;
  }
  return { watts: toSurface * (ringC - surfaceC), perKelvin: (slope * toSurface) / (slope + toSurface) };
}

/** Takes a profile one stride on, where it stands, and answers with the most that any part of it moved, K. */
type Advance = (profile: Profile, currentA: number, strideS: number) => number;

/** Strides by backward Euler: a coarse one errs smoothly and never swings. */
function advancing(chain: Chain, cable: ThermalCable, around: Surroundings): Advance {
  const diagonal = new Float64Array(RINGS + 1);
  const rises = new Float64Array(RINGS + 1);
  return (profile, currentA, strideS) => {
    const made20 = currentA ** 2 * cable.ohmPerMetre20;
    const lost = lossFrom(entry(profile, RINGS), chain.toSurface, cable, around);
    let into = made20 * resistanceGrowth(entry(profile, 0));
    let inwards = 0;
    for (let i = 0; i < RINGS; i += 1) {
      const outwards = entry(chain.links, i);
      const out = outwards * (entry(profile, i) - entry(profile, i + 1));
      rises[i] = into - out;
      diagonal[i] = entry(chain.capacity, i) / strideS + inwards + outwards;
      [into, inwards] = [out, outwards];
    }
    rises[RINGS] = into - lost.watts;
    diagonal[RINGS] = entry(chain.capacity, RINGS) / strideS + inwards + lost.perKelvin;
    // The hotter the copper, the more it makes: the less its own change is held back.
    diagonal[0] = entry(diagonal, 0) - made20 * COPPER.temperatureCoefficient;
    solveChain(diagonal, chain.links, rises);
    let most = 0;
    for (let i = 0; i <= RINGS; i += 1) {
      const was = entry(profile, i);
      profile[i] = was + entry(rises, i);
      most = Math.max(most, Math.abs(entry(profile, i) - was));
    }
    return most;
  };
}

/** Every part at the temperature that a conductor settled at `conductorC`, losing `watts` a metre, gives it. */
function settledProfile(chain: Chain, conductorC: number, watts: number): Profile {
  const profile = Float64Array.of(conductorC, ...chain.links);
  chain.links.forEach((link, i) => (profile[i + 1] = entry(profile, i) - watts / link));
  return profile;
}

/** A quarter of the time in which a current would raise the resistance of the copper without end, s. */
function longestStrideS({ capacity }: Chain, { ohmPerMetre20 }: ThermalCable, currentA: number): number {
  const growth = currentA ** 2 * ohmPerMetre20 * COPPER.temperatureCoefficient;
  return growth > 0 ? entry(capacity, 0) / (4 * growth) : Number.POSITIVE_INFINITY;
}

/** Runs steps from a profile, up to a temperature where one is given: the samples passed, and the profile at the end. */
function run(
  chain: Chain,
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly DutyStep[],
  start: Profile,
  stopAboveC = COPPER_MELTS_C,
): { samples: ThermalSample[]; end: Profile } {
  const advance = advancing(chain, cable, around);
  const profile = start.slice();
  let seconds = 0;
  const samples: ThermalSample[] = [{ seconds, conductorC: entry(profile, 0) }];
  for (const step of steps) {
    // Copper heated faster resists more faster still: a stride never outruns that, or the equations would turn over.
    const fastest = longestStrideS(chain, cable, step.currentA);
    let stride = Math.min(FIRST_STRIDE_S, fastest);
    let isStill = false;
    for (let left = step.seconds; left > 1e-9 && entry(profile, 0) <= stopAboveC; left -= stride) {
      stride = Math.min(stride * STRIDE_GROWTH, isStill ? left : LONGEST_STRIDE_S, fastest, left);
      isStill = advance(profile, step.currentA, stride) < STILL_K;
      seconds += stride;
      samples.push({ seconds, conductorC: entry(profile, 0) });
    }
  }
  return { samples, end: profile };
}

/** A settled start: the conductor's temperature, °C, and the current that held it there, A. */
export interface SettledStart {
  readonly conductorC: number;
  readonly currentA: number;
}

/**
 * Conductor temperature through steps of current, from a settled start.
 * For steps that come again and again use {@link settleCycle}.
 *
 * Source: the conductor's heat capacity and eight rings of jacket (2.0 MJ/m³K), surface loss as in
 * {@link surfaceLossPerMetre}; strides from 0.05 s, growing by 6 % to 5 s after each change of current.
 *
 * @param steps in order, each of constant current
 * @param stopAboveC the first sample over this is the last, °C; melting copper where it is not given
 * @example
 * // 600 A for 12 s in 70 mm² from 40 °C
 * followSteps(cable, around, [{ currentA: 600, seconds: 12 }], { conductorC: 40, currentA: 0 }).at(-1) // 44.3 °C
 */
export function followSteps(
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly DutyStep[],
  start: SettledStart,
  stopAboveC?: number,
): ThermalSample[] {
  const chain = chainOf(cable);
  const watts = start.currentA ** 2 * cable.ohmPerMetre20 * resistanceGrowth(start.conductorC);
  const settled = settledProfile(chain, start.conductorC, watts);
  return run(chain, cable, around, steps, settled, stopAboveC).samples;
}

/** When the cycle's start has stopped moving by more than this from one cycle to the next, it has settled. */
const SETTLED_K = 0.01;
const MOST_CYCLES = 400;

/**
 * One cycle of steps that repeat continuously, once the temperatures repeat with them. Null where they never do.
 *
 * The start is the steady temperature of the cycle's effective (root mean square) current, and what the moves of two cycles foretell is taken at once, so few cycles are
 * needed.
 *
 * @param steadyOf the steady conductor temperature at a current, or null
 * @example
 * // 300 A for 180 s then 20 A for 600 s in 50 mm²: peaks at 60.5 °C
 * hottest(settleCycle(cable, around, steps, steady))
 */
export function settleCycle(
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly DutyStep[],
  steadyOf: (currentA: number) => number | null,
): ThermalSample[] | null {
  const chain = chainOf(cable);
  const seconds = steps.reduce((sum, step) => sum + step.seconds, 0);
  const effective = Math.sqrt(
    steps.reduce((sum, step) => sum + step.currentA ** 2 * step.seconds, 0) / seconds,
  );
  const steady = steadyOf(effective);
  if (steady === null) return null;
  const watts = effective ** 2 * cable.ohmPerMetre20 * resistanceGrowth(steady);
  let profile = settledProfile(chain, steady, watts);
  let before: Profile | null = null;
  for (let cycle = 0; cycle < MOST_CYCLES; cycle += 1) {
    const { samples, end } = run(chain, cable, around, steps, profile);
    if (entry(end, 0) > COPPER_MELTS_C) return null;
    const moved = end.map((temperature, i) => temperature - entry(profile, i));
    if (Math.max(...moved.map(Math.abs)) < SETTLED_K) return samples;
    const ahead: number | null = before && stepAhead(before, moved);
    profile = end.map((temperature, i) => temperature + (ahead ?? 0) * entry(moved, i));
    // A move that was stretched is no measure of how the next one shrinks.
    before = ahead === null ? moved : null;
  }
  return null;
}

/**
 * How many more times the last move is still to come, when each cycle's move is a fixed share of the one before:
 * `r/(1 − r)`. Null where they do not shrink so.
 */
function stepAhead(before: Profile, moved: Profile): number | null {
  const dot = (a: Profile, b: Profile) => a.reduce((sum, value, i) => sum + value * entry(b, i), 0);
  const share = dot(moved, before) / dot(before, before);
  return share > 0 && share < 0.99 ? share / (1 - share) : null;
}

/** The hottest moment of a run, and when it came. */
export function hottest(samples: readonly ThermalSample[]): ThermalSample {
  return samples.reduce((peak, next) => (next.conductorC > peak.conductorC ? next : peak));
}
