import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { contextOf } from '../jobContext.ts';
import { jobSchema } from '../model/job.ts';
import { AMERICAN, measureBy, METRIC } from '../words/measures.ts';
import { sizeLabel } from '../model/tables/size.ts';
import { workUp, workUpCable } from '../workup.ts';
import { cableFromLine } from './fromLine.ts';
import { type LineFact, readLine } from './readLine.ts';

const shop = genericShop();
const answer = (line: string) => cableFromLine(line, shop, ['a', 'b']);
const facts = (line: string) => readLine(line).pieces.map(({ fact }) => fact);
const value = (line: string, is: LineFact['is']) => {
  const found = facts(line).findLast((fact) => fact.is === is);
  return found && 'value' in found ? found.value : undefined;
};

afterEach(() => measureBy(() => METRIC));

describe('a typed line is read', () => {
  test('as it comes from the keyboard, each piece with what it was taken for', () => {
    const { pieces, unread } = readLine('12 V 2000 W inverter 1.5 m engine space');
    expect(pieces.map(({ text, fact }) => [text, fact.is])).toEqual([
      ['12 V', 'volts'],
      ['2000 W', 'watts'],
      ['inverter', 'use'],
      ['1.5 m', 'lengthMm'],
      ['engine space', 'engineSpace'],
    ]);
    expect(unread).toEqual([]);
  });

  test.each([
    ['24V 240A thruster 6.4m 3min', { volts: 24, amps: 240, lengthMm: 6400, seconds: 180 }],
    ['starter 12 V 2.1 m 50 mm²', { volts: 12, lengthMm: 2100 }],
    ['12V 2 000 W 5 ft', { volts: 12, watts: 2000, lengthMm: 1524 }],
    ['2kW 48 volts 20 feet', { watts: 2000, volts: 48, lengthMm: 6096 }],
    ['12 V 30 A 5 ft 6 in', { lengthMm: 1676.4 }],
    ['12 V 30 A 59 1/2 in', { lengthMm: 1511.3 }],
    [
      '12 V 30 A 150cm fuse 40 drop 2 % air 45 °C',
      { lengthMm: 1500, fuseA: 40, dropPercent: 2, ambientC: 45 },
    ],
    ['12,8 V 1,5 m 30 ampère', { volts: 12.8, lengthMm: 1500, amps: 30 }],
    [
      '12 V 1000 W 2 m efficiency 85 % lowest 10.8 V 100 A fuse',
      { efficiencyPercent: 85, lowestV: 10.8, fuseA: 100 },
    ],
  ] as const)('%s', (line, expected) => {
    for (const [is, figure] of Object.entries(expected))
      expect([is, value(line, is as LineFact['is'])]).toEqual([is, expect.closeTo(figure, 6)]);
    expect(readLine(line).unread).toEqual([]);
  });

  test('in Dutch, and with sizes by gauge or mm²', () => {
    expect(facts('24V omvormer 2000W 2m motorruimte zekering 150').map(({ is }) => is)).toEqual([
      'volts',
      'use',
      'watts',
      'lengthMm',
      'engineSpace',
      'fuseA',
    ]);
    const size = (line: string) => {
      const found = facts(line).find((fact) => fact.is === 'size');
      return found?.is === 'size' ? sizeLabel(found.size) : null;
    };
    expect(size('2/0 awg 12 V')).toBe('AWG 2/0');
    expect(size('awg 4')).toBe('AWG 4');
    expect(size('50mm2')).toBe('50 mm²');
    expect(size('51 mm²')).toBeNull();
  });

  test('what is not understood or cannot be meant is said as it was typed', () => {
    expect(readLine('12 V frobnicator 1.5 m').unread).toEqual(['frobnicator']);
    expect(readLine('12 V 51 mm² 3 m').unread).toEqual(['51', 'mm²']);
    expect(readLine('900000 V 3 m').unread).toEqual(['900000', 'V']);
  });

  test('in any order it says the same', () => {
    const words = ['12 V', '2000 W', 'inverter', '1.5 m', 'engine space', 'fuse 300'];
    fc.assert(
      fc.property(fc.shuffledSubarray(words, { minLength: words.length }), (shuffled) => {
        const { job, assumed } = answer(shuffled.join(' '));
        expect(job).toEqual(answer(words.join(' ')).job);
        expect(assumed).toEqual(answer(words.join(' ')).assumed);
      }),
    );
  });

  test('nothing that can be typed throws, and what comes of it is a job', () => {
    const bits = fc.constantFrom(
      '12',
      ' ',
      'V',
      'm',
      'A',
      'W',
      '/',
      '.',
      ',',
      '²',
      '"',
      "'",
      'awg',
      'fuse',
      '%',
      '°',
      'starter',
      '-',
      '(',
      'é',
      '2/0',
    );
    fc.assert(
      fc.property(fc.array(bits, { maxLength: 14 }), (parts) => {
        const { job, read } = answer(parts.join(''));
        if (job) expect(() => jobSchema.parse(job)).not.toThrow();
        expect(read.pieces.every(({ text }) => text !== '')).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the cable that it asks for', () => {
  test('is one out and one back that share the drop; what was not said is assumed and named', () => {
    const { job, assumed, missing } = answer('12 V 2000 W inverter 1.5 m engine space fuse 300');
    expect(missing).toEqual([]);
    expect(assumed.map(({ key }) => key)).toEqual([
      'efficiencyPercent',
      'lowestV',
      'dropPercent',
      'ambientC',
      'kind',
    ]);
    const [out, back] = job?.cables ?? [];
    expect(out).toMatchObject({
      polarity: 'positive',
      jacket: 'red',
      run: { engineSpace: true, ambientC: 50 },
    });
    expect(back).toMatchObject({ polarity: 'negative', jacket: 'black', run: { fuses: [] } });
    if (!job || !out) throw new Error('no job');
    const work = workUpCable(out, shop, { context: contextOf(out, job) });
    expect(work.choice.taken.at.currentA).toBeGreaterThan(195);
    expect(work.choice.taken.state).not.toBe('fails');
    expect(workUp(job, shop).cables).toHaveLength(2);
  });

  test.each([METRIC, AMERICAN])('typing what was assumed takes it out of what is assumed', (set) => {
    measureBy(() => set);
    const line = '24 V 240 A thruster 6.4 m';
    for (const { key, typed } of answer(line).assumed) {
      const again = answer(`${line} ${typed}`);
      expect(again.read.unread).toEqual([]);
      expect(again.assumed.map((own) => own.key)).not.toContain(key);
    }
  });

  test('a starter has customary amps, a time, and no fuse by custom; a size said stays', () => {
    const { job, assumed } = answer('starter 12 V 2.1 m 50 mm²');
    expect(assumed.map(({ key }) => key)).toEqual(['amps', 'seconds', 'dropPercent', 'ambientC', 'kind']);
    expect(job?.cables[0]).toMatchObject({
      run: { starter: true, duty: { steps: [{ amps: 300, seconds: 5 }] } },
      gauge: { size: { name: '50' } },
    });
  });

  test('a size is of a kind that comes in it; one that the shop has no cable of is said', () => {
    const gauge = answer('12 V 100 A 2 m 2/0 awg');
    const [out] = gauge.job?.cables ?? [];
    expect(gauge.read.unread).toEqual([]);
    expect(out?.gauge.size).toMatchObject({ name: '2/0' });
    const kind = shop.cableKinds.find(({ id }) => id === out?.gauge.kindId);
    expect(kind?.sizes.some(({ size }) => size.name === '2/0')).toBe(true);
    const bare = { ...shop, cableKinds: shop.cableKinds.slice(0, 1) };
    const none = cableFromLine('12 V 100 A 2 m 2/0 awg', bare, ['a', 'b']);
    expect(none.read.unread).toEqual(['2/0 awg']);
    expect(none.job?.cables[0]?.gauge.size).toBeUndefined();
  });

  test('without a load or a length there is none, and that is said', () => {
    expect(answer('12 V inverter').missing).toEqual(['load', 'length']);
    expect(answer('12 V 30 A').missing).toEqual(['length']);
    expect(answer('')).toMatchObject({ missing: ['load', 'length'], job: null });
    expect(answer('12 V 30 A 2 m one way').job?.cables).toHaveLength(1);
  });
});
