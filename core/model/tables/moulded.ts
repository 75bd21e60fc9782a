import { type Message, msg } from '../../words/message.ts';

/** A moulded part that shrinks: one body, and so many legs; a cap has none. */
export interface MouldedFacts {
  readonly title: Message;
  readonly legs: 0 | 2 | 3 | 4;
  /** Bores before and after it is shrunk, mm. */
  readonly body: { readonly suppliedMm: number; readonly recoveredMm: number };
  readonly leg?: { readonly suppliedMm: number; readonly recoveredMm: number };
}

const split = (
  legs: 2 | 3 | 4,
  body: readonly [number, number],
  leg: readonly [number, number],
): MouldedFacts => ({
  title: msg`moulded part, ${legs} legs, ${body[0]} to ${body[1]}, legs ${leg[0]} to ${leg[1]}`,
  legs,
  body: { suppliedMm: body[0], recoveredMm: body[1] },
  leg: { suppliedMm: leg[0], recoveredMm: leg[1] },
});
const cap = (suppliedMm: number, recoveredMm: number): MouldedFacts => ({
  title: msg`end cap, ${suppliedMm} to ${recoveredMm}`,
  legs: 0,
  body: { suppliedMm, recoveredMm },
});

/**
 * Moulded parts with adhesive inside, for a cable that splits and for an end that is not connected. Customary sizes; a
 * maker’s sheet governs. Confidence: low to medium.
 */
export const MOULDED = {
  'two-28': split(2, [28, 9], [15, 5]),
  'two-40': split(2, [40, 14], [22, 8]),
  'two-60': split(2, [60, 22], [32, 13]),
  'three-38': split(3, [38, 13], [16, 5]),
  'three-63': split(3, [63, 22], [27, 10]),
  'four-45': split(4, [45, 15], [16, 5]),
  'four-75': split(4, [75, 26], [27, 10]),
  'cap-16': cap(16, 6),
  'cap-26': cap(26, 10),
  'cap-40': cap(40, 15),
  'cap-60': cap(60, 25),
} as const satisfies Record<string, MouldedFacts>;

export type MouldedId = keyof typeof MOULDED;
export const MOULDED_IDS = Object.keys(MOULDED) as MouldedId[];
