import { expect } from '@playwright/test';
import type { App } from './app.ts';

/** The least that the die may leave across the flats, as the ledger says it. */
export async function leastFlats(app: App): Promise<number> {
  const row = await app.ledger.getByRole('button', { name: /^Across flats/ }).textContent();
  return Number(row?.match(/([\d.]+) to [\d.]+/)?.[1]);
}

/** Lug and die of both ends as they are proposed, decided with a press each; then their sleeves. */
export async function decideEnds(app: App, choosing: (end: 'A' | 'B') => Promise<void>): Promise<void> {
  const { page } = app;
  await app.stage('Ends');
  for (const end of ['A', 'B'] as const) {
    const panel = page.getByRole('region', { name: `End ${end}` });
    await choosing(end);
    await panel.getByRole('button', { name: `Lug of ${end}` }).click();
    await page
      .getByRole('option', { name: /heavy.*right/ })
      .first()
      .click();
    await panel.getByRole('radiogroup', { name: 'Die' }).getByRole('radio', { checked: true }).click();
  }
  await page.getByRole('tab', { name: 'Sleeve, layers' }).click();
  for (const end of ['A', 'B'] as const) {
    const panel = page.getByRole('region', { name: `End ${end}` });
    await panel
      .getByRole('radiogroup', { name: /Sleeve of end/ })
      .getByRole('radio', { checked: true })
      .click();
    await expect(panel).toContainText('decided');
  }
}

/** Ticks so many steps with Space; the list before hot work is gone through once. */
export async function tickSteps(app: App, count: number): Promise<void> {
  const { page } = app;
  for (let i = 0; i < count; i += 1) {
    await page.keyboard.press(' ');
    const list = page.getByRole('button', { name: 'All checked for today' });
    if (await list.isVisible()) {
      await list.click();
      await page.keyboard.press(' ');
    }
  }
  await expect(page.getByRole('heading', { name: 'Every step is done' })).toBeVisible();
}

/** Every reading of a cable that is well made. */
export async function measureAll(app: App): Promise<void> {
  const { page } = app;
  for (const end of ['end A', 'end B'] as const) {
    await page.getByRole('radio', { name: end }).click();
    const checks = page.getByRole('navigation', { name: 'Checks' });
    await checks.getByRole('button', { name: /^Across flats/ }).click();
    const flats = await leastFlats(app);
    for (const more of [0.14, 0.16]) await app.type('Across flats', String(flats + more));
    // What is missing comes next, until nothing of this end is.
    await page.getByRole('button', { name: 'Next: ears' }).click();
    for (let crimp = 1; crimp <= 2; crimp += 1) await app.type('Flash (ears) before filing', '0.2');
    await page.getByRole('button', { name: 'Next: pull' }).click();
    await app.type('Pull, one minute', '100 kg');
    await page.getByRole('button', { name: 'Next: look' }).click();
    await page.getByRole('button', { name: 'OK', exact: true }).click();
    await page.getByRole('button', { name: 'Record the inspection' }).click();
  }
  await page.getByRole('radio', { name: 'whole cable' }).click();
  const limit = await app.ledger.getByRole('button', { name: /Resistance, whole/ }).textContent();
  const most = Number(limit?.match(/at most ([\d.]+)/)?.[1]);
  await page.getByRole('button', { name: 'Another instrument' }).click();
  await app.field('Instrument name').fill('Four-wire meter');
  await app.type('Resolution, mΩ', '0.0001');
  await app.type('Resistance, palm to palm', String(most * 0.95));
  await expect(page.getByText(/^Not proved: insulation/)).toBeVisible();
  await page.getByRole('button', { name: 'Next: insulation' }).click();
  await app.field('Insulation').fill('2 GΩ');
  await page.getByRole('button', { name: 'Record Insulation' }).click();
}
