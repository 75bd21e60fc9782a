import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'the bad joint in the return is found within four probes, and its cable is made anew',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/hunt');
    const verdict = page.getByRole('status').filter({ hasText: /fault|wastes/ });
    await expect(verdict).toContainText('15 of 15 parts could still be faulty');
    expect(await app.seriousProblems('main')).toEqual([]);
    await app.choose(/^Measured with/, /simulated/);
    const probe = page.getByRole('region', { name: 'Probe' });
    await expect(probe.getByText('connected')).toBeVisible();
    const readings = page.getByRole('button', { name: /mV.*remove it/ });
    for (const bracketed of [1, 2, 3]) {
      await probe.getByRole('button', { name: 'Measure', exact: true }).click();
      await expect(readings).toHaveCount(bracketed);
      await expect(verdict).toContainText(/of 15 parts could still be faulty/);
    }
    await probe.getByRole('button', { name: 'Measure', exact: true }).click();
    await expect(verdict).toContainText(/Not the battery: stud, shunt bank side wastes (19|20)\sW/);
    await expect(verdict).toContainText('SIMULATED, proves nothing');

    const suspects = page.getByRole('region', { name: 'Suspects' });
    await suspects.getByRole('button', { name: 'Show the calculation of Stud, shunt bank side' }).click();
    await expect(suspects).toContainText('R = U / I');
    await expect(suspects).toContainText(/waste = 5\.\d+ mΩ/);
    await app.saved();
    await page.getByRole('link', { name: 'Print the hunt' }).click();
    await expect(page.getByText('SIMULATED READINGS')).toBeVisible();
    await expect(page.getByText('Read on')).toBeVisible();
    await page.getByRole('link', { name: 'Back to the hunt' }).click();

    await page.getByRole('button', { name: 'Remake HB-5, end A' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('HB-6');
    await app.saved();
  },
);

test(
  'a hunt without a job: typed by hand, wrong entries said, contradictions named, a new job from it',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/hunt');
    await expect(page.getByRole('heading', { name: 'Fault hunts' })).toBeVisible();
    await app.choose('Begin with', /returns through chassis/);
    await page.getByRole('button', { name: 'Begin the hunt' }).click();
    const cell = (title: string) =>
      page.getByRole('textbox', { name: `Millivolts across ${title}`, exact: true });
    const put = async (title: string, text: string) => {
      await cell(title).fill(text);
      await cell(title).press('Enter');
    };
    await put('Post +', '12');
    await expect(page.getByRole('alert')).toContainText('Enter the load current first');
    await expect(cell('Post +')).toHaveValue('12');
    await app.type('Load current', '100');
    await app.type('Battery volts, no load', '12.70');
    await app.type('Battery volts, under load', '12.40');
    await app.type('Volts at the load', '11.9');
    await put('Post +', 'lots');
    await expect(page.getByRole('alert')).toBeVisible();
    await expect(cell('Post +')).toHaveValue('lots');
    await put('Post +', '5');
    await put('Chassis or hull back', '480');
    const verdict = page.getByRole('status').filter({ hasText: /wastes|cannot all/ });
    await expect(verdict).toContainText(/Not the battery: chassis or hull back wastes 28\sW/);
    await put('Lug 1', '90');
    await expect(verdict).toContainText('These readings cannot all be right');
    await expect(page.getByRole('alert')).toContainText('lose more than the whole');
    await cell('Lug 1').fill('');
    await cell('Lug 1').press('Enter');
    await expect(verdict).toContainText('chassis or hull back wastes');

    await page.getByRole('button', { name: 'Edit the circuit' }).click();
    await app.type('Length of Cable back', '2400');
    await app.type('Size of Cable back', 'fat');
    await expect(page.getByRole('alert')).toContainText('Write a size as');
    await app.type('Size of Cable back', '50');
    await app.type('The load', 'winch');
    const panel = page.getByRole('switch', { name: 'behind a panel' }).first();
    await panel.click();
    await expect(panel).toBeChecked();
    await page.getByRole('button', { name: 'Back to the readings' }).click();
    await page.getByRole('button', { name: 'Remake Cable back' }).click();
    await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
    await expect(page.getByRole('textbox', { name: /stud to stud/i })).toHaveValue(/^2\s?400$/);
    await app.saved();
    await page.reload();
    await page.getByRole('link', { name: /^Hunt/ }).click();
    await expect(page.getByRole('heading', { name: /returns through chassis/ })).toBeVisible();
  },
);

