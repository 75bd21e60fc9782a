import { readFileSync } from 'node:fs';
import { tell } from '../words/message.ts';
import { MILLIVOLT } from '../proof/proofFixture.ts';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import { readJobFile } from '../model/file.ts';
import type { Cable } from '../model/cable.ts';
import { newCable } from '../model/newCable.ts';
import type { Reading } from '../model/reading.ts';
import { CUSTOMARY_PRACTICE } from '../model/housePractice.ts';

import { workUpCable } from '../workup.ts';
import { allChecks, fitPlan, mayTick, standingTicks, withTick } from './fitChecks.ts';
import { dayAfter, monthsAfter } from '../model/units/days.ts';
import { dueSays, duesOf, fittedDay } from './service.ts';
import { supportPlan } from '../cutting/supports.ts';

const parsed = readJobFile(readFileSync('demo/hut.json', 'utf8'));
if (!parsed.ok) throw new Error(parsed.sentence);
const { job, shop } = parsed.value;
const cableOf = (tag: string): Cable => {
  const cable = job.cables.find((own) => own.tag === tag);
  if (!cable) throw new Error(`no ${tag}`);
  return cable;
};
let n = 0;
const reading = (at: string, rest: Record<string, unknown>): Reading =>
  ({ id: `x${(n += 1)}`, at: `${at}T10:00:00.000Z`, by: 'N. Sorrel', source: 'typed', ...rest }) as Reading;
const findings = (cable: Cable) => workUpCable(cable, shop).findings;
const state = (cable: Cable, id: string) => findings(cable).find((own) => own.id === id)?.state;
const bare = (cable: Cable): Cable => ({ ...cable, readings: [], fitted: [] });

describe('supports over a route', () => {
  test('one close behind each lug, the rest evenly between', () => {
    const plan = supportPlan(cableOf('HB-3'));
    expect(plan.atMm).toHaveLength(4);
    expect(plan.atMm[0]).toBe(150);
    expect(plan.atMm.at(-1)).toBe(1450);
    expect(plan.everyMm).toBeCloseTo(433.3, 1);
  });
  test('are never farther apart than asked, never outside the cable, whatever its length', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 30_000, noNaN: true }),
        fc.integer({ min: 20, max: 5000 }),
        fc.integer({ min: 0, max: 5000 }),
        (lengthMm, supportEveryMm, distanceMm) => {
          const base = cableOf('HB-3');
          const way = { zones: [], holes: [], rubs: [], supportEveryMm };
          const support = { distanceMm, flexes: false, vibrates: false };
          const plan = supportPlan({
            ...base,
            run: { ...base.run, lengthMm, way },
            ends: { ...base.ends, A: { ...base.ends.A, support } },
          });
          return (
            plan.everyMm <= Math.min(457, supportEveryMm) + 1e-6 &&
            plan.atMm.every((at) => at >= -1e-9 && at <= lengthMm + 1e-9)
          );
        },
      ),
    ));
});

