import { say } from '../../words/say.ts';
import { type DecimalMark, decimalMark } from '../../words/language.ts';
import { baseUnit, EntryError, type QuantityKind, UNITS, unitNamed, type UnitOfEntry } from './entryUnits.ts';

export type Entry =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly sentence: string };

type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'word' | 'sign'; readonly text: string };

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const TOKEN = new RegExp(
  // A mixed fraction, "3 1/2"; a number whose thousands stand apart; a number; a unit; a sign.
  String.raw`(?<mixed>(\d+)\s+(\d+)\/(\d+)(?![\d/]))|(?<apart>\d{1,3}(?:[\s\u2009\u202f]\d{3})+(?:[.,]\d+)?(?!\d))|(?<number>${NUMBER})|(?<word>[a-zA-Z°µΩ%"'′″·]+)|(?<sign>[-−+*×·/÷()])`,
  'gu',
);

/** A mark with three figures after it may part thousands or decimals: only the reader's own mark is taken for the latter. */
function numberOf(text: string, mark: DecimalMark): number {
  const [whole = '', fraction] = text.split(mark === '.' ? ',' : '.');
  if (/^\d{1,3}$/.test(whole) && fraction !== undefined && /^\d{3}$/.test(fraction)) {
    throw new EntryError(
      say`"${text}" can be read two ways: write ${whole + fraction} or ${whole + mark + fraction}.`,
    );
  }
  return Number(text.replace(',', '.'));
}

function tokens(text: string, mark: DecimalMark): Token[] {
  const found: Token[] = [];
  let end = 0;
  for (const match of text.matchAll(TOKEN)) {
    const skipped = text.slice(end, match.index).trim();
    if (skipped !== '') throw new EntryError(say`"${skipped}" is not understood here.`);
    end = match.index + match[0].length;
    const { mixed, apart, number, word, sign } = match.groups ?? {};
    if (mixed) found.push({ kind: 'number', value: Number(match[2]) + Number(match[3]) / Number(match[4]) });
    else if (apart) found.push({ kind: 'number', value: numberOf(apart.replace(/\s/gu, ''), mark) });
    else if (number) found.push({ kind: 'number', value: numberOf(number, mark) });
    else if (word) found.push({ kind: 'word', text: word });
    else if (sign)
      found.push({ kind: 'sign', text: sign.replace('−', '-').replace(/[×·]/, '*').replace('÷', '/') });
  }
  const rest = text.slice(end).trim();
  if (rest !== '') throw new EntryError(say`"${rest}" is not understood here.`);
  return found;
}

/** A value on its way: `unit` tells whether it already is in the base unit or still a bare number. */
interface Value {
  readonly value: number;
  readonly unit: boolean;
}

class Parser {
  readonly #tokens: readonly Token[];
  readonly #kind: QuantityKind;
  readonly #defaultUnit: UnitOfEntry;
  #next = 0;

  constructor(tokens: readonly Token[], kind: QuantityKind, defaultUnit: UnitOfEntry) {
    this.#tokens = tokens;
    this.#kind = kind;
    this.#defaultUnit = defaultUnit;
  }

  parse(): number {
    const value = this.#inBase(this.#sum());
    const left = this.#tokens[this.#next];
    if (left) throw new EntryError(say`Unexpected "${left.kind === 'number' ? left.value : left.text}".`);
    return value;
  }

