/**
 * What `@jest/globals` gives where tests run in bare Node: the package itself refuses to be read outside of Jest’s
 * sandbox. `bundledTests.mjs` puts this in its place.
 */
export const { describe, expect, jest, test, beforeAll, beforeEach, afterAll, afterEach } =
  globalThis as unknown as typeof import('@jest/globals');
