/** What one tab tells the others. */
type Told = 'saved' | 'give way';

const LOCK = 'gruff-anchor-writes';
const CHANNEL = 'gruff-anchor-tabs';
/** How long the tab that writes may take to save and give way, before it is taken from it, ms. */
const PATIENCE_MS = 3000;
/** How often it is asked: one that has just begun to write did not hear the first time, ms. */
const ASK_AGAIN_MS = 400;

/** Which of several tabs writes. */
export interface Tabs {
  /** Tells the others that something was saved. */
  readonly tellSaved: () => void;
  /** Asks the tab that writes to save and give way, and writes from then on. */
  readonly takeOver: () => Promise<void>;
}

/**
 * Lets one tab of this application write and the others follow. A tab that follows writes as soon as the one before it
 * is closed, or gives way. A tab that was frozen and lost its turn meanwhile is kept from writing by the store itself:
 * see `claimWriting` of `library.ts`, which `lead` calls first.
 *
 * @param lead is called when this tab may write: first it takes over what is stored
 * @param follow is called when another tab writes
 * @param changed is called in a tab that follows when the other has saved
 * @param flush saves what is not saved yet
 */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export function joinTabs(hear: {
  readonly lead: () => Promise<void>;
  readonly follow: () => void;
  readonly changed: () => void;
  readonly flush: () => Promise<void>;
}): Tabs {
  // Without locks or channels there is nothing to ask: one tab, as far as anybody can tell.
  if (!('locks' in navigator) || typeof BroadcastChannel === 'undefined') {
    void hear.lead();
    return { tellSaved: () => {}, takeOver: () => Promise.resolve() };
  }
  const channel = new BroadcastChannel(CHANNEL);
  let isLeading = false;
  let giveWay: (() => void) | null = null;

  /** Held for as long as this tab writes. */
  const holding = () =>
    new Promise<void>((resolve) => {
      giveWay = resolve;
    });
  async function lead(): Promise<void> {
    await hear.lead();
    isLeading = true;
    await holding();
    isLeading = false;
    giveWay = null;
    hear.follow();
  }
  /** It was taken from this tab, or could not be had: another one writes now. */
  const lost = () => {
    isLeading = false;
    giveWay = null;
    hear.follow();
    queue();
  };
  const queue = () => void navigator.locks.request(LOCK, lead).catch(lost);

  channel.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data === 'saved' && !isLeading) hear.changed();
    if (data === 'give way' && isLeading) {
      // Asked twice it gives way once.
      const give = giveWay;
      giveWay = null;
      if (!give) return;
      void hear.flush().finally(() => {
        give();
        queue();
      });
    }
  };
  void navigator.locks
    .request(LOCK, { ifAvailable: true }, async (lock) => {
      if (lock) return lead();
      hear.follow();
      queue();
    })
    .catch(lost);

  return {
    tellSaved: () => channel.postMessage('saved' satisfies Told),
    takeOver: () =>
      new Promise((resolve) => {
        const ask = () => channel.postMessage('give way' satisfies Told);
        ask();
        const began = performance.now();
        let asked = began;
        const wait = setInterval(() => {
          const now = performance.now();
          if (isLeading) {
            clearInterval(wait);
            resolve();
          } else if (now - began > PATIENCE_MS) {
            clearInterval(wait);
            void navigator.locks.request(LOCK, { steal: true }, lead).catch(lost);
            resolve();
          } else if (now - asked > ASK_AGAIN_MS) {
            asked = now;
            ask();
          }
        }, 50);
      }),
  };
}
