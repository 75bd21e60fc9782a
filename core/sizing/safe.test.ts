import { readFileSync } from 'node:fs';
import { inWords } from '../words/inWordsFixture.ts';
import { tell } from '../words/message.ts';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { areaMm2 } from '../model/tables/size.ts';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../model/cable.ts';
import type { Job } from '../model/job.ts';
import { emptyJob, newCable } from '../model/newCable.ts';
import type { Duty, Fuse, Run, Source } from '../model/run.ts';
import { parseQuantity } from '../model/units/quantity.ts';

import { workUp } from '../workup.ts';
import { followSteps } from './transient.ts';
import { thermalCable } from './loop.ts';
import { chargingVolts } from './source.ts';

const shop = genericShop();
const blank = newCable('c', 'C-1', shop);
const cableOf = (run: Partial<Run>, gauge: Partial<Cable['gauge']> = {}, id = 'c'): Cable => ({
  ...blank,
  id,
  tag: id,
  run: { ...blank.run, ...run },
  gauge: { kindId: 'tinned-marine', ...gauge },
});
const worked = (cables: readonly Cable[], own = shop): readonly CableWork[] =>
  workUp({ ...emptyJob('j', 'J'), cables: [...cables] }, own).cables;
const work = (run: Partial<Run>, gauge: Partial<Cable['gauge']> = {}, own = shop): CableWork =>
  worked([cableOf(run, gauge)], own)[0] as CableWork;
const copper = ({ choice }: CableWork) => areaMm2(choice.taken.at.size);
const found = ({ findings }: CableWork, id: string) => findings.find((own) => own.id === id);

const LINK: Fuse = { end: 'A', kind: 'link', ratingA: 200, place: 'near', distanceMm: 100 };
const amps = fc.double({ min: 1, max: 400, noNaN: true });
const lengthMm = fc.double({ min: 100, max: 12_000, noNaN: true });
const steps = fc.array(
  fc.record({
    amps: fc.double({ min: 0, max: 3000, noNaN: true }),
    seconds: fc.double({ min: 0.5, max: 900, noNaN: true }),
  }),
  { minLength: 1, maxLength: 4 },
);
const duty = fc.record({ steps, repeats: fc.boolean(), dropPercent: fc.constant(50) });
const runs = fc.record({
  load: amps.map((own) => ({ kind: 'amps' as const, amps: own })),
  lengthMm,
  ambientC: fc.integer({ min: -20, max: 60 }),
  placing: fc.constantFrom('free' as const, 'wall' as const, 'touching' as const, 'conduit2' as const),
});

describe('a duty', () => {
  test('that never settles fails, with when it passes the limit, and no size that it burns is proposed', () => {
    fc.assert(
      fc.property(runs, duty, (run, own: Duty) => {
        const made = work({ ...run, load: { kind: 'amps', amps: 0 }, dropPercent: 50, duty: own });
        const peak = found(made, 'duty-peak');
        const { duty: at } = made.choice.taken.at;
        if (at?.cycle?.runsAway || at?.cycle?.meltsAtS !== null) expect(peak?.state).toBe('fails');
        // Whatever is proposed stays under its limit, or the verdict says that it fails.
        if (made.choice.smallest) expect(made.choice.smallest.at.duty?.cycle?.runsAway).toBe(false);
        expect(peak?.state).not.toBe('unproved');
      }),
      { numRuns: cases(25) },
    );
  });
  test('is what the tables are held against: its effective amps when it repeats', () => {
    const made = work({
      load: { kind: 'amps', amps: 0 },
      duty: {
        steps: [
          { amps: 300, seconds: 60 },
          { amps: 100, seconds: 60 },
        ],
        repeats: true,
        dropPercent: 50,
      },
    });
    expect(found(made, 'amps-inch')?.value).toBeGreaterThanOrEqual(
      Math.sqrt((300 ** 2 + 100 ** 2) / 2) - 1e-9,
    );
  });
  test('nothing is proposed while it is still being worked out', async () => {
    const { workUpCable } = await import('../workup.ts');
    const { choice } = workUpCable(
      cableOf({ duty: { steps: [{ amps: 300, seconds: 60 }], repeats: true, dropPercent: 10 } }),
      shop,
      { followDuty: () => null },
    );
    expect(choice.smallest).toBeNull();
    expect(choice.findings.find(({ id }) => id === 'duty-peak')?.state).toBe('unproved');
  });
  test('that melts the copper says after how long, and never goes below its air', () => {
    const huge = work(
      {
        load: { kind: 'amps', amps: 0 },
        duty: { steps: [{ amps: 15_000, seconds: 0.5 }], repeats: false, dropPercent: 50 },
      },
      { size: { system: 'metric', name: '10' } },
    );
    expect(inWords(found(huge, 'duty-peak'))).toMatchObject({
      state: 'fails',
      because: expect.stringMatching(/melts the copper after 0\.\d+/),
    });
    const kind = shop.cableKinds[0];
    if (!kind) throw new Error('no kind');
    fc.assert(
      fc.property(
        fc.constantFrom(...kind.sizes),
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.integer({ min: -40, max: 80 }),
        (size, currentA, ambientC) => {
          const samples = followSteps(
            thermalCable(kind, size),
            { ambientC, sunWPerM2: 0 },
            [{ currentA, seconds: 40 }],
            { conductorC: ambientC, currentA: 0 },
          );
          expect(Math.min(...samples.map(({ conductorC }) => conductorC))).toBeGreaterThanOrEqual(
            ambientC - 1e-6,
          );
          expect(samples.every(({ conductorC }) => Number.isFinite(conductorC))).toBe(true);
        },
      ),
      { numRuns: cases(60) },
    );
  });
});

