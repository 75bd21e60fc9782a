import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { Cable, Lot } from '../model/cable.ts';
import { duplicateCable } from '../model/newCable.ts';
import { base, found, GOOD, shop } from '../proof/proofFixture.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';
import { lotInUse, lotItems, lotOf, lotsBegun, lotsSay } from '../cutting/lots.ts';
import { recalled } from './recall.ts';
import { sealRecord } from './record.ts';

const at = (day: string) => `${day}T09:00:00.000Z`;
const lot = (item: Lot['item'], name: string): Lot => ({
  item,
  lot: name,
  at: at('2026-11-20'),
  by: 'R. Alder',
});
const made = (change: Partial<Cable> = {}): Cable => ({
  ...base,
  done: [{ step: 'cut', at: at('2026-11-19'), by: 'R. Alder' }],
  ...change,
});
const worked = (...cables: readonly Cable[]) =>
  cables.map((cable) => ({ cable, work: workUpCable(cable, shop) }));
const tags = (cables: readonly Cable[], ...asked: Parameters<typeof recalled>[2][]) =>
  asked.map((own) => recalled(worked(...cables), shop, own).map(({ cable }) => cable.tag));

describe('lots', () => {
  const work = workUpCable(base, shop);
  const [drum] = lotItems(work);
  const inUse = {
    lots: [
      { stock: drum?.stock ?? '', lot: '4711', at: at('2026-11-01') },
      { stock: drum?.stock ?? '', lot: '4712', at: at('2026-11-10') },
    ],
  };
  test('a cable that is begun takes along those in use, and no cable that was begun before', () => {
    const signed = { at: at('2026-11-20'), by: 'R. Alder' };
    expect(lotInUse(inUse, drum?.stock ?? '')).toBe('4712');
    // Whatever else is known of the moment.
    const more = { ...signed, id: 'x' };
    expect(lotsBegun(base, work, inUse, more)).toEqual([{ item: 'cable', lot: '4712', ...signed }]);
    expect(lotsBegun(made(), work, inUse, signed)).toEqual([]);
    expect(lotsBegun({ ...base, lots: [lot('cable', '4700')] }, work, inUse, signed)).toEqual([
      lot('cable', '4700'),
    ]);
  });
  test('the last that was entered counts, and the record keeps them', () => {
    const cable = made({ readings: GOOD, lots: [lot('lug.A', 'L1'), lot('lug.A', 'L2')] });
    expect(lotOf(cable, 'lug.A')).toBe('L2');
    expect(lotsSay(cable, work).map(tell)).toEqual([expect.stringMatching(/^lug A, .*: L2$/)]);
    const record = sealRecord(cable, workUpCable(cable, shop), 'R. Alder', at('2026-11-21'));
    expect(record.lots?.map(tell)).toEqual([expect.stringMatching(/: L2$/)]);
  });
  test('a copy to make again is of no lot, signed by nobody, and recalled for nothing', () => {
    const whole = made({
      lots: [lot('cable', '4711')],
      signOffs: [{ role: 'maker', by: 'R. Alder', at: at('2026-11-20') }],
      nonconformances: [{ id: 'n', at: at('2026-11-21'), by: 'R. Alder', cause: 'die worn' }],
    });
    const copy = duplicateCable(whole, 'copy', { cables: [whole] } as Parameters<typeof duplicateCable>[2]);
    expect([copy.lots, copy.signOffs, copy.nonconformances]).toEqual([undefined, undefined, undefined]);
  });
});

describe('a recall', () => {
  const one = made({
    id: '1',
    tag: 'ONE',
    lots: [lot('sleeve.B', 'S9'), lot('lug.A', 'OLD'), lot('lug.A', 'NEW')],
  });
  const two = made({
    id: '2',
    tag: 'TWO',
    done: [{ step: 'cut', at: at('2026-10-01'), by: 'M. Rowan' }],
    readings: GOOD.map((reading) => ({
      ...reading,
      at: at('2026-10-02'),
      instrument: { title: 'Calliper 7' },
    })),
  });
  const planned: Cable = { ...base, id: '3', tag: 'PLANNED' };
  const all = [one, two, planned];
  test('finds a lot, also one that was replaced on the same cable since', () => {
    expect(
      tags(all, { by: 'lot', what: ' s9' }, { by: 'lot', what: 'OLD' }, { by: 'lot', what: 'S8' }),
    ).toEqual([['ONE'], ['ONE'], []]);
  });
  test('finds an instrument, a person, and what was worked on in some days', () => {
    expect(
      tags(
        all,
        { by: 'instrument', what: 'calliper 7' },
        { by: 'person', what: 'm. rowan' },
        { by: 'days', what: '', from: '2026-11-01' },
        { by: 'days', what: '', to: '2026-10-31' },
      ),
    ).toEqual([['TWO'], ['TWO'], ['ONE'], ['TWO']]);
  });
  test('finds every cable that a die or its tool closes on, chosen or proposed, and none only planned', () => {
    const die = workUpCable(one, shop).ends.A.die?.die;
    expect(die).toBeDefined();
    const asked = { by: 'die', what: die?.id ?? '' } as const;
    expect(tags(all, asked, { by: 'tool', what: die?.toolId ?? '' })).toEqual([
      ['TWO', 'ONE'],
      ['TWO', 'ONE'],
    ]);
    expect(tags(all, { ...asked, from: '2026-11-01' })).toEqual([['ONE']]);
    expect(tags(all, { by: 'die', what: 'another' })).toEqual([[]]);
  });
  test('a wider span of days never finds fewer', () => {
    const day = fc
      .integer({ min: 1, max: 28 })
      .map((n) => `2026-${n % 2 ? '10' : '11'}-${String(n).padStart(2, '0')}`);
    fc.assert(
      fc.property(day, day, day, (from, to, wider) => {
        const narrow = recalled(worked(one, two), shop, { by: 'days', what: '', from, to });
        const wide = recalled(worked(one, two), shop, {
          ...{ by: 'days', what: '' },
          from: wider < from ? wider : from,
          to,
        });
        return narrow.every(({ cable }) => wide.some((own) => own.cable === cable));
      }),
      { numRuns: cases(60) },
    );
  });
});

describe('a nonconformance', () => {
  const open = { id: 'n', at: at('2026-11-22'), by: 'R. Alder', cause: 'die F worn' };
  const done = { at: at('2026-11-23'), by: 'M. Rowan', what: 'measured again, sound' };
  test('keeps a cable from being proved until somebody says what was done', () => {
    const good = made({ readings: GOOD });
    expect(workUpCable(good, shop).verdict.state).toBe('holds');
    const recalledOne = workUpCable({ ...good, nonconformances: [open] }, shop);
    expect(recalledOne.verdict.state).toBe('unproved');
    expect(tell(found(recalledOne, 'recall').because)).toBe('Recalled on 2026-11-22: die F worn');
    const closed = workUpCable({ ...good, nonconformances: [{ ...open, done }] }, shop);
    expect(closed.verdict.state).toBe('holds');
    const again = workUpCable({ ...good, nonconformances: [{ ...open, done }, open] }, shop);
    expect(again.verdict.state).toBe('unproved');
  });
});
