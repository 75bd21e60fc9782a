import type { Finding } from '../finding/finding.ts';
import type { EndName } from '../model/end.ts';
import type { FurtherProof } from '../model/housePractice.ts';
import type { ResolvedEnd } from '../termination/resolveEnd.ts';
import { lengthDrop, jointDrop } from './dropProof.ts';
import { jointIndexProof } from './jointIndexProof.ts';
import { sectionProof } from './sectionProof.ts';
import type { ProofSubject } from './subject.ts';
import { thermalProof } from './thermalProof.ts';

/**
 * Whether a further reading belongs to a cable: the shop requires it of every cable, or it was once read of this one.
 * Once read it stays asked: striking it out never makes the cable better than before it.
 */
export function isAsked({ practice, cable }: ProofSubject, check: FurtherProof, end?: EndName): boolean {
  return (
    practice.alsoProve.includes(check) ||
    cable.readings.some((reading) => reading.check === check && reading.end === end)
  );
}

const PROOFS: Readonly<Record<FurtherProof, (subject: ProofSubject, end: ResolvedEnd) => Finding | null>> = {
  joint: jointIndexProof,
  section: sectionProof,
  thermal: thermalProof,
  drop: jointDrop,
};

/** The further readings of one end that are asked or were read; null ones do not apply to it. */
export function furtherProof(subject: ProofSubject, end: ResolvedEnd): Finding[] {
  return (Object.keys(PROOFS) as FurtherProof[])
    .filter((check) => isAsked(subject, check, end.name))
    .flatMap((check) => PROOFS[check](subject, end) ?? []);
}

/** What the further readings that nobody asks would ask: they count for nothing until one is taken. */
export function unaskedProof(subject: ProofSubject): Finding[] {
  const { A, B } = subject.ends;
  const ofEnds = [A, B].flatMap((end) =>
    (Object.keys(PROOFS) as FurtherProof[])
      .filter((check) => !isAsked(subject, check, end.name))
      .flatMap((check) => PROOFS[check](subject, end) ?? []),
  );
  return isAsked(subject, 'drop') ? ofEnds : [...ofEnds, lengthDrop(subject)];
}

/** The further reading of the conductor between its ends. */
export const furtherWhole = (subject: ProofSubject): Finding[] =>
  isAsked(subject, 'drop') ? [lengthDrop(subject)] : [];
