import { readFileSync } from 'node:fs';
import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { baseUnit, type QuantityKind, UNITS } from '../model/units/entryUnits.ts';
import { parseQuantity } from '../model/units/quantity.ts';
import { readJobFile } from '../model/file.ts';
import { workUp } from '../workup.ts';
import { AMERICAN, dayText, measureBy, measured, METRIC } from './measures.ts';
import { amount, bare, briefly, type Message, msg, tell, tellWork } from './message.ts';

const plain = (text: string) => text.replaceAll('\u2009', ' ');
afterEach(() => measureBy(() => METRIC));

describe('the reader’s measures', () => {
  test('a figure is written in them wherever it is told, and the core’s own numbers stay', () => {
    const said = msg`${amount(6349, 'mm', 0)}, ${bare(9, 'N·m', 0)} to ${amount(14, 'N·m', 0)}, ${briefly(0.5, 'mm', 1)}`;
    expect(plain(tell(said))).toBe('6 349 mm, 9 to 14 N·m, 0.5 mm');
    measureBy(() => AMERICAN);
    expect(plain(tell(said))).toBe('249.96 in, 6.6 to 10.3 lbf·ft, 0.02 in');
  });

  test('a work keeps the units in which its formula holds, with the reader’s behind', () => {
    measureBy(() => AMERICAN);
    const line = msg`= ${6300} + ${49} = ${amount(6349, 'mm', 0)}; ${bare(9, 'N·m', 0)} to ${amount(14, 'N·m', 0)}`;
    expect(plain(tellWork(line))).toBe('= 6300 + 49 = 6 349 mm (249.96 in); 9 to 14 N·m (10.3 lbf·ft)');
    expect(plain(tell(amount(10, 'mm', 0)))).toBe('0.39 in');
  });

  test('a difference of temperatures has no nought to move', () => {
    measureBy(() => AMERICAN);
    expect([measured(60, '°C', 0).value, measured(50, 'K', 0).value]).toEqual([140, 90]);
  });

  // What is written into a field and read from it again is what was there, to half of its last digit.
  test.each(Object.keys(UNITS) as QuantityKind[])('a field of %s reads back what it writes', (kind) => {
    const base = baseUnit(kind);
    measureBy(() => AMERICAN);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 9000, noNaN: true }), (value) => {
        const shown = measured(value, base, 3);
        const entry = parseQuantity(shown.value.toFixed(6), kind, shown.unit || undefined);
        expect(entry.ok && Math.abs(entry.value - value)).toBeLessThan(1e-3 + value * 1e-5);
      }),
    );
  });

  test('days are written as they are read; what is no day stays', () => {
    expect(dayText('2026-11-29T08:00:00Z')).toBe('2026-11-29');
    measureBy(() => AMERICAN);
    expect([dayText('2026-11-29'), dayText('')]).toEqual(['11/29/2026', '']);
    measureBy(() => ({ ...METRIC, dates: 'day' }));
    expect(dayText('2026-11-29')).toBe('29-11-2026');
  });
});

/** A figure in a unit that the American set has another for. */
const METRIC_FIGURE = /\d[\s\u2009]?(?:mm²|mm|cm|m|°C|N·m|kg|N)(?![\w²·Ω/])/u;
/** Given in both, or the name of an instrument. */
const GIVEN_BOTH = /\d[\s\u2009]?mm² \(≈ AWG|Crane scale 500 kg/gu;

describe('in the American set', () => {
  test.each(['teasel', 'marrow', 'hut'])('no sentence of %s tells a metric figure alone', (name) => {
    const parsed = readJobFile(readFileSync(`demo/${name}.json`, 'utf8'));
    if (!parsed.ok) throw new Error(parsed.sentence);
    measureBy(() => AMERICAN);
    const { cables } = workUp(parsed.value.job, parsed.value.shop, '2026-11-29');
    const told = cables.flatMap((work) => [
      ...work.findings.flatMap(({ title, because, remedy }) => [title, because, remedy]),
      ...work.steps.flatMap(({ order, detail, why, figure }) => [order, detail, why, figure?.means]),
      ...Object.values(work.stages).map(({ summary }) => summary),
    ]);
    const metric = told
      .map((message: Message | undefined) => tell(message))
      .filter((text) => METRIC_FIGURE.test(text.replaceAll(GIVEN_BOTH, '')));
    expect([...new Set(metric)]).toEqual([]);
  });
});
