<script setup lang="ts">
import { computed } from 'vue';
import type { Place } from '../../core/model/system.ts';
import { DCDC_POST, HALF } from './layout.ts';
import LoadSign from './LoadSign.vue';

/** A place on the diagram, on its own middle: the shapes of the fault hunt, standing upright. */
const { place, isOpen = false } = defineProps<{
  place: Place;
  /** An open switch or a blown fuse. */
  isOpen?: boolean;
}>();

const h = computed(() => HALF[place.kind]);
const posts = computed<readonly [number, number][]>(() =>
  place.kind === 'dcdc'
    ? [
        [-DCDC_POST, -h.value],
        [DCDC_POST, -h.value],
        [-DCDC_POST, h.value],
        [DCDC_POST, h.value],
      ]
    : [
        [0, -h.value],
        [0, h.value],
      ],
);
</script>

<template>
  <g class="place-shape" stroke="var(--ink)" stroke-width="1.4">
    <template v-if="place.kind === 'battery'">
      <rect x="-28" :y="-h + 6" width="56" :height="2 * h - 12" fill="var(--buff)" />
      <rect x="-22" :y="-h" width="16" height="7" fill="var(--steel)" transform="translate(14 0)" />
      <rect x="-8" :y="h - 7" width="16" height="7" fill="var(--steel)" />
      <text x="-18" y="-3" text-anchor="middle">+</text>
      <text x="-18" y="14" text-anchor="middle">−</text>
      <path d="M-6 -7H18M-1 3H13" stroke-width="2.2" fill="none" />
    </template>
    <template v-else-if="place.kind === 'load'">
      <circle r="26" fill="var(--paper)" />
      <LoadSign :look="place.look" />
    </template>
    <template v-else-if="place.kind === 'supply'">
      <rect x="-26" y="-26" width="52" height="52" rx="6" fill="var(--paper)" />
      <LoadSign :look="place.sort" />
    </template>
    <template v-else-if="place.kind === 'dcdc'">
      <rect x="-30" :y="-h" width="60" :height="2 * h" rx="6" fill="var(--paper)" />
      <path d="M-12 0H10M4 -6L11 0L4 6" fill="none" stroke-width="2" />
    </template>
    <template v-else-if="place.kind === 'fuse'">
      <rect x="-13" :y="-h" width="26" :height="2 * h" fill="var(--paper)" />
      <path v-if="isOpen" d="M0 -15V-6M0 15V6" fill="none" stroke-width="1.8" />
      <path v-else d="M0 -15V-9C-9 -5 -9 -2 0 0S9 5 0 9V15" fill="none" stroke-width="1.8" />
    </template>
    <template v-else-if="place.kind === 'breaker'">
      <rect x="-13" :y="-h" width="26" :height="2 * h" rx="3" fill="var(--paper)" />
      <path :d="isOpen ? 'M0 12L-9 -9' : 'M0 12L-4 -10'" fill="none" stroke-width="2.2" />
      <path d="M-4 -10H4" stroke-width="2.2" />
    </template>
    <template v-else-if="place.kind === 'switch'">
      <circle :r="h" fill="var(--paper)" />
      <rect
        x="-4.5"
        y="-14"
        width="9"
        height="28"
        rx="4"
        fill="var(--red)"
        stroke="var(--red-line)"
        :transform="isOpen ? 'rotate(90)' : ''"
      />
    </template>
    <template v-else-if="place.kind === 'relay'">
      <rect x="-20" :y="-h" width="40" :height="2 * h" rx="3" fill="var(--paper)" />
      <path :d="isOpen ? 'M0 12L-9 -8' : 'M0 12V-12'" fill="none" stroke-width="2.2" />
      <path d="M10 -10H16V10H10M10 -3H16M10 4H16" fill="none" />
    </template>
    <template v-else-if="place.kind === 'shunt'">
      <rect x="-13" :y="-h" width="26" height="13" fill="var(--copper)" stroke="var(--copper-line)" />
      <rect x="-13" :y="h - 13" width="26" height="13" fill="var(--copper)" stroke="var(--copper-line)" />
      <path d="M-7 -8V8M0 -8V8M7 -8V8" stroke-width="2.2" />
    </template>
    <g v-for="([x, y], i) in posts" :key="i">
      <circle v-if="place.kind !== 'battery'" :cx="x" :cy="y" r="4" fill="var(--steel)" stroke-width="1.2" />
    </g>
  </g>
</template>

<style>
.place-shape text {
  font: 600 15px var(--font-figure);
  fill: var(--ink);
  stroke: none;
}
</style>
