import { type StudName, STUDS } from '../model/tables/studs.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Finding, within } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import { evenly } from '../proof/budget.ts';
import { type Check, judge } from '../proof/judge.ts';
import { countingReadings } from '../proof/readings.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { msg, tell, amount, bare } from '../words/message.ts';

/** What is tightened at an end: its stud; on a tapered post it is the clamp's own bolt. */
export const tightenedStud = ({ meets, lug, spec }: ResolvedEnd): StudName =>
  meets.kind === 'stud' ? meets.stud : (lug?.stud ?? spec.stud);

/** From what to what a nut is tightened, in the reader's measure. @example torqueText([9, 14]) // "9 to 14 N·m" */
export const torqueText = ([least, most]: readonly [number, number]): string =>
  tell(msg`${bare(least, 'N·m', 0)} to ${amount(most, 'N·m', 0)}`);

/** What a torque wrench may be off by, ± % of its setting. Source: ISO 6789-1, for wrenches over 10 N·m. */
const WRENCH_PERCENT = 4;

/** Torque on both studs, once fitted. Not part of the verdict on the cable itself. */
export function torqueFindings(subject: ProofSubject): Finding[] {
  return [subject.ends.A, subject.ends.B].map((end) => {
    const stud = tightenedStud(end);
    const [least, most] = STUDS[stud].torqueNm;
    const check: Check = {
      topic: 'torque',
      title: msg`Torque`,
      unit: 'N·m',
      decimals: 1,
      end: end.name,
      limit: { kind: 'window', least, most },
      missing: msg`Not tightened yet: ${bare(least, 'N·m', 0)} to ${amount(most, 'N·m', 0)}.`,
      remedy: msg`The equipment maker’s figure governs. Washer above, nothing between the faces that carry current.`,
      work: {
        formula: msg`customary range for the stud`,
        substituted: [msg`${stud}: ${bare(least, 'N·m', 0)} to ${amount(most, 'N·m', 0)}`],
        source: msg`customary for copper-alloy and stainless studs on DC gear`,
        assumes: msg`clean dry threads, palm flat on the current face`,
      },
    };
    const finding = judge<ReadingOf<'torque'>>(
      check,
      countingReadings(subject.cable, 'torque', end.name),
      (reading, facts) => within({ ...facts, value: reading.newtonMetre }, least, most),
      ({ newtonMetre }) => [
        {
          what: msg`torque wrench, ± ${WRENCH_PERCENT} %`,
          standard: evenly((WRENCH_PERCENT / 100) * newtonMetre),
        },
      ],
    );
    return { ...finding, stage: 'fit' as const };
  });
}
