/** Unit tests of the core, and of the parts of the interface that need no browser. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/core', '<rootDir>/web', '<rootDir>/server', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/scripts/jestSetup.ts'],
  // A shared machine can stall for seconds.
  testTimeout: 30_000,
  // Both processors: left to itself one would stand idle.
  maxWorkers: '100%',
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } },
    ],
  },
};
