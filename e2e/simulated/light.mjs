// What a part of a simulated page is made of, lighter than it comes: `scripts/lightPage.mjs` puts it in its place. Making
// the parts and clearing them away took a third of the time, most of it for what hardly one of them ever needs.
import * as of from 'happy-dom/lib/PropertySymbol.js';
import NodeFactory from 'happy-dom/lib/nodes/NodeFactory.js';

const NOTHING = new Map();

/** A map that is made when something is put into it. */
export class LightMap {
  kept = null;
  get own() {
    return this.kept ?? NOTHING;
  }
  set(key, value) {
    (this.kept ??= new Map()).set(key, value);
    return this;
  }
  add(key) {
    return this.set(key, key);
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

/** What has a light map of each of these names, made and kept when it is first asked for. */
const holderOf = (...names) => {
  class Holder {
    kept = null;
  }
  for (const name of names)
    Object.defineProperty(Holder.prototype, name, {
      get() {
        return ((this.kept ??= {})[name] ??= new LightMap());
      },
      set(map) {
        (this.kept ??= {})[name] = map;
      },
    });
  return Holder;
};

/** What listens to a part, on the way down and on the way up. */
export const LightListeners = holderOf('capturing', 'bubbling');

/** What was looked for in a part, by how. */
export class LightCache extends holderOf(
  ...['querySelector', 'querySelectorAll', 'matches', 'elementById'],
  ...['elementByTagName', 'elementsByTagName', 'elementsByTagNameNS'],
) {
  computedStyle = null;
}

/** A node that nothing listens to, that holds nothing, and in which nothing is looked for, as an attribute is. */
export function lightly(Node) {
  function LightNode() {
    this[of.ownerDocument] = this[of.window]?.document ?? NodeFactory.pullOwnerDocument();
    this[of.window] ??= this[of.ownerDocument][of.window];
  }
  const nothing = { value: Object.freeze([]) };
  LightNode.prototype = Object.create(Node.prototype, {
    [of.nodeArray]: nothing,
    [of.elementArray]: nothing,
    [of.mutationListeners]: nothing,
    [of.affectsCache]: nothing,
  });
  return LightNode;
}

const HANDED_DOWN = [
  [of.styleNode, 'STYLE'],
  [of.textAreaNode, 'TEXTAREA'],
  [of.formNode, 'FORM'],
  [of.selectNode, 'SELECT'],
];

/**
 * Whether a part that is put into one which is not on the page yet has all that it gets from it already; then whatever is
 * in it has too. A page is put together from the innermost part outwards, and each of them would be gone through at every
 * step.
 */
export function hasAllOf(part, into) {
  if (!into || part[of.isConnected] || into[of.isConnected] || part[of.shadowRoot]) return false;
  if (part[of.ownerDocument] !== into[of.ownerDocument] || part[of.rootNode] !== into[of.rootNode])
    return false;
  return HANDED_DOWN.every(
    ([which, from]) => !into[which] || part[which] === into[which] || part[of.tagName] === from,
  );
}
