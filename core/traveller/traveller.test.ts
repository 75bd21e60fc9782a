import { tell } from '../words/message.ts';
import { describe, expect, test } from '@jest/globals';
import { cases } from '../lib/casesFixture.ts';
import fc from 'fast-check';
import type { CableWork } from '../cableWork.ts';
import type { Cable } from '../model/cable.ts';
import type { End } from '../model/end.ts';
import { CAUTION_IDS } from '../model/cautions.ts';
import { HOLDS, kindOf } from '../model/stepId.ts';
import { shop, cableWith, worked, at, clampOf, anyCable } from './travellerFixture.ts';

describe('in every traveller', () => {
  /** What must hold of any cable that can be made at all. */
  const always = (holds: (work: CableWork, cable: Cable) => boolean) => {
    let made = 0;
    fc.assert(
      fc.property(anyCable, (cable) => {
        const work = worked(cable);
        if (work.steps.length > 0) made += 1;
        return work.steps.length === 0 || holds(work, cable);
      }),
      { numRuns: cases(120) },
    );
    // A property that nothing reaches says nothing.
    expect(made).toBeGreaterThan(20);
  };
  test('each layer comes before the lug that would block it', () =>
    always(
      ({ steps }) =>
        steps.every(({ id }, i) => !HOLDS.includes(kindOf(id)) || at(steps, 'layers') < i) &&
        at(steps, 'layers') > at(steps, 'cut'),
    ));
  test('nothing is shrunk before what it covers is held, and nothing hot is covered', () =>
    always(({ steps }) =>
      steps.every(({ id, end: name }, i) => {
        if (kindOf(id) !== 'shrink') return true;
        return steps.every(
          (other, n) =>
            other.end !== name || kindOf(other.id) === 'shrink' || kindOf(other.id) === 'label' || n < i,
        );
      }),
    ));
  test('the second end is clocked before anything holds it', () =>
    always(({ steps }) => {
      const clock = steps.find(({ id }) => kindOf(id) === 'clock');
      if (!clock) return false;
      const own = steps.filter((step) => step.end === clock.end).map(({ id }) => kindOf(id));
      return own.findIndex((kind) => HOLDS.includes(kind)) > own.indexOf('clock');
    }));
  test('each step is there once, and each gate rests on steps before it', () =>
    always(({ steps }) => {
      const ids = steps.map(({ id }) => id);
      return (
        new Set(ids).size === ids.length &&
        steps.every(({ gates }, i) =>
          gates.every(({ needs }) => needs.every((id) => at(steps, id) >= 0 && at(steps, id) < i)),
        )
      );
    }));
  test('no flame comes before the hot-work list, and no lug before the layers are confirmed', () =>
    always(({ steps }) =>
      steps.every(({ id, gates }) => {
        const kind = kindOf(id);
        const asked = gates.map((gate) => gate.id);
        const flame = ['solder', 'slug', 'shrink'].includes(kind);
        return (!flame || asked.includes('hot work')) && (!HOLDS.includes(kind) || asked.includes('layers'));
      }),
    ));
  test('what is soldered never tins before a crimp, and cools before its sleeve', () =>
    always(({ steps, ends }) =>
      [ends.A, ends.B].every(({ name, method }) => {
        const own = steps.filter((step) => step.end === name);
        const first = (kind: string) => own.findIndex(({ id }) => kindOf(id) === kind);
        if (method === 'crimp then solder' && first('solder') < first('crimp')) return false;
        const shrink = own.find(({ id }) => kindOf(id) === 'shrink');
        const hot = method !== 'crimp' && method !== 'screwed';
        return (
          !hot || !shrink || shrink.gates.some(({ id, wait }) => id === 'cool' && (wait?.seconds ?? 0) > 60)
        );
      }),
    ));
  test('each step says why, and where it is dangerous says so', () =>
    always(({ steps }) =>
      steps.every(({ id, why, order, caution }) => {
        const dangerous = ['crimp', 'solder', 'slug', 'shrink', 'strip', 'cut', 'pull-through'].includes(
          kindOf(id),
        );
        return (
          tell(why) !== '' &&
          tell(order) !== '' &&
          (!dangerous || (caution !== undefined && CAUTION_IDS.includes(caution.of)))
        );
      }),
    ));
});

describe('the order of each way of making', () => {
  const order = (a: Partial<End>, b: Partial<End> = {}, more: Partial<Cable> = {}) =>
    worked(cableWith(a, b, more))
      .steps.filter(({ end: name }) => name === 'A')
      .map(({ id }) => kindOf(id))
      .filter((kind, i, all) => kind !== all[i - 1])
      .join(' ');
  test.each([
    ['crimp', { method: 'crimp' as const }, 'strip strands home crimp file shrink'],
    [
      'crimp, then solder',
      { method: 'crimp then solder' as const },
      'strip strands home crimp file solder cool shrink',
    ],
    ['solder alone', { method: 'solder' as const }, 'strip strands home solder cool shrink'],
    ['slug, then crimp', { method: 'slug then crimp' as const }, 'strip strands slug crimp file shrink'],
    ['a cast clamp', { lugId: clampOf('cast clamp')?.id ?? '' }, 'strip strands home solder cool shrink'],
    ['a screw clamp', { lugId: clampOf('screw clamp')?.id ?? '' }, 'strip strands screw shrink'],
  ])('%s', (_, a, kinds) => {
    const size = {
      system: 'metric' as const,
      name: shop.lugs.find(({ id }) => 'lugId' in a && id === a.lugId)?.forSize.name ?? '50',
    };
    const gauge = { kindId: 'tinned-marine', size: size as NonNullable<Cable['gauge']['size']> };
    expect(order(a, {}, { gauge })).toBe(kinds);
  });
  test('one end on the bench and one in place: the second is made behind the hole', () => {
    const cable = cableWith({}, { inPlace: { swingMm: 800, solidFloor: true } });
    const { steps } = worked({ ...cable, run: { ...cable.run, holeMm: 18, pulledEnd: 'B' } });
    const pull = at(steps, 'pull-through');
    expect(pull).toBeGreaterThan(at(steps, 'shrink.A'));
    expect(steps.findIndex(({ id }) => kindOf(id) === 'strip' && id.endsWith('.B'))).toBeGreaterThan(pull);
    expect(steps[pull]?.gates.map(({ id }) => id)).toContain('live');
  });
  test('an end on the bench is never offered a hammer where it lies without a floor', () => {
    const { ends } = worked(cableWith({ inPlace: { swingMm: 2000, solidFloor: false } }));
    expect(ends.A.tool?.kind).not.toBe('hammer');
    expect(ends.A.tool?.kind).not.toBe('bench hydraulic');
  });
});
