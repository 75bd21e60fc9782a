import type { Finding } from '../finding/finding.ts';
import { endProof } from './endProof.ts';
import { joinProof } from './joinProof.ts';
import type { ProofSubject } from './subject.ts';
import { wholeProof } from './wholeProof.ts';

/** Every proof a cable needs: what was read, judged; what was not read, not proved. */
export function proofFindings(subject: ProofSubject): Finding[] {
  const { A, B } = subject.ends;
  return [
    ...endProof(subject, A),
    ...endProof(subject, B),
    ...subject.joins.flatMap((join) => joinProof(subject, join)),
    ...wholeProof(subject),
  ];
}
