import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';

/** The demo, at the bench with a cable, at one of its steps. */
export async function atTheBench(page: Page, cableId: string, step: string): Promise<App> {
  const app = new App(page);
  await app.openDemo(`/job/teasel/bench/${cableId}?step=${step}`);
  await expect(page.getByRole('region', { name: 'What to do' })).toBeVisible();
  return app;
}
export const doing = (page: Page) => page.getByRole('region', { name: 'What to do' });
export const gate = (page: Page) => page.getByRole('region', { name: 'Gate' });
export const current = (page: Page) =>
  page.getByRole('list', { name: 'Steps' }).locator('[aria-current="step"]');
export async function sign(page: Page): Promise<void> {
  await page.getByLabel('Who is working').fill('Ada');
  await page.getByLabel('Who is working').press('Tab');
  await page.locator('body').click({ position: { x: 4, y: 400 } });
}
