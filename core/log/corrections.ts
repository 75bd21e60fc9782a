import type { Signed } from '../model/people.ts';
import type { Cable, Correction, Jacket } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import type { Reading } from '../model/reading.ts';
import { JACKETS } from '../model/shop.ts';
import type { QuantityKind } from '../model/units/entryUnits.ts';
import { say } from '../words/say.ts';

/** A fact of a made cable that can have been written down wrong: what it is called, where it stands, how long it may be. */
interface FactPlace {
  readonly title: string;
  readonly longest: number;
  readonly of: (cable: Cable) => string;
  readonly put: (cable: Cable, now: string) => Cable;
}

/** Where an end goes, in words. */
const endFact = (title: string, name: EndName): FactPlace => ({
  title,
  longest: 60,
  of: ({ ends }) => ends[name].at,
  put: (cable, now) => ({ ...cable, ends: { ...cable.ends, [name]: { ...cable.ends[name], at: now } } }),
});

export const FACTS = {
  tag: {
    title: say`tag`,
    longest: 80,
    of: ({ tag }) => tag,
    put: (cable, tag) => ({ ...cable, tag }),
  },
  from: endFact(say`from, end A`, 'A'),
  to: endFact(say`to, end B`, 'B'),
  jacket: {
    title: say`jacket`,
    longest: 20,
    of: ({ jacket }) => jacket,
    put: (cable, jacket) => ({ ...cable, jacket: jacket as Jacket }),
  },
  notes: {
    title: say`notes`,
    longest: 300,
    of: ({ notes }) => notes,
    put: (cable, notes) => ({ ...cable, notes }),
  },
} as const satisfies Readonly<Record<string, FactPlace>>;
export type Fact = keyof typeof FACTS;

/** Who puts something right, when and why. */
export interface Said extends Signed {
  readonly why: string;
}

/** What is wrong with a new wording, in a sentence; empty where nothing is. */
export function badFact(cable: Cable, fact: Fact, now: string): string {
  const { of, longest } = FACTS[fact];
  if (now === of(cable)) return say`It says that already.`;
  if (fact === 'tag' && now.trim() === '') return say`A cable needs a tag.`;
  if (fact === 'jacket' && !(JACKETS as readonly string[]).includes(now))
    return say`A jacket is one of ${JACKETS.join(', ')}.`;
  return now.length > longest ? say`At most ${longest} letters; this has ${now.length}.` : '';
}

/**
 * A cable with a fact corrected. The old wording stays, with who, when and why; sealed records stay as they were.
 *
 * @throws RangeError where the new wording cannot be taken, see {@link badFact}
 */
export function withFact(cable: Cable, fact: Fact, now: string, said: Said): Cable {
  const bad = badFact(cable, fact, now);
  if (bad) throw new RangeError(bad);
  const { title, of: factOf, put } = FACTS[fact];
  const correction: Correction = {
    ...said,
    what: title,
    was: factOf(cable).slice(0, 300),
    now: now.slice(0, 300),
  };
  return { ...put(cable, now), corrections: [...cable.corrections, correction] };
}

/** The one figure of a reading that is mistyped most: where it is kept, and what may be typed for it. */
export interface ReadingFigure {
  readonly key: string;
  readonly kind: QuantityKind;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly decimals: number;
}

const FIGURES: Readonly<Partial<Record<Reading['check'], Omit<ReadingFigure, 'value'>>>> = {
  'across-flats': { key: 'valueMm', kind: 'length', least: 0.5, most: 100, decimals: 2 },
  ears: { key: 'valueMm', kind: 'length', least: 0, most: 20, decimals: 2 },
  pull: { key: 'forceN', kind: 'force', least: 0, most: 50000, decimals: 0 },
  'join-pull': { key: 'forceN', kind: 'force', least: 0, most: 50000, decimals: 0 },
  joint: { key: 'milliohm', kind: 'milliohm', least: 0, most: 1000, decimals: 4 },
  resistance: { key: 'milliohm', kind: 'milliohm', least: 0, most: 1e5, decimals: 3 },
  insulation: { key: 'megohm', kind: 'megohm', least: 0, most: 1e7, decimals: 1 },
  drop: { key: 'millivolt', kind: 'millivolt', least: 0, most: 1e5, decimals: 2 },
  contact: { key: 'millivolt', kind: 'millivolt', least: 0, most: 1e5, decimals: 2 },
  torque: { key: 'newtonMetre', kind: 'torque', least: 0, most: 500, decimals: 1 },
};

/** The figure of a reading that can be corrected; null where it has none, or came from an instrument and cannot be mistyped. */
export function figureOf(reading: Reading): ReadingFigure | null {
  const figure = FIGURES[reading.check];
  if (!figure || reading.source !== 'typed' || reading.struck) return null;
  const value: unknown = (reading as unknown as Readonly<Record<string, unknown>>)[figure.key];
  return typeof value === 'number' ? { ...figure, value } : null;
}

/**
 * A cable with a mistyped reading corrected: the old one is struck out and stays, the new one stands in its place and
 * time, and names the one it puts right.
 *
 * @throws RangeError where the reading has no figure to correct, or the new one is out of range
 */
export function withReadingCorrected(cable: Cable, readingId: string, value: number, said: Said): Cable {
  const old = cable.readings.find(({ id }) => id === readingId);
  const figure = old ? figureOf(old) : null;
  if (!old || !figure) throw new RangeError('this reading has no figure to put right');
  if (value < figure.least || value > figure.most) throw new RangeError('out of range');
  const struck: Reading = { ...old, struck: { at: said.at, by: said.by, why: said.why } };
  const right = { ...old, id: said.id, [figure.key]: value, corrects: old.id } as Reading;
  return {
    ...cable,
    readings: cable.readings.flatMap((own) => (own.id === readingId ? [struck, right] : [own])),
  };
}
