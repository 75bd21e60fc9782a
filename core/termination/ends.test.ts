import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import { tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import fc from 'fast-check';
import { LAYERS } from '../model/tables/layers.ts';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import type { Shop, Sleeve } from '../model/shop.ts';
import { shop, base, cableWith, work, found, practising } from './endsFixture.ts';

describe('through the hole of the route', () => {
  const through = (holeMm: number, more: Partial<Cable['run']> = {}, end: Partial<End> = {}) =>
    work(
      cableWith(
        {},
        {
          run: { ...base.run, load: { kind: 'amps', amps: 120 }, lengthMm: 2000, holeMm, ...more },
          ends: { A: base.ends.A, B: { at: 'load', stud: 'M10', ...end } },
        },
      ),
    );
  test('a wide one passes a finished end', () => {
    const { passage, findings } = through(30);
    expect(passage).toEqual({ pulled: 'A', finished: true });
    expect(found(findings, 'hole.A').state).toBe('holds');
  });
  test('a narrow one: pulled bare, finished in place, in that order', () => {
    const before = through(20);
    expect(before.passage).toEqual({ pulled: 'B', finished: false });
    expect(inWords(found(before.findings, 'hole.B'))).toMatchObject({
      state: 'fails',
      remedy: 'Solution: pull it bare, crimp B in place.',
    });
    const after = through(20, {}, { inPlace: { swingMm: 400, solidFloor: false } });
    expect(found(after.findings, 'hole.B').state).toBe('holds');
    const ids = after.steps.map(({ id }) => id);
    expect(ids.indexOf('shrink.A')).toBeLessThan(ids.indexOf('pull-through'));
    expect(ids.indexOf('pull-through')).toBeLessThan(ids.indexOf('strip.B'));
    expect(ids.indexOf('clock.B')).toBeLessThan(ids.indexOf('crimp-1.B'));
  });
  test('in place, only a tool that can work there is offered', () => {
    const { ends } = through(20, {}, { inPlace: { swingMm: 400, solidFloor: false } });
    expect(ends.A.tool?.kind).toBe('bench hydraulic');
    expect(ends.B.tool?.kind ?? 'none').not.toBe('bench hydraulic');
  });
  test('all that is on a finished end passes, not its lug alone', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 14, max: 40, noNaN: true }),
        fc.subarray(['braid', 'glass', 'label', 'boot', 'band'] as const),
        (holeMm, layers) => {
          const { passage, ends, conductor } = through(holeMm, { pulledEnd: 'B' }, { layers });
          const { lug, sleeve } = ends.B;
          if (!passage?.finished || !lug || !sleeve) return;
          const walls = layers.reduce(
            (mm, layer) => mm + (LAYERS[layer].caught ? LAYERS[layer].wallMm : 0),
            0,
          );
          const outsides = [
            Math.hypot(lug.palmWidthMm, lug.palmThicknessMm),
            lug.outerMm + 2 * sleeve.wallMm,
            conductor.outerMm + 2 * walls + 2 * sleeve.wallMm,
            ...(layers.includes('boot') ? [conductor.outerMm + 2 * LAYERS.boot.wallMm] : []),
          ];
          expect(Math.max(...outsides)).toBeLessThanOrEqual(holeMm + 1e-9);
        },
      ),
      { numRuns: cases(60) },
    ));
  test('what waits on the cable and does not pass goes on behind the hole', () => {
    const ids = (holeMm: number) =>
      through(holeMm, {}, { inPlace: { swingMm: 800, solidFloor: true } }).steps.map(({ id }) => id);
    const narrow = ids(20);
    expect(narrow.indexOf('layers.B')).toBeGreaterThan(narrow.indexOf('pull-through'));
    expect(narrow.indexOf('layers.B')).toBeLessThan(narrow.indexOf('crimp-1.B'));
    expect(ids(60)).not.toContain('layers.B');
  });
  test('a hole thinner than the cable says so', () =>
    expect(tell(found(through(12).findings, 'hole.B').because)).toMatch(/The cable itself/));
});

