import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, expect, test } from '@jest/globals';
import { typeErrors } from './typesWeb.ts';

const folder = mkdtempSync(join(tmpdir(), 'types-'));
afterAll(() => rmSync(folder, { recursive: true }));

const CHILD = 'import Child from "./Child.vue";';
/** Components by their names: script and template. */
const SOUND: Readonly<Record<string, readonly [string, string]>> = {
  Child: [
    'defineProps<{ label: string; size?: number }>(); defineEmits<{ done: [value: number] }>();',
    '<p>{{ label }}{{ size }}<slot name="x" :it="1" /></p>',
  ],
  Sound: [
    `import { ref } from "vue"; ${CHILD} const n = ref(1); const list = [{ a: 1 }];`,
    '<Child v-for="own in list" :key="own.a" :label="n.toFixed(1)" @done="n = $event"><template #x="{ it }">{{ it }}</template></Child>',
  ],
};
const FAULTY: Readonly<Record<string, readonly [string, string]>> = {
  Unused: ['const n = 1; const m = 2;', '<p>{{ m }}</p>'],
  UnusedImport: ['import { ref } from "vue";', '<p>a</p>'],
  InScript: ['const n: number = "a"; console.log(n);', '<p>a</p>'],
  InTemplate: ['const n = 1;', '<p>{{ n.foo }}</p>'],
  Unknown: ['const n = 1;', '<p>{{ n }}{{ nothing }}</p>'],
  WithoutProp: [CHILD, '<Child />'],
  WrongProp: [CHILD, '<Child :label="5" />'],
  WrongModel: [`${CHILD} const n = { a: 1 };`, '<Child v-model:label="n.a" />'],
  WrongHandler: [`${CHILD} const take = (s: string) => s.length;`, '<Child label="a" @done="take" />'],
  WrongEmit: ['defineEmits<{ done: [value: number] }>();', `<p @click="$emit('done', 'a')">a</p>`],
  WrongSlot: [CHILD, '<Child label="a"><template #x="{ it }">{{ it.foo }}</template></Child>'],
  WrongList: ['const list = [1, 2];', '<p v-for="own in list" :key="own">{{ own.foo }}</p>'],
  MaybeNone: ['const list = [{ a: 1 }];', '<p>{{ list[0].a }}</p>'],
  WrongClass: ['const n = 1;', '<p :class="{ a: m }" :style="n">x</p>'],
};

test('whatever is wrong in a component is found, and nothing in what is sound', () => {
  for (const shared of ['node_modules', 'tsconfig.base.json', 'tsconfig.web.json'])
    symlinkSync(resolve(shared), join(folder, shared));
  mkdirSync(join(folder, 'web'));
  for (const [name, [script, template]] of Object.entries({ ...SOUND, ...FAULTY }))
    writeFileSync(
      join(folder, 'web', `${name}.vue`),
      `<script setup lang="ts">\n${script}\n</script>\n\n<template>\n  ${template}\n</template>\n`,
    );
  const found = typeErrors(join(folder, 'tsconfig.web.json')).map(
    (error) => /(\w+)\.vue/.exec(error)?.[1] ?? error,
  );
  expect([...new Set(found)].sort()).toEqual(Object.keys(FAULTY).sort());
});
