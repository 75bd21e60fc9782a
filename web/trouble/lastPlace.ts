/** How the last place was opened: a page that fails at once would fail at every start, for good. */
const KEY = 'gruff-anchor-opening';
const MOST_TRIES = 2;

interface Opening {
  readonly place: string;
  readonly tries: number;
}

function kept(): Opening | null {
  try {
    const { place, tries } = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Opening>;
    return typeof place === 'string' && typeof tries === 'number' ? { place, tries } : null;
  } catch {
    return null;
  }
}
function keep(opening: Opening | null): void {
  try {
    if (opening) localStorage.setItem(KEY, JSON.stringify(opening));
    else localStorage.removeItem(KEY);
  } catch {
    // A browser that keeps nothing has no last place either.
  }
}

/** Notes that a place is about to be opened; false where it has failed twice already. */
export function mayOpen(place: string): boolean {
  const before = kept();
  const tries = before?.place === place ? before.tries : 0;
  if (tries >= MOST_TRIES) return false;
  keep({ place, tries: tries + 1 });
  return true;
}

/** The page stands: what was opened is no trouble. */
export const opened = (): void => keep(null);
