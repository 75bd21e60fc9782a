import type { Duty } from '../model/run.ts';
import {
  ampacityByHeatBalance,
  steadyTemperature,
  type Surroundings,
  type ThermalCable,
} from './heatBalance.ts';
import {
  COPPER_MELTS_C,
  type DutyStep,
  followSteps,
  hottest,
  settleCycle,
  type SettledStart,
  type ThermalSample,
} from './transient.ts';

/** What a duty does to one conductor. */
export interface DutyCycle {
  /** Temperature over the steps, thinned for drawing. */
  readonly samples: readonly ThermalSample[];
  readonly peakC: number;
  /** When the peak comes, s from the start of the steps. */
  readonly peakAtS: number;
  /** Steady amps that would give the peak, through this cable as it lies, all its conductors together. */
  readonly equivalentA: number;
  /** How long the heaviest step may last, from where it starts, before the limit; null where it may last continuously. */
  readonly secondsToLimit: number | null;
  /** It never settles: each time it comes again it is hotter, until the cable burns. */
  readonly runsAway: boolean;
  /** When the copper melts, s from the start; null where it does not. */
  readonly meltsAtS: number | null;
}

const DRAWN_SAMPLES = 240;
/** A step held this long without reaching the limit may be held continuously, near enough, s. */
const FOR_EVER_S = 6 * 3600;

/** A cycle that runs away is followed no longer than this before its limit, s. */
const LONGEST_AWAY_S = 30 * 86_400;
const MOST_AWAY_STEPS = 4000;

/** Steps that never settle, one after the other until the conductor is past its limit: with the first time it is. */
function runAway(
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly DutyStep[],
  start: SettledStart,
  limitC: number,
): readonly ThermalSample[] {
  const seconds = steps.reduce((sum, step) => sum + step.seconds, 0);
  const times = Math.min(Math.ceil(LONGEST_AWAY_S / seconds), Math.ceil(MOST_AWAY_STEPS / steps.length));
  const on = Array.from({ length: times }, () => steps).flat();
  return followSteps(cable, around, on, start, limitC);
}

/**
 * Follows a duty: once from a settled start, or as it repeats. One that never settles is followed until it passes the
 * limit.
 *
 * @param start the settled temperature before a duty that does not repeat, and the current of one conductor then
 * @param limitC temperature not to be passed
 * @param share what one conductor's current is divided by: placing factor times conductors side by side
 */
export function dutyCycle(
  cable: ThermalCable,
  around: Surroundings,
  duty: Duty,
  start: SettledStart,
  limitC: number,
  share: number,
): DutyCycle {
  const steps = duty.steps.map(({ amps, seconds }) => ({ currentA: amps / share, seconds }));
  const settled = duty.repeats
    ? settleCycle(cable, around, steps, (amps) => steadyTemperature(cable, around, amps))
    : followSteps(cable, around, steps, start);
  const samples = settled ?? runAway(cable, around, steps, start, limitC);
  const peak = hottest(samples);
  const melted = samples.find(({ conductorC }) => conductorC > COPPER_MELTS_C);
  return {
    samples: thinned(samples),
    peakC: peak.conductorC,
    peakAtS: peak.seconds,
    equivalentA: ampacityByHeatBalance(cable, around, Math.min(peak.conductorC, COPPER_MELTS_C)) * share,
    secondsToLimit: settled
      ? secondsToLimit(cable, around, steps, samples, limitC)
      : (samples.find(({ conductorC }) => conductorC > limitC)?.seconds ?? null),
    runsAway: settled === null,
    meltsAtS: melted?.seconds ?? null,
  };
}

/** Every so many samples, with the first, the last and the hottest kept. */
function thinned(samples: readonly ThermalSample[]): ThermalSample[] {
  const every = Math.ceil(samples.length / DRAWN_SAMPLES);
  const peak = hottest(samples);
  return samples.filter((sample, i) => i % every === 0 || i === samples.length - 1 || sample === peak);
}

/** The heaviest step, held from the temperature at which it starts until the limit. */
function secondsToLimit(
  cable: ThermalCable,
  around: Surroundings,
  steps: readonly { readonly currentA: number; readonly seconds: number }[],
  samples: readonly ThermalSample[],
  limitC: number,
): number | null {
  const heaviest = steps.reduce((most, step) => (step.currentA > most.currentA ? step : most));
  const before = steps.slice(0, steps.indexOf(heaviest));
  const startsAtS = before.reduce((sum, { seconds }) => sum + seconds, 0);
  const atStart = samples.find(({ seconds }) => seconds >= startsAtS - 1e-6) ?? samples[0];
  if (!atStart) return null;
  const start = { conductorC: atStart.conductorC, currentA: 0 };
  if (start.conductorC <= limitC) {
    const steadyC = steadyTemperature(cable, around, heaviest.currentA);
    if (steadyC !== null && steadyC <= limitC) return null;
  }
  const step = { currentA: heaviest.currentA, seconds: FOR_EVER_S };
  const held = followSteps(cable, around, [step], start, limitC);
  return held.find(({ conductorC }) => conductorC > limitC)?.seconds ?? null;
}
