import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import jpeg from 'jpeg-js';
import config from '../../playwright.config.ts';
import { serve } from '../../server/main.ts';
import { decodePicture } from '../decodePicture.ts';

const WIDE = 4000;
const HIGH = 3000;

/** A 12-megapixel photograph of a sawn crimp, as a camera writes it. */
function largePhotograph(): Buffer {
  const small = decodePicture(readFileSync('demo/sections/section-06.jpg'));
  if (!small) throw new Error('the demo has this picture');
  const data = Buffer.alloc(WIDE * HIGH * 4);
  for (let y = 0; y < HIGH; y += 1) {
    const row = Math.floor((y * small.height) / HIGH) * small.width;
    for (let x = 0; x < WIDE; x += 1) {
      const from = (row + Math.floor((x * small.width) / WIDE)) * 4;
      data.set(small.data.subarray(from, from + 4), (y * WIDE + x) * 4);
    }
  }
  return jpeg.encode({ width: WIDE, height: HIGH, data }, 90).data;
}

/** Counts the frames that the page draws until it is told to stop. */
const countFrames = (page: Page) =>
  page.evaluate(() => {
    const state = { frames: 0, longest: 0, last: performance.now(), began: performance.now(), on: true };
    const tick = (now: number) => {
      state.frames += 1;
      state.longest = Math.max(state.longest, now - state.last);
      state.last = now;
      if (state.on) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    Object.assign(window, {
      stopFrames: () => {
        state.on = false;
        return {
          perSecond: (1000 * state.frames) / (performance.now() - state.began),
          longest: state.longest,
        };
      },
    });
  });
const stopFrames = (page: Page) =>
  page.evaluate(() =>
    (window as unknown as { stopFrames: () => { perSecond: number; longest: number } }).stopFrames(),
  );

/** How smoothly the page goes on while a worker measures a large photograph. */
export async function benchFrames(): Promise<void> {
  if (!existsSync('dist/index.html')) {
    console.log('interface frames while measuring: not built yet; npm run build first');
    return;
  }
  const folder = mkdtempSync(join(tmpdir(), 'frames-'));
  const file = join(folder, 'section.jpg');
  writeFileSync(file, largePhotograph());
  const { url, server } = await serve(['--port', '0']);
  const { executablePath, args } = config.use?.launchOptions ?? {};
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), ...(args && { args }) });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${url}demo`);
    await page.getByRole('button', { name: 'Look around the example' }).click();
    await page.goto(`${url}job/teasel/section`);
    await page.getByRole('heading', { name: 'Section lab' }).waitFor();
    await countFrames(page);
    await page.waitForTimeout(2000);
    const idle = await stopFrames(page);
    await countFrames(page);
    await page.getByTestId('section-file').setInputFiles(file);
    await page.getByRole('group', { name: 'Outline of the crimp' }).waitFor({ timeout: 60_000 });
    const busy = await stopFrames(page);
    console.log(
      `interface while a ${(WIDE * HIGH) / 1e6}-megapixel photograph is opened and measured: ${(busy.perSecond / idle.perSecond).toFixed(2)} × its idle frames, longest gap ${(busy.longest / idle.longest).toFixed(1)} × the idle one (${busy.longest.toFixed(0)} ms)`,
    );
  } finally {
    await browser.close();
    server.close();
    rmSync(folder, { recursive: true });
  }
}
