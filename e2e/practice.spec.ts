import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test('house practice says what each other answer changes on this job, and takes it', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await page.getByRole('button', { name: 'Jobs and files' }).click();
  await page.getByRole('menuitem', { name: 'House practice' }).click();
  await expect(page.getByText('Local codes, class rules and a licensed person')).toBeVisible();
  const gauge = page.getByRole('region', { name: 'Gauge' });
  await expect(gauge.getByRole('button', { name: /with “on”/ })).toContainText(
    /2 cables, \+\d\.\d\d\skg, \+£\d/,
  );
  await expect(page.getByRole('progressbar')).toBeHidden();
  expect(await app.seriousProblems('main')).toEqual([]);

  const crimps = page.getByRole('region', { name: 'Crimps' });
  await crimps.getByRole('button', { name: /with “one”/ }).click();
  const panel = page.getByRole('region', { name: 'What it changes' });
  await expect(panel).toContainText('−26 steps');
  await expect(panel).toContainText('crimps A and B');
  await panel.getByRole('button', { name: 'Use this everywhere' }).click();
  await expect(crimps.getByRole('radio', { name: 'one', exact: true })).toBeChecked();
  await expect(crimps.getByRole('button', { name: /with “two”/ })).toContainText('+26 steps');

  await app.cable('TH-2');
  await app.stage('Make');
  await expect(page.getByRole('list', { name: 'Steps' })).not.toContainText('Crimp A, 2');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('list', { name: 'Steps' })).toContainText('Crimp A, 2');
});

test(
  'a job without a cable has nothing to change, and the figures can still be set',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();
    await page.getByRole('button', { name: 'Jobs and files' }).click();
    await page.getByRole('menuitem', { name: 'House practice' }).click();
    await expect(page.getByText('This job has no cable yet, so nothing would change.')).toBeVisible();
    await app.refuses('Gap at the mouth', '9', /out of range: 0 to 4/);
  },
);
