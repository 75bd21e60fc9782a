import 'fake-indexeddb/auto';
import { expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { cases } from '../../core/lib/casesFixture.ts';
import type { Stores } from './stores.ts';

/** Another tab: it shares nothing but the database. */
async function inATab(): Promise<(database: string) => Stores> {
  jest.resetModules();
  return (await import('./stores.ts')).storesOf;
}
const [storesOf, storesOfAnother] = [await inATab(), await inATab()];

let databases = 0;
const aNewOne = () => `stores-${(databases += 1)}`;

/** Lets the page turn to something else so often, and do so much within one turn. */
async function later(turns: number, steps: number): Promise<void> {
  for (let i = 0; i < turns; i += 1) await new Promise((resolve) => setImmediate(resolve));
  for (let i = 0; i < steps; i += 1) await Promise.resolve();
}
/** Whether everything asked is answered; what a browser does at once takes no seconds. */
async function areAnswered(asked: readonly Promise<unknown>[]): Promise<boolean> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const patience = new Promise<false>((resolve) => (timer = setTimeout(() => resolve(false), 3000)));
  const isAnswered = await Promise.race([Promise.all(asked).then(() => true as const), patience]);
  clearTimeout(timer);
  return isAnswered;
}

test('what is asked of a store at any moment at which another is opened is answered, and all after it', async () => {
  for (let turns = 0; turns < 8; turns += 1)
    for (let steps = 0; steps < 40; steps += 1) {
      const stores = storesOf(aNewOne());
      await stores.library.setItem('job', 1);
      const opened = stores.photos.keys();
      await later(turns, steps);
      expect(await areAnswered([opened, stores.library.setItem('job', 2)])).toBe(true);
      expect(await stores.library.getItem('job')).toBe(2);
    }
});

test('two tabs that start at the same time both find every store', async () => {
  await fc.assert(
    fc.asyncProperty(fc.nat(40), fc.nat(30), async (turns, steps) => {
      const database = aNewOne();
      const first = storesOf(database).library.setItem('job', 1);
      await later(turns, steps);
      const second = storesOfAnother(database);
      expect(await areAnswered([first, ...Object.values(second).map((own) => own.setItem('new', 2))])).toBe(
        true,
      );
      expect(await second.library.getItem('job')).toBe(1);
    }),
    { numRuns: cases(200) },
  );
});
