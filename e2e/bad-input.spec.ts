import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

const demo = readFileSync('demo/teasel.json', 'utf8');
const altered = (change: (file: Record<string, unknown>) => void) => {
  const file = JSON.parse(demo) as Record<string, unknown>;
  change(file);
  return JSON.stringify(file);
};

test.describe('a bad file is refused in one sentence and changes nothing', () => {
  const files: [string, string, RegExp][] = [
    ['an empty file', '', /This file is empty/],
    ['a picture', '\u0089PNG\r\n\u001a', /it is not JSON/],
    ['a file cut short', demo.slice(0, 5000), /ends too early or is damaged/],
    ['another program’s file', '{"format":"drawing","version":3}', /not a job file/],
    ['a newer version', altered((file) => (file['version'] = 9)), /newer version \(file version 9/],
    [
      'a hostile file',
      altered((file) =>
        Object.assign(
          file,
          JSON.parse(
            '{"job":{"__proto__":{"admin":true},"id":"<img src=x onerror=alert(1)>","title":"x","subtitle":"","cables":[]}}',
          ),
        ),
      ),
      /cannot be used: “id” must be letters/,
    ],
  ];
  test('each is refused in its own sentence, and nothing changes', { tag: '@page' }, async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    const jobOf = (text: string) => (JSON.parse(text) as { job: unknown }).job;
    const before = jobOf(await app.exported());
    for (const [name, contents, sentence] of files) {
      await test.step(name, async () => {
        await app.import(contents);
        const refused = page.getByRole('dialog', { name: 'Nothing was imported' });
        await expect(refused).toContainText(sentence);
        await page.getByRole('button', { name: 'OK', exact: true }).click();
        await expect(refused).toBeHidden();
      });
    }
    expect(jobOf(await app.exported())).toEqual(before);
    expect(await page.evaluate(() => ({} as Record<string, unknown>)['admin'])).toBeUndefined();
  });
});

test('a bad entry keeps what was typed, says what is wrong beside it, and changes nothing else', async ({
  page,
}) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/run');
  const entries: [label: string, typed: string, sentence: RegExp][] = [
    ['Length along the route, stud to stud', 'long', /A number is missing/],
    ['Length along the route, stud to stud', '0', /out of range: 50 to/],
    ['Length along the route, stud to stud', '12 kg', /"kg" is not a unit for this; mm is/],
    ['Length along the route, stud to stud', '1,250', /can be read two ways: write 1250 or 1\.250/],
    ['Service loop', '5/0', /divided by 0/],
    ['Service loop', '', /Enter a value/],
    ['System', '24 24', /Unexpected/],
    ['Continuous', '-40', /out of range/],
    ['Continuous', '9 kA', /out of range/],
    ['Highest air temperature', 'hot', /A number is missing/],
    ['Allowed drop', '(3', /bracket is not closed/],
    ['Tag', '', /A name is needed here/],
  ];
  const unchanged = () =>
    expect(app.drawing.getByRole('button', { name: /^finished 6\s400 mm/ })).toBeVisible();
  for (const [label, typed, sentence] of entries) await app.refuses(label, typed, sentence, unchanged);
});

test('names with markup are text and nothing else', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/run');
  await app.type('Tag', '<b>TH</b>');
  await app.type('From, end A', '<img src=x onerror="document.title=1">');
  await expect(page.getByRole('region', { name: 'Rack' })).toContainText('<b>TH</b>');
  expect(await page.locator('img').count()).toBe(0);
  expect(await page.title()).toBe('Gruff Anchor');
  await app.refuses('Tag', '', /A name is needed here/);
});

test('an address of a job that is gone leads to what is here', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  for (const place of ['cable/x/run', 'kit', 'print/handover']) {
    await page.goto(`/job/no-such-job/${place}`);
    await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible();
    await expect(page).toHaveURL(/\/job\/teasel\//);
  }
});
