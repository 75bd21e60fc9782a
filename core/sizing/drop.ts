/**
 * Volts lost round the loop, V: `ΔU = I·(R_out + R_return + ΣR_joint + ΣR_device)`.
 * For the quick rule of the printed charts use {@link quickRuleCircularMils}.
 *
 * @param loopOhm the whole loop at the temperature its copper really reaches
 * @example voltageDrop(160, 2 * 7.5 * 0.000206) // 0.494: 2 × 7.5 m of 95 mm² plain at 20 °C
 */
export function voltageDrop(currentA: number, loopOhm: number): number {
  return currentA * loopOhm;
}

/**
 * Circular mils asked by the printed-chart rule: `CM = 10.75·I·L/ΔU`, L the feet there and back.
 *
 * Source: the customary rule behind printed small-craft charts, copper at about 30 °C.
 *
 * @param dropV volts that may be lost, > 0
 * @example quickRuleCircularMils(120, 5.4864, 0.36) // 64 500
 */
export function quickRuleCircularMils(currentA: number, loopM: number, dropV: number): number {
  const FOOT_M = 0.3048;
  return (10.75 * currentA * (loopM / FOOT_M)) / dropV;
}

/**
 * Amps a load of constant watts draws through a resistance: the smaller root of `I·(U − I·R) = P`, or null where no
 * current can deliver that power.
 *
 * @param watts drawn from the cable's far end, after dividing by the load's efficiency
 * @param sourceV the source's open voltage, V, at its lowest
 * @param ohm the whole loop with the source's own resistance, hot
 * @example currentForWatts(3000 / 0.9, 24.8, 0.0032408) // 136.86
 */
export function currentForWatts(watts: number, sourceV: number, ohm: number): number | null {
  if (ohm === 0) return watts / sourceV;
  const discriminant = sourceV ** 2 - 4 * ohm * watts;
  return discriminant < 0 ? null : (sourceV - Math.sqrt(discriminant)) / (2 * ohm);
}
