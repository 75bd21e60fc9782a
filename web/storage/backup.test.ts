import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../../core/lib/casesFixture.ts';
import fc from 'fast-check';
import { unzipSync, zipSync } from 'fflate';
import JSZip from 'jszip';
import { jobFileSchema } from '../../core/model/job.ts';
import { thinned } from './thinning.ts';
import { BACKUP_VERSION, type Everything, readBackup, writeBackup } from './backup.ts';

import { prefsSchema } from './prefs.ts';
import { troubleSays } from './trouble.ts';

const hut = jobFileSchema.parse(JSON.parse(readFileSync('demo/hut.json', 'utf8')));
const marrow = jobFileSchema.parse(JSON.parse(readFileSync('demo/marrow.json', 'utf8')));
const [cable] = hut.job.cables;
if (!cable) throw new Error('no cable');
const everything: Everything = {
  kept: {
    jobs: [marrow.job, hut.job],
    hunts: hut.hunts ?? [],
    bin: [{ id: 'b1', at: '2026-11-27T08:00:00.000Z', title: 'HB-1', what: 'cable', jobId: 'hut', cable }],
    shop: hut.shop,
  },
  prefs: { ...prefsSchema.parse({}), person: 'R. Pell', theme: 'dark' },
  rounds: [],
  photos: { p1: new Uint8Array(readFileSync('demo/sections/section-08.jpg')) },
};
const MADE = '2026-11-27T09:00:00.000Z';
const written = await writeBackup(everything, MADE);
const sentence = async (bytes: Uint8Array) => {
  const read = await readBackup(bytes);
  return read.ok ? '' : read.sentence;
};

/** The backup with some of its files changed, packed by another packer. */
async function changed(change: Readonly<Record<string, string | Uint8Array | null>>): Promise<Uint8Array> {
  const zip = await JSZip.loadAsync(written);
  for (const [name, contents] of Object.entries(change)) {
    if (contents === null) zip.remove(name);
    else zip.file(name, contents);
  }
  return zip.generateAsync({ type: 'uint8array' });
}

/** A zip of one file whose heads, before it and in the directory, give another length for what is in it. */
function saysItIs(bytes: number, zip: Uint8Array): Uint8Array {
  const claims = zip.slice();
  const view = new DataView(claims.buffer);
  for (let i = 0; i + 28 < claims.length; i += 1) {
    const head = view.getUint32(i, true);
    if (head === 0x04034b50) view.setUint32(i + 22, bytes, true);
    if (head === 0x02014b50) view.setUint32(i + 24, bytes, true);
  }
  return claims;
}

/** As an earlier version wrote it, with no checksums; some of its files changed. */
const older = (change: Readonly<Record<string, string | Uint8Array | null>>) =>
  changed({
    'manifest.json': JSON.stringify({
      format: 'gruff-anchor-backup',
      version: 3,
      madeAt: MADE,
      jobs: 2,
      hunts: 1,
      photos: 1,
    }),
    ...change,
  });

describe('a backup', () => {
  test('comes back exactly equal', async () => {
    const read = await readBackup(written);
    if (!read.ok) throw new Error(read.sentence);
    const { manifest, ...rest } = read.value;
    expect(rest).toEqual(everything);
    expect(manifest).toMatchObject({ madeAt: MADE, jobs: 2, hunts: 1, photos: 1 });
  });
  test('is a plain zip that any packer opens', async () => {
    const zip = await JSZip.loadAsync(written);
    expect(JSON.parse((await zip.file('jobs/1.json')?.async('string')) ?? '')).toEqual(hut.job);
  });
  test('of a version before this one is read as what it meant', async () => {
    const old = JSON.parse(readFileSync('core/model/fixtures/job-v1.json', 'utf8')) as {
      job: unknown;
      shop: unknown;
    };
    const read = await readBackup(
      await older({ 'jobs/0.json': JSON.stringify(old.job), 'shop.json': JSON.stringify(old.shop) }),
    );
    expect(read.ok && read.value.kept.jobs[0]?.cables[0]).toMatchObject({ fitted: [], waivers: [] });
  });
});

