<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** Resistance from palm to palm. */
const { record } = defineProps<{ record: TakeReading }>();

const copperC = ref(20);
const measure = shallowRef<Measure>(null);
function take(): void {
  if (!measure.value) return;
  const measured = { check: 'resistance' as const, milliohm: measure.value.value, copperC: copperC.value };
  if (record(measured, measure.value.from)) measure.value = null;
}
</script>

<template>
  <form class="grid items-start gap-3 sm:grid-cols-[140px_minmax(0,1fr)_auto]" @submit.prevent="take">
    <QuantityField
      v-model="copperC"
      :label="say`Copper temperature`"
      kind="temperature"
      :least="-40"
      :most="120"
    />
    <MeasuredField
      v-model="measure"
      :label="say`Resistance, palm to palm`"
      kind="milliohm"
      quantity="milliohm"
      :decimals="4"
      :least="0"
      :most="100000"
      :hint="say`four wires, current both ways`"
      :probe="{ at: 'whole' }"
    />
    <button type="submit" class="button filled mt-[22px]">
      {{ say`Record` }}<span class="sr-only">{{ ' ' }}{{ say`Resistance` }}</span>
    </button>
  </form>
</template>
