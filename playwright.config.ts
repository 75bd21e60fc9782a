import { defineConfig } from '@playwright/test';

const port = Number(process.env['E2E_PORT'] ?? 4317);

/** Drives the built application in Debian’s Chromium, in as many windows as the machine has processors. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  testIgnore: 'slow/**',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: true,
  // A shared machine can stall for seconds: one more try tells a stall from a fault.
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // Kept for use without a network only where that is what is tested.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node --import tsx server/main.ts --port ${port} --exact --speed 25`,
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
  },
});
