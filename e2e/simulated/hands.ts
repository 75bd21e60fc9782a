import { isShown } from './shown.ts';

/** Lets go of the thread, so that what was begun comes to its end. */
export const aMoment = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** How long is waited for what does not come, ms. */
export const patience = { ms: 15_000 };

/** Waits until something is found, as a person would. @throws what is wrong, when it takes too long */
export async function until<T>(
  found: () => T | Promise<T>,
  otherwise: () => string,
): Promise<NonNullable<T>> {
  const began = performance.now();
  for (let pauseMs = 0; ; pauseMs = Math.min(80, 2 * pauseMs + 1)) {
    const what = await found();
    if (what) return what;
    if (performance.now() - began > patience.ms) throw new Error(otherwise());
    await aMoment(pauseMs);
  }
}

type Field = HTMLInputElement | HTMLTextAreaElement;
const isField = (element: Element | null): element is Field =>
  element instanceof HTMLTextAreaElement ||
  (element instanceof HTMLInputElement && !/^(checkbox|radio|file|button|submit)$/.test(element.type));

/** What stood in a field when it was entered: what was changed is told when it is left. */
const stoodThere = new WeakMap<Field, string>();
function tellChanged(element: Element | null): void {
  if (!isField(element) || element.value === (stoodThere.get(element) ?? element.value)) return;
  stoodThere.set(element, element.value);
  element.dispatchEvent(new Event('change', { bubbles: true }));
}

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), textarea:not(:disabled), select:not(:disabled), summary, [tabindex]';

/** Moves the focus, and tells the field that is left what was changed in it. */
export function focusOn(element: HTMLElement | null): void {
  const before = document.activeElement as HTMLElement | null;
  if (before === element) return;
  tellChanged(before);
  if (element) element.focus();
  else before?.blur();
  if (isField(element)) stoodThere.set(element, element.value);
}

/** The middle of what a drawing says itself where it lies; the left edge of all else. */
function middleX(element: Element): number {
  const box = element.querySelector('rect[x][width]');
  return box ? Number(box.getAttribute('x')) + Number(box.getAttribute('width')) / 2 : 0;
}

export type Modifier = 'Control' | 'Shift' | 'Alt' | 'Meta';
const MODIFIERS = { Control: 'ctrlKey', Shift: 'shiftKey', Alt: 'altKey', Meta: 'metaKey' } as const;
const holding = (modifiers: readonly Modifier[]) =>
  Object.fromEntries(modifiers.map((name) => [MODIFIERS[name], true]));

export function click(element: HTMLElement, modifiers: readonly Modifier[] = []): void {
  const clientX = element.namespaceURI?.endsWith('/svg') ? middleX(element) : 0;
  const at = {
    ...{ bubbles: true, cancelable: true, composed: true, button: 0, buttons: 1, detail: 1, clientX },
    ...holding(modifiers),
  };
  element.dispatchEvent(new PointerEvent('pointerdown', at));
  element.dispatchEvent(new MouseEvent('mousedown', at));
  focusOn(element.closest<HTMLElement>(FOCUSABLE));
  element.dispatchEvent(new PointerEvent('pointerup', at));
  element.dispatchEvent(new MouseEvent('mouseup', at));
  if (typeof element.click === 'function' && modifiers.length === 0) element.click();
  else element.dispatchEvent(new MouseEvent('click', at));
}

const OVER = ['pointerenter', 'pointerover', 'mouseenter', 'mouseover', 'pointermove', 'mousemove'];
/** What the mouse is held over. */
let under: Element | null = null;
export function hover(element: Element): void {
  under = element;
  for (const kind of OVER) element.dispatchEvent(new MouseEvent(kind, { bubbles: true }));
}
/** What the mouse does where it was held last. */
export function point(kind: 'down' | 'move' | 'up', clientX = 0, clientY = 0): void {
  under?.dispatchEvent(
    new PointerEvent(`pointer${kind}`, { bubbles: true, cancelable: true, button: 0, clientX, clientY }),
  );
}

export function fill(element: Element, text: string): void {
  if (!isField(element)) throw new Error(`${element.localName} is no field`);
  focusOn(element);
  element.value = text;
  element.dispatchEvent(new Event('input', { bubbles: true }));
}

const NAMED: Readonly<Record<string, string>> = { Space: ' ' };

function moveOn(back: boolean): void {
  const all = [...document.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(
    (own) => own.tabIndex >= 0 && isShown(own),
  );
  const now = all.indexOf(document.activeElement as HTMLElement);
  focusOn(all[(now + (back ? -1 : 1) + all.length) % all.length] ?? null);
}

/** Writes where it was written last, over what is selected. */
function typed(field: Field, letter: string): void {
  const { value } = field;
  const from = field.selectionStart ?? value.length;
  field.value = value.slice(0, from) + letter + value.slice(field.selectionEnd ?? from);
  field.setSelectionRange(from + 1, from + 1);
}

/** Presses a key where the focus is: it does what a browser does with it, unless the page does something of its own. */
export function press(combination: string): void {
  const parts = combination === '+' ? ['+'] : combination.split('+');
  const key = NAMED[parts.at(-1) ?? ''] ?? parts.at(-1) ?? '';
  const held = holding(parts.slice(0, -1) as Modifier[]);
  const init = { key, code: key, bubbles: true, cancelable: true, composed: true, ...held };
  const at = (document.activeElement ?? document.body) as HTMLElement;
  const goesOn = at.dispatchEvent(new KeyboardEvent('keydown', init));
  if (goesOn && key === 'Tab') moveOn(held['shiftKey'] === true);
  else if (goesOn && isField(at)) {
    if (key === 'Enter' && at instanceof HTMLInputElement) {
      tellChanged(at);
      // In a browser what follows from the one is done before the other.
      queueMicrotask(() => at.form?.requestSubmit());
    } else if (key.length === 1 && !held['ctrlKey'] && !held['metaKey']) {
      typed(at, key);
      at.dispatchEvent(new Event('input', { bubbles: true }));
    }
  } else if (goesOn && (key === 'Enter' || (key === ' ' && !at.matches('a')))) {
    if (at.matches('a[href], button, summary') || (key === ' ' && at.matches('input'))) at.click();
  }
  (document.activeElement ?? document.body).dispatchEvent(new KeyboardEvent('keyup', init));
}
