<script setup lang="ts">
import { say } from '../../core/words/say.ts';

/** How far a long list has come; nothing once it is whole. */
const { done, all } = defineProps<{ done: number; all: number }>();
</script>

<template>
  <p v-if="done < all" class="flex items-center gap-2 py-1 print:hidden" role="status">
    <progress :value="done" :max="all" class="h-2 w-40 accent-[var(--teal)]" aria-hidden="true" />
    <span class="figure text-[15px]">{{ say`${done} of ${all} cables` }}</span>
  </p>
</template>
