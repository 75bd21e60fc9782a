import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readJobFile } from '../model/file.ts';
import { type Job, jobSchema } from '../model/job.ts';
import { systemWork } from '../systemWork.ts';
import { workUp } from '../workup.ts';
import { tell } from '../words/message.ts';
import { parseChain } from './chain.ts';
import { cablesOn, withInputs, withoutPlace, withPlace } from './edits.ts';
import { withPlaces, splitSign } from './places.ts';
import { found, inStates, jobOf, placeId, SHOP, solvedOf, stiff, tagOf, withFacts } from './systemFixture.ts';
import { STARTING_POINTS, withStart } from './starts.ts';
import { emptyJob } from '../model/newCable.ts';

const opened = (path: string) => {
  const file = readJobFile(readFileSync(path, 'utf8'));
  if (!file.ok) throw new Error(file.sentence);
  return file.value;
};
const of = (findings: ReturnType<typeof found>, topic: string, id?: string) =>
  findings.filter(
    (own) => own.topic === topic && (id === undefined || own.places.includes(id) || own.cables.includes(id)),
  );

describe('protection', () => {
  const behind = jobOf(
    [
      'Bank + · fuse 250 · Bus +, 0.5 m',
      'Bus + · Panel 12 A · Bar −, 3 m',
      'Bus + · fuse 60 · Lamp 20 A · Bar −, 2 m',
      'Bar − · Bank −, 0.5 m',
    ],
    '16',
  );
  const job = stiff(behind);

  test('a thin cable behind a thick fuse is found, out and back; one behind a fuse of its own is not', () => {
    const under = of(found(job), 'under-fuse');
    const state = (from: string, to: string) =>
      under.find(({ cables }) => cables[0] === tagOf(job, from, to))?.state;
    expect(state('Bus +', 'Panel +')).toBe('fails');
    expect(state('Panel −', 'Bar −')).toBe('fails');
    expect(state('Fuse F2', 'Lamp +')).toBe('holds');
    expect(state('Lamp −', 'Bar −')).toBe('holds');
  });

  test('the first fuse stands within reach of the battery, or it is said how far it is', () => {
    const near = of(found(job), 'first-fuse', placeId(job, 'Fuse F1'))[0];
    expect(near).toMatchObject({ state: 'holds', value: 150 });
    const far = {
      ...job,
      cables: job.cables.map((cable) =>
        cable.ends.B.at === 'Fuse F1' ? { ...cable, run: { ...cable.run, lengthMm: 900 } } : cable,
      ),
    };
    expect(of(found(far), 'first-fuse', placeId(job, 'Fuse F1'))[0]).toMatchObject({
      state: 'fails',
      value: 900,
    });
    const sheathed = withFacts(far, 'Fuse F1', { place: 'battery-sheathed' });
    expect(of(found(sheathed), 'first-fuse', placeId(job, 'Fuse F1'))[0]).toMatchObject({
      state: 'holds',
      value: 900,
    });
  });

  test('a charger’s cable without a fuse at the battery’s end is found, whatever fuse is at the charger’s', () => {
    const bare = stiff(jobOf(['Bank + · Solar controller 40 A · Bank −, 3 m']));
    const [cable] = bare.cables;
    expect(of(found(bare), 'unfused').map(({ cables, state }) => [cables[0], state])).toEqual([
      [cable?.id, 'fails'],
    ]);
    const atCharger = {
      ...bare,
      cables: bare.cables.map((own, i) =>
        i === 0
          ? {
              ...own,
              run: {
                ...own.run,
                fromSystem: [],
                fuses: [
                  {
                    end: 'B' as const,
                    kind: 'class-t' as const,
                    ratingA: 60,
                    place: 'near' as const,
                    distanceMm: 100,
                  },
                ],
              },
            }
          : own,
      ),
    };
    // The fuse at its far end guards what is behind that, not the three metres before it.
    expect(of(found(atCharger), 'first-fuse')[0]).toMatchObject({ state: 'fails', value: 2900 });
    const atBattery = stiff(jobOf(['Bank + · fuse 60 · Solar controller 40 A · Bank −, 3 m']));
    expect(of(found(atBattery), 'unfused')).toEqual([]);
    expect(of(found(atBattery), 'under-fuse').every(({ state }) => state === 'holds')).toBe(true);
  });

  test('between two banks, a fuse guards from one of them and not from the other', () => {
    const two = stiff(
      jobOf(['House bank + · fuse 80 · Start battery +, 4 m', 'House bank − · Start battery −, 4 m']),
    );
    const run = tagOf(two, 'Fuse F1', 'Start battery +');
    const own = of(found(two), 'first-fuse');
    const from = (name: string) => own.find(({ places }) => places[0] === placeId(two, name));
    expect(from('House bank')).toMatchObject({ state: 'holds', value: 150 });
    expect(from('Start battery')).toMatchObject({ state: 'fails', value: 3850 });
    expect(solvedOf(two).guards.find(({ cableId }) => cableId === run)?.guard).toBeNull();
    const both = stiff(
      jobOf([
        'House bank + · fuse 80 · fuse 80 · Start battery +, 4 m',
        'House bank − · Start battery −, 4 m',
      ]),
    );
    expect(
      solvedOf(both).guards.find(({ cableId }) => cableId === tagOf(both, 'Fuse F1', 'Fuse F2'))?.guard,
    ).not.toBeNull();
  });

  test('in a ring the way that is guarded least counts', () => {
    const ring = (second: number) =>
      stiff(
        jobOf(
          [
            'Bank + · fuse 60 · Ring · Lamp 20 A · Bank −, 2 m'.replace('Ring', 'bar'),
            `Bank + · fuse ${second} · Bar 1, 2 m`,
          ],
          '10',
        ),
      );
    const lamp = (job: ReturnType<typeof ring>) =>
      of(found(job), 'under-fuse', tagOf(job, 'Bar 1', 'Lamp +'))[0];
    expect(lamp(ring(50))).toMatchObject({ value: 60 });
    expect(lamp(ring(200))).toMatchObject({ value: 200, state: 'fails' });
  });

  test('a fuse must interrupt the most that can flow, and it is not proved where the battery is not known', () => {
    const strong = withFacts(
      stiff(jobOf(['Bank + · fuse 100 · Inverter 800 W · Bank −, 2 m']), 0.5),
      'Fuse F1',
      { fuse: 'strip' },
    );
    expect(of(found(strong), 'fuse-breaks')[0]).toMatchObject({ state: 'fails' });
    const weak = withFacts(stiff(strong, 6), 'Fuse F1', {});
    expect(of(found(weak), 'fuse-breaks')[0]?.state).toBe('holds');
    const unknown = withFacts(strong, 'Bank', { source: { kind: 'unknown' } });
    expect(of(found(unknown), 'fuse-breaks')[0]).toMatchObject({ state: 'unproved', value: null });
    expect(of(found(unknown), 'bank-known')[0]?.state).toBe('unproved');
  });

  test('two fuses in series: which opens first is proved by both curves only', () => {
    const curve = [
      { multiple: 1.5, seconds: 100 },
      { multiple: 5, seconds: 0.5 },
      { multiple: 100, seconds: 0.01 },
    ];
    const series = stiff(
      jobOf(['Bank + · fuse 200 · Bus +, 0.5 m', 'Bus + · fuse 40 · Lamp 20 A · Bank −, 3 m']),
    );
    expect(of(found(series), 'selective')[0]?.state).toBe('unproved');
    const melts = (seconds: number) => [
      { multiple: 1.5, seconds: 100 },
      { multiple: 5, seconds },
      { multiple: 100, seconds: seconds / 2 },
    ];
    const known = (seconds: number) =>
      withFacts(withFacts(series, 'Fuse F2', { curve }), 'Fuse F1', { melts: melts(seconds) });
    expect(of(found(known(5)), 'selective')[0]?.state).toBe('holds');
    expect(of(found(known(0.01)), 'selective')[0]?.state).toBe('watch');
  });

  test('a starter carries no fuse by custom: it is watched, not failed', () => {
    const job2 = stiff(jobOf(['Start battery + · Starter 30 mΩ · Start battery −, 1.5 m'], '70'));
    expect(of(found(job2), 'unfused').map(({ state }) => state)).toEqual(['watch']);
  });
});

