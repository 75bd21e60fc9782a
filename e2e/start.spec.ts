import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'from a first visit to a size with its reasons in one line, and to the bench as out and back',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'What is the cable for?' })).toBeVisible();
    const line = app.field('The cable in one line');
    await expect(line).toBeFocused();
    await line.fill('12 V inverter frob');
    await expect(page.getByRole('alert')).toHaveText('Not understood: frob');
    await expect(page.getByRole('status').filter({ hasText: 'Still needed' })).toContainText(
      'the length one way',
    );
    await line.press('Enter');
    await expect(page.getByRole('heading', { name: 'What is the cable for?' })).toBeVisible();

    await line.fill('12 V 2000 W inverter 1.5 m engine space fuse 300');
    const answer = page.getByRole('region', { name: 'The answer' });
    await expect(answer).toContainText(/120.mm²/);
    await expect(answer).toContainText('Governing limit: fuse rating against cable');
    await answer.getByText('Why, and what is still open').click();
    await expect(answer).toContainText('Source: ');
    // What is assumed is said by pressing it, and can then be typed over.
    await page.getByRole('button', { name: /^90 % efficient/ }).click();
    await page.keyboard.type('80');
    await expect(line).toHaveValue('12 V 2000 W inverter 1.5 m engine space fuse 300 efficiency 80 %');
    await expect(page.getByRole('button', { name: /^90 % efficient/ })).toHaveCount(0);
    await expect(answer).toContainText(/2[23]\d.A/);
    expect(await app.seriousProblems('main')).toEqual([]);

    await line.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('IN-1');
    const rack = page.getByRole('region', { name: 'Rack' });
    await expect(rack.getByText('2 cables')).toBeVisible();
    await expect(rack.getByRole('link', { name: /^IN-2 .* negative/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible();
  },
);

test(
  'what else people come with is a press away, and the jobs stand beside it with what waits',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.getByRole('link', { name: 'Gruff Anchor' }).click();
    const jobs = page.getByRole('region', { name: 'Jobs' });
    await expect(jobs.getByRole('link', { name: /^Teasel.*15 cables, 4 half made.*fail/ })).toBeVisible();
    await page.getByRole('button', { name: /^Plan an installation/ }).click();
    await expect(page.getByRole('region', { name: 'Begin from' })).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: /^Volts are lost somewhere/ }).click();
    await expect(page).toHaveURL(/\/hunt$/);
    await page.goBack();
    await page.getByRole('button', { name: /^Which die for this lug/ }).click();
    await expect(page).toHaveURL(/\/case$/);
    await page.goBack();
    await page.getByRole('button', { name: /^Train your eye/ }).click();
    await expect(page).toHaveURL(/\/training/);
  },
);

test(
  'the card of a cable has all of it on one sheet, and goes out as text',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await app.openDemo('/job/teasel/card/th3');
    const card = page.getByRole('article', { name: 'Card of TH-3' });
    await expect(card).toContainText(/70.*mm².*6.361.mm cut/);
    await expect(card.getByRole('row', { name: /^Lug/ })).toContainText('70-10 heavy');
    await expect(card.getByRole('row', { name: /^Torque/ })).toContainText(/17 to 25.N·m/);
    await expect(card).toContainText(/Fuse.*250.A/);
    await expect(card.getByRole('list', { name: 'What fails or is not proved' })).toContainText(
      'Through the hole',
    );
    await page.getByRole('button', { name: 'Share' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Copied as text.' })).toBeVisible();
    const text = await page.evaluate(() => navigator.clipboard.readText());
    expect(text).toContain('TH-3: Isolator → Thruster +');
    expect(text).toMatch(/strip 29.mm/);
    await page.getByRole('link', { name: 'Change it' }).click();
    await expect(page).toHaveURL(/th3\/run$/);
  },
);

test('the card prints on one A6, without what stands round it', async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/card/th3');
  await expect(page.getByRole('article', { name: 'Card of TH-3' })).toBeVisible();
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
  expect(pdf).toMatch(/MediaBox \[0 0 29[78][.\d]* 4(?:19|20)[.\d]*\]/);
});
