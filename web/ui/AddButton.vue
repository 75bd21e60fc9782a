<script setup lang="ts">
import { Plus } from '@lucide/vue';
import { computed } from 'vue';
import { fullSays, type MOST } from '../../core/model/limits.ts';

/** Adds one to a list, while there is room in it; why not is said beside it. */
const { list, count } = defineProps<{ list: keyof typeof MOST; count: number; filled?: boolean }>();
defineEmits<{ add: [] }>();

const full = computed(() => fullSays(list, count));
</script>

<template>
  <span class="inline-flex flex-wrap items-center gap-x-2">
    <button
      type="button"
      class="button inline-flex items-center gap-1"
      :class="filled ? 'filled' : ''"
      :disabled="full !== ''"
      @click="$emit('add')"
    >
      <Plus :size="16" aria-hidden="true" /> <slot />
    </button>
    <span v-if="full" class="note" role="status">{{ full }}</span>
  </span>
</template>
