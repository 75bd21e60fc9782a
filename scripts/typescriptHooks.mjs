// What Node asks for in the thread that finds and reads modules. TypeScript loses its types here and nothing is added to
// it: loaders that keep the names of functions name each closure anew whenever it is made, a tenth of what it does.
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from 'esbuild';

export async function load(url, context, next) {
  if (!url.startsWith('file:') || !new URL(url).pathname.endsWith('.ts')) return next(url, context);
  const path = fileURLToPath(url);
  const { code } = await transform(await readFile(path, 'utf8'), {
    loader: 'ts',
    format: 'esm',
    target: 'node20',
    sourcemap: 'inline',
    sourcefile: path,
  });
  return { format: 'module', source: code, shortCircuit: true };
}
