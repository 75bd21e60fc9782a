import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { genericShop } from '../catalogue/genericShop.ts';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../job/cable.ts';
import type { End } from '../job/end.ts';
import { newCable } from '../job/newCable.ts';
import type { Shop } from '../job/shop.ts';
import { METHODS } from '../practice/housePractice.ts';
import { workUpCable } from '../workup.ts';
import { askedReading, judgeAsk } from './asks.ts';
import { batchOf, dieChanges, oneByOne } from './batch.ts';
import { CAUTION_IDS, isHeeded } from './cautions.ts';
import { gateStates } from './gates.ts';
import { afterMishap, cutBackMm, faultsAt, waysOut } from './mishaps.ts';
import { toPractise } from './practise.ts';
import { HOLDS, kindOf, type Step } from './step.ts';

const shop = genericShop();
const TODAY = '2026-11-25';
const NOW = new Date('2026-11-25T12:00:00.000Z');
const ago = (now: Date) => (at: string) => (now.getTime() - Date.parse(at)) / 1000;

/** A cable of one size, with what each of its ends is. */
function cableWith(a: Partial<End>, b: Partial<End> = {}, more: Partial<Cable> = {}): Cable {
  const base = newCable('c', 'C-1', shop);
  return {
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '50' } },
    ...more,
    run: { ...base.run, load: { kind: 'amps', amps: 60 }, lengthMm: 1500, loopMm: 100, ...more.run },
    ends: { A: { at: 'bus', stud: 'M8', ...a }, B: { at: 'load', stud: 'M8', ...b } },
  };
}
const worked = (cable: Cable, own: Shop = shop) => workUpCable(cable, own, { today: TODAY });
const at = (steps: readonly Step[], id: string) => steps.findIndex((step) => step.id === id);
const stepOf = (work: CableWork, id: string): Step => {
  const found = work.steps.find((step) => step.id === id);
  if (!found) throw new Error(`no step ${id} among ${work.steps.map((step) => step.id).join(' ')}`);
  return found;
};
const clampOf = (form: 'cast clamp' | 'screw clamp') => shop.lugs.find((lug) => lug.form === form);
const indentDies = new Set(
  shop.dies
    .filter(({ toolId }) =>
      ['hammer', 'hand lever'].includes(shop.tools.find(({ id }) => id === toolId)?.kind ?? ''),
    )
    .map(({ id }) => id),
);
const LAYERS: readonly NonNullable<End['layers']>[] = [
  [],
  ['label'],
  ['braid', 'label'],
  ['glass'],
  ['boot', 'label'],
  ['band', 'label'],
];

const end = fc.record({
  method: fc.constantFrom(...METHODS),
  crimps: fc.constantFrom(1 as const, 2 as const),
  layers: fc.constantFrom(...LAYERS).map((layers) => [...layers]),
  stud: fc.constantFrom('M6', 'M8', 'M10'),
});
const clamped = fc.constantFrom('cast clamp' as const, 'screw clamp' as const).map((form): Partial<End> => {
  const lug = clampOf(form);
  return lug ? { lugId: lug.id } : {};
});
const anyEnd: fc.Arbitrary<Partial<End>> = fc.oneof(
  { weight: 4, arbitrary: end },
  { weight: 1, arbitrary: clamped },
);
const anyCable = fc
  .record({
    a: anyEnd,
    b: anyEnd,
    hole: fc.constantFrom(undefined, 12, 40),
    inPlace: fc.boolean(),
    metric: fc.constantFrom('25', '50', '70'),
  })
  .map(({ a, b, hole, inPlace, metric }) => {
    const cable = cableWith(
      a,
      { ...b, ...(inPlace && { inPlace: { swingMm: 700, solidFloor: true } }) },
      { gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: metric } } },
    );
    return hole === undefined ? cable : { ...cable, run: { ...cable.run, holeMm: hole } };
  });

