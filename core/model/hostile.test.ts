import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { readDiesCsv, readLugsCsv } from './catalogue/catalogueCsv.ts';
import { genericShop } from './catalogue/genericShop.ts';
import { readStandIn } from '../instrument/standIn/protocol.ts';
import { readLabel } from '../paper/label.ts';
import { parseQuantity } from './units/quantity.ts';
import { parseSize } from './parseSize.ts';
import { workUp } from '../workup.ts';
import { LARGEST_FILE_CHARS, readJobFile } from './file.ts';
import { jobFileSchema } from './job.ts';
import { guessMapping, readSchedule } from '../paper/schedule.ts';

const good = readFileSync('demo/hut.json', 'utf8');
const shop = genericShop();
type Data = Record<string, unknown> | unknown[];

/** Every place in a piece of JSON that holds something. */
function places(data: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof data !== 'object' || data === null) return [path];
  return Object.entries(data).flatMap(([key, value]) => [
    [...path, key],
    ...(typeof value === 'object' ? places(value, [...path, key]) : []),
  ]);
}
const all = places(JSON.parse(good));
function withAt(path: readonly (string | number)[], value: unknown): string {
  const data = JSON.parse(good) as Data;
  let at = data as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  const last = path.at(-1);
  if (last !== undefined) at[last] = value;
  return JSON.stringify(data);
}

describe('a job file that somebody tampered with', () => {
  test('is read as something its own schema takes and that can be worked up, or refused in a sentence', () =>
    fc.assert(
      fc.property(fc.nat(all.length - 1), fc.jsonValue({ maxDepth: 3 }), (at, value) => {
        const read = readJobFile(withAt(all[at] ?? [], value));
        if (!read.ok) return read.sentence !== '';
        workUp(read.value.job, read.value.shop, '2026-11-27');
        return jobFileSchema.safeParse(read.value).success;
      }),
      { numRuns: cases(250) },
    ));
  test('cut off anywhere it is refused', () =>
    fc.assert(
      fc.property(fc.nat(good.length - 3), (at) => !readJobFile(good.slice(0, at)).ok),
      { numRuns: cases(60) },
    ));
  test('keys that reach for the prototype change nothing and are refused', () => {
    for (const key of ['__proto__', 'constructor', 'prototype']) {
      const read = readJobFile(good.replace(/^\{/, `{"${key}":{"polluted":true},`));
      const inside = readJobFile(good.replace('"job": {', `"job": {"${key}": {"polluted": true},`));
      expect([read.ok, inside.ok]).toEqual([false, false]);
    }
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('nested deeper than anything it is refused, and nothing overflows', () => {
    const deep = `${'['.repeat(200_000)}${']'.repeat(200_000)}`;
    expect(readJobFile(deep).ok).toBe(false);
    expect(readJobFile(withAt(['job', 'title'], 'x').replace('"x"', deep)).ok).toBe(false);
  });
  test('with ten megabytes in a name it is refused; larger than any job it is not even read', () => {
    expect(readJobFile(withAt(['job', 'title'], 'x'.repeat(10_000_000))).ok).toBe(false);
    const huge = { length: LARGEST_FILE_CHARS + 1, trim: () => 'x' } as unknown as string;
    expect(readJobFile(huge)).toMatchObject({ ok: false, sentence: expect.stringContaining('far larger') });
  });
});

describe('whatever text it is given, no reader throws', () => {
  const text = fc.oneof(
    fc.string({ maxLength: 200 }),
    fc.string({ unit: 'grapheme', maxLength: 80 }),
    fc
      .array(
        fc.constantFrom('tag', 'from', '"', ',', ';', '\t', '\n', '=1+1', '@x', "'", '12 ft 6', '−', '2/0'),
      )
      .map((parts) => parts.join('')),
  );
  test('a schedule', () =>
    fc.assert(
      fc.property(text, (contents) => {
        const { cables, problems } = readSchedule(contents, guessMapping(contents), shop, () => 'new');
        return Array.isArray(cables) && problems.every(({ sentence }) => sentence !== '');
      }),
      { numRuns: cases(300) },
    ));
  test('a list of lugs, a list of dies', () =>
    fc.assert(
      fc.property(text, fc.boolean(), (contents, headed) => {
        const all = headed ? `family,size,stud\n${contents}` : contents;
        const { problems } = readLugsCsv(all, shop.lugs);
        return (
          problems.every(({ sentence }) => sentence !== '') &&
          readDiesCsv(all, shop.dies, shop.tools).problems.every(({ sentence }) => sentence !== '')
        );
      }),
      { numRuns: cases(200) },
    ));
  test('a label, a quantity, a size, a line of an instrument', () =>
    fc.assert(
      fc.property(text, (contents) => {
        const label = readLabel(contents);
        const quantity = parseQuantity(contents, 'length', 'mm');
        const size = parseSize(contents, 'awg');
        const said = readStandIn(contents, 'milliohm');
        return (
          (label.ok || label.sentence !== '') &&
          (quantity.ok ? Number.isFinite(quantity.value) : quantity.sentence !== '') &&
          (size.ok || size.sentence !== '') &&
          ['value', 'refused', 'over', 'heard', 'identity'].includes(said.kind)
        );
      }),
      { numRuns: cases(500) },
    ));
});
