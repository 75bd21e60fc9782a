import { describe, expect, test } from '@jest/globals';
import type { Cable } from '../model/cable.ts';
import { practiceBegins, practiceEnds } from './practise.ts';
import {
  asksTrial,
  firstOpen,
  isTrialWhole,
  trialOf,
  withoutTick,
  withTick,
  withTyped,
} from './following.ts';
import { cableWith, stepOf, worked } from './travellerFixture.ts';

const SIGNED = { id: 's', at: '2026-11-25T12:00:00Z', by: 'Ada' };
const cable = cableWith({});
const work = worked(cable);
/** The cable with every step ticked up to one, that one not. */
const upTo = (id: string): Cable =>
  work.steps
    .slice(
      0,
      work.steps.findIndex((step) => step.id === id),
    )
    .reduce((made, step) => withTick(made, step, SIGNED), cable);

describe('which step is at hand', () => {
  test('the first that is not ticked, and none when all are', () => {
    expect(firstOpen(work.steps, cable)?.id).toBe(work.steps[0]?.id);
    expect(firstOpen(work.steps, upTo('home.A'))?.id).toBe('home.A');
    expect(firstOpen(work.steps, withTick(upTo('label'), { id: 'label' }, SIGNED))).toBeUndefined();
  });
});

describe('what is typed at a step', () => {
  test('strands that are gone belong to their end, whole ones', () => {
    const { ends, readings } = withTyped(cable, stepOf(work, 'strands.B'), 2.4, SIGNED);
    expect([ends.A.strands, ends.B.strands]).toEqual([undefined, { cut: 2 }]);
    expect(readings).toEqual([]);
  });
  test('a figure of the proof is a reading, signed', () => {
    const { readings, ends } = withTyped(cable, stepOf(work, 'crimp-1.A'), 11.2, SIGNED);
    expect(readings).toEqual([
      { ...SIGNED, source: 'typed', check: 'across-flats', end: 'A', crimp: 2, valueMm: 11.2 },
    ]);
    expect(ends).toEqual(cable.ends);
  });
  test('nothing typed, or a step that asks nothing, leaves the cable as it was', () => {
    expect(withTyped(cable, stepOf(work, 'crimp-1.A'), null, SIGNED)).toBe(cable);
    expect(withTyped(cable, stepOf(work, 'home.A'), 3, SIGNED)).toBe(cable);
  });
});

describe('a tick taken back', () => {
  test('is taken back while nothing rests on its step', () => {
    const made = upTo('strands.A');
    expect(withoutTick(made, stepOf(work, 'strip.A'), work.steps).done).toHaveLength(made.done.length - 1);
  });
  test('stays while something that is done rests on it', () => {
    const made = upTo('home.A');
    expect(withoutTick(made, stepOf(work, 'strip.A'), work.steps)).toBe(made);
  });
});

describe('a practice piece', () => {
  const begun = { ...cable, done: [{ step: practiceBegins('A'), at: SIGNED.at, by: SIGNED.by }] };
  const last = stepOf(worked(begun), practiceEnds('A'));
  test('asks for its figures at its last step, once', () => {
    expect(asksTrial(last, begun)).toBe(true);
    expect(asksTrial(last, withTick(begun, last, SIGNED))).toBe(false);
    expect(asksTrial(stepOf(work, 'home.A'), begun)).toBe(false);
  });
  test('is whole with both of its figures: no ears is 0', () => {
    expect(isTrialWhole({ acrossFlatsMm: 11.2, earsMm: 0 })).toBe(true);
    expect(isTrialWhole({ acrossFlatsMm: 11.2, earsMm: null })).toBe(false);
  });
  test('becomes a trial of its lug, die and size, and none while it is not whole', () => {
    const figures = { acrossFlatsMm: 11.2, earsMm: 0 };
    expect(trialOf(last, work, figures, SIGNED)).toEqual({
      ...SIGNED,
      ...figures,
      lugId: work.ends.A.lug?.id,
      dieId: work.ends.A.die?.die.id,
      size: { system: 'metric', name: '50' },
      source: 'typed',
    });
    expect(trialOf(last, work, { ...figures, earsMm: null }, SIGNED)).toBeNull();
    expect(trialOf({}, work, figures, SIGNED)).toBeNull();
  });
});
