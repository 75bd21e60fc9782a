import { expect } from '@playwright/test';
import { App, overlapsInDrawing } from './app.ts';
import { allStored } from './store.ts';
import { test } from './test.ts';

test.describe('the bench by keyboard', () => {
  test('stages, cables, new, duplicate, delete, undo and redo', { tag: '@page' }, async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.keyboard.press('4');
    await expect(page).toHaveURL(/th3\/cut$/);
    await page.keyboard.press('j');
    await expect(page).toHaveURL(/th4\/cut$/);
    await page.keyboard.press('k');
    await expect(page).toHaveURL(/th3\/cut$/);
    const rack = page.getByRole('region', { name: 'Rack' });
    const counts = (cables: number) => expect(rack.getByText(`${cables} cables`)).toBeVisible();
    await counts(15);
    await page.keyboard.press('d');
    await counts(16);
    await expect(page.getByRole('heading', { name: /^TH-6/ })).toBeAttached();
    await page.keyboard.press('Control+z');
    await counts(15);
    await page.keyboard.press('Control+Shift+z');
    await counts(16);
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Delete');
    await counts(14);
    await page.keyboard.press('Control+z');
    await counts(15);
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Keyboard shortcuts' })).toBeVisible();
    await page.keyboard.press('Escape');
  });

  test('a cable moves in the rack, and several are set at once', { tag: '@page' }, async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    const rack = page.getByRole('region', { name: 'Rack' });
    await page.keyboard.press('Alt+ArrowUp');
    await expect(rack.getByRole('link').nth(1)).toContainText('TH-3');
    await rack.getByRole('link', { name: 'TH-1' }).click({ modifiers: ['Control'] });
    await rack.getByRole('link', { name: 'TH-2' }).click({ modifiers: ['Control'] });
    await expect(page.getByText('2 selected: change all')).toBeVisible();
    await rack.getByRole('button', { name: /Jacket/ }).click();
    await page.getByRole('option', { name: 'yellow' }).click();
    await rack.getByRole('button', { name: 'Done' }).click();
    const exported = JSON.parse(await app.exported()) as {
      job: { cables: { tag: string; jacket: string }[] };
    };
    const yellow = exported.job.cables.filter(({ jacket }) => jacket === 'yellow').map(({ tag }) => tag);
    expect(yellow.sort()).toEqual(['TH-1', 'TH-2']);
  });

  test('the filter narrows the rack, and Escape clears it', { tag: '@page' }, async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    const rows = page.getByRole('region', { name: 'Rack' }).getByRole('link');
    await page.keyboard.press('/');
    await page.keyboard.type('bus');
    await expect(rows).toHaveCount(4);
    await page.keyboard.press('Escape');
    await expect(rows.filter({ hasText: 'TH-1' })).toBeVisible();
  });

  test(
    'the command box finds a cable, sets a size and turns the colours',
    { tag: '@page' },
    async ({ page }) => {
      const app = new App(page);
      await app.openDemo();
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox', { name: 'Search or do' }).fill('starter');
      await page.keyboard.press('Enter');
      await expect(page).toHaveURL(/en1\/gauge$/);
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox', { name: 'Search or do' }).fill('95 mm2');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('radio', { checked: true, name: '95 mm²' })).toBeVisible();
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox', { name: 'Search or do' }).fill('dark');
      await page.keyboard.press('Enter');
      await expect(page.locator('html')).toHaveClass(/dark/);
      await app.saved();
      await page.reload();
      await expect(page.locator('html')).toHaveClass(/dark/);
    },
  );
});

test.describe('the drawing', () => {
  test('follows the figures, and a figure pressed opens its work', { tag: '@page' }, async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.keyboard.press('4');
    await expect(app.drawing.getByRole('button', { name: /^cut 6\s361 mm/ })).toBeVisible();
    await app.type('Length along the route, stud to stud', '6350');
    await expect(app.drawing.getByRole('button', { name: /^cut 6\s461 mm/ })).toBeVisible();
    await app.drawing.getByRole('button', { name: /^strip 29 mm, end A/ }).click();
    await expect(page).toHaveURL(/\/ends$/);
    await expect(app.ledger).toContainText('strip = barrel depth + gap');
  });

  for (const [name, width, height] of [
    ['desk', 1280, 800],
    ['tablet', 820, 1180],
    ['phone', 390, 844],
  ] as const) {
    test(`no two of its texts overlap, and none is cut off: ${name}`, async ({ page }) => {
      await page.setViewportSize({ width, height });
      const app = new App(page);
      await app.openDemo();
      for (const cable of ['th1', 'th3', 'bk1', 'en1', 'in1', 'so1']) {
        await app.go(`/job/teasel/cable/${cable}/cut`);
        await expect(page).toHaveURL(new RegExp(`/${cable}/cut$`));
        await expect(page.locator('.workpiece svg')).toBeVisible();
        const parts = width < 640 ? await page.getByRole('tab').all() : [undefined];
        for (const part of parts) {
          await part?.click();
          expect(await overlapsInDrawing(page), `${cable} at ${name}`).toEqual([]);
        }
      }
    });
  }
});

test(
  'sizes and lengths are shown as the reader asks, with what that hides',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await expect(page.getByText('70 mm² has 3.8')).toBeVisible();
    await page.getByRole('radio', { name: 'AWG' }).click();
    await expect(
      page.getByRole('region', { name: 'Rack' }).getByRole('link', { name: 'TH-3' }),
    ).toContainText('≈ AWG 2/0');
    await page.getByRole('radio', { name: 'in', exact: true }).click();
    await expect(app.drawing.getByRole('button', { name: /^cut 250/ })).toBeVisible();
    await page.keyboard.press('4');
    await app.type('Service loop', '6');
    await expect(app.ledger).toContainText('in');
    await page.getByRole('radio', { name: 'mm', exact: true }).click();
    await expect(app.field('Service loop')).toHaveValue('152.4');
  },
);

test('a school switched on binds at once', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await page.getByRole('switch', { name: 'Printed 3/10 %' }).click();
  await expect(app.ledger).toContainText('Printed 3/10 %');
  await page.getByRole('switch', { name: 'Printed 3/10 %' }).click();
  await expect(app.ledger).not.toContainText('Printed 3/10 %');
});

test(
  'the first visit opens the start page; the demo has a guide, once',
  { tag: '@page' },
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: /^Look around an example job/ }).click();
    await expect(page.getByRole('complementary', { name: 'How this works' })).toBeVisible();
    await page.getByRole('button', { name: 'Look around the example' }).click();
    await expect.poll(async () => (await allStored(page))['prefs']).toMatchObject({ guideSeen: true });
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible();
    await expect(page.getByRole('complementary', { name: 'How this works' })).toBeHidden();
  },
);
