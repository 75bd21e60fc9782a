// npm test: installs what is missing, then types, lint, unit tests and browser tests, and one closing count.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { compileLess, ensureChromium, ensurePackages, runQuietly, runToEnd } from './setup.mjs';
import { specsWith } from './specs.mjs';

// A browser is needed last: meanwhile it is installed.
const chromium = ensureChromium();
await ensurePackages();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

compileLess();
// Compilers that free their memory all the while take a fifth longer, and need a tenth less of it.
process.env.GOGC ??= '400';

const PROCESSORS = 2;
const total = { passed: 0, failed: 0, flaky: [] };
const npm = (args) => ['npm', ['run', '--silent', ...args]];

/**
 * Steps that each keep one processor busy, as many at once as there are processors; each counts as one test, which
 * passes when its exit code is 0. What they say comes out as each ends.
 */
async function checks(titles) {
  const waiting = [...titles];
  const results = {};
  const work = async () => {
    for (let title = waiting.shift(); title !== undefined; title = waiting.shift()) {
      const began = Date.now();
      const { code, output } = await runQuietly(...npm([title]));
      console.log(`\n── ${title}, ${((Date.now() - began) / 1000).toFixed(0)} s\n${output}`);
      if (code === 0) total.passed += 1;
      else total.failed += 1;
      results[title] = code === 0;
    }
  };
  await Promise.all(Array.from({ length: PROCESSORS }, work));
  return results;
}

/**
 * A step whose runner writes a report; counts that report's tests, and a crash as one failure.
 *
 * @param isBeside whether it runs beside another: what it says then comes out as it ends
 */
async function suite(title, args, report, count, isBeside = false) {
  if (!isBeside) console.log(`\n── ${title}`);
  const { code, output } = isBeside ? await runQuietly(...npm(args)) : { code: await runToEnd(...npm(args)) };
  if (isBeside) console.log(`\n── ${title}\n${output}`);
  const { passed, failed, flaky } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0, flaky: [] };
  total.passed += passed;
  total.failed += failed;
  total.flaky.push(...flaky);
  if (code !== 0 && failed === 0) total.failed += 1;
}

/** Tests of a browser report that passed only when they were tried again. */
function flakyOf({ suites = [], specs = [] }) {
  const own = specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky'));
  return [...own.map(({ title }) => title), ...suites.flatMap(flakyOf)];
}

// The longest first, so that neither processor waits for the other at the end.
const { build } = await checks([
  'types:web',
  'build',
  'lint:templates',
  'lint:walls',
  'unit:bundle',
  'types:node',
  'types:core',
  'lint:rules',
  'lint:layout',
]);
const units = suite(
  'unit tests',
  ['unit', '--', '--bundled', '--json', '--outputFile=test-results/unit.json'],
  'test-results/unit.json',
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    flaky: [],
  }),
);
/** The browser's, beside them: each waits for something now and then, a browser for itself to begin. */
async function inBrowser() {
  const isThere = await chromium;
  if (!isThere) total.failed += 1;
  if (!isThere || !build) return;
  // Those that are not run are not even read.
  const args = ['e2e', '--', '--workers=1', '--grep', '@journey', ...specsWith('@journey')];
  const count = (report) => ({
    passed: report.stats.expected,
    failed: report.stats.unexpected,
    flaky: flakyOf(report),
  });
  await suite('browser tests', args, 'test-results/e2e.json', count, true);
}
await Promise.all([units, inBrowser()]);

if (total.flaky.length > 0) {
  console.log(`\n${total.flaky.length} flaky, passed only when tried again, and counted as neither:`);
  for (const title of total.flaky) console.log(`  ${title}`);
}
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