describe('states', () => {
  const both = stiff(
    jobOf(
      [
        'Bank + · fuse 250 · Bus +, 0.4 m',
        'Bus + · Inverter 1500 W · Bar −, 2 m',
        'Bus + · Thruster 240 A · Bar −, 6 m',
        'Bar − · Bank −, 0.5 m',
      ],
      '50',
    ),
    12,
  );
  const thruster = placeId(both, 'Thruster');
  const inverter = placeId(both, 'Inverter');

  test('loads that collapse in one state only are named there, and the other states stand', () => {
    const job = inStates(both, [
      { id: 'alone', loads: { [thruster]: 0 } },
      { id: 'together', lasts: { kind: 'for', seconds: 60 }, loads: { [inverter]: 200 } },
    ]);
    const collapse = of(found(job), 'state-collapse');
    expect(collapse).toHaveLength(1);
    expect(collapse[0]).toMatchObject({ state: 'fails', stateId: 'together' });
    expect(collapse[0]?.places).toContain(inverter);
    const { states } = solvedOf(job);
    expect(states[0]?.collapse).toBeNull();
    expect(states[0]?.cables.some(({ amps }) => Math.abs(amps) > 50)).toBe(true);
  });

  test('a cable is held at the most of the held states, and each short state is a step of its duty', () => {
    const job = inStates(stiff(both, 2), [
      { id: 'idle', loads: { [thruster]: 0, [inverter]: 10 } },
      { id: 'busy', loads: { [thruster]: 0 } },
      { id: 'thrust', lasts: { kind: 'for', seconds: 180, everySeconds: 900 }, loads: { [inverter]: 0 } },
    ]);
    const whole = workUp(job, SHOP);
    const { runs, states } = whole.system ?? { runs: [], states: [] };
    const trunk = runs.find(({ cableId }) => cableId === tagOf(job, 'Fuse F1', 'Bus +'));
    const busy = states[1]?.cables.find(({ id }) => id === trunk?.cableId)?.amps ?? 0;
    expect(trunk?.heldA).toBeCloseTo(Math.abs(busy), 9);
    expect(trunk?.heldBy).toBe('busy');
    expect(trunk?.duty).toMatchObject({ repeats: true, steps: [{ seconds: 180 }, { seconds: 720 }] });
    expect(trunk?.duty?.steps[0]?.amps).toBeCloseTo(240, 6);
    expect(trunk?.duty?.steps[1]?.amps).toBe(trunk?.heldA);
    expect(trunk?.governedBy).toBe('thrust');
    // It comes to the bench as it is.
    const work = whole.cables.find(({ cableId }) => cableId === trunk?.cableId);
    expect(work?.choice.taken.at.currentA).toBeCloseTo(trunk?.heldA ?? 0, 2);
    expect(work?.choice.taken.at.duty?.heaviestA).toBeCloseTo(240, 6);
  });

  test('shares add up to the drop, and the bench says the same drop as the system', () => {
    const job = inStates(stiff(both, 2), [{ id: 'on', loads: { [thruster]: 0 } }]);
    const { drops } = solvedOf(job);
    const drop = drops.find(({ loadId }) => loadId === inverter);
    expect(drop?.shares.reduce((sum, { volts }) => sum + volts, 0)).toBeCloseTo(drop?.dropV ?? 0, 9);
    const cable = tagOf(job, 'Bus +', 'Inverter +');
    const work = workUp(job, SHOP).cables.find(({ cableId }) => cableId === cable);
    expect(work?.choice.taken.at.dropPercent).toBeCloseTo(drop?.dropPercent ?? 0, 2);
  });

  test('a state in which nothing gives says so', () => {
    const job = withoutPlace(both, placeId(both, 'Bank'), 'stay');
    expect(of(found(job), 'state-source')[0]?.state).toBe('fails');
  });

  test('a charger that never stops hides what the battery alone does, and it is said', () => {
    const job = stiff(
      jobOf([
        'Bank + · fuse 60 · Solar controller 40 A · Bank −, 2 m',
        'Bank + · fuse 60 · Lamp 20 A · Bank −, 3 m',
      ]),
    );
    expect(of(found(job), 'charger-always')).toHaveLength(1);
    const solar = placeId(job, 'Solar controller');
    const night = inStates(job, [{ id: 'day' }, { id: 'night', off: [solar] }]);
    expect(of(found(night), 'charger-always')).toEqual([]);
  });
});

