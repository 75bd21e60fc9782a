import { resistanceGrowth } from '../conductor/copper.ts';
import { rootBetween } from './root.ts';

/** What the heat balance needs to know of one cable. */
export interface ThermalCable {
  /** Conductor resistance at 20 °C, Ω/m. */
  readonly ohmPerMetre20: number;
  /** Conductor area, mm². */
  readonly copperMm2: number;
  /** Diameter of the strand bundle, mm. */
  readonly bundleMm: number;
  /** Outside diameter of the jacket, mm. */
  readonly outerMm: number;
  /** Thermal conductivity of the jacket, W/(m·K): 0.17 PVC and thermoplastic, 0.28 XLPE and rubber. */
  readonly jacketConductivity: number;
  /** Share of a black body's radiation that its surface gives off; 0.9 where it is not given: any jacket. */
  readonly emissivity?: number;
}

/** Still air round the cable, and the sun on it. */
export interface Surroundings {
  readonly ambientC: number;
  /** Heat taken up from the sun, W per m² of the cable's shadow; 0 in shade, 900 in full sun. */
  readonly sunWPerM2: number;
}

const KELVIN = 273.15;
const STEFAN_BOLTZMANN = 5.670374419e-8;
/** Of a jacket, whatever its colour. */
const EMISSIVITY = 0.9;
const GRAVITY = 9.80665;
const PRANDTL = 0.71;
const AIR_PRESSURE_PA = 101325;
const AIR_GAS_CONSTANT = 287.05;
/** Churchill and Chu's term for the fluid, the same for all air. */
const PRANDTL_TERM = (1 + (0.559 / PRANDTL) ** (9 / 16)) ** (8 / 27);
const fourth = (value: number) => value * value * (value * value);
/** Above this no cable in this trade is a cable any more: no steady temperature is reported. */
export const HOTTEST_C = 1000;

/**
 * Heat that one metre of surface gives to still air, W/m; negative when the surface is colder than the air.
 *
 * Source: Churchill and Chu for a horizontal cylinder, air at film temperature (conductivity
 * `0.0241·(T/273.15)^0.81`, Sutherland viscosity, Pr 0.71); radiation with emissivity 0.9 of a jacket.
 *
 * @param diameterMm 1–60
 * @example surfaceLossPerMetre(15.5, 80, 30) // about 26
 */
export function surfaceLossPerMetre(
  diameterMm: number,
  surfaceC: number,
  ambientC: number,
  emissivity = EMISSIVITY,
): number {
  const diameterM = diameterMm / 1000;
  const surfaceK = surfaceC + KELVIN;
  const ambientK = ambientC + KELVIN;
  const filmK = (surfaceK + ambientK) / 2;
  const conductivity = 0.0241 * (filmK / KELVIN) ** 0.81;
  // Half and whole powers by roots and products: this is asked some hundred thousand times for a duty.
  const warmth = filmK / KELVIN;
  const viscosity = (1.716e-5 * warmth * Math.sqrt(warmth) * (KELVIN + 110.4)) / (filmK + 110.4);
  const kinematic = (viscosity * AIR_GAS_CONSTANT * filmK) / AIR_PRESSURE_PA;
  const rayleigh =
    (GRAVITY * Math.abs(surfaceK - ambientK) * diameterM * diameterM * diameterM * PRANDTL) /
    (filmK * kinematic * kinematic);
  const nusseltRoot = 0.6 + (0.387 * Math.cbrt(Math.sqrt(rayleigh))) / PRANDTL_TERM;
  const convection = (nusseltRoot * nusseltRoot * conductivity) / diameterM;
  const radiation = emissivity * STEFAN_BOLTZMANN * (fourth(surfaceK) - fourth(ambientK));
  return Math.PI * diameterM * (convection * (surfaceK - ambientK) + radiation);
}

