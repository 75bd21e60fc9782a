import type { InstrumentKind } from '../model/tables/instruments.ts';
import type { Said } from './sample.ts';
import { inUnitOf, unitsOf } from './units.ts';
import { say } from '../words/say.ts';

/** Reads one line of an instrument that arrived `atS` seconds after the probes went on. */
export type ReadLine = (line: string, atS: number) => Said;

export type CompiledLine =
  | { readonly ok: true; readonly read: ReadLine }
  | { readonly ok: false; readonly sentence: string };

/** What a pattern may name. A space stands for any space, and everything else for itself. */
const PARTS: Readonly<Record<string, string>> = {
  value: '(?<value>[+-]?\\s?(?:\\d{1,12}(?:[.,]\\d{0,12})?|[.,]\\d{1,12})(?:[eE][+-]?\\d{1,2})?)',
  unit: '(?<unit>[A-Za-z°µμΩ"]{1,6})',
  skip: '.{0,80}?',
};
/** Common ways of saying that it is too much, in place of a figure. */
const OVER = /(^|[\s,;:])(?:[+-]?O\.?L\.?|OVER(?:LOAD)?|-{3,})(?=$|[\s,;:])/i;
const LONGEST_LINE = 200;

/**
 * Makes a reader of an instrument's lines from its pattern: `<value>` is the figure, `<unit>` its unit where the line
 * says it, `<skip>` is anything. The whole line must fit: what does not is garbage and never becomes a reading.
 *
 * @param unit of lines that do not say theirs
 * @example compileLine('ST,<skip>,<value><unit>', '', 'scale') // reads "ST,GS,+ 68.0kg" as 666.85 N
 */
export function compileLine(pattern: string, unit: string, kind: InstrumentKind): CompiledLine {
  const refuse = (sentence: string): CompiledLine => ({ ok: false, sentence });
  const parts = pattern.trim().split(/(<[^>]*>)/);
  const named = parts.flatMap((part) => /^<(.*)>$/.exec(part)?.[1] ?? []);
  const unknown = named.find((part) => !Object.hasOwn(PARTS, part));
  if (unknown !== undefined) return refuse(say`“<${unknown}>” is nothing: use <value>, <unit> and <skip>.`);
  const count = (what: string) => named.filter((part) => part === what).length;
  if (count('value') !== 1) return refuse(say`Mark once where the figure is: <value>.`);
  if (count('unit') > 1) return refuse(say`A line has one unit: give <unit> once.`);
  if (count('skip') > 4) return refuse(say`At most four times <skip>.`);
  const saysUnit = count('unit') === 1;
  if (!saysUnit && inUnitOf(kind, 1, unit) === null) {
    return refuse(
      unit === ''
        ? say`Its lines give no unit: enter which it is, ${unitsOf(kind).slice(0, 4).join(', ')}.`
        : say`“${unit}” is no unit of this instrument: ${unitsOf(kind).slice(0, 6).join(', ')}.`,
    );
  }
  const source = parts
    .map((part) => {
      const own = /^<(.*)>$/.exec(part)?.[1];
      return own ? PARTS[own] : part.replace(/[.*+?^${}()|[\]\\/-]/g, '\\$&').replace(/\s+/g, '\\s*');
    })
    .join('');
  const whole = new RegExp(`^\\s*${source}\\s*$`);
  return {
    ok: true,
    read: (line, atS) => {
      if (line.length > LONGEST_LINE)
        return { kind: 'refused', because: 'too long', line: line.slice(0, 40) };
      if (OVER.test(line)) return { kind: 'over', atS };
      const found = whole.exec(line)?.groups;
      const written = found?.['value'];
      if (written === undefined) return { kind: 'refused', because: 'garbage', line };
      const value = inUnitOf(
        kind,
        Number(written.replace(/\s/, '').replace(',', '.')),
        found?.['unit'] ?? unit,
      );
      if (value === null) return { kind: 'refused', because: 'wrong unit', line };
      return Number.isFinite(value)
        ? { kind: 'value', value, atS, settled: null }
        : { kind: 'refused', because: 'garbage', line };
    },
  };
}
