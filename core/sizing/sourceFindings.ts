import { type Finding, stated } from '../finding/finding.ts';
import { END_NAMES } from '../model/end.ts';
import { digits, figure } from '../model/units/figure.ts';
import type { RunContext } from './loop.ts';
import { chargedTo, sourcesOf } from './source.ts';
import { say } from '../words/say.ts';

/** Where both ends are live, each wants its own fuse. */
export function bothEnds({ run }: RunContext): Finding[] {
  if (!run.bothEndsLive) return [];
  const missing = END_NAMES.filter((end) => !run.fuses.some((fuse) => fuse.end === end));
  return [
    stated(
      {
        topic: 'both-ends',
        stage: 'gauge',
        title: say`A fuse at each source`,
        value: null,
        unit: '',
        decimals: 0,
        because:
          missing.length === 0
            ? say`Both ends are live and each has its own.`
            : say`Both ends are live: end ${missing.join(say` and `)} has no fuse.`,
        ...(missing.length > 0 && { remedy: say`Put a fuse at every end that a source can feed.` }),
        work: {
          formula: say`a fuse at every end that can feed a fault`,
          substituted: [
            say`fuses at ${run.fuses.map(({ end }) => end).join(say` and `) || say`neither end`}`,
          ],
          source: say`small-craft practice`,
          assumes: '',
        },
      },
      missing.length === 0 ? 'holds' : 'fails',
    ),
  ];
}

/** Strings side by side feed a short in one of them: each wants a fuse of its own. */
export function stringFuses({ run }: RunContext): Finding[] {
  return sourcesOf(run).flatMap((source, i) => {
    if (source.kind !== 'cells' || source.strings < 2) return [];
    const { cellMilliohm, inSeries, strings, stringFuseA } = source;
    const { volts } = chargedTo(run);
    const stringOhm = (cellMilliohm * inSeries) / 1000;
    const others = strings - 1;
    const intoOneA = (others * volts) / stringOhm;
    const where = run.bothEndsLive ? say`, end ${END_NAMES[i]}` : '';
    return [
      stated(
        {
          topic: 'string-fuses',
          ...(i > 0 && { part: 'B' }),
          stage: 'gauge',
          title: say`A fuse to each string${where}`,
          value: stringFuseA ?? null,
          unit: 'A',
          decimals: 0,
          because:
            stringFuseA === undefined
              ? say`${strings} strings: the others feed ${figure(intoOneA, 'A', 0)} into a short in one of them.`
              : say`Each of ${strings} strings has its own; the others feed ${figure(intoOneA, 'A', 0)} into a short in one.`,
          ...(stringFuseA === undefined && {
            remedy: say`Say in Run which fuse each string has; without one, put one in.`,
          }),
          work: {
            formula: say`I_string = (n − 1) · U_charging ÷ R_string`,
            substituted: [
              say`n = ${strings}, R_string = ${inSeries} × ${digits(cellMilliohm, 2)} mΩ: ${figure(intoOneA, 'A', 0)}`,
            ],
            source: say`small-craft practice: banks in parallel are fused each`,
            assumes: say`a dead short across one string, all alike; it must break that current`,
          },
        },
        stringFuseA === undefined ? 'unproved' : 'holds',
      ),
    ];
  });
}
