import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, shallowRef } from 'vue';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Job } from '../../core/model/job.ts';
import { emptyJob, newCable } from '../../core/model/newCable.ts';
import { workUp } from '../../core/workup.ts';
import { useTotals } from './useTotals.ts';

const shop = genericShop();
const jobOf = (count: number, lengthMm = 1000): Job => ({
  ...emptyJob('j', 'Job'),
  cables: Array.from({ length: count }, (_, i) => {
    const cable = newCable(`c${i}`, `C-${i}`, shop);
    const ends = { A: { at: 'bus', stud: 'M8' }, B: { at: 'load', stud: 'M8' } } as const;
    return { ...cable, ends, run: { ...cable.run, lengthMm: lengthMm + i } };
  }),
});

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

describe('what the cables of a job come to', () => {
  const totalsOf = (first: Job) => {
    const job = shallowRef(first);
    const scope = effectScope();
    const totals = scope.run(() => useTotals(() => ({ job: job.value, shop })));
    return { job, scope, value: () => totals?.value ?? null };
  };

  test('a job just opened is shown first, and added up after that', () => {
    const whole = jobOf(4);
    const { scope, value } = totalsOf(whole);
    expect(value()).toBeNull();
    jest.runAllTimers();
    const { finishedMm, massKg } = workUp(whole, shop);
    expect(value()).toMatchObject({ finishedMm, massKg, proved: 0, cut: 0, overdue: 0 });
    scope.stop();
  });

  test('a short job is added up at once as it is edited', async () => {
    const { job, scope, value } = totalsOf(jobOf(3));
    jest.runAllTimers();
    job.value = jobOf(3, 2000);
    await nextTick();
    expect(value()?.finishedMm).toBe(workUp(job.value, shop).finishedMm);
    scope.stop();
  });

  test('a long one waits for a pause, and then is the same sum', async () => {
    const { job, scope, value } = totalsOf(jobOf(60));
    jest.runAllTimers();
    const before = value()?.finishedMm;
    job.value = jobOf(60, 2000);
    await nextTick();
    expect(value()?.finishedMm).toBe(before);
    jest.runAllTimers();
    expect(value()?.finishedMm).toBe(workUp(job.value, shop).finishedMm);
    scope.stop();
  });

  test('adding up ends with the rack', () => {
    const { scope, value } = totalsOf(jobOf(5));
    scope.stop();
    jest.runAllTimers();
    expect(value()).toBeNull();
  });
});
