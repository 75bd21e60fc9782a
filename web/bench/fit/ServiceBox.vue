<script setup lang="ts">
import { computed, ref } from 'vue';
import { duesOf, fittedDay } from '../../../core/fit/service.ts';
import type { Cable } from '../../../core/model/cable.ts';
import { useBench } from '../../stores/bench.ts';
import DueRow from '../../ui/DueRow.vue';
import SegmentedField from '../../ui/SegmentedField.vue';
import TextField from '../../ui/TextField.vue';
import type { Measured } from '../prove/readings.ts';
import { say } from '../../../core/words/say.ts';

/** After it is fitted: when it is tightened again and looked at, and what was found. */
const { cable, record } = defineProps<{ cable: Cable; record: (measured: Measured) => boolean }>();

const bench = useBench();
const dues = computed(() => duesOf(cable, bench.shop.practice));
const fitted = computed(() => fittedDay(cable));
const found = ref('');
const fine = ref<'fine' | 'not fine'>('fine');
function take(): void {
  if (record({ check: 'inspection', fine: fine.value === 'fine', found: found.value })) found.value = '';
}
</script>

<template>
  <div>
    <p v-if="!fitted && dues.length === 0">
      {{
        say`Nothing is due before both studs are tightened. Then retighten after ${bench.shop.practice.service.retorqueDays} days and inspect every ${bench.shop.practice.service.lookMonths} months: house practice.`
      }}
    </p>
    <ul>
      <DueRow v-for="due in dues" :key="due.what + due.since" :due="due" />
    </ul>
    <div v-if="fitted" class="mt-2 grid items-start gap-3 sm:grid-cols-[minmax(0,1fr)_200px_auto]">
      <TextField
        :label="say`Inspected today: what was found`"
        :model-value="found"
        :longest="300"
        :hint="
          say`Heat marks, green copper, rubbed jacket, loose support. Tightened again: record the torque above.`
        "
        @update:model-value="found = $event"
      />
      <SegmentedField
        v-model="fine"
        :label="say`Condition`"
        :choices="[
          { value: 'fine', title: say`fine` },
          { value: 'not fine', title: say`something wrong` },
        ]"
      />
      <button type="button" class="button mt-[22px]" @click="take">{{ say`Record the inspection` }}</button>
    </div>
  </div>
</template>