describe('a worse place', () => {
  const fused = fc.option(
    fc.constantFrom(80, 150, 200, 300).map((ratingA): Fuse => ({ ...LINK, ratingA })),
    { nil: undefined },
  );
  test('never proposes a thinner cable', () => {
    fc.assert(
      fc.property(
        runs,
        fused,
        fc.option(steps, { nil: undefined }),
        fc.constantFrom('air', 'engine', 'sun', 'zone'),
        (run, fuse, own, how) => {
          const base: Partial<Run> = {
            ...run,
            dropPercent: 10,
            source: { kind: 'typed', milliohm: 8 },
            fuses: fuse ? [fuse] : [],
            ...(own && { duty: { steps: own, repeats: false, dropPercent: 50 } }),
          };
          const worse: Partial<Run> = {
            ...base,
            ...(how === 'air' && { ambientC: run.ambientC + 15 }),
            ...(how === 'engine' && { engineSpace: true }),
            ...(how === 'sun' && { sun: true }),
            ...(how === 'zone' && {
              way: {
                holes: [],
                rubs: [],
                zones: [{ what: 'box', fromMm: 0, toMm: 100, ambientC: 68, engineSpace: true, sun: false }],
              },
            }),
          };
          expect(copper(work(worse))).toBeGreaterThanOrEqual(copper(work(base)));
        },
      ),
      { numRuns: cases(60) },
    );
  });
  test('each stretch is judged by its own air and sun: the worse of the two decides, not both together', () => {
    const zone = { fromMm: 0, toMm: 1000 };
    const engine = { ...zone, what: 'engine box', ambientC: 68, engineSpace: true, sun: false };
    const deck = { ...zone, what: 'deck', ambientC: 35, engineSpace: false, sun: true };
    const of = (zones: (typeof engine)[]) =>
      work({
        load: { kind: 'amps', amps: 100 },
        ambientC: 25,
        dropPercent: 10,
        lengthMm: 5000,
        way: { zones, holes: [], rubs: [] },
      });
    expect(copper(of([engine, deck]))).toBe(Math.max(copper(of([engine])), copper(of([deck]))));
    expect(of([engine, deck]).choice.taken.at.stretch).toBe('engine box');
  });
  test('the order of sizes in the file changes nothing', () => {
    fc.assert(
      fc.property(runs, fc.nat(100), (run, seed) => {
        const shuffled = {
          ...shop,
          cableKinds: shop.cableKinds.map((kind) => ({
            ...kind,
            sizes: kind.sizes.toSorted(
              (a, b) =>
                ((areaMm2(a.size) * 7919 + seed * 31) % 97) - ((areaMm2(b.size) * 7919 + seed * 31) % 97),
            ),
          })),
        };
        expect(copper(work(run, {}, shuffled))).toBe(copper(work(run)));
      }),
      { numRuns: cases(25) },
    );
  });
});

