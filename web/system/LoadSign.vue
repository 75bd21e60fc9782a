<script setup lang="ts">
import type { LoadLook } from '../../core/model/tables/places.ts';

/** What a load does, in a circle. */
defineProps<{ look: LoadLook | 'solar' | 'alternator' | 'mains' }>();
</script>

<template>
  <g fill="none" stroke="var(--ink)" stroke-width="1.5" stroke-linejoin="round">
    <template v-if="look === 'thruster'">
      <path
        v-for="turn in [0, 90, 180, 270]"
        :key="turn"
        :transform="`rotate(${turn})`"
        d="M0 -3C-7 -8 -6 -16 1 -16C6 -13 6 -7 3 -1"
      />
      <circle r="3" fill="var(--ink)" stroke="none" />
    </template>
    <template v-else-if="look === 'windlass'">
      <path d="M-13 9H13M-8 9V-8H8V9M-11 -8H11M-8 -3H8M-8 3H8" />
    </template>
    <path v-else-if="look === 'inverter'" d="M-14 0C-10 -13 -4 -13 0 0S10 13 14 0" stroke-width="1.8" />
    <path v-else-if="look === 'panel'" d="M-11 -8H11M-11 0H11M-11 8H11" stroke-width="2.2" />
    <template v-else-if="look === 'starter'">
      <path d="M-14 6V-6H2V6ZM2 -3H8V3H2" />
      <path d="M8 -7H13V7H8ZM8 -3H13M8 1H13" />
    </template>
    <path v-else-if="look === 'heater'" d="M-12 10V-2L-6 6V-10L0 6V-10L6 6V-2L12 10" />
    <template v-else-if="look === 'motor'">
      <circle r="9" />
      <path d="M-4 -4L6 0L-4 4Z" fill="var(--ink)" stroke="none" />
    </template>
    <path v-else-if="look === 'solar'" d="M-14 9L-7 -10H14L7 9ZM-10.5 0H10.5M-3 -10L-7 9M5 -10L1 9" />
    <template v-else-if="look === 'alternator'">
      <circle r="10" />
      <path d="M0 -10A10 10 0 0 1 8.6 5M10 -1L8.6 5L3 3" />
    </template>
    <path v-else-if="look === 'mains'" d="M-6 -12V-4M6 -12V-4M-10 -4H10V1C10 6 6 9 0 9S-10 6 -10 1ZM0 9V15" />
    <path v-else d="M-9 -9L9 9M9 -9L-9 9" />
  </g>
</template>
