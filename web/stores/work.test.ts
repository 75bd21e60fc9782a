import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { produce, type Draft } from 'immer';
import { cases } from '../../core/lib/casesFixture.ts';
import { jobFileSchema, type Job } from '../../core/model/job.ts';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Shop } from '../../core/model/shop.ts';
import { sameButCounts } from '../../core/model/sameButCounts.ts';
import { withPlaces } from '../../core/system/places.ts';
import { systemWork } from '../../core/systemWork.ts';
import { workUpCables } from '../../core/workup.ts';
import { today } from '../ui/today.ts';
import { followDuty } from '../workers/duties.ts';
import { systemOf, workOf } from './work.ts';

const demo = (name: string) => jobFileSchema.parse(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')));

interface State {
  readonly job: Job;
  readonly shop: Shop;
}
type Edit = (state: Draft<State>, which: number) => void;

const at = <T>(list: readonly T[], which: number): T => list[which % list.length] as T;
/** What people do to a job and its shop: what decides something, what is only counted, and what is only noted. */
const EDITS: Readonly<Record<string, Edit>> = {
  'a step is ticked': ({ job }, i) => {
    at(job.cables, i).done.push({ step: 'cut', at: '2026-03-02T08:00:00Z', by: 'Jo' });
  },
  'a tick is taken back': ({ job }, i) => {
    at(job.cables, i).done.pop();
  },
  'a length is typed': ({ job }, i) => {
    at(job.cables, i).run.lengthMm += 1000;
  },
  'a size is chosen': ({ job, shop }, i) => {
    const cable = at(job.cables, i);
    const sizes = shop.cableKinds.find(({ id }) => id === cable.gauge.kindId)?.sizes ?? [];
    const size = sizes.at(i % sizes.length)?.size;
    if (size) cable.gauge.size = { ...size };
  },
  'a cable is soldered': ({ job }, i) => {
    at(job.cables, i).ends.A.method = 'solder';
  },
  'a cable is called otherwise': ({ job }, i) => {
    at(job.cables, i).tag += 'x';
  },
  'a cable is deleted': ({ job }, i) => {
    if (job.cables.length > 3) job.cables.splice(i % job.cables.length, 1);
  },
  'a place draws more': ({ job }, i) => {
    const loads = job.system?.places.flatMap((place) => (place.kind === 'load' ? [place] : [])) ?? [];
    const load = loads[i % Math.max(1, loads.length)];
    if (load?.draws.kind === 'amps') load.draws.amps += 10;
  },
  'a lug is taken': ({ shop }, i) => {
    const lug = at(shop.lugs, i);
    lug.stock = Math.max(0, lug.stock - 1);
  },
  'the last lug is taken': ({ shop }, i) => {
    at(shop.lugs, i).stock = 0;
  },
  'a sleeve is taken': ({ shop }, i) => {
    at(shop.sleeves, i).stockMm *= 0.5;
  },
  'a die closes': ({ shop }, i) => {
    const die = at(shop.dies, i);
    die.closed = (die.closed ?? 0) + 60;
  },
  'a die is measured': ({ shop }, i) => {
    at(shop.dies, i).acrossFlatsMm += 0.2;
  },
  'dies are checked by what they closed': ({ shop }) => {
    shop.practice.checkCrimps = 'each 50';
  },
  'the spools are counted': ({ shop }) => {
    shop.spools.pop();
  },
  'a price is typed': ({ shop }, i) => {
    for (const size of at(shop.cableKinds, i).sizes) size.pricePerM += 1;
  },
};

const edits = fc.array(fc.tuple(fc.constantFrom(...Object.keys(EDITS)), fc.nat(40)), {
  minLength: 1,
  maxLength: 8,
});
const edited = (state: State, title: string, which: number): State =>
  produce(state, (draft) => EDITS[title]?.(draft, which));

/** Of work, everything but counts: those are of the day it was worked out. */
const butCounts = (work: unknown): string =>
  JSON.stringify(work, (key, value: unknown) =>
    key === 'stock' || key === 'stockMm' || key === 'closed' ? undefined : value,
  );

/** As it comes from memory, and as it comes of nothing but the job and the shop. */
const remembered = ({ job, shop }: State) => job.cables.map((cable) => workOf(cable, shop, job));
function anew({ job, shop }: State) {
  const system = job.system ? systemWork(withPlaces(job), shop, followDuty) : null;
  return workUpCables(system?.job ?? job, shop, system, { today: today(), followDuty });
}

describe('work from memory', () => {
  test.each(['teasel', 'marrow'])('whatever was done to %s before, it is what it would be anew', (name) => {
    const { job, shop = genericShop() } = demo(name);
    fc.assert(
      fc.property(edits, (done) => {
        let state: State = { job, shop };
        remembered(state);
        for (const [title, which] of done) {
          state = edited(state, title, which);
          // Copies are strangers to every memory.
          expect(butCounts(remembered(state))).toBe(butCounts(anew(structuredClone(state))));
        }
      }),
      { numRuns: cases(10) },
    );
  });

  test('what the system makes of it has its cables as they are now', () => {
    const { job, shop = genericShop() } = demo('teasel');
    const before = systemOf(job, shop);
    const ticked = edited({ job, shop }, 'a step is ticked', 2);
    const after = systemOf(ticked.job, ticked.shop);
    expect(after.view.solved.states).toBe(before.view.solved.states);
    const [cable] = ticked.job.cables.slice(2);
    expect(after.view.cableOf(cable?.id ?? '')?.done).toEqual(cable?.done);
    expect(after.job.cables[2]?.done).toEqual(cable?.done);
  });

  test('a tick and a count cost no cable but the one that was ticked', () => {
    const { job, shop = genericShop() } = demo('teasel');
    const before = remembered({ job, shop });
    const made = edited(edited({ job, shop }, 'a step is ticked', 0), 'a sleeve is taken', 0);
    const after = remembered(edited(made, 'a die closes', 0));
    expect(after.map((work, i) => work === before[i])).toEqual(job.cables.map((_, i) => i > 0));
  });
});

describe('shops that differ in counts alone', () => {
  const shop = genericShop();
  const [lug] = shop.lugs;
  const after = (title: string, from = shop) =>
    edited({ job: demo('teasel').job, shop: from }, title, 0).shop;
  const lugs = (stock: number) => ({
    ...shop,
    lugs: shop.lugs.map((own) => (own === lug ? { ...own, stock } : own)),
  });

  test('a lug fewer changes nothing while one is left; none left does', () => {
    expect(sameButCounts(lugs(5), lugs(1))).toBe(true);
    expect(sameButCounts(lugs(1), lugs(0))).toBe(false);
    expect(sameButCounts(shop, { ...shop, lugs: shop.lugs.slice(1) })).toBe(false);
  });

  test('closings count where the shop checks its dies by them', () => {
    expect(sameButCounts(shop, after('a die closes'))).toBe(true);
    const byCount = after('dies are checked by what they closed');
    expect(sameButCounts(shop, byCount)).toBe(false);
    expect(sameButCounts(byCount, after('a die closes', byCount))).toBe(false);
  });

  test('anything else is another shop', () => {
    for (const title of ['a die is measured', 'a price is typed'])
      expect(sameButCounts(shop, after(title))).toBe(false);
  });
});
