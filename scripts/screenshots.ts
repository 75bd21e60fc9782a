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
  /** A picture to open in the section lab. */
  readonly picture?: string;
  /** What is typed on the start page. */
  readonly line?: string;
  /** How often the stand-in is put across the piece that is to be read next. */
  readonly probes?: number;
  /** What is worked out while one looks takes so long, ms. */
  readonly settles?: number;
}

const SHOTS: readonly Shot[] = [
  {
    name: 'start',
    path: '../../../start',
    width: 1280,
    height: 800,
    line: '12 V 2000 W inverter 1.5 m engine space fuse 300',
    settles: 1500,
  },
  { name: 'run', path: 'th3/run', width: 1280, height: 800, dark: true },
  { name: 'gauge', path: 'th3/gauge', width: 1280, height: 800 },
  { name: 'system', path: '../system', width: 1280, height: 800, settles: 3000 },
  { name: 'sizes', path: '../../marrow/sizes', width: 1280, height: 800, settles: 5000 },
  { name: 'ends', path: 'th3/ends', width: 1280, height: 800 },
  { name: 'tool-case', path: '../case?lug=tube-metric-95-m10', width: 1280, height: 800 },
  { name: 'kit', path: '../kit', width: 1280, height: 800, settles: 2500 },
  { name: 'make', path: 'en1/make', width: 1280, height: 800 },
  { name: 'bench', path: '../bench/en1?step=crimp-2.A', width: 1280, height: 800 },
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
  { name: 'survey', path: '../survey', width: 1280, height: 800 },
  { name: 'fit', path: 'so1/fit', width: 1280, height: 800 },
  { name: 'hunt', path: '../../hut/hunt/hut-inverter', width: 1280, height: 800, probes: 4, settles: 1000 },
  { name: 'log', path: '../../hut/log', width: 1280, height: 800 },
  { name: 'phone', path: '../card/th3', width: 390, height: 844 },
];

mkdirSync('docs/screenshots', { recursive: true });
const { url, server } = await serve(['--port', '0', '--speed', '10']);
const { executablePath, args } = config.use?.launchOptions ?? {};
const browser = await chromium.launch({ ...(executablePath && { executablePath }), ...(args && { args }) });
for (const { name, path, width, height, dark, picture, line, probes = 0, settles = 500 } of SHOTS) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light' });
  await page.goto(`${url}demo`);
  await page.getByRole('button', { name: 'Look around the example' }).click();
  await page.goto(`${url}job/teasel/cable/${path}`);
  await page.locator('main section, main article, main table').first().waitFor();
  await page.evaluate(() => document.fonts.ready);
  if (probes > 0) {
    await page.getByRole('button', { name: /^Measured with/ }).click();
    await page.getByRole('option', { name: /simulated/ }).click();
  }
  for (let i = 0; i < probes; i += 1) {
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    await page.getByRole('button', { name: 'Stop' }).waitFor();
    await page.getByRole('button', { name: 'Stop' }).waitFor({ state: 'detached' });
  }
  if (picture) await page.getByTestId('section-file').setInputFiles(picture);
  if (line) await page.getByRole('textbox', { name: 'The cable in one line' }).fill(line);
  await page.waitForTimeout(settles);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}
await browser.close();
server.close();
