import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import type { Cable } from '../model/cable.ts';
import type { Way } from '../model/run.ts';
import { newCable } from '../model/newCable.ts';
import { GUARD_IDS } from '../model/tables/guards.ts';
import type { Layer } from '../model/tables/layers.ts';
import { kitOf } from './kit.ts';
import { workUpCable } from '../workup.ts';
import { withLength } from './returnLength.ts';
import { governingRun, stretchesOf } from '../sizing/governingRun.ts';
import { parseRoute, type Route, routeLengthMm, shortLegs, tightestBend, writeRoute } from './route.ts';
import { planStretches, pointAlong, trace } from './routePlan.ts';

const worked: NonNullable<Way['route']> = {
  legsMm: [850, 1240, 420],
  bends: [
    { deg: 90, radiusMm: 80, side: 'right' },
    { deg: 45, radiusMm: 100, side: 'right' },
  ],
};
const read = (text: string) => {
  const entry = parseRoute(text, 100);
  if (!entry.ok) throw new Error(tell(entry.sentence));
  return entry.route;
};
const sentence = (text: string) => {
  const entry = parseRoute(text, 100);
  return entry.ok ? 'read' : entry.sentence;
};

describe('a way of legs and bends', () => {
  test('850, 90° r80, 1240, 45° r100, 420 is 2471.4 long', () => {
    expect(read('850, 90° r80, 1240, 45° r100, 420')).toEqual(worked);
    expect(routeLengthMm(worked)).toBeCloseTo(2471.4, 1);
  });
  test('one leg is as long as it is; a bend always shortens', () => {
    expect(routeLengthMm(read('1200'))).toBe(1200);
    expect(routeLengthMm(read('500, 90 deg r80, 500'))).toBeLessThan(1000);
    expect(tightestBend(read('1200'))).toBeNull();
    expect(tightestBend(worked)?.radiusMm).toBe(80);
  });
  test('units, sides and the usual radius are understood', () => {
    const route = read('1.2 m, -90°, 2 ft, 30° L r 4 in, 500; 45° R r50; 300');
    expect(route.legsMm).toEqual([1200, 609.6, 500, 300]);
    expect(route.bends).toEqual([
      { deg: 90, radiusMm: 100, side: 'left' },
      { deg: 30, radiusMm: 101.6, side: 'left' },
      { deg: 45, radiusMm: 50, side: 'right' },
    ]);
  });
  test.each([
    ['', /Write legs and bends/],
    ['90° r80, 500', /a leg comes before/],
    ['500, 600', /between two legs/],
    ['500, 90° r80', /missing after the last bend/],
    ['500, 170° r80, 500', /1° to 150°/],
    ['500, 90° rx, 500', /“90° rx”/],
    ['fast, 90° r80, 500', /“fast”/],
    ['100, 90° r300, 500', /Leg 1 is 100\smm, but its bends need 300/],
    ['-5', /longer than nothing|“-5”/],
  ])('%s is refused with a sentence', (text, pattern) => expect(tell(sentence(text))).toMatch(pattern));
  const routes = fc
    .array(
      fc.record({
        leg: fc.integer({ min: 800, max: 4000 }),
        deg: fc.integer({ min: 1, max: 150 }),
        radiusMm: fc.integer({ min: 20, max: 100 }),
        side: fc.constantFrom('left' as const, 'right' as const),
      }),
      { minLength: 1, maxLength: 8 },
    )
    .map((parts): Route => ({
      legsMm: [...parts.map(({ leg }) => leg), 900],
      bends: parts.map(({ deg, radiusMm, side }) => ({ deg, radiusMm, side })),
    }));
  test('written and read again is the same way', () => {
    fc.assert(
      fc.property(routes, (route) => {
        fc.pre(shortLegs(route).length === 0);
        expect(read(writeRoute(route))).toEqual(route);
      }),
    );
  });
  test('the drawing in plan is as long as the figure, and ends where the corners say', () => {
    fc.assert(
      fc.property(routes, (route) => {
        fc.pre(shortLegs(route).length === 0);
        const stretches = planStretches(route);
        const total = stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
        // The end is where the corners, walked straight, lead: bends cut corners and come back to the line.
        let [x, y, heading] = [0, 0, 0];
        route.legsMm.forEach((leg, i) => {
          x += leg * Math.cos(heading);
          y += leg * Math.sin(heading);
          const bend = route.bends[i];
          if (bend) heading += ((bend.side === 'right' ? 1 : -1) * bend.deg * Math.PI) / 180;
        });
        const end = pointAlong(stretches, total);
        return (
          Math.abs(total - routeLengthMm(route)) < 1e-6 && Math.hypot(end.x - x, end.y - y) < 1e-6 * total
        );
      }),
    );
  });
  test('a traced piece begins and ends where it is asked', () => {
    const stretches = planStretches(worked);
    const points = trace(stretches, 700, 1200);
    expect(points[0]).toEqual(pointAlong(stretches, 700));
    expect(points.at(-1)).toEqual(pointAlong(stretches, 1200));
    expect(points.length).toBeGreaterThan(5);
    expect(pointAlong([], 5)).toEqual({ x: 0, y: 0, heading: 0 });
  });
});

