import { expect } from '@playwright/test';
import { PNG } from 'pngjs';
import { App } from './app.ts';
import { atTheBench, current, doing, gate, sign } from './makeBench.ts';
import { test } from './test.ts';

test(
  'a crimp asks for the layers and the strands first, and a name before all',
  { tag: '@page' },
  async ({ page }) => {
    await atTheBench(page, 'th2', 'crimp-1.A');
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect(page.getByRole('alert')).toHaveText('Who is working?');
    // A slow hand: the clock on the page must not take the letters away.
    await page.getByLabel('Who is working').pressSequentially('Ada', { delay: 900 });
    await page.getByLabel('Who is working').press('Enter');
    await expect(page.getByLabel('Who is working')).toBeHidden();
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect(gate(page)).toContainText('layers are on the cable');
    await expect(gate(page)).toContainText('every strand is home');
    await gate(page).getByRole('button', { name: 'Layers on' }).click();
    await expect(current(page)).toContainText('Layers on');
    await expect(doing(page)).toContainText('then 19/6 heat shrink');
  },
);

test(
  'what the work itself asks cannot be gone past; a judgement can, with a reason that stays',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'th2', 'crimp-1.A');
    await sign(page);
    await page.keyboard.press('Space');
    await expect(gate(page)).toContainText('layers are on the cable');
    await expect(gate(page).getByRole('button', { name: 'Override with a reason' })).toBeHidden();
    await app.saved();
    await app.go('/job/teasel/bench/th2?step=cut');
    await expect(doing(page)).toBeVisible();
    await page.keyboard.press('Space');
    await expect(gate(page)).toContainText('measured where it will lie');
    await gate(page).getByRole('button', { name: 'Override with a reason' }).click();
    await gate(page)
      .getByRole('button', { name: /^Override and/ })
      .click();
    await expect(page.getByRole('alert')).toContainText('Enter why');
    await gate(page).getByLabel('Why it may be overridden').fill('cut to the old cable');
    await gate(page)
      .getByRole('button', { name: /^Override and/ })
      .click();
    await expect(gate(page)).toBeHidden();
    await page.getByRole('link', { name: /All steps/ }).click();
    expect(await app.exported()).toContain('cut to the old cable');
  },
);

test('a die that will not close stops the steps, with the way out and no way past', async ({ page }) => {
  const app = await atTheBench(page, 'th3', 'lay-out');
  await app.go('/job/teasel/cable/th3/ends');
  await page
    .getByRole('region', { name: 'End B' })
    .getByRole('radio', { name: /die 70, .*will not close/ })
    .click();
  await app.saved();
  await app.go('/job/teasel/bench/th3?step=crimp-1.B');
  await sign(page);
  await page.keyboard.press('Space');
  await expect(gate(page)).toContainText('it will not close on so much copper');
  await expect(gate(page)).toContainText('Solution Take the next wider die');
  await expect(gate(page).getByRole('button', { name: /Override/ })).toBeHidden();
  await gate(page).getByRole('link', { name: 'To Ends' }).click();
  await expect(page).toHaveURL(/th3\/ends$/);
});

test(
  'a burnt sleeve: a new one from the free end asks for the layers again, and only for those',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'en1', 'shrink.A');
    await sign(page);
    await page.getByRole('button', { name: 'Something went wrong' }).click();
    await page.getByRole('button', { name: 'sleeve split or burnt' }).click();
    const ways = page.getByRole('dialog');
    await expect(ways).toContainText('Bring a wide one on over the palm');
    await ways.getByRole('button', { name: /Do this\s*: Slide one along from end B/ }).click();
    await expect(current(page)).toContainText('Layers on');
    await app.saved();
    const steps = page.getByRole('list', { name: 'Steps' });
    await expect(steps.getByRole('button', { name: /Crimp A, 1.*done/ })).toBeVisible();
    // Nothing at B goes on without it.
    await app.go('/job/teasel/bench/en1?step=crimp-1.B');
    await expect(doing(page)).toBeVisible();
    await page.keyboard.press('Space');
    await expect(gate(page)).toContainText('layers are on the cable');
  },
);

test('no sleeve is shrunk before the hot-work list of the day, which counts for all of the job', async ({
  page,
}) => {
  const app = await atTheBench(page, 'en1', 'shrink.A');
  await sign(page);
  await page.keyboard.press('Space');
  await expect(gate(page)).toContainText('No fuel vapour');
  await gate(page)
    .getByRole('button', { name: /All checked for today/ })
    .click();
  await expect(gate(page)).not.toContainText('No fuel vapour');
  await expect(gate(page)).toContainText('ears filed, flats kept');
  await app.saved();
  await app.go('/job/teasel/bench/th1?step=shrink.A');
  await expect(doing(page)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(gate(page)).toBeVisible();
  await expect(gate(page)).not.toContainText('No fuel vapour');
});

test('a caution is large until it is known for the day', async ({ page }) => {
  await atTheBench(page, 'en1', 'crimp-2.A');
  const caution = page.getByText('Fingers out, eyes covered', { exact: false }).last();
  const size = () => caution.evaluate((element) => parseFloat(getComputedStyle(element).fontSize));
  expect(await size()).toBeGreaterThan(20);
  await page.getByRole('button', { name: /Understood/ }).click();
  await expect.poll(size).toBeLessThan(18);
});

test(
  'a figure is judged as it is typed, kept as a reading, and Space goes on',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'en1', 'crimp-2.A');
    await sign(page);
    const flats = page.getByLabel('Open the die, then measure across flats');
    await flats.fill('wide');
    await expect(page.getByText('is not a number')).toBeVisible();
    await flats.fill('12,9');
    await expect(page.getByText('Larger than the die')).toBeVisible();
    await flats.fill('12.2');
    await expect(page.getByText('under the limit')).toBeVisible();
    await page.getByRole('button', { name: 'More' }).click();
    await expect(flats).toHaveValue('12.21');
    await flats.press('Space');
    await expect(current(page)).toContainText('File and tug-test A');
    await app.saved();
    await page.reload();
    await expect(current(page)).toContainText('File and tug-test A');
    await page.keyboard.press('Backspace');
    await expect(current(page)).toContainText('Crimp A, 2');
    await page.keyboard.press('Escape');
    expect(await app.exported()).toMatch(
      /"check": "across-flats",\s+"end": "A",\s+"crimp": 1,\s+"valueMm": 12\.21/,
    );
  },
);

