import { expect, type Locator, type Page } from '@playwright/test';
import { getDocument } from 'unpdf/pdfjs';
import ICAL from 'ical.js';
import JSZip from 'jszip';
import bwip from 'bwip-js/node';
import QRCode from 'qrcode';
import { App } from './app.ts';
import { withCamera } from './camera.ts';
import { apart, test } from './test.ts';

const HB3 = `GA1
tag: HB-3
pole: positive
cable: 25 mm² Tinned marine, red
from: Isolator, M8
to: Inverter +, M8
length: 1600 mm
lugs: 25-8 heavy / 25-8 heavy
die: C / C
proof: proved
by: N. Sorrel 2025-10-18`;

test(
  'the log is searched, narrowed, opened, marked with a word, and goes to a calendar',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/log');
    const main = page.getByRole('main');
    const rows = main.getByRole('row');
    await expect(main).toContainText('11 of 31 cables of 3 jobs');
    expect(await app.seriousProblems('main')).toEqual([]);
    await page.getByRole('searchbox', { name: 'Search' }).fill('hut shunt');
    // One of them is only planned.
    await expect(rows).toHaveCount(4);
    await page.getByRole('searchbox', { name: 'Search' }).fill('hs1');
    await expect(main).not.toContainText('TH-1');
    await page.getByRole('searchbox', { name: 'Search' }).fill('');
    await app.choose('Show', 'overdue');
    await app.choose('Order', 'due soonest');
    await expect(rows.nth(1)).toContainText('HB-5');
    await expect(rows.nth(1)).toContainText('retighten, overdue');
    const calendar = await app.handedOver(
      main.getByRole('button', { name: /Add .* due dates to a calendar/ }),
    );
    const file = calendar.bytes.toString();
    const events = new ICAL.Component(ICAL.parse(file) as [string, unknown[], unknown[]]).getAllSubcomponents(
      'vevent',
    );
    const summaries = events.map((own) => new ICAL.Event(own).summary);
    expect(summaries).toContain('Retighten HB-5');
    expect(summaries).toContain('Replace WN-1');

    await rows.filter({ hasText: 'HB-5' }).getByRole('button', { name: 'HB-5' }).click();
    const detail = page.getByRole('region', { name: 'Cable HB-5' });
    await expect(detail).toContainText('2025-11-24');
    await detail.getByRole('textbox', { name: 'New keyword' }).fill('suspect');
    await detail.getByRole('textbox', { name: 'New keyword' }).press('Enter');
    await main.getByRole('button', { name: 'suspect', exact: true }).click();
    await expect(rows).toHaveCount(2);
    await app.saved();
  },
);

test(
  'what was written down wrong is put right, and the old wording stays',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/log');
    await page.getByRole('button', { name: 'HB-2', exact: true }).click();
    const detail = page.getByRole('region', { name: /^Cable HB-/ });
    await detail.getByRole('button', { name: 'Correct an entry' }).click();
    await app.choose('What', 'to, end B');
    await detail.getByLabel('It should say').fill('Isolator 2');
    await detail.getByRole('button', { name: 'Correct it' }).click();
    await expect(detail.getByRole('alert')).toContainText('Enter who');
    await app.type('Corrected by', 'R. Pell');
    await detail.getByRole('button', { name: 'Correct it' }).click();
    await expect(detail.getByRole('alert')).toContainText('Enter why');
    await detail.getByLabel('Why it was wrong').fill('there are two of them');
    await detail.getByRole('button', { name: 'Correct it' }).click();
    await expect(detail).toContainText('was “Isolator”, now “Isolator 2”');
    await expect(detail).toContainText('R. Pell');

    await detail.getByRole('link', { name: 'Open it' }).click();
    const readings = page.getByRole('region', { name: 'All readings' });
    await readings
      .getByRole('button', { name: /^correct torque/ })
      .first()
      .click();
    await app.type('It should read', '12.5');
    await app.type('How did it go wrong?', 'read off the wrong scale');
    await page.getByRole('button', { name: 'Correct it' }).click();
    await expect(readings).toContainText('corrected');
    await expect(readings).toContainText('struck out: read off the wrong scale');
    await expect(readings).toContainText(/torque 12\.5\sN·m/);
    await app.saved();
  },
);

test(
  'a label in a picture opens its cable; one that is not known is brought in; nonsense is said',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/log');
    const choose = async (buffer: Buffer, name = 'label.png') => {
      await page.getByRole('button', { name: 'Scan a label' }).click();
      await page.getByTestId('label-picture').setInputFiles({ name, mimeType: 'image/png', buffer });
    };
    const picture = (text: string) => QRCode.toBuffer(text, { width: 420 });
    await choose(await picture(HB3));
    await expect(page.getByRole('region', { name: 'Cable HB-3' })).toBeVisible();

    await choose(await picture('https://example.invalid/'));
    const box = page.getByRole('dialog');
    await expect(box.getByRole('alert')).toContainText('not the code of a cable label');
    await page.getByTestId('label-picture').setInputFiles({
      name: 'notes.png',
      mimeType: 'image/png',
      buffer: Buffer.from('no picture at all'),
    });
    await expect(box.getByRole('alert')).toContainText('is no picture that can be read here');
    await box
      .getByRole('textbox', { name: 'Or the text of its code' })
      .fill(HB3.replace('Isolator, M8', 'Barn isolator, M10'));
    await box.getByRole('button', { name: 'Find it in the log' }).click();
    await expect(box).toContainText('is not in this log');
    await box.getByRole('button', { name: 'Import it' }).click();
    await expect(app.field('From, end A')).toHaveValue('Barn isolator');
    await expect(page.getByRole('button', { name: /From labels/ })).toBeVisible();
    await app.saved();
  },
);

