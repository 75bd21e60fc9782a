<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import type { CableWork } from '../../../core/cableWork.ts';
import type { EndName } from '../../../core/model/end.ts';
import MeasuredField, { type Measure } from '../../instruments/MeasuredField.vue';
import QuantityField from '../../ui/QuantityField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** Millivolts at a load current over one joint, or over a stretch of the conductor where no end is named. */
const { name, work, record } = defineProps<{ name: EndName | null; work: CableWork; record: TakeReading }>();

const amps = ref(Math.round(work.choice.taken.at.currentA ?? 100));
const spanMm = ref(name ? 30 : 1000);
const copperC = ref(25);
const drop = shallowRef<Measure>(null);
function take(): void {
  if (!drop.value) return;
  const measured = {
    check: 'drop' as const,
    ...(name && { end: name }),
    millivolt: drop.value.value,
    amps: amps.value,
    spanMm: spanMm.value,
    copperC: copperC.value,
  };
  if (record(measured, drop.value.from)) drop.value = null;
}
</script>

<template>
  <form @submit.prevent="take">
    <div class="grid items-start gap-3 sm:grid-cols-3">
      <QuantityField
        v-model="amps"
        :label="say`Load`"
        kind="current"
        :least="1"
        :most="20000"
        :decimals="0"
      />
      <QuantityField
        v-model="spanMm"
        :label="name ? say`Distance past the barrel` : say`Between the probes`"
        kind="length"
        :least="name ? 0 : 10"
        :most="name ? 2000 : 1000000"
        :decimals="0"
      />
      <QuantityField
        v-model="copperC"
        :label="say`Copper temperature`"
        kind="temperature"
        :least="-40"
        :most="200"
      />
      <MeasuredField
        v-model="drop"
        class="sm:col-span-2"
        :label="name ? say`Shoulder to probe` : say`mV over that length`"
        kind="millivolt"
        quantity="millivolt"
        :least="0"
        :most="100000"
        :probe="
          name
            ? { at: 'loaded joint', end: name, amps, beyondMm: spanMm }
            : { at: 'loaded length', amps, lengthMm: Math.max(10, spanMm) }
        "
      />
      <button type="submit" class="button filled mt-[22px]">{{ say`Record the drop` }}</button>
    </div>
  </form>
</template>
