import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { INSTRUMENT_KINDS, type InstrumentKind } from '../../model/tables/instruments.ts';
import { jobFileSchema } from '../../model/job.ts';
import { acrossFlatsWindow } from '../../termination/dies/dieClosed.ts';
import { GOOD_INDEX, jointIndex, WATCH_INDEX } from '../../proof/jointIndex.ts';
import { seeded } from '../../lib/random.ts';
import { workUp } from '../../workup.ts';
import { holdOf } from '../hold.ts';
import type { Said, Value } from '../sample.ts';
import { bothWays, settledValue } from '../settle.ts';
import { readStandIn, TROUBLES, writeCommand } from './protocol.ts';
import { type HiddenFault, type Probe, specimenOf } from './specimen.ts';
import { standIn } from './standIn.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const work = workUp(job, shop).cables.find(({ cableId }) => cableId === 'in1');
const specimen = work && specimenOf(work);
if (!work || !specimen) throw new Error('the demo has no IN-1');
const FAULT: HiddenFault = {
  kind: 'die did not shut',
  cableId: 'in1',
  end: 'B',
  openShare: 0.045,
  index: 13,
  holdsShare: 0.2,
};

/** Everything one says in `seconds` of a stream, and all that came before it. */
function listen(
  kind: InstrumentKind,
  probe: Probe,
  { seconds = 8, seed = 1, faults = [FAULT], before = [] as string[] } = {},
): Said[] {
  const own = standIn(kind, seeded(seed), faults);
  const lines = [
    ...before,
    writeCommand('put-on', JSON.stringify({ specimen, probe })),
    'stream 200',
  ].flatMap((line) => own.hear(line, 0).lines);
  for (let at = 0; at <= seconds; at += 0.2) lines.push(...own.tick(at).lines);
  return lines.flatMap((line) => {
    const said = readStandIn(line, kind);
    return said.kind === 'identity' || said.kind === 'heard' ? [] : [said];
  });
}
const values = (said: readonly Said[]) => said.filter((one): one is Value => one.kind === 'value');
const settled = (kind: InstrumentKind, probe: Probe, resolution: number) => {
  const figure = settledValue(values(listen(kind, probe)), resolution);
  if (figure === null) throw new Error('never settled');
  return figure;
};

describe('the hidden bad crimp', () => {
  const index = (end: 'A' | 'B') =>
    jointIndex({
      milliohm: settled('milliohm', { at: 'joint', end, beyondMm: 30 }, 0.0001),
      beyondMm: 30,
      barrelMm: specimen.ends[end].barrelMm,
      milliohmPerM: settled('milliohm', { at: 'plain', lengthMm: 500 }, 0.0001) / 0.5,
    });
  test('shows in its joint index, and the good end beside it does not', () => {
    expect(index('A')).toBeLessThan(GOOD_INDEX);
    expect(index('B')).toBeGreaterThan(WATCH_INDEX);
  });
  test('shows across its flats', () => {
    const { mostMm } = acrossFlatsWindow(specimen.ends.B.dieMm ?? 0);
    expect(settled('calliper', { at: 'flats', end: 'A' }, 0.01)).toBeLessThan(mostMm);
    expect(settled('calliper', { at: 'flats', end: 'B' }, 0.01)).toBeGreaterThan(mostMm);
  });
  test('slips before the least pull, and the good end holds its minute', () => {
    const pull = (end: 'A' | 'B') =>
      holdOf(values(listen('scale', { at: 'pull', end, toN: 400 }, { seconds: 70 })), 400);
    expect(pull('A').state).toBe('held');
    expect(pull('B').state).toBe('slipped');
  });
  test('warms up and loses volts under load', () => {
    const warmth = (end: 'A' | 'B') =>
      settled('thermal', { at: 'lug warmth', end, amps: 110, minutes: 40 }, 0.1);
    expect(warmth('B') - warmth('A')).toBeGreaterThan(4);
    const drop = (end: 'A' | 'B') =>
      settled('millivolt', { at: 'loaded joint', end, amps: 110, beyondMm: 30 }, 0.01);
    expect(drop('B')).toBeGreaterThan(3 * drop('A'));
  });
  test('is not there where nobody hid it', () =>
    expect(
      values(listen('scale', { at: 'pull', end: 'B', toN: 400 }, { faults: [] })).at(-1)?.value,
    ).toBeGreaterThan(390));
});

