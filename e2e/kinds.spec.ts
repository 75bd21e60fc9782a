import { expect } from '@playwright/test';
import { App } from './app.ts';
import { test } from './test.ts';

test(
  'a kind of cable is typed by its data sheet, sizes and all, and a cable is made of it',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Cable' }).click();
    await page.getByRole('button', { name: 'Add a kind of cable' }).click();
    await app.type('Cable name', 'Yard cable');
    await app.refuses('Cable name', 'Welding cable', /Another kind is called/);
    await app.refuses('Insulation rating', '20', /out of range: 60 to 200/);
    await app.refuses('Outside of 50 mm²', '5', /out of range/);
    await app.refuses('Another size of this kind', '50', /is among them already/);
    await app.type('Another size of this kind', '70');
    await app.type('Outside of 70 mm²', '16.4');
    await app.type('Price a metre of 70 mm²', '12.5');
    await app.type('Mass a metre of 70 mm²', '760');
    await app.type('Resistance a km of 70 mm²', '0.2');
    await app.type('Strands of 70 mm²', '2107');

    await app.go('/job/teasel/cable/th3/gauge');
    await page.getByRole('button', { name: /Other kinds for this run/ }).click();
    const kinds = page.getByRole('table', { name: 'Kinds for this run' });
    await expect(kinds.getByRole('row', { name: /Yard cable/ })).toContainText('70 mm²');
    await kinds.getByRole('button', { name: 'Yard cable' }).click();
    await expect(page.getByRole('button', { name: /^Cable kind Yard cable/ })).toBeVisible();
    await app.stage('Prove');
    await app.ledger.getByRole('button', { name: /^Resistance, whole/ }).click();
    await expect(app.ledger).toContainText('the cable’s data sheet');

    // What is in use stays, and says why.
    await app.go('/job/teasel/case');
    await page.getByRole('tab', { name: 'Cable' }).click();
    await page.getByRole('button', { name: 'Yard cable' }).click();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await expect(page.getByRole('alert')).toContainText('It cannot be removed. Cables of it: 1, spools: 0.');
    const file = await app.handedOver(page.getByRole('button', { name: 'Export kinds of cable as CSV' }));
    expect(file.bytes.toString()).toContain(
      'Yard cable,yes,fine,pvc,70,60,6,no,no,no,,,70 mm²,16.4,12.5,760,0.2,2107',
    );
    await app.saved();
  },
);

test(
  'a lug that is yellow under its plating is brass from then on, and is offered to no end',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Lugs' }).click();
    await page.getByRole('button', { name: '70-10 heavy' }).first().click();
    const lug = page.getByRole('region', { name: 'This lug' });
    await lug.getByRole('button', { name: 'Is it copper?' }).click();
    await expect(lug.getByRole('status')).toContainText('Not tested.');
    await app.type('Weighed in the air', '56.9');
    await expect(lug.getByRole('status')).toContainText('Weigh it hanging in water too.');
    await lug.getByRole('radio', { name: 'yellow' }).click();
    await expect(lug.getByRole('status')).toContainText('it is brass');
    await expect(lug.getByRole('button', { name: /^Metal/ })).toContainText('brass');
    await app.go('/job/teasel/cable/th3/ends');
    await expect(page.getByRole('button', { name: /^Lug/ }).first()).not.toContainText('70-10 heavy');
    await app.saved();
  },
);

test(
  'a clamp is bored for its post; the room of a tool is the shop’s own',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/case');
    await page.getByRole('tab', { name: 'Lugs' }).click();
    await page.getByRole('button', { name: 'Measure a lug' }).click();
    const lug = page.getByRole('region', { name: 'This lug' });
    await expect(lug.getByRole('button', { name: /^Fits post/ })).toHaveCount(0);
    await app.choose(/^Construction/, 'cast clamp');
    await app.choose(/^Fits post/, 'small taper');
    await lug.getByRole('radiogroup', { name: 'Pole' }).getByRole('radio', { name: 'negative' }).click();
    await app.choose(/^Construction/, 'tube');
    await expect(lug.getByRole('button', { name: /^Fits post/ })).toHaveCount(0);
    await page.getByRole('tab', { name: 'Dies and tools' }).click();
    await app.field('Working space').first().fill('850');
    await app.field('Working space').first().press('Enter');
    await expect(page.getByText(/needs 850\smm of room/)).toBeVisible();
    await app.saved();
  },
);
