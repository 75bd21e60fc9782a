import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import type { Cable } from '../model/cable.ts';
import { newCable } from '../model/newCable.ts';
import type { Run } from '../model/run.ts';
import { workUpCable } from '../workup.ts';
import { chooseSize } from './choose.ts';
import { coldAt } from './crankingFindings.ts';
import { waysOn } from './deadEnd.ts';
import { dutyCycle } from './dutyCycle.ts';

const shop = genericShop();
const [first] = shop.cableKinds;
if (!first) throw new Error('the shop has no cable');
const cableOf = (run: Partial<Run>): Cable => {
  const blank = newCable('c', 'C-1', shop);
  return { ...blank, gauge: { kindId: first.id }, run: { ...blank.run, ...run } };
};
const found = (cable: Cable, id: string) =>
  workUpCable(cable, shop).findings.find((finding) => finding.id === id);
const around = { mates: [], soldered: false };

describe('where no size does', () => {
  const heavy = fc.record({
    systemV: fc.constantFrom(12, 24, 48),
    watts: fc.integer({ min: 4000, max: 30000 }),
    lengthMm: fc.integer({ min: 2000, max: 20000 }),
    ambientC: fc.integer({ min: 20, max: 70 }),
  });
  test('each way named does, worked through as it is named; where none is named, none was found', () => {
    let named = 0;
    fc.assert(
      fc.property(heavy, ({ systemV, watts, lengthMm, ambientC }) => {
        const cable = cableOf({
          systemV,
          lengthMm,
          ambientC,
          load: { kind: 'watts', watts, efficiencyPercent: 90, lowestV: systemV },
          return: { kind: 'cable', lengthMm },
        });
        const { smallest } = chooseSize(cable, first, shop.practice, around);
        const finding = found(cable, 'dead-end');
        expect(finding !== undefined).toBe(smallest === null);
        if (!finding) return;
        const ways = waysOn(cable, first, shop, around, dutyCycle);
        for (const way of ways) {
          named += 1;
          expect(tell(finding.because)).toContain(tell(way.says));
          const again = chooseSize(way.cable, way.kind, shop.practice, { ...around, mates: way.mates });
          expect(again.smallest).not.toBeNull();
          expect(again.smallest?.state).not.toBe('fails');
        }
      }),
      { numRuns: 25 },
    );
    expect(named).toBeGreaterThan(15);
  });
});

describe('what cannot all be true is asked about, and never makes a cable thinner', () => {
  const watts = (lowestV: number, cutOutV?: number): Partial<Run> => ({
    systemV: 12,
    load: {
      ...{ kind: 'watts', watts: 1000, efficiencyPercent: 90, lowestV },
      ...(cutOutV !== undefined && { cutOutV }),
    },
  });
  const sizeOf = (run: Partial<Run>) => workUpCable(cableOf(run), shop).choice.taken.at.copperMm2;
  test('a lowest battery over the highest it is charged to', () => {
    fc.assert(
      fc.property(fc.double({ min: 14.7, max: 1000, noNaN: true }), (lowestV) => {
        expect(found(cableOf(watts(lowestV)), 'asks-lowest')?.state).toBe('unproved');
        expect(sizeOf(watts(lowestV))).toBe(sizeOf(watts(12)));
      }),
      { numRuns: 10 },
    );
    expect(found(cableOf(watts(10.5)), 'asks-lowest')).toBeUndefined();
    expect(found(cableOf(watts(4)), 'asks-lowest')?.state).toBe('watch');
  });
  test('a load that is off before its battery is at its lowest: no cable is blamed', () => {
    const finding = found(cableOf(watts(10.5, 11)), 'load-volts');
    expect(finding?.state).toBe('unproved');
    expect(tell(finding?.remedy)).toMatch(/above 11\.0\sV/);
    expect(found(cableOf(watts(11, 10.5)), 'load-volts')?.value).not.toBeNull();
  });
  test('cool air in an engine space, and cells that no cell is', () => {
    expect(found(cableOf({ engineSpace: true, ambientC: 5 }), 'asks-engine-air')?.state).toBe('watch');
    expect(found(cableOf({ engineSpace: true, ambientC: 40 }), 'asks-engine-air')).toBeUndefined();
    const cells = (inSeries: number): Partial<Run> => ({
      systemV: 12,
      source: { kind: 'cells', cellMilliohm: 0.3, inSeries, strings: 1 },
    });
    expect(found(cableOf(cells(16)), 'asks-cells')?.state).toBe('unproved');
    for (const inSeries of [4, 6]) expect(found(cableOf(cells(inSeries)), 'asks-cells')).toBeUndefined();
  });
});

