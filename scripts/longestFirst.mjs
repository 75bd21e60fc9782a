import { createRequire } from 'node:module';

// Jest’s own of another copy would not be the one that it runs.
const { default: Sequencer } = createRequire(createRequire(import.meta.url).resolve('jest'))(
  '@jest/test-sequencer',
);

/** The one file that takes as long as fifty others begins first, so that neither processor waits for it at the end. */
export default class LongestFirst extends Sequencer {
  sort(tests) {
    const isLong = ({ path }) => path.endsWith('pages.test.js');
    return super.sort(tests).sort((a, b) => Number(isLong(b)) - Number(isLong(a)));
  }
}
