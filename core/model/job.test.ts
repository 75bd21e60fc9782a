import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { genericShop } from './catalogue/genericShop.ts';
import { readJobFile, writeJobFile } from './file.ts';
import { type Job, jobFileSchema } from './job.ts';
import { adoptJob, freeId } from './merge.ts';
import { duplicateCable, newCable, nextTag, underFreeId } from './newCable.ts';

const shop = genericShop();
const job: Job = {
  id: 'j',
  title: 'Test job',
  subtitle: '',
  cables: [newCable('c', 'C-1', shop)],
  studs: [],
  heeded: [],
};
const AT = '2026-11-24T18:00:00.000Z';
const good = writeJobFile(job, shop, AT);
const sentence = (contents: string) => {
  const parsed = readJobFile(contents);
  return parsed.ok ? 'read' : parsed.sentence;
};
const changed = (change: (file: Record<string, unknown>) => void) => {
  const file = JSON.parse(good) as Record<string, unknown>;
  change(file);
  return JSON.stringify(file);
};

describe('a job file', () => {
  test('written and read again is the same job and the same shop', () => {
    const parsed = readJobFile(good);
    expect(parsed.ok && parsed.value.job).toEqual(job);
    expect(parsed.ok && parsed.value.shop).toEqual(shop);
  });
  test('the demo job is one', () => {
    const contents = readFileSync('demo/teasel.json', 'utf8');
    expect(sentence(contents)).toBe('read');
    expect(jobFileSchema.parse(JSON.parse(contents)).job.cables.length).toBeGreaterThanOrEqual(6);
  });
});

describe('a file that is no job file is refused with one sentence', () => {
  test.each<[string, string, RegExp]>([
    ['empty', '', /is empty/],
    ['a picture', '\u0089PNG\r\n', /not JSON/],
    ['cut short', good.slice(0, 400), /ends too early/],
    ['a list', '[]', /holds no job/],
    ['another format', '{"format":"something","version":1}', /its format is not/],
    ['from a newer version', changed((file) => (file['version'] = 99)), /newer version \(file version 99/],
    ['without its shop', changed((file) => delete file['shop']), /“shop” is missing/],
    [
      'with a length that is a word',
      good.replace('"lengthMm": 1000', '"lengthMm": "long"'),
      /cable C-1, “lengthMm” must be a number/,
    ],
    [
      'with an unknown key',
      changed((file) => (file['extra'] = 1)),
      /the file holds what is not known here: extra/,
    ],
    [
      'with a hostile key',
      good.replace('"title": "Test job"', '"title": "Test job", "__proto__": {"polluted": true}'),
      /“job” holds what is not known here: __proto__/,
    ],
    [
      'with an endless number',
      good.replace('"lengthMm": 1000', '"lengthMm": 1e999'),
      /cable C-1, “lengthMm” must be a number/,
    ],
    [
      'with two cables of one id',
      changed((file) => {
        const own = file['job'] as Job;
        own.cables.push(own.cables[0] as Job['cables'][number]);
      }),
      /same id/,
    ],
  ])('%s', (_, contents, expected) => {
    expect(sentence(contents)).toMatch(expected);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('anything at all is read or refused, and never throws', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.json()),
        (contents) => typeof readJobFile(contents).ok === 'boolean',
      ),
    );
  });
  test('one damaged character anywhere is read or refused, and never throws', () => {
    fc.assert(
      fc.property(
        fc.nat(good.length - 1),
        fc.string({ minLength: 1, maxLength: 1 }),
        (at, letter) => typeof readJobFile(good.slice(0, at) + letter + good.slice(at + 1)).ok === 'boolean',
      ),
      { numRuns: cases(60) },
    );
  });
});

describe('a job brought into another shop', () => {
  const lug = shop.lugs[0] as (typeof shop.lugs)[number];
  const die = shop.dies[0] as (typeof shop.dies)[number];
  const withLug: Job = {
    ...job,
    cables: [
      {
        ...(job.cables[0] as Job['cables'][number]),
        ends: { A: { at: '', stud: 'M8', lugId: lug.id, dieId: die.id }, B: { at: '', stud: 'M8' } },
      },
    ],
  };
  test('brings what the shop lacks, and its tool with the die', () => {
    const bare = { ...shop, lugs: [], dies: [], tools: [] };
    const adopted = adoptJob(bare, shop, withLug);
    expect(adopted.shop.lugs).toEqual([lug]);
    expect(adopted.shop.dies).toEqual([die]);
    expect(adopted.shop.tools.map(({ id }) => id)).toEqual([die.toolId]);
  });
  test('brings nothing it already has', () => expect(adoptJob(shop, shop, withLug).shop).toEqual(shop));
  test('what has been made of it since, there or here, makes no second thing of it', () => {
    const later = {
      ...shop,
      lugs: shop.lugs.map((own) => ({ ...own, stock: own.stock + 3 })),
      sleeves: shop.sleeves.map((own) => ({ ...own, stockMm: own.stockMm / 2 })),
      dies: shop.dies.map((own) => ({ ...own, closed: 12 })),
    };
    expect(adoptJob(later, shop, withLug).shop).toEqual(later);
    expect(adoptJob(shop, later, withLug).job.cables[0]?.ends.A).toMatchObject({
      lugId: lug.id,
      dieId: die.id,
    });
  });
  test('what came off its own shelf does not go back on this one', () => {
    const [cable] = withLug.cables;
    const took = [{ part: 'lug.A', stock: `lug:${lug.id}`, amount: 1 }];
    const done = [{ step: 'crimp-1.A', at: '2026-11-20T08:00:00.000Z', by: 'R. Pell', took }];
    const made = { ...withLug, cables: cable ? [{ ...cable, done }] : [] };
    const [{ took: _, ...tick }] = done as [(typeof done)[number]];
    expect(adoptJob(shop, shop, made).job.cables[0]?.done).toEqual([tick]);
  });
  test('keeps both where one id means two things, and the reference true', () => {
    const own = { ...shop, lugs: [{ ...lug, boreMm: lug.boreMm + 1 }] };
    const adopted = adoptJob(own, shop, withLug);
    expect(adopted.shop.lugs).toHaveLength(2);
    expect(adopted.shop.lugs[0]).toEqual(own.lugs[0]);
    expect(adopted.job.cables[0]?.ends.A.lugId).toBe(`${lug.id}-2`);
    expect(adopted.shop.lugs[1]).toEqual({ ...lug, id: `${lug.id}-2` });
  });
});

describe('new things get names of their own', () => {
  test('tags go on as the last one was written', () => {
    expect(nextTag([])).toBe('C-1');
    expect(nextTag(['TH-1', 'TH-2'])).toBe('TH-3');
    expect(nextTag(['BUS'])).toBe('BUS-2');
    expect(nextTag(['A9', 'A10', 'A9'])).toBe('A11');
  });
  test('ids step aside', () => {
    expect(freeId('x', [{ id: 'x' }, { id: 'x-2' }])).toBe('x-3');
    expect(underFreeId(job, [job]).id).toBe('j-2');
  });
  test('a copy keeps what it is and drops what was done to it', () => {
    const cable = { ...(job.cables[0] as Job['cables'][number]), done: [{ step: 'cut', at: AT, by: '' }] };
    expect(duplicateCable(cable, 'd', job)).toMatchObject({
      id: 'd',
      tag: 'C-2',
      done: [],
      readings: [],
      run: cable.run,
    });
  });
});
