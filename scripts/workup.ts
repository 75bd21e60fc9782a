// npm run --silent workup -- FILE: prints everything computed of a job file, as JSON.
import { readFileSync } from 'node:fs';
import { plainJson } from '../core/lib/plainJson.ts';
import { readJobFile } from '../core/model/file.ts';
import { told } from '../core/words/message.ts';
import { workUp } from '../core/workup.ts';

const [path] = process.argv.slice(2);
if (!path) {
  console.error('Say which job file: npm run --silent workup -- demo/teasel.json');
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
const work = workUp(parsed.value.job, parsed.value.shop, today);
console.log(JSON.stringify(work, (key, value) => plainJson(key, told(key, value)), 1));
