import { describe, expect, test } from '@jest/globals';
import { cases } from '../../lib/casesFixture.ts';
import { tell } from '../../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../../model/catalogue/genericShop.ts';
import { genericLug } from '../../model/catalogue/lugs.ts';
import type { Die, Lug, Shop, Trial } from '../../model/shop.ts';
import { bestDie, dieOffer, dieOffers } from './dieOffers.ts';
import { closingForceKn } from './closingForce.ts';
import { compaction, dieZones, hexagonMm2, packingFromVoid } from './dieOnLug.ts';
import { dieMap, looseDie, usesOf } from './dieMap.ts';
import { learn } from './learned.ts';
import { stampClaims, stampMisleads } from './stamp.ts';
import { cannotUse, type CaseDie, openCase } from './toolCase.ts';
import { wallMm2 } from '../lugs/lugOnCable.ts';

const shop = genericShop();
const heavy70 = genericLug('compression-metric', '70', 'M10', 1);

const caseDie = (id: string, from: Shop = shop): CaseDie => {
  const found = openCase(from).dies.find(({ die }) => die.id === id);
  if (!found) throw new Error(`no die ${id}`);
  return found;
};
const trial = (more: Partial<Trial>): Trial => ({
  id: `t${Math.random()}`,
  at: '2026-11-20T10:00:00.000Z',
  by: 'R. Alder',
  dieId: 'bench-k16',
  lugId: heavy70.id,
  size: { system: 'metric', name: '70' },
  acrossFlatsMm: 13.9,
  earsMm: 0.1,
  source: 'typed',
  ...more,
});
const tried = (...trials: Trial[]): Shop => ({ ...shop, trials });

describe('a die before any trial', () => {
  test('is taken at its flats, a tenth of a millimetre either way', () => {
    const { die, trials } = caseDie('bench-k16');
    expect(learn(die, trials, shop.lugs)).toEqual({
      trials: 0,
      flatsMm: 13.86,
      flatsToleranceMm: 0.1,
      packing: 1,
      sections: 0,
    });
  });
  test('at the edge of its window it is not sure; in the middle it is', () => {
    const zones = dieZones({ outerMm: 18.8, boreMm: 15, copperMm2: 107.2 });
    const light = { ...genericLug('light-inch', '4/0', '3/8', 1) };
    const at = (acrossFlatsMm: number) => {
      const die = looseDie(acrossFlatsMm, 9, openCase(shop));
      if (!die) throw new Error('no hexagon tool');
      return dieOffer(light, 107.2, die, shop.lugs);
    };
    expect(at(zones.tightMm + 0.01).sure).toBe(false);
    expect(at(14.9)).toMatchObject({ verdict: 'right', standard: false });
    expect(at(zones.openMm + 2)).toMatchObject({ verdict: 'open', sure: true });
  });
});

describe('trials correct the prediction for their die', () => {
  test('the widest that its crimps measure takes the place of the die’s own, and the band narrows', () => {
    const from = tried(
      trial({ acrossFlatsMm: 14.1 }),
      trial({ acrossFlatsMm: 14.14 }),
      trial({ acrossFlatsMm: 14.12 }),
    );
    const { learned } = caseDie('bench-k16', from);
    expect(learned.flatsMm).toBeCloseTo(14.14, 9);
    expect(learned.flatsToleranceMm).toBe(0.05);
    const before = dieOffer(heavy70, 70, caseDie('bench-k16'), shop.lugs);
    const after = dieOffer(heavy70, 70, caseDie('bench-k16', from), shop.lugs);
    expect(after.c).toBeLessThan(before.c);
    expect(after.c).toBeCloseTo((wallMm2(heavy70) + 70) / hexagonMm2(14.14), 9);
  });
  test('air seen in sections lowers the packing on every lug of that die, and on no other die', () => {
    const outline = hexagonMm2(13.9);
    const wall = wallMm2(heavy70);
    const from = tried(trial({ voidShare: 0.04 }));
    const seen = packingFromVoid(0.04, outline, wall);
    const other = genericLug('tube-metric', '95', 'M10', 1);
    const offer = (lug: Lug, copper: number, id: string) =>
      dieOffer(lug, copper, caseDie(id, from), shop.lugs);
    expect(offer(heavy70, 70, 'bench-k16').kappa).toBeCloseTo(seen, 9);
    const plain = compaction({ ...other, copperMm2: 95, acrossFlatsMm: 13.9 }).kappa;
    expect(offer(other, 95, 'bench-k16').kappa).toBeCloseTo(plain * seen, 9);
    expect(offer(other, 95, 'bench-k18').learned.packing).toBe(1);
  });
  test('one bad trial among good ones is what counts, whatever their order', () => {
    const good = [13.9, 13.88, 13.9].map((acrossFlatsMm) => trial({ acrossFlatsMm, voidShare: 0.0 }));
    const bad = trial({ acrossFlatsMm: 14.6, voidShare: 0.1 });
    for (const all of [
      [bad, ...good],
      [...good, bad],
    ]) {
      const offer = dieOffer(heavy70, 70, caseDie('bench-k16', tried(...all)), shop.lugs);
      expect(offer.verdict).toBe('open');
      expect(offer.learned.flatsMm).toBe(14.6);
    }
  });
  test('a simulated trial teaches nothing', () => {
    const { learned } = caseDie('bench-k16', tried(trial({ acrossFlatsMm: 15, source: 'simulated' })));
    expect(learned.trials).toBe(0);
  });
});

