import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

const LARGEST_CACHED = 8_000_000;

export default defineConfig({
  plugins: [
    vue(),
    tailwindcss(),
    VitePWA({
      // A new version waits until the person says so: it never takes the page away from under their hands.
      registerType: 'prompt',
      injectRegister: null,
      includeAssets: ['anchor.svg'],
      manifest: {
        name: 'Gruff Anchor',
        short_name: 'Gruff Anchor',
        description: 'Heavy DC cables: sized, made, proved and kept.',
        start_url: '/',
        display: 'standalone',
        theme_color: '#f4f1e8',
        background_color: '#f4f1e8',
        icons: [
          { src: '/anchor-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
          { src: '/anchor-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,jpg,woff,woff2,wasm,json}'],
        maximumFileSizeToCacheInBytes: LARGEST_CACHED,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/instruments\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  optimizeDeps: { entries: ['index.html', 'web/**/*.{vue,ts}', 'core/**/*.ts'] },
  worker: { format: 'es' },
  // The demo jobs are fetched as files of their own, however small.
  build: {
    outDir: 'dist',
    target: 'es2022',
    assetsInlineLimit: (file) => (file.endsWith('.json') ? false : undefined),
  },
  server: { host: '127.0.0.1', proxy: { '/instruments': { target: 'ws://127.0.0.1:4310', ws: true } } },
});
