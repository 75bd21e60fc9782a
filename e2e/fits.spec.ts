import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { App, readIn } from './app.ts';
import { VIEWS } from './views.ts';
import { alone as test, apart } from './test.ts';

/** How much wider than its window the page is, px, and what sticks out of it. */
const tooWide = (page: Page) =>
  page.evaluate(() => {
    const over = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    if (over <= 0) return '';
    const out = [...document.querySelectorAll('body *')].filter((own) => {
      const box = own.getBoundingClientRect();
      const hidden = [...ancestors(own)].some((at) => getComputedStyle(at).overflowX !== 'visible');
      return box.width > 0 && box.right > innerWidth + 1 && !hidden;
    });
    function* ancestors(at: Element) {
      for (let up = at.parentElement; up && up !== document.body; up = up.parentElement) yield up;
    }
    return `${over} px: ${out
      .slice(-4)
      .map(
        (own) => `${own.tagName} ${own.className?.toString().slice(0, 60)} ${own.textContent?.slice(0, 30)}`,
      )
      .join(' | ')}`;
  });

/** What can be pressed and is smaller than a fingertip, with its size. */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const PRESSED =
      'a[href], button, select, textarea, summary, input, [role="button"], [role="option"], [role="radio"], [role="switch"], [role="tab"], [role="menuitem"], [role="slider"]';
    const found: string[] = [];
    for (const own of document.querySelectorAll<HTMLElement | SVGElement>(PRESSED)) {
      const label =
        own.closest('label') ?? (own.id ? document.querySelector(`label[for="${own.id}"]`) : null);
      // A field is pressed through its label too.
      const isBox = own instanceof HTMLInputElement && /checkbox|radio|file/.test(own.type);
      const at = isBox && label ? label : own;
      const style = getComputedStyle(at);
      const box = at.getBoundingClientRect();
      if (
        box.width === 0 ||
        box.height === 0 ||
        style.visibility === 'hidden' ||
        own.closest('[inert], [aria-hidden="true"]')
      )
        continue;
      if (style.clip !== 'auto' || style.clipPath === 'inset(50%)') continue;
      // A link within a sentence is as high as its line.
      if (own instanceof HTMLAnchorElement && style.display === 'inline') continue;
      if (box.width < 43.5 || box.height < 43.5)
        found.push(
          `${own.tagName.toLowerCase()} “${(own.getAttribute('aria-label') ?? own.textContent ?? '').trim().slice(0, 30)}” ${Math.round(box.width)}×${Math.round(box.height)}`,
        );
    }
    return found;
  });

/** Texts that are squeezed into a column beside their buttons: long, narrow, and many lines high. */
const squeezed = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    for (const own of document.querySelectorAll<HTMLElement>('h1, h2, h3, p, legend, label, dt, dd, b')) {
      if (own.closest('table, svg, .paper, .sr-only, [aria-hidden="true"]')) continue;
      const said = [...own.childNodes]
        .filter(({ nodeType }) => nodeType === Node.TEXT_NODE)
        .map(({ textContent }) => textContent ?? '')
        .join('')
        .trim();
      const box = own.getBoundingClientRect();
      if (said.length < 24 || box.width < 4) continue;
      const line = Number.parseFloat(getComputedStyle(own).lineHeight) || 16;
      if (box.width < 104 && box.height > 4.5 * line)
        found.push(`“${said.slice(0, 40)}” ${Math.round(box.width)}×${Math.round(box.height)}`);
    }
    return found;
  });

/** Labels of fields whose words do not fit their room. */
const cutOff = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.label > :first-child')]
      // One pixel wide is said and not shown.
      .filter((own) => own.clientWidth > 2 && own.scrollWidth > own.clientWidth + 1)
      .map((own) => `“${own.textContent?.trim()}” ${own.clientWidth} of ${own.scrollWidth}`),
  );

