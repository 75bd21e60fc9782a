import { type Finding, type State, worst, worstFirst } from '../finding/finding.ts';
import { say } from '../words/say.ts';

/** What may be said of a cable, and why, the worst reason first. */
export interface Verdict {
  readonly state: State;
  readonly sentence: string;
  readonly reasons: readonly Finding[];
}

/** A finding as it is named in a sentence: "pull of end B". */
export const named = ({ title, end }: Finding) =>
  `${(title.split(',')[0] ?? title).toLowerCase()}${end ? say` of end ${end}` : ''}`;

const listed = (findings: readonly Finding[]): string => {
  const names = findings.map(named);
  const shown = names.length > 3 ? [...names.slice(0, 2), say`${names.length - 2} more`] : names;
  return shown.length > 1 ? say`${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}` : (shown[0] ?? '');
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

const SENTENCES: Readonly<Record<State, (decisive: readonly Finding[]) => string>> = {
  fails: (decisive) => say`Fails: ${listed(decisive)}`,
  unproved: (decisive) =>
    say`Not proved: ${listed(decisive)} ${decisive.length > 1 ? say`are` : say`is`} missing`,
  watch: (decisive) => {
    const waived = decisive.filter((finding) => finding.waived);
    if (waived.length === 0) return say`Holds, to be watched: ${listed(decisive)}`;
    const by = [...new Set(waived.map((finding) => finding.waived?.by))].join(', ');
    return say`Not all proved: ${by} answers for doing without ${listed(waived)}`;
  },
  holds: () => say`Proved: every figure holds`,
};