describe('a chassis that is not given', () => {
  const back = (milliohm?: number): Partial<Run> => ({
    systemV: 12,
    load: { kind: 'amps', amps: 100 },
    lengthMm: 1000,
    dropPercent: 3,
    return: milliohm === undefined ? { kind: 'chassis' } : { kind: 'chassis', milliohm },
  });
  test('is not proved, offers what is customary, and gives no thinner a cable than that', () => {
    const finding = found(cableOf(back()), 'drop');
    expect(finding?.state).toBe('unproved');
    expect(tell(finding?.because)).toMatch(/customary 2 mΩ/);
    const area = (own: Partial<Run>) => workUpCable(cableOf(own), shop).choice.smallest?.at.copperMm2;
    expect(area(back())).toBe(area(back(2)));
    expect(found(cableOf(back(0.5)), 'drop')?.state).not.toBe('unproved');
  });
  test('fails where it would without any chassis', () => {
    const cable = cableOf({ ...back(), lengthMm: 60_000 });
    const sized = {
      ...cable,
      gauge: { ...cable.gauge, size: first.sizes[0]?.size ?? cable.gauge.size },
    } as Cable;
    expect(found(sized, 'drop')?.state).toBe('fails');
  });
});

describe('a source at each end', () => {
  const live = (more: Partial<Run>): Cable =>
    cableOf({
      systemV: 12,
      load: { kind: 'amps', amps: 60 },
      source: { kind: 'typed', milliohm: 40 },
      bothEndsLive: true,
      fuses: (['A', 'B'] as const).map((end) => ({
        ...{ end, kind: 'link', ratingA: 80, place: 'near', distanceMm: 100 },
      })),
      ...more,
    });
  test('is two sources: what is not known of the far one proves nothing of its fuse', () => {
    const alone = live({});
    expect(found(alone, 'breaking.A')?.state).toBe('holds');
    for (const id of ['breaking.B', 'survives.B']) expect(found(alone, id)?.state).toBe('unproved');
    const both = live({ farSource: { kind: 'typed', milliohm: 4 } });
    expect(found(both, 'breaking.A')?.value).toBeCloseTo(14.6 / 0.04, 6);
    expect(found(both, 'breaking.B')?.value).toBeCloseTo(14.6 / 0.004, 6);
    expect(found(both, 'breaking.B')?.state).toBe('fails');
  });
  test('turned end for end, all that is said goes with its end', () => {
    const near = live({ farSource: { kind: 'typed', milliohm: 10 } });
    const turned = live({
      source: { kind: 'typed', milliohm: 10 },
      farSource: { kind: 'typed', milliohm: 40 },
    });
    for (const key of ['breaking', 'survives', 'guards', 'carries']) {
      expect(found(near, `${key}.A`)?.value).toBe(found(turned, `${key}.B`)?.value);
      expect(found(near, `${key}.B`)?.value).toBe(found(turned, `${key}.A`)?.value);
    }
  });
  test('strings side by side are asked for a fuse each', () => {
    const bank = (strings: number, stringFuseA?: number) =>
      found(
        cableOf({
          systemV: 12,
          source: {
            ...{ kind: 'cells', cellMilliohm: 0.5, inSeries: 4, strings },
            ...(stringFuseA !== undefined && { stringFuseA }),
          },
        }),
        'string-fuses',
      );
    expect(bank(1)).toBeUndefined();
    expect(bank(3)?.state).toBe('unproved');
    expect(tell(bank(3)?.because)).toMatch(/14\s600\sA/);
    expect(bank(3, 200)?.state).toBe('holds');
  });
  test('typed charging volts stand before the chemistry', () => {
    expect(found(live({ chargingV: 13.8 }), 'breaking.A')?.value).toBeCloseTo(13.8 / 0.04, 6);
  });
  test('a typed melting curve is certain where the customary band is watched', () => {
    const surge = (melts?: { multiple: number; seconds: number }[]): Run['fuses'] => [
      { end: 'A', kind: 'class-t', ratingA: 150, place: 'near', distanceMm: 100, ...(melts && { melts }) },
    ];
    const run = (fuses: Run['fuses']) =>
      found(
        cableOf({
          load: { kind: 'amps', amps: 100 },
          duty: { steps: [{ amps: 300, seconds: 0.5 }], repeats: false, dropPercent: 50 },
          fuses,
        }),
        'carries.A',
      );
    expect(run(surge())?.state).toBe('unproved');
    expect(run(surge([{ multiple: 2, seconds: 0.8 }]))?.state).toBe('holds');
    expect(run(surge([{ multiple: 2, seconds: 0.4 }]))?.state).toBe('fails');
    expect(run(surge([{ multiple: 1.5, seconds: 2 }]))?.state).toBe('unproved');
  });
});

