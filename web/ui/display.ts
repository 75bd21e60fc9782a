import {
  areaMm2,
  copperDifferencePercent,
  type ConductorSize,
  nearestIn,
  sizeLabel,
} from '../../core/model/tables/size.ts';
import type { Finding, Limit } from '../../core/finding/finding.ts';
import { dayText, measured, measures } from '../../core/words/measures.ts';
import { decimalsOf, figure, type Unit, unitSays } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import { say } from '../../core/words/say.ts';

/** A figure as this person reads figures: in their measure, with its unit apart. */
export function inReadersUnit(value: number, unit: Unit, decimals: number): { value: string; unit: string } {
  const shown = measured(value, unit, decimals);
  return {
    value: digits(shown.value, decimalsOf(shown)),
    unit: shown.unit === unit ? unitSays(unit) : shown.unit,
  };
}

/** The reader's unit for what the core gives in `unit`: as the head of a column. */
export const readersUnit = (unit: Unit): string => inReadersUnit(0, unit, 0).unit;

/** A figure in the reader's unit, without it: for a column that says it once. */
export const readersDigits = (value: number, unit: Unit, decimals: number): string =>
  inReadersUnit(value, unit, decimals).value;

/** A length of some cm. @example lengthText(6361, 0) // "6 361 mm" */
export const lengthText = (mm: number, decimals: number): string => figure(mm, 'mm', decimals);

/** A length along a run: metres, or feet. @example runText(6400) // "6.40 m" */
export const runText = (mm: number): string => figure(mm / 1000, 'm', 2);

/**
 * A size as this person names sizes. A gauge read in mm² is its real area; a metric size read in gauge is only near
 * one, and is marked so.
 */
export function sizeText(size: ConductorSize): string {
  if (measures().sizes === 'metric')
    return size.system === 'metric' ? sizeLabel(size) : figure(areaMm2(size), 'mm²', 0);
  return size.system === 'metric' ? `≈ ${sizeLabel(nearestIn('awg', size).size)}` : sizeLabel(size);
}

/** A size as its figure, to be written large, and what stands behind it: "70" and "mm²"; a gauge is all figure. */
export function sizeParts(size: ConductorSize): { number: string; unit: string } {
  const text = sizeText(size);
  const [, number = text, unit = ''] = /^(.*?)[\u2009\s](mm²)$/u.exec(text) ?? [];
  return { number, unit };
}

/** What calling a size by the other system's nearest name would hide: "70 mm² holds 3.8 % more copper than AWG 2/0". */
export function conversionText(size: ConductorSize): string {
  const { size: near } = nearestIn(size.system === 'metric' ? 'awg' : 'metric', size);
  const difference = copperDifferencePercent(size, near);
  const amount = figure(Math.abs(difference), '%', 1);
  return say`${sizeLabel(size)} has ${amount} ${difference < 0 ? say`less` : say`more`} copper than ${sizeLabel(near)}`;
}

/**
 * The limit of a finding, or of the findings of both ends, in the reader's unit: "at most 5.00 %", "at most
 * 0.90 / 0.72 mm", "4.0 to 7.0 / 9.0 to 14.0 N·m".
 */
export function limitText(findings: readonly Finding[]): string {
  const limits = findings.flatMap(({ limit, unit, decimals }) => {
    const sized = (value: number) => inReadersUnit(value, unit, decimals);
    return limit ? [limitParts(limit, sized)] : [];
  });
  const [first] = limits;
  if (!first) return '';
  const figures = [...new Set(limits.map(({ figures }) => figures))].join(' / ');
  return [first.relation, first.unit ? `${figures}\u2009${first.unit}` : figures].filter(Boolean).join(' ');
}

function limitParts(
  limit: Limit,
  sized: (value: number) => { value: string; unit: string },
): { relation: string; figures: string; unit: string } {
  switch (limit.kind) {
    case 'most':
      return { relation: say`at most`, figures: sized(limit.most).value, unit: sized(limit.most).unit };
    case 'least':
      return { relation: say`at least`, figures: sized(limit.least).value, unit: sized(limit.least).unit };
    case 'window':
      return {
        relation: '',
        figures: say`${sized(limit.least).value} to ${sized(limit.most).value}`,
        unit: sized(limit.most).unit,
      };
  }
}

/** Who read a figure, when and with what: "Typed by R. Pell on 2026-11-20, with Calliper 150, calibrated until 2027-05-31." */
export function readText({ read, provenance }: Finding): string {
  if (!read) return '';
  const how =
    provenance === 'typed' ? say`Typed` : provenance === 'instrument' ? say`By instrument` : say`Simulated`;
  const by =
    provenance === 'typed'
      ? say`by ${read.by || say`nobody named`}`
      : say`, taken by ${read.by || say`nobody named`}`;
  const withWhat = read.with ? say`, with ${read.with}` : say`, its instrument not given`;
  const due = read.due ? say`, calibrated until ${dayText(read.due)}` : '';
  return say`${how}${provenance === 'typed' ? ' ' : ''}${by} on ${dayText(read.at)}${withWhat}${due}.`;
}

/** What is left of a limit: "7.8 % left", "35 K left". */
export function marginText({ margin, limit, unit, value, state }: Finding): string {
  if (margin === undefined || value === null || !limit) return '';
  if (unit === '°C' && limit.kind === 'most') {
    const kelvin = limit.most - value;
    return kelvin >= 0 ? say`${figure(kelvin, 'K', 0)} left` : say`${figure(-kelvin, 'K', 0)} over`;
  }
  if (limit.kind === 'window' && state !== 'fails') return '';
  const percent = Math.abs(margin * 100);
  const amount = `${digits(percent, percent < 10 ? 1 : 0)}\u2009%`;
  if (margin >= 0) return say`${amount} left`;
  return limit.kind === 'least' ? say`${amount} short` : say`${amount} over`;
}
