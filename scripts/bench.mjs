// npm run bench: bundles the benchmarks as the application is bundled, so that what is measured is what runs.
import { ensurePackages } from './setup.mjs';

await ensurePackages();
const { build } = await import('esbuild');
const outfile = new URL('../.cache/bench.mjs', import.meta.url);
await build({
  entryPoints: ['scripts/bench.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  // Packages are loaded as they are: the solver finds its own machine code beside itself.
  packages: 'external',
  outfile: outfile.pathname,
  logLevel: 'error',
});
await import(outfile.href);
