// npm run unit -- [parts of paths] [options of Jest]: the unit tests.
import { bundleTests } from './bundledTests.mjs';
import { runToEnd } from './setup.mjs';

await bundleTests();
process.exitCode = await runToEnd(process.execPath, [
  '--experimental-vm-modules',
  '--enable-source-maps',
  '--no-warnings',
  'node_modules/jest/bin/jest.js',
  // What runs is a bundle of what was written.
  ...process.argv.slice(2).map((arg) => arg.replace(/\.test\.ts$/, '.test')),
]);
