import { expect } from '@playwright/test';
import { STAGES } from '../core/model/cable.ts';
import { App } from './app.ts';
import { test } from './test.ts';

/** A cable that waits to be made, and the stages where one that fails its proof looks different. */
const LOOKED_AT = { th3: STAGES, in1: ['prove'] } as const;

for (const cable of ['th3', 'in1'] as const) {
  test(`axe finds nothing serious on the stages of ${cable}`, async ({ page }) => {
    test.slow();
    const app = new App(page);
    await app.openDemo();
    for (const stage of LOOKED_AT[cable]) {
      await app.go(`/job/teasel/cable/${cable}/${stage}`);
      await expect(app.ledger).toBeVisible();
      await expect(page.locator('main section').first()).toBeVisible();
      expect(await app.seriousProblems(stage === 'make' ? 'html' : 'main'), stage).toEqual([]);
    }
  });
}

test('axe finds nothing serious in boxes, menus and the empty job', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await page.goto('/demo');
  await expect(page.getByRole('complementary', { name: 'How this works' })).toBeVisible();
  expect(await app.seriousProblems(), 'guide').toEqual([]);
  await page.getByRole('button', { name: 'Start an empty job' }).click();
  expect(await app.seriousProblems(), 'empty job').toEqual([]);
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keyboard shortcuts' })).toBeVisible();
  expect(await app.seriousProblems(), 'shortcuts').toEqual([]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox')).toBeVisible();
  expect(await app.seriousProblems(), 'command box').toEqual([]);
});

test(
  'what a field is for stands behind its mark, and goes by the keyboard',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/th3/run');
    const mark = (label: string) => page.locator(`button[title="${label}"]`);
    const help = page.getByRole('note');
    await expect(mark('Polarity')).toHaveAttribute('aria-expanded', 'false');
    await mark('Polarity').click();
    await expect(help).toHaveAccessibleName('About Polarity');
    await expect(help).toContainText('never by the colour alone');
    await expect(mark('Polarity')).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(help).toBeHidden();
    await expect(mark('Polarity')).toBeFocused();
    await mark('Polarity').click();
    await expect(help).toBeVisible();
    await mark('System').click();
    await expect(help).toHaveAccessibleName('About System');
  },
);

test('a phone shows every stage without scrolling sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const app = new App(page);
  await app.openDemo();
  for (const stage of STAGES) {
    await app.go(`/job/teasel/cable/in1/${stage}`);
    await expect(page.locator('main section').first()).toBeVisible();
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow, stage).toBeLessThanOrEqual(0);
  }
});

test(
  'on a phone a cable is opened from the rack: first its card, then any stage',
  { tag: '@page' },
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const app = new App(page);
    await app.openDemo();
    await page.getByRole('button', { name: 'Open the rack' }).click();
    await page.getByRole('dialog').getByRole('link', { name: 'BK-1' }).click();
    await expect(page).toHaveURL(/card\/bk1$/);
    await app.stage('Fit');
    await expect(page).toHaveURL(/bk1\/fit$/);
    // A part of the drawing at a time.
    const angle = app.drawing.getByRole('slider', { name: 'Angle from palm A to palm B' });
    await page.getByRole('tab', { name: 'middle' }).click();
    await expect(angle).toBeVisible();
    await page.getByRole('tab', { name: /^B / }).click();
    await expect(angle).toHaveCount(0);
  },
);
