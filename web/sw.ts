import { type PrecacheEntry, Serwist } from 'serwist';

declare const self: {
  /** Every file of the build by name and content, which the build writes here. */
  readonly __SW_MANIFEST: (PrecacheEntry | string)[];
  addEventListener(
    when: 'activate',
    heard: (event: { waitUntil(done: Promise<unknown>): void }) => void,
  ): void;
};

/**
 * Keeps the whole application on the device, for use without a network. A new version waits until the person says so: it
 * never takes the page away from under their hands.
 */
new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/instruments\//],
  },
  disableDevLogs: true,
}).addEventListeners();

/** Up to 0.11.2 the files were kept under another name. */
const BEFORE = 'workbox-';
async function forgetBefore(): Promise<void> {
  const names = (await caches.keys()).filter((name) => name.startsWith(BEFORE));
  await Promise.all(names.map((name) => caches.delete(name)));
}
self.addEventListener('activate', (event) => event.waitUntil(forgetBefore()));
