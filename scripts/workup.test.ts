import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, test } from '@jest/globals';
import { isThereTime } from '../core/lib/casesFixture.ts';
import { workedUp } from './workup.ts';

const folder = mkdtempSync(join(tmpdir(), 'workup-'));
afterAll(() => rmSync(folder, { recursive: true }));
/** What the command prints of a file that it takes. */
const printed = async (...args: string[]) => {
  const answer = await workedUp(args);
  if (answer.code !== 0) throw new Error(answer.sentence);
  return JSON.parse(answer.printed) as unknown;
};

test.each(isThereTime ? ['demo/teasel.json', 'demo/marrow.json'] : ['demo/marrow.json'])(
  '%s is worked up as JSON',
  async (path) => {
    const work = (await printed(path)) as {
      cables: { findings: { id: string; work: { formula: string } }[] }[];
    };
    expect(work.cables.length).toBeGreaterThan(4);
    expect(
      work.cables.every(({ findings }) => findings.every((finding) => finding.work.formula !== '')),
    ).toBe(true);
  },
);

test('on the command line a file that is no job is refused with its sentence, and nothing is printed', () => {
  const path = join(folder, 'bad.json');
  writeFileSync(path, '{"format":"gruff-anchor-job","version":7}');
  const { status, stderr, stdout } = spawnSync(
    'node',
    ['--import', './scripts/typescript.mjs', 'scripts/workup.ts', path],
    {
      encoding: 'utf8',
    },
  );
  expect(status).toBe(1);
  expect(stdout).toBe('');
  expect(stderr).toContain('newer version (file version 7');
});

test('no file, none that can be read, or an option that there is not, is said', async () => {
  expect(await workedUp([])).toMatchObject({ code: 2, sentence: expect.stringContaining('Give a job file') });
  const nowhere = await workedUp([join(folder, 'nowhere.json')]);
  expect(nowhere).toMatchObject({ code: 2, sentence: expect.stringContaining('cannot be read') });
  expect(await workedUp(['--cheapest'])).toMatchObject({ code: 2 });
  expect(await workedUp(['--together', 'gold', 'demo/marrow.json'])).toMatchObject({ code: 2 });
});

(isThereTime ? test : test.skip)('with --together the sizes of all cables are chosen at once', async () => {
  const { together } = (await printed('--together', 'copper', 'demo/marrow.json')) as {
    together: { outcome: string; rows: { together: unknown }[]; together: { cost: number }; bound: number };
  };
  expect(together.outcome).toBe('least');
  expect(together.rows.every((row) => row.together !== null)).toBe(true);
  expect(together.together.cost).toBeCloseTo(together.bound, 3);
});
