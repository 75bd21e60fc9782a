import { brief, digits, NO_FIGURE, THIN } from './numerals.ts';
import { conjoined, keyOf, said } from './language.ts';
import { measured, measures } from './measures.ts';

/** A number with its unit, to be written as the reader writes numbers. */
export interface Amount {
  readonly figure: number;
  /** Decimals that are always written; the most that are, where it is `brief`. */
  readonly decimals: number;
  readonly unit?: string | undefined;
  readonly brief?: true | undefined;
  /** In the reader's measure, its unit written elsewhere in the sentence. */
  readonly bare?: true | undefined;
}

/** A message of the code, by its English text with its parts numbered, and what is put in their places. */
export interface Sentence {
  readonly say: string;
  readonly with?: readonly Part[] | undefined;
}

/** Messages one after the other, with something between them; where nothing is given, as its language lists things. */
export interface Listed {
  readonly list: readonly Message[];
  readonly by?: Message | undefined;
}

/** A message in another shape: its first letter a capital, all small, or small and only up to its first comma. */
export interface Shaped {
  readonly shape: 'capital' | 'small' | 'head';
  readonly of: Message;
}

/** What has a name in mm² and one in gauges: a size of conductor. */
export interface Sized {
  readonly metric: string;
  readonly gauge: string;
}

/**
 * What is to be told, in no language yet: plain data, so that it crosses a worker, stays in a file, and is read in any
 * language later. A plain string is told as it is: a name, a sign, a formula.
 */
export type Message = string | Sentence | Amount | Listed | Shaped | Sized;

/** What may be put into a message. */
export type Part = Message | number | null | undefined;

/**
 * A message that the reader's language has words for: the tag of every sentence that core makes. The English in the
 * code is the message; what a language says for it stands in `words/`, as for `say`.
 *
 * @param parts a number is written with the reader's decimal mark; one that is absent is left out
 * @example tell(msg`${4} of ${14} ticked`) // "4 of 14 ticked", or "4 van 14 afgevinkt"
 */
export const msg = (texts: TemplateStringsArray, ...parts: readonly Part[]): Message =>
  parts.length === 0 ? { say: keyOf(texts) } : { say: keyOf(texts), with: parts };

/** A message with no words of its own to put into another language: a formula, or messages side by side. */
export const verbatim = msg;

/** A number with its unit, as a part of a message. @example amount(69.8, '°C', 1) */
export const amount = (value: number, unit: string, decimals: number): Message =>
  Number.isFinite(value) ? { figure: value, decimals, ...(unit !== '' && { unit }) } : NO_FIGURE;

/** A number in the reader's measure whose unit another figure of the sentence says. @example bare(4, 'N·m', 0) */
export const bare = (value: number, unit: string, decimals: number): Message =>
  Number.isFinite(value) ? { figure: value, decimals, unit, bare: true } : NO_FIGURE;

/** A number with its unit and no more decimals than it needs. @example briefly(0.5, 'mm', 1) */
export const briefly = (value: number, unit: string, most: number): Message =>
  Number.isFinite(value) ? { figure: value, decimals: most, unit, brief: true } : NO_FIGURE;

/** A number alone. @example numeral(6349, 0) */
export const numeral = (value: number, decimals: number): Message => amount(value, '', decimals);

/** A number with no more decimals than it needs. @example shortest(24, 1) */
export const shortest = (value: number, most: number): Message =>
  Number.isFinite(value) ? { figure: value, decimals: most, brief: true } : NO_FIGURE;

/** All of some things, as the reader's language lists them. @example tell(allOf(['A', 'B', 'C'])) // "A, B and C" */
export const allOf = (list: readonly Message[]): Message => (list.length === 0 ? '' : { list });

/** Messages one after the other; nothing where there is none. @example listed(['A', 'B'], '; ') */
export const listed = (list: readonly Message[], by: Message): Message =>
  list.length === 0 ? '' : { list, by };

