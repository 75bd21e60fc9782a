import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { Cable } from '../model/cable.ts';
import { jobFileSchema } from '../model/job.ts';
import { quotationDoc } from '../paper/quotation.ts';
import { benchTimes, minutesOf, minutesOfAll } from '../traveller/benchTime.ts';
import { tell } from '../words/message.ts';
import { workUp } from '../workup.ts';
import { kitOf } from './kit.ts';
import type { ToCut } from './pieces.ts';
import { NO_TERMS, quoteOf, spoiltOf } from './quote.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const works = workUp(job, shop, '2026-11-25').cables;
const made = job.cables.flatMap((cable, i): ToCut[] => {
  const work = works[i];
  return work ? [{ key: cable.id, cable, work }] : [];
});
const kit = kitOf(
  made.map((own) => ({ ...own, cable: { ...own.cable, done: [] } })),
  shop,
);
const basis = { kit, scrap: 4, minutes: 180, ratePerHour: 45 };

describe('a quotation', () => {
  test('by hand: (kit + scrap + 3 h at 45), 15 % on it, then 20 % tax', () => {
    const quote = quoteOf(basis, { marginPercent: 15, taxPercent: 20 });
    expect(quote.net).toBeCloseTo((kit.price + 4 + 135) * 1.15, 9);
    expect(quote.total).toBeCloseTo((kit.price + 4 + 135) * 1.15 * 1.2, 9);
    expect(quote.hours).toBe(3);
    expect(quote.unpriced).toBe(kit.lines.filter(({ unitPrice }) => unitPrice === null).length);
  });
  test('its parts come to its sum, and no term makes it cheaper', () => {
    const percent = fc.double({ min: 0, max: 100, noNaN: true });
    fc.assert(
      fc.property(percent, percent, (marginPercent, taxPercent) => {
        const quote = quoteOf(basis, { marginPercent, taxPercent });
        const bare = quoteOf(basis, NO_TERMS);
        expect(quote.materials + quote.work + quote.tax).toBeCloseTo(quote.total, 6);
        expect(quote.total).toBeGreaterThanOrEqual(bare.total - 1e-9);
      }),
      { numRuns: cases(100) },
    );
  });
  test('on paper its lines come to what is asked, with the margin in each', () => {
    const terms = { ...NO_TERMS, customer: 'A customer\nA quay', marginPercent: 10, taxPercent: 21 };
    const quote = quoteOf(basis, terms);
    const doc = quotationDoc({
      ...{ job, shop, kit, quote, terms, day: '2026-11-25', until: '2026-12-25' },
      cables: made as never,
    });
    const price = (text: string | undefined) => Number(text?.replace(/[^\d.]/g, ''));
    const [cables, materials, sum] = doc.sections.map(({ rows }) => rows);
    expect(cables).toHaveLength(made.length);
    const lines = (materials ?? []).reduce((all, row) => all + (price(row[2]) || 0), 0);
    expect(lines + 4 * 1.1).toBeCloseTo(quote.materials, 0);
    expect(price(sum?.at(-1)?.[2])).toBeCloseTo(quote.total, 2);
    expect(doc.subtitle).toContain('A customer, A quay');
  });
});

describe('what went wrong, in money', () => {
  test('is what was spoilt, at its price; what has none is counted, not guessed', () => {
    const [first, ...others] = made;
    if (!first) throw new Error('no cable');
    const lug = shop.lugs.find(({ price }) => price > 0);
    const mishap: Cable['mishaps'][number] = {
      ...{
        id: 'm',
        at: '2026-11-20T10:00:00.000Z',
        by: 'R. Pell',
        step: 'crimp-1.A',
        what: 'wrong die',
        way: 'cut back',
      },
      lost: [
        { part: 'lug.A', stock: `lug:${lug?.id}`, amount: 2 },
        { part: 'solder.A', stock: 'solder', amount: 50 },
        { part: 'braid', stock: 'layer:unknown', amount: 100 },
      ],
    };
    const wrong = { ...first, cable: { ...first.cable, mishaps: [mishap] } };
    const solder = shop.shelf?.find(({ stock }) => stock === 'solder')?.price ?? NaN;
    const spoilt = spoiltOf([wrong, ...others], shop);
    const before = spoiltOf(made, shop);
    expect(spoilt.price - before.price).toBeCloseTo(2 * (lug?.price ?? NaN) + solder / 2, 9);
    expect(spoilt.unpriced).toBe(1);
    expect(spoilt.workings.substituted).toHaveLength(4);
    expect(tell(spoilt.workings.substituted.at(-1))).toBe(`= ${spoilt.price.toFixed(2)}`);
    expect(spoilt.mishaps - before.mishaps).toBe(1 - first.cable.mishaps.length);
  });
});

describe('the bench’s own clock', () => {
  const tick = (step: string, second: number, by = 'A') => ({
    step,
    by,
    at: new Date(Date.UTC(2026, 10, 20, 9, 0, second)).toISOString(),
  });
  const jobOf = (done: Cable['done']) => [{ cables: [{ ...job.cables[0], done } as Cable] }];
  test('the time from one tick of a person to the next, across cables; pauses and ticks at once do not count', () => {
    const done = [
      tick('cut', 0),
      tick('strip.A', 60),
      tick('strip.B', 120),
      tick('home.A', 121),
      tick('crimp-1.A', 9000),
    ];
    const times = benchTimes(jobOf([...done, tick('strip.A', 90, 'B')]));
    expect(times.get('strip')).toEqual({ seconds: 60, count: 2 });
    expect([times.has('home'), times.has('crimp'), times.has('cut')]).toEqual([false, false, false]);
  });
  test('too few steps teach nothing; a kind never timed takes the usual', () => {
    const some = Array.from({ length: 12 }, (_, i) => tick('strip.A', 60 * i));
    expect(minutesOf([{ id: 'strip.A' }], benchTimes(jobOf(some)))).toBeNull();
    const enough = [...some, tick('strip.A', 720)];
    const works = [{ steps: [{ id: 'strip.A' }] }, { steps: [{ id: 'shrink.A' }] }];
    expect(minutesOfAll(works, benchTimes(jobOf(enough)), 25)).toMatchObject({ minutes: 2, count: 12 });
    expect(minutesOfAll(works, benchTimes(jobOf(some)), 25)).toMatchObject({ minutes: 50, count: null });
    expect(minutesOf([{ id: 'strip.A' }, { id: 'shrink.A' }], benchTimes(jobOf(enough)))).toEqual({
      minutes: 2,
      count: 12,
    });
  });
});
