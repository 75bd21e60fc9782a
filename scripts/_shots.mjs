import { chromium } from '@playwright/test';
const [, , url, ...specs] = process.argv;
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
for (const spec of specs) {
  const [name, path, w = '1280', h = '800', scheme = 'light', touch = ''] = spec.split('|');
  const ctx = await browser.newContext({
    viewport: { width: +w, height: +h },
    colorScheme: scheme,
    hasTouch: touch === 't',
    isMobile: touch === 't',
  });
  const page = await ctx.newPage();
  await page.goto(url + 'demo');
  await page
    .getByRole('button', { name: 'Look round' })
    .click()
    .catch(() => {});
  if (name === 'unread') {
    await page.waitForTimeout(800);
    await page.evaluate(
      () =>
        new Promise((resolve) => {
          const o = indexedDB.open('gruff-anchor');
          o.onsuccess = () => {
            const t = o.result.transaction('library', 'readwrite');
            const s = t.objectStore('library');
            const g = s.get('job:hut');
            g.onsuccess = () => {
              g.result.cables[1].tag = 7;
              s.put(g.result, 'job:hut');
            };
            t.oncomplete = () => {
              o.result.close();
              resolve();
            };
          };
        }),
    );
    await page.goto(url + 'demo');
    await page.waitForTimeout(800);
  }
  await page.goto(url + path.replace(/^\//, ''));
  if (name.startsWith('broken')) {
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      Math.cbrt = () => {
        throw new RangeError('broken on purpose');
      };
    });
    await page.getByRole('textbox', { name: 'Continuous', exact: true }).fill('77');
    await page.keyboard.press('Enter');
  }
  await page.waitForTimeout(1200);
  await page.screenshot({ path: `/tmp/${name}.png` });
  await ctx.close();
}
await browser.close();
