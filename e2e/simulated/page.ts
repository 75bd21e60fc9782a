import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Readable } from 'node:stream';
import { createPinia } from 'pinia';
import { type App as Mounted, createApp } from 'vue';
import App from '../../web/App.vue';
import { INSTRUMENT_KINDS } from '../../core/model/tables/instruments.ts';
import { BY_EYE, meterOf } from '../../web/instruments/meter.ts';
import { router } from '../../web/router.ts';
import { flushDrafts, loadDrafts } from '../../web/storage/drafts.ts';
import { useBench } from '../../web/stores/bench.ts';
import { useKeeping } from '../../web/stores/keeping.ts';
import { keepFocus } from '../../web/ui/keepFocus.ts';
import { asItIs } from './asItIs.ts';
import { aMoment, point, press, until } from './hands.ts';
import { showAs } from './shown.ts';
import './pictures.ts';
import './sockets.ts';
import { readKept } from './store.ts';
import { Locator, type Wanted, type Words } from './locator.ts';

/** What went wrong with nobody to say so. */
export const uncaught: string[] = [];

/** A file that the page handed over. */
class Download {
  constructor(
    private readonly name: string,
    private readonly contents: Blob,
  ) {}
  suggestedFilename(): string {
    return this.name;
  }
  async createReadStream(): Promise<Readable> {
    return Readable.from([Buffer.from(await this.contents.arrayBuffer())]);
  }
}

const handedOver = new Map<string, Blob>();
let taken: Download[] = [];
URL.createObjectURL = (contents: Blob) => {
  const address = `blob:${randomUUID()}`;
  handedOver.set(address, contents);
  return address;
};
URL.revokeObjectURL = (address: string) => void handedOver.delete(address);
const follow = HTMLAnchorElement.prototype.click;
HTMLAnchorElement.prototype.click = function () {
  const contents = handedOver.get(this.getAttribute('href') ?? '');
  if (this.download && contents) taken.push(new Download(this.download, contents));
  else follow.call(this);
};

/** The box of the browser in which a file is chosen for a field. */
const chooserOf = (field: HTMLInputElement) => ({
  setFiles: (file: string) => new Locator(() => [field], 'the field of a file').setInputFiles(file),
});
type Chooser = ReturnType<typeof chooserOf>;
let opened: Chooser[] = [];
addEventListener(
  'click',
  ({ target }) =>
    target instanceof HTMLInputElement && target.type === 'file' && opened.push(chooserOf(target)),
  true,
);

document.title = /<title>(.*)<\/title>/.exec(readFileSync('index.html', 'utf8'))?.[1] ?? '';
keepFocus();

let isGoing = false;
router.beforeEach(() => void (isGoing = true));
router.afterEach(() => void (isGoing = false));
router.onError(() => void (isGoing = false));
/** Waits until the page is where it goes to. */
async function arrived(): Promise<void> {
  await aMoment();
  await until(
    () => !isGoing,
    () => 'it goes somewhere and does not come there',
  );
  await aMoment();
}

/** The page of the browser, as far as a spec asks it for anything that is not laid out. */
class Page {
  private app: Mounted | null = null;
  private readonly body = new Locator(() => [document as unknown as Element], '');

