import { describe, expect, test } from '@jest/globals';
import { tell } from './words/message.ts';
import { inWords } from './words/inWordsFixture.ts';
import { genericShop } from './model/catalogue/genericShop.ts';
import type { Cable } from './model/cable.ts';
import { newCable } from './model/newCable.ts';
import { sealRecord } from './log/record.ts';
import { limitWords, valueWords } from './finding/says.ts';
import { dropShares, governingDrop, hottestC } from './sizing/governing.ts';
import type { Spender } from './sizing/loop.ts';
import { canCrimp } from './termination/canCrimp.ts';
import { ALONE, matesOf } from './jobContext.ts';
import { workUpCable } from './workup.ts';

const shop = genericShop();
const fresh = newCable('c', 'C-1', shop);
const with_ = (change: Partial<Cable>): Cable => ({ ...fresh, ...change });
const loaded: Cable = with_({
  run: { ...fresh.run, systemV: 24, load: { kind: 'amps', amps: 100 }, lengthMm: 2000 },
});
const reports = (cable: Cable) => workUpCable(cable, shop).stages;

describe('how far a cable is', () => {
  test('a new cable has nothing done, and says what it lacks', () => {
    const stages = reports(fresh);
    expect(Object.values(stages).filter(({ done }) => done)).toEqual([]);
    expect(stages.run.state).toBe('unproved');
    expect(tell(stages.run.summary).replaceAll('\u2009', ' ')).toBe('0 A, 1.00 m');
    expect(tell(stages.gauge.summary)).toMatch(/proposed$/);
    expect(tell(stages.prove.summary)).toBe('nothing measured');
  });
  test('a load is a run; a size said is a gauge', () => {
    expect(reports(loaded).run.done).toBe(true);
    const said = { ...loaded, gauge: { ...loaded.gauge, size: { system: 'metric', name: '50' } as const } };
    expect(inWords(reports(said).gauge)).toMatchObject({ done: true, summary: '50 mm², tinned' });
  });
  test('a size said that fails is not done', () => {
    const thin = { ...loaded, gauge: { ...loaded.gauge, size: { system: 'metric', name: '10' } as const } };
    expect(reports(thin).gauge).toMatchObject({ done: false, state: 'fails' });
  });
  test('ends are done when lug, die and sleeve are said at both', () => {
    const { ends } = workUpCable(loaded, shop);
    const say = (name: 'A' | 'B') => ({
      ...loaded.ends[name],
      lugId: ends[name].lug?.id,
      dieId: ends[name].die?.die.id,
      sleeveId: ends[name].sleeve?.sleeve.id,
    });
    expect(inWords(reports(loaded).ends)).toMatchObject({ done: false, summary: 'proposed' });
    expect(reports({ ...loaded, ends: { A: say('A'), B: say('B') } }).ends.done).toBe(true);
  });
  test('cut and make go by the steps ticked', () => {
    const { steps } = workUpCable(loaded, shop);
    const tick = (ids: readonly string[]) => ({
      ...loaded,
      done: ids.map((step) => ({ step, at: '2026-11-20T10:00:00.000Z', by: '' })),
    });
    expect(reports(tick(['lay-out', 'cut'])).cut.done).toBe(true);
    expect(inWords(reports(tick(['lay-out', 'cut'])).make)).toMatchObject({
      done: false,
      summary: `2 of ${steps.length} steps`,
    });
    expect(reports(tick(steps.map(({ id }) => id))).make.done).toBe(true);
  });
  test('without a lug nothing is cut and nothing is made', () => {
    const bare = workUpCable(loaded, { ...shop, lugs: [] });
    expect(tell(bare.stages.cut.summary)).toBe('needs both lugs');
    expect(inWords(bare.stages.make)).toMatchObject({ done: false, summary: 'needs both ends' });
    expect(bare.lengths).toBeNull();
  });
  test('a cable too short for its own sleeves says so', () => {
    const short = { ...loaded, run: { ...loaded.run, lengthMm: 90 } };
    expect(workUpCable(short, shop).findings.find(({ id }) => id === 'cut')).toMatchObject({
      state: 'fails',
    });
  });
});

