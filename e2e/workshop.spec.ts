import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'a first job plans with nothing on the shelf, asks whose tools, and takes the answers',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();
    await page.getByRole('button', { name: 'Bow thruster' }).click();
    await page.getByRole('button', { name: 'Take both to the bench' }).click();
    await expect(page).toHaveURL(/\/gauge$/);
    const bar = page.getByRole('complementary', { name: 'Workshop' });
    await expect(bar).toContainText('nothing is in stock');
    await page.getByRole('link', { name: /^Kit/ }).click();
    await expect(page.getByRole('region', { name: 'Shopping' })).toContainText(/buy \d+\.\d+\sm/);
    await bar.getByRole('link', { name: 'What is in your case?' }).click();
    await page.getByRole('checkbox', { name: /Hand hydraulic/ }).click();
    await page.getByRole('checkbox', { name: /stamped with a size/ }).click();
    await page.getByRole('checkbox', { name: /light metric/ }).click();
    await page.getByRole('button', { name: 'Fill my case' }).click();
    await expect(bar).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'Tool case' })).toBeAttached();
    // Answered again: what was ticked is ticked.
    await page.getByRole('link', { name: 'What is in your case?' }).click();
    await expect(page.getByRole('checkbox', { name: /Hand hydraulic/ })).toBeChecked();
    await expect(page.getByRole('checkbox', { name: /Bench hydraulic/ })).not.toBeChecked();
  },
);

test(
  'the example workshop says that it is one, and is emptied in one press, and undone',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();
    await page.getByRole('button', { name: 'Inverter', exact: true }).click();
    await page.getByRole('button', { name: 'Take both to the bench' }).click();
    await page.getByRole('button', { name: 'Use the example' }).click();
    await page.getByRole('link', { name: 'Tool case' }).click();
    const bar = page.getByRole('complementary', { name: 'Workshop' });
    await expect(bar).toContainText('The example workshop is in use.');
    await bar.getByRole('button', { name: 'Empty it' }).click();
    await expect(bar).toHaveCount(0);
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    await expect(page.getByText('Hand hydraulic, hexagon set')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(bar).toContainText('The example workshop is in use.');
  },
);

test(
  'a cable is duplicated, gets its return and is deleted by buttons, on a phone too',
  { tag: '@page' },
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const app = new App(page);
    await app.openDemo('/job/marrow/cable/in1/gauge');
    await page.getByRole('button', { name: 'This cable' }).first().click();
    await page.getByRole('menuitem', { name: 'Make its return' }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toContainText('IN-1,');
    await app.go(new URL(page.url()).pathname.replace(/\/\w+$/, '/run'));
    await expect(page.getByRole('radio', { name: 'negative' })).toBeChecked();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
  },
);

test(
  'the box finds by the words people use, and a finding leads to where it is corrected',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    for (const [word, option] of [
      ['settings', 'Preferences'],
      ['csv', 'Import a cable schedule'],
      ['negative', 'Make the return of this cable'],
      ['restore', 'Backup, bin and earlier versions'],
      ['tools', 'Tool case: which die for which lug'],
    ] as const) {
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox', { name: 'Search or do' }).fill(word);
      await expect(page.getByRole('option', { name: option })).toBeVisible();
      await page.keyboard.press('Escape');
      await page.keyboard.press('Escape');
      await expect(page.getByRole('combobox', { name: 'Search or do' })).toBeHidden();
    }
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Search or do' }).fill('spreadsheet');
    await page.getByRole('option', { name: 'Import a cable schedule' }).click();
    await expect(page.getByRole('dialog')).toContainText('Save a template');
    await page.getByRole('button', { name: 'Close' }).click();
    await app.go('/job/teasel/cable/en1/gauge');
    await app.ledger.getByRole('button', { name: /Short circuit with no fuse/ }).click();
    await app.ledger.getByRole('link', { name: /Correct it in Run, Source and fuse/ }).click();
    await expect(page).toHaveURL(/\/run\?part=source$/);
    await expect(page.getByRole('button', { name: /^Source and fuse/ })).toHaveAttribute(
      'aria-expanded',
      'true',
    );
  },
);