describe('trials on the very barrel outrank the figures', () => {
  const verdict = (...trials: Trial[]) =>
    dieOffer(heavy70, 70, caseDie('bench-k16', tried(...trials)), shop.lugs);
  test('one that slipped is open, whatever c says', () => {
    const offer = verdict(trial({ pull: { forceN: 300, held: false } }));
    expect(offer).toMatchObject({ verdict: 'open', sure: true });
    expect(tell(offer.own?.because)).toBe('A trial slipped at 300 N.');
  });
  test('one that held the usual pull is right and sure', () =>
    expect(verdict(trial({ pull: { forceN: 1400, held: true } }))).toMatchObject({
      verdict: 'right',
      sure: true,
    }));
  test('one that slipped only past the usual pull is right', () =>
    expect(verdict(trial({ pull: { forceN: 2600, held: false } })).verdict).toBe('right'));
  test('ears over half a millimetre are tight; air in the section is open', () => {
    expect(verdict(trial({ earsMm: 0.7, pull: { forceN: 1400, held: true } })).verdict).toBe('tight');
    expect(verdict(trial({ voidShare: 0.12 })).verdict).toBe('open');
    expect(verdict(trial({ voidShare: 0.0 })).verdict).toBe('right');
  });
  test('across flats alone does not settle it, nor does a trial on another lug', () => {
    expect(verdict(trial({})).own).toBeNull();
    const elsewhere = trial({ lugId: 'compression-metric-50-m10', pull: { forceN: 200, held: false } });
    expect(verdict(elsewhere).own).toBeNull();
  });
  test('a hole of another width is the same barrel', () =>
    expect(
      dieOffer(
        genericLug('compression-metric', '70', 'M8', 1),
        70,
        caseDie('bench-k16', tried(trial({ pull: { forceN: 300, held: false } }))),
        shop.lugs,
      ).verdict,
    ).toBe('open'));
});

describe('a die is what it measures', () => {
  const stamped = (acrossFlatsMm: number) => {
    const own = {
      ...shop,
      dies: shop.dies.map((die) => (die.id === 'bench-k16' ? { ...die, acrossFlatsMm } : die)),
    };
    return dieOffer(heavy70, 70, caseDie('bench-k16', own), shop.lugs);
  };
  test('a code’s stamp on a die of another width is no standard pair', () => {
    expect(stamped(13.86)).toMatchObject({ standard: true, verdict: 'right' });
    expect(stamped(13.1)).toMatchObject({ standard: false });
    expect(stamped(13.1).verdict).not.toBe('right');
    expect(stamped(15).verdict).toBe('open');
  });
  test('nor is a lug whose diameters are not the standard’s, whatever family it is filed under', () => {
    const thick: Lug = { ...heavy70, outerMm: 17.5 };
    const offer = dieOffer(thick, 70, caseDie('bench-k16'), [...shop.lugs, thick]);
    expect(offer).toMatchObject({ standard: false });
    expect(offer.verdict).not.toBe('right');
  });
});

describe('an indent', () => {
  const lever = (from: Shop) => dieOffer(heavy70, 70, caseDie('lever-70', from), shop.lugs);
  test('is untried until a trial has been pulled or sawn', () => {
    expect(lever(shop)).toMatchObject({ verdict: 'untried', sure: false, leaves: 'indent' });
    const pulled = trial({ dieId: 'lever-70', acrossFlatsMm: 12.1, pull: { forceN: 1500, held: true } });
    expect(lever(tried(pulled))).toMatchObject({ verdict: 'right', sure: true });
  });
  test('is proposed untried only where nothing else is owned, and is then to be tried', () => {
    const only = { ...shop, dies: shop.dies.filter(({ toolId }) => toolId === 'hand-lever') };
    expect(bestDie(dieOffers(heavy70, 70, openCase(only)), 1)).toMatchObject({
      verdict: 'untried',
      sure: false,
    });
    expect(bestDie(dieOffers(heavy70, 70, openCase(shop)), 1)?.verdict).toBe('right');
    expect(dieMap(openCase(only), only.practice).rows.every(({ best }) => best === null)).toBe(true);
  });
});

