// npm test: installs what is missing, then types, lint, unit tests and browser tests, and one closing count.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium, ensurePackages, run, runQuietly } from './setup.mjs';

ensurePackages();
ensureChromium();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

const total = { passed: 0, failed: 0 };

/** Counts a step as one test: it passes when its exit code is 0. */
function count(code) {
  if (code === 0) total.passed += 1;
  else total.failed += 1;
  return code === 0;
}
function check(title, args) {
  console.log(`\n── ${title}`);
  return count(run('npm', ['run', '--silent', ...args]));
}

/** Steps that each keep one processor busy, side by side; what they say comes out one after the other. */
async function checks(titles) {
  const said = await Promise.all(titles.map((title) => runQuietly('npm', ['run', '--silent', title])));
  said.forEach(({ code, output }, i) => {
    console.log(`\n── ${titles[i]}\n${output}`);
    count(code);
  });
}

/** A step whose runner writes a report; counts that report's tests, and a crash as one failure. */
function suite(title, args, report, count) {
  console.log(`\n── ${title}`);
  const code = run('npm', ['run', '--silent', ...args]);
  const counted = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 };
  total.passed += counted.passed;
  total.failed += counted.failed;
  if (code !== 0 && counted.failed === 0) total.failed += 1;
}

await checks(['types', 'lint']);
suite(
  'unit tests',
  ['unit', '--', '--json', '--outputFile=test-results/unit.json'],
  'test-results/unit.json',
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
  }),
);
if (check('build', ['build'])) {
  suite('browser tests', ['e2e'], 'test-results/e2e.json', (report) => ({
    passed: report.stats.expected + report.stats.flaky,
    failed: report.stats.unexpected,
  }));
}

console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1);
