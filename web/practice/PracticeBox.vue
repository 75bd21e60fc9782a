<script setup lang="ts">
import { computed } from 'vue';
import type { HousePractice, School } from '../../core/practice/housePractice.ts';
import { useBench } from '../stores/bench.ts';
import CheckField from '../ui/CheckField.vue';
import ModalBox from '../ui/ModalBox.vue';
import QuantityField from '../ui/QuantityField.vue';
import SegmentedField from '../ui/SegmentedField.vue';

/** House practice: where good practitioners disagree, what this shop does. A cable may say otherwise. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();

const bench = useBench();
const practice = computed(() => bench.shop.practice);

function set<Key extends keyof HousePractice>(key: Key, what: string) {
  return (value: HousePractice[Key]) =>
    bench.edit(`practice: ${what}`, (draft) => {
      (draft.shop.practice as HousePractice)[key] = value;
    });
}
const setSchool = (school: School, on: boolean) =>
  set('schools', 'schools')({ ...practice.value.schools, [school]: on });

const SCHOOLS: readonly [School, string][] = [
  ['quick', 'Printed 3/10 %: cold copper, drop alone'],
  ['inch', 'Inch-gauge table: small craft, heat alone'],
  ['metric', 'Metric table: small craft, heat alone'],
  ['heat', 'Heat balance: this very cable in this very air'],
];
const PULLS = [
  { value: 'least', title: 'least' },
  { value: 'usual', title: 'usual' },
  { value: 'heaviest', title: 'heaviest' },
] as const;
</script>

<template>
  <ModalBox :open="open" title="House practice" wide @close="$emit('close')">
    <p class="mb-3">
      Where good shops disagree, what this one does. It is practice, not law: local codes, class rules and a
      licensed person where the law asks for one come first.
    </p>
    <h3 class="figure border-b border-line pb-1 text-[17px] font-semibold">Schools of sizing that bind</h3>
    <div class="my-3 grid gap-y-4 sm:grid-cols-2">
      <CheckField
        v-for="[school, title] in SCHOOLS"
        :key="school"
        :label="title"
        :model-value="practice.schools[school]"
        @update:model-value="(on) => setSchool(school, on)"
      />
    </div>
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <SegmentedField
        label="One size up, as a margin"
        :model-value="practice.oneSizeUp ? 'on' : 'off'"
        :choices="[
          { value: 'off', title: 'off' },
          { value: 'on', title: 'on' },
        ]"
        @update:model-value="(value) => set('oneSizeUp', 'one size up')(value === 'on')"
      />
      <QuantityField
        label="Amps kept back"
        kind="percent"
        :model-value="practice.ampsMarginPercent"
        :least="0"
        :most="50"
        @update:model-value="set('ampsMarginPercent', 'amps kept back')($event)"
      />
      <QuantityField
        label="Fuse over the load, ×"
        kind="number"
        :model-value="practice.fuseOverLoad"
        :least="1"
        :most="2"
        :decimals="2"
        @update:model-value="set('fuseOverLoad', 'fuse over the load')($event)"
      />
      <QuantityField
        label="Terminations stand"
        kind="temperature"
        :model-value="practice.terminationC"
        :least="60"
        :most="200"
        :decimals="0"
        @update:model-value="set('terminationC', 'terminations')($event)"
      />
      <SegmentedField
        label="Crimps side by side"
        :model-value="practice.crimps"
        :choices="[
          { value: 1, title: '1' },
          { value: 2, title: '2' },
        ]"
        @update:model-value="(crimps) => set('crimps', 'crimps')(crimps === 1 ? 1 : 2)"
      />
      <QuantityField
        label="Gap at the mouth"
        kind="length"
        :model-value="practice.gapMm"
        :least="0"
        :most="4"
        hint="0–2 crimp, 2–4 to feed solder"
        @update:model-value="set('gapMm', 'gap')($event)"
      />
      <QuantityField
        label="Sleeve on the jacket, × its diameter"
        kind="number"
        :model-value="practice.sleeveOnJacket"
        :least="0.5"
        :most="5"
        :decimals="2"
        @update:model-value="set('sleeveOnJacket', 'sleeve cover')($event)"
      />
      <SegmentedField
        label="Pull a proof must reach"
        :model-value="practice.pull"
        :choices="PULLS"
        class="col-span-2"
        @update:model-value="set('pull', 'pull')($event)"
      />
    </div>
    <button type="button" class="button filled mt-4" @click="$emit('close')">Done</button>
  </ModalBox>
</template>
