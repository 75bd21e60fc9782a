<script setup lang="ts">
import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { END_NAMES } from '../../../core/model/end.ts';
import { finishedPassesMm } from '../../../core/termination/throughHole.ts';
import type { CableWork } from '../../../core/cableWork.ts';
import { readersDigits } from '../../ui/display.ts';
import { say } from '../../../core/words/say.ts';

/** The hole end on, with the palm, barrel and cable of each end in it, to scale. */
const { cable, work } = defineProps<{ cable: Cable; work: CableWork }>();

const sized = (mm: number) => readersDigits(mm, 'mm', 1);
const holeMm = computed(() => cable.run.holeMm ?? null);
const ends = computed(() =>
  END_NAMES.map((name) => {
    const { lug, sleeve } = work.ends[name];
    const needs = lug ? finishedPassesMm(work.ends[name], work.conductor.outerMm) : 0;
    return { name, lug, wall: sleeve?.wallMm ?? 0, needs };
  }),
);
const largest = computed(() => Math.max(holeMm.value ?? 0, ...ends.value.map(({ needs }) => needs), 20));
const scale = computed(() => 104 / largest.value);
const MIDDLE = 60;
const centre = (i: number) => 74 + i * 152;
</script>

<template>
  <svg
    viewBox="0 0 300 152"
    class="hole-picture block w-full"
    role="img"
    :aria-label="say`Each end before the hole`"
  >
    <g v-for="({ name, lug, wall, needs }, i) in ends" :key="name">
      <circle
        v-if="holeMm"
        :cx="centre(i)"
        :cy="MIDDLE"
        :r="(holeMm / 2) * scale"
        fill="var(--lamp)"
        :stroke="needs > holeMm ? 'var(--fails)' : 'var(--line)'"
        stroke-width="1.8"
      />
      <template v-if="lug">
        <circle
          :cx="centre(i)"
          :cy="MIDDLE"
          :r="(lug.outerMm / 2 + wall) * scale"
          fill="var(--black)"
          stroke="var(--black-line)"
        />
        <circle
          :cx="centre(i)"
          :cy="MIDDLE"
          :r="(lug.outerMm / 2) * scale"
          fill="var(--copper-tint)"
          stroke="var(--copper-line)"
        />
        <rect
          :x="centre(i) - (lug.palmWidthMm / 2) * scale"
          :y="MIDDLE - (lug.palmThicknessMm / 2) * scale"
          :width="lug.palmWidthMm * scale"
          :height="lug.palmThicknessMm * scale"
          fill="var(--copper)"
          stroke="var(--copper-line)"
          stroke-width="1.2"
        />
        <text class="strong" :x="centre(i)" y="132" text-anchor="middle">
          {{ say`${name} needs ${sized(needs)}` }}
        </text>
        <text :x="centre(i)" y="147" text-anchor="middle">
          {{
            holeMm
              ? `${needs > holeMm ? say`does not pass` : say`passes`} ${sized(holeMm)}`
              : say`no hole given`
          }}
        </text>
      </template>
      <text v-else :x="centre(i)" y="132" text-anchor="middle">{{ say`${name}: no lug yet` }}</text>
    </g>
  </svg>
</template>

<style>
.hole-picture text {
  font: 400 14px var(--font-figure);
  fill: var(--ink2);
}
.hole-picture .strong {
  font-weight: 500;
  fill: var(--ink);
}
</style>
