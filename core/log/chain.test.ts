import { createHash } from 'node:crypto';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import { readJobFile, writeJobFile } from '../model/file.ts';
import { readFileSync } from 'node:fs';
import type { CableRecord } from '../model/cable.ts';
import type { Job } from '../model/job.ts';
import { tell } from '../words/message.ts';
import { chained, chainSays, checkChains } from './chain.ts';

const digest = (text: string) => Promise.resolve(createHash('sha256').update(text).digest('hex'));
const demo = readJobFile(readFileSync('demo/hut.json', 'utf8'));
if (!demo.ok) throw new Error(demo.sentence);
const { job, shop } = demo.value;
const old = job.cables.flatMap(({ records }) => records)[0] as CableRecord;
const { hash: _, previous: __, ...plain } = old;

/** Five records of one cable, the first from before records were chained. */
async function fiveRecords(): Promise<CableRecord[]> {
  const records: CableRecord[] = [plain];
  for (let i = 1; i < 5; i += 1)
    records.push(await chained(records, { ...plain, at: `2026-11-2${i}T09:00:00.000Z` }, digest));
  return records;
}
const records = await fiveRecords();
const jobOf = (list: readonly CableRecord[]): Job => ({
  ...job,
  cables: job.cables.slice(0, 1).map((cable) => ({ ...cable, records: [...list] })),
});
const faults = async (list: readonly CableRecord[]) =>
  (await checkChains(jobOf(list), digest)).faults.map(tell);

describe('sealed records, each chained to the one before it', () => {
  test('fit as they were sealed, also after a file was written and read', async () => {
    expect(await faults(records)).toEqual([]);
    const read = readJobFile(writeJobFile(jobOf(records), shop, '2026-11-30T09:00:00.000Z', {}, []));
    expect(read.ok && (await checkChains(read.value.job, digest))).toMatchObject({
      chained: 4,
      older: 1,
      faults: [],
    });
    expect(tell(chainSays(await checkChains(jobOf(records), digest)))).toBe(
      '4 sealed records are as they were sealed. 1 were sealed before records were chained, and cannot be checked.',
    );
  });

  test('the last one taken out is missed, as is all of them; a job from before that was noted is let be', async () => {
    const lastSeal = records.at(-1)?.hash;
    const told = async (list: readonly CableRecord[], noted = lastSeal) => {
      const { cables } = jobOf(list);
      const sealed = cables.map((cable) => ({ ...cable, ...(noted !== undefined && { lastSeal: noted }) }));
      return (await checkChains({ cables: sealed }, digest)).faults.map(tell);
    };
    expect(await told(records)).toEqual([]);
    for (let kept = 0; kept < records.length; kept += 1)
      expect(await told(records.slice(0, kept))).toEqual([
        expect.stringContaining('the record that was sealed last is missing'),
      ]);
    expect(await faults(records.slice(0, 3))).toEqual([]);
  });

  const change = fc.oneof(
    fc.record({ how: fc.constant('out' as const), at: fc.integer({ min: 0, max: 3 }) }),
    fc.record({ how: fc.constant('swap' as const), at: fc.integer({ min: 0, max: 3 }) }),
    fc.record({ how: fc.constant('word' as const), at: fc.integer({ min: 0, max: 4 }) }),
    fc.record({ how: fc.constant('bare' as const), at: fc.integer({ min: 1, max: 4 }) }),
    fc.record({ how: fc.constant('twice' as const), at: fc.integer({ min: 1, max: 4 }) }),
  );
  test('whatever record is changed, taken out, put in or put elsewhere, something does not fit', async () => {
    await fc.assert(
      fc.asyncProperty(change, async ({ how, at: place }) => {
        const list = structuredClone(records) as CableRecord[];
        const [own, next] = [list[place], list[place + 1]];
        if (!own) return;
        if (how === 'out') list.splice(place, 1);
        if (how === 'swap' && next) list.splice(place, 2, next, own);
        if (how === 'word') list[place] = { ...own, verdict: own.verdict === 'fails' ? 'holds' : 'fails' };
        if (how === 'bare') delete list[place]?.hash;
        if (how === 'twice') list.splice(place, 0, own);
        expect(await faults(list)).not.toEqual([]);
      }),
      { numRuns: cases(200) },
    );
  });
  test('what does not fit is said in a sentence, with the cable and the day', async () => {
    const list = records.map((record, i) => (i === 2 ? { ...record, by: 'Somebody else' } : record));
    expect(await faults(list)).toEqual([
      `${job.cables[0]?.tag}: the record of 2026-11-22 is not as it was sealed.`,
      `${job.cables[0]?.tag}: before the record of 2026-11-23 another one stood when it was sealed: one was changed, taken out or put in.`,
    ]);
    expect(await faults(records.slice(1))).toEqual([
      `${job.cables[0]?.tag}: a record stood before that of 2026-11-21 and is missing.`,
    ]);
  });
});
