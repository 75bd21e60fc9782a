import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import fc from 'fast-check';
import { batchOf, dieChanges, oneByOne } from './batch.ts';
import { toPractise } from './practise.ts';
import { shop, NOW, cableWith, worked, end } from './travellerFixture.ts';

describe('a batch', () => {
  const many = fc
    .array(fc.record({ metric: fc.constantFrom('25', '50', '70'), a: end, b: end }), {
      minLength: 1,
      maxLength: 6,
    })
    .map((list) =>
      list.map(({ metric, a, b }, i) => {
        const cable = cableWith(a, b, {
          gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: metric as '50' } },
        });
        return { key: `k${i}`, cable, work: worked(cable) };
      }),
    );
  test('loses no step, keeps the order of each cable, and changes the die no more often than one by one', () => {
    fc.assert(
      fc.property(many, (cables) => {
        const phases = batchOf(cables);
        const items = phases.flatMap((phase) => phase.items);
        const kept = cables.every(({ key, work: { steps } }) => {
          const own = items.filter(({ of }) => of.key === key).map(({ step }) => step.id);
          return own.join() === steps.map(({ id }) => id).join();
        });
        return kept && dieChanges(phases.map(({ dieId }) => dieId)) <= dieChanges(oneByOne(cables));
      }),
      { numRuns: 12 },
    );
  });
  test('of ten alike is one of each thing', () => {
    const cable = cableWith({}, {});
    const work = worked(cable);
    const ten = Array.from({ length: 10 }, (_, i) => ({ key: `k${i}`, cable, work }));
    const phases = batchOf(ten);
    expect(phases.map(({ title }) => title).map(tell)).toEqual([
      'Lay out',
      'Cut',
      'Layers on',
      'Strip A',
      'Inspect the strands A',
      'Make end A',
      'Strip B',
      'Inspect the strands B',
      'Make end B',
      'Shrink A',
      'Shrink B',
      'Label',
    ]);
    expect(phases.every(({ items }) => new Set(items.map(({ of }) => of.key)).size === 10)).toBe(true);
    expect(dieChanges(phases.map(({ dieId }) => dieId))).toBe(0);
  });
});

describe('what is better practised first', () => {
  const cable = cableWith({});
  const work = worked(cable);
  const { lug, die } = work.ends.A;
  if (!lug || !die) throw new Error('no lug');
  const trial = {
    id: 't',
    at: NOW.toISOString(),
    by: 'Ada',
    dieId: die.die.id,
    lugId: lug.id,
    size: lug.forSize,
    acrossFlatsMm: die.die.acrossFlatsMm,
    earsMm: 0,
    source: 'typed' as const,
  };
  test('is a die on a barrel that it never closed on here, once for both ends', () => {
    const bare = { ...shop, trials: [] };
    expect(toPractise(work, bare)).toMatchObject([{ ends: ['A', 'B'], die: { id: die.die.id } }]);
    expect(toPractise(work, { ...shop, trials: [trial] })).toEqual([]);
    expect(toPractise(work, { ...shop, trials: [{ ...trial, source: 'simulated' }] })).toHaveLength(1);
    expect(toPractise(work, { ...shop, trials: [{ ...trial, dieId: 'another' }] })).toHaveLength(1);
  });
});
