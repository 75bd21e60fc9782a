<script setup lang="ts">
import { readersLocale } from '../words.ts';
import { Check, CircleAlert } from '@lucide/vue';
import { computed } from 'vue';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** Whether what was last done is kept, and why not where it is not. */
const bench = useBench();
const timeOfDay = new Intl.DateTimeFormat(readersLocale(), { hour: '2-digit', minute: '2-digit' });
const saved = computed(() => {
  const state = bench.saveState;
  if (state.kind === 'saving') return say`Saving …`;
  if (state.kind === 'failed') return state.sentence;
  return state.at ? say`Saved on this device, ${timeOfDay.format(state.at)}` : say`Saved on this device`;
});
</script>

<template>
  <p
    class="flex min-w-0 items-center gap-1.5 text-ink2"
    :class="bench.saveState.kind === 'failed' ? 'font-bold text-fails' : 'max-sm:sr-only'"
    role="status"
    data-testid="saved"
  >
    <CircleAlert v-if="bench.saveState.kind === 'failed'" :size="16" class="shrink-0" aria-hidden="true" />
    <Check v-else :size="16" class="shrink-0" aria-hidden="true" /><span class="truncate">{{ saved }}</span>
  </p>
</template>