describe('a stand-in behaves as its kind does', () => {
  test('says who it is, and that it is simulated', () => {
    for (const kind of INSTRUMENT_KINDS) {
      const [line = ''] = standIn(kind, seeded(1), []).hear('identify', 0).lines;
      expect(readStandIn(line, kind)).toMatchObject({
        kind: 'identity',
        identity: { kind, simulated: true },
      });
    }
  });
  test('another kind than was asked for is not believed', () => {
    const [line = ''] = standIn('scale', seeded(1), []).hear('identify', 0).lines;
    expect(readStandIn(line, 'calliper').kind).toBe('refused');
  });
  test('moves before it settles, scatters, and says the same again for the same seed', () => {
    const probe: Probe = { at: 'whole' };
    const said = values(listen('milliohm', probe));
    expect(said[0]?.settled).toBe(false);
    expect(said.at(-1)?.settled).toBe(true);
    expect(new Set(said.slice(-5).map(({ value }) => value)).size).toBeGreaterThan(1);
    expect(listen('milliohm', probe)).toEqual(listen('milliohm', probe));
    expect(listen('milliohm', probe, { seed: 2 })).not.toEqual(listen('milliohm', probe));
  });
  test('turning the current takes its thermal voltage out', () => {
    const own = standIn('milliohm', seeded(3), []);
    const read = (at: number) =>
      values(own.hear('measure', at).lines.map((line) => readStandIn(line, 'milliohm') as Said))[0]?.value ??
      0;
    own.hear(writeCommand('put-on', JSON.stringify({ specimen, probe: { at: 'plain', lengthMm: 20 } })), 0);
    const forward = read(10);
    own.hear('turn', 10);
    const reverse = read(20);
    expect(forward).toBeGreaterThan(reverse);
    expect(bothWays(forward, reverse).milliohm).toBeCloseTo((0.97 * specimen.milliohmPerM * 20) / 1000, 3);
  });
  test('insulation charges up, and shows nothing wrong with nothing round the jacket', () => {
    const nick: HiddenFault = { kind: 'nicked jacket', cableId: 'in1', megohm: 0.2 };
    const last = (electrode: 'foil' | 'none') =>
      values(listen('insulation', { at: 'jacket', electrode }, { seconds: 62, faults: [nick] }));
    expect(last('foil').at(-1)?.value).toBeLessThan(0.5);
    expect(listen('insulation', { at: 'jacket', electrode: 'none' }, { faults: [nick] }).at(-1)?.kind).toBe(
      'over',
    );
    const sound = values(listen('insulation', { at: 'jacket', electrode: 'foil' }, { seconds: 62 }));
    expect(sound.at(-1)?.value).toBeGreaterThan(1.3 * (sound[0]?.value ?? 0));
  });
  test('with its leads off, or on what it does not measure, it is over its range', () => {
    expect(listen('milliohm', { at: 'open' }).every(({ kind }) => kind === 'over')).toBe(true);
    expect(listen('calliper', { at: 'whole' }).every(({ kind }) => kind === 'over')).toBe(true);
  });
});

describe('trouble never becomes a reading', () => {
  test.each(TROUBLES.filter((trouble) => trouble !== 'none'))('%s', (trouble) => {
    const said = listen(
      'milliohm',
      { at: 'whole' },
      { before: [writeCommand('trouble', trouble)], seconds: 20 },
    );
    expect(settledValue(trouble === 'garbled lines' ? [] : values(said), 0.0001)).toBeNull();
    if (trouble === 'garbled lines') {
      // What gets through is as it would be without the trouble: a garbled line is left out, never mended.
      const expected = values(listen('milliohm', { at: 'whole' })).at(-1)?.value ?? 0;
      const late = values(said).filter(({ settled: isSettled }) => isSettled);
      expect(said.some(({ kind }) => kind === 'refused')).toBe(true);
      for (const { value } of late) expect(value / expected).toBeCloseTo(1, 1);
    }
  });
  test.each(['{', '{"specimen":1}'])('a probe that it cannot take, “%s”, is on nothing', (rest) => {
    const own = standIn('scale', seeded(1), []);
    own.hear(
      writeCommand('put-on', JSON.stringify({ specimen, probe: { at: 'pull', end: 'A', toN: 400 } })),
      0,
    );
    expect(own.hear('measure', 1).lines).toEqual([expect.stringMatching(/^reading /)]);
    own.hear(writeCommand('put-on', rest), 2);
    expect(own.hear('measure', 3).lines).toEqual([expect.stringMatching(/^over /)]);
  });
  test('dropping out hangs up', () => {
    const own = standIn('scale', seeded(1), []);
    own.hear('trouble drops out', 0);
    expect(own.hear('measure', 1)).toEqual({ lines: [], hangsUp: true });
  });
  test.each([
    'put-on {',
    'put-on {"specimen":1}',
    'stream 1',
    'stream x',
    'trouble more',
    'sing',
    'identify\u0000',
  ])('“%s” is not understood', (line) =>
    expect(standIn('scale', seeded(1), []).hear(line, 0).lines).toEqual(['not understood']),
  );
});
