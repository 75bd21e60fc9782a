// npm run test:slow: what takes too long for every change. Properties with twenty times the cases, and in the browser the
// monkey, the kills, the races of tabs, and five hundred cables. About an hour.
import { ensureChromium, ensurePackages, must } from './setup.mjs';

ensurePackages();
ensureChromium();
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
    'stores/bench',
    'sizing',
    'hunt',
    'scripts/section',
  ],
  { env },
);
must('npm', ['run', '--silent', 'build']);
must('npx', ['--no-install', 'playwright', 'test', '-c', 'playwright.slow.config.ts']);