describe('in every traveller', () => {
  /** What must hold of any cable that can be made at all. */
  const always = (holds: (work: CableWork, cable: Cable) => boolean) => {
    let made = 0;
    fc.assert(
      fc.property(anyCable, (cable) => {
        const work = worked(cable);
        if (work.steps.length > 0) made += 1;
        return work.steps.length === 0 || holds(work, cable);
      }),
      { numRuns: 70 },
    );
    // A property that nothing reaches says nothing.
    expect(made).toBeGreaterThan(20);
  };
  test('each layer comes before the lug that would block it', () =>
    always(
      ({ steps }) =>
        steps.every(({ id }, i) => !HOLDS.includes(kindOf(id)) || at(steps, 'layers') < i) &&
        at(steps, 'layers') > at(steps, 'cut'),
    ));
  test('nothing is shrunk before what it covers is held, and nothing hot is covered', () =>
    always(({ steps }) =>
      steps.every(({ id, end: name }, i) => {
        if (kindOf(id) !== 'shrink') return true;
        return steps.every(
          (other, n) =>
            other.end !== name || kindOf(other.id) === 'shrink' || kindOf(other.id) === 'label' || n < i,
        );
      }),
    ));
  test('the second end is clocked before anything holds it', () =>
    always(({ steps }) => {
      const clock = steps.find(({ id }) => kindOf(id) === 'clock');
      if (!clock) return false;
      const own = steps.filter((step) => step.end === clock.end).map(({ id }) => kindOf(id));
      return own.findIndex((kind) => HOLDS.includes(kind)) > own.indexOf('clock');
    }));
  test('each step is there once, and each gate rests on steps before it', () =>
    always(({ steps }) => {
      const ids = steps.map(({ id }) => id);
      return (
        new Set(ids).size === ids.length &&
        steps.every(({ gates }, i) =>
          gates.every(({ needs }) => needs.every((id) => at(steps, id) >= 0 && at(steps, id) < i)),
        )
      );
    }));
  test('no flame comes before the hot-work list, and no lug before the layers are confirmed', () =>
    always(({ steps }) =>
      steps.every(({ id, gates }) => {
        const kind = kindOf(id);
        const asked = gates.map((gate) => gate.id);
        const flame = ['solder', 'slug', 'shrink'].includes(kind);
        return (!flame || asked.includes('hot work')) && (!HOLDS.includes(kind) || asked.includes('layers'));
      }),
    ));
  test('what is soldered never tins before a crimp, and cools before its sleeve', () =>
    always(({ steps, ends }) =>
      [ends.A, ends.B].every(({ name, method }) => {
        const own = steps.filter((step) => step.end === name);
        const first = (kind: string) => own.findIndex(({ id }) => kindOf(id) === kind);
        if (method === 'crimp then solder' && first('solder') < first('crimp')) return false;
        const shrink = own.find(({ id }) => kindOf(id) === 'shrink');
        const hot = method !== 'crimp' && method !== 'screwed';
        return (
          !hot || !shrink || shrink.gates.some(({ id, wait }) => id === 'cool' && (wait?.seconds ?? 0) > 60)
        );
      }),
    ));
  test('each step says why, and where it is dangerous says so', () =>
    always(({ steps }) =>
      steps.every(({ id, why, order, caution }) => {
        const dangerous = ['crimp', 'solder', 'slug', 'shrink', 'strip', 'cut', 'pull-through'].includes(
          kindOf(id),
        );
        return (
          why !== '' &&
          order !== '' &&
          (!dangerous || (caution !== undefined && CAUTION_IDS.includes(caution.of)))
        );
      }),
    ));
});

describe('the order of each way of making', () => {
  const order = (a: Partial<End>, b: Partial<End> = {}, more: Partial<Cable> = {}) =>
    worked(cableWith(a, b, more))
      .steps.filter(({ end: name }) => name === 'A')
      .map(({ id }) => kindOf(id))
      .filter((kind, i, all) => kind !== all[i - 1])
      .join(' ');
  test.each([
    ['crimp', { method: 'crimp' as const }, 'strip strands home crimp file shrink'],
    [
      'crimp, then solder',
      { method: 'crimp then solder' as const },
      'strip strands home crimp file solder cool shrink',
    ],
    ['solder alone', { method: 'solder' as const }, 'strip strands home solder cool shrink'],
    ['slug, then crimp', { method: 'slug then crimp' as const }, 'strip strands slug crimp file shrink'],
    ['a cast clamp', { lugId: clampOf('cast clamp')?.id ?? '' }, 'strip strands home solder cool shrink'],
    ['a screw clamp', { lugId: clampOf('screw clamp')?.id ?? '' }, 'strip strands screw shrink'],
  ])('%s', (_, a, kinds) => {
    const size = {
      system: 'metric' as const,
      name: shop.lugs.find(({ id }) => 'lugId' in a && id === a.lugId)?.forSize.name ?? '50',
    };
    const gauge = { kindId: 'tinned-marine', size: size as NonNullable<Cable['gauge']['size']> };
    expect(order(a, {}, { gauge })).toBe(kinds);
  });
  test('one end on the bench and one in place: the second is made behind the hole', () => {
    const cable = cableWith({}, { inPlace: { swingMm: 800, solidFloor: true } });
    const { steps } = worked({ ...cable, run: { ...cable.run, holeMm: 18, pulledEnd: 'B' } });
    const pull = at(steps, 'pull-through');
    expect(pull).toBeGreaterThan(at(steps, 'shrink.A'));
    expect(steps.findIndex(({ id }) => kindOf(id) === 'strip' && id.endsWith('.B'))).toBeGreaterThan(pull);
    expect(steps[pull]?.gates.map(({ id }) => id)).toContain('live');
  });
  test('an end on the bench is never offered a hammer where it lies without a floor', () => {
    const { ends } = worked(cableWith({ inPlace: { swingMm: 2000, solidFloor: false } }));
    expect(ends.A.tool?.kind).not.toBe('hammer');
    expect(ends.A.tool?.kind).not.toBe('bench hydraulic');
  });
});

