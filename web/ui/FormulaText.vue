<script setup lang="ts">
import { computed } from 'vue';
import { type Message, tellWork } from '../../core/words/message.ts';

/** A line of formula: `R_joint` sets its index low. */
const { line } = defineProps<{ line: Message }>();

const parts = computed(() =>
  tellWork(line)
    .split(/(?<=\p{L})_([\p{L}\d]+)/u)
    .map((text, i) => ({ text, low: i % 2 === 1 }))
    .filter(({ text }) => text !== ''),
);
</script>

<template>
  <span class="figure text-[15px] leading-5 font-medium">
    <template v-for="(part, i) in parts" :key="i">
      <sub v-if="part.low" class="text-[12px]">{{ part.text }}</sub>
      <template v-else>{{ part.text }}</template>
    </template>
  </span>
</template>
