import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

/** Goes on by Tab until what has the focus is called so, as somebody without a mouse would. */
async function tabTo(page: Page, name: RegExp, most = 60): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab');
    const { label, isSeen } = await page.evaluate(() => {
      const own = document.activeElement as HTMLInputElement | null;
      // Past the last one the focus is the browser's own for one step.
      if (!own || own === document.body) return { label: '', isSeen: true };
      const byId = (own.getAttribute('aria-labelledby') ?? '')
        .split(' ')
        .map((id) => document.getElementById(id)?.textContent ?? '')
        .join(' ');
      const said =
        own.getAttribute('aria-label') ??
        (byId.trim() || own.labels?.[0]?.textContent || own.textContent || '');
      return { label: said.trim(), isSeen: getComputedStyle(own).outlineStyle !== 'none' };
    });
    // Wherever the keyboard is can be seen.
    expect(isSeen, label).toBe(true);
    if (name.test(label)) return;
    passed.push(label.slice(0, 40));
  }
  throw new Error(`nothing called ${name} is reached by Tab, only ${passed.join(' | ')}`);
}

test('from an empty job to a reading with the keyboard alone', { tag: '@journey' }, async ({ page }) => {
  const app = new App(page);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Empty job', exact: true })).toBeVisible();
  await tabTo(page, /^Empty job$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'The first cable' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(app.field('From, end A')).toBeVisible();
  await tabTo(page, /^From, end A$/);
  await page.keyboard.type('Battery +');
  await tabTo(page, /^To, end B$/);
  await page.keyboard.type('Winch');
  await tabTo(page, /^Continuous$/);
  await page.keyboard.type('90');
  await tabTo(page, /^Length along the route/);
  await page.keyboard.type('2.4 m');
  await page.keyboard.press('Enter');
  await expect(app.ledger).toContainText('Current drawn');
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (const [key, stage] of [
    ['2', 'gauge'],
    ['3', 'ends'],
    ['4', 'cut'],
    ['7', 'fit'],
    ['6', 'prove'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`/${stage}$`));
  }
  await page.keyboard.press('7');
  await tabTo(page, /^Who is fitting$/, 90);
  await page.keyboard.type('R. Pell');
  await tabTo(page, /^Tightened to, A/, 90);
  await page.keyboard.type('12');
  await tabTo(page, /^Record ?Tightened to, A$/, 5);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^A: Battery/ })).toContainText('12.0');
  await tabTo(page, /^Polarity$/, 20);
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name: 'Polarity' }).first()).toBeChecked();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('log of');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
  await app.saved();
});
