<script setup lang="ts">
import { computed } from 'vue';
import type { ResolvedEnd } from '../../core/termination/resolveEnd.ts';
import QuantityField from '../ui/QuantityField.vue';
import type { TrialFigures } from '../../core/traveller/following.ts';
import { say } from '../../core/words/say.ts';

/** What a practice piece measured: the flats of its worst crimp and its ears, kept as a trial of this die. */
const { end, modelValue, problem } = defineProps<{
  end: ResolvedEnd;
  modelValue: TrialFigures;
  problem: string;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: TrialFigures] }>();

const set = (change: Partial<TrialFigures>) => emit('update:modelValue', { ...modelValue, ...change });
const across = computed(() =>
  end.die?.leaves === 'indent' ? say`Across the indent` : say`Across flats, the worst`,
);
</script>

<template>
  <div class="trial-entry">
    <div class="flex flex-wrap gap-4">
      <QuantityField
        :label="across"
        kind="length"
        class="w-52"
        :model-value="modelValue.acrossFlatsMm"
        :least="1"
        :most="100"
        :decimals="2"
        optional
        @update:model-value="set({ acrossFlatsMm: $event })"
        @clear="set({ acrossFlatsMm: null })"
      />
      <QuantityField
        :label="say`Ears before filing`"
        kind="length"
        class="w-52"
        :model-value="modelValue.earsMm"
        :least="0"
        :most="20"
        :decimals="2"
        optional
        :hint="say`none is 0`"
        @update:model-value="set({ earsMm: $event })"
        @clear="set({ earsMm: null })"
      />
    </div>
    <p v-if="problem" class="text-[16px] font-bold text-fails" role="alert">{{ problem }}</p>
  </div>
</template>

<style>
.trial-entry .field-input {
  height: 64px;
  font-size: 34px;
  font-weight: 600;
}
.trial-entry .label {
  font-size: 16px;
}
</style>
