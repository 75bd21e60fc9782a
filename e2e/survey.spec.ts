import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'an old installation is looked at, judged, and made new by one press',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/survey');
    const list = page.getByRole('list', { name: 'Old cables' });
    await expect(list.getByRole('listitem')).toHaveCount(5);
    await expect(list.getByRole('listitem').nth(0)).toContainText('replace');
    await expect(list.getByRole('listitem').nth(4)).toContainText('Not inspected yet: end B.');
    // What is seen changes the verdict at once.
    await list.getByRole('button', { name: /Old-5/ }).click();
    const form = page.getByRole('region', { name: 'Old-5' });
    await form
      .getByRole('group', { name: 'End B' })
      .getByRole('button', { name: 'wrong hole for its stud' })
      .click();
    await expect(list.getByRole('listitem').nth(4)).toContainText('remake an end');
    await expect(form).toContainText('never drill one out');
    // A bad size stays beside its field.
    await app.type('Size, where it can be read', 'thick');
    await expect(form.getByRole('alert')).toBeVisible();
    await app.type('Size, where it can be read', '95');
    // One press makes one new, and it stands in the rack with its size.
    await list.getByRole('listitem').nth(4).getByRole('button', { name: 'Replace' }).click();
    await list.getByRole('listitem').nth(4).getByRole('link', { name: 'Old-5' }).click();
    await expect(page).toHaveURL(/cable\/.*\/run/);
    await page.goBack();
    // The rest at once, with its price; undo takes all of it back.
    const all = page.getByRole('button', { name: /Replace everything questionable/ });
    await expect(all).toContainText('(3)');
    await all.click();
    await expect(list.getByRole('link')).toHaveCount(4);
    await expect(all).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(list.getByRole('link')).toHaveCount(1);
  },
);

test(
  'an empty survey says how to begin, and its first cable is added',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/marrow/survey');
    await expect(page.getByText('Go from the battery outwards.')).toBeVisible();
    await page.getByRole('button', { name: 'Add an old cable' }).click();
    await expect(page.getByRole('region', { name: 'Old-1' })).toContainText('End A');
    await expect(page.getByRole('list', { name: 'Old cables' })).toContainText(
      'Not inspected yet: end A, B.',
    );
  },
);
