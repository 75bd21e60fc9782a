import type { Jacket } from '../model/cable.ts';
import { type ConductorSize, GAUGE_SIZES, METRIC_SIZES } from '../model/tables/size.ts';
import { RUN_LENGTH_MM } from '../model/limits.ts';
import { type LineUse, USE_WORDS } from './uses.ts';
import { INCH_MM, FOOT_MM } from '../words/imperial.ts';

/** What one piece of a typed line says. */
export type LineFact =
  | { readonly is: 'volts' | 'amps' | 'watts' | 'seconds' | 'lengthMm'; readonly value: number }
  | {
      readonly is: 'fuseA' | 'dropPercent' | 'efficiencyPercent' | 'ambientC' | 'lowestV';
      readonly value: number;
    }
  | { readonly is: 'size'; readonly size: ConductorSize }
  | { readonly is: 'use'; readonly use: LineUse }
  | { readonly is: 'jacket'; readonly jacket: Jacket }
  | { readonly is: 'engineSpace' | 'sun' | 'conduit' | 'bundle' | 'tinned' | 'plain' | 'single' };

/** A piece of the line as it was typed, with what it was taken for. */
export interface LinePiece {
  readonly text: string;
  readonly fact: LineFact;
}
/** A typed line, understood as far as it is. */
export interface LineRead {
  readonly pieces: readonly LinePiece[];
  /** What was not understood, as it was typed. */
  readonly unread: readonly string[];
}

const NUMBER = String.raw`(\d{1,3}(?:[\s\u2009\u202f]\d{3})+(?=\s*(?:w|watts?|mm)\b)|\d+(?:[.,]\d+)?)`;
const numberOf = (text: string) => Number(text.replace(/[\s\u2009\u202f]/gu, '').replace(',', '.'));

type Maker = (value: number) => LineFact | null;
const quantity =
  (is: 'volts' | 'amps' | 'watts' | 'seconds' | 'lengthMm' | 'dropPercent' | 'ambientC', factor = 1): Maker =>
  (value) => ({ is, value: value * factor });
const metric: Maker = (value) => {
  const name = METRIC_SIZES.find((own) => Number(own) === value);
  return name ? { is: 'size', size: { system: 'metric', name } } : null;
};

const fahrenheit: Maker = (value) => ({ is: 'ambientC', value: ((value - 32) * 5) / 9 });

/** Units behind a number, those first that begin like a shorter one. */
const UNITS: readonly (readonly [string, Maker])[] = [
  ['mm²|mm2|mm\\^2|sqmm|qmm', metric],
  ['kw', quantity('watts', 1000)],
  ['w|watts?', quantity('watts')],
  ['v|volts?', quantity('volts')],
  ['a|amps?|amp[eè]re', quantity('amps')],
  ['min|minutes?|minuten|minuut', quantity('seconds', 60)],
  ['mm', quantity('lengthMm')],
  ['cm', quantity('lengthMm', 10)],
  ['m|met(?:er|re)s?', quantity('lengthMm', 1000)],
  ["ft|feet|foot|voet|′|'", quantity('lengthMm', FOOT_MM)],
  ['in|inch(?:es)?|duim|″|"', quantity('lengthMm', INCH_MM)],
  ['h|hours?|uur|uren', quantity('seconds', 3600)],
  ['s|sec|seconds?|seconden', quantity('seconds')],
  ['%', quantity('dropPercent')],
  ['°\\s?c', quantity('ambientC')],
  ['°\\s?f', fahrenheit],
];

const gauge = (text: string): LineFact | null => {
  const name = GAUGE_SIZES.find((own) => own === text);
  return name ? { is: 'size', size: { system: 'awg', name } } : null;
};

/** A word, or several, and what they say by themselves. */
const PHRASES: readonly (readonly [readonly string[], LineFact])[] = [
  ...USE_WORDS.map(([use, words]) => [words, { is: 'use', use }] as const),
  [['engine space', 'engine room', 'engine bay', 'motorruimte', 'machinekamer'], { is: 'engineSpace' }],
  [['in the sun', 'sun', 'in de zon'], { is: 'sun' }],
  [['in conduit', 'conduit', 'in buis', 'buis'], { is: 'conduit' }],
  [['bundled', 'bundle', 'in bundel', 'bundel'], { is: 'bundle' }],
  [['untinned', 'plain', 'onvertind', 'blank'], { is: 'plain' }],
  [['tinned', 'vertind'], { is: 'tinned' }],
  [['one way', 'single', 'enkel'], { is: 'single' }],
  [['red', 'rood'], { is: 'jacket', jacket: 'red' }],
  [['black', 'zwart'], { is: 'jacket', jacket: 'black' }],
  [['yellow', 'geel'], { is: 'jacket', jacket: 'yellow' }],
];
/** Words that people put between, and that change nothing. */
const FILLERS =
  /^(?:for|the|a|an|to|at|of|on|in|and|with|from|my|run|cable|long|each|back|voor|de|het|een|naar|op|van|met|en|kabel|lang|heen|terug|bij)(?![\p{L}\d])/u;

