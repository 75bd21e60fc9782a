// The tests as Node runs them: TypeScript without its types, components compiled, and what several of them share in one
// file each. A loader that reads the same thousand modules one by one, anew for each thread, costs a tenth of all tests.
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { lightPage } from './lightPage.mjs';
import { specsWith } from './specs.mjs';

/** Where unit tests stand beside what they test. */
export const ROOTS = ['core', 'web', 'server', 'scripts'];
const SIMULATED = 'e2e/simulated/';
/** The specs of the simulated page are shared out to so many threads, file by file. */
const THREADS = 2;

/** What Jest can do in its sandbox alone: replace a module, read one again, and run timers out. */
const SANDBOX_ALONE = /\bjest\.(unstable_mockModule|resetModules|runAllTimers|advanceTimersByTimeAsync)\b/;

const filesIn = (root, end) =>
  readdirSync(root, { recursive: true })
    .filter((file) => file.endsWith(end))
    .map((file) => `${root}/${file}`);

const tests = ROOTS.flatMap((root) => filesIn(root, '.test.ts'));

/** Tests that Jest reads by itself. */
export const inSandbox = tests.filter((file) => SANDBOX_ALONE.test(readFileSync(file, 'utf8')));

/** A component as TypeScript, its template compiled into what sets it up, as the build does it. */
async function component(path) {
  const { compileScript, parse } = await import('vue/compiler-sfc');
  const { descriptor } = parse(readFileSync(path, 'utf8'), { filename: path, sourceMap: false });
  return compileScript(descriptor, { id: path, inlineTemplate: true, sourceMap: false }).content;
}

/** Reads each file as if it lay where it was written, and gives what Vite would give an address that of its file. */
const asWritten = {
  name: 'as written',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^@jest\/globals$/ }, () => ({ path: resolve('scripts/jestGlobals.ts') }));
    onResolve({ filter: /\?url$/ }, ({ path, importer }) => ({
      path: createRequire(importer).resolve(path.replace(/\?url$/, '')),
      namespace: 'address',
    }));
    onLoad({ filter: /./, namespace: 'address' }, ({ path }) => ({
      contents: `export default ${JSON.stringify(path)}`,
    }));
    onLoad({ filter: /\.css$/ }, () => ({ contents: '' }));
    // The core asks for no place of its own.
    onLoad({ filter: /\/(web|server|scripts|e2e)\/.*\.(vue|ts|mjs)$/ }, async ({ path, suffix }) => {
      if (path.includes('/node_modules/')) return undefined;
      const written = path.endsWith('.vue') ? await component(path) : readFileSync(path, 'utf8');
      const place = JSON.stringify(pathToFileURL(path).href + suffix);
      return { contents: written.replaceAll('import.meta.url', place), loader: 'ts' };
    });
  },
};

/** On a simulated page a spec is given other hands and eyes than the browser's; what it says is the same. */
const simulated = {
  name: 'simulated',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^(@playwright\/test|\.\/(camera|store|test)\.ts)$/ }, ({ path, resolveDir }) =>
      resolveDir === resolve('e2e')
        ? { path: resolve(SIMULATED, path.replace('@playwright/test', 'playwright.ts')) }
        : undefined,
    );
    // Each worker has a way to the page of its own.
    onResolve({ filter: /^comlink$/ }, ({ importer }) => ({
      path: resolve(SIMULATED, 'comlink.mjs'),
      suffix: `?for=${encodeURIComponent(pathToFileURL(importer))}`,
    }));
    // It comes as six hundred files.
    onResolve({ filter: /^happy-dom(\/|$)/ }, ({ path }) => ({
      path: fileURLToPath(import.meta.resolve(path)),
    }));
    // Node cannot read out of its common modules what they export.
    onResolve({ filter: /^@zxing\/library$/ }, () => ({
      path: resolve('node_modules/@zxing/library/esm/index.js'),
    }));
    onResolve({ filter: /^pages \d$/, namespace: '' }, ({ path }) => ({ path, namespace: 'pages' }));
    onLoad({ filter: /./, namespace: 'pages' }, ({ path }) => ({
      contents: specsWith('@page')
        .filter((_, i) => i % THREADS === Number(path.split(' ')[1]))
        .map((file) => `import './${file}';`)
        .join('\n'),
      resolveDir: resolve('.'),
    }));
  },
};

/** Files by where they come out. */
const byPlace = (files) => Object.fromEntries(files.map((file) => [file.replace(/\.\w+$/, ''), file]));

async function bundle(outdir, entryPoints, plugins) {
  const { build } = await import('esbuild');
  const { metafile } = await build({
    entryPoints,
    outdir,
    plugins,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    // Packages are loaded as they are: the solver finds its own machine code beside itself.
    packages: 'external',
    chunkNames: 'shared/[hash]',
    sourcemap: 'linked',
    sourcesContent: false,
    metafile: true,
    logLevel: 'warning',
  });
  // Tests that are no more are not run.
  for (const file of readdirSync(outdir, { recursive: true, withFileTypes: true })) {
    const path = join(file.parentPath, file.name);
    if (file.isFile() && !(path in metafile.outputs)) rmSync(path);
  }
}

/** Writes the tests that bare Node runs into `.cache/unit`. */
export const bundleUnits = () =>
  bundle('.cache/unit', byPlace(tests.filter((file) => !inSandbox.includes(file))), [asWritten]);

/** Writes the specs of the simulated page, with all that it opens, into `.cache/page`. */
export function bundlePage() {
  const page = byPlace([
    `${SIMULATED}globals.mjs`,
    ...filesIn('e2e/simulated', '.test.ts'),
    ...filesIn('web', '.worker.ts'),
  ]);
  const shares = Array.from({ length: THREADS }, (_, i) => [`${SIMULATED}pages${i}.test`, `pages ${i}`]);
  return bundle('.cache/page', { ...page, ...Object.fromEntries(shares) }, [simulated, lightPage, asWritten]);
}
