import { type BrowserContext, type Page, test as alone } from '@playwright/test';

/** With a browser context of its own: for a language, a window or a cache that no other test has. */
export { alone };

interface PerWorker {
  readonly shared: BrowserContext;
  /** The page that tests are given one after the other; made anew where a test closed it. */
  readonly lasting: { page: Page | null };
}

/** The least that can be opened of the application's own address: from there its store can be reached. */
export const BARE = '/anchor.svg';

async function emptied(page: Page, origin: string): Promise<void> {
  // Not to a blank page: another address would be opened by another process.
  await page.goto(BARE);
  const session = await page.context().newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  await session.detach();
}

/**
 * In a page of its own, of a browser that others were in before: for what is put into a page before it loads, and
 * cannot be taken out again.
 */
export const apart = alone.extend<object, PerWorker>({
  shared: [
    async ({ browser }, use, { project }) => {
      const { viewport, baseURL, serviceWorkers } = project.use;
      const shared = await browser.newContext({
        viewport: viewport ?? null,
        ...(baseURL !== undefined && { baseURL }),
        ...(serviceWorkers && { serviceWorkers }),
      });
      await use(shared);
      await shared.close();
    },
    { scope: 'worker' },
  ],
  lasting: [({}, use) => use({ page: null }), { scope: 'worker' }],
  context: async ({ shared, lasting }, use) => {
    await use(shared);
    await Promise.all(shared.pages().map((page) => (page === lasting.page ? null : page.close())));
  },
  page: async ({ context, lasting, baseURL }, use) => {
    // Of two pages of the application only one may write.
    if (lasting.page && !lasting.page.isClosed()) await lasting.page.goto(BARE);
    const page = await context.newPage();
    await emptied(page, baseURL ?? '');
    await use(page);
  },
});

/**
 * In the page that the tests before had: its store is emptied and all that was set on it is taken back, but what the
 * browser has fetched, compiled and started stays. That is half of what a test costs.
 */
export const test = apart.extend({
  page: async ({ context, lasting, baseURL, viewport }, use) => {
    const page = lasting.page && !lasting.page.isClosed() ? lasting.page : await context.newPage();
    lasting.page = page;
    await emptied(page, baseURL ?? '');
    await use(page);
    if (page.isClosed()) return;
    page.removeAllListeners();
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null, forcedColors: null });
    if (viewport) await page.setViewportSize(viewport);
  },
});
