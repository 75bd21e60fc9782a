import { type Finding, roomTo, turnedTo } from '../finding/finding.ts';
import { intervalDigits } from '../finding/says.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { amount, listed, type Message, msg, numeral, verbatim } from '../words/message.ts';
import { COVERAGE, expanded, type Part } from './budget.ts';

/**
 * A reading that was judged, with its interval: what it may be off by stands in its work, part by part, and what is
 * nearer to its limit than it is sure cannot be separated from it, so it is watched, and says what would tell it. What
 * fails, fails: an interval never makes a reading better.
 *
 * @param parts standard uncertainties in the unit of the finding; nothing is calculated of none
 */
export function measured(finding: Finding, parts: readonly Part[]): Finding {
  const counting = parts.filter(({ standard }) => standard > 0);
  if (counting.length === 0 || finding.value === null) return finding;
  const uncertainty = expanded(counting);
  const known: Finding = {
    ...finding,
    uncertainty,
    work: {
      ...finding.work,
      substituted: [...finding.work.substituted, budgetSays(finding, counting, uncertainty)],
    },
  };
  if (!finding.limit || (finding.state !== 'holds' && finding.state !== 'watch')) return known;
  const room = roomTo(finding.value, finding.limit);
  if (!(room >= 0 && room < uncertainty)) return known;
  const digits = intervalDigits(uncertainty, finding.decimals);
  return {
    ...turnedTo(known, 'watch', {
      because: msg`${finding.because} It is ± ${amount(uncertainty, finding.unit, digits)} and ${amount(room, finding.unit, digits)} from its limit: too close to decide.`,
      remedy: wouldTell(finding, counting, room),
    }),
    untold: true,
  };
}

const budgetSays = (finding: Finding, parts: readonly Part[], uncertainty: number): Message => {
  const digits = intervalDigits(uncertainty, finding.decimals) + 1;
  const each = parts.map(({ what, standard }) => verbatim`${what}: ${numeral(standard, digits)}`);
  return msg`U = ${COVERAGE} · √(Σu²) = ± ${amount(uncertainty, finding.unit, digits)}; u of ${listed(each, '; ')}`;
};

/** What would tell a reading from its limit: a better instrument where that is enough, else another way. */
function wouldTell({ unit, decimals }: Finding, parts: readonly Part[], room: number): Message {
  const [largest, ...others] = parts.toSorted((a, b) => b.standard - a.standard);
  const left = (room / COVERAGE) ** 2 - others.reduce((sum, { standard }) => sum + standard ** 2, 0);
  const cause = msg`The most of it comes from ${largest?.what ?? ''}.`;
  return left > 0
    ? msg`${cause} Brought down to ± ${amount(Math.sqrt(3 * left), unit, decimals + 2)}, it would decide.`
    : msg`${cause} No better instrument alone would decide: make it again further from the limit, or prove it in another way.`;
}

/**
 * Findings by the decision rule of the shop. Guarded, what cannot be separated from its limit is not proved.
 *
 * @example decided({ decision: 'guarded' }, findings)
 */
export const decided = (
  { decision }: Pick<HousePractice, 'decision'>,
  findings: readonly Finding[],
): Finding[] =>
  findings.map((finding) =>
    decision === 'guarded' && finding.untold && finding.state === 'watch'
      ? turnedTo(finding, 'unproved', {
          because: msg`${finding.because} This shop guards its limits: it is not proved.`,
          ...(finding.remedy !== undefined && { remedy: finding.remedy }),
        })
      : finding,
  );