describe('what is no backup is refused in a sentence', () => {
  const manifest = {
    format: 'gruff-anchor-backup',
    version: BACKUP_VERSION,
    madeAt: MADE,
    jobs: 2,
    hunts: 1,
    photos: 1,
  };
  test.each([
    ['nothing', new Uint8Array(0), /not a zip/],
    ['a text', new TextEncoder().encode('no zip at all'), /not a zip/],
    ['half of one', written.slice(0, written.length / 2), /not a zip/],
    ['another zip', zipSync({ 'index.html': new Uint8Array(3) }), /has no place in one/],
    ['a path that climbs', zipSync({ '../../etc/passwd': new Uint8Array(3) }), /has no place in one/],
    ['an absolute path', zipSync({ '/jobs/0.json': new Uint8Array(3) }), /has no place in one/],
    ['an empty zip', zipSync({}), /lacks manifest/],
  ])('%s', async (_, bytes, words) => expect(await sentence(bytes)).toMatch(words));
  test('one that lacks a part, holds damaged JSON, or a figure out of range', async () => {
    expect(await sentence(await older({ 'shop.json': null }))).toContain('lacks shop.json');
    expect(await sentence(await older({ 'jobs/0.json': '{"id":' }))).toContain(
      'jobs/0.json is not complete JSON',
    );
    const job = { ...hut.job, title: '' };
    expect(await sentence(await older({ 'jobs/0.json': JSON.stringify(job) }))).toContain(
      '“title” is shorter than 1 letters',
    );
  });
  test('a newer one, by name', async () => {
    const newer = JSON.stringify({ ...manifest, version: BACKUP_VERSION + 1 });
    expect(await sentence(await older({ 'manifest.json': newer }))).toContain('newer version');
  });
  test('keys that reach for the prototype change nothing', async () => {
    const text = JSON.stringify(hut.job).replace(
      /^\{/,
      '{"__proto__":{"polluted":true},"constructor":{"x":1},',
    );
    expect(await sentence(await older({ 'jobs/0.json': text }))).toContain('jobs/0.json');
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('a picture that lies about what it is stays out', async () => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>';
    const read = await readBackup(
      await older({
        'photos/p2.jpg': svg,
        'manifest.json': JSON.stringify({ ...manifest, version: 3, photos: 2 }),
      }),
    );
    expect(read.ok && Object.keys(read.value.photos)).toEqual(['p1']);
  });
  test('a zip that says it unpacks to far too much is not unpacked', async () => {
    const bomb = saysItIs(210_000_000, zipSync({ 'manifest.json': new Uint8Array(100) }));
    expect(await sentence(bomb)).toMatch(/far larger/);
  });
  test('whatever bytes it is given, it answers with a sentence and never throws', () =>
    fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), fc.nat(written.length - 1), async (noise, at) => {
        const broken = written.slice();
        broken.set(noise.subarray(0, Math.min(noise.length, broken.length - at)), at);
        for (const bytes of [noise, broken]) {
          const read = await readBackup(bytes);
          if (!read.ok && read.sentence === '') return false;
        }
        return true;
      }),
      { numRuns: cases(60) },
    ));
});

describe('a backup is whole or refused', () => {
  test('whatever bit of it is flipped, no figure of it changes silently', () =>
    fc.assert(
      fc.asyncProperty(fc.nat(written.length - 1), fc.nat(7), async (at, bit) => {
        const flipped = written.slice();
        flipped[at] = (flipped[at] ?? 0) ^ (1 << bit);
        const read = await readBackup(flipped);
        if (!read.ok) return read.sentence !== '';
        const { manifest: _, ...rest } = read.value;
        expect(rest).toEqual(everything);
        return true;
      }),
      { numRuns: cases(60) },
    ));
  test('whatever entry of it is missing, doubled, swapped or strange, it is refused', async () => {
    const zip = unzipSync(written);
    const names = Object.keys(zip);
    for (const name of names) {
      const { [name]: gone, ...rest } = zip;
      expect(await sentence(zipSync(rest))).toMatch(/lacks/);
      // More room in the manifest changes nothing that it says.
      if (name === 'manifest.json') continue;
      expect(await sentence(zipSync({ ...rest, [name]: new Uint8Array([...(gone ?? []), 32]) }))).toMatch(
        /is not as it was written/,
      );
    }
    const [first, second] = [zip['jobs/0.json'], zip['jobs/1.json']];
    if (!first || !second) throw new Error('no jobs');
    expect(await sentence(zipSync({ ...zip, 'jobs/0.json': second, 'jobs/1.json': first }))).toMatch(
      /as it was/,
    );
    expect(await sentence(zipSync({ ...zip, 'jobs/2.json': first }))).toMatch(/is not of it/);
  });
  test('one of an earlier version is held against its own counts, and its jobs against one another', async () => {
    expect(await sentence(await older({ 'jobs/1.json': null }))).toContain(
      'says it holds 2 jobs, and holds 1',
    );
    expect(await sentence(await older({ 'jobs/0.json': null, 'jobs/1.json': null }))).toContain('holds 0');
    expect(await sentence(await older({ 'photos/p1.jpg': null }))).toContain('1 photographs, and holds 0');
    const text = JSON.stringify(hut.job);
    expect(await sentence(await older({ 'jobs/0.json': text, 'jobs/1.json': text }))).toContain(
      'something twice',
    );
  });
  test('packed to cost time, it is refused before it is parsed', async () => {
    const nested = new TextEncoder().encode('['.repeat(3_000_000));
    const bomb = zipSync({ 'manifest.json': [nested, { level: 9 }] });
    const { parse } = JSON;
    let parsed = 0;
    JSON.parse = (...given) => {
      parsed += 1;
      return parse(...given);
    };
    try {
      expect(await sentence(bomb)).toMatch(/not complete JSON/);
      expect(parsed).toBe(0);
    } finally {
      JSON.parse = parse;
    }
  });
});

