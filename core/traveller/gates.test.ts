import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Cable } from '../job/cable.ts';
import { askedReading, judgeAsk } from './asks.ts';
import { isHeeded } from './cautions.ts';
import { gateStates, hotEnds, shrunkSeconds } from './gates.ts';
import { TODAY, NOW, ago, cableWith, worked, stepOf, indentDies } from './travellerFixture.ts';

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
