import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { withAddresses } from './setup.mjs';

const addressOf = (path: string, own: object) =>
  withAddresses({ packages: { [path]: { version: '1.2.3', ...own } } }).packages[path]?.resolved;

describe('a lock file with addresses', () => {
  test.each([
    ['a package', 'node_modules/ws', {}, 'ws/-/ws-1.2.3.tgz'],
    ['one of a scope', 'node_modules/@vue/shared', {}, '@vue/shared/-/shared-1.2.3.tgz'],
    ['one inside another', 'node_modules/@a/b/node_modules/@c/d', {}, '@c/d/-/d-1.2.3.tgz'],
    ['an alias', 'node_modules/other', { name: '@e/f' }, '@e/f/-/f-1.2.3.tgz'],
  ])('%s lies where the registry keeps it', (_, path, own, place) => {
    expect(addressOf(path, own)).toBe(`https://registry.npmjs.org/${place}`);
  });

  test.each([
    ['the house itself', '', {}],
    ['what comes within another package', 'node_modules/a/node_modules/b', { inBundle: true }],
    ['a folder of ours', 'node_modules/ours', { link: true }],
  ])('%s is fetched from nowhere', (_, path, own) => {
    expect(addressOf(path, own)).toBeUndefined();
  });

  test('of the house keeps what each package must be, and the file itself names none', () => {
    const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as Parameters<typeof withAddresses>[0];
    const before = JSON.stringify(lock);
    const { packages } = withAddresses(lock);
    const without = Object.entries(packages).map(([path, { resolved: _, ...own }]) => [path, own]);
    expect(JSON.stringify({ ...lock, packages: Object.fromEntries(without) })).toBe(before);
    expect(packages['node_modules/typescript7']?.resolved).toMatch(
      /\/typescript\/-\/typescript-7\.[\d.]+tgz$/,
    );
  });
});
