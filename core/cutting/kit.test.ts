import { readFileSync } from 'node:fs';
import { tell } from '../words/message.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import type { Cable } from '../model/cable.ts';
import { type Job, jobFileSchema } from '../model/job.ts';
import type { Shop, Spool } from '../model/shop.ts';
import { workUp } from '../workup.ts';
import { bestFitDecreasing, type Piece } from './cutPlan.ts';
import { type KitLine, kitOf, priceOf, shareNeeded } from './kit.ts';
import { lugMassG } from '../termination/lugs/lugMass.ts';
import { writeCuttingListCsv, writeKitCsv } from './listsCsv.ts';
import { makeOrBuy, scrapPrice } from './makeOrBuy.ts';
import { cutGroups, isCut, spoolsAfterCut, type ToCut } from './pieces.ts';

const TODAY = '2026-11-25';
const bare = (cable: Cable): Cable => ({ ...cable, done: [] });
/** What is counted here does not hang on the heat of a surge. */
const demo = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const { job: whole } = demo;
/** A shop that counts lugs, sleeves and cable, and nothing else. */
const shop: Shop = { ...demo.shop, shelf: [] };
const calm = ({ duty: _, ...run }: Cable['run']) => run;
const job: Job = { ...whole, cables: whole.cables.map((cable) => ({ ...cable, run: calm(cable.run) })) };
const RULES = shop.practice.cutting;
const toCut = (own: Job, in_: Shop = shop, key = own.id): ToCut[] => {
  const { cables } = workUp(own, in_, TODAY);
  return own.cables.flatMap((cable, i) => {
    const work = cables[i];
    return work ? [{ key: `${key}/${cable.id}`, cable, work }] : [];
  });
};
const fresh: Job = { ...job, cables: job.cables.map(bare) };
const made = toCut(fresh);
const only = (...tags: string[]) => made.filter(({ cable }) => tags.includes(cable.tag));
const lineOf = (cables: readonly ToCut[], key: RegExp, in_ = shop) =>
  kitOf(cables, in_).lines.filter((line) => key.test(line.key));

