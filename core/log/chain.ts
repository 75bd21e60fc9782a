import type { Cable, CableRecord } from '../model/cable.ts';
import type { Job } from '../model/job.ts';
import { type Message, msg } from '../words/message.ts';

/** SHA-256 of a text, as 64 hexadecimal digits: Web Crypto, wherever this runs. */
export type Digest = (text: string) => Promise<string>;

/** JSON whose keys are sorted: the same record gives the same text, whoever wrote it. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const fields = Object.entries(value)
    .filter(([, field]) => field !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${fields.map(([key, field]) => `${JSON.stringify(key)}:${canonical(field)}`).join(',')}}`;
}

/**
 * The hash of a record: of all that it says, the hash of the one before it included, its own left out.
 *
 * @example await hashOf(record, digest) // '9f86d081884c7d65…'
 */
export function hashOf({ hash: _, ...said }: CableRecord, digest: Digest): Promise<string> {
  return digest(canonical(said));
}

/**
 * A record chained to the one before it on its cable: whoever changes, takes out or puts in one of them later breaks
 * what follows.
 *
 * @param before the records of the cable, oldest first
 */
export async function chained(
  before: readonly CableRecord[],
  record: CableRecord,
  digest: Digest,
): Promise<CableRecord> {
  const last = before.at(-1);
  const linked = { ...record, previous: last ? await hashOf(last, digest) : '' };
  return { ...linked, hash: await hashOf(linked, digest) };
}

/** What a check of the chains of a job says. */
export interface ChainCheck {
  /** Records that carry a hash, and those sealed before records were chained. */
  readonly chained: number;
  readonly older: number;
  /** What does not fit, a sentence each; none where nothing was changed since it was sealed. */
  readonly faults: readonly Message[];
}

async function faultsOf(
  { tag, records, lastSeal }: Pick<Cable, 'tag' | 'records' | 'lastSeal'>,
  digest: Digest,
): Promise<Message[]> {
  const faults: Message[] = [];
  let isChained = false;
  let before: string | null = null;
  for (const record of records) {
    const day = record.at.slice(0, 10);
    const reckoned = await hashOf(record, digest);
    if (record.hash === undefined) {
      if (isChained || record.previous !== undefined)
        faults.push(
          msg`${tag}: the record of ${day} carries no hash, though the one before it does: it was put in or changed.`,
        );
    } else {
      isChained = true;
      if (record.hash !== reckoned) faults.push(msg`${tag}: the record of ${day} is not as it was sealed.`);
      if (record.previous !== (before ?? ''))
        faults.push(
          before === null
            ? msg`${tag}: a record stood before that of ${day} and is missing.`
            : msg`${tag}: before the record of ${day} another one stood when it was sealed: one was changed, taken out or put in.`,
        );
    }
    before = reckoned;
  }
  if (lastSeal !== undefined && faults.length === 0 && before !== lastSeal)
    faults.push(msg`${tag}: the record that was sealed last is missing.`);
  return faults;
}

/** Holds every sealed record of a job against its hash, and against the record before it. */
export async function checkChains({ cables }: Pick<Job, 'cables'>, digest: Digest): Promise<ChainCheck> {
  const faults: Message[] = [];
  for (const cable of cables) faults.push(...(await faultsOf(cable, digest)));
  const records = cables.flatMap((cable) => cable.records);
  const older = records.filter(({ hash }) => hash === undefined).length;
  return { chained: records.length - older, older, faults };
}

/** What a check says in a sentence; the faults stand beside it. */
export function chainSays({ chained: count, older, faults }: ChainCheck): Message {
  if (faults.length > 0)
    return msg`${faults.length} of ${count + older} sealed records or their order do not fit.`;
  if (count + older === 0) return msg`No record is sealed in it.`;
  const before =
    older > 0 ? msg` ${older} were sealed before records were chained, and cannot be checked.` : '';
  return msg`${count} sealed records are as they were sealed.${before}`;
}
