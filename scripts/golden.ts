// npm run --silent golden: every figure and state of the demo jobs and the old files, as one JSON text that must not
// change unless a figure is meant to. With FILE… those files instead, and every word as well.
import { readFileSync } from 'node:fs';
import { goldenOf, GOLDEN_FILES } from '../core/goldenFixture.ts';

const paths = process.argv.slice(2);
const all = (paths.length > 0 ? paths : GOLDEN_FILES).map((path) => [
  path,
  goldenOf(readFileSync(path, 'utf8'), paths.length > 0),
]);
console.log(JSON.stringify(Object.fromEntries(all), null, 1));
