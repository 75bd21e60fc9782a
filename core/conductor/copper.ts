/**
 * Annealed copper at 20 °C.
 *
 * Source: IEC 60028 (100 % IACS) for resistivity and its temperature coefficient; handbook values for the rest.
 */
export const COPPER = {
  /** Ω·mm²/m at 20 °C. */
  resistivity: 0.017241,
  /** Per kelvin, referred to 20 °C. */
  temperatureCoefficient: 0.00393,
  /** kg/m³. */
  density: 8930,
  /** J/(kg·K). */
  specificHeat: 385,
} as const;

/** How much a copper resistance known at 20 °C has grown at `temperatureC`. 1 at 20 °C, 1.216 at 75 °C. */
export function resistanceGrowth(temperatureC: number): number {
  return 1 + COPPER.temperatureCoefficient * (temperatureC - 20);
}
