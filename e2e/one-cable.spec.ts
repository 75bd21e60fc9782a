import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { decideEnds, leastFlats, measureAll, tickSteps } from './making.ts';
import { test } from './test.ts';

/** What is said of the whole cable. */
const verdict = (page: Page) =>
  page.getByRole('status').filter({ has: page.getByRole('link', { name: 'Test record' }) });

test(
  'a cable from nothing to a proved record, reloaded, exported, deleted and imported again',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();

    // Run: by keyboard from the empty job.
    await page.keyboard.press('n');
    await expect(app.field('Tag')).toHaveValue('C-1');
    await app.type('From, end A', 'Bus +');
    await app.type('To, end B', 'Winch');
    await app.type('System', '24');
    await app.type('Continuous', '150 A');
    await app.type('Allowed drop', '3');
    await app.type('Length along the route, stud to stud', '12 ft 6 in');
    await expect(app.field('Length along the route, stud to stud')).toHaveValue('3\u2009810');
    await app.type('Service loop', '2*35+20');
    await app.type('Return length', '3.9m');
    await app.choose('Source given as', /^its resistance/);
    await app.type('Source resistance', '4 mΩ');
    await page.getByRole('button', { name: 'Add a fuse', exact: true }).click();
    await expect(app.field('Fuse 1 rating')).toHaveValue('200');
    await app.type('Curve of fuse 1', '1.5 100, 5 0.1');
    await expect(app.ledger).toContainText('150.0');

    // Gauge: the proposal is decided with a press.
    await page.locator('body').click({ position: { x: 700, y: 20 } });
    await page.keyboard.press('2');
    await expect(page.getByText('Proposed. Press a size to choose it.')).toBeVisible();
    const proposed = page.getByRole('radio', { checked: true, name: /^\d+ mm²/ });
    const size = (await proposed.getAttribute('aria-label'))?.split(',')[0] ?? '';
    expect(size).toMatch(/^\d+ mm²$/);
    await proposed.click();
    await expect(page.getByRole('button', { name: /Back to the proposal/ })).toBeVisible();
    await app.ledger.getByRole('button', { name: /Drop at the load/ }).click();
    await expect(app.ledger).toContainText('IEC 60228 class 5');

    // The middle of the work: reload comes back to the same cable and stage.
    await app.saved();
    await page.reload();
    await expect(page).toHaveURL(/\/gauge$/);
    await expect(page.getByRole('radio', { checked: true, name: size })).toBeVisible();

    // Ends: studs, lugs, dies and sleeves are decided.
    await decideEnds(app, async (end) => {
      await page.getByRole('button', { name: `Stud of ${end}` }).click();
      await page.getByRole('option', { name: /^M10/ }).click();
    });

    // Cut: the drawing and the stage say the same length.
    await app.stage('Cut');
    const cut =
      (await app.drawing.getByRole('button', { name: /^cut / }).getAttribute('aria-label'))?.replace(
        /^cut ([\d\u2009]+).*/,
        '$1',
      ) ?? '';
    await expect(page.getByRole('region', { name: 'Cut', exact: true })).toContainText(cut);

    // Make: Space ticks every step, Backspace takes one back.
    await app.stage('Make');
    await expect(page.getByRole('heading', { name: 'Lay everything out' })).toBeVisible();
    await page.keyboard.press(' ');
    await page.keyboard.press(' ');
    await page.keyboard.press('Backspace');
    await expect(page.getByRole('heading', { name: 'Cut to length, square' })).toBeVisible();
    const steps = await page.getByRole('list', { name: 'Steps' }).getByRole('listitem').count();
    await tickSteps(app, steps - 1);

    // Prove: nobody is nobody, then every reading.
    await app.stage('Prove');
    await expect(page.getByText(/^Not proved/)).toBeVisible();
    await app.type('Across flats', '99');
    await expect(page.getByText('Enter who is measuring first.')).toBeVisible();
    await expect(app.field('Across flats')).toHaveValue('99');
    await app.field('Across flats').fill('');
    await app.type('Who is measuring', 'R. Alder');
    await measureAll(app);
    await expect(verdict(page)).toContainText('Proved: every figure passes');
    await page.getByRole('button', { name: 'Seal the record' }).click();
    await expect(page.getByText(/Last sealed .* by R. Alder/)).toBeVisible();

    // Out, away, and back in: the same record.
    const before = await app.exported();
    await app.saved();
    await page.getByRole('button', { name: 'Jobs and files' }).click();
    await page.getByRole('menuitem', { name: 'Delete this job' }).click();
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible();
    await app.import(before);
    await expect(page.getByRole('heading', { name: /^C-1/ })).toBeAttached();
    await app.stage('Prove');
    await expect(verdict(page)).toContainText('Proved: every figure passes');
    const after = await app.exported();
    const cablesOf = (contents: string) => (JSON.parse(contents) as { job: { cables: unknown } }).job.cables;
    expect(cablesOf(after)).toEqual(cablesOf(before));

    // Somebody improves the record in the file: it opens, and says so.
    const forged = JSON.parse(before) as { job: { cables: { records: { by: string }[] }[] } };
    for (const record of forged.job.cables.flatMap(({ records }) => records)) record.by = 'A. Nother';
    await app.import(JSON.stringify(forged));
    await expect(page.getByText(/sealed records or their order do not fit/)).toBeVisible();
  },
);

test(
  'a bad crimp is found, and only recorded work lets it be read afresh',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/in1/prove');
    await expect(page.getByText(/^Fails: across flats of end B/)).toBeVisible();
    await app.type('Who is measuring', 'R. Alder');
    await page.getByRole('radio', { name: 'end B' }).click();
    await app.type('Across flats', String((await leastFlats(app)) + 0.15));
    await expect(page.getByText(/^Fails: across flats of end B/)).toBeVisible();
    await app.type('What was reworked', 'cut back 60 mm, new lug');
    await page.getByRole('button', { name: 'Record the rework' }).click();
    await expect(page.getByText(/^Not proved/)).toBeVisible();
    await expect(page.getByText('rework: cut back 60 mm, new lug')).toBeVisible();
  },
);

test('simulated readings are marked and prove nothing', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/bk1/prove');
  await expect(page.getByText('SIMULATED READINGS')).toBeVisible();
  await expect(app.ledger.getByRole('button', { name: /Insulation, whole/ })).toContainText('would pass');
  await expect(page.getByText(/^Not proved/)).toBeVisible();
});

test('a reading struck out stays in the list with its reason', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/so1/prove');
  await app.type('Who is measuring', 'R. Alder');
  await app.strikeOut(/strike out insulation/, 'leads were swapped');
  await expect(page.getByText('struck out: leads were swapped')).toBeVisible();
  await expect(page.getByText(/^Not proved: insulation/)).toBeVisible();
});
