// What a fresh machine lacks before anything can run: npm packages, and for the browser tests Debian's Chromium.
import { spawn, spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';

/** Runs a command with its output shown; answers its exit code. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
  return done.status ?? 1;
}

/**
 * As {@link run}, passing on to the command the wish to end: whoever breaks a run off breaks all of it off.
 *
 * @param options those of the command, and `hear`, which is told its output in the place of showing it
 */
export function runToEnd(command, args, options = {}) {
  return new Promise((resolve) => {
    const { hear, ...others } = options;
    const out = hear ? 'pipe' : 'inherit';
    const child = spawn(command, args, { stdio: ['ignore', out, out], ...others });
    if (hear) for (const stream of [child.stdout, child.stderr]) stream.on('data', hear);
    let isBroken = false;
    const pass = (signal) => {
      isBroken = true;
      child.kill(signal);
    };
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, pass);
    child.on('error', (error) => {
      hear?.(String(error));
      resolve(1);
    });
    child.on('close', (code) => {
      for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.removeListener(signal, pass);
      if (isBroken) process.exit(130);
      resolve(code ?? 1);
    });
  });
}

/** As {@link runToEnd}, with its output kept; answers its exit code and what it said. */
export async function runQuietly(command, args) {
  let output = '';
  const code = await runToEnd(command, args, { hear: (said) => (output += said) });
  return { code, output };
}

/** Runs a command and ends this process with its code when it fails. */
export function must(command, args, options) {
  const code = run(command, args, options);
  if (code !== 0) process.exit(code);
}

/** Every Node that is begun from here on reads `compileLess.mjs` first. */
export function compileLess() {
  const { href } = new URL('compileLess.mjs', import.meta.url);
  const { NODE_OPTIONS = '' } = process.env;
  if (!NODE_OPTIONS.includes(href)) process.env.NODE_OPTIONS = `${NODE_OPTIONS} --import ${href}`;
}

/**
 * A lock file that also names where each package lies, by the rule of npm's registry; npm asks the registry that it is
 * set to in its place.
 *
 * @param lock a lock file as an object; it is left as it is
 */
export function withAddresses(lock) {
  const entries = Object.entries(lock.packages).map(([path, own]) => {
    // Of an alias the package's own name is written down.
    const name = own.name ?? path.split('node_modules/').at(-1);
    const file = `${name.split('/').at(-1)}-${own.version}.tgz`;
    const isFetched = path.includes('node_modules/') && !own.link && !own.inBundle;
    return [path, isFetched ? { ...own, resolved: `https://registry.npmjs.org/${name}/-/${file}` } : own];
  });
  return { ...lock, packages: Object.fromEntries(entries) };
}

// What was fetched once is not asked for again: the lock file says what each package must be.
const INSTALL = ['ci', '--prefer-offline', '--no-audit', '--no-fund'];

/**
 * Installs the npm packages of the lock file when they are missing. The lock file names no addresses, so npm would read
 * all that is known of each of seven hundred packages to learn where one version of it lies, which takes as long as all
 * else. They are installed beside by a lock file with addresses, then put in their place; where that fails, by the lock
 * file itself.
 */
export async function ensurePackages() {
  if (existsSync('node_modules/.package-lock.json')) return;
  console.log('Installing the npm packages (about a minute) …');
  const beside = '.cache/install';
  rmSync(beside, { recursive: true, force: true });
  mkdirSync(beside, { recursive: true });
  for (const file of ['package.json', '.npmrc']) copyFileSync(file, `${beside}/${file}`);
  const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
  writeFileSync(`${beside}/package-lock.json`, JSON.stringify(withAddresses(lock)));
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' };
  if ((await runToEnd('npm', INSTALL, { env, cwd: beside })) === 0) {
    rmSync('node_modules', { recursive: true, force: true });
    renameSync(`${beside}/node_modules`, 'node_modules');
    rmSync(beside, { recursive: true });
    return;
  }
  const code = await runToEnd('npm', INSTALL, { env });
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
