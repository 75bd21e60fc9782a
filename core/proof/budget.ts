import type { Accuracy } from '../model/accuracy.ts';
import type { Reading } from '../model/reading.ts';
import { INSTRUMENTS, type InstrumentKind } from '../model/tables/instruments.ts';
import { COPPER } from '../conductor/copper.ts';
import { type Message, amount, msg, numeral } from '../words/message.ts';

/** One thing that a reading may be off by: a standard uncertainty, in the unit of the figure that is judged. */
export interface Part {
  readonly what: Message;
  readonly standard: number;
}

/** An expanded uncertainty covers 95 of 100: twice the standard one. Source: the guide to uncertainty in measurement. */
export const COVERAGE = 2;

/** The standard uncertainty of what may lie anywhere within ± a half width. @example evenly(0.03) // 0.0173 */
export const evenly = (halfWidth: number): number => halfWidth / Math.sqrt(3);

/** The expanded uncertainty of independent parts, in their unit. @example expanded([{ what, standard: 0.02 }]) // 0.04 */
export const expanded = (parts: readonly Part[]): number =>
  COVERAGE * Math.hypot(...parts.map(({ standard }) => standard));

const accuracySays = ({ percent, digits }: Accuracy): Message =>
  percent > 0 ? msg`± (${numeral(percent, 1)} % + ${digits} digits)` : msg`± ${digits} digits`;

/**
 * What the instrument of a reading adds: its accuracy, and its last digit. One whose accuracy is not given is calculated
 * as is usual for its kind; without any instrument a usual one is calculated.
 *
 * @param read what it shows, in the unit of its kind
 * @param scale by how much the judged figure moves for one unit of what is read
 */
export function instrumentParts(
  { instrument }: Pick<Reading, 'instrument'>,
  kind: InstrumentKind,
  read: number,
  scale = 1,
): Part[] {
  const usual = INSTRUMENTS[kind];
  const accuracy = instrument?.accuracy ?? usual.accuracy;
  const resolution = instrument?.resolution ?? usual.resolution;
  const offBy = (accuracy.percent / 100) * Math.abs(read) + accuracy.digits * resolution;
  const name = instrument
    ? instrument.accuracy
      ? msg`${instrument.title} ${accuracySays(accuracy)}`
      : msg`${instrument.title} ${accuracySays(accuracy)}, as is usual: its own is not given`
    : msg`a usual ${usual.title} ${accuracySays(accuracy)}: none is named`;
  return [
    { what: name, standard: evenly(offBy) * Math.abs(scale) },
    { what: msg`its last digit`, standard: evenly(resolution / 2) * Math.abs(scale) },
  ];
}

/** How well the temperature of the copper is known, ± K; where a probe stands, ± mm; amps by a clamp meter, ± %. Shop practice. */
const COPPER_K = 2;
const PROBE_MM = 1;
const AMPS_PERCENT = 2;

/** What not knowing the copper's temperature better adds to a reading, in the unit of that reading. */
export const copperPart = (read: number): Part => ({
  what: msg`temperature of the copper, ± ${amount(COPPER_K, 'K', 0)}`,
  standard: evenly(COPPER_K * COPPER.temperatureCoefficient * read),
});

/**
 * What it adds that a probe stands a little off.
 *
 * @param perMm by how much the judged figure moves with a millimetre
 */
export const probePart = (perMm: number): Part => ({
  what: msg`where the probe stands, ± ${amount(PROBE_MM, 'mm', 0)}`,
  standard: evenly(PROBE_MM * perMm),
});

/** What the amps of a reading add to it, in the unit of the reading. */
export const ampsPart = (read: number): Part => ({
  what: msg`amps, ± ${AMPS_PERCENT} %`,
  standard: evenly((AMPS_PERCENT / 100) * read),
});
