// What a fresh machine lacks before anything can run: npm packages, and for the browser tests Debian's Chromium.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

/** Runs a command with its output shown; answers its exit code. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
  return done.status ?? 1;
}

/** As {@link run}, passing on to the command the wish to end: whoever breaks a run off breaks all of it off. */
export function runToEnd(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
    let isBroken = false;
    const pass = (signal) => {
      isBroken = true;
      child.kill(signal);
    };
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, pass);
    child.on('error', () => resolve(1));
    child.on('close', (code) => {
      for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.removeListener(signal, pass);
      if (isBroken) process.exit(130);
      resolve(code ?? 1);
    });
  });
}

/** Runs a command with its output kept; answers its exit code and what it said. */
export function runQuietly(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (output += data));
    child.on('error', (error) => resolve({ code: 1, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** Runs a command and ends this process with its code when it fails. */
export function must(command, args, options) {
  const code = run(command, args, options);
  if (code !== 0) process.exit(code);
}

/** Installs the npm packages of the lock file when they are missing. */
export async function ensurePackages() {
  if (existsSync('node_modules/.package-lock.json')) return;
  console.log('Installing the npm packages (about a minute) …');
  // What was fetched once is not asked for again: the lock file says what each package must be.
  const code = await runToEnd('npm', ['ci', '--prefer-offline', '--no-audit', '--no-fund'], {
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
  });
  if (code !== 0) process.exit(code);
}

/**
 * Installs Debian's Chromium when it is missing, while other things are done; answers whether it is there, and says what
 * to do where it cannot be.
 */
export async function ensureChromium() {
  const path = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(path)) return true;
  console.log("Installing Debian's Chromium for the browser tests (about three minutes, beside the rest) …");
  const isRoot = process.getuid?.() === 0;
  const apt = (args) =>
    isRoot ? runQuietly('apt-get', args) : runQuietly('sudo', ['-n', 'apt-get', ...args]);
  const updated = await apt(['update']);
  const installed = await apt(['install', '-y', '--no-install-recommends', 'chromium']);
  if (installed.code === 0 && existsSync(path)) return true;
  console.error(
    `${updated.output}${installed.output}
Chromium is not here and could not be installed. Install it by hand ("sudo apt-get install chromium"), or set CHROMIUM
to the path of one, and run npm test again.`,
  );
  return false;
}
