// A page without a browser: a document, events, storage and addresses in bare Node, and nothing that is laid out or drawn.
// It stands before Vue is read, which looks for a document once. What the specs ask of Playwright is answered by it.
import 'fake-indexeddb/auto';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { GlobalWindow } from 'happy-dom';
import { WorkerHere } from './comlink.mjs';

// As it is built: under development it takes a tenth longer.
process.env.NODE_ENV = 'production';

const page = new GlobalWindow({ url: 'http://localhost/', width: 1280, height: 800 });

/** What Node has in a way of its own. */
const THE_PAGES = new Set(['Event', 'CustomEvent', 'navigator']);
const ITS_OWN = [page, Object.getPrototypeOf(page), Object.getPrototypeOf(Object.getPrototypeOf(page))];
for (const name of new Set(ITS_OWN.flatMap((own) => Object.getOwnPropertyNames(own)))) {
  if (name === 'constructor' || (name in globalThis && !THE_PAGES.has(name))) continue;
  const own = page[name];
  const isMethod = typeof own === 'function' && !/^[A-Z]/.test(name);
  const value = own === page ? globalThis : isMethod ? own.bind(page) : own;
  Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
}

// A window of another size is one for whatever asks how wide it is.
for (const side of ['innerWidth', 'innerHeight'])
  Object.defineProperty(globalThis, side, {
    get: () => page[side],
    set: (px) => void (page[side] = px),
    configurable: true,
  });

// It is the only tab there is.
Object.defineProperty(navigator, 'locks', {
  value: { request: async (name, options, held) => (held ?? options)({ name }) },
});
// The diagram's layout comes with a worker for places that have none.
globalThis.Worker = function (url, options) {
  if (!String(url).includes('elk-worker')) return new WorkerHere(url, options);
  return new (createRequire(import.meta.url)(String(url)).Worker)(url);
};
// Nothing is laid out, and nothing has a style: one that nobody sees takes long to work out.
const unstyled = new Proxy({}, { get: (_, name) => (name === 'getPropertyValue' ? () => '' : '') });
globalThis.getComputedStyle = page.getComputedStyle = () => unstyled;
// Whoever asks how large something is hears of a wide window.
const [WIDTH, HEIGHT] = [1000, 600];
for (const [side, px] of [
  ['Width', WIDTH],
  ['Height', HEIGHT],
])
  for (const of of ['client', 'offset'])
    Object.defineProperty(HTMLElement.prototype, `${of}${side}`, { get: () => px, configurable: true });
const box = { x: 0, y: 0, left: 0, top: 0, right: WIDTH, bottom: HEIGHT, width: WIDTH, height: HEIGHT };
Element.prototype.getBoundingClientRect = () => ({ ...box });
globalThis.ResizeObserver = class {
  constructor(tell) {
    this.tell = tell;
  }
  observe(target) {
    const contentRect = { width: WIDTH, height: HEIGHT };
    const size = [{ inlineSize: WIDTH, blockSize: HEIGHT }];
    const entry = { target, contentRect, contentBoxSize: size, borderBoxSize: size };
    setTimeout(() => this.tell?.([entry], this));
  }
  unobserve() {}
  disconnect() {
    this.tell = null;
  }
};
// What is longer than the window says so itself: a list of which only a part is drawn.
Object.defineProperty(HTMLElement.prototype, 'scrollHeight', {
  get() {
    const most = Math.max(0, ...[...this.children].map(({ style }) => Number.parseFloat(style?.height) || 0));
    return Math.max(HEIGHT, most);
  },
  configurable: true,
});
Element.prototype.scrollTo = function ({ top = this.scrollTop, left = this.scrollLeft }) {
  Object.assign(this, { scrollTop: top, scrollLeft: left });
  this.dispatchEvent(new Event('scroll'));
};
// Addresses are those of files.
globalThis.fetch = async (address) => new Response(await readFile(address));

// What is drawn on it is drawn nowhere, and what is written has no width.
const nothing = new Proxy(
  {},
  { get: (own, name) => own[name] ?? (() => ({ width: 0, addColorStop: () => {} })), set: () => true },
);
HTMLCanvasElement.prototype.getContext = function () {
  return (
    this.nothing ??
    Object.assign(this, { nothing: Object.create(nothing, { canvas: { value: this } }) }).nothing
  );
};
// What is seen of it is for the browser.
globalThis.axe = { run: async () => ({ violations: [] }) };
