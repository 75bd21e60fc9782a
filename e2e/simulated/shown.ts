/** From which width on what begins with these words holds, px. */
const FROM: Readonly<Record<string, number>> = { sm: 640, md: 768, lg: 1024, xl: 1280, '2xl': 1536 };
const SHOWS = /^(block|inline|inline-block|flex|inline-flex|grid|inline-grid|contents|table|table-cell)$/;

let isOnPaper = false;
/** Shows the page as on a screen, or as it is printed. */
export const showAs = (media: string): void => void (isOnPaper = media === 'print');

/** Whether the style sheet takes an element with these classes away in a window so wide. */
function takesAway(classes: string, width: number): boolean {
  let away = false;
  for (const own of classes.split(/\s+/)) {
    const [word = '', when] = own.split(':').toReversed();
    const least = when === undefined || (when === 'print' && isOnPaper) ? 0 : FROM[when];
    const most = when?.startsWith('max-') ? FROM[when.slice(4)] : undefined;
    const holds = most === undefined ? least !== undefined && width >= least : width < most;
    if (holds && word === 'hidden') away = true;
    else if (holds && when !== undefined && SHOWS.test(word)) away = false;
  }
  return away;
}
const known = new Map<string, boolean>();
function isTakenAway(element: Element): boolean {
  const classes = element.getAttribute('class');
  if (!classes?.includes('hidden')) return false;
  const key = `${innerWidth} ${isOnPaper} ${classes}`;
  const away = known.get(key) ?? takesAway(classes, innerWidth);
  known.set(key, away);
  return away;
}

const isFolded = (around: Element | null, own: Element): boolean =>
  around?.localName === 'details' && !around.hasAttribute('open') && own.localName !== 'summary';

/** Whether an element is put away, whatever it stands in. */
const isPutAway = (own: Element): boolean =>
  own.hasAttribute('hidden') ||
  isTakenAway(own) ||
  /display:\s*none/.test(own.getAttribute('style') ?? '') ||
  isFolded(own.parentElement, own);

/** Whether something holds of an element or of anything that it stands in. */
function holdsAround(element: Element, holds: (own: Element) => boolean): boolean {
  for (let own: Element | null = element; own; own = own.parentElement) if (holds(own)) return true;
  return false;
}

/** Whether an element can be seen, as far as that is known without laying it out. */
export const isShown = (element: Element): boolean => element.isConnected && !holdsAround(element, isPutAway);

/** Whether an element says of itself that it is not to be read out. */
export const isUnread = (own: Element): boolean => own.getAttribute('aria-hidden') === 'true';

/** Whether an element is put away or not to be read out, or something that it stands in is. */
export const isKeptFromReaders = (element: Element): boolean =>
  holdsAround(element, (own) => isUnread(own) || isPutAway(own));
