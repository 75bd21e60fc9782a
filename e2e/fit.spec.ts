import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'a cable is fitted: torque, checks in order, first load by stand-ins, and when to come back',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/cable/pv2/fit');
    const fit = page.locator('main');
    const tick = (name: string, region?: RegExp) =>
      (region ? fit.getByRole('region', { name: region }) : fit).getByRole('checkbox', { name }).click();
    await tick('Drip loop');
    await expect(fit.getByRole('alert')).toContainText('Enter who is measuring first');
    await app.type('Who is fitting', 'N. Sorrel');
    await tick('Isolated and tagged');
    await expect(fit.getByRole('alert')).toContainText('First the ends and the route');

    await app.type('Tightened to, A', '40');
    await fit.getByRole('button', { name: 'Record Tightened to, A' }).click();
    await expect(fit.getByRole('region', { name: /^A: Solar/ })).toContainText('fails');
    const before = fit.getByRole('region', { name: /^(A: |B: |Along the route)/ }).getByRole('checkbox');
    for (const box of await before.all()) await box.click();
    await tick('Fuse in, isolator shut');
    await expect(fit.getByRole('alert')).toContainText('“Isolated and tagged” comes before it');
    await tick('Isolated and tagged');
    await expect(fit.getByRole('checkbox', { name: 'Isolated and tagged' })).toBeChecked();
    expect(await app.seriousProblems('main')).toEqual([]);
    await app.saved();
  },
);

test(
  'a loaded run is judged, scaled, and marked where stand-ins read it',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/cable/hb3/fit');
    await app.type('Who is fitting', 'N. Sorrel');
    const run = page.getByRole('region', { name: 'The first loaded run' });
    await run.getByRole('button', { name: 'Record the loaded run' }).click();
    await expect(run.getByRole('alert')).toContainText('Enter the load current first');
    await app.choose(/^Measured with/, 'Bench multimeter');
    await app.type('Load', '50');
    await app.type('Palm to stud A', '1.2');
    await app.type('Palm to stud B', '190');
    await run.getByRole('button', { name: 'Record the loaded run' }).click();
    const faces = run.getByRole('button', { name: /Contact on the stud/ });
    await expect(faces.first()).toContainText('passes');
    await expect(faces.last()).toContainText('fails');
    await faces.last().click();
    await expect(run).toContainText(/W for nothing at the rated load/);

    await app.choose(/^Measured with/, /simulated/);
    await expect(run.getByText('connected')).toBeVisible();
    for (const label of ['Lug A to cable', 'Lug B to cable', 'Along the cable']) {
      await run.getByRole('button', { name: `Measure ${label}`, exact: true }).click();
      await expect(app.field(label).last()).not.toHaveValue('');
    }
    await run.getByRole('button', { name: 'Record the loaded run' }).click();
    await expect(run.getByRole('button', { name: /Stud to stud, rated load/ })).toContainText('not proved');

    const after = page.getByRole('region', { name: 'After', exact: true });
    const look = after.getByRole('button', { name: /^Inspect it, and tighten to torque/ });
    await expect(look).toContainText('2026-10-25');
    await expect(look).toContainText('overdue');
    await look.click();
    await expect(after).toContainText('2025-10-25 + 12 months = 2026-10-25');
    await app.type('Inspected today: what was found', 'all sound');
    await after.getByRole('button', { name: 'Record the inspection' }).click();
    await expect(after).not.toContainText('overdue');
    await app.saved();
  },
);