  /** Loads an address, as if the page were opened there. */
  async goto(path: string): Promise<void> {
    this.away();
    if (/\.svg$/.test(path)) return;
    document.body.innerHTML = '<div id="app"></div>';
    const app = createApp(App);
    app.config.errorHandler = (error) => void uncaught.push(String(error));
    app.use(createPinia());
    await Promise.all([useKeeping().open(readKept), loadDrafts()]);
    // Wherever it was before, it comes there anew.
    await router.push('/jobs');
    app.use(router);
    await router.push(path.replace(/^https?:\/\/[^/]+/, ''));
    app.mount('#app');
    this.app = app;
    await aMoment();
  }
  /** Waits until all that it still wanted to write is written. */
  async saved(): Promise<void> {
    if (this.app) await Promise.all([useBench().save(), flushDrafts()]);
  }
  /** Takes the page away, and what was connected to it. */
  away(): void {
    for (const kind of INSTRUMENT_KINDS) void meterOf(kind).choose(BY_EYE);
    this.app?.unmount();
    this.app = null;
    document.body.innerHTML = '';
    taken = [];
    opened = [];
  }
  async reload(): Promise<void> {
    await this.saved();
    await this.goto(router.currentRoute.value.fullPath);
  }
  async goBack(): Promise<void> {
    const { fullPath } = router.currentRoute.value;
    router.back();
    await until(
      () => router.currentRoute.value.fullPath !== fullPath,
      () => 'there is nothing to go back to',
    );
  }
  url(): string {
    return location.href;
  }
  async title(): Promise<string> {
    return document.title;
  }
  async waitForTimeout(): Promise<void> {
    await aMoment();
  }
  waitForEvent(what: 'download'): Promise<Download>;
  waitForEvent(what: 'filechooser'): Promise<Chooser>;
  waitForEvent(what: 'download' | 'filechooser'): Promise<unknown> {
    const comes = until<Download | Chooser | undefined>(
      () => (what === 'download' ? taken.shift() : opened.shift()),
      () => `no ${what} came`,
    );
    // Where what should have brought it went wrong, that is said.
    comes.catch(() => {});
    return comes;
  }
  async evaluate<T, A>(ask: (given: A) => T | Promise<T>, given: A): Promise<T> {
    const answer = await ask(given);
    await arrived();
    return answer;
  }
  async emulateMedia(as: { colorScheme?: string | null; media?: string | null }): Promise<void> {
    if (as.colorScheme !== undefined)
      document.documentElement.classList.toggle('dark', as.colorScheme === 'dark');
    if (as.media !== undefined) showAs(as.media ?? 'screen');
    await aMoment();
  }
  on(): void {}
  private takeBack: (() => void)[] = [];
  /** Puts something into the page before it loads: what the browser is given by it stays until {@link asItCame}. */
  async addInitScript(put: () => unknown): Promise<void> {
    this.takeBack.push(...[navigator, IDBObjectStore.prototype].map(asItIs));
    put();
  }
  /** Takes back what the browser was given. */
  asItCame(): void {
    for (const back of this.takeBack.splice(0)) back();
  }
  /** What may be done is never asked here. */
  context() {
    return { grantPermissions: async () => {} };
  }
  async setViewportSize({ width, height }: { width: number; height: number }): Promise<void> {
    Object.assign(globalThis, { innerWidth: width, innerHeight: height });
    dispatchEvent(new Event('resize'));
    await aMoment();
  }
  /** It is where it was held last, and what is pressed hears all that follows. */
  readonly mouse = {
    down: async (): Promise<void> => point('down'),
    move: async (x: number, y: number): Promise<void> => point('move', x, y),
    up: async (): Promise<void> => {
      point('up');
      await aMoment();
    },
  };
  readonly keyboard = {
    press: async (key: string): Promise<void> => {
      press(key);
      await aMoment();
    },
    type: async (text: string): Promise<void> => {
      for (const letter of text) await this.keyboard.press(letter);
    },
  };

  getByRole(role: string, wanted?: Wanted): Locator {
    return this.body.getByRole(role, wanted);
  }
  getByText(words: Words, how?: { exact?: boolean }): Locator {
    return this.body.getByText(words, how);
  }
  getByLabel(words: Words, how?: { exact?: boolean }): Locator {
    return this.body.getByLabel(words, how);
  }
  getByTestId(id: string): Locator {
    return this.body.getByTestId(id);
  }
  locator(selector: string, how?: { has?: Locator }): Locator {
    return this.body.locator(selector, how);
  }
}

export const page = new Page();
