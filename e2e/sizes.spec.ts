import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'all sizes are chosen at once, proved, taken one by one and all at once, and undone in one step',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/marrow/system');
    await page.getByRole('link', { name: 'Sizes', exact: true }).click();
    const title = page.getByRole('heading', { level: 1 });
    await expect(title).toHaveText('Proved optimal');
    const sizes = page.getByRole('table', { name: 'Sizes of all cables' });
    const row = (tag: string) => sizes.getByRole('row', { name: new RegExp(`^${tag} `) });
    await expect(row('IV-2')).toContainText(/70 mm².*35 mm².*35 mm².*by its fuse/);
    await page.getByRole('button', { name: 'Show the calculation', exact: true }).click();
    await expect(page.getByRole('main')).toContainText('branch and bound');

    await app.refuses('Of the drop allowed', '5', /out of range: 20 to 300/);
    const byHand = page.getByRole('switch', { name: 'Sizes chosen by hand as well' });
    await byHand.click();
    await expect(row('IV-2')).toContainText('chosen by hand: its size stays');
    await byHand.click();
    await expect(row('IV-2')).toContainText('by its fuse');
    const totals = page.getByRole('table', { name: 'What the sizes come to' });
    await expect(totals.getByRole('row', { name: /^All together/ })).toContainText('1 176 mm²·m');
    await expect(totals.getByRole('row', { name: /^As in the job/ })).toContainText('1 182 mm²·m');

    await row('IV-2').getByRole('button', { name: 'Take IV-2' }).click();
    await expect(row('IV-2').getByRole('button')).toHaveCount(0);
    await expect(totals.getByRole('row', { name: /^As in the job/ })).toContainText('1 148 mm²·m');
    await page.getByRole('button', { name: 'Take all', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Take all', exact: true })).toBeDisabled();
    await expect(row('LB-1').getByRole('cell').first()).toHaveText('16 mm²');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(row('LB-1').getByRole('cell').first()).toHaveText('35 mm²');
    await expect(row('LB-1').getByRole('button', { name: 'Take LB-1' })).toBeVisible();
    expect(await app.seriousProblems('main')).toEqual([]);
    await app.saved();
  },
);

test(
  'what is asked changes the answer: few sizes, fuses too, losses over the years, and a point of the trade',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/marrow/sizes');
    const title = page.getByRole('heading', { level: 1 });
    await expect(title).toHaveText('Proved optimal');
    await app.type('Different sizes at most', '1');
    await expect(title).toHaveText('No sizes keep every limit');
    await expect(page.getByRole('list', { name: 'What prevents it' })).toContainText('those that stay have');
    await expect(page.getByRole('button', { name: 'Take all', exact: true })).toBeDisabled();
    await app.type('Different sizes at most', '');
    await expect(title).toHaveText('Proved optimal');

    await page.getByRole('switch', { name: 'Propose the fuses too' }).click();
    const fuses = page.getByRole('region', { name: 'Fuses proposed' });
    await expect(fuses.getByRole('listitem').filter({ hasText: 'CH-1, end A' })).toContainText(/80.A/);

    await page.getByRole('radio', { name: 'Price and losses over the years' }).click();
    await app.type('Hours a year, Open for readers', '2500');
    await expect(page.getByRole('columnheader', { name: 'lost a year' })).toBeVisible();
    const trade = page.getByRole('list', { name: 'Points of the trade' });
    await trade.getByRole('button', { name: /^60.%/ }).click();
    await expect(app.field('Of the drop allowed')).toHaveValue('60');
    await expect(trade.getByRole('button', { name: /^60.%/ })).toHaveAttribute('aria-pressed', 'true');
    const together = page
      .getByRole('table', { name: 'What the sizes come to' })
      .getByRole('row', { name: /^All together/ });
    await expect(together.getByRole('cell').last()).toHaveText(/^\s*(5\d|60).%\s*$/);
  },
);

test(
  'a weight that all cables stay under is met, or says what is the lightest there is',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/marrow/sizes');
    const title = page.getByRole('heading', { level: 1 });
    const most = app.field('Weight at most');
    await expect(title).toContainText('Proved', { timeout: 60_000 });
    await most.fill('100');
    await most.press('Enter');
    await expect(page.getByText(/It costs nothing: without the limit they weigh/)).toBeVisible({
      timeout: 60_000,
    });
    await most.fill('5');
    await most.press('Enter');
    await expect(page.getByText('Only the weight limit prevents it.')).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText(/Nothing that keeps the other limits is lighter than/)).toBeVisible();
    await most.fill('');
    await most.press('Enter');
    await expect(title).toContainText('Proved', { timeout: 60_000 });
  },
);

test(
  'without an installation there is nothing to choose, and nothing is called proved',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();
    await app.go(`${new URL(page.url()).pathname}/sizes`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('No cable runs between two places yet');
    await expect(page.getByRole('table')).toHaveCount(0);
  },
);
