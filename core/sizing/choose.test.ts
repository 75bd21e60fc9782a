import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { areaMm2, sameSize } from '../model/tables/size.ts';
import type { Cable } from '../model/cable.ts';
import type { Run } from '../model/run.ts';
import { newCable } from '../model/newCable.ts';
import type { HousePractice } from '../model/housePractice.ts';
import { type Assessment, heldAmps } from './assess.ts';
import { type Candidate, chooseSize } from './choose.ts';
import { proposedFuse } from './fuse.ts';

const shop = genericShop();
const blank = newCable('c', 'C-1', shop);
const kindOf = (id: string) => shop.cableKinds.find((kind) => kind.id === id) ?? shop.cableKinds[0]!; // oxlint-disable-line typescript/no-non-null-assertion

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
  devices: [{ kind: 'other', milliohm: 0.22 }],
};
const chooseAt = (run: Partial<Run>, at: Assessment) => choose(run, { size: at.size });
const idsThatFail = (run: Partial<Run>, name: '50') =>
  choose(run, { size: { system: 'metric', name } })
    .findings.filter(({ id, state }) => state === 'fails' && !id.startsWith('suits'))
    .map(({ id }) => id);

describe('a thruster far forward', () => {
  test('takes the smallest size that passes everything', () => {
    // 70 mm² would do on its own, and no longer with the 300 A fuse that is to come.
    const { smallest, taken, isProposed, candidates } = choose(THRUSTER);
    expect(candidates.find(({ state }) => state !== 'fails')?.at.size.name).toBe('70');
    expect(smallest?.at.size.name).toBe('95');
    expect(taken).toBe(smallest);
    expect(isProposed).toBe(true);
  });
  test('one size down fails by drop, and by the tables', () =>
    expect(idsThatFail(THRUSTER, '50')).toEqual(['drop', 'amps-inch']));
  test('one size up is a visible step on top', () => {
    const { smallest, taken } = choose(THRUSTER, { oneSizeUp: true });
    expect(smallest?.at.size.name).toBe('95');
    expect(taken.at.size.name).toBe('120');
  });
  test('a size said on the cable stands, though it fails', () => {
    const { taken, isProposed } = choose(THRUSTER, { size: { system: 'metric', name: '35' } });
    expect(taken.at.size.name).toBe('35');
    expect(taken.state).toBe('fails');
    expect(isProposed).toBe(false);
  });
  test('a school switched off no longer binds, and is still shown', () => {
    const schools = { quick: false, inch: false, metric: true, heat: true };
    const { findings, schools: answers } = choose({ ...THRUSTER, dropPercent: 10 }, {}, { schools });
    expect(findings.some(({ id }) => id === 'amps-inch')).toBe(false);
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
    const { taken, findings } = choose(
      {
        systemV: 12,
        load: { kind: 'watts', watts: 30000, efficiencyPercent: 90, lowestV: 11 },
        lengthMm: 8000,
        return: { kind: 'cable', lengthMm: 8000 },
      },
      { size: { system: 'metric', name: '10' } },
    );
    expect(taken.at.currentA).toBeNull();
    expect(findings[0]).toMatchObject({ state: 'fails', value: null });
    expect(tell(findings[0]?.because)).toMatch(/No current through 10 mm² delivers this/);
  });
  test('air as hot as the termination leaves no amps, and says so', () => {
    const { smallest, findings } = choose({ load: { kind: 'amps', amps: 20 }, ambientC: 92 });
    expect(smallest).toBeNull();
    expect(tell(findings.find(({ id }) => id === 'amps-metric')?.because)).toBe(
      'Too hot here: this cable has no rating left.',
    );
  });
  test('amps kept back by house practice ask for more copper', () => {
    const run: Partial<Run> = { load: { kind: 'amps', amps: 200 }, lengthMm: 500 };
    const free = choose(run).smallest?.at.copperMm2 ?? 0;
    expect(choose(run, {}, { ampsMarginPercent: 30 }).smallest?.at.copperMm2).toBeGreaterThan(free);
  });
});

describe('where a cable lies', () => {
  const amps = (run: Partial<Run>) =>
    choose({ load: { kind: 'amps', amps: 200 }, lengthMm: 500, starter: true, ...run }).smallest?.at
      .copperMm2 ?? Infinity;
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
    duty: { steps: [{ amps: 520, seconds: 12 }], repeats: false, dropPercent: 3.5 },
    lengthMm: 1980,
    return: { kind: 'chassis', milliohm: 0.6 },
  };
  test('has its own drop and its own end temperature', () => {
    const ids = choose(STARTER).findings.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['duty-drop', 'duty-peak']));
  });
  test('a chassis return is counted as its milliohms', () => {
    const { at } = choose(STARTER).taken;
    expect(at.spenders.find(({ label }) => tell(label) === 'chassis')?.ohm).toBeCloseTo(0.0006, 9);
    expect(at.joints).toBe(2);
  });
});

