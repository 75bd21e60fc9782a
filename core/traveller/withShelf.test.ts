import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { CableWork } from '../cableWork.ts';
import { type KitLine, kitOf } from '../cutting/kit.ts';
import {
  cutOffers,
  haveOf,
  lastRecount,
  leastOf,
  lessOneLug,
  recounted,
  withNote,
} from '../cutting/shelf.ts';
import { usesOf } from '../cutting/uses.ts';
import { cases } from '../lib/casesFixture.ts';
import type { Cable } from '../model/cable.ts';
import { shopSchema, type Shop } from '../model/shop.ts';
import { isDone } from '../model/stepId.ts';
import { firstOpen } from './following.ts';
import { faultsAt, waysOut } from './mishaps.ts';
import { practiceBegins } from './practise.ts';
import { at, cableWith, end, NOW, shop as bare, worked } from './travellerFixture.ts';
import { type CableAndShop, ticked, unticked, wentWrong } from './withShelf.ts';

const said = { id: 'm', at: NOW.toISOString(), by: 'R. Pell' };
const COUNTED = ['solder', 'label', 'layer:boot', 'layer:braid', 'layer:glass'];
const spool = { kindId: 'tinned-marine', size: { system: 'metric', name: '50' }, offcut: false } as const;
const stocked: Shop = COUNTED.reduce((own, stock) => withNote(own, stock, { have: 9000 }), {
  ...bare,
  lugs: bare.lugs.map((lug) => ({ ...lug, stock: 40 })),
  sleeves: bare.sleeves.map((sleeve) => ({ ...sleeve, stockMm: 20000 })),
  spools: [
    { ...spool, id: 'p1', label: 'Red', colour: 'red', lengthMm: 90000 },
    { ...spool, id: 'p2', label: 'Black', colour: 'black', lengthMm: 90000 },
    { ...spool, id: 'p3', label: 'Begun', colour: 'red', lengthMm: 3000, offcut: true },
  ],
});
const making = (cable: Cable, shop: Shop) => ({ key: cable.id, cable, work: worked(cable, shop) });
const tickAll = (cable: Cable, shop: Shop, upTo = ''): CableAndShop => {
  let now: CableAndShop = { cable, shop };
  for (const step of worked(cable, shop).steps) {
    if (!isDone(now.cable, step.id)) now = ticked(making(now.cable, now.shop), step, now.shop, said);
    if (step.id === upTo) break;
  }
  return now;
};
const all = (shop: Shop) => [
  ...shop.lugs.map(({ id }) => `lug:${id}`),
  ...shop.sleeves.map(({ id }) => `sleeve:${id}`),
  ...COUNTED,
];
const counts = (shop: Shop) => all(shop).map((stock) => haveOf(shop, stock));
const metres = (shop: Shop) => shop.spools.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
/** What a cable still needs of each thing on the shelf. */
const needs = (cable: Cable, work: CableWork, shop: Shop): Map<string, number> => {
  const open = usesOf({ cable, work }, shop.practice).filter(({ isSpent }) => !isSpent);
  return new Map(
    all(shop).map((stock) => [
      stock,
      open.reduce((sum, use) => sum + (use.stock === stock ? use.amount : 0), 0),
    ]),
  );
};

