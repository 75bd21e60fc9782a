import { tell } from '../words/message.ts';
import { faultSays } from '../traveller/mishaps.ts';
import { sizeNamed } from '../model/tables/size.ts';
import type { Finding, State } from '../finding/finding.ts';
import type { WorkedCable } from '../cableWork.ts';
import type { Cable } from '../model/cable.ts';
import { lotsSay } from '../cutting/lots.ts';
import { limitWords, valueWords } from '../finding/says.ts';
import { meetsWord } from '../model/posts.ts';
import { figure } from '../model/units/figure.ts';
import { digits } from '../words/numerals.ts';
import { STATE_WORDS } from '../finding/states.ts';
import { STATE_SAYS } from './stateSays.ts';
import { say } from '../words/say.ts';
import { word } from '../words/terms.ts';

/** One figure of a test record, in words. */
export interface RecordRow {
  readonly title: string;
  /** "A", "B", or empty for the whole. */
  readonly end: string;
  readonly value: string;
  readonly limit: string;
  readonly left: string;
  readonly state: State;
  /** "holds", "not proved, would hold", "not proved, waived". */
  readonly says: string;
  /** By whom, when, and with what; empty where nothing was read. */
  readonly read: string;
  readonly simulated: boolean;
  /** Why, where it does not simply hold. */
  readonly why: string;
}

/** The test record of one cable: what goes on paper, and into a file. */
export interface TestRecord {
  readonly format: 'gruff-anchor-test-record';
  readonly version: 1;
  /** The day it was written, ISO 8601. */
  readonly day: string;
  readonly job: string;
  readonly tag: string;
  readonly from: string;
  readonly to: string;
  readonly state: State;
  readonly verdict: string;
  /** Of each end by itself. */
  readonly ends: readonly { readonly end: string; readonly state: State; readonly verdict: string }[];
  readonly simulated: boolean;
  readonly facts: readonly string[];
  readonly rows: readonly RecordRow[];
  /** What was done again, done without, or struck out, each with who and why. */
  readonly history: readonly string[];
  /** Who sealed it last, where anybody did. */
  readonly sealed: string;
  readonly photos: readonly string[];
  readonly signatures: readonly string[];
  readonly foot: string;
}

const WOULD: Readonly<Record<State, string>> = {
  holds: say`would pass`,
  watch: say`would be watched`,
  fails: say`would fail`,
  unproved: '',
};

function rowOf(finding: Finding): RecordRow {
  const { title, end, state, would, waived, read, provenance, margin, value, because } = finding;
  const extra = [would && WOULD[would], waived && say`waived`].filter(Boolean).join(', ');
  return {
    title: tell(title),
    end: end ?? '',
    value: tell(valueWords(finding)),
    limit: tell(limitWords(finding)),
    left:
      margin === undefined || value === null || state === 'unproved' || finding.limit?.kind === 'window'
        ? ''
        : margin >= 0
          ? say`${digits(100 * margin, 0)} % left`
          : say`${digits(-100 * margin, 0)} % over`,
    state,
    says: [tell(STATE_WORDS[state].says), extra].filter(Boolean).join(', '),
    read: read
      ? [
          `${read.by || say`nobody named`}, ${read.at.slice(0, 10)}`,
          read.with,
          read.due && say`due ${read.due}`,
        ]
          .filter(Boolean)
          .join(', ')
      : '',
    simulated: provenance === 'simulated',
    why:
      state === 'holds'
        ? ''
        : waived
          ? say`${because} ${waived.by} answers for it: ${waived.why}`
          : tell(because),
  };
}