test('a job is handed over as one PDF and one zip', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/hut/print/handover');
  await expect(page.getByRole('heading', { name: 'Larkfell, ridge hut' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('PV-2 is not proved');
  await expect(page.locator('.stack-sheet svg')).toHaveCount(1);
  const pdf = await app.handedOver(page.getByRole('button', { name: 'All of it as one PDF' }));
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  const zip = await app.handedOver(page.getByRole('button', { name: 'One zip' }));
  const { files } = await JSZip.loadAsync(zip.bytes);
  for (const name of [
    'index.html',
    'job.json',
    'handover.pdf',
    'due.ics',
    'records/HB-5.pdf',
    'drawings/HB-5.svg',
  ])
    expect(Object.keys(files)).toContain(name);
  const job = JSON.parse((await files['job.json']?.async('string')) ?? '{}') as { hunts?: unknown[] };
  expect(job.hunts).toHaveLength(1);
});

apart(
  'a label held before the camera opens its cable; without a camera it is said',
  { tag: '@page' },
  async ({ page }) => {
    const picture = await QRCode.toBuffer(HB3, { width: 400 });
    const camera = await withCamera(page, {
      ...{ picture, type: 'image/png' },
      ...{ width: 640, height: 480, left: 120, top: 40 },
    });
    const app = new App(page);
    await app.openDemo('/job/hut/log');
    await page.getByRole('button', { name: 'Scan a label' }).click();
    await page.getByRole('button', { name: 'The camera' }).click();
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText('The camera cannot be used here');
    await camera({ denied: false });
    await page.getByRole('button', { name: 'The camera' }).click();
    await expect(page.getByRole('region', { name: 'Cable HB-3' })).toBeVisible();
  },
);

test(
  'a recall lists what a die closed, keeps it from being proved, and is closed cable by cable',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/th3/make');
    // The lot of a drum is entered once, and the next cable that is begun takes it along.
    await app.type('Who is working', 'R. Alder');
    await page.getByText(/^Lots of the material, 0 of/).click();
    await app.type('Lot of cable 70 mm²', '4711');
    await expect(page.getByText(/^Lots of the material, 1 of/)).toBeVisible();
    await app.go('/job/teasel/cable/th4/make');
    await expect(page.getByRole('heading', { name: /^TH-4/ })).toBeAttached();
    await page.locator('main').getByRole('button', { name: /^Done/ }).click();
    await expect(page.getByText(/^Lots of the material, 1 of/)).toBeVisible();

    await app.go('/job/teasel/log');
    await page.getByRole('link', { name: 'Recall' }).click();
    await app.choose(/^By/, /^lot/);
    await app.choose(/^Which one/, '4711');
    const rows = page.getByRole('list', { name: 'Cables affected' }).getByRole('listitem');
    await expect(rows).toHaveCount(1);
    await expect(rows.first()).toContainText('TH-4');

    await app.choose(/^By/, /^instrument/);
    await app.choose(/^Which one/, 'Calliper 150');
    await expect(rows).toHaveCount(6);
    await expect(page.getByText('6 cables affected, 6 of them fitted')).toBeVisible();
    const list = await app.handedOver(page.getByRole('button', { name: 'The list as PDF' }));
    const file = await getDocument({ data: new Uint8Array(list.bytes) }).promise;
    const { items } = await (await file.getPage(1)).getTextContent();
    expect(items.map((item) => ('str' in item ? item.str : '')).join(' ')).toContain(
      'instrument Calliper 150',
    );
    await app.type('From the day', 'yesterday');
    await expect(page.getByText('Write the day as 2027-03-31')).toBeVisible();
    await app.type('From the day', '');

    await page.getByRole('button', { name: /^Open it on all/ }).click();
    await expect(page.getByRole('alert')).toContainText('Enter the cause first.');
    await app.type('Cause of the nonconformance', 'calliper dropped');
    await page.getByRole('button', { name: 'Open it on all 6' }).click();
    await app.field('What was done with HB-1').fill('measured again, sound');
    await page.getByRole('button', { name: 'Close it HB-1' }).click();
    await expect(rows.filter({ hasText: 'HB-1' }).getByRole('button')).toHaveCount(0);
    await rows.filter({ hasText: 'HB-2' }).getByRole('link').click();
    await expect(page.getByText(/^Not proved: nonconformance/i).first()).toBeVisible();
  },
);

test('the lot of a bag is read from its code, of bars or of squares', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th4/make');
  await page.getByText(/^Lots of the material/).click();
  const read = async (bcid: string, text: string) => {
    await page.getByRole('button', { name: /^Read the code of lug A/ }).click();
    const buffer = await bwip.toBuffer({
      bcid,
      text,
      scale: 3,
      paddingwidth: 20,
      paddingheight: 20,
      backgroundcolor: 'FFFFFF',
    });
    await page.getByTestId('label-picture').setInputFiles({ name: 'bag.png', mimeType: 'image/png', buffer });
  };
  await read('gs1-128', '(01)04012345678901(10)L2211');
  const lot = page.getByRole('textbox', { name: /^Lot of lug A/ });
  await expect(lot).toHaveValue('L2211');
  await read('datamatrix', 'B-4711');
  await expect(lot).toHaveValue('B-4711');
  await read('code128', `${'9'.repeat(61)}`);
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('gives no lot');
  await page.keyboard.press('Escape');
  await expect(lot).toHaveValue('B-4711');
});

