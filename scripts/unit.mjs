// npm run unit -- [parts of paths] [options of Jest]: the unit tests.
import { runToEnd } from './setup.mjs';

process.exitCode = await runToEnd(process.execPath, [
  '--experimental-vm-modules',
  '--no-warnings',
  'node_modules/jest/bin/jest.js',
  ...process.argv.slice(2),
]);
