import { readFileSync } from 'node:fs';
import { tell } from './words/message.ts';
import { describe, expect, test } from '@jest/globals';
import { cases } from './lib/casesFixture.ts';
import { build } from 'esbuild';
import fc from 'fast-check';
import { genericShop } from './model/catalogue/genericShop.ts';
import { STUD_NAMES } from './model/tables/studs.ts';
import { type Cable, STAGES } from './model/cable.ts';
import { jobFileSchema } from './model/job.ts';
import { dutyCycle } from './sizing/dutyCycle.ts';
import type { FollowDuty } from './sizing/assess.ts';
import { newCable } from './model/newCable.ts';
import { findingsAt, workedOut, workUp, workUpCable } from './workup.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const work = workUp(job, shop);
const of = (tag: string) => {
  const index = job.cables.findIndex((cable) => cable.tag === tag);
  const found = work.cables[index];
  if (!found) throw new Error(`no ${tag}`);
  return found;
};

describe('the demo job', () => {
  test('has one cable proved, one that fails, one only simulated', () => {
    expect(of('SO-1').verdict.state).toBe('holds');
    expect(of('IN-1').verdict.state).toBe('fails');
    expect(of('BK-1').verdict.state).toBe('unproved');
    expect(work.proved).toBe(1);
  });
  test('the bad crimp is found by across flats, pull, look and resistance', () => {
    const failing = of('IN-1')
      .findings.filter(({ state }) => state === 'fails')
      .map(({ id }) => id);
    expect(failing.sort()).toEqual(['across-flats.B', 'look.B', 'pull.B', 'resistance']);
  });
  test('its cables stand at different stages', () => {
    const reached = work.cables.map(({ stages }) => STAGES.filter((stage) => stages[stage].done).length);
    expect(new Set(reached).size).toBeGreaterThanOrEqual(5);
  });
  test('the whole work-up is plain data, what is worked out when it is read included', () => {
    const cable = job.cables[0] as Cable;
    const lazy = workUpCable(cable, shop);
    expect(structuredClone(lazy)).toEqual(structuredClone(workedOut(workUpCable(cable, shop))));
    expect(Object.keys(structuredClone(lazy))).toEqual(
      expect.arrayContaining(['steps', 'findings', 'stages']),
    );
  });
  test('what one stage found by itself is what all found of it, in whichever order they are asked', () => {
    for (const cable of job.cables) {
      const whole = workUpCable(cable, shop).findings;
      fc.assert(
        fc.property(fc.shuffledSubarray([...STAGES]), (asked) => {
          const lazy = workUpCable(cable, shop);
          for (const stage of asked)
            expect(findingsAt(lazy, stage)).toEqual(whole.filter((finding) => finding.stage === stage));
          expect(lazy.findings).toEqual(whole);
        }),
        { numRuns: 5 },
      );
    }
  });
});

