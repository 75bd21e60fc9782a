import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { serve } from '../server/main.ts';
import { App } from './app.ts';

test.use({ serviceWorkers: 'allow' });

/** Stops a server and everything that is still connected to it. */
const stop = (server: Server) =>
  new Promise<void>((resolve) => {
    server.close(() => resolve());
    server.closeAllConnections();
  });
/** Opens the demo and waits until the whole application is kept. */
async function openKept(page: Page, url: string): Promise<void> {
  await page.goto(`${url}demo`);
  await page.getByRole('button', { name: 'Look around the example' }).click();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state !== 'activated')
      await new Promise((resolve) => active?.addEventListener('statechange', resolve));
  });
}

test('every view opens after the server is stopped', async ({ page }) => {
  const { url, server } = await serve(['--port', '0']);
  const app = new App(page);
  await openKept(page, url);
  await expect(page.getByTestId('saved')).toContainText(/^Saved on this device/);
  await stop(server);
  const views: readonly (readonly [string, RegExp])[] = [
    ['job/teasel/cable/th3/gauge', /TH-3/],
    ['job/teasel/cable/th3/ends', /TH-3/],
    ['job/teasel/cable/in1/prove', /IN-1/],
    ['job/hut/cable/hb3/fit', /HB-3/],
    ['job/teasel/kit', /Kit/],
    ['job/teasel/case', /case/i],
    ['job/teasel/bench/en1', /./],
    ['job/teasel/section', /section/i],
    ['job/teasel/trends', /./],
    ['job/teasel/practice', /practice/i],
    ['job/teasel/training', /./],
    ['job/teasel/survey', /Survey/],
    ['job/hut/hunt', /hunt/i],
    ['job/hut/log', /Log/],
    ['job/hut/keeping', /Backups/],
    ['job/hut/print/handover', /Larkfell/],
    ['job/teasel/print/record/in1', /./],
  ];
  // The page itself comes without the server as well; from then on each view brings its own script.
  await page.goto(`${url}job/teasel/cable/th3/run`);
  for (const [path, heading] of views) {
    await app.go(`/${path}`);
    await expect(page.getByRole('heading').filter({ hasText: heading }).first()).toBeAttached();
  }
  // What is worked out in workers is there as well.
  await page.goto(`${url}job/teasel/kit`);
  await expect(page.getByText(/^in [\d.]+ s$/)).toBeVisible({ timeout: 60_000 });
  await page.goto(`${url}job/teasel/cable/th3/run`);
  await app.type('To, end B', 'Thruster plus');
  await app.saved();
});

test('a newer version says that it is ready, and never interrupts', async ({ page }) => {
  const root = mkdtempSync(join(tmpdir(), 'versions-'));
  cpSync('dist', root, { recursive: true });
  const { url, server } = await serve(['--port', '0'], root);
  await openKept(page, url);
  await page.goto(`${url}job/teasel/cable/th3/run`);
  const app = new App(page);
  await app.field('To, end B').fill('half typ');
  appendFileSync(join(root, 'sw.js'), '\n// a newer version\n');
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  const bar = page.getByRole('status').filter({ hasText: 'An update is ready' });
  await expect(bar).toBeVisible();
  await expect(app.field('To, end B')).toHaveValue('half typ');
  await app.type('To, end B', 'Thruster plus');
  await bar.getByRole('button', { name: 'Start it now' }).click();
  await expect(bar).toBeHidden();
  await expect(app.field('To, end B')).toHaveValue('Thruster plus');
  await stop(server);
  rmSync(root, { recursive: true });
});
