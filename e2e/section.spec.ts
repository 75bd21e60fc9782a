import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

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

  await page.getByRole('button', { name: 'Keep it as a trial of this die' }).click();
  await expect(page.getByRole('alert')).toContainText('Say who is measuring first.');
  await app.type('Who sawed it', 'R. Pell');
  await page.getByRole('button', { name: 'Keep it as a trial of this die' }).click();
  await expect(page.getByRole('alert')).toContainText('Say which lug and die it was');
  await app.choose(/^Lug which/, /^50-8/);
  await app.choose(/^Die which/, /^K14/);
  await app.refuses('Across flats of the crimp', '300', /out of range: 1 to 100/);
  await app.type('Across flats of the crimp', '12.2');
  await app.type('Ears before filing', '0.1');
  await page.getByRole('button', { name: /^Packing/ }).click();
  await expect(page.getByText('κ = 1 − void')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it as a trial of this die' }).click();
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
  await expect(page.getByRole('button', { name: 'Keep it as a trial of this die' })).toBeDisabled();
  await file.setInputFiles(`${DIR}section-04.jpg`);
  await expect(page.getByRole('alert')).toBeHidden();
  await expect(page.getByRole('group', { name: 'Outline of the crimp' })).toBeVisible();
});

test('two pictures side by side, and one kept with the end that it was made like', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await app.go('/job/teasel/section?cable=in1&end=B');
  const file = page.getByTestId('section-file');
  await file.setInputFiles(`${DIR}section-09.jpg`);
  const first = page.getByRole('region', { name: 'First picture' });
  const says = page.getByRole('region', { name: 'What it says' });
  await expect(says.getByRole('status').first()).toContainText(/^1[12]\.\d/);
  await page.getByRole('button', { name: 'Compare with another' }).click();
  await file.setInputFiles(`${DIR}section-04.jpg`);
  await expect(page.getByRole('region', { name: 'Second picture' })).toContainText(/3\.\d % air/);
  await expect(first).toContainText(/1[12]\.\d % air/);
  await expect(says).toContainText('Strands still round');
  expect(await app.seriousProblems('main')).toEqual([]);
  await first.getByRole('button', { name: 'section-09.jpg' }).click();
  await app.type('Who sawed it', 'R. Pell');
  await page.getByRole('button', { name: 'Keep it with IN-1, end B' }).click();
  await expect(page.getByText('Kept with IN-1, end B, and its picture with it.')).toBeVisible();
  await app.cable('IN-1');
  await app.stage('Prove');
  await expect(app.ledger.getByRole('button', { name: /^Section, packing/ })).toContainText('fails');
  const { job, photos } = JSON.parse(await app.exported()) as {
    job: {
      cables: { id: string; readings: { check: string; source: string }[]; photos: { id: string }[] }[];
    };
    photos: Record<string, string>;
  };
  const own = job.cables.find(({ id }) => id === 'in1');
  expect(own?.readings.at(-1)).toMatchObject({ check: 'section', end: 'B', source: 'instrument' });
  expect(photos[own?.photos.at(-1)?.id ?? '']?.length).toBeGreaterThan(10_000);
});

test('a drawn section is judged by eye, measured, and stays simulated', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await app.go('/job/teasel/cable/in1/ends');
  await page.getByRole('link', { name: 'as if sawn' }).first().click();
  const says = page.getByRole('region', { name: 'What it says' });
  await says.getByRole('button', { name: 'packed' }).click();
  await expect(says).toContainText(/Drawn with [\d.]+ % air/);
  const drawn = Number((await says.textContent())?.match(/Drawn with ([\d.]+) % air/)?.[1]);
  const share = says.getByRole('status').filter({ hasText: /^[\d.]+ %$/ });
  await expect(share).toBeVisible();
  expect(Math.abs(Number((await share.textContent())?.match(/[\d.]+/)?.[0]) - drawn)).toBeLessThan(0.8);
  await expect(page.getByText('SIMULATED', { exact: true })).toBeVisible();
  await app.type('Who sawed it', 'R. Pell');
  await app.type('Across flats of the crimp', '10.5');
  await app.type('Ears before filing', '0');
  await page.getByRole('button', { name: 'Keep it as a trial of this die' }).click();
  await expect(page.getByText('Kept, as simulated: it teaches nothing.')).toBeVisible();
});
