import { word } from '../words/terms.ts';
import { sizeLabel } from '../model/tables/size.ts';
import { limitWords, valueWords } from '../finding/says.ts';
import { type Cable, type CableRecord, LONGEST_LINE, type RecordLine } from '../model/cable.ts';
import type { CableWork } from '../cableWork.ts';
import { say } from '../words/say.ts';

/** A text that fits its line of the record: one that is too long ends in dots. */
function fitting(part: keyof typeof LONGEST_LINE, text: string): string {
  const longest = LONGEST_LINE[part];
  return text.length <= longest ? text : `${text.slice(0, longest - 1)}…`;
}

/**
 * The record of a cable as it stands: every finding with its value, limit, state and reason. It is sealed: later
 * changes to the cable make a new record and leave this one as it was. A cable that is not proved can be recorded;
 * its record says so.
 *
 * @param at when, ISO 8601 UTC
 * @param by who stands for it
 */
export function sealRecord(cable: Cable, work: CableWork, by: string, at: string): CableRecord {
  const { size } = work.choice.taken.at;
  return {
    at,
    by,
    verdict: work.verdict.state,
    conductor: fitting(
      'conductor',
      `${sizeLabel(size)} ${work.kind.title.toLowerCase()}, ${word(cable.jacket)}, ${word(cable.polarity)}`,
    ),
    finishedMm: work.lengths?.finishedMm ?? cable.run.lengthMm + cable.run.loopMm,
    simulated: work.findings.some(({ provenance }) => provenance === 'simulated'),
    lines: work.findings.map((finding): RecordLine => ({
      title: fitting('title', finding.title),
      ...(finding.end && { end: finding.end }),
      value: fitting('value', valueWords(finding)),
      limit: fitting('limit', limitWords(finding)),
      state: finding.state,
      because: fitting(
        'because',
        finding.waived
          ? say`${finding.because} Waived by ${finding.waived.by}: ${finding.waived.why}`
          : finding.because,
      ),
      ...(finding.provenance && { source: finding.provenance }),
      ...(finding.read && { by: finding.read.by, at: finding.read.at }),
      ...(finding.read?.with !== undefined && { with: finding.read.with }),
      ...(finding.read?.due !== undefined && { due: finding.read.due }),
    })),
  };
}
