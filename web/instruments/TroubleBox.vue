<script setup lang="ts">
import { choicesOf } from '../ui/choicesOf.ts';
import { computed } from 'vue';
import type { InstrumentKind } from '../../core/model/tables/instruments.ts';
import { TROUBLES } from '../../core/instrument/standIn/protocol.ts';
import SegmentedField from '../ui/SegmentedField.vue';
import { meterOf, STAND_IN } from './meter.ts';
import { say } from '../../core/words/say.ts';

/** Trouble for a stand-in to make, so that one sees what a bad lead or a wrong setting looks like. */
const { kind } = defineProps<{ kind: InstrumentKind }>();

const meter = computed(() => meterOf(kind));
const isOn = computed(() => meter.value.state.chosen === STAND_IN && meter.value.state.status === 'on');
</script>

<template>
  <details v-if="isOn" class="mt-2">
    <summary class="compact cursor-pointer py-2 text-teal">{{ say`Simulate a fault` }}</summary>
    <SegmentedField
      :label="say`Trouble`"
      :model-value="meter.state.trouble"
      :choices="choicesOf(TROUBLES)"
      @update:model-value="meter.setTrouble($event)"
    />
    <p class="note mt-1">{{ say`It gives no figure: what cannot be read is left out and reported.` }}</p>
  </details>
</template>
