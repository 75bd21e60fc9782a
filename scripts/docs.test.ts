import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, test } from '@jest/globals';
import { jobFileJsonSchema } from './jobFileJsonSchema.ts';

test('the schema in docs is the schema in use: run npm run schema when it is not', () =>
  expect(readFileSync('docs/job-file.schema.json', 'utf8')).toBe(jobFileJsonSchema()));

test.each(['README.md', 'CONTRIBUTING.md', 'docs/method.md', 'docs/file-format.md'])(
  'every file that %s names is there',
  (name) => {
    const paths = [...readFileSync(name, 'utf8').matchAll(/\]\(([^)#]+)\)/g)].map(([, path]) => path ?? '');
    expect(paths.length).toBeGreaterThan(0);
    expect(paths.filter((path) => !existsSync(join(dirname(name), path)))).toEqual([]);
  },
);

test('the lock file names no registry', () =>
  expect(readFileSync('package-lock.json', 'utf8')).not.toMatch(/"resolved"|https?:\/\/[^"]*registry/));
