import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../lib/casesFixture.ts';
import { emptyJob } from '../model/newCable.ts';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { cableSchema } from '../model/cable.ts';
import { jobSchema } from '../model/job.ts';
import {
  OLD_CABLE_MARKS,
  OLD_END_MARKS,
  oldCableSchema,
  type OldCable,
  type OldCableMark,
  type OldEndMark,
} from '../model/survey.ts';
import { tell } from '../words/message.ts';
import { kitOf } from '../cutting/kit.ts';
import { workUp } from '../workup.ts';
import { isQuestionable, judgeOld, OLD_VERDICTS } from './oldVerdict.ts';
import { replacing, withNew } from './makeNew.ts';
import { newOld } from './newOld.ts';

const shop = genericShop();
const seen = (...marks: OldEndMark[]) => ({ at: 'a', marks, seen: true });
const old = (a = seen(), b = seen(), marks: OldCableMark[] = [], more: Partial<OldCable> = {}): OldCable => ({
  ...newOld('o', [], { at: '2026-11-30T09:00:00Z', by: 'Wren' }),
  marks,
  ends: { A: a, B: b },
  ...more,
});
const verdict = (...of: Parameters<typeof old>) => judgeOld(old(...of)).verdict;

describe('an old cable, by eye', () => {
  test('what is seen decides, the heaviest first, and two ends to be made anew are a new cable', () => {
    expect(verdict()).toBe('keep');
    expect(verdict(seen('loose'))).toBe('mend');
    expect(verdict(seen('loose', 'strands cut'))).toBe('remake');
    expect(verdict(seen('green'), seen('wrong hole'))).toBe('replace');
    expect(verdict(seen(), seen(), ['chafed'])).toBe('replace');
    expect(tell(judgeOld(old(seen('loose', 'wrong hole'))).because)).toMatch(
      /^End A, wrong hole.*never drill/,
    );
  });
  test('what was not looked at may not stay, whatever the other end is', () => {
    const blind = { at: '', marks: [], seen: false };
    expect(verdict(seen(), blind)).toBe('unseen');
    expect(verdict(seen('no boot'), blind)).toBe('unseen');
    expect(verdict(seen('green'), blind)).toBe('remake');
    expect(tell(judgeOld(old(seen(), blind)).because)).toBe('Not inspected yet: end B.');
  });
  const endMarks = fc.uniqueArray(fc.constantFrom(...(Object.keys(OLD_END_MARKS) as OldEndMark[])));
  const anyOld = fc
    .record({
      a: endMarks,
      b: endMarks,
      marks: fc.uniqueArray(fc.constantFrom(...(Object.keys(OLD_CABLE_MARKS) as OldCableMark[]))),
      looked: fc.boolean(),
      lengthMm: fc.option(fc.integer({ min: 60, max: 9000 }), { nil: undefined }),
      size: fc.option(fc.constantFrom('16', '35', '70', '120'), { nil: undefined }),
      tag: fc.string({ minLength: 1, maxLength: 60 }).filter((text) => text.trim().length > 0),
    })
    .map(({ a, b, marks, looked, lengthMm, size, tag }) =>
      old({ at: 'x', marks: a, seen: looked }, { at: 'y', marks: b, seen: true }, marks, {
        tag,
        ...(lengthMm !== undefined && { lengthMm }),
        ...(size && { size: { system: 'metric', name: size } }),
      }),
    );
  test('one thing more that is seen never makes a verdict better', () => {
    fc.assert(
      fc.property(anyOld, fc.constantFrom(...(Object.keys(OLD_END_MARKS) as OldEndMark[])), (own, mark) => {
        const worse = {
          ...own,
          ends: { ...own.ends, A: { ...own.ends.A, marks: [...own.ends.A.marks, mark], seen: true } },
        };
        const rank = (of: OldCable) => OLD_VERDICTS.indexOf(judgeOld(of).verdict);
        // Looking at an end and finding something small is better than not having looked.
        const before = judgeOld(own).verdict === 'unseen' ? 0 : rank(own);
        expect(rank(worse)).toBeGreaterThanOrEqual(before);
      }),
      { numRuns: cases(500) },
    );
  });
  test('whatever is made new can be read again, has its length, size and ends, and is made once', () => {
    fc.assert(
      fc.property(fc.array(anyOld, { maxLength: 5 }), (list) => {
        const olds = list.map((own, i) => ({ ...own, id: `o${i}` }));
        const job = { ...emptyJob('j', 'J'), survey: olds };
        expect(jobSchema.safeParse(job).success).toBe(true);
        let n = 0;
        const made = withNew(job, olds, shop, () => `n${(n += 1)}`);
        expect(jobSchema.safeParse(made).success).toBe(true);
        expect(new Set(made.cables.map(({ tag }) => tag)).size).toBe(olds.length);
        for (const [i, cable] of made.cables.entries()) {
          expect(cableSchema.safeParse(cable).success).toBe(true);
          expect([cable.ends.A.at, cable.ends.B.at]).toEqual(['x', 'y']);
          expect(cable.gauge.size).toEqual(olds[i]?.size);
          if (olds[i]?.lengthMm !== undefined) expect(cable.run.lengthMm).toBe(olds[i]?.lengthMm);
        }
        expect(withNew(made, made.survey ?? [], shop, () => 'again')).toEqual(made);
        expect((made.survey ?? []).filter(isQuestionable)).toEqual([]);
      }),
      { numRuns: cases(100) },
    );
  });
  test('replacing everything questionable costs the kit of the cables that are made', () => {
    const olds = [
      old(seen('green'), seen('hot'), [], {
        id: 'a',
        tag: 'Old-1',
        lengthMm: 2400,
        size: { system: 'metric', name: '35' },
      }),
      old(seen('loose'), seen(), [], { id: 'b', tag: 'Old-2' }),
      old(seen(), seen(), ['chafed'], { id: 'c', tag: 'Old-3' }),
    ];
    const job = { ...emptyJob('j', 'J'), survey: olds };
    const all = replacing(job, shop);
    expect(all.olds.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(all.assumed).toEqual(['Old-3']);
    let n = 0;
    const made = withNew(job, all.olds, shop, () => `n${(n += 1)}`);
    const works = workUp({ ...made, survey: [] }, shop).cables;
    const kit = kitOf(
      made.cables.flatMap((cable, i) => (works[i] ? [{ cable, work: works[i], key: cable.id }] : [])),
      shop,
    );
    expect(all.price).toBeCloseTo(kit.price, 6);
    expect(all.price).toBeGreaterThan(20);
    // The price opens to every line that it is the sum of.
    expect(all.finding.value).toBe(all.price);
    expect(all.finding.work.substituted).toHaveLength(kit.lines.length + 1);
    expect(replacing(made, shop).olds).toEqual([]);
  });
  test('a new one to look at is a sound entry', () =>
    expect(
      oldCableSchema.safeParse(newOld('x', ['Old-9'], { at: '2026-11-30T09:00:00Z', by: '' })).success,
    ).toBe(true));
});
