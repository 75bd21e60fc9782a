import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Job } from '../../core/model/job.ts';
import { newCable } from '../../core/model/newCable.ts';
import { toBase64 } from './base64.ts';
import { memoryStores } from './memoryStoreFixture.ts';

const stores = memoryStores();
jest.unstable_mockModule('localforage', stores.mock);
const { allPictures, bringPictures, bytesOf, keptOrWhy, pictureOf, picturesOf, underFreeNames } =
  await import('./photos.ts');
const store = stores.named('photos');

const jpeg = (mark: number) => new Uint8Array([0xff, 0xd8, 0xff, mark]);
const blob = (bytes: Uint8Array) => new Blob([bytes as BlobPart], { type: 'image/jpeg' });
const photo = (id: string) => ({ id, at: '2026-11-27T08:00:00Z', by: '', widthPx: 4, heightPx: 4 });
const jobWith = (...ids: string[]): Job => ({
  id: 'j',
  title: 'Test',
  subtitle: '',
  cables: [{ ...newCable('c', 'C-1', genericShop()), photos: ids.map(photo) }],
  studs: [],
  heeded: [],
});
const idsOf = (job: Job) => job.cables.flatMap(({ photos }) => photos.map(({ id }) => id));

beforeEach(() => {
  store.entries.clear();
  for (const [id, mark] of [
    ['a', 1],
    ['b', 2],
  ] as const)
    store.entries.set(id, blob(jpeg(mark)));
});

describe('pictures that come with a job', () => {
  test('under an id that is of another picture here get one of their own, and that one stays as it is', async () => {
    const { job, pictures } = await underFreeNames(jobWith('a', 'new'), {
      a: toBase64(jpeg(9)),
      new: toBase64(jpeg(8)),
    });
    expect(await bringPictures(pictures)).toBe('');
    const [renamed = '', fresh] = idsOf(job);
    expect([renamed === 'a', fresh]).toEqual([false, 'new']);
    expect(await bytesOf('a')).toEqual(jpeg(1));
    expect(await bytesOf(renamed)).toEqual(jpeg(9));
    expect(await bytesOf('new')).toEqual(jpeg(8));
  });
  test('the same picture under the same id is shared', async () => {
    const { job } = await underFreeNames(jobWith('a'), { a: toBase64(jpeg(1)) });
    expect(idsOf(job)).toEqual(['a']);
  });
  test('a job that names a picture without bringing it shows none of another job', async () => {
    const { job } = await underFreeNames(jobWith('b'), {});
    expect(idsOf(job)).not.toEqual(['b']);
    expect(await pictureOf(idsOf(job)[0] ?? '')).toBeNull();
  });
});

describe('a store that is full, denied or damaged', () => {
  test('says beside the picture that it was not kept', async () => {
    store.setItem.mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'));
    expect(await keptOrWhy('x', blob(jpeg(3)))).toContain('store is full');
    store.setItem.mockRejectedValueOnce(new DOMException('no', 'SecurityError'));
    expect(await bringPictures({ x: toBase64(jpeg(3)) })).toContain('keeps nothing');
    expect(await keptOrWhy('x', blob(jpeg(3)))).toBe('');
  });
  test('costs one picture and none of the others', async () => {
    store.entries.set('torn', blob(new Uint8Array([1, 2, 3])));
    store.entries.set('odd', 'no blob');
    expect(await bytesOf('torn')).toBeNull();
    expect(await pictureOf('odd')).toBeNull();
    expect(Object.keys(await picturesOf(jobWith('a', 'torn', 'odd', 'gone', 'b')))).toEqual(['a', 'b']);
    const { pictures, damaged } = await allPictures();
    expect(Object.keys(pictures).sort()).toEqual(['a', 'b']);
    expect(damaged.sort()).toEqual(['odd', 'torn']);
    store.getItem.mockRejectedValueOnce(new Error('unreadable'));
    expect(await pictureOf('a')).toBeNull();
  });
});
