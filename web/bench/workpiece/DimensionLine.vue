<script setup lang="ts">
import { computed } from 'vue';
import { SHEET } from './sheet.ts';

/**
 * A dimension: a line with oblique ticks between two places, its text in the line or beside it. Pressing it opens
 * the figure it shows.
 */
const { from, to, y, text, textX, textWidth, inside, strong, label } = defineProps<{
  from: number;
  to: number;
  y: number;
  text: string;
  textX: number;
  textWidth: number;
  inside: boolean;
  strong: boolean;
  /** The text as it is spoken. */
  label: string;
}>();
defineEmits<{ open: [] }>();

const gap = computed(() => textWidth / 2 + 3);
const tick = (x: number) => `M${x - 3} ${y + 3}L${x + 3} ${y - 3}`;
const line = computed(() =>
  inside ? `M${from} ${y}H${textX - gap.value}M${textX + gap.value} ${y}H${to}` : `M${from} ${y}H${to}`,
);
</script>

<template>
  <g
    role="button"
    tabindex="0"
    class="dimension cursor-pointer"
    :class="strong ? 'strong' : ''"
    :aria-label="label"
    @click="$emit('open')"
    @keydown.enter.prevent="$emit('open')"
    @keydown.space.prevent.stop="$emit('open')"
  >
    <rect :x="textX - gap - 4" :y="y - 14" :width="textWidth + 14" height="28" fill="transparent" />
    <path :d="line" class="rule" />
    <path :d="tick(from) + tick(to)" class="tick" />
    <text :x="textX" :y="y + 5" text-anchor="middle" :font-size="SHEET.figureSize">{{ text }}</text>
  </g>
</template>
