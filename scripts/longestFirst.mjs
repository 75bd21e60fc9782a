import { createRequire } from 'node:module';

// Jest’s own of another copy would not be the one that it runs.
const { default: Sequencer } = createRequire(createRequire(import.meta.url).resolve('jest'))(
  '@jest/test-sequencer',
);

/** Files that each take as long as fifty others begin first, so that neither processor waits for one at the end. */
export default class LongestFirst extends Sequencer {
  sort(tests) {
    const isLong = ({ path }) => /pages\d\.test\.js$/.test(path);
    return super.sort(tests).sort((a, b) => Number(isLong(b)) - Number(isLong(a)));
  }
}
