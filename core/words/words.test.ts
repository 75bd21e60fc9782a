import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { messagesOfTheCode, writtenMessages } from '../../scripts/words.ts';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { figure } from '../model/units/figure.ts';
import { brief, digits } from '../words/numerals.ts';
import { parseQuantity } from '../model/units/quantity.ts';
import { allOf, msg, tell } from './message.ts';
import { say } from './say.ts';
import { decimalMark, messageOf, speak, spoken, writeDecimalsWith } from './language.ts';

const dutch = JSON.parse(readFileSync('words/nl.json', 'utf8')) as Record<string, string>;
const messages = messagesOfTheCode();
const partsOf = (text: string) => [...text.matchAll(/\{\d+\}/g)].map(([part]) => part).sort();

afterEach(() => {
  speak(null);
  writeDecimalsWith('.');
});

describe('the catalogue', () => {
  test('all messages stand in one place, as the code says them now', () =>
    expect(readFileSync('words/messages.json', 'utf8')).toBe(writtenMessages(messages)));
  test('Dutch says every one of them and none besides', () => {
    expect(Object.keys(messages).length).toBeGreaterThan(3000);
    expect(Object.keys(dutch).sort()).toEqual(Object.keys(messages).sort());
  });
  test('with the same parts inserted, and the same room around it', () => {
    // In as many forms as its language has, each with the count.
    const { pluralCategories } = new Intl.PluralRules('nl').resolvedOptions();
    const roomAround = (text: string) => [/^\s/.test(text), /\s$/.test(text)].join();
    const isCounted = (english: string, said: string) =>
      english.split('¦').length === 2 &&
      said.split('¦').length === pluralCategories.length &&
      said.split('¦').every((form) => form.includes('{0}'));
    const wrong = Object.entries(dutch).filter(
      ([english, said]) =>
        said.trim() === '' ||
        roomAround(said) !== roomAround(english) ||
        !(english.includes('¦')
          ? isCounted(english, said)
          : partsOf(said).join() === partsOf(english).join()),
    );
    expect(wrong).toEqual([]);
  });
  test('and no sentence is left in English', () => {
    const sentences = Object.entries(dutch).filter(([english]) => english.replace(/\{\d\}/g, '').length > 40);
    const same = sentences.filter(([english, said]) => english === said).map(([english]) => english);
    // Formulas with no word in them are the same in every language.
    expect(same.filter((text) => /[a-z]{4,} [a-z]{3,}/.test(text))).toEqual([]);
  });
});

test('whatever a shop begins with has its name in the catalogue', () => {
  const { cableKinds, tools } = genericShop();
  const names = [...cableKinds, ...tools].map(({ title }) => title);
  expect(names.filter((name) => !Object.hasOwn(messages, name))).toEqual([]);
});

describe('saying', () => {
  test('English is what stands in the code', () => expect(say`${4} of ${14} ticked`).toBe('4 of 14 ticked'));
  test('another language puts the parts where it wants them', () => {
    speak({ code: 'nl', messages: { '{0} of {1} ticked': 'van {1} zijn er {0} afgevinkt' } });
    expect(spoken()).toBe('nl');
    expect(say`${4} of ${14} ticked`).toBe('van 14 zijn er 4 afgevinkt');
  });
  test('what is inserted is never taken for a part', () => {
    speak({ code: 'nl', messages: { 'a {0} b {1}': '{1} b {0}' } });
    expect(say`a ${'{1}'} b ${'$&'}`).toBe('$& b {1}');
  });
  test('what a language lacks is said in English', () => {
    speak({ code: 'nl', messages: {} });
    expect(say`not there yet`).toBe('not there yet');
  });
  test('what tells two messages apart is not said', () => {
    expect(say`plain‖of a level`).toBe('plain');
    expect(messageOf(['plain‖of a level'])).toBe('plain‖of a level');
  });
  test('what counts is said in as many forms as its language has', () => {
    const days = (count: number) => say`${count} day¦${count} days`;
    const both = (count: number) => [days(count), tell(msg`${count} day¦${count} days`)];
    expect([0, 1, 2, 1.5].map(days)).toEqual(['0 days', '1 day', '2 days', '1.5 days']);
    // Four forms, as Slovene has them: one, two, few, other.
    speak({ code: 'sl', messages: { '{0} day¦{1} days': '{0} dan¦{0} dneva¦{0} dnevi¦{0} dni' } });
    expect([1, 2, 3, 5, 101].map(days)).toEqual(['1 dan', '2 dneva', '3 dnevi', '5 dni', '101 dan']);
    expect(both(2)).toEqual(['2 dneva', '2 dneva']);
    // What a language lacks is counted as English counts.
    speak({ code: 'sl', messages: {} });
    expect([1, 2].map(days)).toEqual(['1 day', '2 days']);
  });
  test('all of some things are listed as their language does', () => {
    const listed = () => ['A', 'B', 'C'].map((_, i, all) => tell(allOf(all.slice(0, i + 1))));
    expect(listed()).toEqual(['A', 'A and B', 'A, B and C']);
    speak({ code: 'nl', messages: {} });
    expect(listed()).toEqual(['A', 'A en B', 'A, B en C']);
    expect(tell(allOf([]))).toBe('');
  });
  test('a part that is absent is left out', () => expect(say`a${undefined}${null} b`).toBe('a b'));
});

describe('the decimal sign', () => {
  test('is the reader’s', () => {
    writeDecimalsWith(',');
    expect(decimalMark()).toBe(',');
    expect(figure(6349.25, 'mm', 1)).toBe('6\u2009349,3\u2009mm');
    expect(digits(-0.5, 2)).toBe('\u22120,50');
    expect([brief(24, 1), brief(0.05, 3), brief(1200, 2)]).toEqual(['24', '0,05', '1\u2009200']);
    expect(say`about ${2.5} times`).toBe('about 2,5 times');
  });
  test('decides what a mark before three figures parts', () => {
    const read = (text: string, mark: '.' | ',') => parseQuantity(text, 'length', 'mm', mark);
    expect(read('1.250', '.')).toEqual({ ok: true, value: 1.25 });
    expect(read('1,250', ',')).toEqual({ ok: true, value: 1.25 });
    expect(read('1,250', '.')).toMatchObject({ ok: false, sentence: expect.stringContaining('two ways') });
    expect(read('1.250', ',')).toMatchObject({ ok: false, sentence: expect.stringContaining('1,250') });
    expect([read('2.5', ','), read('2,5', '.')]).toEqual([
      { ok: true, value: 2.5 },
      { ok: true, value: 2.5 },
    ]);
  });
  test('whatever is written with either is read back', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.constantFrom<'.' | ','>('.', ','),
        fc.integer({ min: 0, max: 4 }),
        (value, mark, places) => {
          writeDecimalsWith(mark);
          for (const written of [digits(value, places), brief(value, places)]) {
            const entry = parseQuantity(written, 'number');
            expect(entry.ok && entry.value).toBeCloseTo(Number(value.toFixed(places)), 8);
          }
        },
      ),
    ));
});
