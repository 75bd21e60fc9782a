import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { workUp, workedOut, workUpCable } from '../workup.ts';
import { jobFileSchema } from '../model/job.ts';
import { guessMapping, readSchedule, SCHEDULE_FIELDS, writeScheduleCsv } from './schedule.ts';
import { type WorkedCable } from '../cableWork.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const works = workUp(job, shop, '2026-11-25').cables;
const scheduled = job.cables.flatMap((cable, i): WorkedCable[] => {
  const work = works[i];
  return work ? [{ cable, work }] : [];
});
let count = 0;
const ids = () => `new-${(count += 1)}`;
const read = (contents: string, unit?: 'mm' | 'm' | 'in' | 'ft') =>
  readSchedule(contents, guessMapping(contents), shop, ids, unit);

describe('a schedule out and in again', () => {
  const { cables, problems } = read(writeScheduleCsv(scheduled));
  test('has every cable with its figures', () => {
    expect(problems).toEqual([]);
    expect(cables.map(({ tag }) => tag)).toEqual(job.cables.map(({ tag }) => tag));
    cables.forEach((cable, i) => {
      const before = job.cables[i];
      const assessed = works[i]?.choice.taken.at;
      expect(cable).toMatchObject({
        polarity: before?.polarity,
        jacket: before?.jacket,
        gauge: { size: assessed?.size },
        ends: { A: { at: before?.ends.A.at, stud: before?.ends.A.stud } },
      });
      expect(cable.run.systemV).toBe(before?.run.systemV);
      expect(cable.run.lengthMm).toBe(Math.round(before?.run.lengthMm ?? NaN));
      expect(cable.run.load).toEqual({ kind: 'amps', amps: Number((assessed?.currentA ?? 0).toFixed(1)) });
    });
  });
  test('has fresh ids, and works up', () => {
    for (const cable of cables) {
      expect(cable.id).toMatch(/^new-/);
      expect(() => workedOut(workUpCable(cable, shop))).not.toThrow();
    }
  });
  test('an independent parser finds the lengths to cut', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(writeScheduleCsv(scheduled).trim(), {
      header: true,
    });
    expect(errors).toEqual([]);
    data.forEach((row, i) => expect(row['cut mm']).toBe(works[i]?.lengths?.cutMm.toFixed(0) ?? ''));
  });
  test('any tag comes back as it was, and none is a formula', () => {
    const [first] = scheduled;
    if (!first) throw new Error('no cable');
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ minLength: 1, maxLength: 60 }),
          fc
            .tuple(fc.constantFrom('=', '+', '-', '@'), fc.string({ maxLength: 30 }))
            .map((own) => own.join('')),
        ),
        (typed) => {
          const tag = typed.replace(/\s+/g, ' ').trim();
          fc.pre(tag !== '' && !tag.startsWith("'"));
          const csv = writeScheduleCsv([{ ...first, cable: { ...first.cable, tag } }]);
          const [, row] = Papa.parse<string[]>(csv).data;
          return !/^[=+\-@\t\r]/.test(row?.[0] ?? '=') && read(csv).cables[0]?.tag === tag;
        },
      ),
    );
  });
});

describe('a schedule from elsewhere', () => {
  const OTHER =
    'Cable No;Source;Load;Current (A);Length [m];Gauge;Color\nP1;battery;inverter;180;1,4;2/0 AWG;black\n';
  test('its titles are matched with what is known here', () => {
    const mapping = guessMapping(OTHER);
    expect(Object.fromEntries(mapping)).toEqual({
      tag: 0,
      from: 1,
      to: 2,
      amps: 3,
      lengthMm: 4,
      size: 5,
      jacket: 6,
    });
  });
  test('a bare length is in what is said, one with a unit in its own', () => {
    const [cable] = read(OTHER, 'm').cables;
    expect(cable?.run.lengthMm).toBeCloseTo(1400, 6);
    expect(cable).toMatchObject({ jacket: 'black', gauge: { size: { system: 'awg', name: '2/0' } } });
    const feet = 'tag,length\na,10\nb,3 m\nc,12 in\n';
    expect(read(feet, 'ft').cables.map(({ run }) => Math.round(run.lengthMm))).toEqual([3048, 3000, 305]);
  });
  test('fields it does not have are as in a new cable', () => {
    const [cable] = read('tag,length mm\nX-1,900\n').cables;
    expect(cable).toMatchObject({ polarity: 'positive', jacket: 'red', ends: { A: { stud: 'M8' } } });
    expect(cable?.gauge.size).toBeUndefined();
  });
  test.each([
    ['a length of nothing', 'X-2,0', 'length mm', /out of range/],
    ['a word for a length', 'X-2,long', 'length mm', /./],
    ['no tag', ',900', 'tag', /empty/],
    ['a tag twice', 'X-1,900', 'tag', /already in row 2/],
  ])('%s is named by its row', (_, row, column, sentence) => {
    const { cables, problems } = read(`tag,length mm\nX-1,900\n${row}\n`);
    expect(cables.map(({ tag }) => tag)).toEqual(['X-1']);
    expect(problems).toMatchObject([{ row: 3, column }]);
    expect(problems[0]?.sentence).toMatch(sentence);
  });
  test.each([
    ['pole', 'sideways', /not one of/],
    ['colour', 'mauve', /not one of/],
    ['stud A', 'M9', /not one of/],
    ['size', '71', /not a standard size/],
    ['cable', 'bell wire', /No kind “bell wire”/],
    ['volts', '0', /out of range/],
    ['amps', '-4', /out of range|./],
  ])('a wrong %s is told', (title, value, sentence) => {
    const { cables, problems } = read(`tag,length mm,${title}\nX-1,900,${value}\n`);
    expect(cables).toEqual([]);
    expect(problems).toHaveLength(1);
    expect(problems[0]?.sentence).toMatch(sentence);
  });
  test('a file that is none says so', () => {
    expect(read('').problems[0]?.sentence).toMatch(/no rows/);
    expect(read('tag\nX-1\n').problems[0]?.sentence).toMatch(/lacks: length mm/);
    expect(read(`tag,length mm\n${'x,1000\n'.repeat(5001)}`).problems[0]?.sentence).toMatch(/At most/);
  });
  test('only the tag and the length are needed', () =>
    expect(SCHEDULE_FIELDS.filter(({ required }) => required).map(({ key }) => key)).toEqual([
      'tag',
      'lengthMm',
    ]));
});