test(
  'a figure that fails asks for the way out: close again, cut back, or a new piece',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'en1', 'crimp-2.A');
    await sign(page);
    await page.getByLabel('Open the die, then measure across flats').fill('12.9');
    await page.getByRole('button', { name: /^Done/ }).click();
    const box = page.getByRole('dialog');
    await expect(box).toContainText('Do this step again');
    await box.getByRole('button', { name: 'wrong die' }).click();
    await expect(box).not.toContainText('Do this step again');
    await expect(box).toContainText(/of the service loop 41\smm stay/);
    await box.getByRole('button', { name: /Do this\s*: Cut end A off/ }).click();
    await expect(current(page)).toContainText('Strip A');
    await page.keyboard.press('Escape');
    await app.stage('Cut');
    await expect(app.field('Service loop')).toHaveValue('41');
    const file = await app.exported();
    expect(file).toContain('"way": "cut back"');
    expect(file).toContain('"what": "wrong die"');
  },
);

/** A picture larger than is kept, as a camera would give it. */
function picture(): Buffer {
  const png = new PNG({ width: 2400, height: 1200 });
  for (let i = 0; i < png.data.length; i += 4) png.data.set([180, 110 + ((i / 4) % 90), 60, 255], i);
  return PNG.sync.write(png, { filterType: 0, deflateLevel: 1 });
}

test(
  'a photograph is made small, stays with its step, and goes along in the file',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'en1', 'crimp-2.A');
    const field = page.getByLabel('Photograph', { exact: true });
    await field.setInputFiles({
      name: 'no.png',
      mimeType: 'image/png',
      buffer: Buffer.from('<svg onload=alert(1)>'),
    });
    await expect(page.getByRole('alert')).toContainText('is no picture that can be read here');
    await field.setInputFiles({ name: 'crimp.png', mimeType: 'image/png', buffer: picture() });
    await expect(page.getByText('1 kept')).toBeVisible();
    await expect(page.getByRole('img', { name: /^Photograph of/ })).toBeVisible();
    await app.saved();
    await page.reload();
    await expect(page.getByRole('img', { name: /^Photograph of/ })).toBeVisible();
    await page.getByRole('link', { name: /All steps/ }).click();
    const file = await app.exported();
    const { job, photos } = JSON.parse(file) as {
      job: { id: string; cables: { id: string; photos: { id: string; widthPx: number; step: string }[] }[] };
      photos: Record<string, string>;
    };
    const [photo] = job.cables.find(({ id }) => id === 'en1')?.photos ?? [];
    expect(photo).toMatchObject({ widthPx: 1600, heightPx: 800, step: 'crimp-2.A' });
    expect(Buffer.from(photos[photo?.id ?? ''] ?? '', 'base64').subarray(0, 3)).toEqual(
      Buffer.from([0xff, 0xd8, 0xff]),
    );
  },
);

test('a photograph comes along in a file to a browser that has never seen it', async ({ page }) => {
  const app = await atTheBench(page, 'en1', 'crimp-2.A');
  await page
    .getByLabel('Photograph', { exact: true })
    .setInputFiles({ name: 'crimp.png', mimeType: 'image/png', buffer: picture() });
  await expect(page.getByText('1 kept')).toBeVisible();
  await app.saved();
  await page.getByRole('link', { name: /All steps/ }).click();
  const file = await app.exported();
  const other = await page.context().browser()?.newContext();
  const there = await other?.newPage();
  if (!there) throw new Error('no other browser');
  const away = new App(there);
  await away.openEmptyJob();
  await away.import(file);
  await away.cable('EN-1');
  await there.goto(there.url().replace(/cable\/en1\/\w+$/, 'bench/en1?step=crimp-2.A'));
  await expect(there.getByRole('img', { name: /^Photograph of/ })).toBeVisible();
  await other?.close();
});

test(
  'the bench, the batch and the traveller are found by typing what is wanted',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    for (const [words, url] of [
      ['at the bench', /\/bench\//],
      ['several cables', /\/batch$/],
    ] as const) {
      await app.go('/job/teasel/cable/th3/make');
      await expect(app.ledger).toBeVisible();
      await page.keyboard.press('Control+k');
      await page.getByRole('combobox').fill(words);
      await page.getByRole('option').first().click();
      await expect(page).toHaveURL(url);
    }
  },
);

test(
  'two cables are in progress: one is turned to while the other waits',
  { tag: '@page' },
  async ({ page }) => {
    await atTheBench(page, 'en1', 'crimp-2.A');
    await expect(page.getByRole('button', { name: /TH-1.*3 of 19/ })).toBeVisible();
    await page.keyboard.press('o');
    await expect(page.getByRole('heading', { name: 'TH-1 at the bench' })).toBeAttached();
    await expect(current(page)).toContainText('Strip A');
    await page.keyboard.press('o');
    await expect(page.getByRole('heading', { name: 'EN-1 at the bench' })).toBeAttached();
  },
);