/** What was done again, done without, struck out, found wrong or signed off, a line each, by its day. */
function historyOf(cable: Cable): string[] {
  const struck = cable.readings.flatMap(({ check, struck: own }) =>
    own ? [say`${own.at.slice(0, 10)} ${own.by}: a reading (${word(check)}) struck out, ${own.why}`] : [],
  );
  return [
    ...cable.reworks.map(
      ({ at, by, end, what }) => say`${at.slice(0, 10)} ${by}: end ${end} done again, ${faultSays(what)}`,
    ),
    ...cable.waivers.map(
      ({ at, by, finding, why }) => say`${at.slice(0, 10)} ${by}: waives ${finding}, ${why}`,
    ),
    ...cable.passed.map(
      ({ at, by, gate, reason }) => say`${at.slice(0, 10)} ${by}: overrode “${gate}”, ${reason}`,
    ),
    ...struck,
    ...(cable.nonconformances ?? []).map(
      ({ at, by, cause, done }) =>
        say`${at.slice(0, 10)} ${by}: nonconformance, ${cause}; ${done ? say`${done.what}, by ${done.by} on ${done.at.slice(0, 10)}` : say`still open`}`,
    ),
    ...(cable.signOffs ?? []).map(({ at, by, role }) =>
      role === 'maker'
        ? say`${at.slice(0, 10)} ${by}: signed it off as its maker`
        : say`${at.slice(0, 10)} ${by}: inspected it and signed it off`,
    ),
  ].sort();
}

/**
 * The test record of a cable as it stands: every proof, and whatever else keeps it from being proved.
 *
 * @param day it is written, ISO 8601
 */
export function testRecord({ cable, work }: WorkedCable, job: string, day: string): TestRecord {
  const { ends, lengths, findings, verdict } = work;
  const proof = findings.filter(({ stage }) => stage === 'prove');
  const other = verdict.reasons.filter(({ stage }) => stage !== 'prove' && stage !== 'fit');
  const torque = findings.filter(({ stage, value }) => stage === 'fit' && value !== null);
  const sealed = cable.records.at(-1);
  const lots = lotsSay(cable, work);
  return {
    format: 'gruff-anchor-test-record',
    version: 1,
    day,
    job,
    tag: cable.tag,
    from: `${cable.ends.A.at || say`not given`}, ${tell(meetsWord(ends.A.meets))}`,
    to: `${cable.ends.B.at || say`not given`}, ${tell(meetsWord(ends.B.meets))}`,
    state: verdict.state,
    verdict: tell(verdict.sentence),
    ends: (['A', 'B'] as const).map((end) => ({
      end,
      state: work.endVerdicts[end].state,
      verdict: tell(work.endVerdicts[end].sentence),
    })),
    simulated: findings.some(({ provenance }) => provenance === 'simulated'),
    facts: [
      `${word(cable.polarity)}, ${tell(sizeNamed(work.choice.taken.at.size))} ${work.kind.title.toLowerCase()}, ${word(cable.jacket)}`,
      ...(lengths
        ? [say`finished ${figure(lengths.finishedMm, 'mm', 0)}, cut ${figure(lengths.cutMm, 'mm', 0)}`]
        : []),
      ...[ends.A, ends.B].map(
        ({ name, lug, die, method, crimps }) =>
          `${name}: ${lug?.label ?? say`no lug`}, ${method}${die ? say`, die ${die.die.stamp || say`unmarked`} ${digits(die.die.acrossFlatsMm, 2)} across, ${say`${crimps.length} crimp¦${crimps.length} crimps`}` : ''}`,
      ),
      ...(lots.length > 0 ? [say`lots: ${lots.map((lot) => tell(lot)).join(', ')}`] : []),
    ],
    rows: [...other, ...proof, ...torque].map(rowOf),
    history: historyOf(cable),
    sealed: sealed
      ? say`Sealed ${sealed.at.slice(0, 10)} by ${sealed.by}: ${STATE_SAYS[sealed.verdict]}${sealed.simulated ? say`, with simulated readings` : ''}`
      : say`Not sealed yet`,
    photos: cable.photos.map(({ id }) => id),
    signatures: [say`Made by`, say`Measured by`, say`Accepted by`],
    foot: say`Figures for planning. Local codes, class and survey rules, makers’ instructions and licensed persons come first.`,
  };
}

/** A test record as a file. */
export const writeTestRecord = (record: TestRecord): string => `${JSON.stringify(record, null, 1)}\n`;

/** A file name out of a tag: letters, digits, dashes and dots; never empty, never a path. */
export const tagFileName = (tag: string): string =>
  tag
    .replace(/[^\p{L}\p{N}._-]+/gu, '-')
    .replace(/^[.-]+|[.-]+$/g, '')
    .slice(0, 60) || 'cable';
