import { term } from '../words/terms.ts';
import { sizeNamed } from '../model/tables/size.ts';
import { intervalWords, limitWords } from '../finding/says.ts';
import { type Cable, type CableRecord, type RecordLine } from '../model/cable.ts';
import type { CableWork } from '../cableWork.ts';
import { type Message, msg, tell, verbatim } from '../words/message.ts';
import { lotsSay } from '../cutting/lots.ts';
import { signedOff } from './signOff.ts';
import { type KeptMessage, LONGEST_MESSAGE, messageSchema } from '../model/message.ts';

/** A message as a record keeps it: one that is longer than any line is kept as it is told now, ending in dots. */
function fitting(message: Message): KeptMessage {
  const { success, data } = messageSchema.safeParse(JSON.parse(JSON.stringify(message)));
  return success ? data : `${tell(message).slice(0, LONGEST_MESSAGE - 1)}…`;
}

/**
 * The record of a cable as it stands: every finding with its value, limit, state and reason. It is sealed: later
 * changes to the cable make a new record and leave this one as it was. A cable that is not proved can be recorded;
 * its record says so.
 *
 * @param sealedAt when, ISO 8601 UTC
 * @param by who stands for it
 */
export function sealRecord(cable: Cable, work: CableWork, by: string, sealedAt: string): CableRecord {
  const { size } = work.choice.taken.at;
  const { maker, inspector } = signedOff(cable, {});
  const lots = lotsSay(cable, work).map(fitting);
  const signed = [maker, inspector].filter((own) => own !== undefined);
  return {
    at: sealedAt,
    by,
    tag: cable.tag,
    ...(signed.length > 0 && { signed }),
    ...(lots.length > 0 && { lots }),
    verdict: work.verdict.state,
    conductor: fitting(
      verbatim`${sizeNamed(size)} ${work.kind.title.toLowerCase()}, ${term(cable.jacket)}, ${term(cable.polarity)}`,
    ),
    finishedMm: work.lengths?.finishedMm ?? cable.run.lengthMm + cable.run.loopMm,
    simulated: work.findings.some(({ provenance }) => provenance === 'simulated'),
    lines: work.findings.map((finding): RecordLine => ({
      title: fitting(finding.title),
      ...(finding.end && { end: finding.end }),
      value: fitting(intervalWords(finding)),
      limit: fitting(limitWords(finding)),
      state: finding.state,
      because: fitting(
        finding.waived
          ? msg`${finding.because} Waived by ${finding.waived.by}: ${finding.waived.why}`
          : finding.because,
      ),
      ...(finding.provenance && { source: finding.provenance }),
      ...(finding.read && { by: finding.read.by, at: finding.read.at }),
      ...(finding.read?.with !== undefined && { with: finding.read.with }),
      ...(finding.read?.due !== undefined && { due: finding.read.due }),
    })),
  };
}
