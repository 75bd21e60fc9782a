import { type Library, loadLibrary } from '../../web/storage/library.ts';
import type { Stores } from '../store.ts';

export { allStored, putStored, takeAll } from '../store.ts';

/** Empties the page's stores and writes into them; the application may hold them open meanwhile. */
export const written = (write: (store: (name: string) => IDBObjectStore) => void): Promise<void> =>
  new Promise((resolve, reject) => {
    const opening = indexedDB.open('gruff-anchor');
    opening.onerror = () => reject(opening.error ?? new Error('no store'));
    opening.onsuccess = () => {
      const names = [...opening.result.objectStoreNames];
      const close = () => {
        opening.result.close();
        resolve();
      };
      if (names.length === 0) return close();
      const transaction = opening.result.transaction(names, 'readwrite');
      for (const name of names) transaction.objectStore(name).clear();
      write((name) => transaction.objectStore(name));
      transaction.oncomplete = close;
      transaction.onerror = () => reject(transaction.error ?? new Error('not written'));
    };
  });

/** What was put back and not read since. */
let putBack: Stores | null = null;
const libraries = new WeakMap<Stores, Promise<Library>>();

/** Puts everything back as it was taken: what the browser keeps is only this. */
export async function putAll(page: { goto(path: string): Promise<void> }, stores: Stores): Promise<void> {
  await page.goto('/anchor.svg');
  await written((store) => {
    for (const [name, own] of Object.entries(stores.entries))
      for (const [key, value] of own) store(name).put(value, key);
  });
  putBack = stores;
}

/** What is kept. The same that was put back is the same jobs, so that what was worked out of them is known. */
export function readKept(): Promise<Library> {
  const known = putBack && libraries.get(putBack);
  const library = known ?? loadLibrary();
  if (putBack) libraries.set(putBack, library);
  putBack = null;
  return library;
}