describe('cables of one circuit', () => {
  const circuit = { return: { kind: 'circuit' as const, name: 'X' } };
  test('in whatever order they stand, no figure of any of them changes', () => {
    const member = fc.record({
      lengthMm,
      fuses: fc
        .option(fc.constantFrom(80, 200, 300), { nil: undefined })
        .map((ratingA) => (ratingA ? [{ ...LINK, ratingA }] : [])),
      load: fc.constantFrom(60, 120).map((own) => ({ kind: 'amps' as const, amps: own })),
    });
    fc.assert(
      fc.property(fc.array(member, { minLength: 2, maxLength: 4 }), fc.nat(20), (members, turn) => {
        const cables = members.map((own, i) =>
          cableOf({ ...circuit, source: { kind: 'typed', milliohm: 6 }, ...own }, {}, `c${i}`),
        );
        const turned = cables.map((_, i) => cables[(i + turn) % cables.length] as Cable);
        const figures = (list: readonly CableWork[]) =>
          Object.fromEntries(
            list.map(({ cableId, findings, choice }) => [
              cableId,
              [
                choice.taken.at.size.name,
                ...findings.map(({ id, value, state }) => `${id} ${value?.toPrecision(9)} ${state}`).sort(),
              ],
            ]),
          );
        expect(figures(worked(turned))).toEqual(figures(worked(cables)));
      }),
      { numRuns: cases(25) },
    );
  });
  test('one that says 20 A where another says 200 A is sized for 200 A, and fails until they agree', () => {
    const of = (own: number, id: string) =>
      cableOf({ ...circuit, load: { kind: 'amps', amps: own } }, {}, id);
    const [out, back] = worked([of(200, 'out'), of(20, 'back')]);
    expect(copper(back as CableWork)).toBe(copper(out as CableWork));
    for (const made of [out, back]) expect(found(made as CableWork, 'circuit-amps')?.state).toBe('fails');
    const [alike] = worked([of(200, 'out'), of(200, 'back')]);
    expect(found(alike as CableWork, 'circuit-amps')).toBeUndefined();
  });
});

