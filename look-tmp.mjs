// node look.mjs PORT out.json-less: args: list of name|WxH|scheme|path|js
import { chromium } from '@playwright/test';
const port = process.env.PORT ?? 4555;
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
for (const spec of process.argv.slice(2)) {
  const [name, size, scheme, path, js] = spec.split('|');
  const [w, h] = size.split('x').map(Number);
  const c = await b.newContext({
    viewport: { width: w, height: h },
    colorScheme: (scheme || 'light').split('-')[0],
    locale: (scheme || '').split('-')[1] || 'en',
    hasTouch: w < 500,
    serviceWorkers: 'block',
  });
  const p = await c.newPage();
  const U = `http://127.0.0.1:${port}`;
  p.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  await p.goto(U + '/demo');
  await p.getByRole('button', { name: /Look round|Rondkijken/ }).click();
  await p.waitForTimeout(600);
  await p.goto(U + path);
  await p.waitForTimeout(900);
  if (js) await new (Object.getPrototypeOf(async function () {}).constructor)('p', 'U', js)(p, U);
  await p.waitForTimeout(400);
  await p.screenshot({ path: `/tmp/s-${name}.png` });
  await c.close();
}
await b.close();
