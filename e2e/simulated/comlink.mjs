import { setImmediate } from 'node:timers/promises';

// What is worked out beside the page is worked out in it: what is asked and what is answered are copies all the same.
const exposed = (globalThis.exposedByWorkers ??= new Map());
/** What was handed over instead of copied. */
const moved = (globalThis.handedToWorkers ??= new WeakSet());
const copied = (own) => (moved.has(own) ? own : structuredClone(own));

export const expose = (work) => void exposed.set(new URL(import.meta.url).searchParams.get('for'), work);
export const proxy = (own) => own;
export const transfer = (own) => {
  moved.add(own);
  return own;
};
export const releaseProxy = Symbol('released');

const never = () => new Promise(() => {});
/** What a worker tells meanwhile comes as a message: the page does other things first, and one that was ended is not answered. */
const heardFrom =
  (worker, hear) =>
  async (...told) => {
    await setImmediate();
    return worker.isEnded ? never() : copied(await hear(...told.map(copied)));
  };

export const wrap = (worker) =>
  new Proxy(worker, {
    get: (_, name) => {
      if (name === 'then') return undefined;
      if (name === releaseProxy) return () => {};
      return async (...asked) => {
        const work = await worker.work;
        const given = asked.map((own) => (typeof own === 'function' ? heardFrom(worker, own) : copied(own)));
        const answer = copied(await work[name](...given));
        return worker.isEnded ? never() : answer;
      };
    },
  });

/** Where the tests' bundle has what is written at an address. */
const bundled = (url) => url.replace(/\/web\/workers\/([^/]+)\.ts$/, '/.cache/page/web/workers/$1.js');

/** Is what a worker is to the page. */
export class WorkerHere extends EventTarget {
  isEnded = false;
  constructor(url, { name = '' } = {}) {
    super();
    globalThis.name = name;
    this.work = import(bundled(String(url))).then(() => exposed.get(String(url)));
    this.work.catch(() => this.dispatchEvent(new Event('error')));
  }
  postMessage() {}
  terminate() {
    this.isEnded = true;
  }
}
