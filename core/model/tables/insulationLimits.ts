import { msg } from '../../words/message.ts';

/**
 * Insulation resistance between conductor and everything else, electronics disconnected.
 *
 * Source: IEC 60364-6 table 6.1. Confidence: good.
 */
export const INSULATION_LIMITS = [
  { title: msg`extra-low voltage (most DC under 60 V)`, upToV: 60, testV: 250, leastMegohm: 0.5 },
  { title: msg`up to 500 V`, upToV: 500, testV: 500, leastMegohm: 1.0 },
  { title: msg`over 500 V`, upToV: 1500, testV: 1000, leastMegohm: 1.0 },
] as const;

/** A new dry cable reads far above the least; under this on the bench asks for a look, MΩ. */
export const NEW_CABLE_MEGOHM = 100;

/**
 * The row that holds for a system, by its nominal voltage, up to the 1 500 V DC where the table ends.
 *
 * @example insulationRow(24).testV // 250; insulationRow(600).testV // 1000
 */
export function insulationRow(systemV: number): (typeof INSULATION_LIMITS)[number] {
  return INSULATION_LIMITS.find(({ upToV }) => systemV <= upToV) ?? INSULATION_LIMITS[2];
}
