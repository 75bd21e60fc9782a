import { type StudName, STUDS } from '../model/tables/studs.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { type Finding, within } from '../finding/finding.ts';
import type { ReadingOf } from '../model/reading.ts';
import { type Check, judge } from '../proof/judge.ts';
import { countingReadings } from '../proof/readings.ts';
import type { ProofSubject } from '../proof/subject.ts';
import { msg } from '../words/message.ts';

/** What is tightened at an end: its stud; on a tapered post it is the clamp's own bolt. */
export const tightenedStud = ({ meets, lug, spec }: ResolvedEnd): StudName =>
  meets.kind === 'stud' ? meets.stud : (lug?.stud ?? spec.stud);

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
      missing: msg`Not tightened yet: ${least} to ${most} N·m.`,
      remedy: msg`The equipment maker’s figure governs. Washer above, nothing between the faces that carry current.`,
      work: {
        formula: msg`customary range for the stud`,
        substituted: [msg`${stud}: ${least} to ${most} N·m`],
        source: msg`customary for copper-alloy and stainless studs on DC gear`,
        assumes: msg`clean dry threads, palm flat on the current face`,
      },
    };
    const finding = judge<ReadingOf<'torque'>>(
      check,
      countingReadings(subject.cable, 'torque', end.name),
      (reading, facts) => within({ ...facts, value: reading.newtonMetre }, least, most),
    );
    return { ...finding, stage: 'fit' as const };
  });
}
