import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';

/** A port that nobody has, asked of the machine once: whatever else is being served there is none of ours. */
const freePort = (): string =>
  execFileSync(process.execPath, [
    '-e',
    'const s = require("net").createServer().listen(0, "127.0.0.1", () => { console.log(s.address().port); s.close(); })',
  ])
    .toString()
    .trim();
// Each window’s process reads this file again, and finds the port that the first one found.
const port = (process.env['E2E_PORT'] ??= freePort());

/**
 * Parts of the browser that no test looks at. Of several such lists the last one counts, so it begins with what
 * Playwright itself leaves out. The rest is half of what a page costs here: the address bar's list, drawn as a page of
 * its own for each window, and a process kept ready for a page that never comes.
 */
const NOT_NEEDED = [
  ...[
    'AvoidUnnecessaryBeforeUnloadCheckSync',
    'DestroyProfileOnBrowserClose',
    'HttpsUpgrades',
    'MediaRouter',
  ],
  ...['HttpsFirstBalancedModeAutoEnable', 'LensOverlay', 'PaintHolding', 'ThirdPartyStoragePartitioning'],
  ...['AvoidCorsURLLoaderRestartOnRedirect', 'OptimizationHints', 'NetworkTimeServiceQuerying', 'AimEnabled'],
  'PreconnectToSearch',
  ...['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup', 'WebUIOmniboxFullPopup', 'SpareRendererForSitePerProcess'],
];

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
        `--disable-features=${NOT_NEEDED.join(',')}`,
      ],
    },
  },
  webServer: {
    command: `node --import ./scripts/typescript.mjs server/main.ts --port ${port} --exact --speed 25 --while ${process.pid}`,
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
  },
});
