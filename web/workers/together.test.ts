import { beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import loadHighs from 'highs';
import type { Solve } from '../../core/cutting/cutModel.ts';
import { cases, isThereTime } from '../../core/lib/casesFixture.ts';
import { readJobFile } from '../../core/model/file.ts';
import { type Job, jobSchema } from '../../core/model/job.ts';
import { type Sizing, USUAL_SIZING } from '../../core/model/system.ts';
import { areaMm2 } from '../../core/model/tables/size.ts';
import { rememberDuty } from '../../core/sizing/rememberDuty.ts';
import { useOf } from '../../core/system/allowed.ts';
import { withSystem } from '../../core/system/edits.ts';
import { inStates, jobOf, placeId, SHOP, stiff, tagOf, withFacts } from '../../core/system/systemFixture.ts';
import { systemWork } from '../../core/systemWork.ts';
import { workUp } from '../../core/workup.ts';
import { TOTAL_KEYS, togetherFindings, totalFinding, totalOf } from '../../core/together/report.ts';
import { chooseTogether, takeTogether } from '../../core/together/together.ts';
import { tell } from '../../core/words/message.ts';
import { solveWith } from './highsSolve.ts';

let solve: Solve;
beforeAll(async () => {
  solve = solveWith(await loadHighs());
});
const followDuty = rememberDuty();
/** The tool case asks nothing here: what it has is a matter of its own. */
const chosen = (job: Job, sizing: Partial<Sizing> = {}) => {
  const worked = chooseTogether({
    ...{ job, shop: SHOP, solve, followDuty },
    sizing: { ...USUAL_SIZING, ends: false, ...sizing },
  });
  if (!worked) throw new Error('stopped');
  return worked;
};
const taken = (job: Job, sizing: Partial<Sizing> = {}): Job => {
  const { together } = chosen(job, sizing);
  expect(together.together).not.toBeNull();
  return takeTogether(job, together.rows, together.fuses);
};
const mm2Of = (job: Job, id: string): number => {
  const size = job.cables.find((cable) => cable.id === id)?.gauge.size;
  return size ? areaMm2(size) : 0;
};
const worstUse = (job: Job): number => {
  const { view } = systemWork(job, SHOP, followDuty);
  return Math.max(...view.drops.map((drop) => useOf(view, drop)));
};

/** A bank, a bus and a bar, and loads on them: each its amps and how far off it is. */
const feeder = (loads: readonly { readonly amps: number; readonly metres: number }[], metres = 2): Job =>
  stiff(
    jobOf(
      [
        `Bank + · fuse 300 · Bus +, ${metres} m`,
        ...loads.map((load, i) => `Bus + · fuse 150 · Load${i} ${load.amps} A · Bar −, ${2 * load.metres} m`),
        `Bar − · Bank −, ${metres} m`,
      ],
      '',
    ),
  );
const feeders = fc
  .record({
    loads: fc.array(
      fc.record({
        amps: fc.integer({ min: 5, max: 90 }),
        metres: fc.integer({ min: 10, max: 90 }).map((n) => n / 10),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    metres: fc.integer({ min: 5, max: 50 }).map((n) => n / 10),
  })
  .map(({ loads, metres }) => feeder(loads, metres));

describe('any feeder with its loads', () => {
  test('gets sizes that keep every drop once they are in, cost no more than each by itself, and stay when asked again', () => {
    fc.assert(
      fc.property(feeders, (job) => {
        const { together } = chosen(job);
        if (!together.together) {
          expect(together.inTheWay).not.toBeNull();
          return;
        }
        expect(together.outcome).toBe('least');
        if (together.isAloneEnough)
          expect(together.together.cost).toBeLessThanOrEqual(together.alone.cost + 1e-6);
        expect(together.bound).toBeLessThanOrEqual(together.together.cost + 1e-6);
        const after = takeTogether(job, together.rows, together.fuses);
        expect(() => jobSchema.parse(after)).not.toThrow();
        expect(worstUse(after)).toBeLessThanOrEqual(1 + 1e-6);
        expect(chosen(after).together.together?.cost).toBeCloseTo(together.together.cost, 6);
      }),
      { numRuns: cases(12) },
    );
  });

  test('never costs more where it may lose more, and the trade says the same', () => {
    fc.assert(
      fc.property(feeders, fc.integer({ min: 110, max: 200 }), (job, dropPercent) => {
        const { together, tradeAt } = chosen(job);
        if (!together.together) return;
        const eased = tradeAt(dropPercent).totals;
        expect(eased?.cost).toBeLessThanOrEqual(together.together.cost + 1e-6);
        expect(tradeAt(100).totals?.cost).toBeCloseTo(together.together.cost, 6);
      }),
      { numRuns: cases(8) },
    );
  });
});

const two = feeder([
  { amps: 60, metres: 4 },
  { amps: 20, metres: 2 },
]);

describe('what is asked of the sizes', () => {
  test('a size chosen by hand stays until it is asked for, that of a begun cable always', () => {
    const id = tagOf(two, 'Bar −', 'Bank −');
    const at95 = (part: object = {}): Job => ({
      ...two,
      cables: two.cables.map((cable) =>
        cable.id === id
          ? {
              ...cable,
              ...part,
              gauge: { ...cable.gauge, size: { system: 'metric' as const, name: '95' as const } },
            }
          : cable,
      ),
    });
    const rowOf = (job: Job, sizing: Partial<Sizing>) =>
      chosen(job, sizing).together.rows.find(({ cableId }) => cableId === id);
    expect(rowOf(at95(), {})).toMatchObject({ stays: 'by hand', together: { name: '95' } });
    expect(rowOf(at95(), { byHand: true })?.together?.name).not.toBe('95');
    const begun = at95({ done: [{ step: 'cut', at: '2026-11-01T10:00:00Z', by: 'A' }] });
    expect(rowOf(begun, { byHand: true })).toMatchObject({ stays: 'begun', together: { name: '95' } });
    const untouched = takeTogether(begun, [{ cableId: id, together: { system: 'metric', name: '16' } }], []);
    expect(mm2Of(untouched, id)).toBe(95);
  });

  test('out and back get the same size, and few sizes are no more than that', () => {
    const job = taken(two, { alike: true, mostSizes: 2 });
    expect(mm2Of(job, tagOf(two, 'Bar −', 'Bank −'))).toBe(mm2Of(job, tagOf(two, 'Fuse F1', 'Bus +')));
    expect(mm2Of(job, tagOf(two, 'Load0 −', 'Bar −'))).toBe(mm2Of(job, tagOf(two, 'Fuse F2', 'Load0 +')));
    expect(new Set(job.cables.map(({ id }) => mm2Of(job, id))).size).toBeLessThanOrEqual(2);
    expect(worstUse(job)).toBeLessThanOrEqual(1);
  });

  test('fewer sizes than those that stay: said to be in the way, and nothing is chosen', () => {
    const stays = jobOf(['Bank + · Bus +, 1 m', 'Bus + · Lamp 5 A · Bank −, 2 m'], '');
    const mixed: Job = {
      ...stiff(stays),
      cables: stays.cables.map((cable, i) => ({
        ...cable,
        gauge:
          i < 2 ? { ...cable.gauge, size: { system: 'metric', name: i === 0 ? '50' : '35' } } : cable.gauge,
      })),
    };
    const { together } = chosen(mixed, { mostSizes: 1 });
    expect(together).toMatchObject({
      outcome: 'none',
      together: null,
      inTheWay: { isByRule: true, sizesThatStay: 2 },
    });
    const [first] = togetherFindings(together, mixed, SHOP, followDuty);
    expect(first).toMatchObject({ topic: 'sizes-together', state: 'fails' });
    expect(tell(first?.because ?? '')).toContain('those that stay have 2');
  });

  test('a weight that all cables stay under costs what it says; one under the lightest says from what drop on', () => {
    const years: Partial<Sizing> = { least: 'years', years: 20, pricePerKwh: 2 };
    const [state] = two.system?.states ?? [];
    const long: Job = {
      ...two,
      ...(two.system && state && { system: { ...two.system, states: [{ ...state, hoursPerYear: 4000 }] } }),
    };
    const free = chosen(long, years).together;
    const heavy = free.together?.massKg ?? 0;
    const light = chosen(long, { least: 'weight' }).together.together?.massKg ?? 0;
    expect(light).toBeLessThan(heavy * 0.9);
    expect(free.weight).toBeNull();

    const mostKg = (heavy + light) / 2;
    const { together } = chosen(long, { ...years, mostKg });
    expect(together.together?.massKg).toBeLessThanOrEqual(mostKg);
    expect(together.weight?.without?.massKg).toBeCloseTo(heavy, 1);
    const more = (together.together?.cost ?? 0) - (together.weight?.without?.cost ?? 0);
    expect(more).toBeGreaterThan(0);
    const weightOf = (all: readonly { topic: string }[]) => all.find(({ topic }) => topic === 'weight-limit');
    expect(weightOf(togetherFindings(together, long, SHOP, followDuty))).toMatchObject({ state: 'holds' });

    const none = chosen(long, { mostKg: light * 0.97 }).together;
    expect(none.outcome).toBe('none');
    expect(none.inTheWay?.leastKg).toBeCloseTo(light, 1);
    const eased = none.weight?.metAtDropPercent ?? 0;
    expect(eased).toBeGreaterThan(100);
    const met = chosen(long, { mostKg: light * 0.97, dropPercent: eased }).together;
    expect(met.together?.massKg).toBeLessThanOrEqual(light * 0.97);
    const tooHeavy = weightOf(togetherFindings(none, long, SHOP, followDuty));
    expect(tooHeavy).toMatchObject({ state: 'fails' });
  });

  test('losses over the years make copper where current runs for hours', () => {
    const held = withSystem(two, (system) => ({
      ...system,
      states: system.states.map((state) => ({ ...state, hoursPerYear: 6000 })),
    }));
    const money = chosen(held, { least: 'money' }).together.together;
    const years = chosen(held, { least: 'years', years: 20, pricePerKwh: 0.4 }).together.together;
    expect(years?.copperMm2M).toBeGreaterThan(money?.copperMm2M ?? Infinity);
    expect(years?.kWhPerYear).toBeLessThan(money?.kWhPerYear ?? 0);
  });

  test('each total opens to its formula, its cables and the three ways', () => {
    const { together } = chosen(two);
    const { view } = systemWork(two, SHOP, followDuty);
    for (const key of TOTAL_KEYS) {
      const { value, work } = totalFinding(key, together, view);
      expect(value).toBe(totalOf(key, together.together ?? together.now));
      expect([tell(work.formula), tell(work.source)]).not.toContain('');
      expect(work.substituted.length).toBeGreaterThanOrEqual(3);
    }
    const copper = totalFinding('copper', together, view).work.substituted.map(tell);
    const summed = two.cables.map(({ id, tag, run, gauge }) => {
      const row = together.rows.find(({ cableId }) => cableId === id);
      const metres = ((run.lengthMm + run.loopMm) / 1000) * (gauge.parallel ?? 1);
      expect(copper.some((line) => line.startsWith(`${tag}: `) && line.includes(metres.toFixed(2)))).toBe(
        true,
      );
      return row?.together ? areaMm2(row.together) * metres : Number.NaN;
    });
    expect(together.together?.copperMm2M).toBeCloseTo(
      summed.reduce((sum, one) => sum + one, 0),
      6,
    );
  });

  test('a fuse proposed carries every state, and what is behind it may then be thinner', () => {
    // With little asked of the drop: a smaller fuse also has more ohms.
    const eased = ['Load0', 'Load1'].reduce((job, name) => withFacts(job, name, { dropPercent: 10 }), two);
    const kept = chosen(eased).together;
    const proposed = chosen(eased, { fuses: true }).together;
    const places = new Map(
      proposed.fuses.map(({ guard, ratingA }) => [guard.kind === 'place' ? guard.place.name : '', ratingA]),
    );
    expect(places.get('Fuse F2')).toBe(80);
    expect(places.get('Fuse F3')).toBe(30);
    expect(proposed.together?.copperMm2M).toBeLessThan(kept.together?.copperMm2M ?? 0);
    const job = takeTogether(eased, proposed.rows, proposed.fuses);
    const states = togetherFindings(proposed, job, SHOP, followDuty).filter(({ topic }) =>
      ['fuse-carries', 'under-fuse', 'load-drop'].includes(topic),
    );
    expect(states.length).toBeGreaterThan(5);
    expect(states.filter(({ state }) => state === 'fails')).toEqual([]);
  });

  test('a cable whose drop is typed on it keeps that drop, whatever the system knows', () => {
    const id = tagOf(two, 'Bar −', 'Bank −');
    const typed: Job = {
      ...two,
      cables: two.cables.map((cable) =>
        cable.id === id
          ? {
              ...cable,
              run: {
                ...cable.run,
                fromSystem: [],
                load: { kind: 'amps', amps: 80 },
                lengthMm: 9000,
                dropPercent: 1.5,
                return: { kind: 'none' },
              },
            }
          : cable,
      ),
    };
    const job = taken(typed);
    const work = workUp(job, SHOP).cables.find(({ cableId }) => cableId === id);
    const drop = work?.findings.find(({ topic }) => topic === 'drop');
    expect(drop?.use).toBeLessThanOrEqual(1);
    expect(drop?.use).toBeGreaterThan(0.5);
    const row = chosen(typed).together.rows.find(({ cableId }) => cableId === id);
    expect(tell(row?.because ?? '')).toBe('by the drop typed on it');
  });

  test('a load that no size can feed is named with what it would need', () => {
    const far = feeder([{ amps: 90, metres: 60 }]);
    const { together } = chosen(far);
    expect(together.outcome).toBe('none');
    const [load] = together.inTheWay?.loads ?? [];
    expect(load?.loadId).toBe(placeId(far, 'Load0'));
    expect(load?.neededPercent).toBeGreaterThan(load?.allowedPercent ?? Infinity);
    // Allowed just that, it can be.
    const eased = withFacts(far, 'Load0', { dropPercent: (load?.neededPercent ?? 0) * 1.001 });
    expect(chosen(eased).together.outcome).toBe('least');
  });

  test('loads that cannot run together whatever the copper are said to', () => {
    const weak = withFacts(feeder([]), 'Bank', { source: { kind: 'typed', milliohm: 400 } });
    const job = inStates(jobOfInverter(weak), [{ id: 'Full', name: 'Full' }]);
    const { together } = chosen(job);
    expect(together.inTheWay?.collapsed).toEqual(['Full']);
    expect(together.together).toBeNull();
  });
});

/** An inverter of 3 kW put on a feeder. */
const jobOfInverter = (job: Job): Job => {
  const whole = jobOf(['Bank + · fuse 300 · Inverter 3000 W · Bank −, 3 m'], '');
  return withFacts(whole, 'Bank', job.system?.places.find(({ name }) => name === 'Bank') ?? {});
};

test.each(isThereTime ? ['teasel', 'marrow', 'hut'] : ['marrow'])(
  'the demo job %s: proved, at once, and taken in one step',
  (name) => {
    const file = readJobFile(readFileSync(`demo/${name}.json`, 'utf8'));
    if (!file.ok) throw new Error(file.sentence);
    const { job, shop } = file.value;
    const sizing = { ...USUAL_SIZING, byHand: true, fuses: true };
    const worked = chooseTogether({ job, shop, solve, followDuty, sizing });
    if (!worked) throw new Error('stopped');
    expect(worked.together.outcome).toBe('least');
    const staying = worked.together.rows.filter(({ stays }) => stays).map(({ cableId }) => cableId);
    const burning = togetherFindings(worked.together, worked.job, shop, followDuty).filter(
      ({ topic, state, cables }) =>
        topic === 'under-fuse' && state === 'fails' && !cables.every((id) => staying.includes(id)),
    );
    expect(burning).toEqual([]);
    expect(worked.together.together?.cost).toBeLessThanOrEqual(worked.together.alone.cost + 1e-6);
    const after = takeTogether(job, worked.together.rows, worked.together.fuses);
    expect(after.cables.map(({ tag }) => tag)).toEqual(job.cables.map(({ tag }) => tag));
    expect(() => jobSchema.parse(after)).not.toThrow();
    // No chosen cable fails by what its bench says that did not fail before.
    const failing = (of: Job) =>
      workUp(of, shop).cables.flatMap(({ cableId, findings }) =>
        staying.includes(cableId)
          ? []
          : findings
              .filter(({ stage, state }) => stage === 'gauge' && state === 'fails')
              .map(({ topic, end }) => `${cableId} ${topic} ${end ?? ''}`),
      );
    expect(failing(job)).toEqual(expect.arrayContaining(failing(after)));
  },
);
