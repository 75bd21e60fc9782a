import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { genericShop } from '../catalogue/genericShop.ts';
import { areaMm2 } from '../conductor/size.ts';
import type { Cable, Run } from '../job/cable.ts';
import { newCable } from '../job/newCable.ts';
import type { HousePractice } from '../practice/housePractice.ts';
import { chooseSize } from './choose.ts';

const shop = genericShop();
const blank = newCable('c', 'C-1', shop);
const kindOf = (id: string) => shop.cableKinds.find((kind) => kind.id === id) ?? shop.cableKinds[0]!; // eslint-disable-line @typescript-eslint/no-non-null-assertion

function choose(
  run: Partial<Run>,
  gauge: Partial<Cable['gauge']> = {},
  practice: Partial<HousePractice> = {},
) {
  const cable: Cable = {
    ...blank,
    run: { ...blank.run, systemV: 24, ...run },
    gauge: { kindId: 'tinned-marine', ...gauge },
  };
  return chooseSize(cable, kindOf(cable.gauge.kindId), { ...shop.practice, ...practice });
}
const THRUSTER: Partial<Run> = {
  load: { kind: 'amps', amps: 225 },
  lengthMm: 6400,
  return: { kind: 'cable', lengthMm: 6800 },
  dropPercent: 5,
  devicesMilliohm: 0.22,
};
const idsThatFail = (run: Partial<Run>, size: string) =>
  choose(run)
    .candidates.find(({ at }) => at.size.name === size)
    ?.findings.filter(({ state }) => state === 'fails')
    .map(({ id }) => id);

describe('a thruster far forward', () => {
  test('takes the smallest size that passes everything', () => {
    const { smallest, taken, isProposed } = choose(THRUSTER);
    expect(smallest?.at.size.name).toBe('70');
    expect(taken).toBe(smallest);
    expect(isProposed).toBe(true);
  });
  test('one size down fails by drop, and by the tables', () =>
    expect(idsThatFail(THRUSTER, '50')).toEqual(['drop', 'amps-inch']));
  test('one size up is a visible step on top', () => {
    const { smallest, taken } = choose(THRUSTER, { oneSizeUp: true });
    expect(smallest?.at.size.name).toBe('70');
    expect(taken.at.size.name).toBe('95');
  });
  test('a size said on the cable stands, though it fails', () => {
    const { taken, isProposed } = choose(THRUSTER, { size: { system: 'metric', name: '35' } });
    expect(taken.at.size.name).toBe('35');
    expect(taken.state).toBe('fails');
    expect(isProposed).toBe(false);
  });
  test('a school switched off no longer binds, and is still shown', () => {
    const schools = { quick: false, inch: false, metric: true, heat: true };
    const { candidates, schools: answers } = choose({ ...THRUSTER, dropPercent: 10 }, {}, { schools });
    const fifty = candidates.find(({ at }) => at.size.name === '50');
    expect(fifty?.findings.some(({ id }) => id === 'amps-inch')).toBe(false);
    expect(answers.find(({ school }) => school === 'inch')).toMatchObject({ switchedOn: false });
  });
  test('the printed rule, switched on, binds with its own area', () => {
    const schools = { ...shop.practice.schools, quick: true };
    expect(choose(THRUSTER, {}, { schools }).smallest?.at.size.name).toBe('95');
  });
});

describe('a run no size can serve', () => {
  test('takes the thickest to stand for the failure', () => {
    const { smallest, taken, candidates } = choose({ load: { kind: 'amps', amps: 900 }, lengthMm: 20000 });
    expect(smallest).toBeNull();
    expect(taken).toBe(candidates.at(-1));
    expect(taken.state).toBe('fails');
  });
  test('3 kW over 12 V and 10 mm² cannot be delivered, in words', () => {
    const { candidates } = choose({
      systemV: 12,
      load: { kind: 'watts', watts: 30000, efficiencyPercent: 90, lowestV: 11 },
      lengthMm: 8000,
      return: { kind: 'cable', lengthMm: 8000 },
    });
    const [thin] = candidates;
    expect(thin?.at.currentA).toBeNull();
    expect(thin?.findings[0]).toMatchObject({ state: 'fails', value: null });
    expect(thin?.findings[0]?.because).toMatch(/No current through 10 mm² delivers this/);
  });
  test('air as hot as the termination leaves no amps', () =>
    expect(choose({ load: { kind: 'amps', amps: 20 }, ambientC: 92 }).smallest).toBeNull());
});

