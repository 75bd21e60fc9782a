import type { Page } from '@playwright/test';

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

/** All entries of one of the browser's stores. */
export const allStored = (page: Page, store = 'library'): Promise<Record<string, unknown>> =>
  page.evaluate(
    (name) =>
      new Promise<Record<string, unknown>>((resolve, reject) => {
        const opening = indexedDB.open('gruff-anchor');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const own = opening.result.transaction(name).objectStore(name);
          const [keys, values] = [own.getAllKeys(), own.getAll()];
          values.onsuccess = () => {
            opening.result.close();
            resolve(
              Object.fromEntries(keys.result.map((key, i) => [String(key), values.result[i] as unknown])),
            );
          };
        };
      }),
    store,
  );
