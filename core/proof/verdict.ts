import { type Finding, type State, worst, worstFirst } from '../finding/finding.ts';
import { allOf, head, type Message, msg, verbatim } from '../words/message.ts';

/** What may be said of a cable, and why, the worst reason first. */
export interface Verdict {
  readonly state: State;
  readonly sentence: Message;
  readonly reasons: readonly Finding[];
}

/** A finding as it is named in a sentence: "pull of end B". */
export const named = ({ title, end }: Finding) => verbatim`${head(title)}${end ? msg` of end ${end}` : ''}`;

const several = (findings: readonly Finding[]): Message => {
  const names = findings.map(named);
  const shown = names.length > 3 ? [...names.slice(0, 2), msg`${names.length - 2} more`] : names;
  return allOf(shown);
};

/** What a finding counts for: doing without a reading, and answering for it, is never more than to be watched. */
const counts = ({ state, waived }: Finding): State => (waived ? 'watch' : state);

/**
 * The verdict on a cable: never stronger than its weakest finding, and what is missing is not proved. What is missing
 * and waived by somebody keeps the cable from being called proved.
 *
 * @param findings of sizing, ends, cut and proof
 */
export function verdictOf(findings: readonly Finding[]): Verdict {
  const state = worst(findings.map(counts));
  const reasons = worstFirst(findings.filter((finding) => finding.state !== 'holds'));
  const decisive = reasons.filter((finding) => counts(finding) === state);
  return { state, sentence: SENTENCES[state](decisive), reasons };
}

const SENTENCES: Readonly<Record<State, (decisive: readonly Finding[]) => Message>> = {
  fails: (decisive) => msg`Fails: ${several(decisive)}`,
  unproved: (decisive) =>
    decisive.length > 1
      ? msg`Not proved: ${several(decisive)} are missing`
      : msg`Not proved: ${several(decisive)} is missing`,
  watch: (decisive) => {
    const waived = decisive.filter((finding) => finding.waived);
    if (waived.length === 0) return msg`Passes, to be watched: ${several(decisive)}`;
    const by = [...new Set(waived.map((finding) => finding.waived?.by))].join(', ');
    return msg`Not all proved: ${by} waives ${several(waived)}`;
  },
  holds: () => msg`Proved: every figure passes`,
};