/** Thermal resistance from the strands to the surface, K·m/W: `ln(D/d_b)/(2π·λ)`. */
export function jacketResistance(cable: ThermalCable): number {
  return Math.log(cable.outerMm / cable.bundleMm) / (2 * Math.PI * cable.jacketConductivity);
}

/** Heat of the sun on one metre, W/m: the absorbed flux times the cable's shadow. */
export function sunPerMetre(cable: ThermalCable, around: Surroundings): number {
  return around.sunWPerM2 * (cable.outerMm / 1000);
}

/**
 * Heat one metre can lose while its conductor stays at `conductorC`, W/m; negative when the surroundings heat it.
 * Found where the heat that comes through the jacket is the heat that leaves the surface, less the sun.
 */
function heatLostAt(cable: ThermalCable, around: Surroundings, conductorC: number): number {
  const resistance = jacketResistance(cable);
  const sun = sunPerMetre(cable, around);
  const excess = (surfaceC: number) =>
    surfaceLossPerMetre(cable.outerMm, surfaceC, around.ambientC, cable.emissivity) -
    sun -
    (conductorC - surfaceC) / resistance;
  let low = Math.min(around.ambientC, conductorC) - 1;
  let high = Math.max(around.ambientC, conductorC) + 1;
  while (excess(low) > 0) low -= 50;
  while (excess(high) < 0) high += 50;
  return (conductorC - rootBetween(excess, low, high, 1e-6)) / resistance;
}

/**
 * Continuous current that brings the conductor to `limitC` and no higher, A; 0 when the surroundings alone do.
 * For the temperature at a given current use {@link steadyTemperature}.
 *
 * Source: one metre in horizontal still air, `I²·R(T) = (T − T_s)/R_th = π·D·[h·(T_s − T_a) + ε·σ·(T_s⁴ − T_a⁴)]`.
 *
 * @example
 * // 70 mm² plain, 15.5 mm over a PVC jacket, 105 °C in 50 °C air
 * ampacityByHeatBalance(cable, { ambientC: 50, sunWPerM2: 0 }, 105) // 311
 */
export function ampacityByHeatBalance(cable: ThermalCable, around: Surroundings, limitC: number): number {
  const heat = heatLostAt(cable, around, limitC);
  return heat <= 0 ? 0 : Math.sqrt(heat / (cable.ohmPerMetre20 * resistanceGrowth(limitC)));
}

/**
 * Temperature the conductor settles at, °C, or null where it never settles under 1000 °C.
 * For the current that gives a temperature use {@link ampacityByHeatBalance}.
 *
 * @param currentA ≥ 0
 * @example
 * // 50 mm² plain, 13.3 mm over a PVC jacket, 200 A in 35 °C air
 * steadyTemperature(cable, { ambientC: 35, sunWPerM2: 0 }, 200) // 71.5
 */
export function steadyTemperature(
  cable: ThermalCable,
  around: Surroundings,
  currentA: number,
): number | null {
  const throughJacket = jacketResistance(cable);
  const sun = sunPerMetre(cable, around);
  const heatAt20 = currentA ** 2 * cable.ohmPerMetre20;
  // Seen from the surface: what leaves it, less the sun, came through the jacket and was made in the copper.
  const conductorAbove = (surfaceC: number, heat: number) => surfaceC + heat * throughJacket;
  const excess = (surfaceC: number) => {
    const heat = surfaceLossPerMetre(cable.outerMm, surfaceC, around.ambientC, cable.emissivity) - sun;
    return heat - heatAt20 * resistanceGrowth(conductorAbove(surfaceC, heat));
  };
  if (heatAt20 === 0 && sun === 0) return around.ambientC;
  if (excess(HOTTEST_C) < 0) return null;
  const surfaceC = rootBetween(excess, around.ambientC, HOTTEST_C, 1e-6);
  const heat = surfaceLossPerMetre(cable.outerMm, surfaceC, around.ambientC, cable.emissivity) - sun;
  const conductorC = conductorAbove(surfaceC, heat);
  return conductorC < HOTTEST_C ? conductorC : null;
}
