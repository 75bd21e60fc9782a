import { createPinia, setActivePinia } from 'pinia';
import fc from 'fast-check';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { cases } from '../../core/lib/casesFixture.ts';
import { binSchema } from '../../core/model/bin.ts';
import { huntSchema } from '../../core/model/hunt.ts';
import { jobSchema } from '../../core/model/job.ts';
import { shopSchema } from '../../core/model/shop.ts';
import { validJob, validShop } from '../../core/model/validFixture.ts';
import { useBench } from './bench.ts';
import { job, library, shop } from './benchFixture.ts';

// Nothing is written meanwhile: what would be is looked at as it stands.
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

const readable = (bench: ReturnType<typeof useBench>) => {
  for (const own of bench.jobs) expect(jobSchema.safeParse(own).error?.issues).toBeUndefined();
  expect(shopSchema.safeParse(bench.shop).error?.issues).toBeUndefined();
  for (const own of bench.hunts) expect(huntSchema.safeParse(own).error?.issues).toBeUndefined();
  expect(binSchema.safeParse(bench.bin).error?.issues).toBeUndefined();
};

test('whatever is done in whatever order, nothing is made that could not be read again', () => {
  const wild = fc.oneof(fc.constantFrom(-1, 0, 1e9, Number.NaN, 49.9999999995), fc.double());
  const names = fc.constantFrom('a', 'b', 'c', 'gone');
  const act = fc.oneof(
    fc.record({ kind: fc.constant('number' as const), id: names, value: wild }),
    fc.record({ kind: fc.constant('text' as const), id: names, value: fc.string({ maxLength: 200 }) }),
    fc.record({ kind: fc.constant('copy' as const), id: names, times: fc.integer({ min: 1, max: 4 }) }),
    fc.record({ kind: fc.constantFrom('undo' as const, 'redo' as const, 'add' as const, 'back' as const) }),
    fc.record({ kind: fc.constantFrom('remove' as const, 'job' as const), id: names }),
    fc.record({ kind: fc.constant('import' as const), job: validJob, shop: validShop }),
    fc.record({ kind: fc.constant('tools' as const), count: fc.integer({ min: 1, max: 120 }) }),
    fc.record({ kind: fc.constant('again' as const) }),
  );
  fc.assert(
    fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
      setActivePinia(createPinia());
      const bench = useBench();
      bench.open(library);
      for (const own of acts) {
        const at = bench.jobs[0]?.id ?? 'j';
        if (own.kind === 'number')
          bench.editCable(at, own.id, 'length', (cable) => void (cable.run.lengthMm = own.value));
        else if (own.kind === 'text')
          bench.editCable(at, own.id, 'tag', (cable) => {
            cable.tag = own.value;
            cable.ends.A.at = own.value;
          });
        else if (own.kind === 'copy') for (let i = 0; i < own.times; i += 1) bench.copyCable(at, own.id);
        else if (own.kind === 'undo') bench.undo();
        else if (own.kind === 'redo') bench.redo();
        else if (own.kind === 'add') bench.addCable(at);
        else if (own.kind === 'back') bench.putBack(bench.bin[0]?.id ?? '');
        else if (own.kind === 'remove') bench.removeCables(at, [own.id]);
        else if (own.kind === 'job') bench.removeJob(at);
        else if (own.kind === 'import') bench.addJob(own.job, own.shop, 'import');
        else if (own.kind === 'again') bench.addJob({ ...job, id: 'i'.repeat(60) }, shop, 'import');
        else if (own.kind === 'tools')
          bench.edit('tools', (draft) => {
            for (let i = 0; i < own.count; i += 1)
              draft.shop.tools.push({ id: `t${i}`, title: 'New tool', kind: 'hand hydraulic' });
          });
        readable(bench);
      }
    }),
    { numRuns: cases(80) },
  );
});
