import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';

/** What must be found where, by the rule that finds it. */
const FAULTS: readonly (readonly [file: string, rule: string, code: string])[] = [
  ['core/any.ts', 'no-explicit-any', 'export const any = (x: any) => x;'],
  ['core/loose.ts', 'eqeqeq', 'export const isOne = (x: number) => x == 1;'],
  ['core/sure.ts', 'no-non-null-assertion', 'export const sure = (x: string | null) => x!;'],
  ['core/day.ts', 'no-restricted-globals', 'export const day = () => new Date();'],
  ['core/dice.ts', 'no-restricted-properties', 'export const dice = () => Math.random();'],
  ['web/said.ts', 'no-console', "console.log('here');"],
  ['web/far.ts', 'in-sight', `export const own = 1;${'\n'.repeat(5)}export const far = own;`],
  [
    'web/long.ts',
    'max-lines-per-function',
    `export function long(x: number) {${'\n  x += 1;'.repeat(65)}\n}`,
  ],
  [
    'web/Long.vue',
    'in-sight',
    `<script setup lang="ts">\nconst own = 1;${'\n'.repeat(5)}void own;\n</script>`,
  ],
  ['scripts/idle.mjs', 'no-unused-vars', 'const idle = 1;'],
  ['scripts/hushed.ts', 'ban-ts-comment', '// @ts-ignore\nexport const hushed = 1;'],
];
/** As near to them, and sound. */
const SOUND: Readonly<Record<string, string>> = {
  'core/day.test.ts': 'export const day = () => new Date();',
  'scripts/said.ts': "console.log('here');",
  'web/near.ts': 'export const own = 1;\nexport const near = own;',
};

const house = mkdtempSync(join(tmpdir(), 'lint-'));
afterAll(() => rmSync(house, { recursive: true }));
let found: readonly string[];
beforeAll(() => {
  for (const folder of ['core', 'web', 'scripts']) mkdirSync(join(house, folder));
  for (const part of ['.oxlintrc.json', 'scripts/inSight.mjs']) cpSync(part, join(house, part));
  for (const [file, , code] of FAULTS) writeFileSync(join(house, file), `${code}\n`);
  for (const [file, code] of Object.entries(SOUND)) writeFileSync(join(house, file), `${code}\n`);
  const { stdout, stderr } = spawnSync(resolve('node_modules/.bin/oxlint'), ['-f', 'json'], {
    cwd: house,
    encoding: 'utf8',
  });
  if (!stdout.startsWith('{')) throw new Error(stdout + stderr);
  const { diagnostics } = JSON.parse(stdout) as { diagnostics: { filename: string; code: string }[] };
  found = diagnostics.map(({ filename, code }) => `${filename} ${/\(([\w-]+)\)$/.exec(code)?.[1]}`);
});

test('each rule of lint finds what it is there for, and nothing in what is sound', () =>
  expect([...found].sort()).toEqual(FAULTS.map(([file, rule]) => `${file} ${rule}`).sort()));
