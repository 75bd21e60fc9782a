// npm run --silent workup -- [--together copper|weight|money|years] FILE: prints everything computed of a job file, as JSON;
// with --together also the sizes of all its cables chosen at once, by what is to be least.
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import loadHighs from 'highs';
import { plainJson } from '../core/lib/plainJson.ts';
import { readJobFile } from '../core/model/file.ts';
import { LEAST, USUAL_SIZING } from '../core/model/system.ts';
import { chooseTogether } from '../core/together/together.ts';
import { told } from '../core/words/message.ts';
import { workUp } from '../core/workup.ts';
import { solveWith } from '../web/workers/highsSolve.ts';

const asked = (() => {
  try {
    return parseArgs({ allowPositionals: true, options: { together: { type: 'string' } } });
  } catch {
    console.error('Unknown option: only --together copper, weight, money or years and a file are accepted.');
    process.exit(2);
  }
})();
const [path] = asked.positionals;
const least = LEAST.find((own) => own === asked.values.together);
if (asked.values.together !== undefined && !least) {
  console.error('--together takes what is to be least: copper, weight, money or years.');
  process.exit(2);
}
if (!path) {
  console.error('Give a job file: npm run --silent workup -- demo/teasel.json');
  process.exit(2);
}
let contents: string;
try {
  contents = readFileSync(path, 'utf8');
} catch {
  console.error(`${path} cannot be read.`);
  process.exit(2);
}
const parsed = readJobFile(contents);
if (!parsed.ok) {
  console.error(parsed.sentence);
  process.exit(1);
}
const today = new Date().toISOString().slice(0, 10);
const { job, shop } = parsed.value;
const work = workUp(job, shop, today);
const sizing = { ...(job.system?.sizing ?? USUAL_SIZING), ...(least && { least }) };
const together = least
  ? chooseTogether({ job, shop, sizing, solve: solveWith(await loadHighs()) })?.together
  : undefined;
console.log(
  JSON.stringify(
    { ...work, ...(together && { together }) },
    (key, value) => plainJson(key, told(key, value)),
    1,
  ),
);