describe('where a cable lies', () => {
  const amps = (run: Partial<Run>) =>
    choose({ load: { kind: 'amps', amps: 200 }, lengthMm: 500, ...run }).smallest?.at.copperMm2 ?? Infinity;
  test('conduit, bundle, engine space and sun each never ask for less', () => {
    const free = amps({});
    expect(amps({ placing: 'conduit2' })).toBeGreaterThan(free);
    expect(amps({ placing: 'bundle', bundled: 5 })).toBeGreaterThan(free);
    expect(amps({ engineSpace: true, ambientC: 60 })).toBeGreaterThan(free);
    expect(amps({ sun: true })).toBeGreaterThanOrEqual(free);
  });
  test('what it is bolted to counts: 75 °C asks for more than 105 °C', () =>
    expect(amps({ terminationC: 75 })).toBeGreaterThan(amps({ terminationC: 105 })));
  test('a kind rated 60–70 °C does not read the 105 °C column', () => {
    const { candidates } = choose({ load: { kind: 'amps', amps: 200 } }, { kindId: 'battery' });
    expect(candidates.every(({ at }) => at.metric?.columnC === 70)).toBe(true);
  });
});

describe('a surge on top', () => {
  const STARTER: Partial<Run> = {
    load: { kind: 'amps', amps: 0 },
    surge: { amps: 520, seconds: 12, dropPercent: 3.5 },
    lengthMm: 1980,
    return: { kind: 'chassis', milliohm: 0.6 },
  };
  test('has its own drop and its own end temperature', () => {
    const ids = choose(STARTER).taken.findings.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['surge-drop', 'surge-end']));
  });
  test('a chassis return is counted as its milliohms', () => {
    const { at } = choose(STARTER).taken;
    expect(at.loop.returnOhm).toBeCloseTo(0.0006, 9);
    expect(at.joints).toBe(2);
  });
});

describe('more is never worse', () => {
  const anyRun = fc.record({
    amps: fc.double({ min: 1, max: 400, noNaN: true }),
    lengthMm: fc.double({ min: 100, max: 12000, noNaN: true }),
    ambientC: fc.double({ min: 0, max: 70, noNaN: true }),
  });
  const asRun = ({ amps, ...rest }: { amps: number; lengthMm: number; ambientC: number }): Partial<Run> => ({
    load: { kind: 'amps', amps },
    return: { kind: 'cable', lengthMm: rest.lengthMm },
    ...rest,
  });
  test('more copper never drops more, runs hotter or carries less', () => {
    fc.assert(
      fc.property(anyRun, (drawn) => {
        const all = choose(asRun(drawn)).candidates.map(({ at }) => at);
        return all.slice(1).every((at, i) => {
          const before = all[i];
          return (
            before !== undefined &&
            areaMm2(at.size) > areaMm2(before.size) &&
            at.dropPercent <= before.dropPercent + 1e-9 &&
            (at.settledC ?? Infinity) <= (before.settledC ?? Infinity) + 1e-6 &&
            at.heatA >= before.heatA
          );
        });
      }),
      { numRuns: 40 },
    );
  });
  test('hotter air never allows more amps', () => {
    fc.assert(
      fc.property(anyRun, (drawn) => {
        const cool = choose(asRun(drawn)).candidates;
        const hot = choose(asRun({ ...drawn, ambientC: drawn.ambientC + 15 })).candidates;
        return hot.every(({ at }, i) => {
          const before = cool[i]?.at;
          return (
            before !== undefined &&
            at.heatA <= before.heatA &&
            (at.inch?.allowedA ?? 0) <= (before.inch?.allowedA ?? 0) &&
            (at.metric?.allowedA ?? 0) <= (before.metric?.allowedA ?? 0)
          );
        });
      }),
      { numRuns: 40 },
    );
  });
  test('the chosen size is the smallest that passes', () => {
    fc.assert(
      fc.property(anyRun, (drawn) => {
        const { candidates, smallest } = choose(asRun(drawn));
        return candidates
          .slice(0, smallest ? candidates.indexOf(smallest) : undefined)
          .every(({ state }) => state === 'fails');
      }),
      { numRuns: 40 },
    );
  });
});
