import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { memoryStores } from './memoryStoreFixture.ts';

const stores = memoryStores();
jest.unstable_mockModule('localforage', stores.mock);
const { draftOf, flushDrafts, keepDraft, loadDrafts } = await import('./drafts.ts');
const { entries } = stores.named('drafts');
const stored = () => [...entries].map(([key, draft]) => [key, (draft as { text: string }).text]);

beforeEach(() => {
  entries.clear();
  jest.useFakeTimers();
});
afterEach(async () => {
  for (const key of ['length', 'slack']) keepDraft(key, null);
  await flushDrafts();
  jest.useRealTimers();
});

test('what is typed is written in a pause of the typing, and at once before the page goes', async () => {
  keepDraft('length', '1');
  await jest.advanceTimersByTimeAsync(150);
  keepDraft('length', '18');
  await jest.advanceTimersByTimeAsync(150);
  expect(stored()).toEqual([]);
  await jest.advanceTimersByTimeAsync(100);
  expect(stored()).toEqual([['length', '18']]);
  keepDraft('slack', '2');
  await flushDrafts();
  expect(stored()).toEqual([
    ['length', '18'],
    ['slack', '2'],
  ]);
});

test('what is entered stands here no longer, and is still stored until the work is: then it is forgotten', async () => {
  keepDraft('length', '1850');
  await jest.advanceTimersByTimeAsync(300);
  keepDraft('length', null);
  expect(draftOf('length')).toBeUndefined();
  // The work is written half a second after its first change at the latest.
  await jest.advanceTimersByTimeAsync(600);
  expect(stored()).toEqual([['length', '1850']]);
  await jest.advanceTimersByTimeAsync(600);
  expect(stored()).toEqual([]);
});

test('what was left unentered is read at the next start; what is too old, or no draft, is not', async () => {
  const now = Date.now();
  entries.set('length', { text: '18', at: now - 60_000 });
  entries.set('old', { text: '18', at: now - 30 * 86_400_000 });
  entries.set('torn', { text: 5 });
  await loadDrafts(now);
  expect([draftOf('length'), draftOf('old'), draftOf('torn')]).toEqual(['18', undefined, undefined]);
  expect(stored()).toEqual([['length', '18']]);
});
