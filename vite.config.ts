import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue(), tailwindcss()],
  optimizeDeps: { entries: ['index.html', 'web/**/*.{vue,ts}', 'core/**/*.ts'] },
  worker: { format: 'es' },
  build: { outDir: 'dist', target: 'es2022' },
  server: { host: '127.0.0.1', proxy: { '/instruments': { target: 'ws://127.0.0.1:4310', ws: true } } },
});
