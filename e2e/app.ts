import { readFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { createRequire } from 'node:module';
import { expect, type Locator, type Page } from '@playwright/test';
import { allStored, putAll, type Stores, takeAll } from './store.ts';
import { BARE } from './test.ts';

/** The browser's store with the demo jobs in it: filled as a first visitor fills it, once for each process. */
let demo: Stores | undefined;

async function filledWithDemo(page: Page): Promise<Stores> {
  await page.goto('/demo');
  await page.getByRole('button', { name: 'Look around the example' }).click();
  await expect(page.getByTestId('saved')).toContainText(/^Saved on this device/);
  await expect.poll(async () => (await allStored(page))['prefs']).toMatchObject({ guideSeen: true });
  const filled = await takeAll(page);
  await page.goto(BARE);
  return filled;
}

/** Opens the page as whoever chose to read in this language before. */
export const readIn = (page: Page, reading: { readonly language: string }) =>
  page.addInitScript((kept) => localStorage.setItem('gruff-anchor-reading', kept), JSON.stringify(reading));

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds serious or worse by these rules, or rules of these tags. A page is given axe once. */
async function axeFinds(page: Page, within: string, rules: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(
    async ([part, only]) => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') };
      const { violations } = await axe.run(part, { runOnly: [...only], resultTypes: ['violations'] });
      return violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .flatMap(({ id, nodes }) =>
          nodes.map(({ target, failureSummary }) => `${id}: ${target.join(' ')} ${failureSummary ?? ''}`),
        );
    },
    [within, rules] as const,
  );
}

/** Drives the application in a person's terms. */
export class App {
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  /**
   * Opens the demo job with the guide put away, out of a store that was filled once and is put back for each test.
   *
   * @param path where it is opened: nothing is made of a page that the test does not ask for
   */
  async openDemo(path = '/job/teasel/cable/th3/gauge'): Promise<void> {
    demo ??= await filledWithDemo(this.page);
    await putAll(this.page, demo);
    await this.page.goto(path);
    // Nobody goes on before the page stands.
    await expect(this.page.locator('main').first()).toBeVisible();
    if (path.endsWith('/run')) await this.unfold();
  }

