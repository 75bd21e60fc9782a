import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { aMoment, click, fill, focusOn, hover, type Modifier, press, until } from './hands.ts';
import { isKeptFromReaders, isShown, isUnread } from './shown.ts';
import { nodesOf, partsIn } from './tree.ts';

export type Words = string | RegExp;

/** What is asked of an element that is looked for by what it is. */
export interface Wanted {
  readonly name?: Words;
  readonly exact?: boolean;
  readonly checked?: boolean;
  readonly level?: number;
  readonly includeHidden?: boolean;
}

/** What an element is to whoever reads the page, where it does not say so itself. */
const ROLES: Readonly<Record<string, string | ((element: Element) => string)>> = {
  ...{ article: 'article', aside: 'complementary', button: 'button', dialog: 'dialog', fieldset: 'group' },
  ...{ h1: 'heading', h2: 'heading', h3: 'heading', h4: 'heading', h5: 'heading', h6: 'heading' },
  ...{
    img: 'img',
    li: 'listitem',
    main: 'main',
    nav: 'navigation',
    ol: 'list',
    option: 'option',
    output: 'status',
  },
  ...{ progress: 'progressbar', select: 'combobox', summary: 'button', table: 'table', td: 'cell' },
  ...{ textarea: 'textbox', tr: 'row', ul: 'list' },
  a: (own) => (own.hasAttribute('href') ? 'link' : ''),
  input: (own) => INPUTS[own.getAttribute('type') ?? 'text'] ?? '',
  section: (own) => (own.hasAttribute('aria-label') || own.hasAttribute('aria-labelledby') ? 'region' : ''),
  th: (own) => (own.getAttribute('scope') === 'row' ? 'rowheader' : 'columnheader'),
};
const INPUTS: Readonly<Record<string, string>> = {
  ...{ text: 'textbox', search: 'searchbox', checkbox: 'checkbox', radio: 'radio', range: 'slider' },
};
function roleOf(element: Element): string {
  const own = element.getAttribute('role');
  if (own !== null) return own;
  const role = ROLES[element.localName] ?? '';
  return typeof role === 'string' ? role : role(element);
}

export const tidy = (text: string | null | undefined) => (text ?? '').replaceAll(/\s+/g, ' ').trim();
export const isMeant = (words: Words, text: string, exact = false): boolean => {
  if (typeof words !== 'string') return words.test(text);
  return exact ? text === tidy(words) : text.toLowerCase().includes(tidy(words).toLowerCase());
};

/** What is read out of an element: parts that are hidden from readers say nothing. */
function readOut(element: Element): string {
  if (isUnread(element) || element.hasAttribute('hidden')) return '';
  const label = element.getAttribute('aria-label');
  if (label !== null) return label;
  if (element instanceof HTMLImageElement) return element.alt;
  // What lies in a row or a grid stands by itself, whatever it is.
  const isRow = /\b(flex|grid)\b/.test(element.getAttribute('class') ?? '');
  const parts = nodesOf(element).map((node) => {
    if (node instanceof Element) return isInline(node) && !isRow ? readOut(node) : ` ${readOut(node)} `;
    return node instanceof Text ? node.data : '';
  });
  return parts.join('');
}
const INLINE = new Set([
  'span',
  'b',
  'i',
  'em',
  'strong',
  'small',
  'sub',
  'sup',
  'a',
  'abbr',
  'kbd',
  'tspan',
]);
const isInline = (element: Element) =>
  INLINE.has(element.localName) && !/\b(sr-only|block|flex|grid)\b/.test(element.getAttribute('class') ?? '');

/** The label of the field of this id: it stands near, so that not the whole page is looked through. */
const labelFor = (id: string, around: Element | null): Element | null =>
  around && (around.querySelector(`label[for="${id}"]`) ?? labelFor(id, around.parentElement));

