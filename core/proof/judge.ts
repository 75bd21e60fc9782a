import { type Facts, type Finding, type Limit, notProved, simulated, worstFirst } from '../finding.ts';
import type { EndName, Reading } from '../job/cable.ts';
import type { Unit } from '../units/figure.ts';

/** One thing to be read: how it is called, what it may be, and what to say while it is missing. */
export interface Check {
  readonly id: string;
  readonly title: string;
  readonly unit: Unit;
  readonly decimals: number;
  readonly end?: EndName;
  readonly limit?: Limit;
  readonly missing: string;
  readonly remedy: string;
  readonly work: Finding['work'];
}

/**
 * Judges all readings of one check and answers with the worst that is real. Simulated ones speak only where there is
 * no real one, and then prove nothing; with none at all the check is not proved.
 */
export function judge<R extends Reading>(
  check: Check,
  readings: readonly R[],
  one: (reading: R, facts: Omit<Facts, 'value'>) => Finding,
): Finding {
  const { missing, limit, ...facts } = check;
  const base = { ...facts, stage: 'prove' as const };
  const findings = readings.map((reading) => ({
    provenance: reading.source,
    finding: {
      ...(limit && { limit }),
      ...one(reading, base),
      provenance: reading.source,
    },
  }));
  const real = findings.filter(({ provenance }) => provenance !== 'simulated');
  const [worstReal] = worstFirst(real.map(({ finding }) => finding));
  if (worstReal) return withoutRemedy(worstReal);
  const [worstSimulated] = worstFirst(findings.map(({ finding }) => finding));
  if (worstSimulated) return simulated(worstSimulated);
  return notProved({ ...base, because: missing }, limit);
}

/** A finding that holds has nothing to be done about it. */
function withoutRemedy(finding: Finding): Finding {
  if (finding.state !== 'holds') return finding;
  const { remedy: _, ...rest } = finding;
  return rest;
}
