<script setup lang="ts">
import { computed } from 'vue';
import type { WorkedCable } from '../../core/cableWork.ts';

/** The cable in small: both ends as they are put on, the middle left out. */
const { worked } = defineProps<{ worked: WorkedCable }>();

const crimps = computed(() => ({
  A: worked.work.ends.A.crimps.length,
  B: worked.work.ends.B.crimps.length,
}));
const isLugged = computed(() => ({ A: worked.work.ends.A.lug !== null, B: worked.work.ends.B.lug !== null }));
</script>

<template>
  <svg viewBox="0 0 560 64" class="block h-auto w-full max-w-[560px]" aria-hidden="true">
    <g
      v-for="name in ['A', 'B'] as const"
      :key="name"
      :transform="name === 'A' ? '' : 'translate(560 0) scale(-1 1)'"
    >
      <rect
        x="106"
        y="17"
        width="130"
        height="30"
        :fill="`var(--${worked.cable.jacket})`"
        :stroke="`var(--${worked.cable.jacket}-line)`"
        stroke-width="1.2"
      />
      <path d="M236 17c-6 8 6 22 0 30" fill="none" stroke="var(--paper)" stroke-width="4" />
      <template v-if="isLugged[name]">
        <path
          d="M56 16H26A24 16 0 0 0 26 48H56L64 44H112V20H64Z"
          fill="var(--copper)"
          stroke="var(--copper-line)"
          stroke-width="1.4"
        />
        <circle cx="30" cy="32" r="9" fill="var(--paper)" stroke="var(--copper-line)" stroke-width="1.4" />
        <rect
          v-for="n in crimps[name]"
          :key="n"
          :x="64 + n * 16"
          y="19"
          width="10"
          height="26"
          fill="var(--crimp)"
          stroke="var(--copper-line)"
        />
      </template>
    </g>
  </svg>
</template>
