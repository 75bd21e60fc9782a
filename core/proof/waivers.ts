import type { Finding } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';

/**
 * Findings that somebody answers for doing without. Only what is not proved can be waived: a reading that fails
 * speaks, and work done again on an end asks for its readings again. A waived finding stays not proved.
 */
export function withWaivers({ waivers, reworks }: Cable, findings: readonly Finding[]): Finding[] {
  return findings.map((finding) => {
    if (finding.state !== 'unproved') return finding;
    const waiver = waivers.findLast((own) => own.finding === finding.id);
    if (!waiver) return finding;
    const reworked = reworks.some(
      ({ at, end }) => at > waiver.at && (finding.end === undefined || finding.end === end),
    );
    if (reworked) return finding;
    const { by, at, why } = waiver;
    return { ...finding, waived: { by, at, why } };
  });
}
