import { type Finding, notProved, stated } from '../finding/finding.ts';
import type { Cable } from '../model/cable.ts';
import { msg, verbatim } from '../words/message.ts';

/** What was found wrong with a cable after it was made: open until somebody says what was done about it. */
export function nonconformanceFindings({ nonconformances = [] }: Pick<Cable, 'nonconformances'>): Finding[] {
  const last = nonconformances.at(-1);
  if (!last) return [];
  const open = nonconformances.filter(({ done }) => done === undefined);
  const facts = {
    topic: 'recall' as const,
    stage: 'prove' as const,
    title: msg`Nonconformance`,
    unit: '' as const,
    decimals: 0,
    work: {
      formula: msg`every nonconformance is closed`,
      substituted: nonconformances.map(({ cause, by, at, done }) =>
        done
          ? verbatim`${at.slice(0, 10)} ${by}: ${cause} → ${done.at.slice(0, 10)} ${done.by}: ${done.what}`
          : verbatim`${at.slice(0, 10)} ${by}: ${cause}`,
      ),
      source: msg`the log of this shop`,
      assumes: msg`whoever closes one has inspected this cable`,
    },
  };
  const [first] = open;
  if (first)
    return [
      notProved({
        ...facts,
        because: msg`Recalled on ${first.at.slice(0, 10)}: ${first.cause}`,
        remedy: msg`Inspect the cable, then enter under Log, Recall what was done.`,
      }),
    ];
  return [
    stated(
      { ...facts, value: null, because: msg`Closed by ${last.done?.by ?? ''}: ${last.done?.what ?? ''}` },
      'holds',
    ),
  ];
}
