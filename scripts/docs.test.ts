import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, test } from '@jest/globals';
import { doorsOf, ROOMS, roomsPicture } from './roomsPicture.ts';
import { jobFileJsonSchema } from './jobFileJsonSchema.ts';

test('the schema in docs is the schema in use: run npm run schema when it is not', () =>
  expect(readFileSync('docs/job-file.schema.json', 'utf8')).toBe(jobFileJsonSchema()));

test('the picture of the rooms is drawn from the imports as they are: run npm run rooms when it is not', () =>
  expect(readFileSync('docs/rooms.svg', 'utf8')).toBe(roomsPicture(doorsOf())));

test('no room of core uses one that stands after it', () => {
  const order = ROOMS.map(({ name }) => name);
  const back = [...doorsOf().keys()].filter((door) => {
    const [from = '', to = ''] = door.split(' ');
    return !order.includes(from) || !order.includes(to) || order.indexOf(to) > order.indexOf(from);
  });
  expect(back).toEqual([]);
});

test.each([
  'README.md',
  'CONTRIBUTING.md',
  'docs/method.md',
  'docs/file-format.md',
  'docs/architecture.md',
  'docs/decisions.md',
])('every file that %s names is there', (name) => {
  const paths = [...readFileSync(name, 'utf8').matchAll(/\]\(([^)#]+)\)/g)].map(([, path]) => path ?? '');
  expect(paths.length).toBeGreaterThan(0);
  expect(paths.filter((path) => !existsSync(join(dirname(name), path)))).toEqual([]);
});

test('the lock file names no registry', () =>
  expect(readFileSync('package-lock.json', 'utf8')).not.toMatch(/"resolved"|https?:\/\/[^"]*registry/));
