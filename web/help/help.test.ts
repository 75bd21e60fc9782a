import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { HELP } from './help.ts';

const sources = readdirSync('web', { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.vue'))
  .map((name) => readFileSync(join('web', name), 'utf8'))
  .join('\n');

test.each([...HELP])(
  'help for “%s” belongs to a field that is there, and is one short paragraph',
  (label, { text }) => {
    expect(sources).toContain(`\`${label}\``);
    expect(text.split(' ').length).toBeGreaterThan(15);
    expect(text.split(' ').length).toBeLessThan(60);
    expect(text).toMatch(/\.$/);
  },
);

test('every field of a run that is shown at first has help', () => {
  const essentials = readFileSync('web/bench/run/RunEssentials.vue', 'utf8');
  const labels = [...essentials.matchAll(/:label="say`([^`$]+)`"/g)].map(([, label]) => label);
  expect(labels.length).toBeGreaterThan(6);
  expect(labels.filter((label) => !HELP.has(label ?? ''))).toEqual([]);
});
