<script setup lang="ts">
import { computed } from 'vue';
import { TORCHES } from '../../core/catalogue/tables/solder.ts';
import { type HousePractice, METHODS, type School } from '../../core/practice/housePractice.ts';
import { useBench } from '../stores/bench.ts';
import ChoiceField from '../ui/ChoiceField.vue';
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

const setSolder = (change: Partial<HousePractice['solder']>) =>
  set('solder', 'solder')({ ...practice.value.solder, ...change });
const METHOD_CHOICES = METHODS.map((method) => ({ value: method, title: method }));
const COLOURS = [
  { value: 'jacket', title: 'red and black cable' },
  { value: 'sleeves', title: 'coloured sleeves', note: 'one colour of cable, bands at the ends' },
  { value: 'label', title: 'the label', note: 'discreet black at a visible end' },
] as const;
type Flame = keyof typeof TORCHES;
const FLAMES = (Object.keys(TORCHES) as Flame[]).map((name) => ({
  value: name,
  title: name,
  note: `${TORCHES[name]} W`,
}));
const flame = computed(
  () => FLAMES.find(({ value }) => TORCHES[value] === practice.value.solder.torchW)?.value,
);

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
    <h3 class="figure mt-4 border-b border-line pb-1 text-[17px] font-semibold">Ends</h3>
    <div class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-3">
      <ChoiceField
        label="Strands are held by"
        :model-value="practice.method"
        :choices="METHOD_CHOICES"
        @update:model-value="set('method', 'method')($event)"
      />
      <SegmentedField
        label="Die"
        :model-value="practice.dieStep"
        :choices="[
          { value: 'nominal', title: 'nominal' },
          { value: 'one under', title: 'one under' },
        ]"
        @update:model-value="(step) => set('dieStep', 'die')(step === 'one under' ? step : 'nominal')"
      />
      <SegmentedField
        label="First crimp"
        :model-value="practice.firstCrimp"
        :choices="[
          { value: 'palm', title: 'palm end' },
          { value: 'mouth', title: 'mouth end' },
        ]"
        @update:model-value="(first) => set('firstCrimp', 'first crimp')(first === 'mouth' ? first : 'palm')"
      />
      <SegmentedField
        label="Cut strands"
        :model-value="practice.cutStrands"
        :choices="[
          { value: 'none', title: 'none' },
          { value: 'pluck', title: 'pluck a few' },
        ]"
        @update:model-value="
          (school) => set('cutStrands', 'cut strands')(school === 'pluck' ? school : 'none')
        "
      />
      <SegmentedField
        label="Workmanship"
        :model-value="practice.workmanship"
        :choices="[
          { value: 'class2', title: 'class 2' },
          { value: 'class3', title: 'class 3' },
        ]"
        @update:model-value="(own) => set('workmanship', 'workmanship')(own === 'class3' ? own : 'class2')"
      />
      <SegmentedField
        label="Sealed by"
        :model-value="practice.seal"
        :choices="[
          { value: 'adhesive sleeve', title: 'its sleeve', spoken: 'a sleeve with adhesive in it' },
          { value: 'adhesive ring', title: 'a ring', spoken: 'a ring of adhesive under a plain sleeve' },
        ]"
        @update:model-value="
          (seal) => set('seal', 'seal')(seal === 'adhesive ring' ? seal : 'adhesive sleeve')
        "
      />
      <ChoiceField
        label="Polarity is told by"
        :model-value="practice.colours"
        :choices="COLOURS"
        @update:model-value="set('colours', 'colours')($event)"
      />
      <ChoiceField
        label="Flame"
        :model-value="flame"
        :choices="FLAMES"
        empty="another"
        @update:model-value="(name) => setSolder({ torchW: TORCHES[name] })"
      />
      <QuantityField
        label="Its power"
        kind="power"
        :model-value="practice.solder.torchW"
        :least="10"
        :most="20000"
        :decimals="0"
        @update:model-value="setSolder({ torchW: $event })"
      />
      <QuantityField
        label="Solder wire"
        kind="length"
        :model-value="practice.solder.wireMm"
        :least="0.3"
        :most="6"
        @update:model-value="setSolder({ wireMm: $event })"
      />
      <SegmentedField
        label="Flux"
        :model-value="practice.solder.flux"
        :choices="[
          { value: 'rosin', title: 'rosin' },
          { value: 'acid', title: 'acid' },
        ]"
        @update:model-value="(flux) => setSolder({ flux: flux === 'acid' ? 'acid' : 'rosin' })"
      />
      <CheckField
        class="self-center"
        label="turn a sixth between crimps"
        :model-value="practice.turnBetween"
        @update:model-value="(on) => set('turnBetween', 'turn between crimps')(on)"
      />
    </div>
    <p v-if="practice.solder.flux === 'acid'" class="mt-2 font-bold text-fails" role="alert">
      Acid flux eats the strands for years: every soldered end will fail. Rosin only.
    </p>
    <button type="button" class="button filled mt-4" @click="$emit('close')">Done</button>
  </ModalBox>
</template>
