import { describe, expect, test } from '@jest/globals';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import type { Shop } from '../model/shop.ts';
import { askedReading, judgeAsk } from './asks.ts';
import { isHeeded } from '../model/cautions.ts';
import { gateStates, hotEnds, shrunkSeconds } from './gates.ts';
import { restingOn } from './order.ts';
import { practiceBegins } from './practise.ts';
import { TODAY, NOW, ago, cableWith, worked, shop, stepOf, indentDies } from './travellerFixture.ts';

/** What makes an end ready to be held. */
const bare = (end: EndName) => [`strip.${end}`, `strands.${end}`, `home.${end}`];

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
    expect(shut('crimp-1.A', done())).toEqual(['layers', 'home', 'order']);
    expect(shut('crimp-1.A', done('cut', 'layers', ...bare('A')))).toEqual([]);
  });
  test('no second lug is crimped before it is clocked', () => {
    const own = ['cut', 'layers', ...bare('B')];
    // It is the second once the other is held.
    expect(shut('crimp-1.B', done(...own))).toEqual([]);
    expect(shut('crimp-1.B', done(...own, 'crimp-1.A'))).toEqual(['clocked']);
    expect(shut('crimp-1.B', done(...own, 'crimp-1.A', 'clock.B'))).toEqual([]);
  });
  test('no flame before the hot-work list of the day', () => {
    const own = done('cut', 'layers', ...bare('A'), 'crimp-1.A', 'crimp-2.A', 'file.A');
    expect(shut('solder.A', own)).toEqual(['hot work']);
    expect(shut('solder.A', own, [{ caution: 'hot work', day: '2026-11-24' }])).toEqual(['hot work']);
    expect(shut('solder.A', own, [{ caution: 'hot work', day: TODAY }])).toEqual([]);
    expect(isHeeded([], 'hot work', TODAY)).toBe(false);
  });
  test('no sleeve over what is hot from the solder, until it has cooled', () => {
    const heeded = [{ caution: 'hot work' as const, day: TODAY }];
    const own = done('cut', 'layers', ...bare('A'), 'crimp-1.A', 'crimp-2.A', 'file.A', 'solder.A', 'cool.A');
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
  test('a judgement gone past with a reason stands open, and only there; the work itself cannot be gone past', () => {
    const past = (gate: string, step: string) => ({
      ...{ gate, step, at: NOW.toISOString(), by: 'Ada' },
      reason: 'a short link, it turns in the hand',
    });
    const made = done('cut', 'layers', ...bare('B'), 'crimp-1.A');
    expect(shut('crimp-1.B', { ...made, passed: [past('clocked', 'crimp-1.B')] })).toEqual([]);
    expect(shut('crimp-1.B', { ...made, passed: [past('clocked', 'crimp-2.B')] })).toEqual(['clocked']);
    const bareOnly = { ...done('cut', ...bare('A')), passed: [past('layers', 'crimp-1.A')] };
    expect(shut('crimp-1.A', bareOnly)).toEqual(['layers']);
  });
  test('what is done is not undone under what rests on it', () => {
    const own = done('cut', 'layers', ...bare('A'), 'crimp-1.A');
    const rests = (id: string) => restingOn(stepOf(work, id), work.steps, own).map((step) => step.id);
    expect(rests('layers')).toEqual(['crimp-1.A']);
    expect(rests('cut')).toEqual(['strip.A', 'strands.A', 'home.A', 'crimp-1.A']);
    expect(rests('crimp-1.A')).toEqual([]);
  });
  test('a join is cut, crimped and sealed in order, and before it is pulled through', () => {
    const join = { id: 'x1', kind: 'butt' as const, atMm: 700 };
    const one = cableWith({}, { inPlace: { swingMm: 900, solidFloor: true } }, { joins: [join] });
    const joined = worked({ ...one, run: { ...one.run, holeMm: 60 } });
    const of = (id: string) => stepOf(joined, id).gates.flatMap(({ needs }) => needs);
    expect(of('join-crimp-x1')).toEqual(['layers', 'cut', 'join-cut-x1']);
    expect(of('join-shrink-x1')).toContain('join-crimp-x1');
    expect(of('pull-through')).toContain('join-shrink-x1');
    // One that does not pass the hole is made behind it.
    const behind = worked({ ...one, run: { ...one.run, holeMm: 15 } });
    expect(stepOf(behind, 'join-cut-x1').after).toContain('pull-through');
  });
});