describe('gates', () => {
  const cable = cableWith({ method: 'crimp then solder' });
  const work = worked(cable);
  const done = (...ids: string[]): Cable => ({
    ...cable,
    done: ids.map((step) => ({ step, at: '2026-11-25T11:58:00.000Z', by: 'Ada' })),
  });
  const states = (id: string, own: Cable, heeded: { caution: 'hot work'; day: string }[] = []) =>
    gateStates(stepOf(work, id), own, heeded, ago(NOW), TODAY);
  const shut = (...args: Parameters<typeof states>) =>
    states(...args)
      .filter(({ open }) => !open)
      .map(({ gate }) => gate.id);
  test('no crimp before the layers are on and every strand is home', () => {
    expect(shut('crimp-1.A', done())).toEqual(['layers', 'home']);
    expect(shut('crimp-1.A', done('layers', 'strands.A', 'home.A'))).toEqual([]);
  });
  test('no second lug is crimped before it is clocked', () => {
    const own = ['layers', 'strands.B', 'home.B'];
    expect(shut('crimp-1.B', done(...own))).toEqual(['clocked']);
    expect(shut('crimp-1.B', done(...own, 'clock.B'))).toEqual([]);
  });
  test('no flame before the hot-work list of the day', () => {
    const own = done('layers', 'strands.A', 'home.A');
    expect(shut('solder.A', own)).toEqual(['hot work']);
    expect(shut('solder.A', own, [{ caution: 'hot work', day: '2026-11-24' }])).toEqual(['hot work']);
    expect(shut('solder.A', own, [{ caution: 'hot work', day: TODAY }])).toEqual([]);
    expect(isHeeded([], 'hot work', TODAY)).toBe(false);
  });
  test('no sleeve over what is hot from the solder, until it has cooled', () => {
    const heeded = [{ caution: 'hot work' as const, day: TODAY }];
    const own = done('file.A', 'solder.A', 'cool.A');
    const [cool] = states('shrink.A', own, heeded).filter(({ gate }) => gate.id === 'cool');
    expect(cool?.open).toBe(false);
    const seconds = cool?.gate.wait?.seconds ?? 0;
    expect(cool?.waitS).toBe(seconds - 120);
    const later = gateStates(
      stepOf(work, 'shrink.A'),
      own,
      heeded,
      ago(new Date(NOW.getTime() + seconds * 1000)),
      TODAY,
    );
    expect(later.every(({ open }) => open)).toBe(true);
  });
  test('a gate gone past with a reason stands open, and only there', () => {
    const passed = {
      gate: 'layers',
      step: 'crimp-1.A',
      at: NOW.toISOString(),
      by: 'Ada',
      reason: 'sleeve passes the palm',
    };
    const own = { ...done('strands.A', 'home.A'), passed: [passed] };
    expect(shut('crimp-1.A', own)).toEqual([]);
    expect(shut('crimp-2.A', own)).toEqual(['layers']);
  });
});

