import { resolve } from 'node:path';
import { isMainThread } from 'node:worker_threads';
import fc from 'fast-check';

/** Properties draw the same cases each time, so that a run can be trusted; another seed looks further: FC_SEED=7 npm run unit. */
fc.configureGlobal({ seed: Number(process.env['FC_SEED'] ?? 20261127) });

// A thread of bare Node learns to read TypeScript, and where its tests find what `@jest/globals` gives.
if (!isMainThread) {
  const { register } = await import('tsx/esm/api');
  register({ tsconfig: resolve('tsconfig.jest.json') });
}