describe('versions are thinned', () => {
  const MINUTE = 60_000;
  const now = Date.UTC(2026, 10, 27);
  test('close together now, far apart long ago', () => {
    const everyMinute = Array.from({ length: 60 * 24 * 3 }, (_, i) => now - i * MINUTE);
    const kept = thinned(everyMinute).map((time) => (now - time) / MINUTE);
    expect(kept.filter((age) => age < 60).length).toBeGreaterThanOrEqual(11);
    expect(kept.filter((age) => age >= 60 && age < 24 * 60).length).toBeLessThanOrEqual(24);
    expect(kept.filter((age) => age >= 24 * 60).length).toBeLessThanOrEqual(4);
  });
  test('a clock that runs years ahead, or is put back, costs no version but what a day of rest would', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 20 * 24 * 60 }), { maxLength: 40 }),
        fc.integer({ min: 2, max: 20_000 }),
        fc.constantFrom(1, -1),
        (ages, days, sign) => {
          const times = ages.map((age) => now - age * MINUTE);
          const rested = thinned([...times, now + sign * 24 * 60 * MINUTE]);
          const jumped = thinned([...times, now + sign * days * 24 * 60 * MINUTE]);
          const ours = (kept: readonly number[]) => kept.filter((time) => times.includes(time));
          return sign > 0
            ? ours(jumped).join() === ours(rested).join()
            : ours(jumped).length >= ours(rested).length - 1;
        },
      ),
      { numRuns: cases(100) },
    ));
  test('whatever is thinned stays thinned, keeps the oldest, and makes nothing up', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 400 * 24 * 60 }), { maxLength: 80 }), (ages) => {
        const times = ages.map((age) => now - age * MINUTE);
        const kept = thinned(times);
        return (
          thinned(kept).join() === kept.join() &&
          kept.every((time) => times.includes(time)) &&
          (times.length === 0 || kept[0] === Math.min(...times))
        );
      }),
    ));
});

test('why nothing can be kept is said, each in its own sentence', () => {
  const named = (name: string) => troubleSays(Object.assign(new Error('x'), { name }));
  const all = [named('QuotaExceededError'), named('SecurityError'), named('Error'), troubleSays('odd')];
  expect(new Set(all).size).toBe(3);
  for (const own of all) expect(own).toMatch(/Export/i);
});

test('packing and reading say how far they are, entry by entry, and go no further when told to stop', async () => {
  const told: number[][] = [];
  const step = (...counts: [number, number]) => void told.push(counts);
  const zip = await writeBackup(everything, MADE, step);
  const all = told.length;
  // Two jobs, a picture, the tool case, hunts, bin, preferences and rounds.
  expect(told).toEqual(Array.from({ length: 8 }, (_, i) => [i + 1, 8]));
  expect((await readBackup(zip, step)).ok).toBe(true);
  expect(told.slice(all)).toEqual(told.slice(0, all));

  const stops = (count: number) => {
    if (count === 3) throw new Error('stopped');
  };
  await expect(writeBackup(everything, MADE, stops)).rejects.toThrow('stopped');
});
