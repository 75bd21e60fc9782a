import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { jobSchema, type Job } from './job.ts';
import { unsoundness } from './sound.ts';
import { validJob, validShop } from './validFixture.ts';

const problemOf = (job: Job, shop: Parameters<typeof unsoundness>[0]['shop']) =>
  unsoundness({ jobs: [job], hunts: [], shop });

test('a job that was found sound is refused again as soon as anything of it cannot be read', () => {
  const spoil: readonly ((job: Job) => Job)[] = [
    (job) => ({ ...job, title: 7 as unknown as string }),
    (job) => ({ ...job, studs: [{ id: 's' }] as unknown as Job['studs'] }),
    (job) => ({ ...job, system: { places: 'none' } as unknown as NonNullable<Job['system']> }),
    (job) => ({ ...job, unheardOf: true }) as Job,
    (job) => ({ ...job, cables: [...job.cables, { id: 'x' }] as unknown as Job['cables'] }),
  ];
  fc.assert(
    fc.property(
      validJob,
      validShop,
      fc.constantFrom(...spoil),
      fc.boolean(),
      (job, shop, spoilt, isTwice) => {
        expect(problemOf(job, shop)).toBe('');
        if (isTwice) expect(problemOf({ ...job, cables: [...job.cables] }, shop)).toBe('');
        expect(problemOf(spoilt(job), shop)).not.toBe('');
        expect(problemOf({ ...job }, shop)).toBe('');
      },
    ),
    { numRuns: 6 },
  );
});

test('another job of the same id is judged by itself', () => {
  fc.assert(
    fc.property(validJob, validJob, validShop, (one, other, shop) => {
      expect(problemOf(one, shop)).toBe('');
      const impostor = { ...other, id: one.id, subtitle: null as unknown as string };
      expect(problemOf(impostor, shop) === '').toBe(jobSchema.safeParse(impostor).success);
    }),
    { numRuns: 6 },
  );
});
