import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import type { Cable } from '../model/cable.ts';
import type { Reading } from '../model/reading.ts';
import { base, shop, stamp } from '../proof/proofFixture.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';
import { LEAST_PIECES, sampleGroups, samplesDue, samplesFinding, spreadOf } from './sampling.ts';

const apart = (...forces: readonly number[]) => forces.map((forceN) => ({ forceN, held: false }));

describe('a sampling plan', () => {
  test.each([
    [0, 10, 0],
    [1, 10, 1],
    [10, 10, 1],
    [11, 10, 2],
    [21, 10, 3],
    [5, 0, 0],
  ])('of %i made, one in %i, asks for %i', (made, oneIn, due) => {
    expect(samplesDue(made, oneIn)).toBe(due);
  });
});

describe('samples pulled apart', () => {
  test('come to mean, s, least and mean − 3 s, by hand', () => {
    const { mean, s, least } = spreadOf([900, 920, 940, 960, 980]);
    expect([mean, least]).toEqual([940, 900]);
    expect(s).toBeCloseTo(31.623, 3);
    const finding = samplesFinding(apart(900, 920, 940, 960, 980), 700);
    expect(finding.value).toBeCloseTo(940 - 3 * 31.6228, 3);
    expect(finding.state).toBe('holds');
    expect(finding.work.substituted.map(tell).join(' ').replaceAll('\u2009', ' ')).toContain(
      'mean 940 N, s 31.6 N, least 900 N',
    );
  });
  test('too few say so, and are never a pass; those that held show no strength', () => {
    const few = samplesFinding(apart(900, 920, 940, 960), 700);
    expect([few.state, few.value]).toEqual(['unproved', null]);
    expect(tell(few.because)).toContain('Too few: 4 pulled apart');
    const held = Array.from({ length: 20 }, () => ({ forceN: 900, held: true }));
    expect(samplesFinding(held, 700).state).toBe('unproved');
  });
  test('one that gave too early fails, however many were strong', () => {
    const finding = samplesFinding(apart(690, ...Array.from({ length: 30 }, () => 2000)), 700);
    expect([finding.state, finding.value]).toEqual(['fails', 690]);
  });
  test('hold only where enough were pulled apart, none was weak, and three deviations below the mean is enough', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ forceN: fc.integer({ min: 100, max: 2000 }), held: fc.boolean() }), {
          maxLength: 12,
        }),
        (pulls) => {
          const { state } = samplesFinding(pulls, 700);
          const strengths = pulls.filter(({ held }) => !held).map(({ forceN }) => forceN);
          const isWeak = strengths.some((forceN) => forceN < 700);
          if (isWeak) return state === 'fails';
          if (strengths.length < LEAST_PIECES) return state === 'unproved';
          const { mean, s } = spreadOf(strengths);
          return state === (mean - 3 * s >= 700 ? 'holds' : 'watch');
        },
      ),
      { numRuns: cases(400) },
    );
  });
});

describe('the crimps of a shop', () => {
  const sample = (forceN: number, change: Partial<Reading> = {}): Reading =>
    ({ ...stamp(), check: 'pull', end: 'A', forceN, held: false, sample: true, ...change }) as Reading;
  const done = ['crimp-1.A', 'crimp-2.A'].map((step) => ({
    step,
    at: '2026-11-20T09:00:00.000Z',
    by: 'R. Alder',
  }));
  const cable = (change: Partial<Cable>) => {
    const own = { ...base, done, ...change };
    return { cable: own, work: workUpCable(own, shop) };
  };
  const planned = { ...shop, practice: { ...shop.practice, sampleOneIn: 10 as const } };
  test('are grouped by die, lug and cable, counted, and sampled by what is real', () => {
    const worked = Array.from({ length: 11 }, (_, i) =>
      cable({ id: `c${i}`, readings: i === 0 ? [sample(900), sample(10, { source: 'simulated' })] : [] }),
    );
    const [group, ...others] = sampleGroups(worked, planned);
    expect(others).toEqual([]);
    expect(group).toMatchObject({ made: 11, due: 2, pulls: [{ forceN: 900, held: false }] });
    expect(sampleGroups(worked, shop)[0]?.due).toBe(0);
  });
  test('a trial of the tool case is a sample, a simulated one is none', () => {
    const one = cable({});
    const { A } = one.work.ends;
    const trial = {
      ...{ id: 't', at: '2026-11-01T09:00:00.000Z', by: 'R. Alder', earsMm: 0, acrossFlatsMm: 14 },
      ...{
        dieId: A.die?.die.id ?? '',
        lugId: A.lug?.id ?? '',
        size: { system: 'metric' as const, name: '70' as const },
      },
      pull: { forceN: 1500, held: true },
    };
    const pulls = (source: 'typed' | 'simulated') =>
      sampleGroups([one], { ...planned, trials: [{ ...trial, source }] })[0]?.pulls.length;
    expect([pulls('typed'), pulls('simulated')]).toEqual([1, 0]);
  });
});
