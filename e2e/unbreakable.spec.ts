import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { allStored, putStored } from './store.ts';
import { apart, test } from './test.ts';

/** What the page could not catch. */
function watch(page: Page): string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  return errors;
}

test('a die that the lug’s own wall fills is one press, and the page lives', async ({ page }) => {
  const errors = watch(page);
  const app = new App(page);
  await app.openDemo('/job/marrow/cable/ch1/ends');
  await page
    .getByRole('radio', { name: /die A,/ })
    .first()
    .click();
  await expect(app.ledger).toContainText('Compaction, c of A fails');
  await app.stage('Gauge');
  await expect(app.ledger).toContainText('Conductor temperature, continuous');
  await app.go('/job/teasel/case');
  const grid = page.getByRole('grid', { name: 'Lugs against dies' });
  for (const cell of (await grid.getByRole('gridcell', { name: /will not close/ }).all()).slice(0, 40)) {
    await cell.click();
    await expect(page.getByRole('region', { name: 'This die on this lug' })).toContainText('κ');
    if (errors.length > 0) break;
  }
  expect(errors).toEqual([]);
});

test(
  'a cable that cannot be worked up is one red line; the others, undo and export go on',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/th3/run');
    await app.type('To, end B', 'somewhere');
    // The physics itself fails from here on, as a fault of ours would make it.
    await page.evaluate(() => {
      const real = Math.cbrt;
      Object.assign(window, { mend: () => (Math.cbrt = real) });
      Math.cbrt = () => {
        throw new RangeError('broken on purpose');
      };
    });
    await app.type('Continuous', '77');
    const box = page.getByRole('alert').filter({ hasText: 'TH-3 cannot be worked up' });
    await expect(box).toBeVisible();
    await expect(page.getByRole('region', { name: 'Rack' })).toContainText('cannot be worked up');
    const job = await app.handedOver(box.getByRole('button', { name: 'Export this job' }));
    expect(job.bytes.toString()).toContain('"amps": 77');
    // It is mended by the press itself: before it, whatever works the job up again would take the line away.
    await page.evaluate(() =>
      addEventListener('click', (window as unknown as { mend: () => void }).mend, {
        capture: true,
        once: true,
      }),
    );
    await box.getByRole('button', { name: /^Undo the last change/ }).click();
    await expect(box).toBeHidden();
    await expect(app.ledger).toContainText('Current drawn');
    await app.saved();
  },
);

test(
  'a stage that fails says so in its place, with drawing, ledger and rack alive',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.route(/CutStage.*\.js/, (route) => route.abort());
    await app.stage('Cut');
    await expect(page.getByRole('alert').filter({ hasText: 'could not be fetched' })).toContainText(
      'Your work is kept',
    );
    await expect(app.drawing).toBeVisible();
    await expect(app.ledger).toBeVisible();
    await page.unroute(/CutStage.*\.js/);
    await page.getByRole('button', { name: 'Load the page again' }).click();
    await expect(page.getByText('lug A to barrel').first()).toBeVisible();
  },
);

apart(
  'where the last place fails twice, the list of jobs is opened',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await app.cable('BK-1');
    await app.saved();
    await page.addInitScript(() => {
      // The bench cannot be drawn at all.
      const real = SVGElement.prototype.getBoundingClientRect;
      void real;
      Object.defineProperty(window, 'ResizeObserver', {
        get() {
          throw new RangeError('broken on purpose');
        },
      });
    });
    for (const time of ['once', 'twice']) {
      await page.goto('/');
      await expect(page.getByRole('heading', { name: 'This page cannot be shown' }), time).toBeVisible();
    }
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible();
    await expect(page.getByRole('main').getByRole('link', { name: /Teasel/ })).toBeVisible();
  },
);

