import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test('a first job plans with nothing on the shelf, asks whose tools, and takes the answers', async ({
  page,
}) => {
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
});

test('the example workshop says that it is one, and is emptied in one press, and undone', async ({
  page,
}) => {
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
});
