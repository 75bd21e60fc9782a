import { expect, type Page } from '@playwright/test';
import { App } from './app.ts';
import { apart, test } from './test.ts';

/** Everything the browser keeps of jobs, hunts, bin and shop, as it is stored. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('gruff-anchor');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const store = opening.result.transaction('library').objectStore('library');
          const [keys, values] = [store.getAllKeys(), store.getAll()];
          values.onsuccess = () => {
            const entries = keys.result.map((key, i) => [String(key), values.result[i]] as const);
            opening.result.close();
            resolve(JSON.stringify(entries.filter(([key]) => key !== 'prefs' && key !== 'writer').sort()));
          };
        };
      }),
  );

/** The ids of the pictures in this browser; one more is put there first where it is named. */
const pictures = (page: Page, stray?: string) =>
  page.evaluate(
    (id) =>
      new Promise<string[]>((resolve, reject) => {
        const opening = indexedDB.open('gruff-anchor');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const store = opening.result.transaction('photos', 'readwrite').objectStore('photos');
          if (id !== undefined) store.put(new Blob(['stray']), id);
          const keys = store.getAllKeys();
          keys.onsuccess = () => {
            opening.result.close();
            resolve(keys.result.map(String).sort());
          };
        };
      }),
    stray,
  );

apart('a tab that is killed loses at most the last half second', async ({ page, context }) => {
  const app = new App(page);
  await app.openDemo('/job/teasel/cable/th3/run');
  await app.type('To, end B', 'Thruster plus');
  await page.waitForTimeout(500);
  const cdp = await context.newCDPSession(page);
  // A crash tells nobody: no pagehide, nothing is flushed.
  const crashed = page.waitForEvent('crash');
  void cdp.send('Page.crash').catch(() => {});
  await crashed;
  const next = await context.newPage();
  await next.goto('/job/teasel/cable/th3/run');
  await expect(new App(next).field('To, end B')).toHaveValue('Thruster plus');
});

test(
  'of two tabs one writes and the other follows, until it is told to work there',
  { tag: '@journey' },
  async ({ page, context }) => {
    const first = new App(page);
    await first.openDemo('/job/teasel/cable/th3/run');
    const other = await context.newPage();
    const second = new App(other);
    await other.goto('/job/teasel/cable/th3/run');
    const bar = other.getByRole('status').filter({ hasText: 'another tab' });
    await expect(bar).toContainText('this one is read-only');
    await first.type('To, end B', 'Thruster one');
    await first.saved();
    await expect(second.field('To, end B')).toHaveValue('Thruster one');
    await second.type('To, end B', 'Thruster two');
    await expect(bar).toContainText('Nothing was changed');
    await expect(first.field('To, end B')).toHaveValue('Thruster one');

    await bar.getByRole('button', { name: 'Work here instead' }).click();
    await expect(bar).toBeHidden();
    await expect(page.getByRole('status').filter({ hasText: 'another tab' })).toBeVisible();
    await second.type('To, end B', 'Thruster three');
    await second.saved();
    await expect(first.field('To, end B')).toHaveValue('Thruster three');
    await other.close();
    await expect(page.getByRole('status').filter({ hasText: 'another tab' })).toBeHidden();
    await first.type('To, end B', 'Thruster four');
    await first.saved();
  },
);

/** Puts a backup back, and waits until it is all there. */
async function putBack(on: Page, backup: Buffer): Promise<void> {
  await on.getByTestId('backup-file').setInputFiles({
    name: 'backup.zip',
    mimeType: 'application/zip',
    buffer: backup,
  });
  await on.getByRole('button', { name: 'Replace everything here' }).click();
  await expect(on.getByRole('status').filter({ hasText: 'exactly what the backup held' })).toBeVisible();
}
const backedUp = async (app: App): Promise<Buffer> =>
  (await app.handedOver(app.page.getByRole('button', { name: 'Make a backup' }))).bytes;

