import { expect, type Page, test } from '@playwright/test';
import { PNG } from 'pngjs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { App } from './app.ts';

/** The demo, at the bench with a cable, at one of its steps. */
async function atTheBench(page: Page, cableId: string, step: string): Promise<App> {
  const app = new App(page);
  await app.openDemo();
  await page.goto(`/job/teasel/bench/${cableId}?step=${step}`);
  await expect(page.getByRole('region', { name: 'What to do' })).toBeVisible();
  return app;
}
const doing = (page: Page) => page.getByRole('region', { name: 'What to do' });
const gate = (page: Page) => page.getByRole('region', { name: 'Gate' });
const current = (page: Page) => page.getByRole('list', { name: 'Steps' }).locator('[aria-current="step"]');
async function sign(page: Page): Promise<void> {
  await page.getByLabel('Who is working').fill('Ada');
  await page.getByLabel('Who is working').press('Tab');
  await page.locator('body').click({ position: { x: 4, y: 400 } });
}

test('a crimp asks for the layers and the strands first, and a name before all', async ({ page }) => {
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
});

test('a gate is gone past with a reason, and the reason stays', async ({ page }) => {
  const app = await atTheBench(page, 'th2', 'crimp-1.A');
  await sign(page);
  await page.keyboard.press('Space');
  await gate(page).getByRole('button', { name: 'Go past it, with a reason' }).click();
  await gate(page)
    .getByRole('button', { name: /^Go past, and/ })
    .click();
  await expect(page.getByRole('alert')).toContainText('Say why');
  await gate(page).getByLabel('Why it may be gone past').fill('sleeve passes over the palm');
  await gate(page)
    .getByRole('button', { name: /^Go past, and/ })
    .click();
  await expect(gate(page)).toBeHidden();
  await page.getByRole('link', { name: /All steps/ }).click();
  expect(await app.exported()).toContain('sleeve passes over the palm');
});

test('no sleeve is shrunk before the hot-work list of the day, which counts for all of the job', async ({
  page,
}) => {
  const app = await atTheBench(page, 'en1', 'shrink.A');
  await sign(page);
  await page.keyboard.press('Space');
  await expect(gate(page)).toContainText('No fuel vapour');
  await gate(page)
    .getByRole('button', { name: /gone through, for today/ })
    .click();
  await expect(gate(page)).not.toContainText('No fuel vapour');
  await expect(gate(page)).toContainText('ears filed, flats kept');
  await app.saved();
  await page.goto('/job/teasel/bench/th1?step=shrink.A');
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
  await page.getByRole('button', { name: /I know/ }).click();
  await expect.poll(size).toBeLessThan(18);
});

test('a figure is judged as it is typed, kept as a reading, and Space goes on', async ({ page }) => {
  const app = await atTheBench(page, 'en1', 'crimp-2.A');
  await sign(page);
  const flats = page.getByLabel('Open the die, then measure across flats');
  await flats.fill('wide');
  await expect(page.getByText('is no figure')).toBeVisible();
  await flats.fill('12,9');
  await expect(page.getByText('the die did not shut')).toBeVisible();
  await flats.fill('12.2');
  await expect(page.getByText('under the limit')).toBeVisible();
  await page.getByRole('button', { name: 'More' }).click();
  await expect(flats).toHaveValue('12.21');
  await flats.press('Space');
  await expect(current(page)).toContainText('File, tug A');
  await app.saved();
  await page.reload();
  await expect(current(page)).toContainText('File, tug A');
  await page.keyboard.press('Backspace');
  await expect(current(page)).toContainText('Crimp A, 2');
  await page.keyboard.press('Escape');
  expect(await app.exported()).toMatch(/"check": "across-flats",\s+"end": "A",\s+"valueMm": 12\.21/);
});

test('a figure that fails asks for the way out: close again, cut back, or a new piece', async ({ page }) => {
  const app = await atTheBench(page, 'en1', 'crimp-2.A');
  await sign(page);
  await page.getByLabel('Open the die, then measure across flats').fill('12.9');
  await page.getByRole('button', { name: /^Done/ }).click();
  const box = page.getByRole('dialog');
  await expect(box).toContainText('Do this step again');
  await box.getByRole('button', { name: 'wrong die' }).click();
  await expect(box).not.toContainText('Do this step again');
  await expect(box).toContainText(/of the service loop 41 mm stay/);
  await box.getByRole('button', { name: /Do this\s*: Cut end A off/ }).click();
  await expect(current(page)).toContainText('Strip A');
  await page.keyboard.press('Escape');
  await app.stage('Cut');
  await expect(app.field('Service loop')).toHaveValue('41');
  const file = await app.exported();
  expect(file).toContain('"way": "cut back"');
  expect(file).toContain('"what": "wrong die"');
});