describe('a fuse', () => {
  test('drops volts whether it stands under Source or as a device, and is counted once', () => {
    fc.assert(
      fc.property(runs, fc.constantFrom(80, 200, 300), (run, ratingA) => {
        const drop = (more: Partial<Run>) =>
          work({ ...run, ...more }, { size: { system: 'metric', name: '70' } }).choice.taken.at.dropV;
        const fuse = { ...LINK, ratingA };
        const device = { kind: 'fuse' as const, ratingA };
        expect(drop({ fuses: [fuse] })).toBeCloseTo(drop({ devices: [device] }), 12);
        expect(drop({ fuses: [fuse], devices: [device] })).toBeCloseTo(drop({ devices: [device] }), 12);
        expect(drop({ fuses: [fuse] })).toBeGreaterThan(drop({}));
      }),
      { numRuns: cases(25) },
    );
  });
  test('a device without a rating drops more than nothing, and that is said', () => {
    const plain = work({ load: { kind: 'amps', amps: 64 } });
    const four = work(
      {
        load: { kind: 'amps', amps: 64 },
        devices: [{ kind: 'fuse' }, { kind: 'shunt' }, { kind: 'breaker' }, { kind: 'other' }],
      },
      { size: plain.choice.taken.at.size },
    );
    expect(four.choice.taken.at.dropV - plain.choice.taken.at.dropV).toBeCloseTo(64 * 0.004, 9);
    expect(tell(found(four, 'drop')?.work.assumes)).toContain(
      'devices without a rating: 4, each 1.0 mΩ, customary',
    );
  });
  test('over its voltage fails, whatever it is said to break', () => {
    for (const kind of ['strip', 'link', 'post-block'] as const)
      for (const breakingA of [undefined, 1e5])
        expect(
          found(
            work({
              systemV: 96,
              source: { kind: 'typed', milliohm: 20 },
              fuses: [{ ...LINK, kind, ...(breakingA && { breakingA }) }],
            }),
            'breaking.A',
          )?.state,
        ).toBe('fails');
  });
  test('a fault starts from the hottest that any load makes the conductor: a lighter duty improves nothing', () => {
    fc.assert(
      fc.property(runs, fc.double({ min: 1, max: 60, noNaN: true }), (run, light) => {
        const base: Partial<Run> = {
          ...run,
          load: { kind: 'amps', amps: 160 },
          source: { kind: 'typed', milliohm: 3.5 },
          fuses: [{ ...LINK, ratingA: 300 }],
        };
        const size = { size: { system: 'metric' as const, name: '35' as const } };
        const margin = (own: Partial<Run>) =>
          found(work(own, size), 'survives.A')?.margin ?? Number.NEGATIVE_INFINITY;
        const lighter = margin({
          ...base,
          duty: { steps: [{ amps: light, seconds: 60 }], repeats: true, dropPercent: 50 },
        });
        expect(lighter).toBeLessThanOrEqual(margin(base) + 1e-9);
      }),
      { numRuns: cases(25) },
    );
  });
  test('a surge shorter than it takes to melt is carried, and watched; a longer one fails, with one that would do', () => {
    const of = (seconds: number, fuse: Partial<Fuse> = {}) =>
      found(
        work({
          load: { kind: 'amps', amps: 90 },
          source: { kind: 'typed', milliohm: 4 },
          fuses: [{ ...LINK, ratingA: 150, ...fuse }],
          duty: { steps: [{ amps: 300, seconds }], repeats: false, dropPercent: 50 },
        }),
        'carries.A',
      );
    expect(of(0.5)?.state).toBe('watch');
    expect(inWords(of(1.5))).toMatchObject({
      state: 'fails',
      remedy: expect.stringMatching(/of \d+ A would do, and interrupts/),
    });
    expect(of(0.5, { kind: 'class-t' })?.state).toBe('unproved');
    const curve = [
      { multiple: 1.35, seconds: 1800 },
      { multiple: 2, seconds: 60 },
      { multiple: 4, seconds: 5 },
    ];
    expect(of(0.5, { kind: 'class-t', curve })?.state).toBe('watch');
  });
});

describe('the highest charging voltage', () => {
  const battery = (chemistry: 'agm' | 'lfp'): Source => ({ kind: 'battery', chemistry, ampHours: 100 });
  test.each<[string, Source, number, number]>([
    ['lead, 12 V', battery('agm'), 12, 14.58],
    ['lead, 48 V', battery('agm'), 48, 58.32],
    ['LFP called 12 V', battery('lfp'), 12, 14.6],
    ['LFP of 12.8 V', battery('lfp'), 12.8, 14.6],
    ['LFP called 48 V', battery('lfp'), 48, 58.4],
    ['LFP of 51.2 V', battery('lfp'), 51.2, 58.4],
    ['not known, 51.2 V', { kind: 'unknown' }, 51.2, 58.4],
    ['not known, 24 V', { kind: 'unknown' }, 24, 29.2],
    ['8 LFP cells', { kind: 'cells', cellMilliohm: 0.3, inSeries: 8, strings: 1 }, 25.6, 29.2],
  ])('%s', (_, source, nominalV, volts) =>
    expect(chargingVolts(source, nominalV).volts).toBeCloseTo(volts, 2),
  );
});

test('−40 °F is −40 °C', () => {
  for (const text of ['-40 F', '−40 °F', '-40°f']) {
    const read = parseQuantity(text, 'temperature', '°C');
    expect(read.ok && read.value).toBeCloseTo(-40, 9);
  }
  const warm = parseQuantity('14 F', 'temperature', '°C');
  expect(warm.ok && warm.value).toBeCloseTo(-10, 9);
});

test('the demos say what is true of them: no cable of theirs is proposed that burns', () => {
  for (const name of ['teasel', 'marrow', 'hut']) {
    const file = JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')) as { job: Job; shop: typeof shop };
    for (const made of workUp(file.job, file.shop).cables)
      expect([made.cableId, made.choice.taken.at.duty?.cycle?.runsAway ?? false]).toEqual([
        made.cableId,
        false,
      ]);
  }
});