test(
  'what cannot be read is kept, listed, exported, salvaged, and written over by nothing',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await app.saved();
    const { 'job:hut': hut } = (await allStored(page)) as { 'job:hut': { cables: { tag: unknown }[] } };
    const [, second] = hut.cables;
    if (second) second.tag = 7;
    await putStored(page, 'library', 'job:hut', hut);
    await page.goto('/demo');
    const bar = page.getByRole('alert').filter({ hasText: 'cannot be read here' });
    await expect(bar).toBeVisible();
    // The demo is made anew beside it, and other work is done.
    await app.cable('TH-3');
    await app.saved();
    await bar.getByRole('link', { name: 'Show them' }).click();
    const list = page.getByRole('region', { name: 'Could not be read' });
    await expect(list).toContainText('cable 2, “tag” must be text');
    const asItIs = await app.handedOver(list.getByRole('button', { name: 'Export as it is' }));
    expect(JSON.parse(asItIs.bytes.toString())).toEqual(hut);
    await list.getByRole('button', { name: 'Read what can be read' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Read as far as it can be' })).toBeVisible();
    await expect(list).toContainText('Left out, or set to a limit');
    await app.saved();
    const kept = await allStored(page);
    expect(Object.keys(kept).filter((key) => key.startsWith('job:')).length).toBe(4);
    const aside = Object.values(await allStored(page, 'aside')) as { data: unknown }[];
    expect(aside.map(({ data }) => data)).toEqual([hut]);
    expect(await app.seriousProblems('main')).toEqual([]);
  },
);

apart(
  'a store that cannot be read at the start is asked again, and nothing is written meanwhile',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/th3/run');
    await app.type('To, end B', 'Thruster plus');
    await app.saved();
    const before = JSON.stringify(await allStored(page));
    await page.addInitScript(() => {
      const real = IDBObjectStore.prototype.get;
      IDBObjectStore.prototype.get = function (this: IDBObjectStore, key: IDBValidKey) {
        if (this.name === 'library' && String(key).startsWith('job:') && !('isMended' in window))
          throw new DOMException('unreadable', 'UnknownError');
        return real.call(this, key);
      } as typeof real;
    });
    await page.goto('/demo');
    const main = page.getByRole('main');
    await expect(main).toContainText('could not be read');
    expect(JSON.stringify({ ...(await allStored(page)), writer: JSON.parse(before).writer })).toBe(before);
    await page.evaluate(() => Object.assign(window, { isMended: true }));
    await main.getByRole('button', { name: 'Read it again' }).click();
    await main.getByRole('link', { name: /Teasel/ }).click();
    await app.cable('TH-3');
    await expect(app.field('To, end B')).toHaveValue('Thruster plus');
    await app.type('To, end B', 'Thruster two');
    await app.saved();
  },
);

test(
  'deleting the last job leaves the tool case as it is, and the demo does not come back by itself',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openEmptyJob();
    // The three of the demo, and the empty one.
    for (let left = 4; left > 0; left -= 1) {
      await page.getByRole('button', { name: 'Jobs and files' }).click();
      await page.getByRole('menuitem', { name: 'Delete this job' }).click();
      await expect(page.getByRole('menuitem')).toHaveCount(0);
      await page.waitForTimeout(300);
    }
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible();
    await app.saved();
    const { shop } = await allStored(page);
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Jobs', exact: true })).toBeVisible();
    expect((await allStored(page))['shop']).toEqual(shop);
    expect(await app.seriousProblems('main')).toEqual([]);
  },
);

apart('what is typed and not left yet is there after the page was killed', async ({ page, context }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/run');
  await app.field('To, end B').pressSequentially(' port side');
  await page.waitForTimeout(700);
  const crashed = page.waitForEvent('crash');
  const cdp = await context.newCDPSession(page);
  void cdp.send('Page.crash').catch(() => {});
  await crashed;
  const next = await context.newPage();
  await next.goto('/job/teasel/cable/th3/run');
  const again = new App(next);
  await expect(again.field('To, end B')).toHaveValue(/port side/);
  await expect(next.getByText('Typed earlier but not entered').first()).toBeVisible();
  await again.field('To, end B').press('Enter');
  await again.saved();
  await next.reload();
  await expect(again.field('To, end B')).toHaveValue(/port side/);
  await expect(next.getByText('Typed earlier but not entered')).toHaveCount(0);
});

test(
  'the keyboard is never dropped to the page: after delete, put back and renaming',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    const focused = () => page.evaluate(() => document.activeElement !== document.body);
    await page.getByRole('region', { name: 'Rack' }).getByRole('link', { name: 'BK-1' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Delete');
    await expect(page.getByRole('region', { name: 'Rack' }).getByRole('link', { name: 'BK-1' })).toHaveCount(
      0,
    );
    await expect.poll(focused).toBe(true);
    await app.go('/job/teasel/keeping');
    const back = page.getByRole('button', { name: /^Put back/ });
    await back.focus();
    await page.keyboard.press('Enter');
    await expect(back).toHaveCount(0);
    await expect.poll(focused).toBe(true);
    await page.getByRole('button', { name: 'Jobs and files' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('menuitem', { name: 'Rename this job' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Done' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect.poll(focused).toBe(true);
  },
);

test('a verdict that changes is said to whoever does not see it', async ({ page }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/run');
  const said = page.getByRole('main').locator('[role=status].sr-only').first();
  const before = await said.textContent();
  await app.type('Continuous', '900');
  await expect(said).toContainText('TH-3');
  await expect(said).not.toHaveText(before ?? '');
});