describe('a tool in its place', () => {
  const tool = (id: string) => {
    const found = shop.tools.find((own) => own.id === id);
    if (!found) throw new Error(id);
    return found;
  };
  test('a bench press stays on the bench; a hammer wants a floor and room', () => {
    expect(tell(cannotUse(tool('bench-press'), 50, undefined))).toBe('');
    expect(tell(cannotUse(tool('bench-press'), 50, { swingMm: 2000, solidFloor: true }))).toMatch(/bench/);
    expect(tell(cannotUse(tool('hammer'), 50, { swingMm: 2000, solidFloor: false }))).toMatch(/floor/);
    expect(tell(cannotUse(tool('hammer'), 50, { swingMm: 200, solidFloor: true }))).toMatch(/450\smm/);
    expect(tell(cannotUse(tool('hand-press'), 50, { swingMm: 400, solidFloor: false }))).toBe('');
  });
  test('too much copper, and anything improvised, is refused with a reason', () => {
    expect(tell(cannotUse(tool('hand-lever'), 150, undefined))).toMatch(/120\smm²/);
    const press = { ...tool('hand-press'), kind: 'improvised' as const };
    expect(tell(cannotUse(press, 10, undefined))).toMatch(/injure/);
  });
});

describe('house practice chooses the die', () => {
  test('one under nominal takes the tightest that is still right, and only then', () => {
    const light = genericLug('light-inch', '4/0', '3/8', 1);
    const step = (mm: number): Die => ({
      id: `d${mm}`,
      toolId: 'hand-press',
      stamp: '',
      acrossFlatsMm: mm,
      widthMm: 9,
    });
    const toolCase = openCase({ ...shop, dies: [15.6, 15.1, 14.7, 14.2].map(step) });
    const offers = dieOffers(light, 107.2, toolCase);
    const [nominal, under] = [bestDie(offers, 2, 'nominal'), bestDie(offers, 2, 'one under')];
    expect(nominal?.c).toBeLessThanOrEqual(under?.c ?? 0);
    expect(under?.verdict).toBe('right');
    const rightOnes = offers.filter(({ verdict }) => verdict === 'right').map(({ c }) => c);
    expect(under?.c).toBe(Math.max(...rightOnes));
  });
});

describe('the force of a tool', () => {
  const withForce = (forceKn: number | undefined): Shop => ({
    ...shop,
    tools: shop.tools.map(({ forceKn: _, ...tool }) => (forceKn === undefined ? tool : { ...tool, forceKn })),
  });
  const offersAt = (forceKn: number | undefined, own: Trial[] = []) =>
    dieOffers(heavy70, 70, openCase({ ...withForce(forceKn), trials: own }));
  test('closes a hexagon of 14.4 mm, ten wide, with some 58 kN', () => {
    expect(closingForceKn({ acrossFlatsMm: 14.4, widthMm: 10 })).toBeCloseTo(57.6, 1);
  });
  test('too little of it, and a die is not proposed; not known, nothing changes', () => {
    expect(bestDie(offersAt(3), 1)?.leaves).not.toBe('hexagon');
    expect(bestDie(offersAt(1000), 1)?.die.id).toBe(bestDie(offersAt(undefined), 1)?.die.id);
  });
  test('who has closed it on this barrel knows that it closes', () => {
    const own = trial({ voidShare: 0.02 });
    const offer = (own: Trial[]) => offersAt(3, own).find(({ die }) => die.id === 'bench-k16');
    expect(offer([])?.unfit).not.toBe('');
    expect(offer([own])?.unfit).toBe('');
  });
  test('more of it never makes a die less usable', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 300 }), (least, more) => {
        const weak = offersAt(least).filter(({ unfit }) => unfit === '').length;
        const strong = offersAt(least + more).filter(({ unfit }) => unfit === '').length;
        expect(strong).toBeGreaterThanOrEqual(weak);
      }),
      { numRuns: cases(50) },
    ));
});