describe('the shelf falls by what is made', () => {
  const cable = cableWith({ method: 'crimp', layers: ['boot', 'label'] }, { layers: ['braid', 'label'] });
  const work = worked(cable, stocked);
  test('a whole cable takes what its kit said it would, and no step takes anything twice', () => {
    const kit = kitOf([making(cable, stocked)], stocked);
    const made = tickAll(cable, stocked);
    const need = needs(cable, work, stocked);
    for (const stock of all(stocked))
      expect((haveOf(stocked, stock) ?? 0) - (haveOf(made.shop, stock) ?? 0)).toBeCloseTo(
        need.get(stock) ?? 0,
        3,
      );
    const inKit = (key: string) => kit.lines.find((line: KitLine) => line.key === key)?.need;
    expect(inKit('label')).toBe(2);
    expect(inKit('layer:boot')).toBe(1);
    expect(kitOf([making(made.cable, made.shop)], made.shop).lines).toEqual([]);
  });
  test('a lug leaves it when it is held, a sleeve when it is shrunk, cable when it is cut', () => {
    const took = (id: string) =>
      tickAll(cable, stocked).cable.done.find(({ step }) => step === id)?.took ?? [];
    const parts = (id: string) => took(id).map(({ part }) => part);
    expect(parts('cut')).toEqual(['cable']);
    expect(parts('home.A')).toEqual([]);
    expect(parts('crimp-1.A')).toEqual(['lug.A', 'boot.A']);
    expect(parts('shrink.A')).toEqual(['sleeve.A']);
    expect(parts('label')).toEqual(['label']);
  });
  test('it is cut from the begun spool that leaves least, or from the one that was chosen', () => {
    const offers = cutOffers(making(cable, stocked), stocked);
    expect(offers.map(({ spool: own }) => own.id)).toEqual(['p3', 'p1']);
    const length = Math.ceil(work.lengths?.cutMm ?? 0);
    expect(offers[0]?.restMm).toBe(3000 - length - stocked.practice.cutting.kerfMm);
    const byHand = ticked(making(cable, stocked), { id: 'cut' }, stocked, said, 'p1');
    expect(haveOf(byHand.shop, 'spool:p3')).toBe(3000);
    expect(haveOf(byHand.shop, 'spool:p1')).toBeLessThan(90000);
  });
  test('what is not counted, or gone, is not taken, and nothing falls under nothing', () => {
    const empty = { ...stocked, shelf: [], lugs: bare.lugs.map((lug) => ({ ...lug, stock: 0 })) };
    const made = tickAll(cable, empty);
    expect(made.shop.shelf).toEqual([]);
    expect(made.cable.done.flatMap(({ took = [] }) => took).some(({ part }) => part.startsWith('lug'))).toBe(
      false,
    );
    expect(Math.min(...made.shop.lugs.map(({ stock }) => stock))).toBe(0);
  });
  test('a practice piece spends a lug', () => {
    const begun = ticked(making(cable, stocked), { id: practiceBegins('A') }, stocked, said);
    const made = tickAll(begun.cable, begun.shop, 'lay-out');
    const id = work.ends.A.lug?.id ?? '';
    expect(haveOf(made.shop, `lug:${id}`)).toBe(39);
  });
  test('so does a trial, and never under nothing', () => {
    const [lug] = stocked.lugs;
    const once = lessOneLug(stocked, lug?.id ?? '');
    expect(haveOf(once, `lug:${lug?.id}`)).toBe(39);
    const none = { ...stocked, lugs: stocked.lugs.map((own) => ({ ...own, stock: 0 })) };
    expect(lessOneLug(none, lug?.id ?? '')).toEqual(none);
    expect(lessOneLug(stocked, 'no lug of the shop')).toEqual(stocked);
  });
  test('what a tick took is back once the tick is, even where the rest of the spool was thrown away', () => {
    fc.assert(
      fc.property(end, end, fc.nat(40), (a, b, n) => {
        const own = cableWith(a, b);
        const { steps } = worked(own, stocked);
        const step = steps[n % Math.max(1, steps.length)];
        if (!step) return;
        const before = tickAll(own, stocked, steps[at(steps, step.id) - 1]?.id ?? 'none');
        if (isDone(before.cable, step.id)) return;
        const after = ticked(making(before.cable, before.shop), step, before.shop, said);
        const back = unticked(making(after.cable, after.shop), step, after.shop);
        expect(back.cable.done).toEqual(before.cable.done);
        expect(counts(back.shop)).toEqual(counts(before.shop));
        expect(metres(back.shop)).toBe(metres(before.shop));
      }),
      { numRuns: cases(40) },
    );
    const short = { ...stocked, spools: stocked.spools.filter(({ id }) => id === 'p3') };
    const cut = ticked(
      making(cable, short),
      { id: 'cut' },
      { ...short, spools: short.spools.map((own) => ({ ...own, lengthMm: 1800 })) },
      said,
    );
    expect(cut.shop.spools).toEqual([]);
    const [step] = worked(cable, short).steps.filter(({ id }) => id === 'cut');
    const back = step && unticked(making(cut.cable, cut.shop), step, cut.shop);
    expect(back?.shop.spools).toMatchObject([{ id: 'p3', lengthMm: 1800, offcut: true, colour: 'red' }]);
  });
});