/** A check crimp of the 70 mm² die that is too wide, written down in the tool case as it is opened from a job. */
async function withABadCheckCrimp(page: Page, job: string): Promise<{ app: App; trials: Locator }> {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/make');
  await app.type('Who is working', 'R. Alder');
  await app.go(`/job/${job}/case?lug=compression-metric-70-m10`);
  const trials = page.getByRole('region', { name: 'Trials', exact: true });
  await app.type('Check crimp, across flats', '14.9');
  await expect(trials).toContainText(/measured 14\.90\smm: this die is held back/);
  return { app, trials };
}

test(
  'a die whose check crimp fails closes nothing, and leads to what it made since its last good one',
  { tag: '@page' },
  async ({ page }) => {
    const { app, trials } = await withABadCheckCrimp(page, 'teasel');
    const crimp = async () => {
      await app.go('/job/teasel/cable/th3/make');
      await page
        .getByRole('list', { name: 'Steps' })
        .getByRole('button', { name: /Crimp A, 1/ })
        .click();
      await page.locator('main').getByRole('button', { name: /^Done/ }).click();
    };
    await trials.getByRole('link', { name: 'Cables made with it since the last good check' }).click();
    await expect(
      page.getByRole('list', { name: 'Cables affected' }).getByRole('link', { name: 'BK-1' }),
    ).toBeVisible();

    await crimp();
    await expect(page.locator('main')).toContainText('this die is held back');
    await expect(page.locator('main')).toContainText('Until it is good, take another die.');

    await app.go('/job/teasel/case?lug=compression-metric-70-m10');
    await app.type('Check crimp, across flats', '14');
    await expect(trials).not.toContainText('held back');
    await crimp();
    await expect(page.locator('main')).not.toContainText('held back');
  },
);

test(
  'a check crimp that fails holds its die back until one is good, and where it is to be pulled until one was',
  { tag: '@page' },
  async ({ page }) => {
    const { app, trials } = await withABadCheckCrimp(page, 'hut');
    await expect(
      trials.getByRole('link', { name: 'Cables made with it since the last good check' }),
    ).toBeVisible();
    await app.type('Check crimp, across flats', '14');
    await expect(trials).not.toContainText('held back');

    // A shop that pulls its check crimps is not content with flats.
    await app.go('/job/hut/practice');
    await page
      .getByRole('region', { name: 'Crimps' })
      .getByRole('button', { name: /with “one”/ })
      .click();
    await expect(page.getByRole('region', { name: 'What it changes' })).toContainText(/−\d+ steps/);
    await page
      .getByRole('radiogroup', { name: 'Check crimps are judged' })
      .getByRole('radio', { name: 'and pulled' })
      .click();
    await app.saved();
    await app.go('/job/hut/case?lug=compression-metric-70-m10');
    await expect(trials).toContainText('this one was not pulled');
    await app.type('Check crimp, pulled with', '1500');
    await app.type('Check crimp, across flats', '14');
    await expect(trials).not.toContainText('held back');
    await expect(trials.getByRole('button', { name: /^Check crimp, pulled/ })).toContainText('passes');
    await expect(app.field('Check crimp, across flats')).toHaveValue('');
  },
);

test('a tool whose own check is overdue closes nothing', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/case?lug=compression-metric-70-m10');
  const trials = page.getByRole('region', { name: 'Trials', exact: true });
  await page.getByRole('tab', { name: 'Dies and tools' }).click();
  const dueDays = page.getByRole('textbox', { name: 'Tool checked until' });
  await expect(dueDays.first()).toBeVisible();
  for (const field of await dueDays.all()) {
    await field.fill('2020-01-01');
    await field.press('Enter');
  }
  await page.getByRole('tab', { name: 'Which die for this lug' }).click();
  await expect(trials).toContainText('The check of its tool was due on 2020-01-01');
});