describe('the map inside the lid', () => {
  const map = dieMap(openCase(shop), shop.practice);
  test('holds every crimped lug once by its barrel, against every die', () => {
    const crimped = shop.lugs.filter(({ form }) => form === 'tube' || form === 'butt');
    expect(map.rows.flatMap(({ lugs }) => lugs)).toHaveLength(crimped.length);
    expect(map.rows.every(({ cells }) => cells.length === shop.dies.length)).toBe(true);
  });
  test('says of each cell what the whole offer says', () => {
    const toolCase = openCase(tried(trial({ voidShare: 0.02 }), trial({ acrossFlatsMm: 14 })));
    const own = dieMap(toolCase, shop.practice);
    for (const row of own.rows) {
      row.cells.forEach((cell, i) => {
        const column = own.columns[i];
        if (!column) throw new Error('no column');
        const { verdict, sure, c, kappa, standard, crimpsFit } = dieOffer(
          row.lug,
          row.copperMm2,
          column,
          toolCase.lugs,
        );
        expect(cell).toMatchObject({ verdict, sure, standard, crimpsFit });
        expect(cell.c).toBeCloseTo(c, 9);
        if (Number.isFinite(kappa)) expect(cell.kappa).toBeCloseTo(kappa, 9);
      });
    }
  });
  test('edited, tried and put back, is the map of what is owned then', () => {
    const [first, ...rest] = shop.dies as [Die, ...Die[]];
    const states: Shop[] = [
      shop,
      { ...shop, dies: [{ ...first, acrossFlatsMm: first.acrossFlatsMm + 0.4 }, ...rest] },
      { ...shop, tools: shop.tools.map((tool) => ({ ...tool, largestMm2: 20 })) },
      tried(trial({ voidShare: 0.02 })),
      shop,
    ];
    for (const state of states) {
      // A copy shares nothing with what was worked out before.
      const fresh = dieMap(openCase(structuredClone(state)), state.practice);
      expect(dieMap(openCase(state), state.practice).rows).toEqual(fresh.rows);
    }
  });
  test('recommends the standard die for the standard lug, and tells where a stamp misleads', () => {
    const row = map.rows.find(({ lug }) => lug.label.startsWith('70-') && lug.label.endsWith('heavy'));
    expect(map.columns[row?.best ?? -1]?.die.stamp).toBe('F');
    expect(row?.misleads.map(tell).join(' ')).toMatch(/The die stamped 70 is wrong for this 70 mm² lug/);
    expect(
      row?.misleads.filter((words) => tell(words).startsWith('The die stamped 70 is wrong')),
    ).toHaveLength(1);
  });
  test('a bigger die is never tighter, on any lug', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...map.rows),
        fc.double({ min: 4, max: 25, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        ({ lug, copperMm2 }, flats, more) => {
          const offer = (mm: number) => {
            const die = looseDie(mm, 7, openCase(shop));
            return die && dieOffer(lug, copperMm2, die, []);
          };
          const [small, big] = [offer(flats), offer(flats + more)];
          return small !== null && big !== null && big.c < small.c && big.kappa <= small.kappa;
        },
      ),
      { numRuns: cases(60) },
    );
  });
});

describe('an unmarked die', () => {
  test('of 13.86 across serves the standard 70 lug first or near it, and nothing it cannot close on', () => {
    const toolCase = openCase(shop);
    const die = looseDie(13.86, 9, toolCase);
    if (!die) throw new Error('no hexagon tool');
    const uses = usesOf(die, toolCase, 2);
    expect(uses.length).toBeGreaterThan(1);
    expect(uses.every(({ offer }) => ['right', 'light', 'tight'].includes(offer.verdict))).toBe(true);
    expect(uses.slice(0, 4).some(({ lug }) => lug.forSize.name === '70' || lug.forSize.name === '2/0')).toBe(
      true,
    );
  });
});

describe('what a stamp says', () => {
  test.each([
    ['70', { system: 'metric', name: '70' }],
    ['K16', { system: 'metric', name: '70' }],
    ['2/0', { system: 'awg', name: '2/0' }],
  ] as const)('%s', (stamp, size) => expect(stampClaims(stamp)).toEqual(size));
  test('nothing, where there is nothing that means a size', () => {
    expect(stampClaims('')).toBeNull();
    expect(stampClaims('T-4')).toBeNull();
    expect(stampClaims('K99')).toBeNull();
  });
  test('misleads when it names the lug and is not right, or serves it under another name', () => {
    const { die } = caseDie('hand-70');
    expect(tell(stampMisleads(die, stampClaims('70'), heavy70, false))).toMatch(/is wrong for/);
    expect(tell(stampMisleads(die, stampClaims('70'), heavy70, true))).toBe('');
    const light50 = genericLug('tube-metric', '50', 'M8', 1);
    expect(tell(stampMisleads(die, stampClaims('70'), light50, true))).toMatch(/fits this/);
  });
});
