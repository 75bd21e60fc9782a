import { readdirSync, readFileSync } from 'node:fs';

const ROOTS = ['core', 'web', 'server', 'scripts'];

/** What Jest can do in its sandbox alone: replace a module, read one again, and run timers out. */
const SANDBOX_ALONE = /\bjest\.(unstable_mockModule|resetModules|runAllTimers|advanceTimersByTimeAsync)\b/;

const inSandbox = ROOTS.flatMap((root) =>
  readdirSync(root, { recursive: true })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => `${root}/${file}`)
    .filter((file) => SANDBOX_ALONE.test(readFileSync(file, 'utf8'))),
).map((file) => `<rootDir>/${file}`);

const usual = {
  roots: ROOTS.map((root) => `<rootDir>/${root}`),
  setupFiles: ['<rootDir>/scripts/jestSetup.mjs'],
};

/**
 * Unit tests of the core, and of the parts of the interface that need no browser; then what people do with it, on a
 * simulated page. Most run in bare Node, where modules are read once for all tests and pixels are ten times as fast as in
 * the sandbox; see `docs/decisions.md`.
 */
export default {
  // A shared machine can stall for seconds.
  testTimeout: 30_000,
  // Both processors: left to itself one would stand idle.
  maxWorkers: '100%',
  testSequencer: '<rootDir>/scripts/longestFirst.mjs',
  projects: [
    {
      ...usual,
      displayName: 'node',
      runner: 'jest-light-runner',
      setupFiles: [...usual.setupFiles, '<rootDir>/scripts/typescript.mjs'],
      testMatch: ['**/*.test.ts'],
      testPathIgnorePatterns: ['/node_modules/', ...inSandbox],
    },
    {
      ...usual,
      displayName: 'simulated page',
      runner: 'jest-light-runner',
      setupFiles: [
        ...usual.setupFiles,
        '<rootDir>/scripts/typescript.mjs',
        '<rootDir>/e2e/simulated/globals.mjs',
      ],
      roots: ['<rootDir>/e2e'],
      testMatch: ['**/*.test.ts'],
    },
    {
      ...usual,
      displayName: 'sandbox',
      testEnvironment: 'node',
      testMatch: inSandbox,
      extensionsToTreatAsEsm: ['.ts'],
      transform: {
        '^.+\\.ts$': [
          '@swc/jest',
          { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
        ],
      },
    },
  ],
};