  /** Goes to an address as a link in the page would, without loading the application again. */
  async go(path: string): Promise<void> {
    await this.page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate', { state: null }));
    }, path);
    if (path.endsWith('/run')) await this.unfold();
  }

  /** Starts an empty job, as a first visitor would. */
  async openEmptyJob(): Promise<void> {
    await this.page.goto('/');
    await this.page.getByRole('button', { name: 'Empty job', exact: true }).click();
    await expect(this.page.getByRole('heading', { name: 'The first cable' })).toBeVisible();
  }

  field(label: string): Locator {
    return this.page.getByRole('textbox', { name: label, exact: true, includeHidden: true });
  }

  /** Opens every part of the stage that is folded to a line. */
  async unfold(): Promise<void> {
    await expect(this.page.locator('main h3 > button[aria-expanded]').first()).toBeVisible();
    const folded = this.page.locator('main h3 > button[aria-expanded=false]');
    while ((await folded.count()) > 0) await folded.first().click();
  }

  /** Opens the part that something folded away is in; nothing where it is in sight, or not there yet. */
  async reveal(what: Locator): Promise<void> {
    if ((await what.count()) === 0 || (await what.first().isVisible())) return;
    const part = this.page.locator('main section', { has: what.first() }).last();
    const fold = part.locator('h3 > button[aria-expanded=false]');
    if ((await fold.count()) > 0) await fold.first().click();
  }

  /** Types into a field and goes on with Enter. */
  async type(label: string, text: string): Promise<void> {
    await this.reveal(this.field(label));
    await this.field(label).fill(text);
    await this.field(label).press('Enter');
  }

  /** Types what cannot be meant: it stays as typed, is said to be wrong beside the field, and is then put right. */
  async refuses(
    label: string,
    typed: string,
    sentence: RegExp,
    unchanged?: () => Promise<void>,
  ): Promise<void> {
    const field = this.field(label);
    await this.reveal(field);
    const before = await field.inputValue();
    await this.type(label, typed);
    await expect(this.page.getByRole('alert')).toContainText(sentence);
    await expect(field).toHaveValue(typed);
    await expect(field).toHaveAttribute('aria-invalid', 'true');
    await unchanged?.();
    await this.type(label, before);
    await expect(this.page.getByRole('alert')).toBeHidden();
  }

  /** Chooses from a list that opens. */
  async choose(label: string | RegExp, option: string | RegExp): Promise<void> {
    await this.reveal(this.page.getByRole('button', { name: label, includeHidden: true }));
    await this.page.getByRole('button', { name: label }).click();
    await this.page.getByRole('option', { name: option }).first().click();
  }

  async stage(title: string): Promise<void> {
    await this.page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: title }).click();
    if (title === 'Run') await this.unfold();
  }

  async cable(tag: string): Promise<void> {
    const rack = this.page.getByRole('region', { name: 'Rack' });
    const link = rack.getByRole('link', { name: tag });
    // A long rack draws what is in sight: what is not is narrowed down to.
    if (!(await link.isVisible())) await rack.getByRole('textbox', { name: 'Filter cables' }).fill(tag);
    await link.click();
  }

  /** Strikes a reading out, of a proof that is open. */
  async strikeOut(what: RegExp, why: string): Promise<void> {
    await this.page.getByRole('button', { name: what }).click();
    await this.field('Why was it wrong?').fill(why);
    await this.page.getByRole('button', { name: 'Strike it out' }).click();
  }

  get ledger(): Locator {
    return this.page.getByRole('region', { name: 'Checks' });
  }

  get drawing(): Locator {
    return this.page.locator('.workpiece svg');
  }

  async saved(): Promise<void> {
    await expect(this.page.getByTestId('saved')).toContainText(/^Saved on this device/);
  }

  /** The file that a press hands over. */
  async handedOver(press: Locator): Promise<{ readonly name: string; readonly bytes: Buffer }> {
    const download = this.page.waitForEvent('download');
    await press.click();
    const file = await download;
    return { name: file.suggestedFilename(), bytes: await buffer(await file.createReadStream()) };
  }

  /** Exports the job and answers with the file's contents. */
  async exported(): Promise<string> {
    await this.page.getByRole('button', { name: 'Jobs and files' }).click();
    const { bytes } = await this.handedOver(
      this.page.getByRole('menuitem', { name: 'Export this job to a file' }),
    );
    return bytes.toString();
  }

  async import(contents: string, name = 'job.json'): Promise<void> {
    await this.page
      .getByTestId('file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(contents) });
  }

  /**
   * What axe finds serious or worse in both themes, named with where it stands. The dark theme differs in its colours
   * alone.
   *
   * @param within a part of the page: the rest of it is looked at once, not with every part
   */
  async seriousProblems(within = 'html'): Promise<string[]> {
    const light = await axeFinds(this.page, within, ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
    await this.page.emulateMedia({ colorScheme: 'dark' });
    await expect(this.page.locator('html.dark')).toBeVisible();
    const dark = await axeFinds(this.page, within, ['color-contrast']);
    await this.page.emulateMedia({ colorScheme: 'light' });
    await expect(this.page.locator('html:not(.dark)')).toBeVisible();
    return [...light.map((found) => `light, ${found}`), ...dark.map((found) => `dark, ${found}`)];
  }
}

/** Texts of the drawing that run over each other or off its edge. */
export const overlapsInDrawing = (page: Page, drawing = '.workpiece svg'): Promise<string[]> =>
  page
    .locator(drawing)
    .first()
    .evaluate((svg) => {
      const edge = svg.getBoundingClientRect();
      const boxes = [...svg.querySelectorAll('text')]
        .filter((text) => text.textContent?.trim())
        .map((text) => ({ words: text.textContent?.trim() ?? '', box: text.getBoundingClientRect() }));
      const found: string[] = [];
      boxes.forEach(({ words, box }, i) => {
        if (box.left < edge.left - 1 || box.right > edge.right + 1) found.push(`${words} runs off`);
        // A text's box is taller than its letters: two rows may touch, but not by more than that.
        for (const other of boxes.slice(i + 1)) {
          const across = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
          const down = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
          if (across > 1 && down > 5) found.push(`${words} over ${other.words}`);
        }
      });
      return found;
    });
