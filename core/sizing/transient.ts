import { COPPER, resistanceGrowth } from '../conductor/copper.ts';
import {
  jacketResistance,
  type Surroundings,
  sunPerMetre,
  surfaceLossPerMetre,
  type ThermalCable,
} from './heatBalance.ts';
import { at, solveChain } from './tridiagonal.ts';

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
/** A change of current is followed finely at first, then in growing strides. */
const FIRST_STRIDE_S = 0.05;
const STRIDE_GROWTH = 1.06;
/** In a surge no stride is longer than this; a stretch over ten minutes may stride further. */
const SURGE_STRIDE_S = 0.25;
const LONGEST_STRIDE_S = 5;
const SURGE_ENDS_S = 600;

/** Temperatures of the conductor and, from it outwards, of the rings of jacket, °C. */
type Profile = readonly number[];

/** One metre of cable as a chain: node 0 the conductor, nodes 1…RINGS the jacket. */
interface Chain {
  /** J/K per metre. */
  readonly capacity: readonly number[];
  /** Between node i and i+1, W/K per metre. */
  readonly links: readonly number[];
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
    capacity: [
      cable.copperMm2 * 1e-6 * COPPER.density * COPPER.specificHeat,
      ...rings.map((i) => Math.PI * (edge(i + 1) ** 2 - edge(i) ** 2) * JACKET_HEAT_CAPACITY),
    ],
    links: rings.map((i) => 1 / (i === 0 ? ring / 2 : ring)),
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
  const loss = (surfaceC: number) => surfaceLossPerMetre(cable.outerMm, surfaceC, around.ambientC);
  // The surface has no mass: Newton finds where what the ring sends is what the air takes, less the sun.
  let surfaceC = ringC;
  let slope = 0;
  for (let i = 0; i < 4; i += 1) {
    slope = (loss(surfaceC + 0.5) - loss(surfaceC)) / 0.5;
    surfaceC -= (loss(surfaceC) - sun - toSurface * (ringC - surfaceC)) / (slope + toSurface);
  }
  return { watts: toSurface * (ringC - surfaceC), perKelvin: (slope * toSurface) / (slope + toSurface) };
}

/** The profile one stride later, by backward Euler: a coarse stride errs smoothly and never swings. */
function advance(
  profile: Profile,
  chain: Chain,
  cable: ThermalCable,
  around: Surroundings,
  currentA: number,
  strideS: number,
): Profile {
  const made20 = currentA ** 2 * cable.ohmPerMetre20;
  const lost = lossFrom(at(profile, RINGS), chain.toSurface, cable, around);
  const flows = chain.links.map((link, i) => link * (at(profile, i) - at(profile, i + 1)));
  const right = profile.map((_, i) => {
    const into = i === 0 ? made20 * resistanceGrowth(at(profile, 0)) : at(flows, i - 1);
    return into - (i === RINGS ? lost.watts : at(flows, i));
  });
  const diagonal = chain.capacity.map((capacity, i) => {
    const made = i === 0 ? made20 * COPPER.temperatureCoefficient : 0;
    const outwards = i === RINGS ? lost.perKelvin : at(chain.links, i);
    return capacity / strideS + at(chain.links, i - 1) + outwards - made;
  });
  const rises = solveChain(diagonal, chain.links, right);
  return profile.map((was, i) => was + at(rises, i));
}

/** Every part at the temperature that a conductor settled at `conductorC`, losing `watts` a metre, gives it. */
function settledProfile(chain: Chain, conductorC: number, watts: number): Profile {
  return chain.links.reduce<number[]>(
    (profile, link) => [...profile, at(profile, profile.length - 1) - watts / link],
    [conductorC],
  );
}

/**
 * Conductor temperature through steps of current, from a settled start.
 *
 * Source: the conductor's heat capacity and eight rings of jacket (2.0 MJ/m³K), surface loss as in
 * {@link surfaceLossPerMetre}; strides of 0.05 s growing to 0.25 s in a surge.
 *
 * @param steps in order, each of constant current
 * @param start the settled conductor temperature before the first step, °C, and the current that held it there, A
 * @example
 * // 600 A for 12 s in 70 mm² from 40 °C
 * followSteps(cable, around, [{ currentA: 600, seconds: 12 }], { conductorC: 40, currentA: 0 }).at(-1) // 44.3 °C
 */
export function followSteps(
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly DutyStep[],
  start: { readonly conductorC: number; readonly currentA: number },
): ThermalSample[] {
  const chain = chainOf(cable);
  const watts = start.currentA ** 2 * cable.ohmPerMetre20 * resistanceGrowth(start.conductorC);
  let profile = settledProfile(chain, start.conductorC, watts);
  let seconds = 0;
  const samples: ThermalSample[] = [{ seconds, conductorC: start.conductorC }];
  for (const step of steps) {
    const longest = step.seconds <= SURGE_ENDS_S ? SURGE_STRIDE_S : LONGEST_STRIDE_S;
    let stride = FIRST_STRIDE_S;
    for (let left = step.seconds; left > 1e-9; left -= stride) {
      stride = Math.min(stride * STRIDE_GROWTH, longest, left);
      profile = advance(profile, chain, cable, around, step.currentA, stride);
      seconds += stride;
      samples.push({ seconds, conductorC: at(profile, 0) });
    }
  }
  return samples;
}

/** The hottest moment of a run, and when it came. */
export function hottest(samples: readonly ThermalSample[]): ThermalSample {
  return samples.reduce((peak, next) => (next.conductorC > peak.conductorC ? next : peak));
}
