import type { Value } from './sample.ts';

/** When an insulation test is read, s. */
export const READ_AT = [15, 30, 60] as const;
/** A value that came so long after its moment does not stand for it, s. */
const LATE_S = 3;

/** What an insulation test showed at its three moments, MΩ; null for what has not come yet or was missed. */
export type Charge = Readonly<Record<(typeof READ_AT)[number], number | null>>;

/**
 * The values of an insulation test at 15, 30 and 60 s: each the first that came at or after its moment.
 *
 * @param values in the order they came, from the moment the voltage went on
 */
export function chargeOf(values: readonly Value[]): Charge {
  const at = (moment: number) =>
    values.find(({ atS }) => atS >= moment && atS <= moment + LATE_S)?.value ?? null;
  return { 15: at(15), 30: at(30), 60: at(60) };
}
