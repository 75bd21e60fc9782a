import { jest } from '@jest/globals';

/** One of the browser's stores, in memory: it copies what it is given, as the real one does. */
export function memoryStore() {
  const entries = new Map<string, unknown>();
  return {
    entries,
    ready: async () => {},
    keys: jest.fn(async () => [...entries.keys()]),
    getItem: jest.fn(async (key: string): Promise<unknown> => structuredClone(entries.get(key) ?? null)),
    setItem: jest.fn(async (key: string, value: unknown): Promise<unknown> => {
      entries.set(key, structuredClone(value));
      return value;
    }),
    removeItem: jest.fn(async (key: string) => void entries.delete(key)),
    clear: async () => entries.clear(),
  };
}
export type MemoryStore = ReturnType<typeof memoryStore>;

/** Stores by their names, in the place of the browser's: mock `localforage` with what this answers. */
export function memoryStores() {
  const stores = new Map<string, MemoryStore>();
  const named = (name: string): MemoryStore => {
    const known = stores.get(name) ?? memoryStore();
    stores.set(name, known);
    return known;
  };
  return {
    named,
    mock: () => ({ default: { createInstance: ({ storeName }: { storeName: string }) => named(storeName) } }),
  };
}
