/** So many elements that had the keyboard are remembered, the last one first. */
const REMEMBERED = 8;
const FOCUSABLE = 'a[href], button:not([disabled]), input:not([disabled]), textarea, select, [tabindex="0"]';

interface Held {
  readonly element: Element;
  /** What it stood in, from the nearest outwards. */
  readonly within: readonly Element[];
}

function around(element: Element): Element[] {
  const found: Element[] = [];
  for (let at = element.parentElement; at && at !== document.body; at = at.parentElement) found.push(at);
  return found;
}

function take(element: Element): boolean {
  if (!(element instanceof HTMLElement) || !element.isConnected) return false;
  element.focus({ preventScroll: true });
  return document.activeElement === element;
}

/**
 * Never lets the keyboard fall to the page: where what had it is taken away, by deleting, putting back or renaming, it
 * goes to what stood nearest to it.
 */
export function keepFocus(): void {
  let held: Held[] = [];
  document.addEventListener('focusin', ({ target }) => {
    if (!(target instanceof Element)) return;
    held = [{ element: target, within: around(target) }, ...held.filter(({ element }) => element !== target)];
    held = held.slice(0, REMEMBERED);
  });
  // Who presses beside everything means it.
  document.addEventListener('pointerdown', ({ target }) => {
    if (target instanceof Element && !target.closest(`${FOCUSABLE}, label, [role], svg`)) held = [];
  });
  const restore = () => {
    const [last] = held;
    if (!last || last.element.isConnected) return;
    if (document.activeElement && document.activeElement !== document.body) return;
    for (const near of last.within) {
      if (!near.isConnected) continue;
      // Of the same kind as what went: a field that was not asked for would take what is typed.
      const alike = [...near.querySelectorAll(FOCUSABLE)].filter(
        ({ tagName }) => tagName === last.element.tagName,
      );
      if (alike.some(take)) return;
      if (near.matches('section, main, [role="dialog"], [role="group"]')) break;
    }
    if (held.slice(1).some(({ element }) => take(element))) return;
    const main = document.querySelector('main');
    if (!main) return;
    main.tabIndex = -1;
    take(main);
  };
  new MutationObserver(() => {
    const [last] = held;
    // Whatever takes its place is there a frame later.
    if (last && !last.element.isConnected) requestAnimationFrame(restore);
  }).observe(document.body, { childList: true, subtree: true });
}