describe('what is refused as things are', () => {
  const refused = (own: CableWork, id: string, cable: Cable) =>
    gateStates(stepOf(own, id), cable, [], ago(NOW), TODAY).find(({ gate }) => gate.id === 'refused');
  /** Everything ticked, everything gone past. */
  const pressed = (cable: Cable, own: CableWork): Cable => ({
    ...cable,
    done: own.steps.map((step) => ({ step: step.id, at: NOW.toISOString(), by: 'Ada' })),
    passed: own.steps.map((step) => ({
      ...{ gate: 'refused', step: step.id, at: NOW.toISOString(), by: 'Ada' },
      reason: 'never mind',
    })),
  });
  const lugOf = (metric: string) =>
    shop.lugs.find(({ form, forSize }) => form === 'tube' && forSize.name === metric)?.id ?? '';
  const dieOf = (tightest: boolean) =>
    shop.dies
      .filter(({ id }) => !indentDies.has(id))
      .sort((a, b) => (tightest ? 1 : -1) * (a.acrossFlatsMm - b.acrossFlatsMm))[0]?.id ?? '';

  test('a lug that the cable cannot enter, from the strip on; cutting strands does not help', () => {
    for (const strands of [{ cut: 0 }, { cut: 200 }]) {
      const cable = cableWith({ lugId: lugOf('35'), strands });
      const own = worked(cable);
      for (const id of ['strip.A', 'strands.A', 'home.A']) {
        const state = refused(own, id, pressed(cable, own));
        expect(state).toMatchObject({ open: false, passed: false });
        expect(tell(state?.gate.stop?.because)).toMatch(/cannot enter/);
        expect(tell(state?.gate.stop?.remedy)).toMatch(/made for this cable/);
      }
      expect(refused(own, 'home.B', cable)).toBeUndefined();
    }
  });
  test('a die that will not close, on the cable as on a sure practice piece', () => {
    const cable = {
      ...cableWith({ dieId: dieOf(true) }),
      done: [{ step: practiceBegins('A'), at: NOW.toISOString(), by: 'Ada' }],
    };
    const own = worked(cable);
    for (const id of ['crimp-1.A', 'practise-crimp-1.A']) {
      const state = refused(own, id, pressed(cable, own));
      expect(state).toMatchObject({ open: false });
      expect(tell(state?.gate.stop?.because)).toMatch(/will not close/);
    }
    expect(refused(own, 'strip.A', cable)).toBeUndefined();
  });
  test('a press that is improvised, and a tool without the room it asks', () => {
    const [tool] = shop.tools;
    if (!tool) throw new Error('no tool');
    const made = { ...tool, id: 'jack', kind: 'improvised' as const };
    const right = worked(cableWith({})).ends.A.die?.die;
    if (!right) throw new Error('no die');
    const own: Shop = {
      ...shop,
      tools: [...shop.tools, made],
      dies: [...shop.dies, { ...right, id: 'weld', toolId: 'jack' }],
    };
    const cable = cableWith({ dieId: 'weld' });
    const state = refused(worked(cable, own), 'crimp-1.A', cable);
    expect(tell(state?.gate.stop?.because)).toMatch(/enough energy to injure/);
    const tight = cableWith({ dieId: right.id, inPlace: { swingMm: 0, solidFloor: false } });
    expect(refused(worked(tight), 'crimp-1.A', tight)?.open).toBe(false);
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
    expect(inWords(judgeAsk(flats, die * 1.03))).toMatchObject({
      holds: false,
      sentence: 'Larger than the die: it did not shut.',
    });
    expect(inWords(judgeAsk(flats, die - 0.2))).toMatchObject({
      holds: false,
      sentence: 'Smaller than the die: a different die was used.',
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
        return judgeAsk(step.ask, value).holds === (finding?.state === 'holds' || finding?.untold === true);
      }),
      { numRuns: 20 },
    );
  });
  test('ears and strands are judged by the house', () => {
    const ears = stepOf(work, 'file.A').ask;
    expect(ears && judgeAsk(ears, 0.4).holds).toBe(true);
    expect(ears && judgeAsk(ears, 0.6).holds).toBe(false);
    const strands = stepOf(work, 'strands.A');
    expect(inWords(strands.ask && judgeAsk(strands.ask, 0))).toEqual({
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

describe('ends that are still hot', () => {
  const cable = cableWith({ method: 'solder' });
  const work = worked(cable);
  const at = (step: string, seconds: number): Cable => ({
    ...cable,
    done: [{ step, at: new Date(NOW.getTime() - seconds * 1000).toISOString(), by: 'Ada' }],
  });
  const hot = (own: Cable) => hotEnds(own, work, ago(NOW));

  test('nothing is hot before a flame was near it', () => {
    expect(hot(cable)).toEqual([]);
    expect(hot(at('crimp-1.A', 5))).toEqual([]);
  });
  test('what was soldered or shrunk is hot at that end, for so long as is left', () => {
    const [soldered] = hot(at('solder.A', 10));
    expect(soldered?.end).toBe('A');
    const whole = shrunkSeconds(work.ends.B);
    expect(hot(at('shrink.B', 15))).toEqual([{ end: 'B', waitS: whole - 15 }]);
    // Solder is hotter than a sleeve.
    expect(soldered?.waitS).toBeGreaterThan(whole - 10);
  });
  test('and is cool after that', () => expect(hot(at('shrink.B', shrunkSeconds(work.ends.B)))).toEqual([]));
  test('the later of two heats counts', () => {
    const both: Cable = { ...cable, done: [...at('solder.A', 400).done, ...at('shrink.A', 5).done] };
    expect(hot(both)[0]?.waitS).toBe(
      Math.max(hot(at('shrink.A', 5))[0]?.waitS ?? 0, hot(at('solder.A', 400))[0]?.waitS ?? 0),
    );
  });
});
