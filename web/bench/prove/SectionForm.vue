<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { Cable } from '../../../core/model/cable.ts';
import type { EndName } from '../../../core/model/end.ts';
import { countingReadings } from '../../../core/proof/readings.ts';
import { TYPED } from '../../../core/proof/source.ts';
import QuantityField from '../../ui/QuantityField.vue';
import type { TakeReading } from './readings.ts';
import { say } from '../../../core/words/say.ts';

/** A crimp made in the same way and sawn: its picture is measured in the section lab, or its air is typed. */
const { name, cable, jobId, record } = defineProps<{
  name: EndName;
  cable: Cable;
  jobId: string;
  record: TakeReading;
}>();

const air = ref<number | null>(null);
/** The sample is taken to be as wide as this end's own last crimp, until it is given otherwise. */
const flats = ref<number | null>(countingReadings(cable, 'across-flats', name).at(-1)?.valueMm ?? null);
const problem = ref('');
const place = computed(() => ({
  name: 'section',
  params: { jobId },
  query: { cable: cable.id, end: name },
}));
function take(): void {
  problem.value = air.value === null || flats.value === null ? say`Both are needed.` : '';
  if (air.value === null || flats.value === null) return;
  const measured = {
    check: 'section' as const,
    end: name,
    voidShare: air.value / 100,
    largestShare: 0,
    acrossFlatsMm: flats.value,
  };
  if (record(measured, TYPED)) air.value = null;
}
</script>

<template>
  <div>
    <RouterLink :to="place" class="button filled mb-4 inline-flex">{{
      say`Measure a picture of it`
    }}</RouterLink>
    <form class="grid items-start gap-3 sm:grid-cols-[1fr_1fr_auto]" @submit.prevent="take">
      <QuantityField
        :label="say`Air in the outline`"
        kind="percent"
        :model-value="air"
        :least="0"
        :most="60"
        :hint="say`measured elsewhere`"
        optional
        @update:model-value="air = $event"
        @clear="air = null"
      />
      <QuantityField
        :label="say`Across flats of the sample`"
        kind="length"
        :model-value="flats"
        :least="1"
        :most="100"
        :decimals="2"
        optional
        @update:model-value="flats = $event"
        @clear="flats = null"
      />
      <button type="submit" class="button mt-[22px]">{{ say`Record the section` }}</button>
    </form>
    <p v-if="problem" class="mt-2 font-bold text-fails" role="alert">{{ problem }}</p>
  </div>
</template>
