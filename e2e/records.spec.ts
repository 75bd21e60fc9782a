import { expect, type Page } from '@playwright/test';
import JSZip from 'jszip';
import { App } from './app.ts';
import { test } from './test.ts';

/** What a button hands over. */
const handed = (page: Page, name: string) =>
  new App(page).handedOver(page.getByRole('button', { name, exact: true }));

test(
  'the records of a few cables go out as PDF, as JSON and as one zip',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/cable/hb1/prove');
    await page.getByRole('link', { name: 'Test record' }).click();
    await expect(page.getByRole('heading', { name: 'Test record HB-1' })).toBeVisible();
    const pdf = await handed(page, 'PDF');
    expect(pdf.name).toBe('HB-1-record.pdf');
    expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(JSON.parse((await handed(page, 'JSON')).bytes.toString())).toMatchObject({ tag: 'HB-1' });
    await page.getByRole('link', { name: 'Every cable of the job' }).click();
    await expect(page.getByRole('heading', { name: /^Test record/, level: 2 })).toHaveCount(7);
    const zip = await JSZip.loadAsync((await handed(page, 'All of it as one zip')).bytes);
    expect(Object.keys(zip.files).filter((name) => name.endsWith('.pdf'))).toHaveLength(7);
    expect(await zip.file('drawings/HB-1.svg')?.async('string')).toContain('finished');
  },
);

test('a test record is printed, kept as PDF and JSON, and the whole job as a zip', async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/in1/prove');
  await page.getByRole('link', { name: 'Test record' }).click();
  await expect(page.getByRole('heading', { name: 'Test record IN-1' })).toBeVisible();
  await expect(page.getByText(/^Fails: across flats of end B/)).toBeVisible();
  // One sheet is like another: axe looks at this one.
  expect(await app.seriousProblems('main')).toEqual([]);
  const pdf = await handed(page, 'PDF');
  expect(pdf.name).toBe('IN-1-record.pdf');
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  // Its drawing is in it: a page of words alone is far smaller.
  expect(pdf.bytes.length).toBeGreaterThan(40_000);
  const json = JSON.parse((await handed(page, 'JSON')).bytes.toString()) as { tag: string; state: string };
  expect(json).toMatchObject({ tag: 'IN-1', state: 'fails' });

  await page.getByRole('link', { name: 'Every cable of the job' }).click();
  await expect(page.getByRole('heading', { name: /^Test record/, level: 2 })).toHaveCount(15);
  const zip = await JSZip.loadAsync((await handed(page, 'All of it as one zip')).bytes);
  expect(Object.keys(zip.files).filter((name) => name.endsWith('.pdf'))).toHaveLength(15);
  expect(await zip.file('drawings/IN-1.svg')?.async('string')).toContain('finished');
  // Each record fits its page, black on white.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const sheets = await page.pdf({ format: 'A4' });
  expect(sheets.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length).toBe(15);
});

test(
  'trends show the die whose crimps creep up, and open to how the limits came about',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('trends');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/in a row up: check the press and its dies\.$/).first()).toBeVisible();
    await expect(page.getByRole('img', { name: /^Across flats of 24 crimps/ })).toBeVisible();
    await expect(page.getByText('limits = mean ± 2.66')).toBeVisible();
    await app.choose(/^Made or measured by/, 'R. Pell');
    await expect(page.getByRole('img', { name: /^Across flats of 1[0-9] crimps/ })).toBeVisible();
    await page.getByRole('radio', { name: 'Joint index' }).click();
    await expect(page.getByText(/Nothing of this is measured yet/)).toBeVisible();
    await page.getByRole('radio', { name: 'Air in sections' }).click();
    await expect(page.getByText(/that it takes to say how a die usually works/)).toBeVisible();
    expect(await app.seriousProblems('main')).toEqual([]);
  },
);

test(
  'an instrument of the shop: its line is tried on what it really sent',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Instruments' }).click();
    const scale = page.getByRole('region', { name: 'Crane scale 500 kg' });
    await expect(scale).toContainText('was due on 2026-10-31');
    await scale.getByRole('textbox', { name: 'Try a line it sent' }).fill('ST,+ 68.0kg');
    await scale.getByRole('textbox', { name: 'Try a line it sent' }).press('Enter');
    await expect(scale).toContainText('stamp means 667');
    await scale.getByRole('textbox', { name: 'Data format' }).fill('<figure> <unit>');
    await scale.getByRole('textbox', { name: 'Data format' }).press('Enter');
    await expect(scale.getByRole('alert')).toContainText('“<figure>” is nothing');
    await scale.getByRole('textbox', { name: 'Calibrated until' }).fill('soon');
    await scale.getByRole('textbox', { name: 'Calibrated until' }).press('Enter');
    await expect(scale.getByText('Write the day as 2027-03-31')).toBeVisible();
    await page.getByRole('button', { name: 'Another instrument' }).click();
    await expect(page.getByRole('region', { name: 'New instrument' })).toBeVisible();
    expect(await app.seriousProblems('main')).toEqual([]);
  },
);
