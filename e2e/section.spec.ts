import { readFileSync } from 'node:fs';
import { expect, type Locator, type Page } from '@playwright/test';
import { App } from './app.ts';
import { withCamera } from './camera.ts';
import { apart, test } from './test.ts';

const DIR = 'demo/sections/';

/** Opens a picture in the section lab, and what is said of its air. */
async function opened(page: Page, picture: string): Promise<Locator> {
  await page.getByTestId('section-file').setInputFiles(`${DIR}${picture}`);
  return page.getByRole('region', { name: 'What it says' }).getByRole('status').first();
}

test(
  'a corner of the outline is dragged, and what is in it is measured again',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/section');
    const share = await opened(page, 'section-10.jpg');
    await expect(share).toContainText(/^1[45]\.\d/);
    const found = await share.textContent();
    await page.getByRole('button', { name: /^Corner 1/ }).hover();
    await page.mouse.down();
    await page.mouse.move(700, 250, { steps: 4 });
    await page.mouse.up();
    await expect(share).not.toHaveText(found ?? '');
  },
);

test(
  'a picture of a sawn crimp is measured, corrected by hand, and kept as a trial',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('section lab');
    await page.keyboard.press('Enter');
    await expect(page.getByText('never in the hand')).toBeVisible();
    const share = await opened(page, 'section-10.jpg');
    await expect(share).toContainText(/^1[45]\.\d/);

    // A corner moved by keys changes what is measured, and finding it again brings it back.
    const found = await share.textContent();
    const corner = page.getByRole('button', { name: /^Corner 1/ });
    await corner.focus();
    for (let i = 0; i < 6; i += 1) await page.keyboard.press('Shift+ArrowDown');
    await expect(share).not.toHaveText(found ?? '');
    await page.getByRole('button', { name: 'Find the outline again' }).click();
    await expect(share).toHaveText(found ?? '');

    await page.getByRole('button', { name: 'Save as a trial of this die' }).click();
    await expect(page.getByRole('alert')).toContainText('Enter who is measuring first.');
    await app.type('Sawn by', 'R. Pell');
    await page.getByRole('button', { name: 'Save as a trial of this die' }).click();
    await expect(page.getByRole('alert')).toContainText('Enter which lug and die it was');
    await app.choose(/^Lug which/, /^50-8/);
    await app.choose(/^Die which/, /^E/);
    await app.refuses('Across flats of the crimp', '300', /out of range: 1 to 100/);
    await app.type('Across flats of the crimp', '12.2');
    await app.type('Ears before filing', '0.1');
    await page.getByRole('button', { name: /^Packing/ }).click();
    await expect(page.getByText('κ = 1 − void')).toBeVisible();
    await page.getByRole('button', { name: 'Save as a trial of this die' }).click();
    await expect(page.getByText('Saved: the die chart now uses it')).toBeVisible();
    const { shop } = JSON.parse(await app.exported()) as {
      shop: { trials: { voidShare?: number; by: string }[] };
    };
    const { voidShare, by } = shop.trials.at(-1) ?? {};
    expect(by).toBe('R. Pell');
    expect(voidShare).toBeGreaterThan(0.14);
    expect(voidShare).toBeLessThan(0.166);
    expect(await app.seriousProblems('main')).toEqual([]);
  },
);

test(
  'what is no section, and what is no picture, is refused in a sentence',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/section');
    const file = page.getByTestId('section-file');
    await file.setInputFiles({ name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
    await expect(page.getByRole('alert')).toContainText('“note.jpg” is no picture that can be read here.');
    await file.setInputFiles('docs/screenshots/fit.png');
    await expect(page.getByRole('alert')).toContainText(/\.$/);
    await expect(page.getByRole('button', { name: 'Save as a trial of this die' })).toBeDisabled();
    await file.setInputFiles(`${DIR}section-04.jpg`);
    await expect(page.getByRole('alert')).toBeHidden();
    await expect(page.getByRole('group', { name: 'Outline of the crimp' })).toBeVisible();
  },
);

test(
  'two pictures side by side, and one kept with the end that it was made like',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/section?cable=in1&end=B');
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
    await app.type('Sawn by', 'R. Pell');
    await page.getByRole('button', { name: 'Save with IN-1, end B' }).click();
    await expect(page.getByText('Saved with IN-1, end B, and its picture with it.')).toBeVisible();
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
  },
);

