// npm run --silent workup -- [--together copper|weight|money|years] FILE: prints everything computed of a job file, as JSON;
// with --together also the sizes of all its cables chosen at once, by what is to be least.
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { plainJson } from '../core/lib/plainJson.ts';
import { readJobFile } from '../core/model/file.ts';
import { LEAST, USUAL_SIZING } from '../core/model/system.ts';
import { chooseTogether } from '../core/together/together.ts';
import { told } from '../core/words/message.ts';
import { workUp } from '../core/workup.ts';
import { solveWith } from '../web/workers/highsSolve.ts';
import { type Answer, asCommand, askedFor, misasked, print, refused } from './command.ts';

function contentsOf(path: string): string | null {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return null;
  }
}

/** All that is computed of the job file that is asked for. */
export async function workedUp(args: readonly string[]): Promise<Answer> {
  const asked = askedFor(args, { together: { type: 'string' } });
  if (!asked)
    return misasked(
      'Unknown option: only --together copper, weight, money or years and a file are accepted.',
    );
  const [path] = asked.positionals;
  const least = LEAST.find((own) => own === asked.values.together);
  if (asked.values.together !== undefined && !least)
    return misasked('--together takes what is to be least: copper, weight, money or years.');
  if (!path) return misasked('Give a job file: npm run --silent workup -- demo/teasel.json');
  const contents = contentsOf(path);
  if (contents === null) return misasked(`${path} cannot be read.`);
  const parsed = readJobFile(contents);
  if (!parsed.ok) return refused(parsed.sentence);
  const today = new Date().toISOString().slice(0, 10);
  const { job, shop } = parsed.value;
  const work = workUp(job, shop, today);
  const sizing = { ...(job.system?.sizing ?? USUAL_SIZING), ...(least && { least }) };
  const together = least
    ? chooseTogether({ job, shop, sizing, solve: solveWith(await loadHighs()) })?.together
    : undefined;
  return print(
    JSON.stringify(
      { ...work, ...(together && { together }) },
      (key, value) => plainJson(key, told(key, value)),
      1,
    ),
  );
}

await asCommand(import.meta.url, workedUp);