describe('what governs', () => {
  const run = {
    dropPercent: 3,
    duty: { steps: [{ amps: 300, seconds: 10 }], repeats: false, dropPercent: 10 },
  };
  const duty = (dropPercent: number) => ({ heaviestA: 300, rmsA: 0, cycle: null, spenders: [], dropPercent });
  const at = (dropPercent: number, own: ReturnType<typeof duty> | null) => ({
    ...{ dropPercent, duty: own, currentA: 100 },
    spenders: [
      { label: 'this cable', kind: 'cable', ohm: 0.0012 },
      { label: 'return', kind: 'return', ohm: 0.0012 },
    ] satisfies Spender[],
  });
  test('the load or the surge, whichever comes nearer to its own limit', () => {
    expect(governingDrop(at(2, duty(5)), run)).toMatchObject({ of: 'load', percent: 2, amps: 100 });
    expect(governingDrop(at(1, duty(5)), run)).toMatchObject({ of: 'surge', percent: 5, amps: 300 });
    expect(governingDrop(at(1, null), run)).toMatchObject({ of: 'load' });
  });
  test('its shares are I · R ÷ U, and together the drop', () => {
    const shares = dropShares(at(2, null), { ...run, systemV: 12 });
    expect(shares.map(({ percent }) => percent)).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
  });
  test('the hottest moment is the peak of the duty, or what is held', () => {
    const cycle = {
      samples: [],
      peakC: 70,
      peakAtS: 10,
      equivalentA: 100,
      secondsToLimit: null,
      runsAway: false,
      meltsAtS: null,
    };
    expect(hottestC({ settledC: 50, duty: { ...duty(5), cycle } })).toBe(70);
    expect(hottestC({ settledC: 80, duty: { ...duty(5), cycle } })).toBe(80);
    expect(hottestC({ settledC: null, duty: null })).toBeNull();
  });
});

describe('what the shop can do', () => {
  test('a size is within its tools when a lug and a die suit both ends', () => {
    const cable = with_({ ends: { A: { at: '', stud: 'M10' }, B: { at: '', stud: 'M8' } } });
    const [kind] = shop.cableKinds;
    if (!kind) throw new Error('no kind');
    expect(canCrimp({ system: 'metric', name: '70' }, kind, cable, shop)).toBe(true);
    expect(canCrimp({ system: 'metric', name: '70' }, kind, cable, { ...shop, dies: [] })).toBe(false);
    expect(canCrimp({ system: 'metric', name: '1.5' }, kind, cable, shop)).toBe(false);
  });
});

describe('circuits', () => {
  const inCircuit = (id: string, name: string) =>
    with_({ id, tag: id, run: { ...fresh.run, return: { kind: 'circuit', name } } });
  const job = {
    id: 'j',
    title: 'j',
    subtitle: '',
    cables: [inCircuit('a', 'X'), inCircuit('b', 'X'), inCircuit('c', 'Y'), fresh],
    studs: [],
    heeded: [],
  };
  test('a cable’s mates are the others of its circuit', () => {
    const [a, , c, alone] = job.cables as [Cable, Cable, Cable, Cable];
    expect(matesOf(a, job).map(({ id }) => id)).toEqual(['b']);
    expect(matesOf(c, job)).toEqual([]);
    expect(matesOf(alone, job)).toEqual([]);
  });
  test('a mate’s length, joints, devices and fuse count in the loop', () => {
    const mate = {
      ...inCircuit('b', 'X'),
      run: { ...inCircuit('b', 'X').run, lengthMm: 5000, devices: [{ kind: 'isolator' as const }] },
    };
    const own = {
      ...inCircuit('a', 'X'),
      run: { ...inCircuit('a', 'X').run, load: { kind: 'amps' as const, amps: 100 } },
    };
    const among = (mates: Cable[]) => ({ context: { ...ALONE, mates } });
    const drop = (mates: Cable[]) =>
      workUpCable(own, shop, among(mates)).choice.candidates[5]?.at.dropPercent ?? 0;
    expect(drop([mate])).toBeGreaterThan(drop([]) * 4);
    const labels = workUpCable(own, shop, among([mate])).choice.taken.at.spenders.map(({ label }) => label);
    expect(labels.map(tell)).toEqual(['this cable', 'joints', 'b', 'isolator']);
  });
});

describe('a sealed record', () => {
  const work = workUpCable(loaded, shop);
  test('keeps every finding in words, as it stood', () => {
    const record = sealRecord(loaded, work, 'R. Alder', '2026-11-20T12:00:00.000Z');
    expect(record.lines).toHaveLength(work.findings.length);
    expect(record).toMatchObject({ verdict: 'unproved', simulated: false, finishedMm: 2000 });
    expect(tell(record.conductor)).toMatch(/mm² tinned marine, red, positive$/);
    expect(record.lines.every(({ value, because }) => value !== '' && because !== '')).toBe(true);
  });
  test('says limits and values in words', () => {
    const drop = work.findings.find(({ id }) => id === 'drop');
    const flats = work.findings.find(({ id }) => id === 'across-flats.A');
    const strip = work.findings.find(({ id }) => id === 'strip.A');
    if (!drop || !flats || !strip) throw new Error('a finding is missing');
    expect(tell(limitWords(drop)).replaceAll('\u2009', ' ')).toBe('at most 3.00 %');
    expect(tell(limitWords(flats))).toMatch(/^[\d.]+ to [\d.]+\u2009mm$/);
    expect(tell(limitWords(strip))).toBe('');
    expect(tell(valueWords(flats))).toBe('not known');
  });
});