describe('what goes wrong costs what it spoils, and nothing else', () => {
  test('shelf and need change by what was lost, whatever goes wrong on the way', () => {
    fc.assert(
      fc.property(end, end, fc.array(fc.nat(999), { minLength: 3, maxLength: 12 }), (a, b, choices) => {
        let now: CableAndShop = { cable: cableWith(a, b), shop: stocked };
        let work = worked(now.cable, now.shop);
        for (const choice of choices) {
          // Mostly the step at hand; now and then somebody goes back to one that is done, and says what is wrong there.
          const done = work.steps.filter(({ id }) => isDone(now.cable, id));
          const gone = choice % 4 === 0 ? done[choice % Math.max(1, done.length)] : undefined;
          const step = gone ?? firstOpen(work.steps, now.cable);
          if (!step) return;
          const ways = faultsAt(step)
            .flatMap((what) =>
              waysOut(what, step, now.cable, work, now.shop).map((out) => ({ what, step, out })),
            )
            .filter(({ out }) => out.possible && out.over === undefined);
          const fault = ways[gone ? choice % Math.max(1, ways.length) : choice % (ways.length * 3 + 1)];
          if (gone && !fault) continue;
          const toMake = { key: 'c', cable: now.cable, work };
          const next = fault
            ? wentWrong(toMake, fault, now.shop, { ...said, id: `m${choice}` })
            : ticked(toMake, step, now.shop, said);
          const lost = fault ? (next.cable.mishaps.at(-1)?.lost ?? []) : [];
          const before = needs(now.cable, work, stocked);
          work = worked(next.cable, next.shop);
          const after = needs(next.cable, work, stocked);
          for (const stock of all(stocked)) {
            const spoilt = lost.reduce((sum, own) => sum + (own.stock === stock ? own.amount : 0), 0);
            const spare = (shop: Shop, need: Map<string, number>) =>
              (haveOf(shop, stock) ?? 0) - (need.get(stock) ?? 0);
            expect(spare(now.shop, before) - spare(next.shop, after)).toBeCloseTo(spoilt, 2);
          }
          now = next;
        }
      }),
      { numRuns: cases(60) },
    );
  });
  const cable = cableWith({ method: 'crimp' });
  const lostBy = (what: string, id: string, way: string) => lostOf(cable, what, id, way);
  const lostOf = (cable: Cable, what: string, id: string, way = 'cut back', over = false) => {
    const made = tickAll(cable, stocked, id);
    const toMake = making(made.cable, made.shop);
    const step = toMake.work.steps.find((own) => own.id === id);
    const out =
      step &&
      waysOut(what, step, made.cable, toMake.work, made.shop).find(
        (own) => own.way === way && own.possible && (own.over !== undefined) === over,
      );
    if (!step || !out) throw new Error(`no ${way} for ${what}`);
    return (
      wentWrong(toMake, { what, step, out }, made.shop, said)
        .cable.mishaps.at(-1)
        ?.lost?.map(({ part }) => part) ?? []
    );
  };
  test('an end cut off takes its lug along, a crimp closed again does not', () => {
    expect(lostBy('wrong die', 'crimp-1.A', 'cut back')).toEqual(['lug.A']);
    expect(lostBy('dies not closed', 'crimp-1.A', 'redo')).toEqual([]);
    expect(lostBy('stripped too long', 'strip.A', 'cut back')).toEqual([]);
  });
  test('solder is lost where it was melted, not where it was still to come', () => {
    const parts = (id: string) => lostOf(cableWith({ method: 'crimp then solder' }), 'jacket browned', id);
    expect(parts('solder.A')).toEqual(['lug.A', 'solder.A']);
    const early = lostOf(cableWith({ method: 'crimp then solder' }), 'wrong die', 'crimp-1.A');
    expect(early).toEqual(['lug.A']);
  });
  test('the first of two crimps closed again keeps the lug that the second one holds', () => {
    const made = tickAll(cableWith({ method: 'crimp', crimps: 2 }), stocked, 'crimp-2.A');
    const toMake = making(made.cable, made.shop);
    const step = toMake.work.steps.find(({ id }) => id === 'crimp-1.A');
    const stock = `lug:${toMake.work.ends.A.lug?.id}`;
    const out = step && waysOut('dies not closed', step, made.cable, toMake.work, made.shop)[0];
    if (!step || !out) throw new Error('no way out');
    expect(out.reopens).toContain('crimp-1.A');
    const again = wentWrong(toMake, { what: 'dies not closed', step, out }, made.shop, said);
    const closed = ticked(making(again.cable, again.shop), step, again.shop, said);
    expect([haveOf(made.shop, stock), haveOf(again.shop, stock), haveOf(closed.shop, stock)]).toEqual([
      39, 39, 39,
    ]);
  });
  test('a sleeve that is slit or burnt is lost, one that is only warmed again is not', () => {
    expect(lostBy('no adhesive showed', 'shrink.A', 'redo')).toEqual([]);
    expect(lostBy('sleeve split or burnt', 'shrink.A', 'cut back')).toEqual(['lug.A', 'sleeve.A']);
    expect(lostBy('cut too short', 'cut', 'scrap')).toEqual(['cable']);
  });
});

