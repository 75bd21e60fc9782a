import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { CUSTOMARY_PRACTICE } from './housePractice.ts';
import { VERSION } from './job.ts';
import { readJobFile, writeJobFile } from './file.ts';
import { migrateJob, migrateShop } from './migrate.ts';

const old = readFileSync('core/model/fixtures/job-v1.json', 'utf8');

describe('a file of version 1', () => {
  const parsed = readJobFile(old);
  if (!parsed.ok) throw new Error(parsed.sentence);
  const { job, shop, version } = parsed.value;
  test('is read, and what it said stands', () => {
    const said = JSON.parse(old) as { job: { title: string; cables: { tag: string; run: unknown }[] } };
    expect(version).toBe(VERSION);
    expect(job.title).toBe(said.job.title);
    expect(job.cables.map(({ tag, run }) => ({ tag, run }))).toEqual(
      said.job.cables.map(({ tag, run }) => ({ tag, run })),
    );
  });
  test('what it did not know is what it meant: tube lugs, crimps, black sleeves, no trials, no joins', () => {
    expect(shop.lugs.every(({ form, drilledOut }) => form === 'tube' && !drilledOut)).toBe(true);
    expect(shop.sleeves.every(({ colour }) => colour === 'black')).toBe(true);
    expect(shop.trials).toEqual([]);
    expect(shop.practice.method).toBe(CUSTOMARY_PRACTICE.method);
    expect(job.studs).toEqual([]);
    expect(job.cables.every(({ joins }) => joins.length === 0)).toBe(true);
  });
  test('written again it is of this version, and reads as the same', () => {
    const again = readJobFile(writeJobFile(job, shop, '2026-11-25T00:00:00.000Z'));
    expect(again.ok && again.value.job).toEqual(job);
    expect(again.ok && again.value.shop).toEqual(shop);
  });
});

describe('a file of version 2', () => {
  const second = readFileSync('core/model/fixtures/job-v2.json', 'utf8');
  const parsed = readJobFile(second);
  if (!parsed.ok) throw new Error(parsed.sentence);
  test('is read, and what it said stands; nothing was fitted, corrected or done without', () => {
    const said = JSON.parse(second) as { job: { cables: { run: unknown; ends: unknown }[] } };
    const { job, shop } = parsed.value;
    expect(job.cables.map(({ run, ends }) => ({ run, ends }))).toEqual(
      said.job.cables.map(({ run, ends }) => ({ run, ends })),
    );
    for (const cable of job.cables)
      expect(cable).toMatchObject({ fitted: [], keywords: [], corrections: [], waivers: [] });
    expect(shop.instruments).toEqual([]);
    expect(shop.practice.service).toEqual(CUSTOMARY_PRACTICE.service);
  });
  test('of a version that is not known yet is refused by name', () => {
    const newer = second.replace('"version": 2', `"version": ${VERSION + 1}`);
    const refused = readJobFile(newer);
    expect(refused).toMatchObject({ ok: false, path: 'version' });
    expect(!refused.ok && refused.sentence).toContain('newer version');
  });
});

describe('a file of version 3', () => {
  const third = readFileSync('core/model/fixtures/job-v3.json', 'utf8');
  const parsed = readJobFile(third);
  if (!parsed.ok) throw new Error(parsed.sentence);
  test('is read as it stands: nothing of it changes, and nothing new is said for it', () => {
    const said = JSON.parse(third) as { job: unknown; shop: unknown };
    expect(parsed.value.version).toBe(VERSION);
    expect(parsed.value.job).toEqual(said.job);
    expect(parsed.value.shop).toEqual(said.shop);
    const [first] = parsed.value.job.cables;
    expect(first?.run.return).toEqual({ kind: 'chassis', milliohm: 0.6 });
    expect(first?.run).not.toHaveProperty('farSource');
  });
});

describe('a file of version 4', () => {
  const fourth = readFileSync('core/model/fixtures/job-v4.json', 'utf8');
  const parsed = readJobFile(fourth);
  if (!parsed.ok) throw new Error(parsed.sentence);
  const { job, shop } = parsed.value;
  test('is read as it stands: no crimp is made up for a reading, and no hash for a record', () => {
    const said = JSON.parse(fourth) as { job: unknown; shop: unknown };
    expect(parsed.value.version).toBe(VERSION);
    expect(job).toEqual(said.job);
    expect(shop).toEqual(said.shop);
    const [first] = job.cables;
    expect(first?.readings.filter((reading) => 'crimp' in reading)).toEqual([]);
    expect(first?.records.filter((record) => 'hash' in record)).toEqual([]);
  });
});

describe('a file of version 5', () => {
  const fifth = readFileSync('core/model/fixtures/job-v5.json', 'utf8');
  const parsed = readJobFile(fifth);
  if (!parsed.ok) throw new Error(parsed.sentence);
  test('is read as it stands: nothing that it did not know of is made up', () => {
    const said = JSON.parse(fifth) as { job: unknown; shop: unknown };
    expect(parsed.value.version).toBe(VERSION);
    expect(parsed.value.job).toEqual(said.job);
    expect(parsed.value.shop).toEqual(said.shop);
    expect(JSON.stringify(parsed.value.job)).not.toMatch(/"guard"|"mostKg"|"capped"|"legs":/);
  });
});

describe('what a browser kept', () => {
  test('is filled in once, and not again', () => {
    const data = JSON.parse(old) as { job: unknown; shop: unknown };
    const [job, shop] = [migrateJob(data.job), migrateShop(data.shop)];
    expect(migrateJob(job)).toEqual(job);
    expect(migrateShop(shop)).toEqual(shop);
  });
  test('that is no job stays what it is, for the schema to refuse', () => {
    expect(migrateJob('nonsense')).toBe('nonsense');
    expect(migrateShop({ lugs: 'none' })).toMatchObject({ lugs: 'none' });
  });
});
