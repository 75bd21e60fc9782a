import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { App, overlapsInDrawing, readIn } from './app.ts';
import { apart as test } from './test.ts';

const messages = Object.keys(JSON.parse(readFileSync('words/messages.json', 'utf8')) as object);

/** Every letter of a message in Greek: what is still in Latin letters was never said through the catalogue. */
const GREEK = 'αβςδεφγηιϳκλμνοπϙρστυϋωχψζ';
const inGreek = (message: string) =>
  message
    .split(/(\{\d+\})/)
    .map((part, i) =>
      i % 2 === 1 ? part : part.replace(/[a-z]/gi, (c) => GREEK[c.toLowerCase().charCodeAt(0) - 97] ?? c),
    )
    .join('');

/** Names that people gave, and signs that are the same everywhere: these stay as they are. */
const NAME_KEYS =
  /^(title|subtitle|tag|at|name|label|family|stamp|by|notes?|load|found|person|keywords|why|what|place|kind)$/;
function namesIn(value: unknown, key: string, found: Set<string>): void {
  if (typeof value === 'string') {
    if (NAME_KEYS.test(key))
      for (const [word] of value.matchAll(/[a-z]{3,}/gi)) found.add(word.toLowerCase());
  } else if (Array.isArray(value)) value.forEach((own) => namesIn(own, key, found));
  else if (value && typeof value === 'object')
    for (const [own, part] of Object.entries(value)) namesIn(part, own, found);
}
const names = new Set('gruff anchor ctrl awg sae language taal pdf svg csv'.split(' '));
for (const job of ['teasel', 'marrow', 'hut'])
  namesIn(JSON.parse(readFileSync(`demo/${job}.json`, 'utf8')), '', names);

/** What is written on the page, and what is only read out. */
const textsOf = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      const { parentElement, nodeValue } = walk.currentNode;
      if (nodeValue?.trim() && !parentElement?.closest('script, style, kbd, code'))
        found.push(nodeValue.trim());
    }
    for (const own of document.querySelectorAll('[aria-label], [title], [placeholder]'))
      for (const name of ['aria-label', 'title', 'placeholder']) found.push(own.getAttribute(name) ?? '');
    return found.filter(Boolean);
  });

const VIEWS = [
  'teasel/cable/th3/run',
  'teasel/cable/th3/gauge',
  'teasel/cable/th3/ends',
  'teasel/cable/th3/cut',
  'teasel/cable/en1/make',
  'teasel/cable/in1/prove',
  'hut/cable/hb3/fit',
  'teasel/system',
  'teasel/kit',
  'teasel/case',
  'teasel/bench/en1',
  'teasel/batch',
  'teasel/section',
  'teasel/trends',
  'teasel/practice',
  'teasel/training',
  'hut/hunt/hut-inverter',
  'hut/log',
  'hut/keeping',
  'hut/print/handover',
  'teasel/print/record/in1',
  'teasel/print/traveller/en1',
  'teasel/print/kit',
];

/** Dates by the reader's locale, and the wording that a sealed record keeps. */
const SAID_BEFORE = /\b(jan|feb|mrt|apr|mei|juni?|juli?|aug|sep|okt|nov|dec)[a-z]*\b|tinned marine|welding/i;

test(
  'nothing is written on any view that a translator would not be asked',
  { tag: '@journey' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await page.route(/\/nl-[\w-]+\.json$/, (route) =>
      route.fulfill({ json: Object.fromEntries(messages.map((text) => [text, inGreek(text)])) }),
    );
    await readIn(page, { language: 'nl' });
    await page.goto('/demo');
    await expect(page.locator('.workpiece svg').first()).toBeVisible();
    await page.getByRole('button', { name: inGreek('Look around the example') }).click();
    const app = new App(page);
    const left = new Map<string, string>();
    for (const view of VIEWS) {
      await app.go(`/job/${view}`);
      await expect(page).toHaveURL(new RegExp(`/job/${view}`));
      await expect(page.locator('main, article').first()).toContainText(/[α-ω]{4}/);
      for (const text of await textsOf(page)) {
        // What a sealed record says was said when it was sealed.
        const words = [...text.matchAll(/[a-z]{3,}/gi)].map(([word]) => word.toLowerCase());
        const unknown = words.filter((word) => !names.has(word));
        if (unknown.length > 0 && !left.has(text)) left.set(text, view);
      }
    }
    expect([...left].filter(([text]) => !SAID_BEFORE.test(text))).toEqual([]);
  },
);

test(
  'Dutch is chosen, and read back: words, decimal comma, and what is typed with it',
  { tag: '@journey' },
  async ({ page }) => {
    const app = new App(page);
    await app.openDemo();
    await page.getByRole('button', { name: /Teasel/ }).click();
    await page.getByRole('menuitem', { name: /Language|Taal/ }).click();
    await page.getByRole('radio', { name: 'Nederlands' }).click();
    await page.getByRole('button', { name: 'Read in this language' }).click();
    await expect(page.getByRole('heading', { name: 'Kabels', exact: true })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('lang', 'nl');
    await page.keyboard.press('1');
    const volts = page.getByRole('textbox', { name: 'Systeem' });
    await volts.fill('25,6');
    await volts.press('Enter');
    await expect(volts).toHaveValue('25,6');
    await volts.fill('1.250');
    await volts.press('Enter');
    await expect(page.getByRole('alert')).toContainText('op twee manieren te lezen');
    await volts.fill('24.5');
    await volts.press('Enter');
    await expect(volts).toHaveValue('24,5');
    await expect(page.getByTestId('saved')).toContainText(/^Hier bewaard/);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Kabels', exact: true })).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Systeem' })).toHaveValue('24,5');
    // The decimal sign goes its own way, and English comes back as it was.
    await page.getByRole('button', { name: /Teasel/ }).click();
    await page.getByRole('menuitem', { name: /Language|Taal/ }).click();
    await page.getByRole('radio', { name: 'English' }).click();
    await page.getByRole('radio', { name: '2,5' }).click();
    await page.getByRole('button', { name: 'Lees in deze taal' }).click();
    await expect(page.getByRole('heading', { name: 'Rack' })).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'System' })).toHaveValue('24,5');
  },
);

test('a browser that is set to Dutch opens in Dutch, and the drawing keeps its texts apart', async ({
  browser,
}) => {
  const page = await browser.newPage({ locale: 'nl-NL' });
  await page.goto('/demo');
  await page.getByRole('button', { name: 'Het voorbeeld bekijken' }).click();
  const app = new App(page);
  for (const cable of ['th1', 'th3', 'in1', 'so1']) {
    await app.go(`/job/teasel/cable/${cable}/cut`);
    await expect(page.getByText('Alles wat voor deze kabel geknipt wordt')).toBeVisible();
    expect(await overlapsInDrawing(page), cable).toEqual([]);
  }
  await page.close();
});

test('a language that cannot be fetched is no reason to show nothing', async ({ page }) => {
  await page.route(/\/nl-[\w-]+\.json$/, (route) => route.abort());
  await readIn(page, { language: 'nl' });
  await page.goto('/demo');
  await expect(page.getByRole('button', { name: 'Look around the example' })).toBeVisible();
});
