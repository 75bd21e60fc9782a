import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readJobFile } from '../file.ts';
import { shopSchema } from '../shop.ts';
import { SLEEVE_KINDS } from '../tables/sleeves.ts';
import { newCable } from '../newCable.ts';
import { workUpCable } from '../../workup.ts';
import { genericShop } from './genericShop.ts';
import {
  answeredShop,
  answersOf,
  assumedShop,
  type CaseAnswers,
  DIE_SETS,
  emptiedShop,
  exampleShop,
  EXTRAS,
  FAMILIES,
} from './workshop.ts';

const TOOLS = genericShop().tools.map(({ id }) => id);
const answers = fc.record({
  tools: fc.subarray(TOOLS),
  dieSets: fc.subarray([...DIE_SETS]),
  families: fc.subarray(FAMILIES),
  sleeves: fc.subarray([...SLEEVE_KINDS]),
  extras: fc.subarray([...EXTRAS]),
});
const demo = () => {
  const parsed = readJobFile(readFileSync('demo/teasel.json', 'utf8'));
  if (!parsed.ok) throw new Error(parsed.sentence);
  return parsed.value;
};
const stockOf = ({ lugs, sleeves, spools }: ReturnType<typeof genericShop>) =>
  lugs.reduce((sum, { stock }) => sum + stock, 0) +
  sleeves.reduce((sum, { stockMm }) => sum + stockMm, 0) +
  spools.length;

describe('the workshop that one begins with', () => {
  test('before anybody was asked nothing is on the shelf, and a cable can be planned', () => {
    const shop = assumedShop();
    expect(stockOf(shop)).toBe(0);
    const cable = newCable('c', 'C-1', shop);
    const { ends } = workUpCable(
      { ...cable, run: { ...cable.run, load: { kind: 'amps', amps: 100 } } },
      shop,
    );
    expect([ends.A.lug, ends.A.die]).not.toContain(null);
  });
  test('the example says that it is one, and emptied it is empty', () => {
    expect([exampleShop().origin, stockOf(exampleShop()) > 0]).toEqual(['example', true]);
    const empty = emptiedShop(exampleShop(), []);
    expect([empty.tools, empty.dies, empty.trials, empty.instruments, stockOf(empty)]).toEqual([
      [],
      [],
      [],
      [],
      0,
    ]);
    expect(empty.lugs.length).toBeGreaterThan(0);
  });
  test('what cables here are made with stays when it is emptied: none is judged otherwise', () => {
    const { job, shop } = demo();
    const empty = emptiedShop(shop, [job]);
    for (const cable of job.cables)
      for (const { dieId, lugId } of [cable.ends.A, cable.ends.B]) {
        if (dieId && shop.dies.some(({ id }) => id === dieId))
          expect(empty.dies.map(({ id }) => id)).toContain(dieId);
        if (lugId && shop.lugs.some(({ id }) => id === lugId))
          expect(empty.lugs.map(({ id }) => id)).toContain(lugId);
      }
  });
});

describe('what is in your case', () => {
  test('is what was answered, from nothing, and can be read back', () => {
    const empty = { ...emptiedShop(genericShop(), []), lugs: [], sleeves: [] };
    fc.assert(
      fc.property(answers, (said) => {
        const shop = answeredShop(empty, said, []);
        expect(shopSchema.safeParse(shop).success).toBe(true);
        expect(stockOf(shop)).toBe(0);
        const back = answersOf(shop);
        expect({ ...back, tools: [] }).toEqual({ ...said, tools: [] });
        // A set of dies brings the tool that closes it.
        expect(back.tools).toEqual(expect.arrayContaining(said.tools));
        expect(shop.dies.every(({ toolId }) => shop.tools.some(({ id }) => id === toolId))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  test('answered again and again, nothing that was entered is lost and nothing comes twice', () => {
    const { job, shop } = demo();
    const entered = {
      ...shop,
      lugs: shop.lugs.map((lug, i) =>
        i % 7 === 0
          ? { ...lug, boreMm: lug.boreMm + 0.1, measured: true }
          : i % 7 === 1
            ? { ...lug, stock: 0, price: lug.price + 0.5 }
            : lug,
      ),
      dies: shop.dies.map((die, i) =>
        i % 5 === 0 ? { ...die, acrossFlatsMm: die.acrossFlatsMm + 0.05 } : die,
      ),
    };
    const ids = (items: readonly { readonly id: string }[]) => items.map(({ id }) => id);
    fc.assert(
      fc.property(fc.array(answers, { minLength: 1, maxLength: 3 }), (times: readonly CaseAnswers[]) => {
        const after = times.reduce((now, said) => answeredShop(now, said, [job]), entered);
        for (const key of ['lugs', 'dies', 'tools', 'sleeves'] as const)
          expect(new Set(ids(after[key])).size).toBe(after[key].length);
        expect(after.trials).toEqual(entered.trials);
        const isEntered = ({ stock, measured }: (typeof entered.lugs)[number], i: number) =>
          stock > 0 || measured || i % 7 === 1;
        for (const lug of entered.lugs.filter(isEntered)) expect(after.lugs).toContainEqual(lug);
        for (const die of entered.dies.filter((_, i) => i % 5 === 0)) expect(after.dies).toContainEqual(die);
        expect(after.spools).toEqual(entered.spools);
      }),
      { numRuns: 10 },
    );
  });
});
