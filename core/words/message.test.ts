import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sealRecord } from '../log/record.ts';
import { jobFileSchema } from '../model/job.ts';
import { messageSchema } from '../model/message.ts';
import { valid } from '../model/validFixture.ts';
import { workUpCable } from '../workup.ts';
import { speak, writeDecimalsWith } from './language.ts';
import {
  amount,
  capitalised,
  head,
  isSame,
  listed,
  type Message,
  msg,
  numeral,
  shortest,
  small,
  tell,
  told,
  verbatim,
} from './message.ts';
import { say } from './say.ts';

const dutch = JSON.parse(readFileSync('words/nl.json', 'utf8')) as Record<string, string>;
const inDutch = () => {
  speak({ code: 'nl', messages: dutch });
  writeDecimalsWith(',');
};
afterEach(() => {
  speak(null);
  writeDecimalsWith('.');
});

describe('a message', () => {
  test('is told in the language of the moment, whenever it was made', () => {
    const made = msg`at most ${amount(4.61, 'V', 2)}`;
    expect(tell(made)).toBe('at most 4.61\u2009V');
    inDutch();
    expect(tell(made)).toBe('hooguit 4,61\u2009V');
  });
  test('is plain data: it goes through JSON and says the same', () => {
    const made = verbatim`${capitalised(msg`copper`)}: ${listed([numeral(1.5, 1), shortest(2, 3)], msg` and `)}`;
    const kept = JSON.parse(JSON.stringify(made)) as Message;
    expect(tell(kept)).toBe('Copper: 1.5 and 2');
    expect(isSame(kept, made)).toBe(true);
    expect(isSame(kept, msg`copper`)).toBe(false);
  });
  test('a part that is absent is left out, and a number has the reader’s mark', () => {
    inDutch();
    expect(tell(verbatim`${null}${undefined}${0.5}`)).toBe('0,5');
  });
  test('a list of nothing says nothing, so that something else may be said', () =>
    expect(listed([], ', ') || 'none').toBe('none'));
  test('shapes: a capital, small letters, and what a title says before its comma', () => {
    expect(tell(capitalised(msg`copper`))).toBe('Copper');
    expect(tell(small('Drop at the load'))).toBe('drop at the load');
    expect(tell(head('Pull, end A'))).toBe('pull');
  });
  test('what no formula gave is a dash, never NaN', () => {
    expect(tell(amount(Number.NaN, 'A', 1))).toBe('—');
    expect(tell(shortest(Number.POSITIVE_INFINITY, 1))).toBe('—');
  });
  test('text from a person is told as it was typed, whatever it looks like', () =>
    fc.assert(fc.property(fc.string(), (typed) => tell(msg`across ${typed}`) === `across ${typed}`)));
  test('said at once it says what it says told later', () => {
    expect(say`across ${amount(2, 'mm', 1)}`).toBe(tell(msg`across ${amount(2, 'mm', 1)}`));
  });
});

describe('told into JSON', () => {
  test('messages become their words; what only looks alike stays', () => {
    const step = { figure: { value: 4, unit: 'mm', decimals: 0 }, says: msg`copper`, of: [msg`brass`] };
    expect(JSON.parse(JSON.stringify(step, told))).toEqual({
      figure: { value: 4, unit: 'mm', decimals: 0 },
      says: 'copper',
      of: ['brass'],
    });
  });
});

describe('kept messages', () => {
  test('any message of the schema is told without throwing, whatever its words name', () =>
    fc.assert(
      fc.property(valid(messageSchema), (message) => {
        inDutch();
        return typeof tell(message) === 'string';
      }),
    ));
  test('words that are no message of the code are told as they stand', () => {
    inDutch();
    expect(tell({ say: 'constructor' })).toBe('constructor');
    expect(tell({ say: '{0} {9}', with: ['a'] })).toBe('a ');
  });
  test('a record sealed in one language is read in another, line by line', () => {
    const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
    const sealed = () =>
      job.cables.slice(0, 4).map((cable) => {
        const work = workUpCable(cable, shop);
        return sealRecord(cable, work, 'N. Sorrel', '2026-01-02T10:00:00.000Z');
      });
    const english = sealed();
    inDutch();
    expect(sealed()).toEqual(english);
    const told = english.flatMap(({ lines }) => lines.map(({ because }) => tell(because)));
    speak(null);
    writeDecimalsWith('.');
    const inEnglish = english.flatMap(({ lines }) => lines.map(({ because }) => tell(because)));
    expect(told.filter((text, i) => text.length > 40 && text === inEnglish[i])).toEqual([]);
  });
});
