import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { decideEnds, measureAll, tickSteps } from './making.ts';
import { apart as test } from './test.ts';

/** Counts what a person presses: the mouse's button, and keys beside those that write the line. */
async function counting(page: Page) {
  await page.addInitScript(() => {
    const counted = window as unknown as { presses: number; keys: number };
    counted.presses = 0;
    counted.keys = 0;
    addEventListener(
      'click',
      ({ isTrusted, detail }) => isTrusted && detail > 0 && (counted.presses += 1),
      true,
    );
    addEventListener('keydown', ({ isTrusted }) => isTrusted && (counted.keys += 1), true);
    // A printed page is a call that was made.
    window.print = () => void document.body.setAttribute('data-printed', '');
  });
  return () =>
    page.evaluate(() => {
      const { presses, keys } = window as unknown as { presses: number; keys: number };
      return { presses, keys };
    });
}

const LINE = '12 V 2000 W inverter 1.5 m engine space';

test('from a first visit to a size with its reasons in a line and at most six presses', async ({ page }) => {
  const count = await counting(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'What is the cable for?' })).toBeVisible();
  // The field has the keyboard: nothing is pressed to begin.
  await page.keyboard.type(LINE);
  await expect(page.getByText('Governing limit')).toBeVisible();
  await page.getByText('Why, and what is still open').click();
  await expect(page.locator('details[open]')).toBeVisible();
  const { presses, keys } = await count();
  expect(presses).toBeLessThanOrEqual(6);
  expect(keys).toBeLessThanOrEqual(LINE.length + 1);
});

test('on to a printed card in two more presses', { tag: '@journey' }, async ({ page }) => {
  const count = await counting(page);
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'The cable in one line' })).toBeFocused();
  await page.keyboard.type(LINE);
  await page.getByRole('button', { name: 'The card' }).click();
  await page.getByRole('button', { name: 'Print the card' }).click();
  await expect(page.locator('body[data-printed]')).toBeAttached();
  expect((await count()).presses).toBeLessThanOrEqual(2);
});

test('to a proved cable from a fixed list of readings', async ({ page }) => {
  test.setTimeout(120_000);
  const count = await counting(page);
  const app = new App(page);
  await page.goto('/');
  await expect(page.getByRole('textbox', { name: 'The cable in one line' })).toBeFocused();
  await page.keyboard.type('24 V 150 A 3.8 m fuse 200');
  await expect(page.getByText('Governing limit')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { checked: true, name: /^\d+ mm²/ }).click();
  // What a short is must be known before anything is called proved.
  await app.stage('Run');
  await app.choose('Source given as', /^its resistance/);
  await app.type('Source resistance', '4 mΩ');
  await app.type('Curve of fuse 1', '1.5 100, 5 0.1');
  await decideEnds(app, async () => {});
  await app.stage('Make');
  await expect(page.getByRole('heading', { name: 'Lay everything out' })).toBeVisible();
  await tickSteps(app, await page.getByRole('list', { name: 'Steps' }).getByRole('listitem').count());
  await app.stage('Prove');
  await app.type('Who is measuring', 'R. Alder');
  await measureAll(app);
  await expect(page.getByText('Proved: every figure passes').first()).toBeVisible();
  const { presses, keys } = await count();
  // Five seconds a press and one a key are ten minutes with room to spare.
  expect(5 * presses + keys).toBeLessThan(600);
});
