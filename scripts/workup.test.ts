import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from '@jest/globals';
import { isThereTime } from '../core/lib/casesFixture.ts';

const folder = mkdtempSync(join(tmpdir(), 'workup-'));
afterAll(() => rmSync(folder, { recursive: true }));
const workup = (...args: string[]) =>
  spawnSync('node', ['--import', 'tsx', 'scripts/workup.ts', ...args], { encoding: 'utf8', maxBuffer: 64e6 });

test.each(isThereTime ? ['demo/teasel.json', 'demo/marrow.json'] : ['demo/marrow.json'])(
  '%s is worked up as JSON',
  (path) => {
    const { status, stdout } = workup(path);
    const work = JSON.parse(stdout) as {
      cables: { findings: { id: string; work: { formula: string } }[] }[];
    };
    expect(status).toBe(0);
    expect(work.cables.length).toBeGreaterThan(4);
    expect(
      work.cables.every(({ findings }) => findings.every((finding) => finding.work.formula !== '')),
    ).toBe(true);
  },
);

test('a file that is no job is refused with its sentence', () => {
  const path = join(folder, 'bad.json');
  writeFileSync(path, '{"format":"gruff-anchor-job","version":7}');
  const { status, stderr, stdout } = workup(path);
  expect(status).toBe(1);
  expect(stdout).toBe('');
  expect(stderr).toContain('newer version (file version 7');
});

test('no file, or none that can be read, is said', () => {
  expect(workup().status).toBe(2);
  expect(workup(join(folder, 'nowhere.json')).stderr).toContain('cannot be read');
});

(isThereTime ? test : test.skip)(
  'with --together the sizes of all cables are chosen at once; what is to be least must be one of four',
  () => {
    const { status, stdout } = workup('--together', 'copper', 'demo/marrow.json');
    expect(status).toBe(0);
    const { together } = JSON.parse(stdout) as {
      together: { outcome: string; rows: { together: unknown }[]; together: { cost: number }; bound: number };
    };
    expect(together.outcome).toBe('least');
    expect(together.rows.every((row) => row.together !== null)).toBe(true);
    expect(together.together.cost).toBeCloseTo(together.bound, 3);
    expect(workup('--together', 'gold', 'demo/marrow.json')).toMatchObject({ status: 2 });
  },
);
