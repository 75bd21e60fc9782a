import { expect, test } from '@playwright/test';
import { App } from './app.ts';

const DIR = 'demo/sections/';

test('a picture of a sawn crimp is measured, corrected by hand, and kept as a trial', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox').fill('section lab');
  await page.keyboard.press('Enter');
  await expect(page.getByText('never in the hand')).toBeVisible();
  await page.getByTestId('section-file').setInputFiles(`${DIR}section-10.jpg`);
  const share = page.getByRole('region', { name: 'What it says' }).getByRole('status').first();
  await expect(share).toContainText(/^1[45]\.\d/);

  // A corner moved by keys changes what is measured, and finding it again brings it back.
  const found = await share.textContent();
  const corner = page.getByRole('button', { name: /^Corner 1/ });
  await corner.focus();
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('Shift+ArrowDown');
  await expect(share).not.toHaveText(found ?? '');
  await page.getByRole('button', { name: 'Find the outline again' }).click();
  await expect(share).toHaveText(found ?? '');
  await corner.hover();
  await page.mouse.down();
  await page.mouse.move(700, 250, { steps: 4 });
  await page.mouse.up();
  await expect(share).not.toHaveText(found ?? '');
  await page.getByRole('button', { name: 'Find the outline again' }).click();

  await page.getByRole('button', { name: 'Keep it as a trial' }).click();
  await expect(page.getByRole('alert')).toContainText('Say who is measuring first.');
  await app.type('Who sawed it', 'R. Pell');
  await page.getByRole('button', { name: 'Keep it as a trial' }).click();
  await expect(page.getByRole('alert')).toContainText('Say which lug and die it was');
  await app.choose(/^Lug which/, /^50-8/);
  await app.choose(/^Die which/, /^K14/);
  await app.refuses('Across flats of the crimp', '300', /out of range: 1 to 100/);
  await app.type('Across flats of the crimp', '12.2');
  await app.type('Ears before filing', '0.1');
  await page.getByRole('button', { name: /^Packing/ }).click();
  await expect(page.getByText('κ = 1 − void')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it as a trial' }).click();
  await expect(page.getByText('Kept: the die map goes by it')).toBeVisible();
  const { shop } = JSON.parse(await app.exported()) as {
    shop: { trials: { voidShare?: number; by: string }[] };
  };
  const { voidShare, by } = shop.trials.at(-1) ?? {};
  expect(by).toBe('R. Pell');
  expect(voidShare).toBeGreaterThan(0.14);
  expect(voidShare).toBeLessThan(0.166);
  expect(await app.seriousProblems('main')).toEqual([]);
});

test('what is no section, and what is no picture, is refused in a sentence', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await app.go('/job/teasel/section');
  const file = page.getByTestId('section-file');
  await file.setInputFiles({ name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('“note.jpg” is no picture that can be read here.');
  await file.setInputFiles('docs/screenshots/fit.png');
  await expect(page.getByRole('alert')).toContainText(/\.$/);
  await expect(page.getByRole('button', { name: 'Keep it as a trial' })).toBeDisabled();
  await file.setInputFiles(`${DIR}section-04.jpg`);
  await expect(page.getByRole('alert')).toBeHidden();
  await expect(page.getByRole('group', { name: 'Outline of the crimp' })).toBeVisible();
});
