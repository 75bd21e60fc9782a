/**
 * What a table's amps are worth in other air: `√((T_lim − T_a)/(T_lim − T_ref))`, never above 1, and 0 when the air
 * is as hot as the limit.
 *
 * Source: the rise of a conductor goes with the square of its current; see also the published engine-space factors,
 * the stricter of which is taken by the caller.
 *
 * @param limitC the temperature the table's amps bring the conductor to, °C
 * @param ambientC the air now, °C
 * @param referenceC the air of the table, °C; below `limitC`
 * @example ambientFactor(105, 70, 30) // 0.683
 */
export function ambientFactor(limitC: number, ambientC: number, referenceC: number): number {
  if (ambientC >= limitC) return 0;
  return Math.min(1, Math.sqrt((limitC - ambientC) / (limitC - referenceC)));
}
