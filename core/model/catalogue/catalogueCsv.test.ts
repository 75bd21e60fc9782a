import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { readDiesCsv, readLugsCsv, writeDiesCsv, writeLugsCsv } from './catalogueCsv.ts';
import { genericShop } from './genericShop.ts';

const { lugs, dies, tools } = genericShop();
const HEAD =
  'lug,size,stud,hole mm,bore mm,outside mm,barrel mm,palm width mm,palm thickness mm,stud to barrel mm';
const ROW = 'My 50,50,M8,8.4,10,12.6,18,20,2.6,17';

describe('a catalogue out and in again', () => {
  test('is the same catalogue, lug by lug and die by die', () => {
    const read = readLugsCsv(writeLugsCsv(lugs), []);
    expect(read.problems).toEqual([]);
    const bare = (list: typeof lugs) => list.map(({ id: _, ...rest }) => rest);
    expect(bare([...read.items])).toEqual(bare(lugs));
    const again = readLugsCsv(writeLugsCsv(lugs), lugs);
    expect(again).toMatchObject({ added: 0, changed: 0, items: lugs });
    const stamped = dies.filter(({ stamp }) => stamp !== '');
    expect(readDiesCsv(writeDiesCsv(stamped, tools), stamped, tools)).toMatchObject({
      added: 0,
      changed: 0,
      problems: [],
    });
  });
});

describe('rows from a spreadsheet', () => {
  test('units, semicolons, columns in any order and a byte-order mark are understood', () => {
    const contents = `\uFEFFbore mm;lug;size;stud;hole mm;outside mm;barrel mm;palm width mm;palm thickness mm;stud to barrel mm\n"0,39 in";My 50;2/0;M8;8.4;12.6;18;20;2.6;17\n`;
    const { items, added, problems } = readLugsCsv(contents, []);
    expect(problems).toEqual([]);
    expect(added).toBe(1);
    expect(items[0]).toMatchObject({
      label: 'My 50',
      forSize: { system: 'awg', name: '2/0' },
      form: 'tube',
      measured: true,
    });
    expect(items[0]?.boreMm).toBeCloseTo(9.906, 3);
  });
  test('a row of a known name changes that lug and keeps its id', () => {
    const first = readLugsCsv(`${HEAD}\n${ROW}\n`, lugs);
    const again = readLugsCsv(`${HEAD}\n${ROW.replace('12.6', '12.8')}\n`, first.items);
    expect(again).toMatchObject({ added: 0, changed: 1 });
    expect(again.items.at(-1)).toMatchObject({ id: first.items.at(-1)?.id, outerMm: 12.8 });
  });
  test.each([
    ['a bore wider than the outside', ROW.replace(',10,', ',13,'), 'bore mm', /not inside/],
    ['a hole wider than the palm', ROW.replace('8.4', '22'), 'hole mm', /wider than its palm/],
    ['a size nobody makes', ROW.replace('50,50', '50,51'), 'size', /not a standard size/],
    ['a stud nobody knows', ROW.replace('M8', 'M9'), 'stud', /not one of/],
    ['a word for a figure', ROW.replace('8.4', 'wide'), 'hole mm', /./],
    ['an empty name', ROW.replace('My 50', ''), 'lug', /empty/],
    ['a bore of a metre', ROW.replace(',10,', ',1 m,'), 'bore mm', /out of range/],
  ])('%s is named by row and column, and good rows are still told', (_, row, column, sentence) => {
    const { items, problems } = readLugsCsv(`${HEAD}\n${ROW.replace('My', 'Good')}\n${row}\n`, []);
    expect(items).toHaveLength(1);
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({ row: 3, column });
    expect(problems[0]?.sentence).toMatch(sentence);
  });
  test('a missing or an unknown column is said, and an empty file', () => {
    expect(readLugsCsv(HEAD.replace(',bore mm', ''), []).problems[0]?.sentence).toMatch(/no rows/);
    expect(readLugsCsv(`lug,size\nMy 50,50\n`, []).problems[0]?.sentence).toMatch(/lacks: stud, hole mm/);
    expect(readLugsCsv(`${HEAD},colour\n${ROW},blue\n`, []).problems[0]).toMatchObject({ column: 'colour' });
    expect(readLugsCsv('', []).problems[0]?.sentence).toBe('This file has no rows.');
  });
  test('a clamp without a pole, and a die of a tool nobody owns, are refused', () => {
    const clamp = `${HEAD},form,post\n${ROW},cast clamp,large taper\n`;
    expect(readLugsCsv(clamp, []).problems[0]).toMatchObject({ column: 'polarity' });
    const die = 'tool,stamp,across flats mm,width mm\nSledge,70,12.4,9\n';
    expect(readDiesCsv(die, [], tools).problems[0]?.sentence).toMatch(/No tool called “Sledge”/);
  });
});

describe('what comes from a stranger', () => {
  test('a name that begins like a formula opens as text, and comes back as it was', () => {
    const [lug] = lugs;
    if (!lug) throw new Error('no lug');
    const evil = { ...lug, label: '=HYPERLINK("x")' };
    const contents = writeLugsCsv([evil]);
    expect(Papa.parse<string[]>(contents).data[1]?.[0]).toMatch(/^'=/);
    expect(readLugsCsv(contents, []).items[0]?.label).toBe(evil.label);
  });
  test('anything at all is answered with rows or problems, never with an error', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        const { items, problems } = readLugsCsv(text, []);
        return items.length > 0 || problems.length > 0;
      }),
    );
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 12 }), { minLength: 10, maxLength: 10 }), (fields) => {
        const contents = `${HEAD}\n${Papa.unparse([fields])}\n`;
        return readLugsCsv(contents, []).items.every(({ boreMm, outerMm }) => boreMm < outerMm);
      }),
    );
  });
});
