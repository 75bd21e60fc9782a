// npm run unit -- [parts of paths] [options of Jest]: the unit tests.
import { resolve } from 'node:path';
import { runToEnd } from './setup.mjs';

process.env.TSX_TSCONFIG_PATH = resolve('tsconfig.jest.json');
process.exitCode = await runToEnd(process.execPath, [
  '--experimental-vm-modules',
  '--import',
  'tsx',
  '--no-warnings',
  'node_modules/jest/bin/jest.js',
  ...process.argv.slice(2),
]);
