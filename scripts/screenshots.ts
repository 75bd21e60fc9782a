// npm run screenshots: refreshes docs/screenshots from the demo job. The application must be built.
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import config from '../playwright.config.ts';
import { serve } from '../server/main.ts';

interface Shot {
  readonly name: string;
  /** From the first cable's own address. */
  readonly path: string;
  readonly width: number;
  readonly height: number;
  readonly dark?: boolean;
  readonly tab?: string;
  /** A picture to open in the section lab. */
  readonly picture?: string;
  /** What is worked out while one looks takes so long, ms. */
  readonly settles?: number;
}

const SHOTS: readonly Shot[] = [
  { name: 'run', path: 'th3/run', width: 1280, height: 800 },
  { name: 'gauge', path: 'th3/gauge', width: 1280, height: 800 },
  { name: 'gauge-dark', path: 'th3/gauge', width: 1280, height: 800, dark: true },
  { name: 'ends', path: 'th3/ends', width: 1280, height: 800 },
  { name: 'ends-stud', path: 'th4/ends', width: 1280, height: 800, tab: 'Stud or post' },
  { name: 'tool-case', path: '../case?lug=tube-metric-95-m10', width: 1280, height: 800 },
  { name: 'kit', path: '../kit', width: 1280, height: 800 },
  { name: 'make', path: 'en1/make', width: 1280, height: 800 },
  { name: 'bench', path: '../bench/en1?step=crimp-2.A', width: 1280, height: 800 },
  { name: 'batch', path: '../batch', width: 1280, height: 800 },
  { name: 'training', path: '../training?level=1&round=47', width: 1280, height: 800 },
  { name: 'practice', path: '../practice', width: 1280, height: 800, settles: 4000 },
  { name: 'prove', path: 'in1/prove', width: 1280, height: 800 },
  {
    name: 'section-lab',
    path: '../section',
    width: 1280,
    height: 800,
    picture: 'demo/sections/section-06.jpg',
    settles: 2500,
  },
  { name: 'trends', path: '../trends', width: 1280, height: 800 },
  { name: 'test-record', path: '../print/record/in1', width: 1280, height: 1000 },
  { name: 'fit', path: 'so1/fit', width: 1280, height: 800 },
  { name: 'tablet', path: 'en1/ends', width: 820, height: 1180 },
  { name: 'phone', path: 'th3/gauge', width: 390, height: 844 },
];

mkdirSync('docs/screenshots', { recursive: true });
const { url, server } = await serve(['--port', '0']);
const { executablePath, args } = config.use?.launchOptions ?? {};
const browser = await chromium.launch({ ...(executablePath && { executablePath }), ...(args && { args }) });
for (const { name, path, width, height, dark, tab, picture, settles = 500 } of SHOTS) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(`${url}demo`);
  await page.getByRole('button', { name: 'Look round' }).click();
  await page.goto(`${url}job/teasel/cable/${path}`);
  await page.locator('main section, main article').first().waitFor();
  await page.evaluate(() => document.fonts.ready);
  if (picture) await page.getByTestId('section-file').setInputFiles(picture);
  if (tab) await page.getByRole('tab', { name: tab }).click();
  await page.waitForTimeout(settles);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}
await browser.close();
server.close();
