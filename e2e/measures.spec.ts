import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';
import { VIEWS } from './views.ts';

/** A figure in a metric unit that the American set has another for. */
const METRIC_FIGURE = /\d[\s\u2009\u202f]?(?:mm²|mm|cm|m|°C|N·m|kg|N)(?![\w²·Ω/])/u;
/** Its other measure stands behind it, or it is part of a name: "70 mm² (≈ AWG 2/0)". */
const GIVEN_BOTH = /\d[\s\u2009]?mm²(?=.*AWG)|\d[\s\u2009\u202f]?(?:mm²|mm|m|°C|N·m|kg|N) \((?:≈ AWG|\d)/gu;

/** Lines of the page with a metric figure that is given in no other measure. */
async function metricLines(page: Page): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const { body } = document;
    const inSvg = [...body.querySelectorAll('svg text')].map((text) => text.textContent ?? '');
    return [...body.innerText.split('\n'), ...inSvg];
  });
  // What can be typed into a field is shown in both.
  const isHint = (line: string) => line === '12 ft 6, 3.8 m, 2*350+40';
  // A size as it is bought, with what it is near to beneath.
  const isName = (line: string) => /^[\d.]+[\s\u2009]mm²$/u.test(line);
  return [...new Set(texts)].filter(
    (line) => !isHint(line) && !isName(line) && METRIC_FIGURE.test(line.replaceAll(GIVEN_BOTH, '')),
  );
}

test(
  'one press reads all figures in the American set, one length is read otherwise, and one press brings metric back',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await expect(app.ledger).toContainText('°C');
    await page.getByRole('button', { name: 'Preferences' }).click();
    const box = page.getByRole('dialog', { name: 'Preferences' });
    await box.getByRole('button', { name: 'All American' }).click();
    await box.getByRole('radio', { name: 'mm and m' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(box).toBeHidden();
    await expect(app.ledger).toContainText('°F');
    await expect(app.drawing).toContainText(/finished 6\s400/);
    await page.getByRole('button', { name: 'Preferences' }).click();
    await box.getByRole('button', { name: 'All metric' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(app.ledger).not.toContainText('°F');
  },
);

test('in the American set no view shows a metric figure alone', async ({ page }) => {
  test.setTimeout(240_000);
  const app = new App(page);
  await app.openDemo();
  await page.getByRole('button', { name: 'Preferences' }).click();
  await page.getByRole('button', { name: 'All American' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(app.ledger).toContainText('°F');
  const found: Record<string, string[]> = {};
  for (const [name, path] of Object.entries(VIEWS)) {
    await app.go(path);
    await expect(page.locator('main').first()).toBeVisible();
    // House practice works the job up once for each other answer.
    await expect(page.getByText('calculating')).toHaveCount(0, { timeout: 90_000 });
    const lines = await metricLines(page);
    if (lines.length > 0) found[name] = lines;
  }
  expect(found).toEqual({});
});
