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
    <svg width="16" height="12" viewBox="0 0 18 12" aria-hidden="true" class="shrink-0">
      <g fill="currentColor">
        <rect v-if="shown === 'holds'" x="0" y="3" width="8" height="6" />
        <rect v-else-if="shown === 'close'" x="0" y="3" width="13" height="6" />
        <rect v-else-if="shown === 'fails'" x="0" y="3" width="18" height="6" />
      </g>
      <g fill="none" stroke="currentColor">
        <rect v-if="shown === 'watch'" x="0.75" y="3.75" width="11" height="4.5" stroke-width="1.5" />
        <rect
          v-else-if="shown === 'unproved'"
          x="0.5"
          y="3.5"
          width="9"
          height="5"
          stroke-dasharray="2 1.5"
          stroke-width="1"
        />
        <path d="M13 0V12" stroke-width="1.8" />
      </g>
    </svg>
    <span v-if="word" class="min-w-0 font-text text-[12px] leading-[13px] font-bold">{{ tell(text) }}</span>
    <span v-else class="sr-only">{{ tell(text) }}</span>
  </span>
</template>