test(
  'a backup of everything is restored exactly into a browser that was used on',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/hut/keeping');
    expect(await app.seriousProblems('main')).toEqual([]);
    await app.saved();
    const before = await stored(page);
    const backup = await backedUp(app);
    await expect(page.getByRole('status').filter({ hasText: 'The backup is made' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Backup' })).toContainText('0 days old');

    await page.getByTestId('backup-file').setInputFiles({
      name: 'notes.zip',
      mimeType: 'application/zip',
      buffer: Buffer.from('no zip'),
    });
    await expect(page.getByRole('alert')).toContainText('This is no backup');

    await app.go('/job/hut/cable/hb1/run');
    await app.type('To, end B', 'somewhere else');
    await app.saved();
    const kept = await pictures(page);
    expect(await pictures(page, 'stray')).toContain('stray');
    await app.go('/job/hut/keeping');
    await putBack(page, backup);
    expect(await stored(page)).toBe(before);
    expect(await pictures(page)).toEqual(kept);
  },
);

test('a backup of everything is restored exactly into an empty browser', async ({ page, browser }) => {
  const app = new App(page);
  await app.openDemo('/job/hut/keeping');
  await app.saved();
  const before = await stored(page);
  const backup = await backedUp(app);
  const fresh = await (await browser.newContext()).newPage();
  await fresh.goto('/keeping');
  await putBack(fresh, backup);
  expect(await stored(fresh)).toBe(before);
  await fresh.context().close();
});

test(
  'what is deleted lies in the bin, and an earlier version can be had back',
  { tag: '@page' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo('/job/teasel/cable/th3/run');
    await app.type('To, end B', 'Thruster plus');
    await app.saved();
    await page.getByRole('heading', { name: 'Rack' }).click();
    await page.keyboard.press('Delete');
    await app.saved();
    await app.go('/job/teasel/keeping');
    const bin = page.getByRole('region', { name: 'Bin' });
    await expect(bin).toContainText('TH-3, Teasel');
    await bin.getByRole('button', { name: /Put back TH-3/ }).click();
    await expect(page.getByRole('region', { name: 'Rack' }).getByText('15 cables')).toBeVisible();
    const versions = page.getByRole('region', { name: 'Earlier versions' });
    await versions
      .getByRole('button', { name: /^Restore/ })
      .first()
      .click();
    await expect(page.getByRole('status').filter({ hasText: 'is as it was on' })).toBeVisible();
    await app.go('/job/teasel/cable/th3/run');
    await expect(app.field('To, end B')).toHaveValue('Thruster +');
    await app.saved();
  },
);

apart(
  'a store that another tab holds is waited for, and that is said',
  { tag: '@journey' },
  async ({ page, context }) => {
    // A tab that does not answer, from before anything was kept here.
    const other = await context.newPage();
    await other.goto('/anchor.svg');
    await other.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const opening = indexedDB.open('gruff-anchor');
          opening.onerror = () => reject(new Error('no store'));
          opening.onsuccess = () => {
            Object.assign(window, { held: opening.result });
            resolve();
          };
        }),
    );
    await page.goto('/');
    await expect(page.getByText('Close other tabs of Gruff Anchor, or wait: nothing is lost.')).toBeVisible();
    await other.evaluate(() => (window as unknown as { held: IDBDatabase }).held.close());
    await expect(page.getByRole('textbox', { name: 'The cable in one line' })).toBeVisible();
    await expect(page.getByText('Close other tabs of Gruff Anchor')).toBeHidden();
  },
);

apart('a store that is full says so, and a backup can still be made', { tag: '@page' }, async ({ page }) => {
  // This browser does not hold IndexedDB to the quota its protocol sets: so the store itself refuses, as a full one does.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given: Parameters<typeof put>) {
      if ('isFull' in window) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, given);
    };
  });
  const app = new App(page);
  await app.openDemo();
  await page.evaluate(() => Object.assign(window, { isFull: true }));
  await app.go('/job/teasel/cable/th3/run');
  await app.type('To, end B', 'Thruster plus');
  const bar = page.getByRole('alert').filter({ hasText: 'is full' });
  await expect(bar).toContainText('Export your jobs or make a backup');
  const { bytes } = await app.handedOver(bar.getByRole('button', { name: 'Make a backup file' }));
  expect(bytes.subarray(0, 2).toString()).toBe('PK');
  await page.evaluate(() => Reflect.deleteProperty(window, 'isFull'));
  await bar.getByRole('button', { name: 'Try again' }).click();
  await expect(bar).toBeHidden();
  await app.saved();
});

apart(
  'where nothing may be stored it is said at once, everything works, and export does',
  async ({ page }) => {
    await page.addInitScript(() => {
      const refuse = () => {
        throw new DOMException('denied', 'SecurityError');
      };
      Object.defineProperty(window, 'indexedDB', { get: refuse });
      Object.defineProperty(window, 'localStorage', { get: refuse });
    });
    const app = new App(page);
    await page.goto('/demo');
    await page.getByRole('button', { name: 'Look around the example' }).click();
    await expect(page.getByRole('alert').first()).toContainText(/keeps nothing here|could not save/);
    await expect(app.ledger).toBeVisible();
    expect(JSON.parse(await app.exported())).toMatchObject({ format: 'gruff-anchor-job' });
  },
);