describe('every finding of every cable', () => {
  const findings = work.cables.flatMap((cable) => cable.findings);
  test('can be opened to formula and source, and says why', () => {
    for (const { work: shown, because } of findings) {
      expect(tell(shown.formula)).not.toBe('');
      expect(tell(shown.source)).not.toBe('');
      expect(tell(because)).not.toBe('');
    }
  });
  test('holds no NaN and no endless figure', () => {
    for (const { value, use } of findings) {
      expect(value === null || Number.isFinite(value)).toBe(true);
      expect(use === undefined || Number.isFinite(use)).toBe(true);
    }
  });
  test('has an id of its own within its cable', () => {
    for (const cable of work.cables) {
      const ids = cable.findings.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });
  test('that fails says what to do, or holds both figures in its reason', () => {
    for (const { state, remedy, because } of findings.filter((finding) => finding.state === 'fails')) {
      expect(state === 'fails' && (tell(remedy) !== '' || tell(because).length > 8)).toBe(true);
    }
  });
});

describe('the steps of making a cable', () => {
  const generic = genericShop();
  const kinds = generic.cableKinds.flatMap((kind) =>
    kind.sizes.map(({ size }) => ({ kindId: kind.id, size })),
  );
  const anyCable = fc.record({
    gauge: fc.constantFrom(...kinds),
    studs: fc.tuple(fc.constantFrom(...STUD_NAMES), fc.constantFrom(...STUD_NAMES)),
    crimps: fc.constantFrom(1 as const, 2 as const),
  });
  test('every layer goes on before any lug, both ends are crimped before a sleeve is shrunk', () => {
    fc.assert(
      fc.property(anyCable, ({ gauge, studs: [a, b], crimps }) => {
        const cable = {
          ...newCable('c', 'C-1', generic),
          gauge,
          ends: { A: { at: '', stud: a, crimps }, B: { at: '', stud: b, crimps } },
        };
        const { steps, ends } = workUpCable(cable, generic);
        const isReady = [ends.A, ends.B].every(({ lug, die, sleeve }) => lug && die && sleeve);
        if (!isReady) return steps.length === 0;
        const at = (id: string) => steps.findIndex((step) => step.id === id);
        const last = (stem: string) =>
          steps.reduce((found, { id }, i) => (id.startsWith(stem) ? i : found), -1);
        return (
          at('layers') > at('cut') &&
          at('layers') < at('home.A') &&
          at('layers') < at('home.B') &&
          at('clock.B') > at('home.B') &&
          at('clock.B') < at('crimp-1.B') &&
          last('crimp') < at('shrink.A') &&
          new Set(steps.map(({ id }) => id)).size === steps.length
        );
      }),
      { numRuns: cases(60) },
    );
  });
  test('carry this cable’s own figures', () => {
    const { steps, lengths, ends } = of('EN-1');
    const figure = (id: string) => steps.find((step) => step.id === id)?.figure?.value;
    expect(figure('cut')).toBe(lengths?.cutMm);
    expect(figure('strip.A')).toBe(ends.A.stripMm);
    // Palm end first, by this shop's practice.
    expect(figure('crimp-1.B')).toBe(ends.B.crimps[1]);
    expect(figure('crimp-2.B')).toBe(ends.B.crimps[0]);
    expect(figure('shrink.A')).toBe(ends.A.sleeve?.coverMm);
    expect(figure('clock.B')).toBe(45);
  });
});

describe('the core stands alone', () => {
  test('it bundles without a browser, without Node, and with nothing but Zod, ml-matrix and tinyqueue', async () => {
    const { metafile, errors } = await build({
      entryPoints: [
        'core/workup.ts',
        'core/model/file.ts',
        'core/model/catalogue/genericShop.ts',
        'core/log/record.ts',
      ],
      bundle: true,
      write: false,
      metafile: true,
      platform: 'neutral',
      mainFields: ['module', 'main'],
      outdir: 'unused',
      logLevel: 'silent',
    });
    expect(errors).toEqual([]);
    const outside = Object.keys(metafile.inputs).filter(
      (path) =>
        !/^(core|node_modules\/(zod|tinyqueue|ml-matrix|ml-array-rescale|ml-array-max|ml-array-min|is-any-array))\//.test(
          path,
        ),
    );
    expect(outside).toEqual([]);
  });
});

describe('a duty that is answered later', () => {
  const cable = job.cables.find(({ run }) => run.duty) as Cable;
  const decided = {
    ...cable,
    gauge: { ...cable.gauge, size: workUpCable(cable, shop).choice.taken.at.size },
  };
  const pendingIn = ({ choice }: ReturnType<typeof workUpCable>) =>
    choice.candidates.filter(({ at }) => at.duty?.cycle === null).length;
  test.each([true, false])('reaches the sizes beside a decided one, read before it: %s', (isRead) => {
    let isKnown = false;
    const followDuty: FollowDuty = (...asked) => (isKnown ? dutyCycle(...asked) : null);
    const before = workUpCable(decided, shop, { followDuty });
    expect(before.choice.taken.at.duty?.cycle).toBeNull();
    if (isRead) expect(pendingIn(before)).toBeGreaterThan(1);
    isKnown = true;
    expect(pendingIn(workUpCable(decided, shop, { followDuty }))).toBe(0);
  });
  test('is not taken for answered because the decided size had its answer', () => {
    let known = 1;
    const followDuty: FollowDuty = (...asked) => (known-- > 0 ? dutyCycle(...asked) : null);
    const first = workUpCable(decided, shop, { followDuty });
    expect(first.choice.taken.at.duty?.cycle).not.toBeNull();
    expect(pendingIn(first)).toBeGreaterThan(1);
    known = Infinity;
    expect(pendingIn(workUpCable(decided, shop, { followDuty }))).toBe(0);
  });
});
