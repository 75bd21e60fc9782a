import type { InstrumentKind } from '../../../core/model/tables/instruments.ts';
import type { Finding } from '../../../core/finding/finding.ts';
import type { EndName } from '../../../core/model/end.ts';
import type { Reading } from '../../../core/model/reading.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { usesDie } from '../../../core/model/method.ts';
import { say } from '../../../core/words/say.ts';

/** A check as a person chooses it: one reading of an end or of the whole cable. */
export interface CheckRow {
  readonly check: Exclude<Reading['check'], 'torque' | 'join' | 'join-pull' | 'contact' | 'inspection'>;
  readonly title: string;
  /** What it is read with. */
  readonly kind?: InstrumentKind;
  /** The finding it stands for; it is there once the check is asked or read. */
  readonly findingId: string;
  /** Taken when in doubt, or where the shop requires it. */
  readonly further: boolean;
}

type Listed = Omit<CheckRow, 'findingId'>;

const CRIMPED: readonly Listed[] = [
  { check: 'across-flats', title: say`Across flats`, kind: 'calliper', further: false },
  { check: 'ears', title: say`Ears`, kind: 'calliper', further: false },
];
const EVERY_END: readonly Listed[] = [
  { check: 'pull', title: say`Pull`, kind: 'scale', further: false },
  { check: 'look', title: say`Look`, further: false },
  { check: 'joint', title: say`Joint index`, kind: 'milliohm', further: true },
];
const SAWN: Listed = { check: 'section', title: say`Section`, further: true };
const LOADED: readonly Listed[] = [
  { check: 'drop', title: say`Loaded drop`, kind: 'millivolt', further: true },
  { check: 'thermal', title: say`Temperature rise`, kind: 'thermal', further: true },
];
const WHOLE: readonly CheckRow[] = [
  { check: 'resistance', title: say`Resistance`, kind: 'milliohm', findingId: 'resistance', further: false },
  {
    check: 'insulation',
    title: say`Insulation`,
    kind: 'insulation',
    findingId: 'insulation',
    further: false,
  },
  { check: 'drop', title: say`Loaded drop`, kind: 'millivolt', findingId: 'drop-length', further: true },
];

/** The checks of an end, or of the whole cable where no end is named. */
export function checksOf(end: EndName | null, work: CableWork): CheckRow[] {
  if (!end) return [...WHOLE];
  const crimped = usesDie(work.ends[end].method);
  return [...(crimped ? CRIMPED : []), ...EVERY_END, ...(crimped ? [SAWN] : []), ...LOADED].map((row) => ({
    ...row,
    findingId: `${row.check}.${end}`,
  }));
}

/** The check to begin with: the first that fails, else the first that is missing, else the first. */
export function firstToDo(rows: readonly CheckRow[], findings: readonly Finding[]): CheckRow | undefined {
  const stateOf = ({ findingId }: CheckRow) => findings.find(({ id }) => id === findingId)?.state;
  return (
    rows.find((row) => stateOf(row) === 'unproved') ?? rows.find((row) => stateOf(row) === 'fails') ?? rows[0]
  );
}