describe('the checks while fitting', () => {
  const cable = bare(cableOf('HB-3'));
  const plan = fitPlan(cable, workUpCable(cable, shop));
  const ids = allChecks(plan).map(({ id }) => id);
  const ticked = (list: readonly string[], at = '2026-01-02T10:00:00.000Z') =>
    list.map((check) => ({ check, at, by: 'N. Sorrel' }));
  test('are each there once, and say this cable’s own figures', () => {
    expect(new Set(ids).size).toBe(ids.length);
    const words = allChecks(plan)
      .map(({ detail }) => tell(detail))
      .join(' ')
      .replaceAll('\u2009', ' ');
    expect(words).toContain('M8, 16.0 × 1.6 mm');
    expect(words).toContain('4, 433 mm apart');
    expect(words).toContain('capacitors');
  });
  test('making it live comes after the ends and the way, and in its order', () => {
    expect(mayTick(plan, [], 'washer.B', [])).toBeNull();
    expect(tell(mayTick(plan, [], 'live.isolated', []))).toMatch(/ends and the route/);
    const before = ids.filter((id) => !id.startsWith('live.'));
    expect(mayTick(plan, ticked(before), 'live.isolated', [])).toBeNull();
    expect(tell(mayTick(plan, ticked(before), 'live.fuse-in', []))).toMatch(/Isolated and tagged/);
    expect(mayTick(plan, ticked([...before, 'live.isolated']), 'live.tight', [])).toBeNull();
  });
  test('made live, in whatever order it is tried: only tight, proved or answered for, and not failing', () => {
    const [least, most] = [8, 12];
    const torque = (end: 'A' | 'B', newtonMetre: number, source: 'typed' | 'simulated'): Reading => ({
      id: `t${end}${newtonMetre}${source}`,
      at: '2026-01-01T10:00:00.000Z',
      by: 'N. Sorrel',
      source,
      check: 'torque',
      end,
      newtonMetre,
    });
    const act = fc.oneof(
      fc.record({ tick: fc.constantFrom(...ids) }),
      fc.record({
        torque: fc.constantFrom('A' as const, 'B' as const),
        newtonMetre: fc.constantFrom(1, least, 10, most, 90),
        source: fc.constantFrom('typed' as const, 'simulated' as const),
      }),
      fc.record({ waive: fc.nat(20) }),
      fc.record({ amps: fc.constantFrom(5, 5000) }),
    );
    const LIVE = ['live.negative-last', 'live.charge-up', 'live.fuse-in', 'live.no-load', 'live.small-load'];
    fc.assert(
      fc.property(fc.array(act, { maxLength: 60 }), fc.boolean(), (acts, withAllBefore) => {
        let own: Cable = {
          ...cable,
          fitted: withAllBefore ? ticked(ids.filter((id) => !LIVE.includes(id) && id !== 'live.tight')) : [],
        };
        for (const made of acts) {
          const work = workUpCable(own, shop);
          if ('torque' in made)
            own = { ...own, readings: [...own.readings, torque(made.torque, made.newtonMetre, made.source)] };
          else if ('amps' in made)
            own = { ...own, run: { ...own.run, load: { kind: 'amps', amps: made.amps } } };
          else if ('waive' in made) {
            const open = work.findings.filter((finding) => finding.state === 'unproved' && !finding.waived);
            const finding = open[made.waive % Math.max(1, open.length)];
            if (finding)
              own = {
                ...own,
                waivers: [
                  ...own.waivers,
                  {
                    id: `w${own.waivers.length}`,
                    at: '2026-01-01T11:00:00.000Z',
                    by: 'R. Pell',
                    finding: finding.id,
                    why: 'away',
                  },
                ],
              };
          } else {
            const now = fitPlan(own, work);
            const was = own.fitted.some(({ check }) => check === made.tick);
            if (!was && mayTick(now, own.fitted, made.tick, work.findings) !== null) continue;
            own = {
              ...own,
              fitted: withTick(now, own.fitted, {
                check: made.tick,
                at: '2026-01-02T10:00:00.000Z',
                by: 'N. Sorrel',
              }),
            };
            if (was || !LIVE.includes(made.tick)) continue;
            expect(work.verdict.state).not.toBe('fails');
            expect(work.verdict.state).not.toBe('unproved');
            for (const end of ['A', 'B'] as const) {
              const found = work.findings.find(({ id }) => id === `torque.${end}`);
              expect(found?.value).not.toBeNull();
              expect(['holds', 'watch']).toContain(found?.state);
            }
          }
        }
      }),
      { numRuns: cases(60) },
    );
  });
  test('hold only when every one is ticked; a rework takes them back', () => {
    const whole = { ...cable, fitted: ticked(ids) };
    expect(state(whole, 'fit-list')).toBe('holds');
    expect(state({ ...cable, fitted: ticked(ids.slice(1)) }, 'fit-list')).toBe('unproved');
    const reworked: Cable = {
      ...whole,
      reworks: [{ id: 'w', at: '2026-02-01T10:00:00.000Z', by: '', end: 'A', what: 'new lug' }],
    };
    expect(standingTicks(reworked)).toEqual([]);
    expect(state(reworked, 'fit-list')).toBe('unproved');
  });
  test('a starter says that it has no fuse; a rub that is not guarded is a danger', () => {
    const starter: Cable = {
      ...cable,
      run: {
        ...cable.run,
        starter: true,
        fuses: [],
        way: { zones: [], holes: [], rubs: [{ what: 'frame edge', atMm: 500, guarded: false }] },
      },
    };
    const { way } = fitPlan(starter, workUpCable(starter, shop));
    expect(way.find(({ id }) => id === 'fuse')).toMatchObject({ danger: true });
    expect(way.find(({ id }) => id === 'chafe')).toMatchObject({ danger: true });
  });
});