/** How an element is named to whoever reads the page. */
export function nameOf(element: Element): string {
  const namedBy = element.getAttribute('aria-labelledby');
  if (namedBy !== null) {
    const parts = namedBy.split(' ').map((id) => document.getElementById(id));
    return tidy(parts.map((part) => (part ? readOut(part) : '')).join(' '));
  }
  const label = element.getAttribute('aria-label');
  if (label !== null) return tidy(label);
  if (element.matches('input, textarea, select, [role=switch], [role=combobox]')) {
    const label =
      element.closest('label') ?? (element.id ? labelFor(element.id, element.parentElement) : null);
    if (label) return tidy(readOut(label));
    if (element.matches('input, textarea')) return tidy(element.getAttribute('placeholder'));
  }
  if (element.matches('fieldset')) return tidy(element.querySelector('legend')?.textContent);
  if (element.matches('table') && element.querySelector('caption'))
    return tidy(element.querySelector('caption')?.textContent);
  if (element.matches('svg')) return tidy(element.querySelector('title')?.textContent);
  if (element.matches(NAMED_BY_WHAT_IS_IN_IT))
    return tidy(readOut(element)) || tidy(element.getAttribute('title'));
  return tidy(element.getAttribute('title'));
}
const NAMED_BY_WHAT_IS_IN_IT = `button, summary, a, option, h1, h2, h3, h4, h5, h6, td, th, tr, img,
  ${['button', 'cell', 'checkbox', 'columnheader', 'gridcell', 'link', 'menuitem', 'option', 'radio', 'row', 'rowheader', 'switch', 'tab'].map((role) => `[role=${role}]`).join(', ')}`;

export const isChecked = (element: Element): boolean =>
  element instanceof HTMLInputElement ? element.checked : element.getAttribute('aria-checked') === 'true';

/** Whether it cannot be used. */
export const isDisabled = (element: Element): boolean => element.matches(':disabled, [aria-disabled="true"]');

const MODAL = '[role="dialog"][aria-modal="true"]';
/** Whether a dialog lies over it: it can be used once that has gone. A dialog stands beside the application. */
function isBehindDialog(element: Element): boolean {
  const dialog = [...document.body.children]
    .filter(({ id }) => id !== 'app')
    .flatMap((part) => (part.matches(MODAL) ? [part] : [...part.querySelectorAll(MODAL)]))
    .at(-1);
  return dialog !== undefined && isShown(dialog) && !dialog.contains(element);
}

function isWanted(element: Element, { name, exact, checked, level }: Wanted): boolean {
  if (level !== undefined && element.localName !== `h${level}`) return false;
  if (checked !== undefined && isChecked(element) !== checked) return false;
  return name === undefined || isMeant(name, nameOf(element), exact);
}

/** The smallest parts that say something, in the order of the page. */
function saying(root: Element, words: Words, exact?: boolean): Element[] {
  const found: Element[] = [];
  /** @returns what it says, and whether it or a part of it is meant */
  const read = (element: Element): { text: string; isFound: boolean } => {
    let [text, isFound] = ['', false];
    const at = found.length;
    for (const node of nodesOf(element)) {
      if (node instanceof Text) text += node.data;
      if (!(node instanceof Element) || node.matches('script, style')) continue;
      const part = read(node);
      text += part.text;
      isFound ||= part.isFound;
    }
    const isIt = !isFound && isMeant(words, tidy(text), exact);
    if (isIt) found.splice(at, 0, element);
    return { text, isFound: isFound || isIt };
  };
  read(root);
  return found;
}

/** Elements of the page, looked for anew whenever something is asked of them. */
export class Locator {
  constructor(
    readonly found: () => readonly Element[],
    readonly called: string,
  ) {}

  private within(called: string, look: (root: Element) => Iterable<Element>): Locator {
    const looked = () => [...new Set(this.found().flatMap((root) => [...look(root)]))];
    return new Locator(looked, this.called ? `${called} in ${this.called}` : called);
  }
  getByRole(role: string, wanted: Wanted = {}): Locator {
    // To be kept from readers is asked last: it goes up through all that it stands in.
    return this.within(`${role} ${String(wanted.name ?? '')}`, (root) =>
      partsIn(root).filter(
        (own) =>
          roleOf(own) === role &&
          isWanted(own, wanted) &&
          (wanted.includeHidden === true || !isKeptFromReaders(own)),
      ),
    );
  }
  getByText(words: Words, { exact }: { exact?: boolean } = {}): Locator {
    return this.within(`text ${String(words)}`, (root) => saying(root, words, exact));
  }
  getByLabel(words: Words, { exact }: { exact?: boolean } = {}): Locator {
    return this.within(`labelled ${String(words)}`, (root) =>
      [...root.querySelectorAll('input, textarea, select, [aria-label], [aria-labelledby]')].filter((own) =>
        isMeant(words, nameOf(own), exact),
      ),
    );
  }
  getByTestId(id: string): Locator {
    return this.locator(`[data-testid="${id}"]`);
  }
  locator(selector: string, { has }: { has?: Locator } = {}): Locator {
    const all = this.within(selector, (root) => root.querySelectorAll(selector));
    return has ? all.filter({ has }) : all;
  }
  filter({ hasText, has }: { hasText?: Words; has?: Locator }): Locator {
    const isIt = (own: Element) =>
      (hasText === undefined || isMeant(hasText, tidy(own.textContent))) &&
      (!has || has.found().some((part) => own.contains(part)));
    return new Locator(
      () => this.found().filter(isIt),
      `${this.called} that has ${String(hasText ?? has?.called)}`,
    );
  }
  nth(i: number): Locator {
    return new Locator(() => this.found().slice(i, i + 1 || undefined), `${this.called}, number ${i}`);
  }
  first(): Locator {
    return this.nth(0);
  }
  last(): Locator {
    return this.nth(-1);
  }
  async all(): Promise<Locator[]> {
    return this.found().map((_, i) => this.nth(i));
  }
  async count(): Promise<number> {
    return this.found().length;
  }

