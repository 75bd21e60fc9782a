import { describe, expect, test } from '@jest/globals';
import { tell } from '../../words/message.ts';
import { STUDS } from '../../model/tables/studs.ts';
import type { Cable } from '../../model/cable.ts';
import type { End } from '../../model/end.ts';
import type { Job } from '../../model/job.ts';
import { contextOf } from '../../jobContext.ts';
import { workUp } from '../../workup.ts';
import { shop, base, cableWith, work, found } from '../endsFixture.ts';

describe('battery posts', () => {
  const positive = { kind: 'large taper', polarity: 'positive' } as const;
  test('a taper gets a clamp bored for its kind and pole, soldered; a ring lug is refused', () => {
    const { ends, findings } = work(cableWith({ post: positive }, { polarity: 'positive' }));
    expect(ends.A.lug).toMatchObject({ form: 'cast clamp', clamp: { post: positive } });
    expect(ends.A.method).toBe('solder');
    expect(found(findings, 'post.A').state).toBe('holds');
  });
  test('the clamp of the other pole, and the cable of the other pole, fail', () => {
    const negative = shop.lugs.find(
      ({ clamp, form }) => clamp?.post.polarity === 'negative' && form === 'cast clamp',
    );
    const wrong = work(cableWith({ post: positive, lugId: negative?.id }));
    expect(tell(found(wrong.findings, 'post.A').because)).toMatch(/Bored for large taper, negative/);
    const black = work(cableWith({ post: positive }, { polarity: 'negative' }));
    expect(found(black.findings, 'post.A').state).toBe('fails');
  });
  test('an adapter turns the post into a stud; one from another post fails', () => {
    const { ends, findings } = work(cableWith({ post: positive, adapter: 'large-to-m10' }));
    expect(ends.A.meets).toEqual({ kind: 'stud', stud: 'M10' });
    expect(ends.A.lug?.form).toBe('tube');
    expect(found(findings, 'adapter.A').state).toBe('holds');
    const other = work(cableWith({ post: positive, adapter: 'small-to-m8' }));
    expect(found(other.findings, 'adapter.A').state).toBe('fails');
  });
  test('a screw clamp has a date, and comes back as due', () => {
    const screw = shop.lugs.find(
      ({ form, clamp }) => form === 'screw clamp' && clamp?.post.polarity === 'positive',
    );
    const end = { post: positive, lugId: screw?.id };
    const state = (more: Partial<End>, today: string | null) =>
      found(work(cableWith({ ...end, ...more }), shop, today).findings, 'temporary.A').state;
    const temporary = { fitted: '2026-11-01', replaceBy: '2026-12-01' };
    expect(state({}, '2026-11-25')).toBe('fails');
    expect(state({ temporary }, '2026-11-25')).toBe('watch');
    expect(state({ temporary }, '2026-12-01')).toBe('fails');
    expect(state({ temporary }, null)).toBe('watch');
  });
  test('two cables on one post want a clamp made for two', () => {
    const one = { ...cableWith({ at: 'Start battery +', post: positive }), id: 'one' };
    const two = { ...one, id: 'two', tag: 'C-2' };
    const job: Job = { id: 'j', title: 'j', subtitle: '', cables: [one, two], studs: [], heeded: [] };
    const [first] = workUp(job, shop).cables;
    expect(found(first?.findings ?? [], 'post-shared.A').state).toBe('fails');
    const forTwo = shop.lugs.find(({ clamp }) => clamp?.cables === 2 && clamp.post.polarity === 'positive');
    const both = {
      ...job,
      cables: [one, two].map((cable) => ({
        ...cable,
        ends: { ...cable.ends, A: { ...cable.ends.A, lugId: forTwo?.id } },
      })),
    };
    expect(found(workUp(both as Job, shop).cables[0]?.findings ?? [], 'post-shared.A').state).toBe('holds');
  });
});

describe('everything on one stud', () => {
  const lug = (amps: number, id: string): Cable => ({
    ...cableWith({ studId: 'bus', lugId: 'compression-metric-70-m10' }),
    id,
    tag: id.toUpperCase(),
    run: { ...base.run, load: { kind: 'amps', amps }, lengthMm: 2000 },
  });
  const jobOf = (amps: readonly number[], stud: Partial<Job['studs'][number]> = {}): Job => ({
    id: 'j',
    title: 'j',
    subtitle: '',
    cables: amps.map((a, i) => lug(a, `c${i}`)),
    studs: [{ id: 'bus', name: 'Bus +', stud: 'M10', springWasher: false, others: [], ...stud }],
    heeded: [],
  });
  const first = (job: Job) => workUp(job, shop).cables[0]?.findings ?? [];
  test('is stacked by amps, the largest at the face, with the thread it needs', () => {
    const { stacks } = workUp(jobOf([40, 150]), shop).cables[0] ?? {};
    expect(stacks?.A?.members.map(({ label }) => label)).toEqual(['C1 A', 'C0 A']);
    const { washerMm, nutMm, pitchMm } = STUDS.M10;
    const needs = 2 * 5 + washerMm + nutMm + 1.5 * pitchMm;
    expect(found(first(jobOf([40, 150])), 'stack.A').value).toBeCloseTo(needs, 9);
    expect(found(first(jobOf([40, 150], { lengthMm: needs + 0.1 })), 'stack.A').state).toBe('holds');
    expect(found(first(jobOf([40, 150], { lengthMm: needs - 0.1 })), 'stack.A').state).toBe('fails');
    expect(found(first(jobOf([40, 150], { springWasher: true })), 'stack.A').value).toBeCloseTo(
      needs + washerMm,
      9,
    );
  });
  test('an order with less at the face, five lugs, or two sizes of stud fail', () => {
    expect(found(first(jobOf([40, 150], { order: ['c0.A', 'c1.A'] })), 'stack-order.A').state).toBe('fails');
    expect(found(first(jobOf([10, 20, 30, 40])), 'stack-count.A').state).toBe('holds');
    expect(found(first(jobOf([10, 20, 30, 40, 50])), 'stack-count.A').state).toBe('fails');
    expect(found(first(jobOf([10, 20], { stud: 'M8' })), 'stack-stud.A').state).toBe('fails');
  });
  test('what is stacked above flows through the face too; an undecided neighbour is not proved', () => {
    const contact = found(first(jobOf([150, 40])), 'contact.A');
    expect(contact.value).toBeCloseTo(190 / ((Math.PI / 4) * (20 ** 2 - 10.5 ** 2)), 6);
    const job = jobOf([40, 150]);
    const [a, b] = job.cables as [Cable, Cable];
    const open = {
      ...job,
      cables: [a, { ...b, ends: { ...b.ends, A: { at: 'bus', stud: 'M10' as const, studId: 'bus' } } }],
    };
    expect(found(first(open), 'stack.A').state).toBe('unproved');
  });
  test('only cables of the same stud are its neighbours', () => {
    const job = jobOf([40, 150]);
    const [cable] = job.cables as [Cable];
    expect(contextOf(cable, job).neighbours.map(({ id }) => id)).toEqual(['c1']);
    expect(contextOf(cableWith(), job)).toEqual({ mates: [], neighbours: [], studs: [], grounds: [] });
  });
});