describe('banks', () => {
  const row = (link: string) =>
    stiff(
      jobOf([
        `Battery 1 + · Battery 2 +, ${link}`,
        `Battery 1 − · Battery 2 −, ${link}`,
        `Battery 2 + · Battery 3 +, ${link}`,
        `Battery 2 − · Battery 3 −, ${link}`,
        `Battery 3 + · Battery 4 +, ${link}`,
        `Battery 3 − · Battery 4 −, ${link}`,
        'Battery 1 + · fuse 300 · Load 200 A · Battery 1 −, 1 m',
      ]),
      4.5,
    );

  test('taken off at one end the first works hardest; what taking off across or bars would give stands in its work', () => {
    const [share] = of(found(row('0.3 m')), 'bank-share');
    expect(share?.state).toBe('fails');
    expect(share?.value).toBeGreaterThan(1.4);
    expect(share?.value).toBeLessThan(1.7);
    const across = /across the bank (\d\.\d+)/.exec(
      share?.work.substituted.map((line) => tell(line)).join(' ') ?? '',
    )?.[1];
    expect(Number(across)).toBeLessThan(1.15);
    expect(tell(share?.remedy)).toContain('across');
  });

  test('how uneven a bank may be is the shop’s to say', () => {
    const lenient = { ...SHOP, practice: { ...SHOP.practice, spreadWatched: 1.7, spreadMost: 2 } };
    const share = workUp(row('0.3 m'), lenient).system?.findings.find(({ topic }) => topic === 'bank-share');
    expect(share).toMatchObject({ state: 'holds', limit: { kind: 'most', most: 2 } });
  });

  test('batteries in series are no bank; two strings side by side are', () => {
    const series = stiff(
      jobOf(['Battery 1 + · Battery 2 −, 0.3 m', 'Battery 2 + · fuse 100 · Load 50 A · Battery 1 −, 2 m']),
    );
    expect(of(found(series), 'bank-share')).toEqual([]);
    expect(solvedOf(series).drops[0]?.nominalV).toBeCloseTo(24, 6);
    const strings = stiff(
      jobOf([
        'Battery 1 + · Battery 2 −, 0.3 m',
        'Battery 3 + · Battery 4 −, 0.9 m',
        'Battery 2 + · Battery 4 +, 0.3 m',
        'Battery 1 − · Battery 3 −, 0.3 m',
        'Battery 2 + · fuse 200 · Load 150 A · Battery 1 −, 2 m',
      ]),
    );
    expect(of(found(strings), 'bank-share')).toHaveLength(1);
    expect(solvedOf(strings).banks[0]?.batteries).toHaveLength(2);
  });

  test('unlike volts on the same conductors are found', () => {
    const job = jobOf(['Battery 1 + · Battery 2 +, 0.3 m', 'Battery 1 − · Battery 2 −, 0.3 m']);
    expect(of(found(stiff(job)), 'unlike-volts')).toEqual([]);
    expect(of(found(withFacts(stiff(job), 'Battery 2', { nominalV: 24 })), 'unlike-volts')[0]?.state).toBe(
      'fails',
    );
  });

  test('two banks of unlike volts joined by a DC-DC charger: each is solved, and what it gives it takes', () => {
    const chains = [
      'House bank + · fuse 60 · DC-DC in +, 1 m',
      'DC-DC in − · House bank −, 1 m',
      'DC-DC out + · fuse 40 · Start battery +, 1 m',
      'DC-DC out − · Start battery −, 1 m',
    ];
    let job = withFacts(stiff(jobOf(chains)), 'House bank', { nominalV: 24, restV: 25.6 });
    job = withFacts(job, 'DC-DC', { volts: 14.2, amps: 20, efficiencyPercent: 90 });
    expect(of(found(job), 'unlike-volts')).toEqual([]);
    const { states } = solvedOf(job);
    const flow = states[0]?.places.find(({ id }) => id === placeId(job, 'DC-DC'));
    expect(flow).toMatchObject({ mode: 'limit' });
    expect(flow?.amps).toBeCloseTo(20, 5);
    expect((flow?.inputA ?? 0) * (flow?.inputV ?? 0)).toBeCloseTo((20 * (flow?.volts ?? 0)) / 0.9, 4);
    const house = states[0]?.places.find(({ id }) => id === placeId(job, 'House bank'));
    expect(house?.amps).toBeCloseTo(flow?.inputA ?? 0, 5);
  });
});