test('supports stand as planned and never bind; the finding opens to how the spacing came about', () => {
  const cable = bare(cableOf('HB-3'));
  const { findings } = workUpCable(cable, shop);
  const supports = findings.find(({ id }) => id === 'support-plan');
  // 1 600 mm less 150 at either end: 1 300 mm in three gaps.
  expect(supports).toMatchObject({ value: 1300 / 3, state: 'holds' });
  expect(supports?.close).toBeUndefined();
  expect(tell(supports?.because).replaceAll('\u2009', ' ')).toMatch(
    /^4 supports.*at most 457 mm apart is allowed/,
  );
  expect(supports?.work.substituted.map(tell).join(' ').replaceAll('\u2009', ' ')).toContain(
    '= 3, so 433 mm apart',
  );
});

describe('the first loaded run', () => {
  const cable = bare(cableOf('HB-3'));
  const AMPS = 50;
  const contact = (end: 'A' | 'B', millivolt: number) =>
    reading('2026-01-02', { ...MILLIVOLT, check: 'contact', end, millivolt, amps: AMPS });
  const drop = (millivolt: number, spanMm: number, end?: 'A' | 'B') =>
    reading('2026-01-02', {
      ...MILLIVOLT,
      check: 'drop',
      ...(end && { end }),
      millivolt,
      amps: AMPS,
      spanMm,
      copperC: 20,
    });
  const good = [contact('A', 1.2), contact('B', 1.2), drop(1.7, 30, 'A'), drop(1.7, 30, 'B'), drop(31, 800)];
  const withRun = (readings: Reading[]): Cable => ({ ...cable, readings });
  test('asks nothing before its first reading, and then what is missing is not proved', () => {
    expect(findings(cable).some(({ id }) => id === 'run-drop')).toBe(false);
    const one = withRun([contact('A', 1.2)]);
    expect(state(one, 'face-drop.A')).toBe('holds');
    expect(state(one, 'face-drop.B')).toBe('unproved');
    expect(tell(findings(one).find(({ id }) => id === 'run-drop')?.because)).toContain('contact B');
  });
  test('is scaled to the rated load and judged against copper and two sound faces', () => {
    const run = findings(withRun(good)).find(({ id }) => id === 'run-drop');
    expect(run?.state).toBe('holds');
    const rated = workUpCable(cable, shop).choice.taken.at.currentA ?? 0;
    const lengths = workUpCable(cable, shop).lengths;
    const barrels = 2 * (workUpCable(cable, shop).ends.A.lug?.barrelMm ?? 0);
    const plain = (31 / 800) * ((lengths?.cutMm ?? 0) - barrels - 60);
    expect(run?.value).toBeCloseTo(((1.2 + 1.2 + 1.7 + 1.7 + plain) / AMPS) * rated, 3);
  });
  test('paint under one palm fails that face and the whole', () => {
    const painted = withRun([contact('B', 240), ...good.filter((own) => own.id !== good[1]?.id)]);
    expect(state(painted, 'face-drop.B')).toBe('fails');
    expect(state(painted, 'run-drop')).toBe('fails');
    expect(tell(findings(painted).find(({ id }) => id === 'face-drop.B')?.because)).toMatch(/W for nothing/);
  });
  test('simulated readings prove none of it', () => {
    const simulated = withRun(good.map((own): Reading => ({ ...own, source: 'simulated' })));
    expect(state(simulated, 'face-drop.A')).toBe('unproved');
    expect(state(simulated, 'run-drop')).toBe('unproved');
  });
  test('is no part of the verdict on the cable', () => {
    const worse = withRun([contact('A', 900)]);
    expect(workUpCable(worse, shop).verdict.state).toBe(workUpCable(cable, shop).verdict.state);
  });
});