  /** The first of them, once it is there. */
  private one(): Promise<HTMLElement> {
    return until(
      () => this.found()[0] as HTMLElement | undefined,
      () => `there is no ${this.called}`,
    );
  }
  private async act(act: (own: HTMLElement) => void): Promise<void> {
    const own = await until(
      () => (this.found() as HTMLElement[]).find(isShown),
      () =>
        `there is no ${this.called} in sight at ${location.pathname}: ${tidy(document.body.textContent).slice(0, 500)}`,
    );
    await until(
      () => !isDisabled(own) && !isBehindDialog(own),
      () => `${this.called} cannot be used`,
    );
    act(own);
    await aMoment();
  }
  click({ modifiers = [] }: { modifiers?: readonly Modifier[] } = {}): Promise<void> {
    return this.act((own) => click(own, modifiers));
  }
  fill(text: string): Promise<void> {
    return this.act((own) => fill(own, text));
  }
  press(key: string): Promise<void> {
    return this.act((own) => {
      focusOn(own);
      press(key);
    });
  }
  async pressSequentially(text: string): Promise<void> {
    for (const letter of text) await this.press(letter);
  }
  focus(): Promise<void> {
    return this.act(focusOn);
  }
  blur(): Promise<void> {
    return this.act(() => focusOn(null));
  }
  /** Where something round lies, which a drawing says itself. */
  async boundingBox(): Promise<{ x: number; y: number; width: number; height: number } | null> {
    const round = (await this.one()).querySelector('circle');
    if (!round) return null;
    const [x = 0, y = 0, radius = 0] = ['cx', 'cy', 'r'].map((name) => Number(round.getAttribute(name)));
    return { x: x - radius, y: y - radius, width: 2 * radius, height: 2 * radius };
  }
  hover(): Promise<void> {
    return this.act(hover);
  }
  async setInputFiles(files: Given | string | readonly (Given | string)[]): Promise<void> {
    const own = (await this.one()) as HTMLInputElement;
    const given = [files]
      .flat()
      .map((file) =>
        typeof file === 'string'
          ? new File([readFileSync(file)], basename(file))
          : new File([file.buffer], file.name, { type: file.mimeType }),
      );
    Object.defineProperty(own, 'files', { value: given, configurable: true });
    own.dispatchEvent(new Event('change', { bubbles: true }));
    await aMoment();
  }

  async isVisible(): Promise<boolean> {
    await aMoment();
    return this.found().some(isShown);
  }
  async textContent(): Promise<string | null> {
    return (await this.one()).textContent;
  }
  async inputValue(): Promise<string> {
    return ((await this.one()) as HTMLInputElement).value;
  }
  async getAttribute(name: string): Promise<string | null> {
    return (await this.one()).getAttribute(name);
  }
  async evaluate<T, A>(ask: (own: HTMLElement, given: A) => T, given: A): Promise<T> {
    return ask(await this.one(), given);
  }
  async evaluateAll<T>(ask: (all: readonly Element[]) => T): Promise<T> {
    return ask(this.found());
  }
}

/** A file that is handed over without a disk. */
interface Given {
  readonly name: string;
  readonly mimeType: string;
  readonly buffer: BlobPart;
}
