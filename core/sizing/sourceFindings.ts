import { type Finding, stated } from '../finding/finding.ts';
import { END_NAMES } from '../model/end.ts';
import { amount, msg, numeral, allOf } from '../words/message.ts';
import type { RunContext } from './loop.ts';
import { chargedTo, sourcesOf } from './source.ts';

/** Where both ends are live, each needs its own fuse. */
export function bothEnds({ run }: RunContext): Finding[] {
  if (!run.bothEndsLive) return [];
  const missing = END_NAMES.filter((end) => !run.fuses.some((fuse) => fuse.end === end));
  return [
    stated(
      {
        topic: 'both-ends',
        stage: 'gauge',
        title: msg`A fuse at each source`,
        value: null,
        unit: '',
        decimals: 0,
        because:
          missing.length === 0
            ? msg`Both ends are live and each has its own.`
            : msg`Both ends are live: end ${allOf(missing)} has no fuse.`,
        ...(missing.length > 0 && { remedy: msg`Put a fuse at every end that a source can feed.` }),
        work: {
          formula: msg`a fuse at every end that can feed a fault`,
          substituted: [msg`fuses at ${allOf(run.fuses.map(({ end }) => end)) || msg`neither end`}`],
          source: msg`small-craft practice`,
          assumes: '',
        },
      },
      missing.length === 0 ? 'holds' : 'fails',
    ),
  ];
}

/** Strings side by side feed a short in one of them: each needs a fuse of its own. */
export function stringFuses({ run }: RunContext): Finding[] {
  return sourcesOf(run).flatMap((source, i) => {
    if (source.kind !== 'cells' || source.strings < 2) return [];
    const { cellMilliohm, inSeries, strings, stringFuseA } = source;
    const { volts } = chargedTo(run);
    const stringOhm = (cellMilliohm * inSeries) / 1000;
    const others = strings - 1;
    const intoOneA = (others * volts) / stringOhm;
    const where = run.bothEndsLive ? msg`, end ${END_NAMES[i]}` : '';
    return [
      stated(
        {
          topic: 'string-fuses',
          ...(i > 0 && { part: 'B' }),
          stage: 'gauge',
          title: msg`A fuse to each string${where}`,
          value: stringFuseA ?? null,
          unit: 'A',
          decimals: 0,
          because:
            stringFuseA === undefined
              ? msg`${strings} strings: the others feed ${amount(intoOneA, 'A', 0)} into a short in one of them.`
              : msg`Each of ${strings} strings has its own; the others feed ${amount(intoOneA, 'A', 0)} into a short in one.`,
          ...(stringFuseA === undefined && {
            remedy: msg`Enter in Run which fuse each string has; without one, put one in.`,
          }),
          work: {
            formula: msg`I_string = (n − 1) · U_charging ÷ R_string`,
            substituted: [
              msg`n = ${strings}, R_string = ${inSeries} × ${numeral(cellMilliohm, 2)} mΩ: ${amount(intoOneA, 'A', 0)}`,
            ],
            source: msg`small-craft practice: banks in parallel are fused each`,
            assumes: msg`a dead short across one string, all alike; the fuse must interrupt that current`,
          },
        },
        stringFuseA === undefined ? 'unproved' : 'holds',
      ),
    ];
  });
}
