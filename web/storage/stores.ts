import localforage from 'localforage';

/** What a browser keeps, apart by what it is. A name that is added is made in every browser at its next start. */
const NAMES = ['library', 'aside', 'versions', 'drafts', 'photos', 'training'] as const;
const ASKED = ['ready', 'keys', 'getItem', 'setItem', 'removeItem', 'clear'] as const;

export type Store = Pick<LocalForage, (typeof ASKED)[number]>;
export type Stores = Readonly<Record<(typeof NAMES)[number], Store>>;

/**
 * The stores of a database. None is asked before all are open: one that is made later takes the connection from under
 * the others, and what they are asked at that moment may never be answered; nor is anything from then on.
 *
 * @example await storesOf('gruff-anchor').drafts.keys()
 */
export function storesOf(database: string): Stores {
  const all = NAMES.map((storeName) => localforage.createInstance({ name: database, storeName }));
  let opening: Promise<unknown> | undefined;
  const opened = () => (opening ??= Promise.allSettled(all.map((own) => own.ready())));
  const whenOpened =
    (own: Store, what: (typeof ASKED)[number]) =>
    async (...given: readonly never[]) => {
      await opened();
      return (own[what] as (...all: readonly never[]) => Promise<unknown>)(...given);
    };
  return Object.fromEntries(
    all.map((own, i) => [NAMES[i], Object.fromEntries(ASKED.map((what) => [what, whenOpened(own, what)]))]),
  ) as unknown as Stores;
}

/** The stores of this browser. */
export const stores = storesOf('gruff-anchor');