test(
  'a drawn section is judged by eye, measured, and stays simulated',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/in1/ends');
    await page.getByRole('link', { name: 'cross-section' }).first().click();
    const says = page.getByRole('region', { name: 'What it says' });
    await says.getByRole('button', { name: 'packed' }).click();
    await expect(says).toContainText(/Drawn with [\d.]+ % air/);
    const drawn = Number((await says.textContent())?.match(/Drawn with ([\d.]+) % air/)?.[1]);
    const share = says.getByRole('status').filter({ hasText: /^[\d.]+ %$/ });
    await expect(share).toBeVisible();
    expect(Math.abs(Number((await share.textContent())?.match(/[\d.]+/)?.[0]) - drawn)).toBeLessThan(0.8);
    await expect(page.getByText('SIMULATED', { exact: true })).toBeVisible();
    // A corner goes where it is moved.
    const corner = page.getByRole('button', { name: /^Corner 1/ });
    const high = await corner.locator('circle').first().getAttribute('cy');
    await corner.focus();
    await page.keyboard.press('Shift+ArrowDown');
    await expect(corner.locator('circle').first()).not.toHaveAttribute('cy', high ?? '');
    await app.type('Sawn by', 'R. Pell');
    await app.type('Across flats of the crimp', '10.5');
    await app.type('Ears before filing', '0');
    await page.getByRole('button', { name: 'Save as a trial of this die' }).click();
    await expect(page.getByText('Saved as simulated: it teaches nothing.')).toBeVisible();
  },
);

apart(
  'a camera says what to do, takes the picture, and several of one crimp are told together',
  { tag: '@page' },
  async ({ page }) => {
    const camera = await withCamera(page, {
      ...{ picture: readFileSync(`${DIR}section-06.jpg`), type: 'image/jpeg' },
      ...{ width: 1400, height: 1050 },
    });
    const app = new App(page);
    await app.openDemo('/job/teasel/section');
    await page.getByRole('button', { name: 'Camera', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('The camera cannot be used here');
    await camera({ denied: false, blurPx: 8 });
    await page.getByRole('button', { name: 'Camera', exact: true }).click();
    const advice = page.getByTestId('live-camera').getByRole('status');
    await expect(advice).toHaveText('Hold still, and focus on the cut');
    await camera({ blurPx: 0 });
    await expect(advice).toHaveText('Good: take it now');
    await page.getByRole('button', { name: 'Take it', exact: true }).click();
    const says = page.getByRole('region', { name: 'What it says' });
    await expect(says).toContainText(/between 5\.\d and [67]\.\d %/);
    const add = async (file: string) => {
      const chooser = page.waitForEvent('filechooser');
      await says.getByRole('button', { name: 'Add a picture of this crimp' }).click();
      await (await chooser).setFiles(`${DIR}${file}`);
    };
    await add('section-06.jpg');
    await expect(says).toContainText('air in the outline, by 2 pictures');
    await add('section-10.jpg');
    await expect(says.getByRole('alert')).toContainText('The pictures disagree');
    await app.type('Sawn by', 'R. Pell');
    await app.choose(/^Lug which/, /^50-8/);
    await app.choose(/^Die which/, /^E/);
    await app.type('Across flats of the crimp', '12.2');
    await app.type('Ears before filing', '0');
    await expect(says.getByRole('button', { name: /^Packing/ })).toContainText('not proved');
    await page.getByRole('button', { name: 'Save as a trial of this die' }).click();
    await expect(says.getByRole('alert').last()).toContainText('Set one aside');
  },
);