  #inBase({ value, unit }: Value): number {
    return unit ? value : value * this.#defaultUnit.factor + (this.#defaultUnit.offset ?? 0);
  }

  #takeSign(...signs: string[]): string | undefined {
    const token = this.#tokens[this.#next];
    if (token?.kind !== 'sign' || !signs.includes(token.text)) return undefined;
    this.#next += 1;
    return token.text;
  }

  #sum(): Value {
    let left = this.#product();
    for (let sign = this.#takeSign('+', '-'); sign; sign = this.#takeSign('+', '-')) {
      const right = this.#product();
      const bare = !left.unit && !right.unit;
      const [a, b] = bare ? [left.value, right.value] : [this.#inBase(left), this.#inBase(right)];
      left = { value: sign === '+' ? a + b : a - b, unit: !bare };
    }
    return left;
  }

  #product(): Value {
    let left = this.#factor();
    for (let sign = this.#takeSign('*', '/'); sign; sign = this.#takeSign('*', '/')) {
      const right = this.#factor();
      if (right.unit && (left.unit || sign === '/'))
        throw new EntryError(say`Two units cannot be multiplied or divided here.`);
      if (sign === '/' && right.value === 0) throw new EntryError(say`Nothing can be divided by 0.`);
      left = {
        value: sign === '*' ? left.value * right.value : left.value / right.value,
        unit: left.unit || right.unit,
      };
    }
    return left;
  }

  #factor(): Value {
    if (this.#takeSign('-')) {
      // Degrees below nought: the sign belongs to the figure, before its unit moves the nought.
      if (this.#kind === 'temperature' && this.#tokens[this.#next]?.kind === 'number')
        return this.#measure(-1);
      const { value, unit } = this.#factor();
      return { value: -value, unit };
    }
    if (this.#takeSign('(')) {
      const inner = this.#sum();
      if (!this.#takeSign(')')) throw new EntryError(say`A bracket is not closed.`);
      return inner;
    }
    return this.#measure();
  }

  /** A number with its unit; after feet, inches follow with or without theirs. */
  #measure(sign: 1 | -1 = 1): Value {
    const token = this.#tokens[this.#next];
    if (token?.kind !== 'number') throw new EntryError(say`A number is missing.`);
    this.#next += 1;
    const unit = this.#unit();
    if (!unit) return { value: sign * token.value, unit: false };
    let value = sign * token.value * unit.factor + (unit.offset ?? 0);
    const after = this.#tokens[this.#next];
    if (this.#kind === 'length' && after?.kind === 'number') {
      this.#next += 1;
      const { ft, in: inch } = UNITS.length.units;
      const lesser = this.#unit() ?? (unit.factor === ft?.factor ? inch : undefined);
      if (!lesser || lesser.factor >= unit.factor)
        throw new EntryError(say`Give the unit of the second number.`);
      value += after.value * lesser.factor;
    }
    return { value, unit: true };
  }

  #unit(): UnitOfEntry | undefined {
    const token = this.#tokens[this.#next];
    if (token?.kind !== 'word') return undefined;
    this.#next += 1;
    // A torque is typed in two words: "12 ft lb", "12 lbf ft".
    const second = this.#tokens[this.#next];
    let text = token.text;
    if (this.#kind === 'torque' && second?.kind === 'word') {
      this.#next += 1;
      text += second.text;
    }
    return unitNamed(text, this.#kind);
  }
}

/**
 * Reads what a person typed: a number with or without its unit, arithmetic, a decimal comma or point.
 *
 * @param defaultUnit the unit a bare number is in: the one the field shows
 * @param mark how decimals are parted where a figure could be read two ways: the reader's mark; a file's, in a file
 * @returns the value in the kind's base unit (mm, A, V, W, s, °C, mΩ, MΩ, N, N·m, %, °), or a sentence saying why not
 * @example parseQuantity('12 ft 6', 'length', 'mm') // { ok: true, value: 3810 }
 * @example parseQuantity('2*350+40', 'length', 'mm') // { ok: true, value: 740 }
 */
export function parseQuantity(
  text: string,
  kind: QuantityKind,
  defaultUnit = baseUnit(kind),
  mark: DecimalMark = decimalMark(),
): Entry {
  try {
    if (text.trim() === '') throw new EntryError(say`Enter a value.`);
    if (text.length > 80) throw new EntryError(say`That is too long for a figure.`);
    const unit = defaultUnit === '' ? { factor: 1 } : unitNamed(defaultUnit, kind);
    const value = new Parser(tokens(text, mark), kind, unit).parse();
    if (!Number.isFinite(value)) throw new EntryError(say`That is not a number.`);
    return { ok: true, value };
  } catch (error) {
    if (error instanceof EntryError) return { ok: false, sentence: error.message };
    throw error;
  }
}
