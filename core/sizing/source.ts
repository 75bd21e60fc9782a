import {
  CHARGING_RATIO,
  type Chemistry,
  SHORT_AMPS_PER_AH,
  SHORT_PER_CRANKING_AMP,
} from '../catalogue/tables/sources.ts';
import { say } from '../words/say.ts';

/** What is known of the source behind a cable. */
export type Source =
  | { readonly kind: 'unknown' }
  | { readonly kind: 'typed'; readonly milliohm: number }
  | {
      readonly kind: 'cells';
      readonly cellMilliohm: number;
      readonly inSeries: number;
      readonly strings: number;
    }
  | { readonly kind: 'battery'; readonly chemistry: Chemistry; readonly ampHours: number }
  | { readonly kind: 'cranking'; readonly crankingA: number };

/** The source's own resistance, and whether it is more than an estimate. */
export interface SourceResistance {
  readonly ohm: number;
  readonly confidence: 'good' | 'low';
  /** How it was found, for the work shown. */
  readonly how: string;
}

/**
 * Internal resistance of a source, Ω, or null where nothing is known.
 *
 * Source: typed, or cells in series and strings, or estimates by capacity or cranking amps (low confidence).
 *
 * @param nominalV of the system
 * @example sourceResistance({ kind: 'battery', chemistry: 'agm', ampHours: 200 }, 24)?.ohm // 0.003
 */
export function sourceResistance(source: Source, nominalV: number): SourceResistance | null {
  switch (source.kind) {
    case 'unknown':
      return null;
    case 'typed':
      return { ohm: source.milliohm / 1000, confidence: 'good', how: say`as typed` };
    case 'cells':
      return {
        ohm: (source.cellMilliohm * source.inSeries) / source.strings / 1000,
        confidence: 'good',
        how: say`${source.inSeries} cells of ${source.cellMilliohm} mΩ, ${source.strings} strings`,
      };
    case 'battery': {
      const perAh = SHORT_AMPS_PER_AH[source.chemistry];
      return {
        ohm: nominalV / (perAh * source.ampHours),
        confidence: 'low',
        how: say`about ${perAh} A per Ah`,
      };
    }
    case 'cranking':
      return {
        ohm: nominalV / (SHORT_PER_CRANKING_AMP * source.crankingA),
        confidence: 'low',
        how: say`about ${SHORT_PER_CRANKING_AMP} × cranking amps`,
      };
  }
}

/** Highest voltage the source is charged to, V: the breaking capacity must be good for it. @example chargingVolts(24) // 29.2 */
export function chargingVolts(nominalV: number): number {
  return nominalV * CHARGING_RATIO;
}