describe('what lies on the way governs the cable', () => {
  const shop = genericShop();
  const base = newCable('c', 'C-1', shop);
  const NOTHING: Way = { zones: [], holes: [], rubs: [] };
  const on = (way: Partial<Way>, run: Partial<Cable['run']> = {}): Cable => ({
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '50' } },
    run: {
      ...base.run,
      load: { kind: 'amps', amps: 100 },
      lengthMm: 2471.4,
      ...run,
      way: { ...NOTHING, ...way },
    },
  });
  const finding = (cable: Cable, id: string) =>
    workUpCable(cable, shop).findings.find((own) => own.id === id);
  test('the smallest hole, and each stretch by its own air and sun', () => {
    const zone = { fromMm: 0, toMm: 500, engineSpace: false, sun: false };
    const run = governingRun(
      on(
        {
          zones: [
            { ...zone, what: 'bilge', ambientC: 25 },
            { ...zone, what: 'by the exhaust', ambientC: 62, sun: true },
          ],
          holes: [
            { what: 'gland', atMm: 100, mm: 24 },
            { what: 'bulkhead', atMm: 400, mm: 19 },
          ],
        },
        { holeMm: 30 },
      ).run,
    );
    expect(run.holeMm).toBe(19);
    expect(stretchesOf(run).map((own) => [own.what, own.run.ambientC, own.run.sun])).toEqual([
      ['', 30, false],
      ['bilge', 25, false],
      ['by the exhaust', 62, true],
    ]);
    expect(governingRun(base.run)).toBe(base.run);
  });
  test('a hot zone asks for more copper', () => {
    const cool = on({});
    const hot = on({
      zones: [{ what: 'exhaust', fromMm: 0, toMm: 900, ambientC: 70, engineSpace: true, sun: false }],
    });
    const allowed = (cable: Cable) => workUpCable(cable, shop).choice.taken.at.heatA;
    expect(allowed(hot)).toBeLessThan(allowed(cool));
    expect(tell(finding(hot, 'zone')?.because)).toMatch(/sized for it/);
  });
  test('a bend tighter than the cable allows fails, tighter still when it flexes', () => {
    const bend = (radiusMm: number, meets: Cable['run']['meets'] = []) =>
      finding(
        on({ route: { ...worked, bends: worked.bends.map((own) => ({ ...own, radiusMm })) } }, { meets }),
        'bend',
      )?.state;
    expect(bend(80)).toBe('holds');
    expect(bend(70)).toBe('fails');
    expect(bend(80, ['flexing'])).toBe('fails');
  });
  test('supports too far apart are watched', () => {
    expect(finding(on({ supportEveryMm: 600 }), 'supports')?.state).toBe('watch');
    expect(finding(on({ supportEveryMm: 450 }), 'supports')?.state).toBe('holds');
  });

  type Rub = Way['rubs'][number];
  const rubbing = (
    polarity: Cable['polarity'],
    rub: Partial<Rub>,
    braided = false,
    kindId?: string,
  ): Cable => {
    const edge = on({ rubs: [{ what: 'frame', atMm: 300, guarded: rub.guard !== undefined, ...rub }] });
    const layers = braided ? (['braid'] as const).slice() : [];
    return {
      ...edge,
      polarity,
      gauge: kindId === undefined ? edge.gauge : { kindId },
      ends: { ...edge.ends, A: { ...edge.ends.A, layers } },
    };
  };
  const rubState = (own: Cable) => finding(own, 'rub-1')?.state;
  test.each([
    ['nothing', {}, false, 'fails', 'watch'],
    ['braid over the cable', {}, true, 'watch', 'holds'],
    ['an edge strip', { guard: 'edge strip' }, false, 'watch', 'holds'],
    ['a bushing', { guard: 'bushing' }, false, 'holds', 'holds'],
    ['a slit hose', { guard: 'slit hose' }, false, 'holds', 'holds'],
    ['some sheath that is not named', { guarded: true }, false, 'holds', 'holds'],
  ] as const)(
    'where it rubs, %s: a live cable asks for a sheath, a ground for less',
    (_, rub, braid, live, ground) => {
      expect(rubState(rubbing('positive', rub, braid))).toBe(live);
      expect(rubState(rubbing('link', rub, braid))).toBe(live);
      expect(rubState(rubbing('negative', rub, braid))).toBe(ground);
    },
  );
  test('more between cable and edge never makes it worse, and a live cable is never better off than a ground', () => {
    const RANK = ['fails', 'watch', 'holds'];
    const ranked = (own: Cable) => RANK.indexOf(rubState(own) ?? '');
    const guards = [undefined, ...GUARD_IDS];
    for (const guard of guards)
      for (const polarity of ['positive', 'negative', 'link'] as const) {
        const rub = guard ? { guard } : {};
        const [bare, braided] = [ranked(rubbing(polarity, rub)), ranked(rubbing(polarity, rub, true))];
        expect(braided).toBeGreaterThanOrEqual(bare);
        expect(bare).toBeGreaterThanOrEqual(ranked(rubbing(polarity, {})));
        expect(ranked(rubbing('negative', rub))).toBeGreaterThanOrEqual(bare);
      }
  });
  test('braid over it clears a soft jacket that rubs, and glass one that feeds a flame', () => {
    const soft = (layers: Layer[], meets: Partial<Cable['run']>) => {
      const own = rubbing('negative', {}, false, 'battery');
      return { ...own, run: { ...own.run, ...meets }, ends: { ...own.ends, A: { ...own.ends.A, layers } } };
    };
    expect(finding(soft([], {}), 'suits-rubbing')?.state).toBe('watch');
    expect(finding(soft(['braid'], {}), 'suits-rubbing')?.state).toBe('holds');
    const welding = (layers: Layer[]) => {
      const own = soft(layers, { engineSpace: true });
      return finding({ ...own, gauge: { kindId: 'welding' } }, 'suits-flame')?.state;
    };
    expect([welding([]), welding(['braid']), welding(['glass'])]).toEqual(['watch', 'watch', 'holds']);
  });
  test('a guard is a line of the kit: a length of hose, a bushing by the piece', () => {
    const lineOf = (guard: Rub['guard']) => {
      const cable = rubbing('positive', { guard });
      return kitOf([{ cable, work: workUpCable(cable, shop), key: 'k' }], shop).lines.find(({ key }) =>
        key.startsWith('guard:'),
      );
    };
    expect(lineOf('slit hose')).toMatchObject({ need: 300, unit: 'mm' });
    expect(lineOf('bushing')).toMatchObject({ need: 1, unit: '' });
    expect(lineOf(undefined)).toBeUndefined();
  });
  test('a braided strap is for ground: live it fails in every way, on ground it needs neither guard nor insulation test', () => {
    const strap = (polarity: Cable['polarity']) =>
      workUpCable(rubbing(polarity, {}, false, 'ground-strap'), shop).findings;
    const of = (polarity: Cable['polarity'], id: string) =>
      strap(polarity).find((own) => own.id === id)?.state;
    for (const id of ['suits-live', 'insulation', 'rub-1']) {
      expect([id, of('positive', id)]).toEqual([id, 'fails']);
      expect([id, of('negative', id) ?? 'holds']).toEqual([id, 'holds']);
    }
  });
  test('a length that is not the route’s is watched; laid out, the laid length is used and said', () => {
    expect(finding(on({ route: worked }), 'route')?.state).toBe('holds');
    expect(finding(on({ route: worked }, { lengthMm: 2700 }), 'route')?.state).toBe('watch');
    const laid = on({ route: worked }, { lengthMm: 2500, laid: { on: 'B', markMm: 2500 } });
    expect(tell(finding(laid, 'route')?.because)).toMatch(/Laid out/);
    const { lengths, ends } = workUpCable(laid, shop);
    expect(lengths?.secondMarkMm).toBeCloseTo(2500 - (ends.A.lug?.studToBarrelMm ?? 0), 9);
    expect(tell(finding(laid, 'second-mark')?.title)).toBe('Cut for end A, B bolted on');
  });
});

describe('the cable back', () => {
  const run = (lengthMm: number, back: number) => ({
    lengthMm,
    return: { kind: 'cable' as const, lengthMm: back },
  });
  test('is as long as the cable until it is given a length of its own', () => {
    expect(withLength(run(1000, 1000), 5000)).toEqual(run(5000, 5000));
    expect(withLength(run(1000, 1200), 5000)).toEqual(run(5000, 1200));
    expect(withLength({ lengthMm: 1000, return: { kind: 'none' } }, 5000).return).toEqual({ kind: 'none' });
  });
});
