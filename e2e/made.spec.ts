import { expect } from '@playwright/test';
import { getDocument } from 'unpdf/pdfjs';
import { App } from './app.ts';
import { atTheBench, current, doing, gate, sign } from './makeBench.ts';
import { test } from './test.ts';

test(
  'a cable is made from the first step to the last by keyboard alone, reloaded on the way',
  { tag: '@page' },
  async ({ page }) => {
    test.slow();
    const app = await atTheBench(page, 'en2', 'lay-out');
    await sign(page);
    const count = await page.getByRole('list', { name: 'Steps' }).getByRole('listitem').count();
    for (let i = 0; i < count; i += 1) {
      await expect(doing(page)).toContainText(`Step ${i + 1} of ${count}`);
      // What every single step leaves behind is killed and read back by the slow tests.
      if (i % 4 === 0) {
        await page.reload();
        await expect(doing(page)).toContainText(`Step ${i + 1} of ${count}`);
      }
      await page.keyboard.press(i % 2 === 0 ? 'Space' : 'PageDown');
      if (await gate(page).isVisible()) {
        const list = gate(page).getByRole('button', { name: /All checked for today/ });
        await list.focus();
        await page.keyboard.press('Enter');
        await page.locator('body').click({ position: { x: 4, y: 400 } });
        await page.keyboard.press('Space');
      }
      await app.saved();
    }
    await expect(page.getByRole('heading', { name: 'Every step is done' })).toBeVisible();
    await page.getByRole('link', { name: 'Go to the proof' }).click();
    await expect(page).toHaveURL(/en2\/prove$/);
  },
);

test('a batch goes from cable to cable, one thing after the other', { tag: '@page' }, async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/batch');
  const order = page.getByRole('list', { name: 'Order of work' });
  await expect(order).toContainText('1 Lay out');
  await expect(page.getByRole('region', { name: 'Kit tray' })).toContainText('Lug 70-10 heavy');
  for (const tag of ['TH-1', 'TH-3', 'TH-4', 'EN-1', 'TH-5', 'IN-2', 'SO-2', 'PN-1', 'PN-2', 'BK-2']) {
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
  await app.go('/job/teasel/batch');
  await expect(order.getByRole('link', { name: /TH-2.*by Ada/ }).first()).toBeVisible();
});

test('the traveller prints black on white, on its own', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  const app = new App(page);
  await app.openDemo('/job/teasel/print/traveller/th3');
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
    await page.getByRole('button', { name: 'Look around the example' }).tap();
    await page.goto('/job/teasel/bench/th1?step=strip.A');
    await sign(page);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBeLessThanOrEqual(0);
    for (const label of [/^Done/, /^Back/, /^Something went wrong/]) {
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
  await page.getByRole('button', { name: 'Something went wrong' }).click();
  await expect(page.getByRole('heading', { name: /What went wrong/ })).toBeVisible();
  expect(await app.seriousProblems('[role=dialog]'), 'mishap').toEqual([]);
  await app.go('/job/teasel/batch');
  await expect(page.getByRole('list', { name: 'Order of work' })).toBeVisible();
  expect(await app.seriousProblems('main'), 'batch').toEqual([]);
});

test(
  'a practice piece on a spare lug ends in a trial, and opens the way to the crimp',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'th2', 'lay-out');
    await app.go('/job/marrow/bench/in1?step=lay-out');
    await sign(page);
    await page.getByRole('button', { name: 'Practise on a spare first' }).click();
    await expect(current(page)).toContainText('Try: Strip A');
    await expect(page.getByRole('button', { name: 'Something went wrong' })).toBeHidden();
    for (const step of [
      'Strip A',
      'Strands A',
      'Push home A',
      'Crimp A, 1',
      'Crimp A, 2',
      'File and tug-test A',
    ]) {
      await expect(current(page)).toContainText(`Try: ${step}`);
      await page.keyboard.press('Space');
    }
    await expect(doing(page)).toContainText('Write the trial down');
    await page.keyboard.press('Space');
    await expect(page.getByRole('alert')).toHaveText(
      'Enter the across flats and the ears of the trial; with no ears, enter 0.',
    );
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
    expect(shop.trials.at(-1)).toMatchObject({
      acrossFlatsMm: 10.45,
      earsMm: 0.2,
      by: 'Ada',
      source: 'typed',
    });
    const own = job.cables.find(({ id }) => id === 'in1');
    // A practice piece is no reading of the cable.
    expect(own?.readings).toEqual([]);
    expect(own?.done.map(({ step }) => step)).toContain('practise-trial.A');
  },
);

test(
  'two people change hands with two touches, and what takes its time says how long',
  { tag: '@page' },
  async ({ page }) => {
    const app = await atTheBench(page, 'th1', 'strip.A');
    await sign(page);
    await page.getByRole('button', { name: /Change person/ }).click();
    await page.getByRole('menuitem', { name: 'R. Alder' }).click();
    await expect(page.locator('body')).toBeFocused();
    await page.keyboard.press('Space');
    await expect(current(page)).toContainText('Strands A');
    await app.go('/job/teasel/bench/th1?step=shrink.A');
    await page.getByRole('button', { name: /^about \d:\d\d/ }).click();
    await expect(page.getByRole('dialog')).toContainText('Until the barrel under it is at 120 °C');
    await expect(page.getByRole('dialog')).toContainText('confidence low');
    await page.keyboard.press('Escape');
    await app.go('/job/teasel/batch');
    await expect(page.getByRole('list', { name: 'Order of work' })).toContainText('by R. Alder');
  },
);
