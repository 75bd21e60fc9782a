import { expect, type Page, test } from '@playwright/test';
import { seeded } from '../../core/lib/random.ts';
import { App } from '../app.ts';
import { VIEWS } from '../views.ts';

/** So many presses and entries on each view; MONKEY_ACTS and MONKEY_SEED choose others. */
const ACTS = Number(process.env['MONKEY_ACTS'] ?? 25);
const SEED = Number(process.env['MONKEY_SEED'] ?? 20261129);
const WIDTHS = [320, 390, 820, 1280, 1920];
const TYPED = [
  '0',
  '-1',
  '1e9',
  '12 ft 6',
  '3,5',
  'NaNs',
  'Infinitys',
  '',
  '   ',
  '<b>x</b>',
  '9'.repeat(90),
  '1/0',
  '{0}',
  '٣',
  '2*350+40',
  '100 kW',
  '0.0001',
];

/** What no reader may be shown, and whether the page is wider than its window. */
const wrongWith = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const text = document.body.innerText;
    for (const [word] of text.matchAll(/\bNaN\b|\bInfinity\b|\bundefined\b|\[object \w+\]/g)) {
      // What was typed is shown as it was typed.
      const at = text.indexOf(word);
      const near = text.slice(Math.max(0, at - 40), at + 40);
      const isTyped = [...document.querySelectorAll('input, textarea')].some((own) =>
        (own as HTMLInputElement).value.includes(word),
      );
      if (!isTyped && !near.includes('"')) found.push(`${word}: …${near.replace(/\s+/g, ' ')}…`);
    }
    const over = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    if (over > 0) found.push(`${over} px wider than its window`);
    if (text.trim() === '') found.push('blank');
    return found;
  });

for (const language of ['en', 'nl'] as const) {
  for (const width of WIDTHS) {
    test(`a monkey at ${width} px, in ${language}`, async ({ browser }) => {
      const context = await browser.newContext({
        viewport: { width, height: 800 },
        locale: language,
        serviceWorkers: 'block',
        acceptDownloads: true,
      });
      const page = await context.newPage();
      const random = seeded(SEED + width + (language === 'nl' ? 1 : 0));
      const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
      const errors: string[] = [];
      let doing = '';
      page.on('pageerror', (error) => errors.push(`${doing}: ${error.stack ?? error.message}`.slice(0, 900)));
      page.on('dialog', (dialog) => void dialog.dismiss());
      page.on('filechooser', () => {});
      const app = new App(page);
      await page.goto('/demo');
      await page.locator('main').first().waitFor();
      for (const [name, path] of Object.entries(VIEWS)) {
        await app.go(path);
        await page.waitForTimeout(200);
        for (let i = 0; i < ACTS; i += 1) {
          const pressed = page.locator(
            'button:visible, [role=radio]:visible, [role=tab]:visible, [role=option]:visible, [role=gridcell]:visible, summary:visible, [role=button]:visible, main a:visible',
          );
          const fields = page.locator(
            'input[type=text]:visible, input:not([type]):visible, textarea:visible',
          );
          const isTyping = random() < 0.35;
          const list = isTyping ? fields : pressed;
          const count = await list.count();
          if (count === 0) continue;
          const target = list.nth(Math.floor(random() * count));
          const label = await target
            .evaluate(
              (own) =>
                `${own.tagName} ${own.getAttribute('aria-label') ?? own.textContent?.trim().slice(0, 40) ?? ''}`,
            )
            .catch(() => '');
          // The language stays what is being tried, and nothing is printed.
          if (/Language|Taal|Print|Afdruk|Load the page|opnieuw laden/.test(label)) continue;
          doing = `${name} ${i}: ${isTyping ? 'types into' : 'presses'} ${label}`;
          if (isTyping) {
            const words = pick(TYPED) ?? '';
            await target.fill(words, { timeout: 1500 }).catch(() => {});
            await page.keyboard.press(random() < 0.7 ? 'Enter' : 'Tab').catch(() => {});
          } else await target.click({ timeout: 1500, noWaitAfter: true }).catch(() => {});
          await page.waitForTimeout(30);
          if (random() < 0.1)
            await page.keyboard.press(
              pick(['Escape', 'Control+z', 'Control+k', 'j', 'k', '1', '5', '?']) ?? 'Escape',
            );
          const wrong = await wrongWith(page).catch(() => [] as string[]);
          expect.soft(wrong, doing).toEqual([]);
          expect.soft(errors.splice(0), doing).toEqual([]);
          if (wrong.length > 0) break;
        }
        for (const _ of [1, 2, 3]) await page.keyboard.press('Escape');
        // Whatever was done, it is still a page, and what it kept can be read.
        expect.soft(await page.getByText('cannot be shown').count(), name).toBe(0);
      }
      await page.goto('/');
      await page.locator('main').first().waitFor();
      await expect(
        page.getByText(/cannot be read here|kan hier niet worden gelezen|kunnen hier niet/),
      ).toHaveCount(0);
      await context.close();
    });
  }
}