describe('a count that is put right', () => {
  const stock = `lug:${stocked.lugs[0]?.id}`;
  test('stands, and keeps what it was before and who counted', () => {
    const counted = recounted(stocked, stock, 31, said);
    expect(haveOf(counted, stock)).toBe(31);
    expect(lastRecount(counted, stock)).toEqual({ stock, at: said.at, by: said.by, was: 40, now: 31 });
    expect(recounted(counted, stock, 31, said)).toBe(counted);
    const first = recounted(bare, 'solder', 480, said);
    expect(lastRecount(first, 'solder')).toEqual({ stock: 'solder', at: said.at, by: said.by, now: 480 });
    expect(haveOf(first, 'solder')).toBe(480);
    expect(shopSchema.safeParse(first).success).toBe(true);
  });
  test('what runs out is asked for, whether anything here takes it or not', () => {
    const kept = withNote(withNote(stocked, stock, { least: 50 }), 'solder', {
      have: 80,
      least: 100,
      price: 6,
    });
    const { lines } = kitOf([], kept);
    expect(lines.map(({ key, need, buy }) => [key, need, buy])).toEqual([
      [stock, 0, 10],
      ['solder', 0, 20],
    ]);
    expect(lines[1]?.buyPrice).toBeCloseTo(1.2, 9);
    expect(leastOf(withNote(kept, stock, { least: undefined }), stock)).toBe(0);
    expect(withNote(kept, stock, { least: undefined }).shelf?.some((own) => own.stock === stock)).toBe(false);
  });
  test('a least to keep is bought with what a cable needs, and its sum says so', () => {
    const cable = cableWith({});
    const id = `lug:${worked(cable, stocked).ends.A.lug?.id}`;
    const tight = withNote({ ...stocked, lugs: stocked.lugs.map((lug) => ({ ...lug, stock: 3 })) }, id, {
      least: 5,
    });
    const line = kitOf([making(cable, tight)], tight).lines.find(({ key }) => key === id);
    expect(line?.buy).toBe((line?.need ?? 0) + 5 - 3);
    expect(line?.work.substituted.length).toBeGreaterThan(2);
  });
});
