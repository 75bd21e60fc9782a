import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { App } from '../app.ts';

/** A job of five hundred cables, made out of those of the demo. */
function manyCables(count: number): string {
  const file = JSON.parse(readFileSync('demo/teasel.json', 'utf8')) as {
    job: { id: string; title: string; cables: { id: string; tag: string }[] };
    hunts?: unknown;
  };
  const { cables } = file.job;
  file.job = {
    ...file.job,
    id: 'many',
    title: 'Many',
    cables: Array.from({ length: count }, (_, i) => ({
      ...(cables[i % cables.length] as (typeof cables)[number]),
      id: `c${i}`,
      tag: `C-${i + 1}`,
    })),
  };
  delete file.hunts;
  return JSON.stringify(file);
}

test('with five hundred cables each page is there at once, says how far it is, and is whole in the end', async ({
  page,
}) => {
  const app = new App(page);
  await app.openDemo();
  await app.import(manyCables(500), 'many.json');
  await expect(page).toHaveURL(/\/job\/many\//, { timeout: 60_000 });
  await app.saved();
  const seen: Record<string, number> = {};
  for (const [name, path, what, whole] of [
    ['reload', 'cable/c0/run', '.workpiece svg', null],
    ['batch', 'batch', 'h1', null],
    ['handover', 'print/handover', 'h1', '.record-sheet'],
    ['records', 'print/records', '.record-sheet', '.record-sheet'],
    ['kit', 'kit', 'main', null],
  ] as const) {
    const began = Date.now();
    await page.goto(`/job/many/${path}`);
    await page.locator(what).first().waitFor();
    seen[name] = Date.now() - began;
    // It can be worked with while it fills: a press is answered.
    const asked = Date.now();
    await page.evaluate(() => new Promise(requestAnimationFrame));
    expect(Date.now() - asked, name).toBeLessThan(1500);
    if (whole) await expect(page.locator(whole)).toHaveCount(500, { timeout: 240_000 });
    await expect(page.getByText(/of 500 cables/)).toHaveCount(0, { timeout: 240_000 });
    seen[`${name}, whole`] = Date.now() - began;
  }
  process.stdout.write(`${JSON.stringify(seen, null, 2)}\n`);
});
