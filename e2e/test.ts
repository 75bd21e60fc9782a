import { type BrowserContext, test as alone } from '@playwright/test';

export { alone };

interface PerWorker {
  readonly shared: BrowserContext;
}

/**
 * A test in a browser that others were in before: its store is emptied, but what the browser has fetched and compiled
 * stays, which is half of what a test costs. One that asks for a language, a window or a cache of its own is written
 * with {@link alone}.
 */
export const test = alone.extend<object, PerWorker>({
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
  context: async ({ shared }, use) => {
    await use(shared);
    await Promise.all(shared.pages().map((page) => page.close()));
  },
  page: async ({ context, baseURL }, use) => {
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Storage.clearDataForOrigin', { origin: baseURL ?? '', storageTypes: 'all' });
    await session.detach();
    await use(page);
  },
});
