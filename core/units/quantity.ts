import { type DecimalMark, decimalMark, say } from '../words/say.ts';

/** What an entry field asks for. Each kind has one base unit, in which the core keeps it. */
export type QuantityKind =
  | 'length'
  | 'current'
  | 'voltage'
  | 'power'
  | 'duration'
  | 'temperature'
  | 'millivolt'
  | 'milliohm'
  | 'megohm'
  | 'force'
  | 'torque'
  | 'percent'
  | 'angle'
  | 'number';

interface UnitOfEntry {
  readonly factor: number;
  /** Added after the factor: only temperatures have one. */
  readonly offset?: number;
}

/** Units a person may type, with what one of them is in the base unit of the kind. */
const UNITS: Readonly<Record<QuantityKind, { base: string; units: Readonly<Record<string, UnitOfEntry>> }>> =
  {
    length: {
      base: 'mm',
      units: {
        mm: { factor: 1 },
        cm: { factor: 10 },
        m: { factor: 1000 },
        in: { factor: 25.4 },
        inch: { factor: 25.4 },
        inches: { factor: 25.4 },
        '"': { factor: 25.4 },
        ft: { factor: 304.8 },
        feet: { factor: 304.8 },
        foot: { factor: 304.8 },
        "'": { factor: 304.8 },
      },
    },
    current: {
      base: 'A',
      units: {
        a: { factor: 1 },
        amp: { factor: 1 },
        amps: { factor: 1 },
        ka: { factor: 1000 },
        ma: { factor: 0.001 },
      },
    },
    voltage: {
      base: 'V',
      units: {
        v: { factor: 1 },
        volt: { factor: 1 },
        volts: { factor: 1 },
        kv: { factor: 1000 },
        mv: { factor: 0.001 },
      },
    },
    power: {
      base: 'W',
      units: { w: { factor: 1 }, watt: { factor: 1 }, watts: { factor: 1 }, kw: { factor: 1000 } },
    },
    duration: {
      base: 's',
      units: {
        s: { factor: 1 },
        sec: { factor: 1 },
        min: { factor: 60 },
        minutes: { factor: 60 },
        h: { factor: 3600 },
      },
    },
    temperature: {
      base: '°C',
      units: {
        c: { factor: 1 },
        '°c': { factor: 1 },
        '°': { factor: 1 },
        f: { factor: 5 / 9, offset: -160 / 9 },
        '°f': { factor: 5 / 9, offset: -160 / 9 },
      },
    },
    millivolt: {
      base: 'mV',
      units: {
        mv: { factor: 1 },
        millivolt: { factor: 1 },
        v: { factor: 1000 },
        uv: { factor: 0.001 },
        µv: { factor: 0.001 },
      },
    },
    milliohm: {
      base: 'mΩ',
      units: {
        mω: { factor: 1 },
        mohm: { factor: 1 },
        ω: { factor: 1000 },
        ohm: { factor: 1000 },
        µω: { factor: 0.001 },
        uω: { factor: 0.001 },
        uohm: { factor: 0.001 },
      },
    },
    // Here a capital M matters and is told from a small one before the case is dropped: see `tokens`.
    megohm: {
      base: 'MΩ',
      units: {
        mω: { factor: 1 },
        mohm: { factor: 1 },
        gω: { factor: 1000 },
        gohm: { factor: 1000 },
        kω: { factor: 0.001 },
        kohm: { factor: 0.001 },
      },
    },
    force: {
      base: 'N',
      units: {
        n: { factor: 1 },
        kn: { factor: 1000 },
        kg: { factor: 9.80665 },
        lbf: { factor: 4.44822 },
        lb: { factor: 4.44822 },
        lbs: { factor: 4.44822 },
      },
    },
    torque: {
      base: 'N·m',
      units: {
        nm: { factor: 1 },
        'n·m': { factor: 1 },
        lbfft: { factor: 1.35582 },
        lbft: { factor: 1.35582 },
        ftlb: { factor: 1.35582 },
        inlb: { factor: 0.112985 },
        lbfin: { factor: 0.112985 },
      },
    },
    percent: { base: '%', units: { '%': { factor: 1 } } },
    angle: { base: '°', units: { '°': { factor: 1 }, deg: { factor: 1 } } },
    number: { base: '', units: {} },
  };

export type Entry =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly sentence: string };

class EntryError extends Error {}

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
    if (left)
      throw new EntryError(say`"${left.kind === 'number' ? left.value : left.text}" is one thing too many.`);
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
  #measure(): Value {
    const token = this.#tokens[this.#next];
    if (token?.kind !== 'number') throw new EntryError(say`A number is missing.`);
    this.#next += 1;
    const unit = this.#unit();
    if (!unit) return { value: token.value, unit: false };
    let value = token.value * unit.factor + (unit.offset ?? 0);
    const after = this.#tokens[this.#next];
    if (this.#kind === 'length' && after?.kind === 'number') {
      this.#next += 1;
      const FOOT = UNITS.length.units['ft'];
      const inches = unit === FOOT || unit.factor === FOOT?.factor;
      const lesser = this.#unit() ?? (inches ? UNITS.length.units['in'] : undefined);
      if (!lesser || lesser.factor >= unit.factor)
        throw new EntryError(say`Say the unit of the second number.`);
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

function unitNamed(text: string, kind: QuantityKind): UnitOfEntry {
  const { units, base } = UNITS[kind];
  if (
    (kind === 'milliohm' && /^M(Ω|ohm)/i.test(text) && text.startsWith('M')) ||
    (kind === 'megohm' && text.startsWith('m'))
  ) {
    throw new EntryError(say`${text} is a thousand million times off: ${base} is meant here.`);
  }
  const unit = units[text.toLowerCase().replaceAll('′', "'").replaceAll('″', '"')];
  if (!unit) {
    throw new EntryError(
      base === ''
        ? say`No unit is wanted here, and "${text}" was typed.`
        : say`"${text}" is not a unit for this; ${base} is.`,
    );
  }
  return unit;
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
  defaultUnit = UNITS[kind].base,
  mark: DecimalMark = decimalMark(),
): Entry {
  try {
    if (text.trim() === '') throw new EntryError(say`Nothing is written here.`);
    if (text.length > 80) throw new EntryError(say`That is too long for a figure.`);
    const unit = defaultUnit === '' ? { factor: 1 } : unitNamed(defaultUnit, kind);
    const value = new Parser(tokens(text, mark), kind, unit).parse();
    if (!Number.isFinite(value)) throw new EntryError(say`That is no figure.`);
    return { ok: true, value };
  } catch (error) {
    if (error instanceof EntryError) return { ok: false, sentence: error.message };
    throw error;
  }
}

/** What a bare number counts in, for a kind: "mm", "A" … */
export function baseUnit(kind: QuantityKind): string {
  return UNITS[kind].base;
}
