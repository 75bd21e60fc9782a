import { readFileSync } from 'node:fs';
import { tell } from '../words/message.ts';
import { inWords } from '../words/inWordsFixture.ts';
import { describe, expect, test } from '@jest/globals';
import { areaMm2 } from '../model/tables/size.ts';
import { jobFileSchema } from '../model/job.ts';
import { rememberDuty } from '../sizing/rememberDuty.ts';
import { practiceChange, underPractice } from './changes.ts';
import { CUSTOMARY_PRACTICE, type HousePractice, housePracticeSchema } from '../model/housePractice.ts';
import { QUESTIONS } from './questions.ts';

const { job, shop } = jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));
const followDuty = rememberDuty();
const now = underPractice(job, shop, shop.practice, followDuty);
const under = (change: Partial<HousePractice>) =>
  underPractice(job, shop, { ...shop.practice, ...change }, followDuty);
const changeTo = (change: Partial<HousePractice>) => practiceChange(job, now, under(change));

describe('the questions on which shops differ', () => {
  test('each has one answer that is taken, and taking another leaves a practice that is one', () => {
    for (const { answers } of QUESTIONS) {
      expect(answers.filter(({ taken }) => taken(CUSTOMARY_PRACTICE))).toHaveLength(1);
      for (const { take, taken } of answers) {
        const practice = housePracticeSchema.parse(take(CUSTOMARY_PRACTICE));
        expect(taken(practice)).toBe(true);
        expect(answers.filter((other) => other.taken(practice))).toHaveLength(1);
      }
    }
  });

  test('taking an answer changes nothing else, and ids are unique', () => {
    const ids = QUESTIONS.flatMap(({ answers }) => answers.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    const answer = QUESTIONS.find(({ id }) => id === 'crimps')?.answers[0];
    expect(answer?.take(CUSTOMARY_PRACTICE)).toEqual({ ...CUSTOMARY_PRACTICE, crimps: 1 });
  });
});

describe('what another practice changes on the canal boat', () => {
  test('the same practice changes nothing', () => {
    expect(changeTo({})).toEqual({ count: 0, cables: [], price: 0, massG: 0, steps: 0, fails: 0 });
  });

  test('one size up: cables without a said size get thicker, heavier and dearer', () => {
    const { count, cables, price, massG } = changeTo({ oneSizeUp: true });
    expect(count).toBeGreaterThan(0);
    expect(price).toBeGreaterThan(0);
    expect(massG).toBeGreaterThan(0);
    expect(inWords(cables[0]?.instead[0])).toMatchObject({ what: 'size', from: '70 mm²', to: '95 mm²' });
    const thicker = under({ oneSizeUp: true }).works;
    now.works.forEach(({ choice }, i) => {
      const then = thicker[i]?.choice.taken.at.size;
      expect(then && areaMm2(then)).toBeGreaterThanOrEqual(areaMm2(choice.taken.at.size));
    });
  });

  test('solder after the crimp: two more steps at each crimped end, and solder to carry', () => {
    const { count, steps, massG } = changeTo({ method: 'crimp then solder' });
    expect(count).toBe(job.cables.length);
    expect(steps).toBe(4 * job.cables.length);
    expect(massG).toBeGreaterThan(0);
  });

  test('one crimp instead of two: one step fewer an end, said once for both ends and all cables alike', () => {
    const { count, cables, steps } = changeTo({ crimps: 1 });
    const second = now.works.flatMap(({ steps: all }) => all.filter(({ id }) => id.startsWith('crimp-2.')));
    expect(steps).toBe(-second.length);
    expect(cables.length).toBeLessThan(count);
    expect(cables.flatMap(({ tags }) => tags)).toHaveLength(count);
    expect(tell(cables[0]?.instead[0]?.what)).toBe('crimps A and B');
  });

  test('a torch for a gun: the step says so, where no part of the cable tells it', () => {
    const { cables, price } = changeTo({ shrinkBy: 'torch' });
    expect(price).toBe(0);
    expect(tell(cables[0]?.instead[0]?.from)).toContain('heat gun');
    expect(tell(cables[0]?.instead[0]?.to)).toContain('torch');
  });

  test('a heavier pull: what was proved by the least is not proved by it', () => {
    const { cables } = changeTo({ pull: 'heaviest' });
    expect(inWords(cables.flatMap(({ instead }) => instead))).toContainEqual(
      expect.objectContaining({ from: 'passes', to: 'not proved' }),
    );
  });

  test('there and back again sums to nothing', () => {
    const there = under({ oneSizeUp: true, method: 'solder' });
    const back = practiceChange(job, there, now);
    const forth = practiceChange(job, now, there);
    expect(back.price).toBeCloseTo(-forth.price, 6);
    expect(back.massG).toBeCloseTo(-forth.massG, 6);
    expect(back.steps).toBe(-forth.steps);
    expect(back.fails + forth.fails).toBe(0);
  });
});
