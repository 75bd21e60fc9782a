import { expect, type Page } from '@playwright/test';
import { tell } from '../core/words/message.ts';
import { FAULTS, type FaultName, PLACES } from '../core/training/faults.ts';
import { roundOf } from '../core/training/round.ts';
import { App } from './app.ts';
import { test } from './test.ts';

const ROUND = 47;

const place = (page: Page, name: FaultName) =>
  page
    .getByRole('group', { name: 'The end to inspect' })
    .getByRole('button', { name: new RegExp(`^${tell(PLACES[FAULTS[name].at])}`) });
const mark = (page: Page, name: FaultName) =>
  page.getByRole('button', { name: tell(FAULTS[name].title), exact: true });

test(
  'a round of ends is looked at by keyboard, outlives a reload, and comes out on paper',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill('spot the fault');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/training\?level=1&round=\d+$/);

    await page.goto(`/job/teasel/training?level=2&round=${ROUND}`);
    const ends = roundOf(ROUND, 2);
    for (const [i, { faults }] of ends.entries()) {
      for (const name of faults) {
        await place(page, name).focus();
        await page.keyboard.press('Enter');
        await expect(page.getByRole('heading', { name: tell(PLACES[FAULTS[name].at]) })).toBeVisible();
        await mark(page, name).focus();
        await page.keyboard.press('Space');
        await expect(mark(page, name)).toHaveAttribute('aria-pressed', 'true');
      }
      if (i === 1) await page.reload();
      const handIn = page.getByRole('button', { name: 'Hand in' });
      if (i === 1)
        await expect(
          page.getByText(faults.length > 0 ? `${faults.length} marked` : 'nothing marked'),
        ).toBeVisible();
      await handIn.focus();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('region', { name: 'The answer' })).toContainText('10of 10 points');
      await page
        .getByRole('button', { name: /^(Next end|Result)$/ })
        .last()
        .focus();
      await page.keyboard.press('Enter');
    }
    await expect(page.getByText('50 of 50')).toBeVisible();

    await page.getByRole('link', { name: 'Result on paper' }).click();
    await expect(page.getByRole('heading', { name: `Spot the fault, round ${ROUND}` })).toBeVisible();
    await expect(page.locator('main')).toContainText('50 of 50');
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  },
);

test(
  'what was missed and what was not there are told apart, with their figures',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    const own = roundOf(ROUND, 1)[0];
    const [missed, found] = own?.faults ?? [];
    if (!missed || !found) throw new Error('this end should have two faults');
    await page.goto(`/job/teasel/training?level=1&round=${ROUND}`);
    await place(page, found).click();
    await mark(page, found).click();
    const wrong = 'browned';
    await place(page, wrong).click();
    await expect(page.getByRole('region', { name: 'Selected place' })).toContainText('its own colour');
    await mark(page, wrong).click();
    await page.getByRole('button', { name: 'Hand in' }).click();

    const answer = page.getByRole('region', { name: 'The answer' });
    expect(await app.seriousProblems('main')).toEqual([]);
    await expect(answer.getByRole('button', { name: /^missed/ })).toContainText(tell(FAULTS[missed].title));
    await expect(answer.getByRole('button', { name: /^not there/ })).toContainText(
      'The jacket has its colour.',
    );
    await expect(answer.getByRole('button', { name: /^found/ })).toContainText(tell(FAULTS[found].title));
    await answer.getByRole('button', { name: /^missed/ }).click();
    await expect(answer).toContainText('Source: craft practice');
    await answer.getByRole('button', { name: /points that hold/ }).click();
    await expect(answer).toContainText('Across flats.');
  },
);

test(
  'in a narrow window the places have a row of their own, and an unfinished round has no result on paper',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await app.openDemo(`/job/teasel/training?level=1&round=${ROUND}`);
    await page.getByRole('group', { name: 'Places' }).getByRole('button', { name: 'Crimps' }).click();
    await expect(page.getByText('across the flats')).toBeVisible();
    await page.goto('/job/teasel/print/training');
    await expect(page.getByText('This round is not finished: hand in all of its ends first.')).toBeVisible();
  },
);

test('the ends are looked at on a phone by touch, without scrolling sideways', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  const app = new App(page);
  await app.openDemo();
  await app.saved();
  await page.goto(`/job/teasel/training?level=1&round=${ROUND}`);
  await page.getByRole('group', { name: 'Places' }).getByRole('button', { name: 'Crimps' }).tap();
  await expect(page.getByText('across the flats')).toBeVisible();
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
  await context.close();
});
