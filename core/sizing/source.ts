import { CELLS, SHORT_AMPS_PER_AH, SHORT_PER_CRANKING_AMP } from '../model/tables/sources.ts';
import type { EndName } from '../model/end.ts';
import type { Source } from '../model/run.ts';
import { type Message, msg } from '../words/message.ts';

/** The source's own resistance, and whether it is more than an estimate. */
export interface SourceResistance {
  readonly ohm: number;
  readonly confidence: 'good' | 'low';
  /** How it was found, for the work shown. */
  readonly how: Message;
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
      return { ohm: source.milliohm / 1000, confidence: 'good', how: msg`as typed` };
    case 'cells':
      return {
        ohm: (source.cellMilliohm * source.inSeries) / source.strings / 1000,
        confidence: 'good',
        how: msg`${source.inSeries} cells of ${source.cellMilliohm} mΩ, ${source.strings} strings`,
      };
    case 'battery': {
      const perAh = SHORT_AMPS_PER_AH[source.chemistry];
      return {
        ohm: nominalV / (perAh * source.ampHours),
        confidence: 'low',
        how: msg`about ${perAh} A per Ah`,
      };
    }
    case 'cranking':
      return {
        ohm: nominalV / (SHORT_PER_CRANKING_AMP * source.crankingA),
        confidence: 'low',
        how: msg`about ${SHORT_PER_CRANKING_AMP} × cranking amps`,
      };
  }
}

/**
 * Cells in series of a battery of some nominal voltage: lead by 2 V; LFP by 3.2 V, or by 3 V where it is called by the
 * lead battery that it replaces (12, 24, 48 V).
 */
function cellsOf(kind: keyof typeof CELLS, nominalV: number): number {
  const isCalledAsLead = kind === 'lfp' && Math.abs(nominalV / 12 - Math.round(nominalV / 12)) < 0.001;
  return Math.max(1, Math.round(nominalV / (isCalledAsLead ? 3 : CELLS[kind].nominalV)));
}

/** What of a run says what feeds it. */
interface Fed {
  readonly systemV: number;
  readonly source: Source;
  readonly bothEndsLive: boolean;
  readonly farSource?: Source | undefined;
  readonly chargingV?: number | undefined;
}

/** The source that feeds a short beside a fuse at an end: where both ends are live, each has its own. */
export const sourceAt = ({ source, farSource, bothEndsLive }: Fed, end?: EndName): Source =>
  bothEndsLive && end === 'B' ? (farSource ?? { kind: 'unknown' }) : source;

/** Every source of a run. */
export const sourcesOf = (run: Fed): readonly Source[] =>
  run.bothEndsLive ? [run.source, sourceAt(run, 'B')] : [run.source];

/**
 * Highest voltage that a run is charged to, V: as typed, else the highest that any of its sources is.
 *
 * @example chargedTo({ systemV: 12, source: { kind: 'unknown' }, bothEndsLive: false }).volts // 14.6
 */
export function chargedTo(run: Fed): ChargingVolts {
  if (run.chargingV !== undefined) return { volts: run.chargingV, how: msg`as typed` };
  return sourcesOf(run)
    .map((source) => chargingVolts(source, run.systemV))
    .reduce((most, own) => (own.volts > most.volts ? own : most));
}

/** Highest voltage a source is charged to, and how that is known. */
export interface ChargingVolts {
  readonly volts: number;
  readonly how: Message;
}

/**
 * Highest voltage that a source is charged to, V: the fuse must be good for it, and the cable.
 *
 * Source: 2.43 V a lead cell, 3.65 V an LFP cell. Where the chemistry is not given: the higher of the two.
 *
 * @example chargingVolts({ kind: 'unknown' }, 24).volts // 29.2
 * @example chargingVolts({ kind: 'battery', chemistry: 'lfp', ampHours: 100 }, 51.2).volts // 58.4
 */
export function chargingVolts(source: Source, nominalV: number): ChargingVolts {
  const by = (kind: keyof typeof CELLS, cells: number): ChargingVolts => ({
    volts: cells * CELLS[kind].chargingV,
    how: msg`${cells} cells at ${CELLS[kind].chargingV} V`,
  });
  if (source.kind === 'battery') {
    const kind = source.chemistry === 'lfp' ? 'lfp' : 'lead';
    return by(kind, cellsOf(kind, nominalV));
  }
  if (source.kind === 'cranking') return by('lead', cellsOf('lead', nominalV));
  if (source.kind === 'cells')
    return by(
      nominalV / source.inSeries > (CELLS.lead.nominalV + CELLS.lfp.nominalV) / 2 ? 'lfp' : 'lead',
      source.inSeries,
    );
  const lead = by('lead', cellsOf('lead', nominalV));
  const lfp = by('lfp', cellsOf('lfp', nominalV));
  // A nominal voltage that is none of lead's is LFP's own.
  const isLfp = Math.abs(nominalV / 2 - Math.round(nominalV / 2)) > 0.01 && nominalV > 4;
  return isLfp || lfp.volts > lead.volts ? lfp : lead;
}
