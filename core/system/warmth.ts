import { COPPER, resistanceGrowth } from '../conductor/copper.ts';
import { HOTTEST_C, steadyTemperature, type Surroundings, type ThermalCable } from '../sizing/heatBalance.ts';
import { airC, surroundingsOf, thermalCable } from '../sizing/loop.ts';
import { placingFactor } from '../sizing/placing.ts';
import { stretchesOf } from '../sizing/governingRun.ts';
import type { SystemState } from '../model/system.ts';
import type { Conductor } from './installation.ts';

/** Heat that jacket compounds take up, J/(m³·K). */
const JACKET_HEAT_CAPACITY = 2.0e6;
/** Of the jacket, what warms along with the copper within minutes. */
const JACKET_SHARE = 0.5;

/** How a conductor warms, in its hottest stretch. */
export interface Warming {
  /** °C that it settles at with so many amps through the whole cable; {@link HOTTEST_C} where it never settles. */
  readonly settledC: (amps: number) => number;
  /** °C after so many seconds, from a temperature on. */
  readonly afterC: (amps: number, seconds: number, fromC: number) => number;
}

/** Joules that a metre takes up for a kelvin. */
const capacityOf = ({ copperMm2, bundleMm, outerMm }: ThermalCable): number =>
  copperMm2 * 1e-6 * COPPER.density * COPPER.specificHeat +
  JACKET_SHARE * (Math.PI / 4) * (outerMm ** 2 - bundleMm ** 2) * 1e-6 * JACKET_HEAT_CAPACITY;

function after(
  cable: ThermalCable,
  around: Surroundings,
  amps: number,
  seconds: number,
  fromC: number,
): number {
  const watts20 = amps ** 2 * cable.ohmPerMetre20;
  const capacity = capacityOf(cable);
  const settled = steadyTemperature(cable, around, amps);
  if (settled === null) {
    // Nothing holds it: as if no heat left, dT/dt = I²·R(T)/C.
    const rate = (watts20 * COPPER.temperatureCoefficient) / capacity;
    const growth = resistanceGrowth(fromC) * Math.exp(rate * seconds);
    return Math.min(HOTTEST_C, 20 + (growth - 1) / COPPER.temperatureCoefficient);
  }
  const rise = settled - around.ambientC;
  const watts = watts20 * resistanceGrowth(settled);
  if (watts <= 0 || rise <= 0) return settled;
  const towards = Math.exp((-seconds * watts) / (capacity * rise));
  return settled + (fromC - settled) * towards;
}

/**
 * How a conductor of the installation warms: settled by the heat balance; within a short state as one body of its copper
 * and half its jacket, towards where it would settle. The bench follows one cable ring by ring.
 */
export function warmingOf({ cable, kind, size }: Conductor): Warming {
  const { run, gauge } = cable;
  const share = (gauge.parallel ?? 1) * placingFactor(run.placing, run.bundled);
  const body = thermalCable(kind, size);
  const stretches = stretchesOf(run).map((stretch) => surroundingsOf(stretch.run));
  const hottest = (of: (around: Surroundings) => number) => Math.max(...stretches.map(of));
  return {
    settledC: (amps) =>
      hottest((around) => steadyTemperature(body, around, Math.abs(amps) / share) ?? HOTTEST_C),
    afterC: (amps, seconds, fromC) =>
      hottest((around) =>
        after(body, around, Math.abs(amps) / share, seconds, Math.max(fromC, around.ambientC)),
      ),
  };
}

/**
 * °C that a conductor begins a state of a time at: what the held states leave it at; where it repeats, as warm as its
 * effective amps keep it.
 */
export function startC(
  { settledC }: Pick<Warming, 'settledC'>,
  lasts: SystemState['lasts'],
  amps: number,
  held: { readonly celsius: number; readonly amps: number },
): number {
  if (lasts.kind === 'held' || lasts.everySeconds === undefined) return held.celsius;
  const share = lasts.seconds / lasts.everySeconds;
  const effective = Math.sqrt(share * amps ** 2 + (1 - share) * held.amps ** 2);
  return Math.max(held.celsius, settledC(effective));
}

/** °C of a conductor's copper in each of several states, from the amps that it carries in them. */
export function copperInStates(
  conductor: Conductor,
  states: readonly { readonly lasts: SystemState['lasts']; readonly amps: number }[],
): number[] {
  const warming = warmingOf(conductor);
  const rest = states.filter(({ lasts }) => lasts.kind === 'held').map(({ amps }) => Math.abs(amps));
  const held = {
    celsius: Math.max(airOf(conductor), ...rest.map((amps) => warming.settledC(amps))),
    amps: Math.max(0, ...rest),
  };
  return states.map(({ lasts, amps }) =>
    lasts.kind === 'held'
      ? warming.settledC(amps)
      : warming.afterC(amps, lasts.seconds, startC(warming, lasts, Math.abs(amps), held)),
  );
}

/** The air it lies in, °C: what it has while nothing flows. */
export const airOf = ({ cable }: Conductor): number =>
  Math.max(...stretchesOf(cable.run).map(({ run }) => airC(run)));