/** A picture larger than is kept, as a camera would give it. */
function picture(): Buffer {
  const png = new PNG({ width: 2400, height: 1200 });
  for (let i = 0; i < png.data.length; i += 4) png.data.set([180, 110 + ((i / 4) % 90), 60, 255], i);
  return PNG.sync.write(png);
}

test('a photograph is made small, stays with its step, and goes along in the file', async ({ page }) => {
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
  // Elsewhere, where this browser has never seen it.
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

test('the bench, the batch and the traveller are found by typing what is wanted', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  for (const [words, url] of [
    ['at the bench', /\/bench\//],
    ['several cables', /\/batch$/],
  ] as const) {
    await page.goto('/job/teasel/cable/th3/make');
    await expect(app.ledger).toBeVisible();
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox').fill(words);
    await page.getByRole('option').first().click();
    await expect(page).toHaveURL(url);
  }
});

test('two cables are in progress: one is turned to while the other waits', async ({ page }) => {
  await atTheBench(page, 'en1', 'crimp-2.A');
  await expect(page.getByRole('button', { name: /TH-1.*3 of 19/ })).toBeVisible();
  await page.keyboard.press('o');
  await expect(page.getByRole('heading', { name: 'TH-1 at the bench' })).toBeAttached();
  await expect(current(page)).toContainText('Strip A');
  await page.keyboard.press('o');
  await expect(page.getByRole('heading', { name: 'EN-1 at the bench' })).toBeAttached();
});

test('a cable is made from the first step to the last by keyboard alone, reloaded at every step', async ({
  page,
}) => {
  test.slow();
  const app = await atTheBench(page, 'en2', 'lay-out');
  await sign(page);
  const count = await page.getByRole('list', { name: 'Steps' }).getByRole('listitem').count();
  for (let i = 0; i < count; i += 1) {
    await expect(doing(page)).toContainText(`Step ${i + 1} of ${count}`);
    await page.reload();
    await expect(doing(page)).toContainText(`Step ${i + 1} of ${count}`);
    await page.keyboard.press(i % 2 === 0 ? 'Space' : 'PageDown');
    if (await gate(page).isVisible()) {
      const list = gate(page).getByRole('button', { name: /gone through, for today/ });
      await list.focus();
      await page.keyboard.press('Enter');
      await page.locator('body').click({ position: { x: 4, y: 400 } });
      await page.keyboard.press('Space');
    }
    await app.saved();
  }
  await expect(page.getByRole('heading', { name: 'Every step is done' })).toBeVisible();
  await page.getByRole('link', { name: 'To the proof' }).click();
  await expect(page).toHaveURL(/en2\/prove$/);
});

test('a batch goes from cable to cable, one thing after the other', async ({ page }) => {
  const app = new App(page);
  await app.openDemo();
  await page.goto('/job/teasel/batch');
  const order = page.getByRole('list', { name: 'Order of work' });
  await expect(order).toContainText('1 Lay out');
  await expect(page.getByRole('region', { name: 'Kit tray' })).toContainText('Lug 70-10 heavy');
  for (const tag of ['TH-1', 'TH-3', 'TH-4', 'EN-1']) {
    await page.getByRole('switch', { name: tag, exact: true }).click();
  }
  await expect(page.getByRole('heading', { name: '2 cables at once' })).toBeVisible();
  await page.getByRole('link', { name: /To the bench, TH-2/ }).click();
  await sign(page);
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'EN-2 at the bench' })).toBeAttached();
  await expect(current(page)).toContainText('Lay out');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'TH-2 at the bench' })).toBeAttached();
  await expect(current(page)).toContainText('Cut');
  await app.saved();
  await page.goto('/job/teasel/batch');
  await expect(order.getByRole('link', { name: /TH-2.*by Ada/ }).first()).toBeVisible();
});

test('the traveller prints black on white, on its own', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  const app = new App(page);
  await app.openDemo();
  await page.goto('/job/teasel/print/traveller/th3');
  await expect(page.getByRole('heading', { name: 'Traveller TH-3' })).toBeVisible();
  await expect(page.getByRole('table')).toContainText('13.76 to 14.14');
  await expect(page.locator('main')).toContainText('No fuel vapour');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.locator('main')).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  for (const format of ['A4', 'Letter']) {
    const data = new Uint8Array(await page.pdf({ format }));
    expect((await getDocument({ data, verbosity: 0 }).promise).numPages).toBeLessThanOrEqual(2);
  }
});

