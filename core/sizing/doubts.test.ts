import { describe, expect, test } from '@jest/globals';
import { genericShop } from '../model/catalogue/genericShop.ts';
import { newCable } from '../model/newCable.ts';
import { tell } from '../words/message.ts';
import { workUpCable } from '../workup.ts';
import { ampsDoubts } from './doubts.ts';

const shop = genericShop();
/** A cable of 100 A over so many metres and back, where so much drop is allowed. */
const worked = (lengthM: number, dropPercent: number) => {
  const cable = newCable('c', 'C-1', shop);
  const { findings, choice } = workUpCable(
    {
      ...cable,
      gauge: { ...cable.gauge, size: { system: 'metric', name: '35' } },
      run: {
        ...cable.run,
        systemV: 12,
        load: { kind: 'amps', amps: 100 },
        lengthMm: lengthM * 1000,
        return: { kind: 'cable', lengthMm: lengthM * 1000 },
        dropPercent,
      },
    },
    shop,
  );
  const drop = findings.find(({ topic }) => topic === 'drop');
  if (!drop) throw new Error('a cable has a drop');
  return { drop, findings, choice };
};

describe('a drop and what it goes by', () => {
  const { drop } = worked(2, 10);
  const value = drop.value ?? 0;
  const off = drop.uncertainty ?? 0;

  test('is known to some per cent of itself, and its work says by what', () => {
    expect(drop.state).toBe('holds');
    expect(off / value).toBeGreaterThan(0.02);
    expect(off / value).toBeLessThan(0.1);
    expect(tell(drop.work.substituted.at(-1))).toMatch(/^may be off by .*: .*length \+ 2 %.*/);
  });
  test('within that of its limit it is close, past it it fails, clear of it it holds', () => {
    const states = [value - 0.001, value + 0.5 * off, value + 1.5 * off + 0.2 * value].map(
      (limit) => worked(2, limit).drop.state,
    );
    expect(states).toEqual(['fails', 'watch', 'holds']);
    const near = worked(2, value + 0.5 * off).drop;
    expect(near.close).toBe(true);
    expect(tell(near.remedy)).toMatch(/^To be sure: /);
  });
  test('names the length of a long run, the joints of a short one', () => {
    const first = (lengthM: number) =>
      tell(worked(lengthM, 10).drop.work.substituted.at(-1)).replace(/^may be off by [^:]*: /, '');
    expect(first(0.3)).toMatch(/^joints/);
    expect(first(6)).toMatch(/^(air|length)/);
  });
  test('no size proposed is another because it is close', () => {
    const proposed = (dropPercent: number) => worked(2, dropPercent).choice.smallest?.at.size.name;
    expect(proposed(value + 0.001)).toBe(proposed(value + 0.9 * off));
  });
});

describe('amps against a school', () => {
  test('in air five degrees hotter are worth more, the more the nearer the air is to the limit', () => {
    const off = (airC: number) => ampsDoubts(100, airC, 90)[0]?.off ?? 0;
    expect(off(30)).toBeCloseTo(100 * (Math.sqrt(60 / 55) - 1), 9);
    expect(off(70)).toBeGreaterThan(off(30));
    // Air as hot as the limit leaves nothing to doubt.
    expect(ampsDoubts(100, 88, 90)).toEqual([]);
  });
});

describe('how hot it gets', () => {
  test('is known to five degrees of air and a tenth of its rise', () => {
    const settled = worked(2, 10).findings.find(({ topic }) => topic === 'settled');
    const rise = (settled?.value ?? 0) - 30;
    expect(settled?.uncertainty ?? 0).toBeGreaterThan(5);
    expect(settled?.uncertainty ?? 0).toBeLessThan(5 + 0.1 * rise + 1);
  });
});
