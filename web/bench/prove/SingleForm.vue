<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { countingReadings } from '../../../core/proof/readings.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** A figure of one crimp by calliper: across its flats, or its ears. */
const { check, name, cable, work, record } = defineProps<{
  check: 'across-flats' | 'ears';
  name: EndName;
  cable: Cable;
  work: CableWork;
  record: TakeReading;
}>();

const measure = shallowRef<Measure>(null);
const hint = computed(() => {
  if (check === 'ears') return say`at the worst place; none is 0`;
  const taken = countingReadings(cable, check, name).length;
  const crimps = Math.max(1, work.ends[name].crimps.length);
  return taken < crimps
    ? say`crimp ${taken + 1} of ${crimps}`
    : say`all are measured: the worst of them counts`;
});
function take(): void {
  if (!measure.value) return;
  const { value: valueMm, from } = measure.value;
  if (record({ check, end: name, valueMm }, from)) measure.value = null;
}
</script>

<template>
  <form class="grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_auto]" @submit.prevent="take">
    <MeasuredField
      v-model="measure"
      :label="check === 'ears' ? say`Ears, unfiled` : say`Across flats`"
      kind="calliper"
      quantity="length"
      :least="check === 'ears' ? 0 : 0.5"
      :most="check === 'ears' ? 20 : 100"
      :hint="hint"
      :probe="{ at: check === 'ears' ? 'ears' : 'flats', end: name }"
    />
    <button type="submit" class="button filled mt-[22px]">
      {{ say`Record`
      }}<span class="sr-only"> {{ check === 'ears' ? say`Ears, unfiled` : say`Across flats` }}</span>
    </button>
  </form>
</template>
