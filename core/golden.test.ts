import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { GOLDEN_FILES, goldenOf } from './goldenFixture.ts';

const golden = JSON.parse(readFileSync('core/fixtures/golden.json', 'utf8')) as Record<string, unknown>;

test.each(GOLDEN_FILES)('%s comes to the same figures, to the last digit', (path) => {
  expect(goldenOf(readFileSync(path, 'utf8'), false)).toEqual(golden[path]);
});
