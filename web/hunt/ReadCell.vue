<script setup lang="ts">
import { ref, watch } from 'vue';
import { brief } from '../../core/words/numerals.ts';
import type { QuantityKind } from '../../core/model/units/entryUnits.ts';
import { parseQuantity } from '../../core/model/units/quantity.ts';
import { say } from '../../core/words/say.ts';

/** A figure under its piece: what is wrong with an entry is said by the row, and what was typed stays. */
const { label, kind, modelValue, least, most, decimals } = defineProps<{
  label: string;
  kind: Extract<QuantityKind, 'millivolt' | 'current'>;
  modelValue: number | null;
  least: number;
  most: number;
  decimals: number;
  unit: string;
  marked?: boolean;
  simulated?: boolean;
}>();
const emit = defineEmits<{
  'update:modelValue': [value: number];
  clear: [];
  problem: [sentence: string];
}>();

const typed = ref('');
const isBad = ref(false);
const written = (value: number) => brief(value, decimals).replaceAll('\u2009', '');
watch(
  () => modelValue,
  (value) => {
    typed.value = value === null ? '' : written(value);
    isBad.value = false;
  },
  { immediate: true },
);

function commit(): void {
  if (typed.value.trim() === '') {
    isBad.value = false;
    emit('problem', '');
    if (modelValue !== null) emit('clear');
    return;
  }
  if (modelValue !== null && typed.value === written(modelValue)) return;
  const entry = parseQuantity(typed.value, kind);
  const sentence = !entry.ok
    ? entry.sentence
    : entry.value < least || entry.value > most
      ? say`${typed.value} is out of range: ${written(least)} to ${written(most)}.`
      : '';
  isBad.value = sentence !== '';
  emit('problem', sentence);
  if (entry.ok && sentence === '') emit('update:modelValue', entry.value);
}
</script>

<template>
  <div class="relative">
    <input
      v-model="typed"
      class="figure h-10 w-full rounded-box border bg-paper pr-[21px] pl-0.5 text-right text-[17px] font-semibold"
      :class="[
        isBad ? 'border-2 border-fails' : 'border-teal',
        marked ? 'bg-teal-tint' : '',
        simulated ? 'border-dashed' : '',
      ]"
      :aria-label="label"
      :aria-invalid="isBad"
      autocomplete="off"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="commit"
      @keydown.enter="commit"
    />
    <span
      class="figure pointer-events-none absolute top-1/2 right-1 -translate-y-1/2 text-[13px] text-ink2"
      aria-hidden="true"
      >{{ unit }}</span
    >
    <span
      v-if="simulated"
      class="figure absolute inset-x-0 -bottom-[7px] mx-auto w-fit bg-paper px-0.5 text-[11px] leading-[13px] font-semibold"
      >{{ say`SIMULATED` }}</span
    >
  </div>
</template>
