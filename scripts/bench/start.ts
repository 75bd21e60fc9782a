import { existsSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { type Browser, chromium, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import config from '../../playwright.config.ts';
import { serve } from '../../server/main.ts';
import type { Cable } from '../../core/model/cable.ts';
import { jobFileSchema } from '../../core/model/job.ts';
import { installation } from './system.ts';

const MANY = 500;
/** Cables of one installation, each fed by it. */
const FED = [60, 500];
const OPENED = 200;
/** Edits timed, after some that let the engine warm to them as it does while a person types. */
const EDITS = 21;
const WARMING = 4;
const SLOWED = 4;

const median = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** An end that is on no stud and no post. */
const standsAlone = ({ studId: _stud, on: _on, ...end }: Cable['ends']['A']) => end;

const demoFile = () => jobFileSchema.parse(JSON.parse(readFileSync('demo/teasel.json', 'utf8')));

/** The demo job with so many cables, each its own and with its figures typed: on no place, fed by no system. */
function jobOf(count: number): string {
  const file = demoFile();
  const cables = Array.from({ length: count }, (_, i) => {
    const from = file.job.cables[i % file.job.cables.length];
    if (!from) throw new Error('the demo has cables');
    // Circuits stay as small as they are: a boat with more cables has more of them.
    const back = from.run.return;
    const circuit = Math.floor(i / file.job.cables.length);
    return {
      ...from,
      id: `c${i}`,
      tag: `C-${i}`,
      run: {
        ...from.run,
        fromSystem: [],
        lengthMm: 600 + ((i * 113) % 5000),
        return: back.kind === 'circuit' ? { ...back, name: `${back.name} ${circuit}` } : back,
      },
      ends: { A: standsAlone(from.ends.A), B: standsAlone(from.ends.B) },
    };
  });
  const { system: _, ...typed } = file.job;
  const job = { ...typed, id: 'bench', title: `Bench of ${count}`, cables, studs: [] };
  return JSON.stringify({ ...file, job });
}

/** A job whose cables all take their inputs from one installation. */
const fedJob = (count: number): string =>
  JSON.stringify({ ...demoFile(), job: { ...installation(count), title: `Bench of ${count}` } });

/** Script fetched before the first view can be used, gzipped as a server would send it, bytes. */
async function scriptBytes(browser: Browser, url: string): Promise<number> {
  const page = await browser.newPage({ serviceWorkers: 'block' });
  const scripts: Promise<number>[] = [];
  page.on('response', (response) => {
    if (!response.url().endsWith('.js')) return;
    scripts.push(
      response.body().then(
        (body) => gzipSync(body).length,
        () => 0,
      ),
    );
  });
  await page.goto(`${url}demo`);
  await page.getByRole('button', { name: 'Look around the example' }).waitFor();
  const each = await Promise.all(scripts);
  await page.close();
  return each.reduce((sum, own) => sum + own, 0);
}

/** A page with a job of so many cables in its store. */
async function withJob(browser: Browser, url: string, count: number, jobFile = jobOf(count)): Promise<Page> {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await page.goto(`${url}demo`);
  await page.getByRole('button', { name: 'Look around the example' }).click();
  await page.getByTestId('file').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: Buffer.from(jobFile),
  });
  await page.getByText(`Bench of ${count}`).waitFor({ timeout: 120_000 });
  await page.waitForTimeout(2000);
  return page;
}

/** From asking for the page until its field can be typed in, ms. */
async function usableAfter(page: Page, url: string): Promise<number> {
  const began = performance.now();
  await page.goto(`${url}job/bench/cable/c0/run`);
  await page.getByRole('textbox', { name: 'To, end B' }).waitFor({ timeout: 120_000 });
  return performance.now() - began;
}

/**
 * From a key until its stage and the checks of it are painted, median ms, with the processor slowed: the drawing, the
 * other stages and the rack follow a frame later.
 */
async function keyToPaint(page: Page): Promise<number> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const field = page.getByRole('textbox', { name: 'Length along the route, stud to stud' });
  const times: number[] = [];
  for (let i = 0; i < WARMING + EDITS; i += 1) {
    await field.fill(String(1500 + 10 * i));
    times.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const input = document.activeElement as HTMLInputElement;
            const began = performance.now();
            input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - began), 0));
          }),
      ),
    );
    await page.waitForTimeout(1200);
  }
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  return median(times.slice(WARMING));
}

/** Heap after opening cables in turn, twice: flat where the second round adds nothing. */
async function memory(page: Page): Promise<readonly [number, number]> {
  const cdp = await page.context().newCDPSession(page);
  const heap = async () => {
    await cdp.send('HeapProfiler.collectGarbage');
    return (await cdp.send('Runtime.getHeapUsage')).usedSize;
  };
  const open = async (first: number, count: number) => {
    for (let i = first; i < first + count; i += 1) {
      await page.evaluate((to) => {
        history.pushState(null, '', to);
        dispatchEvent(new PopStateEvent('popstate', { state: null }));
      }, `/job/bench/cable/c${i}/gauge`);
      await page.getByRole('heading', { name: `C-${i}, gauge` }).waitFor();
    }
  };
  await open(0, OPENED / 2);
  const half = await heap();
  await open(OPENED / 2, OPENED / 2);
  return [half, await heap()];
}

/** What a start costs, and whether a long job stays as quick as a short one. */
export async function benchStart(): Promise<void> {
  if (!existsSync('dist/index.html')) {
    console.log('start, typing and memory: not built yet; npm run build first');
    return;
  }
  const { url, server } = await serve(['--port', '0']);
  const { executablePath, args } = config.use?.launchOptions ?? {};
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), ...(args && { args }) });
  const bytes = await scriptBytes(browser, url);
  console.log(`script before the first view: ${(bytes / 1000).toFixed(0)} kB gzipped (target 200)`);
  const short = await withJob(browser, url, 1);
  await usableAfter(short, url);
  const one = median([
    await usableAfter(short, url),
    await usableAfter(short, url),
    await usableAfter(short, url),
  ]);
  const long = await withJob(browser, url, MANY);
  await usableAfter(long, url);
  const many = median([
    await usableAfter(long, url),
    await usableAfter(long, url),
    await usableAfter(long, url),
  ]);
  console.log(`usable with ${MANY} cables: ${(many / one).toFixed(1)} × the time with one`);
  const quick = await keyToPaint(short);
  const slow = await keyToPaint(long);
  console.log(
    `key to paint, processor slowed ${SLOWED} times: ${slow.toFixed(0)} ms with ${MANY} cables (target 50), ${(slow / quick).toFixed(1)} × that with one`,
  );
  for (const count of FED) {
    const fed = await withJob(browser, url, count, fedJob(count));
    await usableAfter(fed, url);
    const inSystem = await keyToPaint(fed);
    console.log(
      `  and ${inSystem.toFixed(0)} ms in an installation of ${count} cables that feeds them all, ${(inSystem / quick).toFixed(1)} × that with one`,
    );
  }
  const [half, whole] = await memory(long);
  console.log(
    `memory after opening ${OPENED} cables: ${(whole / half).toFixed(2)} × that after ${OPENED / 2}`,
  );
  await browser.close();
  server.close();
}