describe('figures asked for at a step', () => {
  const work = worked(cableWith({}));
  const flats = stepOf(work, 'crimp-1.A').ask;
  const die = work.ends.A.die?.die.acrossFlatsMm ?? 0;
  if (!flats) throw new Error('nothing asked');
  const base = { id: 'r', at: NOW.toISOString(), by: 'Ada', source: 'typed' as const };
  test('across flats are judged against the die at once', () => {
    expect(judgeAsk(flats, die * 1.01)).toMatchObject({ holds: true });
    expect(judgeAsk(flats, die * 1.03)).toMatchObject({
      holds: false,
      sentence: 'Over: the die did not shut.',
    });
    expect(judgeAsk(flats, die - 0.2)).toMatchObject({
      holds: false,
      sentence: 'Under the die: it was another die.',
    });
  });
  test('they hold where the proof holds, and fail where it fails', () => {
    fc.assert(
      fc.property(fc.double({ min: die - 1, max: die + 1, noNaN: true }), (value) => {
        const one = cableWith({ crimps: 1 });
        const single = worked(one);
        const step = stepOf(single, 'crimp-1.A');
        const reading = askedReading(step, value, base);
        if (!reading || !step.ask) return false;
        const finding = worked({ ...one, readings: [reading] }).findings.find(
          ({ id }) => id === 'across-flats.A',
        );
        return judgeAsk(step.ask, value).holds === (finding?.state === 'holds');
      }),
      { numRuns: 20 },
    );
  });
  test('ears and strands are judged by the house', () => {
    const ears = stepOf(work, 'file.A').ask;
    expect(ears && judgeAsk(ears, 0.4).holds).toBe(true);
    expect(ears && judgeAsk(ears, 0.6).holds).toBe(false);
    const strands = stepOf(work, 'strands.A');
    expect(strands.ask && judgeAsk(strands.ask, 0)).toEqual({
      holds: true,
      sentence: 'Every strand is whole.',
    });
    expect(strands.ask && judgeAsk(strands.ask, 3).holds).toBe(false);
    expect(askedReading(strands, 3, base)).toBeNull();
  });
  test('an indent is not measured across flats', () => {
    const [id] = indentDies;
    expect(id).toBeDefined();
    const indented = worked(cableWith({ dieId: id ?? '' }));
    const crimp = indented.steps.find((step) => step.id === 'crimp-1.A');
    expect(crimp?.ask).toBeUndefined();
  });
});

describe('when a step goes wrong', () => {
  const cable = cableWith({ strands: { cut: 4 } });
  const work = worked(cable);
  const all: Cable = {
    ...cable,
    done: work.steps.map(({ id }) => ({ step: id, at: NOW.toISOString(), by: 'Ada' })),
  };
  const said = { id: 'm1', at: NOW.toISOString(), by: 'Ada' };
  const crimp = stepOf(work, 'crimp-2.A');
  test('dies not closed: close them again, and what was measured before no longer counts', () => {
    const [redo] = waysOut('dies not closed', crimp, all, work);
    expect(redo).toMatchObject({ way: 'redo', reopens: ['crimp-2.A'] });
    const after = redo && afterMishap(all, 'dies not closed', crimp, redo, said);
    expect(after?.done.some(({ step }) => step === 'crimp-2.A')).toBe(false);
    expect(after?.done.some(({ step }) => step === 'crimp-1.A')).toBe(true);
    expect(after?.reworks).toMatchObject([{ end: 'A', what: 'dies not closed' }]);
    expect(after?.mishaps).toMatchObject([{ step: 'crimp-2.A', way: 'redo', by: 'Ada' }]);
  });
  test('a wrong die: cut back, and the service loop pays for it', () => {
    const [cutBack] = waysOut('wrong die', crimp, all, work);
    const lost = cutBackMm({ stripMm: work.ends.A.stripMm ?? 0 });
    expect(cutBack).toMatchObject({ way: 'cut back', possible: true, cutBackMm: lost });
    const after = cutBack && afterMishap(all, 'wrong die', crimp, cutBack, said);
    expect(after?.run.loopMm).toBe(100 - lost);
    expect(after?.ends.A.strands?.cut).toBe(0);
    expect(after?.done.filter(({ step }) => step.endsWith('.A'))).toEqual([]);
    expect(after?.done.some(({ step }) => step === 'crimp-1.B')).toBe(true);
    const shorter = after && worked(after).lengths;
    expect(shorter?.cutMm).toBeCloseTo((work.lengths?.cutMm ?? 0) - lost, 9);
  });
  test('without a loop it cannot be cut back, and is told by how much', () => {
    const bare = { ...all, run: { ...all.run, loopMm: 5 } };
    const [cutBack] = waysOut('wrong die', crimp, bare, worked(bare));
    expect(cutBack).toMatchObject({ possible: false });
    expect(cutBack?.because).toMatch(/mm too few/);
  });
  test('a new piece begins at the beginning, and is cut from a spool again', () => {
    const scrap = waysOut('wrong die', crimp, all, work).at(-1);
    expect(scrap).toMatchObject({ way: 'scrap', possible: true });
    const after = scrap && afterMishap(all, 'wrong die', crimp, scrap, said);
    expect(after?.done).toEqual([]);
    expect(after?.reworks.map(({ end: name }) => name)).toEqual(['A', 'B']);
    expect(new Set(after?.reworks.map(({ id }) => id)).size).toBe(2);
  });
  test('a sleeve shrunk anew leaves the crimp proved', () => {
    const shrink = stepOf(work, 'shrink.A');
    const [redo] = waysOut('sleeve split or burnt', shrink, all, work);
    expect(redo && afterMishap(all, 'sleeve split or burnt', shrink, redo, said).reworks).toEqual([]);
  });
  test('every step that holds or covers can go wrong, and every way out reopens steps of this cable', () => {
    for (const step of work.steps) {
      const faults = faultsAt(step);
      if (HOLDS.includes(kindOf(step.id)) || kindOf(step.id) === 'shrink')
        expect(faults.length).toBeGreaterThan(0);
      for (const what of faults) {
        for (const way of waysOut(what, step, all, work)) {
          expect(way.reopens.length).toBeGreaterThan(0);
          expect(way.reopens.every((id) => at(work.steps, id) >= 0)).toBe(true);
          expect(way.reopens).toContain(way.way === 'redo' ? step.id : (way.reopens[0] ?? ''));
        }
      }
    }
  });
});

