<script setup lang="ts">
import { computed } from 'vue';
import type { Finding } from '../../core/finding/finding.ts';

/**
 * How much of a limit is used: a bar that comes up to its line, or a mark in its window. What is missing or simulated
 * is dashed; what has no margin to show has a tick on the line.
 */
const { finding } = defineProps<{ finding: Finding }>();

const WIDTH = 44;
const LINE = 35;

const isDashed = computed(() => finding.state === 'unproved');
const isWindow = computed(() => finding.limit?.kind === 'window');
const bar = computed(() => Math.min(WIDTH, Math.max(2, (finding.use ?? 0) * LINE)));
/** A value's place in its window: the window itself spans the middle half. */
const mark = computed(() => {
  const { limit, value } = finding;
  if (limit?.kind !== 'window' || value === null) return null;
  const share = (value - limit.least) / (limit.most - limit.least);
  return Math.min(WIDTH - 1, Math.max(1, 9 + share * 26));
});
</script>

<template>
  <svg :width="WIDTH" height="16" :viewBox="`0 0 ${WIDTH} 16`" aria-hidden="true" class="block">
    <template v-if="isWindow">
      <rect x="9" y="4" width="26" height="8" fill="var(--buff)" />
      <path d="M0 8H44" stroke="var(--hairline)" />
      <path d="M9 1V15M35 1V15" stroke="var(--line)" stroke-width="1.8" />
      <rect
        v-if="mark !== null"
        :x="mark - 1.5"
        y="3"
        width="3"
        height="10"
        :fill="finding.state === 'fails' ? 'var(--fails)' : 'var(--ink)'"
      />
    </template>
    <template v-else-if="finding.limit">
      <path d="M0 8H44" stroke="var(--hairline)" />
      <template v-if="finding.use !== undefined">
        <rect
          v-if="isDashed"
          x="0.5"
          y="4.5"
          :width="bar - 1"
          height="7"
          fill="none"
          stroke="var(--ink2)"
          stroke-dasharray="2.5 2"
        />
        <template v-else>
          <rect x="0" y="4" :width="Math.min(bar, LINE)" height="8" fill="var(--ink)" />
          <rect v-if="bar > LINE" :x="LINE" y="4" :width="bar - LINE" height="8" fill="var(--fails)" />
        </template>
      </template>
      <rect
        v-else-if="finding.state === 'unproved'"
        x="0.5"
        y="4.5"
        :width="LINE - 10"
        height="7"
        fill="none"
        stroke="var(--ink2)"
        stroke-dasharray="2.5 2"
      />
      <path
        v-else-if="finding.state === 'holds'"
        :d="`M${LINE - 5} 8l4 4 6-9`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <path v-else :d="`M${LINE - 4} 4l8 8m0-8l-8 8`" stroke="var(--fails)" stroke-width="2" />
      <path :d="`M${LINE} 0V16`" stroke="var(--line)" stroke-width="1.8" />
    </template>
  </svg>
</template>
