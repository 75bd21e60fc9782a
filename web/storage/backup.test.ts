import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import JSZip from 'jszip';
import { jobFileSchema, VERSION } from '../../core/job/job.ts';
import { thinned } from './thinning.ts';
import { type Everything, readBackup, writeBackup } from './backup.ts';
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
const written = writeBackup(everything, MADE);
const sentence = (bytes: Uint8Array) => {
  const read = readBackup(bytes);
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

describe('a backup', () => {
  test('comes back exactly equal', () => {
    const read = readBackup(written);
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
    const old = JSON.parse(readFileSync('core/job/fixtures/job-v1.json', 'utf8')) as {
      job: unknown;
      shop: unknown;
    };
    const read = readBackup(
      await changed({ 'jobs/0.json': JSON.stringify(old.job), 'shop.json': JSON.stringify(old.shop) }),
    );
    expect(read.ok && read.value.kept.jobs[0]?.cables[0]).toMatchObject({ fitted: [], waivers: [] });
  });
});

describe('what is no backup is refused in a sentence', () => {
  const manifest = {
    format: 'gruff-anchor-backup',
    version: VERSION,
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
  ])('%s', (_, bytes, words) => expect(sentence(bytes)).toMatch(words));
  test('one that lacks a part, holds damaged JSON, or a figure out of range', async () => {
    expect(sentence(await changed({ 'shop.json': null }))).toContain('lacks shop.json');
    expect(sentence(await changed({ 'jobs/0.json': '{"id":' }))).toContain(
      'jobs/0.json is not complete JSON',
    );
    const job = { ...hut.job, title: '' };
    expect(sentence(await changed({ 'jobs/0.json': JSON.stringify(job) }))).toContain('at “title”');
  });
  test('a newer one, by name', async () => {
    const newer = JSON.stringify({ ...manifest, version: VERSION + 1 });
    expect(sentence(await changed({ 'manifest.json': newer }))).toContain('newer version');
  });
  test('keys that reach for the prototype change nothing', async () => {
    const text = JSON.stringify(hut.job).replace(
      /^\{/,
      '{"__proto__":{"polluted":true},"constructor":{"x":1},',
    );
    expect(sentence(await changed({ 'jobs/0.json': text }))).toContain('jobs/0.json');
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('a picture that lies about what it is stays out', async () => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>';
    const read = readBackup(await changed({ 'photos/p2.jpg': svg }));
    expect(read.ok && Object.keys(read.value.photos)).toEqual(['p1']);
  });
  test('a zip that says it unpacks to far too much is not unpacked', () => {
    const bomb = zipSync({ 'manifest.json': [new Uint8Array(210_000_000), { level: 9 }] });
    expect(bomb.length).toBeLessThan(1_000_000);
    expect(sentence(bomb)).toMatch(/far larger/);
  });
  test('whatever bytes it is given, it answers with a sentence and never throws', () =>
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), fc.nat(written.length - 1), (noise, at) => {
        const broken = written.slice();
        broken.set(noise.subarray(0, Math.min(noise.length, broken.length - at)), at);
        for (const bytes of [noise, broken]) {
          const read = readBackup(bytes);
          if (!read.ok && read.sentence === '') return false;
        }
        return true;
      }),
      { numRuns: 60 },
    ));
});

describe('versions are thinned', () => {
  const MINUTE = 60_000;
  const now = Date.UTC(2026, 10, 27);
  test('close together now, far apart long ago', () => {
    const everyMinute = Array.from({ length: 60 * 24 * 3 }, (_, i) => now - i * MINUTE);
    const kept = thinned(everyMinute, now).map((time) => (now - time) / MINUTE);
    expect(kept.filter((age) => age < 60).length).toBeGreaterThanOrEqual(11);
    expect(kept.filter((age) => age >= 60 && age < 24 * 60).length).toBeLessThanOrEqual(24);
    expect(kept.filter((age) => age >= 24 * 60).length).toBeLessThanOrEqual(4);
  });
  test('whatever is thinned stays thinned, keeps the oldest, and makes nothing up', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 400 * 24 * 60 }), { maxLength: 80 }), (ages) => {
        const times = ages.map((age) => now - age * MINUTE);
        const kept = thinned(times, now);
        return (
          thinned(kept, now).join() === kept.join() &&
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
