import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { validHunt, validJob, validShop } from './validFixture.ts';
import { readJobFile } from './file.ts';
import { type Job, jobSchema } from './job.ts';
import { placeSays } from './refusal.ts';
import { readStored, salvage } from './stored.ts';

interface Fixture {
  readonly job: { readonly cables: readonly unknown[]; readonly title: string };
  readonly shop: unknown;
}
/** Of every version there was, as it was written then. */
const fixtures = readdirSync('core/model/fixtures').map(
  (name) => [name, JSON.parse(readFileSync(`core/model/fixtures/${name}`, 'utf8')) as Fixture] as const,
);
const hut = JSON.parse(readFileSync('demo/hut.json', 'utf8')) as {
  job: Job;
  shop: unknown;
  hunts: unknown[];
};

describe.each([...fixtures, ['the demo', hut] as const])('what %s stored', (_, { job, shop }) => {
  test('its job and its shop are read', () => {
    expect(readStored('job', job)).toMatchObject({ ok: true, value: { title: job.title } });
    expect(readStored('shop', shop).ok).toBe(true);
  });
  test('and so is a cable or a job of it in the bin', () => {
    const binned = { id: 'b', at: '2026-11-27T08:00:00Z', title: 'x' };
    const [cable] = job.cables;
    expect(readStored('bin item', { ...binned, what: 'cable', jobId: 'j', cable }).ok).toBe(true);
    expect(readStored('bin item', { ...binned, what: 'job', job, hunts: [] }).ok).toBe(true);
  });
});

describe('what is damaged', () => {
  test('is refused in a sentence that names the cable and the end, and never in the machine’s words', () => {
    const damaged = structuredClone(hut.job) as unknown as {
      cables: { ends: { A: Record<string, unknown> } }[];
    };
    const [, second] = damaged.cables;
    if (second) second.ends.A['stud'] = 'M9';
    const read = readStored('job', damaged);
    const tag = hut.job.cables[1]?.tag ?? '';
    expect(read).toMatchObject({
      ok: false,
      sentence: expect.stringContaining(`cable ${tag}, end A, “stud”`),
    });
    const file = readJobFile(JSON.stringify({ ...hut, job: damaged }));
    expect(!file.ok && file.sentence).toContain(`cable ${tag}, end A, “stud” must be one of`);
  });

  /** Every place in a piece of JSON. */
  const places = (data: unknown, path: (string | number)[] = []): (string | number)[][] =>
    typeof data !== 'object' || data === null
      ? [path]
      : Object.entries(data).flatMap(([key, value]) => {
          const own = [...path, Array.isArray(data) ? Number(key) : key];
          return [own, ...(typeof value === 'object' ? places(value, own) : [])];
        });
  const all = places(hut.job);
  const torn = fc
    .tuple(
      fc.nat(all.length - 1),
      fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.constantFrom(1e9, -1e9, 'x'.repeat(5000), null)),
    )
    .map(([at, value]) => {
      const job = structuredClone(hut.job) as unknown as Record<string | number, unknown>;
      const path = all[at] ?? [];
      let parent = job;
      for (const key of path.slice(0, -1)) parent = parent[key] as Record<string | number, unknown>;
      parent[path.at(-1) ?? ''] = value;
      return { job, path };
    });

  test('is always refused in words, wherever and however it is damaged', () =>
    fc.assert(
      fc.property(torn, ({ job }) => {
        const read = readStored('job', job);
        if (read.ok) return true;
        return (
          !/expected|undefined|\bNaN\b|cables\.\d|invalid_/i.test(read.sentence) && read.sentence.length < 600
        );
      }),
      { numRuns: cases(200) },
    ));

  test('one thing wrong costs one thing: the rest of the job is salvaged, and what is lost is said', () =>
    fc.assert(
      fc.property(torn, ({ job, path }) => {
        if (readStored('job', job).ok) return;
        const found = salvage('job', job);
        // Without the name of the job itself there is nothing to hold on to.
        if (path[0] === 'id') return;
        if (!found) throw new Error(`nothing salvaged of ${path.join('.')}`);
        expect(jobSchema.safeParse(found.value).success).toBe(true);
        expect(found.lost.length).toBeGreaterThan(0);
        const least = path[0] === 'cables' && path.length > 1 ? hut.job.cables.length - 1 : 0;
        expect(found.value.cables.length).toBeGreaterThanOrEqual(least);
      }),
      { numRuns: cases(200) },
    ));

  test('what is sound is salvaged as it is', () =>
    fc.assert(
      fc.property(validJob, validShop, validHunt, (job, shop, hunt) => {
        expect(salvage('job', job)).toEqual({ value: job, lost: [] });
        expect(salvage('shop', shop)?.lost).toEqual([]);
        expect(salvage('hunt', hunt)?.lost).toEqual([]);
      }),
      { numRuns: cases(30) },
    ));
});

test('a place is said as a person would', () => {
  const root = { job: { cables: [{}, { tag: 'TH-3' }] }, shop: { lugs: [{ label: '70-8 heavy' }] } };
  expect(placeSays(['job', 'cables', 1, 'ends', 'A', 'stud'], root)).toBe('cable TH-3, end A, “stud”');
  expect(placeSays(['job', 'cables', 0, 'run', 'load', 'watts'], root)).toBe('cable 1, “load”, “watts”');
  expect(placeSays(['shop', 'lugs', 0, 'boreMm'], root)).toBe('lug 70-8 heavy, “boreMm”');
  expect(placeSays(['job', 'cables', 1, 'run', 'way', 'zones', 2, 'what'], root)).toBe(
    'cable TH-3, stretch 3, “what”',
  );
});