describe('what is cut from what', () => {
  test('groups are one kind, size and colour, and hold every piece with a length once', () => {
    const groups = cutGroups(made, shop);
    const ids = groups.flatMap(({ pieces }) => pieces.map(({ id }) => id));
    expect(ids.sort()).toEqual(
      made
        .filter(({ work }) => work.lengths)
        .map(({ key }) => key)
        .sort(),
    );
    expect(new Set(groups.map(({ key }) => key)).size).toBe(groups.length);
    for (const { spools, colour, kindId } of groups) {
      for (const spool of spools) expect(spool).toMatchObject({ colour, kindId });
    }
  });
  test('two jobs may name their cables alike', () => {
    const groups = cutGroups([...toCut(fresh, shop, 'one'), ...toCut(fresh, shop, 'two')], shop);
    const ids = groups.flatMap(({ pieces }) => pieces.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
  });
  test('cables side by side are as many pieces of one length', () => {
    const [first] = only('TH-3');
    if (!first) throw new Error('no TH-3');
    const { choice } = first.work;
    const twice: ToCut = {
      ...first,
      work: {
        ...first.work,
        choice: { ...choice, taken: { ...choice.taken, at: { ...choice.taken.at, parallel: 2 } } },
      },
    };
    const [group] = cutGroups([twice], shop);
    expect(group?.pieces).toHaveLength(2);
    expect(new Set(group?.pieces.map(({ lengthMm }) => lengthMm)).size).toBe(1);
    const once = lineOf([first], /^lug:/).reduce((sum, { need }) => sum + need, 0);
    const both = lineOf([twice], /^lug:/).reduce((sum, { need }) => sum + need, 0);
    const spares = lineOf([first], /^lug:/).filter(({ note }) => note !== '').length;
    expect(both - spares).toBe(2 * (once - spares));
  });
  test('what is cut already waits no more', () => {
    const groups = cutGroups(toCut(job), shop);
    const waiting = groups.flatMap(({ pieces }) => pieces.map(({ label }) => label));
    for (const cable of job.cables.filter(isCut)) expect(waiting).not.toContain(cable.tag);
    expect(groups.flatMap(({ cut }) => cut).length).toBe(job.cables.filter(isCut).length);
  });
});

describe('a spool after a cut', () => {
  const spool: Spool = { ...(shop.spools[0] as Spool), id: 'a', lengthMm: 5000, offcut: false };
  const piece = (lengthMm: number): Piece => ({ id: 'p', label: 'P', lengthMm });
  const rules = { kerfMm: 2, squareMm: 10, scrapMm: 300 };
  test('is so much shorter, squared off once, and an offcut from then on', () => {
    const [once] = spoolsAfterCut([spool], 'a', [piece(1000)], rules);
    expect(once).toMatchObject({ lengthMm: 5000 - 10 - 1002, offcut: true });
    const [twice] = spoolsAfterCut(once ? [once] : [], 'a', [piece(1000)], rules);
    expect(twice?.lengthMm).toBe(5000 - 10 - 2004);
  });
  test('is gone once what is left is scrap, unless more is to be cut from it', () => {
    expect(spoolsAfterCut([spool], 'a', [piece(4700)], rules)).toEqual([]);
    expect(spoolsAfterCut([spool], 'a', [piece(4700)], rules, true)).toMatchObject([{ lengthMm: 288 }]);
  });
  test('the others stay', () => {
    const other = { ...spool, id: 'b' };
    expect(spoolsAfterCut([spool, other], 'a', [piece(4900)], rules)).toEqual([other]);
  });
});

describe('the kit', () => {
  test('counts two lugs, two sleeves and two labels to a cable, and a spare lug to practise on', () => {
    const [th3] = only('TH-3');
    const { lines } = kitOf(only('TH-3'), shop);
    const lugs = lines.filter(({ group }) => group === 'lugs');
    const kinds = new Set([th3?.work.ends.A.lug?.id, th3?.work.ends.B.lug?.id]).size;
    expect(lugs.reduce((sum, { need }) => sum + need, 0)).toBe(2 + kinds * shop.practice.practiceLugs);
    expect(lines.find(({ key }) => key === 'label')).toMatchObject({ need: 2, have: null, buy: 0 });
    const { A, B } = th3?.work.ends ?? {};
    const sleeves = lines.filter(({ group }) => group === 'sleeves');
    expect(sleeves.reduce((sum, { need }) => sum + need, 0)).toBeGreaterThanOrEqual(
      (A?.sleeve?.cutMm ?? 0) + (B?.sleeve?.cutMm ?? 0),
    );
  });
  test('asks for the cable as it is cut, kerf and all', () => {
    const [th3] = only('TH-3');
    const [line] = lineOf(only('TH-3'), /^cable:/);
    expect(line?.need).toBe(Math.ceil(th3?.work.lengths?.cutMm ?? 0) + RULES.kerfMm);
    expect(line?.massG).toBeGreaterThan(0);
  });
  test('solder is only counted where it is used', () => {
    expect(lineOf(made, /^solder$/)).toHaveLength(
      made.some(({ work }) => [work.ends.A, work.ends.B].some(({ method }) => method !== 'crimp')) ? 1 : 0,
    );
    const soldered: Shop = { ...shop, practice: { ...shop.practice, method: 'crimp then solder' } };
    const [line] = lineOf(
      toCut({ ...fresh, cables: fresh.cables.slice(0, 1) }, soldered),
      /^solder$/,
      soldered,
    );
    expect(line?.need).toBeGreaterThan(0);
    expect(line?.massG).toBe(line?.need);
  });
  test('buys what is short and nothing more', () => {
    for (const { need, have, buy, price, buyPrice } of kitOf(made, shop).lines) {
      expect(buy).toBeCloseTo(have === null ? 0 : Math.max(0, need - have), 9);
      if (price !== null && buyPrice !== null) expect(buyPrice).toBeLessThanOrEqual(price + 1e-9);
    }
    const rich: Shop = { ...shop, lugs: shop.lugs.map((lug) => ({ ...lug, stock: 999 })) };
    expect(lineOf(made, /^lug:/, rich).every(({ buy }) => buy === 0)).toBe(true);
  });
  test('each line opens to who takes how much of it, and the sum is what is needed', () => {
    for (const { need, unit, work } of kitOf(made, shop).lines) {
      const figures = work.substituted.map((line) =>
        Number(
          tell(line)
            .replace(/^.*[:=]/, '')
            .replace(/[\u2009\s]|mm|g/gu, '')
            .replace('\u2212', '-'),
        ),
      );
      const sum = figures.at(-1) ?? NaN;
      const parts = figures.slice(0, -1);
      expect(sum).toBeCloseTo(need, unit === '' ? 5 : 0);
      // Each part is written to its own decimals.
      expect(Math.abs(parts.reduce((all, own) => all + own, 0) - sum)).toBeLessThanOrEqual(parts.length);
      expect(tell(work.source)).not.toBe('');
    }
  });
  test('the ends that take a lug are named, and those to practise on', () => {
    const [lug] = lineOf(made, /^lug:/);
    expect(lug?.work.substituted.some((line) => /^[A-Z]+-\d+ [AB]: 1$/.test(tell(line)))).toBe(true);
    expect(tell(lug?.work.substituted.at(-1))).toBe(`= ${lug?.need}`);
  });
  test('who takes of it is summed up where it is a long list', () => {
    const [one] = made;
    if (!one) throw new Error('nothing is to be made');
    const many = Array.from({ length: 30 }, (_, i) => ({ ...one, cable: { ...one.cable, tag: `C-${i}` } }));
    const labels = kitOf(many, shop).lines.find(({ key }) => key === 'label');
    expect(labels?.work.substituted).toHaveLength(25);
    expect(tell(labels?.work.substituted.at(-2))).toBe('7 more: 14');
    expect(tell(labels?.work.substituted.at(-1))).toBe('= 60');
  });
  test('what is bought costs its share, and a shelf without any is short of all', () => {
    expect(priceOf({ unitPrice: 3 }, 3)).toBe(9);
    expect(priceOf({ unitPrice: null }, 3)).toBeNull();
    expect([
      shareNeeded({ need: 3, have: 4 }),
      shareNeeded({ need: 3, have: null }),
      shareNeeded({ need: 3, have: 0 }),
    ]).toEqual([0.75, 1, Number.POSITIVE_INFINITY]);
  });
  test('an end that is on takes no more lugs, and what is cut no more cable', () => {
    const before = kitOf(made, shop);
    const after = kitOf(toCut(job), shop);
    expect(after.massG).toBeLessThan(before.massG);
    expect(after.price).toBeLessThan(before.price);
  });
  test('of two lots is the sum of both, spares aside', () => {
    fc.assert(
      fc.property(fc.subarray(made), (some) => {
        const rest = made.filter((own) => !some.includes(own));
        const need = (lot: readonly ToCut[]) => {
          const spare = (line: Pick<KitLine, 'note' | 'group'>) =>
            line.group === 'lugs' && line.note !== '' ? shop.practice.practiceLugs : 0;
          return new Map(kitOf(lot, shop).lines.map((line) => [line.key, line.need - spare(line)]));
        };
        const [one, other, all] = [need(some), need(rest), need(made)];
        return [...all].every(
          ([key, total]) => Math.abs((one.get(key) ?? 0) + (other.get(key) ?? 0) - total) < 1e-6,
        );
      }),
      { numRuns: 25 },
    );
  });
  test('a lug weighs its barrel and its palm, less the hole', () => {
    const lug = shop.lugs.find(({ id }) => id === 'compression-metric-70-m10');
    if (!lug) throw new Error('no lug');
    expect(lugMassG(lug)).toBeGreaterThan(15);
    expect(lugMassG(lug)).toBeLessThan(80);
    expect(lugMassG({ ...lug, holeMm: lug.holeMm - 3 })).toBeGreaterThan(lugMassG(lug));
  });
});

describe('make against buy', () => {
  const terms = { boughtPrice: 500, minutesACable: 30, ratePerHour: 20, toolPrice: 150 };
  test('adds up by hand', () => {
    const result = makeOrBuy(terms, { price: 240 }, 10, 10);
    expect(result).toMatchObject({ materials: 240, scrap: 10, work: 100, tool: 150, made: 500, bought: 500 });
    // Each saves (500 − 350) ÷ 10 = 15: ten of them pay for 150.
    expect(result.breakEven).toBe(10);
  });
  test('a share of the tool lightens this job, not the tool', () => {
    const whole = makeOrBuy(terms, { price: 240 }, 10, 10);
    const share = makeOrBuy({ ...terms, toolPercent: 40 }, { price: 240 }, 10, 10);
    expect(share.tool).toBe(60);
    expect(share.made).toBe(whole.made - 90);
    expect(share.breakEven).toBe(whole.breakEven);
  });
  test('what costs more to make than to buy never pays for a tool', () => {
    expect(makeOrBuy(terms, { price: 600 }, 0, 10).breakEven).toBeNull();
    expect(makeOrBuy(terms, { price: 240 }, 0, 0).breakEven).toBeNull();
  });
  test('scrap is what is too short to keep, at its price', () => {
    const [group] = cutGroups(only('TH-3'), shop);
    if (!group) throw new Error('no group');
    const stock = [{ id: 'x', lengthMm: (group.pieces[0]?.lengthMm ?? 0) + 200, offcut: true }];
    const plan = bestFitDecreasing(group.pieces, stock, { kerfMm: 0, squareMm: 0, scrapMm: 300 });
    const price = (scrapMm: number) => scrapPrice([{ group, plan }], { kerfMm: 0, squareMm: 0, scrapMm });
    expect(price(300)).toBeCloseTo(0.2 * group.pricePerM, 9);
    expect(price(100)).toBe(0);
  });
});

describe('lists as CSV', () => {
  const parse = (csv: string) => Papa.parse<Record<string, string>>(csv.trim(), { header: true });
  const hostile: Job = {
    ...fresh,
    cables: fresh.cables.map((cable, i) => ({ ...cable, tag: `=SUM(A${i})` })),
  };
  const plansOf = (own: Job) =>
    cutGroups(toCut(own), shop).map((group) => ({
      group,
      plan: bestFitDecreasing(group.pieces, group.stock, RULES),
    }));
  test('the cutting list holds every piece once, by an independent parser', () => {
    const plans = plansOf(fresh);
    const { data, errors } = parse(writeCuttingListCsv(plans));
    expect(errors).toEqual([]);
    const pieces = plans.flatMap(({ group }) => group.pieces);
    expect(data.map((row) => row['tag']).sort()).toEqual(pieces.map(({ label }) => label).sort());
    for (const row of data) {
      expect(pieces.find(({ label }) => label === row['tag'])?.lengthMm).toBe(Number(row['cut mm']));
      expect(row['from']).not.toBe('');
    }
  });
  test('no field of it is a formula to a spreadsheet', () => {
    const { data } = parse(writeCuttingListCsv(plansOf(hostile)));
    expect(data.length).toBeGreaterThan(0);
    for (const row of data) expect(row['tag']).toMatch(/^'=SUM/);
  });
  test('the kit list holds every line, with its need and what is to buy', () => {
    const kit = kitOf(made, shop);
    const { data, errors } = parse(writeKitCsv(kit, '£'));
    expect(errors).toEqual([]);
    expect(data).toHaveLength(kit.lines.length);
    data.forEach((row, i) => {
      const line = kit.lines[i];
      expect(Number(row['need'])).toBeCloseTo(line?.need ?? NaN, 0);
      expect(Number(row['buy'])).toBeCloseTo(line?.buy ?? NaN, 0);
      expect(row['price £'] === '').toBe(line?.price === null);
    });
  });
});