describe('conductors side by side', () => {
  test('share the amps and the resistance, and weigh and cost as many', () => {
    const one = choose(THRUSTER, { size: { system: 'metric', name: '35' } }).taken.at;
    const two = choose(THRUSTER, { size: { system: 'metric', name: '35' }, parallel: 2 }).taken.at;
    expect(two.dropPercent).toBeLessThan(one.dropPercent * 0.6);
    expect(two.settledC).toBeLessThan(one.settledC ?? 0);
    expect(two.massKg).toBeCloseTo(2 * one.massKg, 9);
  });
  test('two of a smaller size can do what one cannot', () => {
    expect(choose(THRUSTER, { parallel: 2 }).smallest?.at.copperMm2).toBeLessThan(70);
  });
});

describe('fault and fuse', () => {
  const FUSED: Partial<Run> = {
    ...THRUSTER,
    source: { kind: 'typed', milliohm: 4 },
    fuses: [
      {
        end: 'A',
        kind: 'class-t',
        ratingA: 300,
        place: 'battery-sheathed',
        distanceMm: 400,
        curve: [
          { multiple: 1.5, seconds: 200 },
          { multiple: 3, seconds: 4 },
          { multiple: 6, seconds: 0.1 },
          { multiple: 20, seconds: 0.01 },
        ],
      },
    ],
  };
  const found = (run: Partial<Run>, id: string, gauge: Partial<Cable['gauge']> = {}) =>
    choose(run, gauge).findings.find((finding) => finding.id === id);
  test('a fuse that fits breaks, clears in time, guards and carries', () => {
    const run = { ...FUSED, load: { kind: 'amps' as const, amps: 200 } };
    for (const id of ['breaking.A', 'survives.A', 'carries.A', 'fuse-place.A']) {
      expect(found(run, id)).toMatchObject({ state: 'holds' });
    }
  });
  test('a link of 2 kA on a bank of 7 kA cannot break it', () =>
    expect(
      found(
        { ...FUSED, fuses: [{ end: 'A', kind: 'link', ratingA: 300, place: 'near', distanceMm: 100 }] },
        'breaking.A',
      ),
    ).toMatchObject({ state: 'fails' }));
  test('over the allowed amps it guards against a short only, and needs a name', () => {
    const fuse = { ...(FUSED.fuses ?? [])[0], ratingA: 350 } as Run['fuses'][number];
    const size = { size: { system: 'metric', name: '70' } } as const;
    expect(found({ ...FUSED, fuses: [fuse] }, 'guards.A', size)).toMatchObject({ state: 'unproved' });
    const waiver = { at: '2026-11-20T10:00:00.000Z', by: 'R. Alder', why: 'guarded by the motor controller' };
    expect(found({ ...FUSED, fuses: [{ ...fuse, waiver }] }, 'guards.A', size)).toMatchObject({
      state: 'watch',
    });
    expect(found({ ...FUSED, fuses: [{ ...fuse, ratingA: 600, waiver }] }, 'guards.A', size)).toMatchObject({
      state: 'fails',
    });
  });
  test('too small for the load, it names the next rating', () => {
    const fuse = { ...(FUSED.fuses ?? [])[0], ratingA: 250 } as Run['fuses'][number];
    const finding = found({ ...FUSED, fuses: [fuse] }, 'carries.A');
    expect(inWords(finding)).toMatchObject({
      state: 'fails',
      remedy: 'A class T cartridge of 300 A would do, and interrupts 20\u2009000\u2009A.',
    });
  });
  test('an estimated source is watched, never simply held', () => {
    const run: Partial<Run> = { ...FUSED, source: { kind: 'battery', chemistry: 'agm', ampHours: 200 } };
    expect(found(run, 'breaking.A')).toMatchObject({ state: 'watch' });
  });
  test('a kind without a curve does not prove that the cable outlives a fault', () => {
    const fuse: Run['fuses'][number] = {
      end: 'A',
      kind: 'strip',
      ratingA: 300,
      place: 'near',
      distanceMm: 100,
    };
    expect(found({ ...FUSED, fuses: [fuse] }, 'survives.A')).toMatchObject({
      state: 'unproved',
      value: null,
    });
  });
  test('both ends live ask for a fuse at each', () => {
    expect(found({ ...FUSED, bothEndsLive: true }, 'both-ends')).toMatchObject({ state: 'fails' });
  });
  test('without a fuse, a starter cable says what a short would do', () => {
    const finding = found(
      { ...THRUSTER, source: { kind: 'cranking', crankingA: 800 }, starter: true },
      'short',
    );
    expect(finding).toMatchObject({ state: 'watch' });
    expect(tell(finding?.because)).toMatch(/nothing opens/);
    expect(found(THRUSTER, 'short')).toMatchObject({ state: 'unproved', value: null });
  });
  test('a size is proposed that its fuse guards', () => {
    const fuse = { ...(FUSED.fuses ?? [])[0], ratingA: 350 } as Run['fuses'][number];
    const { smallest, findings } = choose({ ...FUSED, fuses: [fuse] });
    expect(smallest?.at.copperMm2).toBeGreaterThan(70);
    expect(findings.find(({ id }) => id === 'guards.A')?.state).toBe('holds');
  });
  test('a missing fuse or source never makes a size wrong', () =>
    expect(choose(THRUSTER).smallest?.state).not.toBe('fails'));
});

