// What Node asks for in the thread that finds and reads modules. TypeScript loses its types here and nothing is added to
// it: loaders that keep the names of functions name each closure anew whenever it is made, a tenth of what tests cost.
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from 'esbuild';

const GLOBALS = new URL('./jestGlobals.ts', import.meta.url).href;

export const resolve = (specifier, context, next) =>
  specifier === '@jest/globals' ? { url: GLOBALS, shortCircuit: true } : next(specifier, context);

export async function load(url, context, next) {
  const { protocol, pathname } = new URL(url);
  if (protocol !== 'file:' || !pathname.endsWith('.ts')) return next(url, context);
  const path = fileURLToPath(new URL(pathname, url));
  const { code } = await transform(await readFile(path, 'utf8'), {
    loader: 'ts',
    format: 'esm',
    target: 'node20',
    sourcemap: 'inline',
    sourcefile: path,
  });
  return { format: 'module', source: code, shortCircuit: true };
}
