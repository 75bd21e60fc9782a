import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

const MARKUP = '<img src=x onerror="window.hit=1"><script>window.hit=1</script>';

test(
  'names with markup are words everywhere: on screen, on paper and in files',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    const dialogs: string[] = [];
    page.on('dialog', (dialog) => {
      dialogs.push(dialog.message());
      void dialog.dismiss();
    });
    const file = JSON.parse(readFileSync('demo/hut.json', 'utf8')) as {
      job: {
        id: string;
        title: string;
        cables: { tag: string; notes: string; ends: { A: { at: string } } }[];
      };
      hunts: { title: string; jobId: string; pieces: { title: string }[] }[];
    };
    file.job.id = 'hostile';
    file.job.title = MARKUP.slice(0, 79);
    for (const cable of file.job.cables) {
      cable.notes = MARKUP;
      cable.ends.A.at = MARKUP.slice(0, 59);
    }
    const [first] = file.job.cables;
    if (first) first.tag = '<b onclick=1>TAG</b>';
    for (const hunt of file.hunts) {
      hunt.title = MARKUP.slice(0, 79);
      for (const piece of hunt.pieces) piece.title = '<svg onload="window.hit=1">';
    }
    await app.openDemo();
    await app.import(JSON.stringify(file));
    await expect(page.getByRole('region', { name: 'Rack' })).toContainText('<b onclick=1>TAG</b>');
    for (const path of [
      'cable/hb1/run',
      'cable/hb1/ends',
      'cable/hb1/fit',
      'kit',
      'hunt',
      'log',
      'keeping',
      'print/handover',
      'print/schedule',
      'print/traveller/hb1',
    ]) {
      await app.go(`/job/hostile/${path}`);
      await expect(page.getByRole('main').first()).toContainText(/<(img|b|svg)/);
    }
    expect(await page.evaluate(() => 'hit' in window)).toBe(false);
    expect(await page.locator('img[src="x"], main script').count()).toBe(0);
    expect(dialogs).toEqual([]);
  },
);

test(
  'a picture that lies about what it is, and one that carries script, are not taken',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/bench/en1?step=crimp-2.A');
    const field = page.getByLabel('Photograph', { exact: true });
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" onload="window.hit=1"><script>window.hit=1</script></svg>';
    for (const [name, mimeType] of [
      ['photo.jpg', 'image/jpeg'],
      ['photo.svg', 'image/svg+xml'],
    ] as const) {
      await field.setInputFiles({ name, mimeType, buffer: Buffer.from(svg) });
      await expect(page.getByRole('alert')).toContainText('is no picture that can be read here');
    }
    expect(await page.evaluate(() => 'hit' in window)).toBe(false);
  },
);