interface Rule {
  readonly at: RegExp;
  readonly make: (match: RegExpExecArray) => LineFact | null;
}
const END = String.raw`(?![\p{L}\d²])`;
const named = (
  words: string,
  unit: string,
  is: 'fuseA' | 'dropPercent' | 'efficiencyPercent' | 'ambientC' | 'lowestV',
): Rule => ({
  at: new RegExp(String.raw`(?:${words})\s*${NUMBER}\s*(?:${unit})?${END}`, 'uy'),
  make: ([, value = '']) => ({ is, value: numberOf(value) }),
});
const escaped = (text: string) => text.replace(/ /g, String.raw`\s+`);
const RULES: readonly Rule[] = [
  named('fuse|fused(?:\\s+at)?|zekering|gezekerd', 'a|amps?', 'fuseA'),
  {
    at: new RegExp(String.raw`${NUMBER}\s*a\s*(?:fuse|zekering)${END}`, 'uy'),
    make: ([, value = '']) => ({ is: 'fuseA', value: numberOf(value) }),
  },
  named('drop|voltage drop|val|spanningsval', '%', 'dropPercent'),
  named('eff|efficiency|efficient|rendement', '%', 'efficiencyPercent'),
  // Before the bare figure, which is °C: 86 °F is no 86.
  {
    at: new RegExp(String.raw`(?:air|lucht|ambient)\s*${NUMBER}\s*°?\s?f${END}`, 'uy'),
    make: ([, value = '']) => fahrenheit(numberOf(value)),
  },
  named('air|lucht|ambient', '°?\\s?c', 'ambientC'),
  named('low|lowest|down to|laagst|minimaal', 'v|volts?', 'lowestV'),
  {
    at: new RegExp(String.raw`(?:awg\s*(\d\/0|\d{1,2})|(\d\/0)(?:\s*awg)?|(\d{1,2})\s*awg)${END}`, 'uy'),
    make: (match) => gauge(match[1] ?? match[2] ?? match[3] ?? ''),
  },
  // Feet with inches, and inches with a fraction.
  {
    at: new RegExp(String.raw`(\d+)\s*(?:ft|feet|foot|')\s*(\d+(?:[.,]\d+)?)\s*(?:in|inch(?:es)?|")`, 'uy'),
    make: ([, feet = '', inches = '']) => ({
      is: 'lengthMm',
      value: numberOf(feet) * FOOT_MM + numberOf(inches) * INCH_MM,
    }),
  },
  {
    at: /(\d+)\s+(\d+)\/(\d+)\s*(?:in|inch(?:es)?|")/uy,
    make: ([, whole = '', over = '', under = '']) => ({
      is: 'lengthMm',
      value: (Number(whole) + Number(over) / Number(under)) * INCH_MM,
    }),
  },
  ...UNITS.map(([unit, make]): Rule => ({
    at: new RegExp(
      String.raw`${NUMBER}\s*(?:${unit})${/[%"'″′]/.test(unit) && !/[a-z]/.test(unit) ? '' : END}`,
      'uy',
    ),
    make: ([, value = '']) => make(numberOf(value)),
  })),
  // The longest first: an engine space is no engine.
  ...PHRASES.flatMap(([words, fact]) => words.map((text) => ({ text, fact })))
    .sort((one, other) => other.text.length - one.text.length)
    .map(({ text, fact }): Rule => ({ at: new RegExp(`${escaped(text)}${END}`, 'uy'), make: () => fact })),
];

/** What can be meant: a figure outside of it was mistyped, and is said not to be understood. */
const RANGES: Readonly<
  Record<Extract<LineFact, { readonly value: number }>['is'], readonly [number, number]>
> = {
  volts: [6, 1000],
  amps: [0.1, 5000],
  watts: [1, 1e6],
  seconds: [0.1, 36000],
  lengthMm: [RUN_LENGTH_MM.least, RUN_LENGTH_MM.most],
  fuseA: [1, 2000],
  dropPercent: [0.5, 50],
  efficiencyPercent: [10, 100],
  ambientC: [-40, 150],
  lowestV: [1, 1000],
};
const isPossible = (fact: LineFact): boolean => {
  if (!('value' in fact)) return true;
  const [least, most] = RANGES[fact.is];
  return fact.value >= least && fact.value <= most;
};

/** What the first rule that fits makes of the text from a place on, and where that ends. */
function readAt(text: string, from: number): { readonly fact: LineFact; readonly to: number } | null {
  for (const { at: pattern, make } of RULES) {
    pattern.lastIndex = from;
    const match = pattern.exec(text);
    const fact = match && make(match);
    if (fact && isPossible(fact)) return { fact, to: pattern.lastIndex };
  }
  return null;
}

/**
 * Reads a line as people type it: volts, amps or watts, a length in any unit, a size, a fuse, what it is for and where it
 * lies, in any order, in English and Dutch. Of two that say the same thing the last one counts.
 *
 * @example readLine('12 V 2000 W inverter 1.5 m').pieces.map(({ text }) => text) // ['12 V', '2000 W', 'inverter', '1.5 m']
 */
export function readLine(line: string): LineRead {
  const lower = line.toLowerCase();
  const pieces: LinePiece[] = [];
  const unread: string[] = [];
  for (let next = 0; next < lower.length;) {
    const gap = /[\s,;·|]+/uy;
    gap.lastIndex = next;
    if (gap.test(lower)) {
      next = gap.lastIndex;
      continue;
    }
    const found = readAt(lower, next);
    if (found) {
      pieces.push({ text: line.slice(next, found.to).trim(), fact: found.fact });
      next = found.to;
      continue;
    }
    const filler = FILLERS.exec(lower.slice(next));
    const word = filler?.[0] ?? /^[^\s,;|]+/u.exec(lower.slice(next))?.[0] ?? lower[next] ?? '';
    if (!filler) unread.push(line.slice(next, next + word.length));
    next += Math.max(1, word.length);
  }
  return { pieces, unread };
}
