/** Parts of a page that have a name of their own. */
const PART = 'section, [role="dialog"], [role="group"], main';
const PRESSED = 'a[href], button, input, textarea, select, label, [role], [tabindex], svg';

/** What has the keyboard, and what it stands in, from the nearest outwards. */
interface Held {
  readonly element: Element;
  readonly within: readonly Element[];
}

function around(element: Element): Element[] {
  const found: Element[] = [];
  for (let at = element.parentElement; at && at !== document.body; at = at.parentElement) found.push(at);
  return found;
}

/**
 * Never lets the keyboard fall to the page: where what had it is taken away, by deleting, putting back or renaming, it
 * goes to the part that this stood in. Not to another control of it: what is pressed next would press that one.
 */
export function keepFocus(): void {
  let held: Held | null = null;
  document.addEventListener('focusin', ({ target }) => {
    if (target instanceof Element) held = { element: target, within: around(target) };
  });
  // Who presses beside everything means it.
  document.addEventListener('pointerdown', ({ target }) => {
    if (target instanceof Element && !target.closest(PRESSED)) held = null;
  });
  function restore(): void {
    if (!held || held.element.isConnected) return;
    if (document.activeElement && document.activeElement !== document.body) return;
    const near = held.within.find((own) => own.isConnected && own.matches(PART));
    const part = near ?? document.querySelector('main');
    if (!(part instanceof HTMLElement)) return;
    if (!part.hasAttribute('tabindex')) part.tabIndex = -1;
    part.focus({ preventScroll: true });
  }
  new MutationObserver(() => {
    // Whatever takes its place is there a frame later.
    if (held && !held.element.isConnected) requestAnimationFrame(restore);
  }).observe(document.body, { childList: true, subtree: true });
}
