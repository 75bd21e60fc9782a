// The document of a simulated page, made lighter where it is bundled; see `e2e/simulated/light.mjs`.
import { readFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';

const LIGHT = resolve('e2e/simulated/light.mjs');

/** By file of happy-dom: what it has, what stands there instead, and how often. */
const INSTEAD = {
  'event/EventTarget': [
    [/\{\s+bubbling: new Map\(\),\s+capturing: new Map\(\)\s+\}/g, 'new LightListeners()', 2],
  ],
  'nodes/node/Node': [
    [/\{(\s+\w+: new Map\(\),){7}\s+computedStyle: null\s+\}/g, 'new LightCache()', 1],
    [/if \(cache\.(\w+)\.size\)/g, 'if (cache.kept?.$1?.size)', 7],
    [/new Map\(\)/g, 'new LightMap()', 7],
    [
      /\[PropertySymbol\.connectedToNode\]\(\) \{/g,
      '$&if (hasAllOf(this, this[PropertySymbol.parentNode])) return;',
      1,
    ],
  ],
  'nodes/element/Element': [
    [/pointerCaptures\] = new Set\(\)/g, 'pointerCaptures] = new LightMap()', 1],
    [/propertyEventListeners\] = new Map\(\)/g, 'propertyEventListeners] = new LightMap()', 1],
  ],
  'nodes/attr/Attr': [[/extends Node\b/g, 'extends lightly(Node)', 1]],
};

const FILES = new RegExp(`happy-dom/lib/(${Object.keys(INSTEAD).join('|')})\\.js$`);

/** @throws Error where happy-dom is no longer written as it was */
export const lightPage = {
  name: 'light page',
  setup({ onLoad }) {
    onLoad({ filter: FILES }, ({ path }) => {
      let written = readFileSync(path, 'utf8');
      for (const [what, instead, often] of INSTEAD[FILES.exec(path)[1]]) {
        const found = written.match(what)?.length ?? 0;
        if (found !== often) throw new Error(`${path} has ${found} of ${what}, and should have ${often}`);
        written = written.replace(what, instead);
      }
      const names = 'hasAllOf, LightCache, LightListeners, LightMap, lightly';
      return {
        contents: `import { ${names} } from ${JSON.stringify(LIGHT)};\n${written}`,
        resolveDir: dirname(path),
      };
    });
  },
};
