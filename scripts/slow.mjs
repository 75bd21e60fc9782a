// npm run test:slow: what takes too long for every change. All unit tests with all their cases and some with twenty times
// as many; in the browser every test, then the monkey, the kills, the races of tabs, and five hundred cables. About an hour.
import { ensureChromium, ensurePackages, must } from './setup.mjs';

const chromium = ensureChromium();
await ensurePackages();
if (!(await chromium)) process.exit(1);
must('npm', ['run', '--silent', 'unit', '--', '--testTimeout=1200000'], {
  env: { ...process.env, CASES_TIMES: '1' },
});
const env = { ...process.env, CASES_TIMES: process.env.CASES_TIMES ?? '20' };
must(
  'npm',
  [
    'run',
    '--silent',
    'unit',
    '--',
    '--testTimeout=1200000',
    'anyJob',
    'stored',
    'hostile',
    'backup',
    'stores/anyOrder',
    'sizing',
    'hunt',
    'scripts/section',
  ],
  { env },
);
must('npm', ['run', '--silent', 'build']);
must('npm', ['run', '--silent', 'e2e']);
must('npx', ['--no-install', 'playwright', 'test', '-c', 'playwright.slow.config.ts']);
