<script setup lang="ts">
import { computed } from 'vue';
import type { Jacket } from '../../core/model/cable.ts';

/** A cable in the rack: its thickness true against the others, its length only hinted at. */
const {
  outerMm,
  lengthMm,
  jacket,
  width = 100,
} = defineProps<{
  outerMm: number;
  lengthMm: number;
  jacket: Jacket;
  width?: number;
}>();

/** Thickness, px a mm; lengths from 0.3 to 10 m spread over the width. */
const PX_PER_MM = 0.78;
const body = computed(() => Math.max(3.5, outerMm * PX_PER_MM));
const share = computed(() =>
  Math.min(1, Math.max(0, Math.log(Math.max(lengthMm, 200) / 200) / Math.log(50))),
);
const long = computed(() => 26 + share.value * (width - 40));
const lug = computed(() => Math.max(4, body.value * 0.95));
</script>

<template>
  <svg :width="width" height="20" :viewBox="`0 0 ${width} 20`" aria-hidden="true" class="block shrink-0">
    <g stroke="var(--copper-line)" fill="var(--copper)" stroke-width="0.8">
      <rect x="0.5" :y="10 - lug / 2" width="11" :height="lug" rx="2.5" />
      <rect :x="long - 0.5" :y="10 - lug / 2" width="11" :height="lug" rx="2.5" />
      <circle cx="4" cy="10" r="1.5" fill="var(--paper)" />
      <circle :cx="long + 7" cy="10" r="1.5" fill="var(--paper)" />
    </g>
    <rect
      x="9"
      :y="10 - body / 2"
      :width="long - 7"
      :height="body"
      :fill="`var(--${jacket})`"
      :stroke="`var(--${jacket}-line)`"
      stroke-width="0.9"
    />
  </svg>
</template>
