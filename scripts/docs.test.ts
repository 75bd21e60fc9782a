import { existsSync, readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { jobFileJsonSchema } from './jobFileJsonSchema.ts';

test('the schema in docs is the schema in use: run npm run schema when it is not', () =>
  expect(readFileSync('docs/job-file.schema.json', 'utf8')).toBe(jobFileJsonSchema()));

test('every file the README names is there', () => {
  const readme = readFileSync('README.md', 'utf8');
  const paths = [...readme.matchAll(/\]\(([^)#]+)\)/g)].map(([, path]) => path ?? '');
  expect(paths.length).toBeGreaterThan(5);
  expect(paths.filter((path) => !existsSync(path))).toEqual([]);
});

test('the lock file names no registry', () =>
  expect(readFileSync('package-lock.json', 'utf8')).not.toMatch(/"resolved"|https?:\/\/[^"]*registry/));
