import { type Finding, type State, worst, worstFirst } from '../finding.ts';

/** What may be said of a cable, and why, the worst reason first. */
export interface Verdict {
  readonly state: State;
  readonly sentence: string;
  readonly reasons: readonly Finding[];
}

/** A finding as it is named in a sentence: "Pull of end B". */
const named = ({ title, end }: Finding) =>
  `${(title.split(',')[0] ?? title).toLowerCase()}${end ? ` of end ${end}` : ''}`;

const listed = (findings: readonly Finding[]): string => {
  const names = findings.map(named);
  const shown = names.length > 3 ? [...names.slice(0, 2), `${names.length - 2} more`] : names;
  return shown.length > 1 ? `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}` : (shown[0] ?? '');
};

/**
 * The verdict on a cable: never stronger than its weakest finding, and what is missing is not proved.
 *
 * @param findings of sizing, ends, cut and proof
 */
export function verdictOf(findings: readonly Finding[]): Verdict {
  const state = worst(findings.map((finding) => finding.state));
  const reasons = worstFirst(findings.filter((finding) => finding.state !== 'holds'));
  const decisive = reasons.filter((finding) => finding.state === state);
  const plural = decisive.length > 1;
  const sentence = {
    fails: `Fails: ${listed(decisive)}`,
    unproved: `Not proved: ${listed(decisive)} ${plural ? 'are' : 'is'} missing`,
    watch: `Holds, to be watched: ${listed(decisive)}`,
    holds: 'Proved: every figure holds',
  }[state];
  return { state, sentence, reasons };
}
