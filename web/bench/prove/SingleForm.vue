<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watchEffect } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { FLATS, nextPlace } from '../../../core/proof/crimpsRead.ts';
import { countingReadings } from '../../../core/proof/readings.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import { askedPlace } from './asked.ts';
import { crimpSays, type TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** A figure of one crimp by calliper: across its flats, or its ears. The drawing shows where it is measured. */
const { check, name, cable, work, record } = defineProps<{
  check: 'across-flats' | 'ears';
  name: EndName;
  cable: Cable;
  work: CableWork;
  record: TakeReading;
}>();

const measure = shallowRef<Measure>(null);
const crimps = computed(() => Math.max(1, work.ends[name].crimps.length));
const readings = computed(() => countingReadings(cable, check, name));
/** What comes next; where all of it is measured, the first crimp is asked again. */
const next = computed(() => nextPlace(readings.value, crimps.value) ?? { crimp: 1, flat: 1 });
/** Chosen by hand, until it is measured. */
const chosen = ref<{ crimp?: number; flat?: number }>({});
const crimp = computed(() => chosen.value.crimp ?? next.value.crimp);
const flat = computed(() => chosen.value.flat ?? (crimp.value === next.value.crimp ? next.value.flat : 1));
watchEffect(() => {
  askedPlace.value = { end: name, crimp: crimp.value, flat: flat.value };
});
onScopeDispose(() => {
  askedPlace.value = null;
});

const numbers = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ value: `${i + 1}`, title: `${i + 1}` }));
const crimpChoices = computed(() =>
  numbers(crimps.value).map(({ value }) => ({ value, title: crimpSays(Number(value), crimps.value) })),
);
const measured = computed(() => new Set(readings.value.map((reading) => reading.crimp ?? 0)).size);
const hint = computed(() => {
  if (check === 'ears') return say`at the worst place of this crimp; none is 0`;
  return measured.value < crimps.value
    ? say`crimp ${crimpSays(crimp.value, crimps.value)}, flats ${flat.value}`
    : say`every crimp is measured: the worst of them counts`;
});
function take(): void {
  if (!measure.value) return;
  const { value: valueMm, from } = measure.value;
  const place = { end: name, crimp: crimp.value, valueMm };
  const isTaken =
    check === 'ears'
      ? record({ check, ...place }, from)
      : record({ check, ...place, flat: flat.value }, from);
  if (!isTaken) return;
  measure.value = null;
  chosen.value = {};
}
</script>

<template>
  <form class="grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_auto]" @submit.prevent="take">
    <MeasuredField
      v-model="measure"
      :label="check === 'ears' ? say`Flash (ears) before filing` : say`Across flats`"
      kind="calliper"
      quantity="length"
      :least="check === 'ears' ? 0 : 0.5"
      :most="check === 'ears' ? 20 : 100"
      :hint="hint"
      :probe="{ at: check === 'ears' ? 'ears' : 'flats', end: name }"
    />
    <button type="submit" class="button filled mt-[22px]">
      {{ say`Record`
      }}<span class="sr-only">
        {{ check === 'ears' ? say`Flash (ears) before filing` : say`Across flats` }}</span
      >
    </button>
    <div class="col-span-full flex flex-wrap gap-3">
      <SegmentedField
        v-if="crimps > 1"
        :label="say`Crimp`"
        :model-value="`${crimp}`"
        :choices="crimpChoices"
        @update:model-value="chosen = { crimp: Number($event) }"
      />
      <SegmentedField
        v-if="check === 'across-flats'"
        :label="say`Pair of flats`"
        :model-value="`${flat}`"
        :choices="numbers(FLATS)"
        @update:model-value="chosen = { crimp, flat: Number($event) }"
      />
    </div>
  </form>
</template>