describe('cold cranking', () => {
  const starter = (more: Partial<Run>): Cable =>
    cableOf({
      systemV: 12,
      load: { kind: 'amps', amps: 0 },
      duty: { steps: [{ amps: 400, seconds: 10 }], repeats: false, dropPercent: 6 },
      source: { kind: 'cranking', crankingA: 800 },
      starter: true,
      lengthMm: 1500,
      return: { kind: 'cable', lengthMm: 1500 },
      ...more,
    });
  test('goes through the handbook’s points, and colder never asks less nor gives more', () => {
    expect([27, 0, -18].map(coldAt)).toEqual([
      { asks: 1, gives: 1 },
      { asks: 1.55, gives: 0.65 },
      { asks: 2.1, gives: expect.closeTo(0.4, 9) as unknown as number },
    ]);
    const celsius = fc.integer({ min: -60, max: 60 });
    fc.assert(
      fc.property(celsius, celsius, (a, b) => {
        const [cold, warm] = [coldAt(Math.min(a, b)), coldAt(Math.max(a, b))];
        expect(cold.asks).toBeGreaterThanOrEqual(warm.asks);
        expect(cold.gives).toBeLessThanOrEqual(warm.gives);
        expect(cold.gives).toBeGreaterThan(0);
      }),
    );
  });
  test('a battery that gives less than is asked fails; one that is not known is not proved', () => {
    const amps = (more: Partial<Run>) => found(starter(more), 'cranking-amps');
    // 840 A of 320 A at −18 °C; 400 of 800 at 27 °C.
    expect(amps({ coldestC: -18 })).toMatchObject({ state: 'fails', value: 840 });
    expect(amps({ coldestC: 27 })?.state).toBe('watch');
    // The label of most batteries is for −18 °C: 800 A are 800 A there, too few all the same.
    const cold = amps({ coldestC: -18, source: { kind: 'cranking', crankingA: 800, ratedC: -18 } });
    expect(cold?.limit).toEqual({ kind: 'most', most: 800 });
    expect(cold?.state).toBe('fails');
    expect(amps({})?.state).toBe('watch');
    expect(amps({ coldestC: 0, source: { kind: 'typed', milliohm: 5 } })?.state).toBe('unproved');
    expect(amps({ starter: false, coldestC: -18 })).toBeUndefined();
  });
  test('colder never proposes a thinner cable, and leaves fewer volts at the starter', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 27 }), fc.integer({ min: 1, max: 20 }), (coldestC, by) => {
        const at = (celsius: number) => {
          const own = { coldestC: celsius, source: { kind: 'typed', milliohm: 3 } } as const;
          const sized = {
            ...starter(own),
            gauge: { kindId: first.id, size: { system: 'metric', name: '95' } },
          };
          return {
            mm2: workUpCable(starter(own), shop).choice.taken.at.copperMm2,
            volts: found(sized as Cable, 'cranking-volts')?.value ?? Number.NaN,
          };
        };
        const [warm, cold] = [at(coldestC), at(coldestC - by)];
        expect(cold.mm2).toBeGreaterThanOrEqual(warm.mm2);
        expect(cold.volts).toBeLessThanOrEqual(warm.volts);
      }),
      { numRuns: 15 },
    );
  });
});

describe('near an exhaust', () => {
  const kind = shop.cableKinds.find(({ limitC }) => limitC < 125);
  const near = (layers: readonly ('glass' | 'label')[]) => {
    const base = cableOf({ meets: ['exhaust'] });
    const ends = { ...base.ends, A: { ...base.ends.A, layers: [...layers] } };
    return found({ ...base, ends, gauge: { kindId: kind?.id ?? '' } }, 'suits-exhaust')?.state;
  };
  test('a glass sleeve that is fitted clears it, another layer does not', () => {
    expect(near(['label'])).toBe('watch');
    expect(near(['label', 'glass'])).toBe('holds');
  });
});