describe('layers', () => {
  test('closest to the jacket first, the heat shrink last; a boot and a tight sleeve never after the lug', () => {
    const { ends, findings } = work(cableWith({ layers: ['boot', 'label', 'braid'] }));
    expect(ends.A.nesting.map(({ layer }) => layer)).toEqual(['braid', 'label', 'boot', 'sleeve']);
    const after = Object.fromEntries(ends.A.nesting.map(({ layer, afterLug }) => [layer, afterLug]));
    expect(after).toMatchObject({ braid: true, label: false, boot: true });
    expect(tell(found(findings, 'layers.A').because)).toMatch(/before the lug, or never/);
  });
  test('braid under the sleeve makes it pass more', () => {
    const plain = work(cableWith()).ends.A.sleeveTask;
    const braided = work(cableWith({ layers: ['braid'] })).ends.A.sleeveTask;
    expect((braided?.passMm ?? 0) - (plain?.passMm ?? 0)).toBeCloseTo(1.2, 9);
  });
  test('a sleeve after the lug must pass the palm', () => {
    const task = work(cableWith({ sleeveAfterLug: true })).ends.A.sleeveTask;
    expect(task?.passMm).toBeGreaterThan(15.6);
  });
  test('the pole is never ambiguous', () => {
    const told = (more: Partial<Cable>, end: Partial<End> = {}) =>
      found(work(cableWith(end, more)).findings, 'polarity.A').state;
    expect(told({ polarity: 'positive', jacket: 'red' })).toBe('holds');
    expect(told({ polarity: 'negative', jacket: 'red' })).toBe('fails');
    expect(told({ polarity: 'positive', jacket: 'black' })).toBe('watch');
    expect(told({ polarity: 'positive', jacket: 'black' }, { layers: [] })).toBe('fails');
    expect(told({ polarity: 'positive', jacket: 'black' }, { layers: ['band'] })).toBe('holds');
    expect(told({ polarity: 'link', jacket: 'yellow' })).toBe('holds');
  });
  test('no sleeve is proposed that cannot be drawn over the barrel, or that says the other pole', () => {
    for (const polarity of ['positive', 'negative'] as const) {
      for (const sleeves of [shop.sleeves, shop.sleeves.toReversed()]) {
        const red = sleeves.map((sleeve): Sleeve => ({ ...sleeve, id: `red-${sleeve.id}`, colour: 'red' }));
        const { ends } = work({ ...cableWith(), polarity }, { ...shop, sleeves: [...red, ...sleeves] });
        for (const { sleeve, lug } of Object.values(ends)) {
          expect(sleeve?.sleeve.suppliedMm).toBeGreaterThanOrEqual((lug?.outerMm ?? Infinity) + 0.3);
          if (polarity === 'negative') expect(sleeve?.sleeve.colour).not.toBe('red');
        }
      }
    }
  });
  test('a red sleeve put on a negative by hand is found', () => {
    const negative: Cable = { ...cableWith(), polarity: 'negative', jacket: 'black' };
    const said = work(negative).ends.A.sleeve?.sleeve;
    if (!said) throw new Error('no sleeve');
    const red: Sleeve = { ...said, id: 'red-one', colour: 'red' };
    const { findings } = work(
      { ...negative, ends: { ...negative.ends, A: { ...negative.ends.A, sleeveId: red.id } } },
      { ...shop, sleeves: [...shop.sleeves, red] },
    );
    expect(findings.find(({ id }) => id === 'polarity.A')?.state).toBe('fails');
    expect(findings.find(({ id }) => id === 'polarity.B')?.state).not.toBe('fails');
  });
  test('in the wet a plain sleeve is to be watched', () => {
    const plain: Shop = {
      ...shop,
      practice: { ...shop.practice, seal: 'adhesive ring' },
      sleeves: shop.sleeves.filter(({ kind }) => kind === 'thin-2'),
    };
    const meeting = (...meets: Cable['run']['meets']) => cableWith({}, { run: { ...base.run, meets } });
    const ring = (cable: Cable) => work(cable, plain).findings.find(({ id }) => id === 'ring.A')?.state;
    expect(ring(meeting())).toBe('holds');
    expect(ring(meeting('wet'))).toBe('watch');
  });
  test('sleeves tell the pole where the shop works so, and a ring of adhesive makes a plain sleeve seal', () => {
    const banded = work(cableWith(), practising({ colours: 'sleeves' }));
    expect(banded.ends.A.layers).toContain('band');
    expect(banded.ends.A.band).toMatchObject({ colour: 'red', kind: 'thin-2' });
    const plain = {
      ...practising({ seal: 'adhesive ring' }),
      sleeves: shop.sleeves.filter(({ kind }) => kind === 'thin-2'),
    };
    const { ends, findings } = work(cableWith(), plain);
    expect(ends.A.sleeve?.sleeve.kind).toBe('thin-2');
    expect(found(findings, 'ring.A').state).toBe('holds');
    expect(work(cableWith(), { ...plain, practice: shop.practice }).ends.A.sleeve).toBeNull();
  });
});

