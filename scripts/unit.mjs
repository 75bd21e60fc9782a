// npm run unit -- [parts of paths] [options of Jest]: the unit tests. `npm test` bundles them among its checks (--bundle),
// and then runs what was bundled (--bundled).
import { mkdirSync, writeFileSync } from 'node:fs';
import { bundlePage, bundleUnits, ROOTS } from './bundledTests.mjs';
import { compileLess, runToEnd } from './setup.mjs';

compileLess();
const OWN = ['--bundle', '--bundled'];
const [isBundlingAlone, isBundled] = OWN.map((option) => process.argv.includes(option));
const asked = process.argv.slice(2).filter((arg) => !OWN.includes(arg));
/** Whether nothing is asked for but tests that stand beside what they test: the page is then no part of it. */
const isBeside = asked.length > 0 && asked.every((arg) => ROOTS.some((root) => arg.startsWith(`${root}/`)));

// Jest looks for its folder and for what begins it all the same.
mkdirSync('.cache/page/e2e/simulated', { recursive: true });
writeFileSync('.cache/page/e2e/simulated/globals.js', '', { flag: 'a' });
if (!isBundled) await Promise.all([bundleUnits(), ...(isBeside ? [] : [bundlePage()])]);
if (!isBundlingAlone)
  process.exitCode = await runToEnd(process.execPath, [
    '--experimental-vm-modules',
    '--enable-source-maps',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    // What runs is a bundle of what was written.
    ...asked.map((arg) => arg.replace(/\.test\.ts$/, '.test')),
    ...(isBeside ? ['--selectProjects', 'node', 'sandbox'] : []),
  ]);
