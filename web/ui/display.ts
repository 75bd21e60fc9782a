import {
  areaMm2,
  copperDifferencePercent,
  type ConductorSize,
  nearestIn,
  sizeLabel,
} from '../../core/model/tables/size.ts';
import type { Finding, Limit } from '../../core/finding/finding.ts';
import { figure, type Unit, unitSays } from '../../core/model/units/figure.ts';
import { digits } from '../../core/words/numerals.ts';
import type { Prefs } from '../storage/prefs.ts';
import { say } from '../../core/words/say.ts';

const MM_PER_INCH = 25.4;

/** A figure as this person reads lengths: mm, or inches to a hundredth; every other unit as it is. */
export function inReadersUnit(
  value: number,
  unit: Unit,
  decimals: number,
  lengths: Prefs['lengths'],
): { value: string; unit: string } {
  // Beyond a thousand the decimals are noise.
  if (unit !== 'mm' || lengths === 'mm')
    return { value: digits(value, Math.abs(value) >= 1000 ? 0 : decimals), unit: unitSays(unit) };
  return { value: digits(value / MM_PER_INCH, Math.min(decimals + 2, 3)), unit: 'in' };
}

export function lengthText(mm: number, decimals: number, lengths: Prefs['lengths']): string {
  const { value, unit } = inReadersUnit(mm, 'mm', decimals, lengths);
  return `${value}\u2009${unit}`;
}

/** A length along a run: metres, or feet. @example runText(6400, 'mm') // "6.40 m" */
export const runText = (mm: number, lengths: Prefs['lengths']): string =>
  lengths === 'in' ? `${digits(mm / MM_PER_INCH / 12, 1)}\u2009ft` : `${digits(mm / 1000, 2)}\u2009m`;

/**
 * A size as this person names sizes. A gauge read in mm² is its real area; a metric size read in gauge is only near
 * one, and is marked so.
 */
export function sizeText(size: ConductorSize, sizes: Prefs['sizes']): string {
  if (sizes === 'metric') return size.system === 'metric' ? sizeLabel(size) : figure(areaMm2(size), 'mm²', 0);
  return size.system === 'metric' ? `≈ ${sizeLabel(nearestIn('awg', size).size)}` : sizeLabel(size);
}

/** A size as its figure, to be written large, and what stands behind it: "70" and "mm²"; a gauge is all figure. */
export function sizeParts(size: ConductorSize, sizes: Prefs['sizes']): { number: string; unit: string } {
  const text = sizeText(size, sizes);
  const [, number = text, unit = ''] = /^(.*?)[\u2009\s](mm²)$/u.exec(text) ?? [];
  return { number, unit };
}

/** What calling a size by the other system's nearest name would hide: "70 mm² holds 3.8 % more copper than AWG 2/0". */
export function conversionText(size: ConductorSize): string {
  const { size: near } = nearestIn(size.system === 'metric' ? 'awg' : 'metric', size);
  const difference = copperDifferencePercent(size, near);
  const amount = figure(Math.abs(difference), '%', 1);
  return say`${sizeLabel(size)} holds ${amount} ${difference < 0 ? say`less` : say`more`} copper than ${sizeLabel(near)}`;
}

/**
 * The limit of a finding, or of the findings of both ends, in the reader's unit: "at most 5.00 %", "at most
 * 0.90 / 0.72 mm", "4.0 to 7.0 / 9.0 to 14.0 N·m".
 */
export function limitText(findings: readonly Finding[], lengths: Prefs['lengths']): string {
  const limits = findings.flatMap(({ limit, unit, decimals }) => {
    const sized = (value: number) => inReadersUnit(value, unit, decimals, lengths);
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
    provenance === 'typed'
      ? say`Typed`
      : provenance === 'instrument'
        ? say`By instrument`
        : say`By a stand-in`;
  const by =
    provenance === 'typed'
      ? say`by ${read.by || say`nobody named`}`
      : say`, taken by ${read.by || say`nobody named`}`;
  const withWhat = read.with ? say`, with ${read.with}` : say`, its instrument not said`;
  const due = read.due ? say`, calibrated until ${read.due}` : '';
  return say`${how}${provenance === 'typed' ? ' ' : ''}${by} on ${read.at.slice(0, 10)}${withWhat}${due}.`;
}

/** What is left of a limit: "7.8 % left", "35 K left". */
export function marginText({ margin, limit, unit, value, state }: Finding): string {
  if (margin === undefined || value === null || !limit) return '';
  if (unit === '°C' && limit.kind === 'most') {
    const kelvin = limit.most - value;
    return kelvin >= 0 ? say`${digits(kelvin, 0)}\u2009K left` : say`${digits(-kelvin, 0)}\u2009K over`;
  }
  if (limit.kind === 'window' && state !== 'fails') return '';
  const percent = Math.abs(margin * 100);
  const amount = `${digits(percent, percent < 10 ? 1 : 0)}\u2009%`;
  if (margin >= 0) return say`${amount} left`;
  return limit.kind === 'least' ? say`${amount} short` : say`${amount} over`;
}
