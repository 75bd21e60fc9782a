import type { Page } from '@playwright/test';
import { BARE } from './test.ts';

/** Puts an entry into one of the browser's stores, past the application. */
export const putStored = (page: Page, store: string, key: string, value: unknown): Promise<void> =>
  page.evaluate(
    ([name, own, data]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('gruff-anchor');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const transaction = opening.result.transaction(name, 'readwrite');
          transaction.objectStore(name).put(data, own);
          transaction.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
    [store, key, value] as const,
  );

/** Everything in the browser's database: its version, and the entries of each store by their keys. */
export interface Stores {
  readonly version: number;
  readonly entries: Readonly<Record<string, readonly (readonly [key: string, value: unknown])[]>>;
}

/** What the browser keeps now. */
export const takeAll = (page: Page): Promise<Stores> =>
  page.evaluate(
    () =>
      new Promise<Stores>((resolve, reject) => {
        const opening = indexedDB.open('gruff-anchor');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const database = opening.result;
          const names = [...database.objectStoreNames];
          const transaction = database.transaction(names);
          const asked = names.map((name) => {
            const store = transaction.objectStore(name);
            return { name, keys: store.getAllKeys(), values: store.getAll() };
          });
          transaction.oncomplete = () => {
            const { version } = database;
            database.close();
            resolve({
              version,
              entries: Object.fromEntries(
                asked.map(({ name, keys, values }) => [
                  name,
                  keys.result.map((key, i) => [String(key), values.result[i] as unknown] as const),
                ]),
              ),
            });
          };
        };
      }),
  );

/** Fills the browser's database, where there is none yet. */
export async function putAll(page: Page, stores: Stores): Promise<void> {
  if (!page.url().endsWith(BARE)) await page.goto(BARE);
  await page.evaluate(
    (text) =>
      new Promise<void>((resolve, reject) => {
        const { version, entries } = JSON.parse(text) as Stores;
        const deleting = indexedDB.deleteDatabase('gruff-anchor');
        deleting.onerror = () => reject(new Error('the store stays'));
        deleting.onsuccess = () => {
          const opening = indexedDB.open('gruff-anchor', version);
          opening.onerror = () => reject(new Error('no store'));
          opening.onupgradeneeded = () => {
            for (const name of Object.keys(entries)) opening.result.createObjectStore(name);
          };
          opening.onsuccess = () => {
            const transaction = opening.result.transaction(Object.keys(entries), 'readwrite');
            for (const [name, own] of Object.entries(entries))
              for (const [key, value] of own) transaction.objectStore(name).put(value, key);
            transaction.oncomplete = () => {
              opening.result.close();
              resolve();
            };
          };
        };
      }),
    // As one text: value by value it takes longer to hand over than the page takes to open.
    JSON.stringify(stores),
  );
}

/** All entries of one of the browser's stores. */
export const allStored = async (page: Page, store = 'library'): Promise<Record<string, unknown>> =>
  Object.fromEntries((await takeAll(page)).entries[store] ?? []);
