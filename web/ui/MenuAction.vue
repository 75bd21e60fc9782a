<script setup lang="ts">
import { MenuItem } from '@headlessui/vue';

/** One thing that a menu does. */
defineProps<{ title: string }>();
defineEmits<{ act: [] }>();
</script>

<template>
  <MenuItem v-slot="{ active }">
    <button
      type="button"
      class="min-h-11 w-full px-3 text-left"
      :class="active ? 'bg-teal-tint' : ''"
      @click="$emit('act')"
    >
      {{ title }}
    </button>
  </MenuItem>
</template>
