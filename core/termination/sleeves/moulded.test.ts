import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { kitOf } from '../../cutting/kit.ts';
import { cases } from '../../lib/casesFixture.ts';
import type { Cable } from '../../model/cable.ts';
import { genericShop } from '../../model/catalogue/genericShop.ts';
import { genericSealedButt } from '../../model/catalogue/lugs.ts';
import type { Join } from '../../model/end.ts';
import { newCable } from '../../model/newCable.ts';
import type { Shop } from '../../model/shop.ts';
import { MOULDED, MOULDED_IDS } from '../../model/tables/moulded.ts';
import { workUpCable } from '../../workup.ts';
import { type MouldedTask, mouldedFor, suitsMoulded } from './moulded.ts';

const shop = genericShop();
const AT = '2026-12-01T10:00:00Z';
const cableOf = (size: string, change: Partial<Cable> = {}): Cable => ({
  ...newCable('c', 'C-1', shop),
  gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: size } as never },
  ...change,
});
const joined = (size: string, join: Partial<Join>, own: Shop = shop, done: Cable['done'] = []) =>
  workUpCable(cableOf(size, { joins: [{ id: 'j', kind: 'butt', atMm: 600, ...join }], done }), own);
type Work = ReturnType<typeof joined>;
const stateOf = ({ findings }: Work, topic: string) => findings.find((own) => own.topic === topic)?.state;
const stepsOf = ({ steps }: Work) => steps.map(({ id }) => id).filter((id) => id.startsWith('join-'));
const linesOf = (cable: Cable) =>
  kitOf([{ cable, work: workUpCable(cable, shop), key: 'k' }], shop).lines.map(({ key }) => key);

describe('a moulded part', () => {
  const tasks = fc
    .record({
      legs: fc.constantFrom<MouldedTask['legs']>(0, 2, 3, 4),
      gripMm: fc.integer({ min: 40, max: 400 }),
      more: fc.integer({ min: 0, max: 200 }),
      legGripMm: fc.integer({ min: 30, max: 300 }),
      legMore: fc.integer({ min: 0, max: 150 }),
    })
    .map(({ legs, gripMm, more, legGripMm, legMore }): MouldedTask => ({
      legs,
      gripMm: gripMm / 10,
      passMm: (gripMm + more) / 10,
      legGripMm: legGripMm / 10,
      legPassMm: (legGripMm + legMore) / 10,
    }));
  test('the one chosen passes and grips all it goes over, and no smaller one does', () =>
    fc.assert(
      fc.property(tasks, (task) => {
        const suitable = MOULDED_IDS.filter((part) => suitsMoulded(MOULDED[part], task));
        const chosen = mouldedFor(task);
        expect(chosen).toBe(suitable[0] ?? null);
        if (!chosen) return;
        const { legs, body, leg } = MOULDED[chosen] as (typeof MOULDED)['two-28'];
        expect(legs).toBe(task.legs);
        expect(body.suppliedMm).toBeGreaterThanOrEqual(1.1 * task.passMm - 1e-9);
        expect(body.recoveredMm).toBeLessThanOrEqual(0.9 * task.gripMm + 1e-9);
        if (leg) expect(leg.recoveredMm).toBeLessThanOrEqual(0.9 * (task.legGripMm ?? 0) + 1e-9);
        const least = Math.min(...suitable.map((part) => MOULDED[part].body.suppliedMm));
        expect(body.suppliedMm).toBe(least);
      }),
      { numRuns: cases(200) },
    ));

  test('seals a branch in place of a nipped sleeve: its own step, its own kit line, proved by the shrink', () => {
    const branch = { kind: 'branch', branchMm2: 25 } as const;
    const nipped = joined('35', branch);
    const moulded = joined('35', { ...branch, legs: 2 });
    expect(stepsOf(nipped)).toContain('join-pinch-j');
    expect(stepsOf(moulded)).toEqual(['join-cut-j', 'join-crimp-j', 'join-shrink-j']);
    expect(stateOf(moulded, 'join-sleeve')).toBe('holds');
    expect(stateOf(moulded, 'join-seal')).toBe('unproved');
    const done = [{ step: 'join-shrink-j', at: AT, by: 'Alder' }];
    expect(stateOf(joined('35', { ...branch, legs: 2 }, shop, done), 'join-seal')).toBe('holds');
    expect(stateOf(joined('35', branch, shop, done), 'join-seal')).toBe('unproved');
    const keys = linesOf(cableOf('35', { joins: [{ id: 'j', atMm: 600, ...branch, legs: 2 }] }));
    expect(keys.filter((key) => key.startsWith('moulded:two'))).toHaveLength(1);
  });
  test('with legs that no branch fills it fails', () =>
    expect(stateOf(joined('95', { kind: 'branch', branchMm2: 1.5, legs: 4 }), 'join-sleeve')).toBe('fails'));
});

describe('a connector in a jacket of its own', () => {
  const withButt = (size: string, cover: 'sealed' | 'solder ring') => {
    const lug = genericSealedButt(size, cover, 5);
    return { lug, own: { ...shop, lugs: [lug, ...shop.lugs.filter(({ id }) => id !== lug.id)] } };
  };
  test('is proposed only where none can be measured, a ring of solder never', () => {
    const only = (cover: 'sealed' | 'solder ring') => {
      const { lug, own } = withButt('10', cover);
      return joined('10', {}, { ...own, lugs: own.lugs.filter((it) => it.form !== 'butt' || it === lug) })
        .joins[0]?.connector?.cover;
    };
    expect(joined('10', {}).joins[0]?.connector?.cover).toBeUndefined();
    expect([only('sealed'), only('solder ring')]).toEqual(['sealed', undefined]);
  });
  test('takes no sleeve, asks for no flats, and is watched however it is pulled', () => {
    const { lug, own } = withButt('10', 'sealed');
    const work = joined('10', { connectorId: lug.id }, own);
    expect(work.joins[0]?.sleeve).toBeNull();
    expect(stepsOf(work)).toEqual(['join-cut-j', 'join-crimp-j', 'join-shrink-j']);
    expect(stateOf(work, 'join-flats')).toBeUndefined();
    expect(stateOf(work, 'join-pull')).toBe('unproved');
    expect(stateOf(work, 'join-sleeve')).toBe('watch');
  });
  test('with a ring of solder is for thin wires: it is soldered, not crimped, and fails on thicker copper', () => {
    const { lug, own } = withButt('10', 'solder ring');
    const work = joined('10', { connectorId: lug.id }, own);
    expect(work.joins[0]?.die).toBeNull();
    expect(stepsOf(work)).toEqual(['join-cut-j', 'join-crimp-j', 'join-shrink-j']);
    expect(stateOf(work, 'join-die')).toBe('fails');
  });
});

test('an end that waits unconnected gets a cap that goes over its palm, and the kit a line for it', () => {
  const capped = cableOf('35');
  const cable = { ...capped, ends: { ...capped.ends, A: { ...capped.ends.A, capped: true } } };
  const capOf = (own: Cable) =>
    workUpCable(own, shop).findings.find(({ topic, end }) => topic === 'cap' && end === 'A');
  expect(capOf(cable)?.state).toBe('holds');
  expect(capOf(capped)).toBeUndefined();
  expect(linesOf(cable).filter((key) => key.startsWith('moulded:cap'))).toHaveLength(1);
});