/** The largest, wide, narrow, and a window of 1280 enlarged twice over. */
const WIDTHS = [1920, 1280, 820, 390, 320];
const widerThan = async (page: Page, widths: readonly number[], name: string): Promise<string[]> => {
  const wide: string[] = [];
  for (const width of widths) {
    await page.setViewportSize({ width, height: 800 });
    const over = await tooWide(page);
    if (over) wide.push(`${name} at ${width}: ${over}`);
    // A window that was just given another width is laid out anew: what stays squeezed is squeezed.
    const cut = await cutOff(page);
    if (cut.length > 0) wide.push(`${name} at ${width}, cut off: ${cut.join(', ')}`);
    let narrow = await squeezed(page);
    if (narrow.length > 0) {
      await page.waitForTimeout(400);
      narrow = await squeezed(page);
    }
    if (narrow.length > 0) wide.push(`${name} at ${width}, squeezed: ${narrow.join(', ')}`);
  }
  return wide;
};

/** Each message in that of its languages which says it longer. */
function longerWords(): Record<string, string> {
  const dutch = JSON.parse(readFileSync('words/nl.json', 'utf8')) as Record<string, string>;
  const longer = (own: string, other: string) => (own.length > other.length ? own : other);
  return Object.fromEntries(
    Object.entries(dutch).map(([key, text]) => [key, longer(key.replace(/‖.*$/, ''), text)]),
  );
}

apart('no label of a field is cut off, at any width', { tag: '@journey' }, async ({ page }) => {
  const app = new App(page);
  await page.route(/\/nl-[\w-]+\.json$/, (route) => route.fulfill({ json: longerWords() }));
  await readIn(page, { language: 'nl' });
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/demo');
  await expect(page.locator('.workpiece svg').first()).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'nl');
  const cut: string[] = [];
  for (const name of ['run', 'gauge', 'ends', 'sizes', 'kit', 'practice', 'hunt', 'survey']) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await app.go(VIEWS[name] ?? '');
    await expect(page.locator('main .label').first()).toBeAttached();
    for (const width of [1280, 820, 390, 320]) {
      await page.setViewportSize({ width, height: 800 });
      cut.push(...(await cutOff(page)).map((label) => `${name} at ${width}: ${label}`));
    }
  }
  expect(cut).toEqual([]);
});

test.describe('in Dutch, whose words are longer', () => {
  test.use({ locale: 'nl', reducedMotion: 'reduce', viewport: { width: 820, height: 800 } });
  test(`no page is wider than a window of ${WIDTHS.join(', ')}, and nothing moves`, async ({ page }) => {
    test.setTimeout(180_000);
    const app = new App(page);
    const wide: string[] = [];
    await page.goto('/demo');
    // The made-up jobs are there once one of them is shown.
    await expect(page.locator('.workpiece svg').first()).toBeVisible();
    for (const [name, path] of Object.entries(VIEWS)) {
      await app.go(path);
      await expect(page.locator('main').first()).toBeVisible();
      await page.waitForTimeout(200);
      // What is behind tabs is as wide as what is in front.
      const tabs = page.getByRole('tab');
      for (let i = 0; i <= (await tabs.count()); i += 1) {
        wide.push(...(await widerThan(page, WIDTHS, `${name} ${i}`)));
        // Some are there in a wide window alone.
        if (i < (await tabs.count())) await tabs.nth(i).click();
      }
      const moving = await page.evaluate(
        () => document.getAnimations().filter(({ playState }) => playState === 'running').length,
      );
      expect(moving, name).toBe(0);
    }
    await page
      .getByRole('button', { name: /Klussen en bestanden/ })
      .first()
      .click({ timeout: 2000 })
      .catch(() => {});
    wide.push(...(await widerThan(page, WIDTHS, 'the menu')));
    expect(wide).toEqual([]);
  });
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });
  test('whatever can be pressed is as large as a fingertip, and no page is wider than 320', async ({
    page,
  }) => {
    test.setTimeout(180_000);
    const app = new App(page);
    await app.openDemo();
    const small: string[] = [];
    for (const [name, path] of Object.entries(VIEWS)) {
      await app.go(path);
      await expect(page.locator('main').first()).toBeVisible();
      await page.waitForTimeout(250);
      const found = await tooSmall(page);
      if (found.length > 0) small.push(`${name}: ${found.length}: ${found.slice(0, 400).join(', ')}`);
      small.push(...(await widerThan(page, [320, 390, 1280], name)));
      await page.setViewportSize({ width: 390, height: 844 });
    }
    expect(small).toEqual([]);
  });
});
