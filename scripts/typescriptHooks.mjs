// What Node asks for in the thread that finds and reads modules. TypeScript loses its types here and nothing is added to
// it: loaders that keep the names of functions name each closure anew whenever it is made, a tenth of what tests cost.
// Components are compiled by Vue's own compiler, and what Vite would give an address for gets that of its file.
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from 'esbuild';

const GLOBALS = new URL('./jestGlobals.ts', import.meta.url).href;
const AS_ADDRESS = '?url';

export async function resolve(specifier, context, next) {
  if (specifier === '@jest/globals') return { url: GLOBALS, shortCircuit: true };
  if (!specifier.endsWith(AS_ADDRESS)) return next(specifier, context);
  const { url } = await next(specifier.slice(0, -AS_ADDRESS.length), { ...context, importAttributes: {} });
  return { url: url + AS_ADDRESS, format: 'module', shortCircuit: true };
}

const module = (source) => ({ format: 'module', source, shortCircuit: true });

/** A component as a module of TypeScript, its template compiled into what sets it up, as the build does it. */
async function component(path, source) {
  const { compileScript, parse } = await import('vue/compiler-sfc');
  const { descriptor } = parse(source, { filename: path, sourceMap: false });
  return compileScript(descriptor, { id: path, inlineTemplate: true, sourceMap: false }).content;
}

export async function load(url, context, next) {
  const { protocol, pathname, search } = new URL(url);
  if (protocol !== 'file:') return next(url, context);
  if (search === AS_ADDRESS) return module(`export default ${JSON.stringify(pathname)}`);
  if (pathname.endsWith('.css')) return module('');
  const isComponent = pathname.endsWith('.vue');
  if (!isComponent && !pathname.endsWith('.ts')) return next(url, context);
  const path = fileURLToPath(new URL(pathname, url));
  const written = await readFile(path, 'utf8');
  const { code } = await transform(isComponent ? await component(path, written) : written, {
    loader: 'ts',
    format: 'esm',
    target: 'node20',
    sourcemap: 'inline',
    sourcefile: path,
  });
  return module(code);
}
