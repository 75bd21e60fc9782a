import { describe, expect, test } from '@jest/globals';
import { tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import fc from 'fast-check';
import { genericShop } from '../model/catalogue/genericShop.ts';
import type { Cable } from '../model/cable.ts';
import type { EndName } from '../model/end.ts';
import { newCable } from '../model/newCable.ts';
import type { Trial } from '../model/shop.ts';
import { METHODS, type Method } from '../model/housePractice.ts';
import { workUpCable } from '../workup.ts';
import { batchOf } from './batch.ts';
import { faultsAt } from './mishaps.ts';
import { practiceBegins, practiceEnds, stillToPractise, toPractise } from './practise.ts';
import { actOf, isPractising, kindOf } from '../model/stepId.ts';

const shop = genericShop();
const by = { at: '2026-11-25T10:00:00.000Z', by: 'R. Alder' };

function cableBy(method: Method, done: readonly string[] = []): Cable {
  const base = newCable('c', 'C-1', shop);
  return {
    ...base,
    gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: '50' } },
    run: { ...base.run, load: { kind: 'amps', amps: 60 } },
    ends: { A: { at: 'bus', stud: 'M8', method }, B: { at: 'load', stud: 'M8', method } },
    done: done.map((step) => ({ step, ...by })),
  };
}
const workOf = (cable: Cable, own = shop) => workUpCable(cable, own);

describe('a practice piece', () => {
  test('comes before everything else, in the order of the end it is for, and ends in a trial', () => {
    const { steps } = workOf(cableBy('crimp', [practiceBegins('A')]));
    expect(steps.slice(0, 8).map(({ id }) => id)).toEqual([
      'practise-piece.A',
      'practise-strip.A',
      'practise-strands.A',
      'practise-home.A',
      'practise-crimp-1.A',
      'practise-crimp-2.A',
      'practise-file.A',
      'practise-trial.A',
    ]);
    expect(steps[8]?.id).toBe('lay-out');
    expect(actOf(steps[4] ?? { id: '' })).toBe('crimp');
  });

  test('by any method with a die: the cable’s own steps stay as they were', () => {
    fc.assert(
      fc.property(fc.constantFrom(...METHODS), fc.constantFrom<EndName>('A', 'B'), (method, end) => {
        const plain = workOf(cableBy(method)).steps;
        const practised = workOf(cableBy(method, [practiceBegins(end)])).steps;
        const own = practised.filter((step) => !isPractising(step));
        expect(own.map(({ id, order }) => [id, order])).toEqual(plain.map(({ id, order }) => [id, order]));
        const pieces = practised.filter(isPractising);
        expect(pieces.length === 0).toBe(method === 'solder');
        // Nothing of it holds the cable itself, asks for a reading of it, or can lose its end.
        expect(pieces.every((step) => step.ask === undefined && faultsAt(step).length === 0)).toBe(true);
        expect(practised.slice(0, pieces.length)).toEqual(pieces);
        // A flame is a flame, on a spare too.
        const flames = pieces.filter((step) => ['solder', 'slug'].includes(actOf(step)));
        expect(flames.every(({ gates }) => gates.some(({ list }) => list === 'hot work'))).toBe(true);
      }),
    );
  });

  test('begun, it stands before the first crimp as a gate; not begun, there is none', () => {
    const gates = (done: readonly string[]) =>
      workOf(cableBy('crimp', done))
        .steps.find(({ id }) => id === 'crimp-1.A')
        ?.gates.filter(({ id }) => id === 'tried');
    expect(gates([])).toEqual([]);
    expect(inWords(gates([practiceBegins('A')]))).toEqual([
      { id: 'tried', says: 'tried on a spare', needs: [practiceEnds('A')], isJudgement: true },
    ]);
  });

  test('is offered until a trial is written down, a lug is held, or it is under way', () => {
    const open = cableBy('crimp');
    const work = workOf(open);
    const { lug, die } = work.ends.A;
    if (!lug || !die) throw new Error('this end should be ready');
    expect(stillToPractise(open, work, shop)).toMatchObject([{ ends: ['A', 'B'], die: { id: die.die.id } }]);
    expect(stillToPractise(cableBy('crimp', [practiceBegins('A')]), work, shop)).toEqual([]);
    expect(stillToPractise(cableBy('crimp', ['crimp-1.A']), work, shop)).toEqual([]);
    const trial: Trial = {
      id: 't',
      ...by,
      dieId: die.die.id,
      lugId: lug.id,
      size: { system: 'metric', name: '50' },
      acrossFlatsMm: die.die.acrossFlatsMm,
      earsMm: 0.2,
      source: 'typed',
    };
    const tried = { ...shop, trials: [trial] };
    expect(stillToPractise(open, workOf(open, tried), tried)).toEqual([]);
    expect(toPractise(workOf(open, tried), tried)).toEqual([]);
  });

  test('in a batch it is made in one go with its die, before anything is cut', () => {
    const cable = cableBy('crimp', [practiceBegins('A')]);
    const phases = batchOf([{ key: 'c', cable, work: workOf(cable) }]);
    expect(tell(phases[0]?.title)).toBe('Try on a spare, end A');
    expect(tell(phases[0]?.tool)).not.toBe('');
    expect(phases[0]?.items.every(({ step }) => isPractising(step))).toBe(true);
    expect(
      phases
        .slice(1)
        .flatMap(({ items }) => items)
        .some(({ step }) => isPractising(step)),
    ).toBe(false);
  });
});

describe('how long a step takes', () => {
  const takes = (method: Method, shrinkBy: 'heat gun' | 'torch', size = '50' as const) => {
    const cable = {
      ...cableBy(method),
      gauge: { kindId: 'tinned-marine', size: { system: 'metric', name: size } },
    };
    const own = { ...shop, practice: { ...shop.practice, shrinkBy } };
    return workOf(cable as Cable, own).steps.flatMap(({ id, takes: own }) => (own ? [{ id, own }] : []));
  };
  const ofKind = (list: ReturnType<typeof takes>, kind: string) =>
    list.find(({ id }) => kindOf(id) === kind)?.own.value ?? 0;

  test('is known of every step with heat in it, and of no other', () => {
    expect([...new Set(takes('crimp then solder', 'heat gun').map(({ id }) => kindOf(id)))]).toEqual([
      'solder',
      'cool',
      'shrink',
    ]);
    expect(new Set(takes('crimp', 'heat gun').map(({ id }) => kindOf(id)))).toEqual(new Set(['shrink']));
  });

  test('a sleeve on 50 mm² wants about a minute of a gun, less of a torch', () => {
    const gun = ofKind(takes('crimp', 'heat gun'), 'shrink');
    expect(gun).toBeGreaterThan(30);
    expect(gun).toBeLessThan(90);
    expect(ofKind(takes('crimp', 'torch'), 'shrink')).toBeLessThan(gun);
  });

  test('its work opens to formula, numbers and source', () => {
    for (const { own } of takes('crimp then solder', 'torch')) {
      expect(tell(own.work.formula)).toContain('t');
      expect(tell(own.work.substituted.at(-1))).toMatch(/t = \d/);
      expect(tell(own.work.source)).toContain('confidence low');
    }
  });
});
