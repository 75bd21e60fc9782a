import { serwist } from '@serwist/vite';
import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

const LARGEST_CACHED = 8_000_000;

/** What the first view loads at once comes in one file: together it packs a tenth smaller than in forty. */
const FIRST = ['/web/start.ts', '/web/bench/BenchPage.vue'];
/** What is there before it: the page that sets the language, and the start that waits for the first view. */
const BEFORE = '/web/main.ts';
/** Packages that it needs whole; of the others each view takes the parts that it uses. */
const FIRST_PACKAGES = /node_modules\/(@?vue|vue-router|pinia|immer|localforage|comlink)\//;

interface Graph {
  getModuleInfo(id: string): { readonly importedIds: readonly string[] } | null;
}
/** Our own files that are loaded with these, by what imports what. */
function loadedWith(entries: readonly string[], graph: Graph): Set<string> {
  const found = new Set<string>();
  const open = entries.map((path) => import.meta.dirname + path);
  for (let own = open.pop(); own !== undefined; own = open.pop()) {
    if (found.has(own) || own.includes('/node_modules/')) continue;
    found.add(own);
    open.push(...(graph.getModuleInfo(own)?.importedIds ?? []));
  }
  return found;
}
let first: ReadonlySet<string> | undefined;
let before: ReadonlySet<string> | undefined;
const isBefore = (id: string, graph: Graph): boolean => {
  before ??= loadedWith([BEFORE], graph);
  return before.has(id) || id.includes('vite/preload-helper') || /node_modules\/zod\/(?!.*locales)/.test(id);
};
/** What sets the language is whole before anything that says something is loaded: it lies in a file of its own. */
const wordsChunk = (id: string, graph: Graph): string | null =>
  isBefore(id, graph) && !id.endsWith(BEFORE) ? 'words' : null;
function firstChunk(id: string, graph: Graph): string | null {
  first ??= loadedWith(FIRST, graph);
  const isStart = id.endsWith('/web/start.ts');
  return !isStart && !isBefore(id, graph) && (first.has(id) || FIRST_PACKAGES.test(id)) ? 'bench' : null;
}

export default defineConfig({
  plugins: [
    vue(),
    tailwindcss(),
    serwist({
      swSrc: 'web/sw.ts',
      swDest: 'sw.js',
      globDirectory: 'dist',
      globPatterns: ['**/*.{js,css,html,svg,png,jpg,woff,woff2,wasm,json,webmanifest}'],
      maximumFileSizeToCacheInBytes: LARGEST_CACHED,
      rollupFormat: 'iife',
    }),
  ],
  optimizeDeps: { entries: ['index.html', 'web/**/*.{vue,ts}', 'core/**/*.ts'] },
  // Every component here, and of the packages, is set up by functions: what reads options is left out.
  define: { __VUE_OPTIONS_API__: 'false' },
  worker: { format: 'es' },
  // The demo jobs are fetched as files of their own, however small.
  build: {
    outDir: 'dist',
    target: 'es2022',
    reportCompressedSize: false,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: wordsChunk, priority: 2 },
            { name: firstChunk, priority: 1 },
          ],
        },
      },
    },
    assetsInlineLimit: (file) => (file.endsWith('.json') ? false : undefined),
  },
  server: {
    host: '127.0.0.1',
    proxy: { '/instruments': { target: process.env['STAND_INS'] ?? 'ws://127.0.0.1:4310', ws: true } },
  },
});
