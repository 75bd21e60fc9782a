<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { computed } from 'vue';
import type { State } from '../../core/finding/finding.ts';
import { STATE_WORDS } from '../../core/finding/states.ts';
import { say } from '../../core/words/say.ts';

/** A state by shape, colour and word: a bar short of its limit line, touching it, past it, or dashed. */
const {
  state,
  close = false,
  word = true,
  would = false,
} = defineProps<{
  state: State;
  close?: boolean;
  word?: boolean;
  would?: boolean;
}>();

const FULL = { fill: 'currentColor', stroke: 'none' };
/** The bar by what it says; one stands a hundred times on a page, so it is drawn as one path. */
const BARS = {
  holds: { d: 'M0 3H8V9H0Z', ...FULL },
  close: { d: 'M0 3H13V9H0Z', ...FULL },
  fails: { d: 'M0 3H18V9H0Z', ...FULL },
  watch: { d: 'M0.75 3.75H11.75V8.25H0.75Z', 'stroke-width': 1.5 },
  unproved: { d: 'M0.5 3.5H9.5V8.5H0.5Z', 'stroke-width': 1, 'stroke-dasharray': '2 1.5' },
} as const;

const shown = computed(() => (close && (state === 'holds' || state === 'watch') ? 'close' : state));
const text = computed(() =>
  would ? say`would ${STATE_WORDS[shown.value].base}` : STATE_WORDS[shown.value].says,
);
const colour = computed(() =>
  would || shown.value === 'unproved'
    ? 'text-ink2'
    : shown.value === 'fails'
      ? 'text-fails'
      : shown.value === 'holds'
        ? 'text-holds'
        : 'text-close',
);
</script>

<template>
  <span class="inline-flex max-w-full items-center gap-[3px]" :class="colour">
    <svg
      width="16"
      height="12"
      viewBox="0 0 18 12"
      fill="none"
      stroke="currentColor"
      aria-hidden="true"
      class="shrink-0"
    >
      <path v-bind="BARS[shown]" />
      <path d="M13 0V12" stroke-width="1.8" />
    </svg>
    <span :class="word ? 'min-w-0 font-text text-[12px] leading-[13px] font-bold' : 'sr-only'">{{
      tell(text)
    }}</span>
  </span>
</template>
