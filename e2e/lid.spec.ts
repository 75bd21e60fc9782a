import { expect } from '@playwright/test';
import { PDFDocument } from 'pdf-lib';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'the map of dies is a sheet for the lid, at its size, and says where it is too small',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('button', { name: 'Sheet for the lid' }).click();
    const box = page.getByRole('dialog', { name: 'Sheet for the lid' });
    const sheet = box.getByRole('img', { name: 'Sheet for the lid' });
    await expect(sheet).toContainText('70 mm² heavy');
    await app.refuses('Lid width', '20', /out of range: 60 to 800/);
    await app.type('Lid width', '70');
    await app.type('Lid height', '60');
    await expect(box.getByRole('alert')).toContainText('This lid is too small');
    await expect(box.getByRole('button', { name: 'Save the sheet as PDF' })).toBeDisabled();
    await app.type('Lid width', '260');
    await app.type('Lid height', '180');
    const saved = await app.handedOver(box.getByRole('button', { name: 'Save the sheet as PDF' }));
    const pdf = await PDFDocument.load(saved.bytes);
    const { width, height } = pdf.getPage(0).getSize();
    expect([width, height].map((points) => Math.round((points * 25.4) / 72))).toEqual([260, 180]);
    expect(pdf.getPageCount()).toBe(1);
    await page.keyboard.press('Escape');
    await app.saved();
  },
);