/** As a sentence begins: its first letter a capital. */
export const capitalised = (of: Message): Message => ({ shape: 'capital', of });

/** As a title stands inside a sentence: in small letters. */
export const small = (of: Message): Message => ({ shape: 'small', of });

/** What a title says before its first comma, in small letters. */
export const head = (of: Message): Message => ({ shape: 'head', of });

/** Whether two messages say the same. */
export const isSame = (a: Message, b: Message): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

const SHAPES: Readonly<Record<Shaped['shape'], (text: string) => string>> = {
  capital: (text) => text.charAt(0).toUpperCase() + text.slice(1),
  small: (text) => text.toLowerCase(),
  head: (text) => (text.split(',')[0] ?? text).toLowerCase(),
};

function inUnit({ figure, decimals, unit, brief: isBrief, bare: isBare }: Amount): string {
  const number = isBrief ? brief(figure, decimals) : digits(figure, decimals);
  return unit === undefined || isBare ? number : `${number}${THIN}${said(unit, [])}`;
}

/** An amount in the reader's measure; itself where they have no other. */
function readersOf(own: Amount): Amount {
  if (own.unit === undefined) return own;
  const { value, unit, decimals } = measured(own.figure, own.unit, own.decimals);
  return unit === own.unit ? own : { ...own, figure: value, unit, decimals };
}

const written = (own: Amount): string => inUnit(readersOf(own));

/** As the core calculates, with the reader's measure after it; a bare one alone, as its unit is written elsewhere. */
function reckonedFirst(own: Amount): string {
  const readers = readersOf(own);
  return readers === own || own.bare ? inUnit(own) : `${inUnit(own)} (${inUnit(readers)})`;
}

function inWords(message: Part, write: (own: Amount) => string): string {
  if (message === null || message === undefined) return '';
  if (typeof message === 'string') return message;
  if (typeof message === 'number') return said('{0}', [message]);
  const each = (part: Part) => inWords(part, write);
  if ('say' in message) {
    return said(
      message.say,
      (message.with ?? []).map((part) => (typeof part === 'number' ? part : each(part))),
    );
  }
  if ('figure' in message) return write(message);
  if ('metric' in message)
    return measures().sizes === 'metric' ? message.metric : `${message.metric} (${message.gauge})`;
  if ('list' in message) {
    const told = message.list.map(each);
    return message.by === undefined ? conjoined(told) : told.join(each(message.by));
  }
  return SHAPES[message.shape](each(message.of));
}

/**
 * Tells a message in the reader's language, with the reader's decimal mark. A sentence that the language lacks is told
 * in English.
 *
 * @example tell(amount(0.5, 'V', 2)) // "0.50 V", or "0,50 V" in Dutch
 */
export const tell = (message: Part): string => inWords(message, written);

/**
 * Tells a line of a work: its formula and numbers agree in the units that the core calculates in, so each figure keeps its
 * own, with the reader's measure after it where that is another.
 *
 * @example tellWork(msg`= ${6300} + ${49} = ${amount(6349, 'mm', 0)}`) // "= 6300 + 49 = 6 349 mm (249.96 in)"
 */
export const tellWork = (line: Part): string => inWords(line, reckonedFirst);

const KEYS: readonly (readonly string[])[] = [
  ['say', 'with'],
  ['figure', 'decimals', 'unit', 'brief', 'bare'],
  ['list', 'by'],
  ['shape', 'of'],
  ['metric', 'gauge'],
];

/**
 * Tells every message on the way into JSON: the words of what is computed for somebody who has only the text.
 *
 * @example JSON.stringify({ because: msg`Not tried.` }, told) // '{"because":"Not tried."}'
 */
export function told(_key: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const own = Object.keys(value);
  const isMessage = KEYS.some(([first = '', ...rest]) => first in value && own.every((key) => key === first || rest.includes(key)));
  return isMessage ? tell(value as Message) : value;
}
