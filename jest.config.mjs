import { inSandbox, ROOTS } from './scripts/bundledTests.mjs';

const usual = { setupFiles: ['<rootDir>/scripts/jestSetup.mjs'] };
const bundled = {
  runner: 'jest-light-runner',
  testRegex: ['\\.test\\.js$'],
  transform: {},
};

/**
 * Unit tests of the core, and of the parts of the interface that need no browser; then what people do with it, on a
 * simulated page. Most run in bare Node, bundled: modules are read once for all tests and pixels are ten times as fast as
 * in the sandbox; see `docs/decisions.md`.
 */
export default {
  // A shared machine can stall for seconds.
  testTimeout: 30_000,
  // Both processors: left to itself one would stand idle.
  maxWorkers: '100%',
  testSequencer: '<rootDir>/scripts/longestFirst.mjs',
  projects: [
    { ...usual, ...bundled, displayName: 'node', roots: ['<rootDir>/.cache/unit'] },
    {
      ...bundled,
      displayName: 'simulated page',
      roots: ['<rootDir>/.cache/page'],
      setupFiles: [...usual.setupFiles, '<rootDir>/.cache/page/e2e/simulated/globals.js'],
    },
    {
      ...usual,
      displayName: 'sandbox',
      testEnvironment: 'node',
      roots: ROOTS.map((root) => `<rootDir>/${root}`),
      testMatch: inSandbox.map((file) => `<rootDir>/${file}`),
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