describe('a batch', () => {
  const many = fc
    .array(fc.record({ metric: fc.constantFrom('25', '50', '70'), a: end, b: end }), {
      minLength: 1,
      maxLength: 6,
    })
    .map((list) =>
      list.map(({ metric, a, b }, i) => {
        const cable = cableWith(a, b, {
          gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: metric as '50' } },
        });
        return { key: `k${i}`, cable, work: worked(cable) };
      }),
    );
  test('loses no step, keeps the order of each cable, and changes the die no more often than one by one', () => {
    fc.assert(
      fc.property(many, (cables) => {
        const phases = batchOf(cables);
        const items = phases.flatMap((phase) => phase.items);
        const kept = cables.every(({ key, work: { steps } }) => {
          const own = items.filter(({ of }) => of.key === key).map(({ step }) => step.id);
          return own.join() === steps.map(({ id }) => id).join();
        });
        return kept && dieChanges(phases.map(({ tool }) => tool)) <= dieChanges(oneByOne(cables));
      }),
      { numRuns: 12 },
    );
  });
  test('of ten alike is one of each thing', () => {
    const cable = cableWith({}, {});
    const work = worked(cable);
    const ten = Array.from({ length: 10 }, (_, i) => ({ key: `k${i}`, cable, work }));
    const phases = batchOf(ten);
    expect(phases.map(({ title }) => title)).toEqual([
      'Lay out',
      'Cut',
      'Layers on',
      'Strip A',
      'Look at the strands A',
      'Make end A',
      'Strip B',
      'Look at the strands B',
      'Make end B',
      'Shrink A',
      'Shrink B',
      'Label',
    ]);
    expect(phases.every(({ items }) => new Set(items.map(({ of }) => of.key)).size === 10)).toBe(true);
    expect(dieChanges(phases.map(({ tool }) => tool))).toBe(0);
  });
});

describe('what is better practised first', () => {
  const cable = cableWith({});
  const work = worked(cable);
  const { lug, die } = work.ends.A;
  if (!lug || !die) throw new Error('no lug');
  const trial = {
    id: 't',
    at: NOW.toISOString(),
    by: 'Ada',
    dieId: die.die.id,
    lugId: lug.id,
    size: lug.forSize,
    acrossFlatsMm: die.die.acrossFlatsMm,
    earsMm: 0,
    source: 'typed' as const,
  };
  test('is a die on a barrel that it never closed on here, once for both ends', () => {
    const bare = { ...shop, trials: [] };
    expect(toPractise(work, bare)).toMatchObject([{ ends: ['A', 'B'], die: { id: die.die.id } }]);
    expect(toPractise(work, { ...shop, trials: [trial] })).toEqual([]);
    expect(toPractise(work, { ...shop, trials: [{ ...trial, source: 'simulated' }] })).toHaveLength(1);
    expect(toPractise(work, { ...shop, trials: [{ ...trial, dieId: 'another' }] })).toHaveLength(1);
  });
});
