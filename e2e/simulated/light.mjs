// A map that is made when something is put into it. Each part of a page has thirteen, of which hardly one is ever used:
// to make and to clear them away took a fifth of the time.
const NOTHING = new Map();

export class LightMap {
  kept = null;
  get own() {
    return this.kept ?? NOTHING;
  }
  set(key, value) {
    (this.kept ??= new Map()).set(key, value);
    return this;
  }
  get(key) {
    return this.kept?.get(key);
  }
  has(key) {
    return this.own.has(key);
  }
  delete(key) {
    return this.own.delete(key);
  }
  clear() {
    this.kept?.clear();
  }
  get size() {
    return this.own.size;
  }
  keys() {
    return this.own.keys();
  }
  values() {
    return this.own.values();
  }
  entries() {
    return this.own.entries();
  }
  forEach(tell) {
    this.own.forEach(tell);
  }
  [Symbol.iterator]() {
    return this.own.entries();
  }
}