for (const [name, viewport] of [
  ['a phone', { width: 390, height: 844 }],
  ['a tablet', { width: 820, height: 1180 }],
] as const) {
  test(`${name} at the bench: nothing runs off, targets are for gloves, and touch goes on`, async ({
    browser,
  }) => {
    const context = await browser.newContext({ viewport, hasTouch: true });
    const page = await context.newPage();
    await page.goto('/demo');
    await page.getByRole('button', { name: 'Look round' }).tap();
    await page.goto('/job/teasel/bench/th1?step=strip.A');
    await sign(page);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
    for (const label of [/^Done/, /^Back/, /^It went wrong/]) {
      const box = await page.getByRole('button', { name: label }).boundingBox();
      expect(box?.height ?? 0).toBeGreaterThanOrEqual(56);
    }
    await page.getByRole('button', { name: /^Done/ }).tap();
    await expect(current(page)).toContainText('Strands A');
    await context.close();
  });
}

test('axe finds nothing serious at the bench and in a batch', async ({ page }) => {
  const app = await atTheBench(page, 'en1', 'crimp-2.A');
  expect(await app.seriousProblems(), 'bench').toEqual([]);
  await page.getByRole('button', { name: 'It went wrong' }).click();
  await expect(page.getByRole('heading', { name: /What went wrong/ })).toBeVisible();
  expect(await app.seriousProblems('[role=dialog]'), 'mishap').toEqual([]);
  await page.goto('/job/teasel/batch');
  await expect(page.getByRole('list', { name: 'Order of work' })).toBeVisible();
  expect(await app.seriousProblems('main'), 'batch').toEqual([]);
});

test('a practice piece on a spare lug ends in a trial, and opens the way to the crimp', async ({ page }) => {
  const app = await atTheBench(page, 'th2', 'lay-out');
  await page.goto('/job/marrow/bench/in1?step=lay-out');
  await sign(page);
  await page.getByRole('button', { name: 'Practise on a spare first' }).click();
  await expect(current(page)).toContainText('Try: Strip A');
  await expect(page.getByRole('button', { name: 'It went wrong' })).toBeHidden();
  for (const step of ['Strip A', 'Strands A', 'Home A', 'Crimp A, 1', 'Crimp A, 2', 'File, tug A']) {
    await expect(current(page)).toContainText(`Try: ${step}`);
    await page.keyboard.press('Space');
  }
  await expect(doing(page)).toContainText('Write the trial down');
  await page.keyboard.press('Space');
  await expect(page.getByRole('alert')).toHaveText('A trial needs its flats and its ears; no ears is 0.');
  await app.saved();
  await page.reload();
  await app.type('Across flats, the worst', '10.45');
  await app.type('Ears before filing', '0,2');
  await page.getByRole('button', { name: /^Done/ }).click();
  await expect(current(page)).toContainText('Lay out');
  await expect(page.getByRole('button', { name: 'Practise on a spare first' })).toBeHidden();
  await page.keyboard.press('Escape');
  const file = await app.exported();
  const { shop, job } = JSON.parse(file) as {
    shop: { trials: { acrossFlatsMm: number; earsMm: number; by: string; source: string }[] };
    job: { cables: { id: string; readings: unknown[]; done: { step: string }[] }[] };
  };
  expect(shop.trials.at(-1)).toMatchObject({ acrossFlatsMm: 10.45, earsMm: 0.2, by: 'Ada', source: 'typed' });
  const own = job.cables.find(({ id }) => id === 'in1');
  // A practice piece is no reading of the cable.
  expect(own?.readings).toEqual([]);
  expect(own?.done.map(({ step }) => step)).toContain('practise-trial.A');
});

test('two people change hands with two touches, and what takes its time says how long', async ({ page }) => {
  await atTheBench(page, 'th1', 'strip.A');
  await sign(page);
  await page.getByRole('button', { name: /Change hands/ }).click();
  await page.getByRole('menuitem', { name: 'R. Alder' }).click();
  await expect(page.locator('body')).toBeFocused();
  await page.keyboard.press('Space');
  await expect(current(page)).toContainText('Strands A');
  await page.goto('/job/teasel/bench/th1?step=shrink.A');
  await page.getByRole('button', { name: /^of about \d:\d\d/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Until the barrel under it is at 120 °C');
  await expect(page.getByRole('dialog')).toContainText('confidence low');
  await page.keyboard.press('Escape');
  await page.goto('/job/teasel/batch');
  await expect(page.getByRole('list', { name: 'Order of work' })).toContainText('by R. Alder');
});