test(
  'a cranking test takes each reading with the amps of its own moment',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/hunt');
    await app.choose('Begin with', /a starter, cranking/);
    await page.getByRole('button', { name: 'Begin the hunt' }).click();
    await app.type('Current at that moment', '400');
    await app.type('Battery volts, no load', '12.7');
    await app.type('Battery volts, under load', '10.9');
    await app.type('Volts at the load', '9.7');
    const row = async (title: string, millivolt: string, amps: string) => {
      const fields = [
        [`Millivolts across ${title}`, millivolt],
        [`Amps while reading across ${title}`, amps],
      ] as const;
      for (const [label, text] of fields) {
        await page.getByRole('textbox', { name: label, exact: true }).fill(text);
        await page.getByRole('textbox', { name: label, exact: true }).press('Enter');
      }
    };
    await row('Clamp', '700', '350');
    const verdict = page.getByRole('status').filter({ hasText: 'wastes' });
    await expect(verdict).toContainText(/Not the battery: clamp wastes 304\sW/);
    await row('Clamp', '700', '175');
    await expect(page.getByRole('status').filter({ hasText: 'cannot all be right' })).toBeVisible();
  },
);

test(
  'a reading typed once is one reading, and the same figure again is another',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/hunt');
    await app.choose('Begin with', /two cables of its own/);
    await page.getByRole('button', { name: 'Begin the hunt' }).click();
    const probe = page.getByRole('region', { name: 'Probe' });
    const reads = probe.getByRole('textbox', { name: 'Reading, mV' });
    const kept = page.getByRole('textbox', { name: /^Millivolts across/ });
    const figures = async () =>
      (await kept.evaluateAll((all) => all.map((own) => (own as HTMLInputElement).value))).filter(Boolean);
    const across = async (from: RegExp, to: RegExp) => {
      await app.choose('From', from);
      await app.choose('To', to);
    };

    await across(/^Fuse/, /^Fuse/);
    await reads.fill('31');
    await reads.press('Enter');
    await expect(probe.getByRole('alert')).toContainText('Enter the load current first');
    await expect(reads).toHaveValue('31');
    await app.type('Load current', '100');
    await across(/^Fuse/, /^Fuse/);
    await reads.press('Enter');
    await expect(reads).toHaveValue('');
    expect(await figures()).toEqual(['31']);

    await across(/^Switch/, /^Switch/);
    await reads.fill('31');
    await reads.press('Enter');
    await expect(reads).toHaveValue('');
    expect(await figures()).toEqual(['31', '31']);
    await across(/^Stud$/, /^Stud$/);
    await reads.fill('4');
    await reads.blur();
    await app.choose('From', /^Post \+/);
    expect(await figures()).toEqual(['31', '31']);
    await app.choose('To', /^Post −/);
    await probe.getByRole('button', { name: 'Record' }).click();
    await expect(probe.getByRole('alert')).toContainText('The load lies between these two');
    await across(/^Post \+/, /^Post \+/);
    await probe.getByRole('button', { name: 'Record' }).click();
    await expect(reads).toHaveValue('');
    expect(await figures()).toEqual(['4', '31', '31']);
  },
);

test('a job with one hunt can begin a second', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/hut/hunt');
  await expect(page).toHaveURL(/hunt\/hut-inverter$/);
  await page.getByRole('button', { name: 'All fault hunts' }).click();
  await expect(page.getByRole('heading', { name: 'Fault hunts' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin the hunt' }).click();
  await expect(page.getByRole('region', { name: 'Probe' })).toBeVisible();
  await page.getByRole('button', { name: 'All fault hunts' }).click();
  await expect(page.getByRole('button', { name: /^Delete/ })).toHaveCount(2);
});

test('what is mended is read again, and what was read before is kept', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/hunt');
  await app.choose('Begin with', /two cables of its own/);
  await page.getByRole('button', { name: 'Begin the hunt' }).click();
  await app.type('Load current', '100');
  const fuse = page.getByRole('textbox', { name: 'Millivolts across Fuse', exact: true });
  await fuse.fill('400');
  await fuse.press('Enter');
  const verdict = page.getByRole('status').filter({ hasText: /wastes|fault|should|measured yet/ });
  await expect(verdict).toContainText(/fuse wastes 37\sW/i);
  await expect(verdict).toContainText('Whether anything else loses too much is not shown yet');
  await page.getByRole('button', { name: 'It is repaired' }).click();
  await expect(fuse).toHaveValue('');
  await expect(page.getByText(/^Repaired: Fuse/)).toContainText('Measure the volts at posts and load again');
  await expect(verdict).toContainText('Nothing is measured yet');
  await page.getByRole('link', { name: 'Print the hunt' }).click();
  await expect(page.getByText(/Repaired on .*: Fuse; 1 reading from before is kept/)).toBeVisible();
});