test('a return over the hull beside a cable is shared by their ohms; unmeasured, it proves nothing', () => {
  const base = stiff(
    jobOf([
      'Bank + · fuse 200 · Winch 110 A · Bank −, 4.4 m',
      'Bank − · Hull, 0.3 m',
      'Winch − · Engine block, 0.3 m',
    ]),
  );
  const [hull, block] = ['Hull', 'Engine block'].map((name) => placeId(base, name));
  const bonded = (milliohm?: number) => ({
    ...base,
    system: base.system && {
      ...base.system,
      bonds: [{ id: 'b', a: hull ?? '', b: block ?? '', ...(milliohm !== undefined && { milliohm }) }],
    },
  });
  const known = solvedOf(bonded(1.1));
  const back = known.states[0]?.cables.find(({ id }) => id === tagOf(base, 'Winch −', 'Bank −'));
  expect(Math.abs(back?.amps ?? 0)).toBeGreaterThan(20);
  expect(Math.abs(back?.amps ?? 0)).toBeLessThan(60);
  expect(of(found(bonded()), 'bond-known')[0]?.state).toBe('unproved');
  // Out and back by cable differ by what goes through the metal.
  const [beside] = of(found(bonded(1.1)), 'return-beside');
  expect(beside).toMatchObject({ state: 'watch', places: [hull, block] });
  expect(beside?.value).toBeCloseTo(110 - Math.abs(back?.amps ?? 0), 6);
});