describe('a cable kind and its place', () => {
  const suits = (kindId: string, meets: Run['meets']) =>
    choose({ meets }, { kindId }).findings.filter(
      ({ id, state }) => id.startsWith('suits') && state !== 'holds',
    );
  test('says why it does not suit', () => {
    expect(
      suits('battery', ['flexing', 'oil'])
        .map(({ because }) => tell(because))
        .join(' '),
    ).toMatch(/oil.*coarse strands/);
    expect(tell(suits('welding', ['wet'])[0]?.because)).toMatch(/plain copper corrodes/);
    expect(suits('tinned-marine', ['wet', 'oil'])).toEqual([]);
  });
  test('flexing asks for a wider bend, fine welding strands less', () => {
    const bend = (kindId: string, meets: Run['meets']) => {
      const { at } = choose({ meets }, { kindId }).taken;
      return at.bendMm / at.outerMm;
    };
    expect(bend('tinned-marine', [])).toBeCloseTo(6, 9);
    expect(bend('tinned-marine', ['flexing'])).toBeCloseTo(10, 9);
    expect(bend('welding', ['flexing'])).toBeCloseTo(4, 9);
  });
  test('a 60 V kind on a 96 V bank is refused', () =>
    expect(
      choose({ systemV: 96 }, { kindId: 'battery' }).findings.find(({ id }) => id === 'suits-volts'),
    ).toMatchObject({ state: 'fails' }));
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
        return all.slice(1).every((assessed, i) => {
          const before = all[i];
          return (
            before !== undefined &&
            areaMm2(assessed.size) > areaMm2(before.size) &&
            assessed.dropPercent <= before.dropPercent + 1e-9 &&
            (assessed.settledC ?? Infinity) <= (before.settledC ?? Infinity) + 1e-6 &&
            assessed.heatA >= before.heatA
          );
        });
      }),
      { numRuns: cases(40) },
    );
  });
  test('hotter air never allows more amps', () => {
    fc.assert(
      fc.property(anyRun, (drawn) => {
        const cool = choose(asRun(drawn)).candidates;
        const hot = choose(asRun({ ...drawn, ambientC: drawn.ambientC + 15 })).candidates;
        return hot.every(({ at: assessed }, i) => {
          const before = cool[i]?.at;
          return (
            before !== undefined &&
            assessed.heatA <= before.heatA &&
            (assessed.inch?.allowedA ?? 0) <= (before.inch?.allowedA ?? 0) &&
            (assessed.metric?.allowedA ?? 0) <= (before.metric?.allowedA ?? 0)
          );
        });
      }),
      { numRuns: cases(40) },
    );
  });
  test('a worse place never proposes a thinner cable, with the fuse that is to come', () => {
    const place = fc.record({
      hotter: fc.integer({ min: 0, max: 45 }),
      engineSpace: fc.boolean(),
      bundled: fc.integer({ min: 1, max: 7 }),
      times: fc.double({ min: 1, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(anyRun, place, (drawn, { hotter, engineSpace, bundled, times }) => {
        const own = asRun({ ...drawn, amps: drawn.amps * times });
        const worse = asRun({ ...drawn, amps: drawn.amps * times, ambientC: drawn.ambientC + hotter });
        const mm2 = (run: Partial<Run>) => choose(run).taken.at.copperMm2;
        expect(mm2({ ...worse, engineSpace, placing: 'bundle', bundled })).toBeGreaterThanOrEqual(
          mm2({ ...own, placing: 'bundle', bundled: 1 }),
        );
      }),
      { numRuns: cases(60) },
    );
  });
  test('the chosen size is the smallest that passes, and its fuse does not turn it over', () => {
    fc.assert(
      fc.property(anyRun, (drawn) => {
        const run = asRun(drawn);
        const { candidates, smallest } = choose(run);
        const fused = (at: Assessment) => {
          const whole = { ...blank.run, systemV: 24, ...run };
          return choose({ ...run, fuses: [proposedFuse(whole, heldAmps(at), 1.25)] });
        };
        const passes = ({ at }: Candidate) => {
          const { findings } = chooseAt(run, at);
          const withFuse = fused(at).candidates.find((own) => sameSize(own.at.size, at.size));
          return (
            findings.every(({ state }) => state !== 'fails') &&
            withFuse?.state !== 'fails' &&
            withFuse?.state !== 'unproved'
          );
        };
        const thinner = candidates.slice(0, smallest ? candidates.indexOf(smallest) : undefined);
        expect(thinner.filter(passes).map(({ at }) => at.size.name)).toEqual([]);
        if (smallest && passes(smallest)) {
          expect(fused(smallest.at).smallest?.at.size).toEqual(smallest.at.size);
        }
      }),
      { numRuns: cases(40) },
    );
  });
});
