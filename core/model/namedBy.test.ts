import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { genericShop } from './catalogue/genericShop.ts';
import { guessMapping, readSchedule, SCHEDULE_FIELDS, scheduleTemplate } from '../paper/schedule.ts';
import { readJacket, readPole, readStud } from './namedBy.ts';

const value = (read: ReturnType<typeof readPole>) => (read.ok ? read.value : null);

test.each([
  ['+', 'positive'],
  ['POS', 'positive'],
  ['plus', 'positive'],
  ['neg', 'negative'],
  ['−', 'negative'],
  ['Ground', 'negative'],
  ['massa', 'negative'],
  ['jumper', 'link'],
])('the pole %s is %s', (text, pole) => expect(value(readPole(text))).toBe(pole));

test.each([
  ['8', 'M8'],
  ['8 mm', 'M8'],
  ['m10', 'M10'],
  ['M 6', 'M6'],
  ['3/8 in', '3/8'],
  ['3/8"', '3/8'],
  ['⅜ inch', '3/8'],
  ['1/4', '1/4'],
  ['stud 8', 'M8'],
])('the stud %s is %s', (text, stud) => expect(value(readStud(text))).toBe(stud));

test.each([
  ['BLK', 'black'],
  ['rood', 'red'],
  ['Yellow', 'yellow'],
])('the colour %s is %s', (text, colour) => expect(value(readJacket(text))).toBe(colour));

test('what is none of them is refused in a sentence, and nothing throws', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      for (const read of [readPole, readStud, readJacket]) {
        const result = read(text);
        expect(result.ok || result.sentence.includes(text)).toBe(true);
      }
    }),
  );
  expect(readStud('7').ok).toBe(false);
});

test('the template is read as it is, every column of it matched', () => {
  const template = scheduleTemplate();
  const mapping = guessMapping(template);
  expect([...mapping.keys()].sort()).toEqual(SCHEDULE_FIELDS.map(({ key }) => key).sort());
  let id = 0;
  const { cables, problems } = readSchedule(template, mapping, genericShop(), () => `c${(id += 1)}`);
  expect(problems).toEqual([]);
  expect(cables.map(({ tag, polarity, ends }) => [tag, polarity, ends.B.stud])).toEqual([
    ['TH-1', 'positive', 'M10'],
    ['TH-2', 'negative', 'M8'],
  ]);
  // Titles that others use.
  const other =
    'Cable no,Source,Destination,Length m,Polarity,Stud 1,Stud 2,Color\nSO-1,Bank +,Bus,2.4,neg,8 mm,3/8 in,BLK\n';
  const read = readSchedule(other, guessMapping(other), genericShop(), () => 'x', 'm');
  expect(read.problems).toEqual([]);
  expect(read.cables[0]).toMatchObject({
    polarity: 'negative',
    jacket: 'black',
    ends: { A: { stud: 'M8' }, B: { stud: '3/8' } },
  });
});