test('a return that is meant to go over the metal alone is no difference between out and back', () => {
  const base = stiff(jobOf(['Bank + · fuse 200 · Winch 110 A · Bank −, 4.4 m', 'Bank − · Hull, 0.3 m']));
  const winch = placeId(base, 'Winch');
  const byHull = (cables: Job['cables']): Job => ({
    ...base,
    cables,
    system: base.system && {
      ...base.system,
      places: base.system.places.map((place) =>
        place.id === winch && place.kind === 'load' ? { ...place, groundId: placeId(base, 'Hull') } : place,
      ),
    },
  });
  const back = tagOf(base, 'Winch −', 'Bank −');
  expect(of(found(byHull(base.cables)), 'return-beside')).toHaveLength(1);
  expect(of(found(byHull(base.cables.filter(({ id }) => id !== back))), 'return-beside')).toEqual([]);
});

describe('places drawn from names', () => {
  test.each([
    'core/model/fixtures/job-v1.json',
    'core/model/fixtures/job-v2.json',
    'core/model/fixtures/job-v3.json',
  ])('%s opens with its cables typed, and its places drawn', (path) => {
    const { job, shop } = opened(path);
    expect(job.system).toBeUndefined();
    const placed = withPlaces(job);
    const named = job.cables
      .flatMap(({ ends }) => [ends.A, ends.B])
      .filter(({ at, studId }) => at.trim() !== '' || studId);
    expect(placed.cables.flatMap(({ ends }) => [ends.A, ends.B]).filter(({ on }) => on)).toHaveLength(
      named.length,
    );
    expect(jobSchema.safeParse(placed).success).toBe(true);
    // Nothing of any cable's own changes by it.
    expect(workUp(placed, shop).cables.map(({ verdict }) => verdict.state)).toEqual(
      workUp(job, shop).cables.map(({ verdict }) => verdict.state),
    );
    expect(withPlaces(placed)).toBe(placed);
    expect(() => systemWork(placed, shop)).not.toThrow();
  });

  test('signs, words and devices are read as people write them', () => {
    expect(splitSign('Bank +')).toEqual({ name: 'Bank', pole: 'plus' });
    expect(splitSign('Thruster −')).toEqual({ name: 'Thruster', pole: 'minus' });
    expect(splitSign('Battery 2')).toEqual({ name: 'Battery 2', pole: null });
    expect(splitSign('+')).toEqual({ name: '+', pole: null });
    const { job } = opened('demo/teasel.json');
    const bare = {
      ...job,
      system: undefined,
      cables: job.cables.map((cable) => ({
        ...cable,
        ends: { A: { ...cable.ends.A, on: undefined }, B: { ...cable.ends.B, on: undefined } },
      })),
    } as unknown as typeof job;
    const kinds = new Map(withPlaces(bare).system?.places.map(({ name, kind }) => [name, kind]));
    expect(kinds.get('Fuse F1')).toBe('fuse');
    expect(kinds.get('Isolator')).toBe('switch');
    expect(kinds.get('Thruster')).toBe('load');
    expect(kinds.get('Engine block')).toBe('ground');
    expect(kinds.get('Solar controller')).toBe('supply');
    expect(kinds.get('Start battery')).toBe('battery');
  });
});