describe('a join along the way', () => {
  const joined = (atMm: number, kind: 'butt' | 'branch' = 'butt', own = shop) =>
    work(
      cableWith({}, { joins: [{ id: 'j1', kind, atMm, ...(kind === 'branch' && { branchMm2: 25 }) }] }),
      own,
    );
  test('has a connector, a die, a sleeve, steps and proofs of its own', () => {
    const { joins, findings, steps } = joined(900);
    expect(joins[0]?.connector?.form).toBe('butt');
    expect(joins[0]?.die?.verdict).toBe('right');
    expect(found(findings, 'join-fill.j1').state).toBe('holds');
    expect(found(findings, 'join-sleeve.j1').state).toBe('holds');
    for (const id of ['join-flats-A.j1', 'join-flats-B.j1', 'join-ears-A.j1', 'join-pull.j1']) {
      expect(found(findings, id).state).toBe('unproved');
    }
    expect(steps.filter(({ id }) => id.startsWith('join-'))).toHaveLength(3);
  });
  test('is judged by its own readings', () => {
    const cable = cableWith({}, { joins: [{ id: 'j1', kind: 'butt', atMm: 900 }] });
    const flats = work(cable).joins[0]?.die?.die.acrossFlatsMm ?? 0;
    const reading = {
      at: '2026-11-20T10:00:00.000Z',
      by: 'R. Alder',
      source: 'typed' as const,
      joinId: 'j1',
    };
    const measured: Cable = {
      ...cable,
      readings: [
        { ...reading, id: 'r1', check: 'join', side: 'A', acrossFlatsMm: flats + 0.05, earsMm: 0.1 },
        { ...reading, id: 'r2', check: 'join', side: 'B', acrossFlatsMm: flats + 1.5, earsMm: 0.1 },
        { ...reading, id: 'r3', check: 'join-pull', forceN: 200, held: false },
      ],
    };
    const { findings } = work(measured);
    expect(found(findings, 'join-flats-A.j1').state).toBe('holds');
    expect(found(findings, 'join-flats-B.j1').state).toBe('fails');
    expect(found(findings, 'join-pull.j1').state).toBe('fails');
    const redone = {
      ...measured,
      reworks: [
        {
          id: 'w',
          at: '2026-11-21T10:00:00.000Z',
          by: 'R. Alder',
          end: 'A' as const,
          what: 'new join',
          joinId: 'j1',
        },
      ],
    };
    expect(found(work(redone).findings, 'join-flats-B.j1').state).toBe('unproved');
  });
  test('a branch brings its copper; one at the very end, or without a connector, fails', () => {
    expect(joined(900, 'branch').joins[0]?.copperMm2).toBe(95);
    expect(found(joined(20).findings, 'join-place.j1').state).toBe('fails');
    const bare = { ...shop, lugs: shop.lugs.filter(({ form }) => form !== 'butt') };
    expect(found(joined(900, 'butt', bare).findings, 'join-fill.j1').state).toBe('fails');
  });
});

describe('palm to palm', () => {
  test('a short stiff cable must be clocked before the second crimp; a long fine one can be twisted', () => {
    const state = (lengthMm: number, kindId: string) =>
      found(
        work(
          cableWith(
            {},
            { gauge: { kindId, size: { system: 'metric', name: '70' } }, run: { ...base.run, lengthMm } },
          ),
        ).findings,
        'clocking',
      ).state;
    expect(state(500, 'battery')).toBe('watch');
    expect(state(6000, 'welding')).toBe('holds');
  });
});