describe('when a fitted cable is due', () => {
  const practice = CUSTOMARY_PRACTICE;
  const torque = (at: string, end: 'A' | 'B') => reading(at, { check: 'torque', end, newtonMetre: 12 });
  const fresh = newCable('c', 'C-1', shop);
  const fitted: Cable = { ...fresh, readings: [torque('2026-03-01', 'A'), torque('2026-03-04', 'B')] };
  test('for nothing before both studs are tight', () => {
    expect(duesOf(fresh, practice)).toEqual([]);
    expect(fittedDay({ ...fresh, readings: [torque('2026-03-01', 'A')] })).toBeNull();
  });
  test('to be tightened after its first period, and looked at every year', () => {
    expect(fittedDay(fitted)).toBe('2026-03-04');
    expect(duesOf(fitted, practice)).toMatchObject([
      { what: 'tighten again', by: '2026-04-03', since: '2026-03-04' },
      { what: 'look again', by: '2027-03-04', since: '2026-03-04' },
    ]);
  });
  test('a second tightening counts once it had time to settle', () => {
    const soon = [...fitted.readings, torque('2026-03-05', 'A'), torque('2026-03-05', 'B')];
    expect(duesOf({ ...fitted, readings: soon }, practice)[0]?.what).toBe('tighten again');
    const later = [...fitted.readings, torque('2026-04-02', 'A'), torque('2026-04-02', 'B')];
    expect(duesOf({ ...fitted, readings: later }, practice).map(({ what }) => what)).toEqual(['look again']);
  });
  test('a look that was fine puts the next one off; one that was not does not', () => {
    const looked = (fine: boolean): Cable => ({
      ...fitted,
      readings: [...fitted.readings, reading('2027-02-20', { check: 'inspection', fine, found: '' })],
    });
    expect(duesOf(looked(true), practice).at(-1)).toMatchObject({ what: 'look again', by: '2028-02-20' });
    expect(duesOf(looked(false), practice).at(-1)).toMatchObject({ by: '2027-03-04' });
  });
  test('a get-you-home repair by its own day', () => {
    const temporary = { fitted: '2026-10-02', replaceBy: '2026-11-16' };
    const home: Cable = { ...fresh, ends: { ...fresh.ends, A: { ...fresh.ends.A, temporary } } };
    expect(duesOf(home, practice)).toMatchObject([
      { what: 'replace', by: '2026-11-16', since: '2026-10-02' },
    ]);
  });
  test('each day says in words what is due, and opens to how it came about', () => {
    const [tighten, look] = duesOf(fitted, practice);
    expect([tighten, look].map((due) => due && dueSays(due)).map(tell)).toEqual([
      'retighten both studs',
      'inspect it, and tighten to torque',
    ]);
    expect(tighten?.work.substituted.map(tell)).toEqual(['2026-03-04 + 30 days = 2026-04-03']);
    expect(look?.work.substituted.map(tell)).toEqual([
      'fitted 2026-03-04',
      '2026-03-04 + 12 months = 2027-03-04',
    ]);
    const temporary = { fitted: '2026-10-02', replaceBy: '2026-11-16' };
    const home: Cable = { ...fresh, ends: { ...fresh.ends, B: { ...fresh.ends.B, temporary } } };
    expect(tell(duesOf(home, practice)[0]?.work.substituted[0])).toBe(
      'end B: fitted 2026-10-02, to be replaced by 2026-11-16',
    );
  });
  test('days and months are those of the calendar', () => {
    expect(dayAfter('2026-12-20', 30)).toBe('2027-01-19');
    expect(dayAfter('2026-03-28', 2)).toBe('2026-03-30');
    expect(monthsAfter('2027-01-31', 1)).toBe('2027-02-28');
    expect(monthsAfter('2024-02-29', 12)).toBe('2025-02-28');
  });
});