describe('chains', () => {
  const job = jobOf(['Bank + · fuse 250 · Bus +, 0.5 m', 'Bar − · Bank −, 0.5 m']);
  const refused = (text: string) => {
    const chain = parseChain(text, job);
    return chain.ok ? null : { piece: chain.piece, says: tell(chain.because) };
  };

  test('what cannot be read says which piece and why', () => {
    expect(refused('Bus +')).toMatchObject({ says: expect.stringContaining('two parts') });
    expect(refused('Bus + · Nonsense · Bar −')).toMatchObject({
      piece: 'Nonsense',
      says: expect.stringContaining('No place has that name'),
    });
    expect(refused('Bus + · fuse · Lamp 4 A · Bar −')).toMatchObject({
      piece: 'fuse',
      says: expect.stringContaining('rating'),
    });
    expect(refused('Bus + · Lamp · Bar −')).toMatchObject({
      piece: 'Lamp',
      says: expect.stringContaining('amps, watts'),
    });
    expect(refused('Bus + · Lamp 4 A · Bar −, many metres')).toMatchObject({ piece: 'many metres' });
    expect(refused('Bus + · Lamp 99999 A · Bar −')).toMatchObject({
      says: expect.stringContaining('out of range'),
    });
    expect(refused('Bus + · Bus +')).toMatchObject({ says: expect.stringContaining('to itself') });
  });

  test('its length goes one way to the load and the same way back, its fuse within reach', () => {
    const chain = parseChain('Bus + · fuse 60 · Windlass 900 W · Bar −, 4.2 m', job);
    if (!chain.ok) throw new Error(tell(chain.because));
    expect(chain.cables.map(({ lengthMm, polarity }) => [lengthMm, polarity])).toEqual([
      [150, 'positive'],
      [4050, 'positive'],
      [4200, 'negative'],
    ]);
    expect(chain.pieces.map(({ isNew }) => isNew)).toEqual([false, true, true, false]);
    expect(chain.pieces[2]?.place).toMatchObject({
      kind: 'load',
      look: 'windlass',
      draws: { kind: 'watts', watts: 900 },
    });
  });
});

describe('edits', () => {
  const job = jobOf(['Bank + · fuse 250 · Lamp 20 A · Bank −, 3 m']);

  test('a place deleted leaves its cables with a loose end, or takes them along; neither is drawn again', () => {
    const lamp = placeId(job, 'Lamp');
    const on = cablesOn(job, lamp).map(({ id }) => id);
    expect(on).toHaveLength(2);
    const stays = withPlaces(withoutPlace(job, lamp, 'stay'));
    expect(stays.cables).toHaveLength(job.cables.length);
    expect(stays.system?.places.some(({ id }) => id === lamp)).toBe(false);
    expect(of(found(stays), 'cable-loose')).toHaveLength(2);
    expect(withoutPlace(job, lamp, 'go').cables).toHaveLength(job.cables.length - 2);
  });

  test('a place called otherwise calls the ends that are on it so', () => {
    const lamp = job.system?.places.find(({ name }) => name === 'Lamp');
    if (!lamp) throw new Error('no lamp');
    const renamed = withPlace(job, { ...lamp, name: 'Deck light' });
    expect(renamed.cables.flatMap(({ ends }) => [ends.A.at, ends.B.at])).toEqual(
      expect.arrayContaining(['Deck light +', 'Deck light −']),
    );
    expect(withPlaces(renamed).system?.places).toHaveLength(job.system?.places.length ?? 0);
  });

  test('an input that is typed again is as it was typed', () => {
    const typed = withInputs(
      job,
      job.cables.map(({ id }) => id),
      false,
    );
    expect(typed.cables.every(({ run }) => run.fromSystem === undefined)).toBe(true);
    const back = withInputs(
      typed,
      job.cables.map(({ id }) => id),
      true,
    );
    expect(back.cables.map(({ run }) => run)).toEqual(job.cables.map(({ run }) => run));
  });
});

describe('starting points', () => {
  test.each(STARTING_POINTS.map((point) => [point.id, point] as const))(
    '%s makes a sound job in which every load runs',
    (_, point) => {
      let count = 0;
      const job = withStart(emptyJob('j', 'New'), point, {}, SHOP, () => `n${(count += 1)}`);
      expect(jobSchema.safeParse(job).success).toBe(true);
      const findings = found(job);
      expect(of(findings, 'load-fed')).toEqual([]);
      expect(of(findings, 'state-collapse')).toEqual([]);
      expect(of(findings, 'unfused').every(({ state }) => state === 'watch')).toBe(true);
      const drops = of(findings, 'load-drop');
      expect(drops.every(({ state }) => state === 'holds')).toBe(true);
      expect(of(findings, 'under-fuse').filter(({ state }) => state === 'fails')).toEqual([]);
    },
  );
});
