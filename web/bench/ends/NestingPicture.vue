<script setup lang="ts">
import { tell } from '../../../core/words/message.ts';
import { computed } from 'vue';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import { readersDigits } from '../../ui/display.ts';
import { say } from '../../../core/words/say.ts';

/** The layers parked on the cable as they went on, the first farthest from the lug; what cannot pass it is marked. */
const { end, outerMm, jacket } = defineProps<{ end: ResolvedEnd; outerMm: number; jacket: string }>();

const sized = (mm: number) => readersDigits(mm, 'mm', 1);

const WIDTH = 340;
const CENTRE = 26;
const scale = computed(() => Math.min(1.5, 34 / ((end.lug?.outerMm ?? outerMm) + 6)));
const half = computed(() => (outerMm / 2) * scale.value);
/** The lug stands at the left; the cable runs to the right and each layer has its own stretch of it. */
const parked = computed(() => {
  const start = 74;
  const each = (WIDTH - start - 6) / Math.max(1, end.nesting.length);
  return [...end.nesting].reverse().map((layer, i) => ({
    ...layer,
    order: end.nesting.length - i,
    x: start + i * each,
    width: each - 6,
    half: half.value + 3 + (layer.layer === 'boot' ? 4 : layer.layer === 'sleeve' ? 2 : 0),
  }));
});
const fillOf = (layer: string) =>
  layer === 'band'
    ? `var(--${end.bandColour}, var(--paper))`
    : layer === 'label'
      ? 'var(--tag)'
      : layer === 'glass'
        ? 'var(--buff)'
        : 'var(--black)';
</script>

<template>
  <div>
    <svg :viewBox="`0 0 ${WIDTH} 52`" class="block w-full" aria-hidden="true">
      <g v-if="end.lug" fill="var(--copper)" stroke="var(--copper-line)" stroke-width="1.1">
        <rect
          x="34"
          :y="CENTRE - (end.lug.outerMm / 2) * scale"
          width="32"
          :height="end.lug.outerMm * scale"
        />
        <path
          :d="`M34 ${CENTRE - (end.lug.palmWidthMm / 2) * scale}H10Q4 ${CENTRE - (end.lug.palmWidthMm / 2) * scale} 4 ${CENTRE}Q4 ${CENTRE + (end.lug.palmWidthMm / 2) * scale} 10 ${CENTRE + (end.lug.palmWidthMm / 2) * scale}H34Z`"
        />
        <circle cx="18" :cy="CENTRE" :r="(end.lug.holeMm / 2) * scale" fill="var(--paper)" />
      </g>
      <rect
        x="66"
        :y="CENTRE - half"
        :width="WIDTH - 66"
        :height="2 * half"
        :fill="`var(--${jacket})`"
        :stroke="`var(--${jacket}-line)`"
      />
      <g v-for="layer in parked" :key="layer.layer">
        <rect
          :x="layer.x"
          :y="CENTRE - layer.half"
          :width="layer.width"
          :height="2 * layer.half"
          :fill="fillOf(layer.layer)"
          stroke="var(--line)"
          :stroke-dasharray="layer.layer === 'braid' || layer.layer === 'glass' ? '3 2' : undefined"
          rx="1.5"
        />
        <circle :cx="layer.x + layer.width / 2" :cy="CENTRE" r="9" fill="var(--paper)" stroke="var(--line)" />
        <text
          :x="layer.x + layer.width / 2"
          :y="CENTRE + 5"
          text-anchor="middle"
          class="figure"
          font-size="14"
          font-weight="600"
          fill="var(--ink)"
        >
          {{ layer.order }}
        </text>
      </g>
    </svg>
    <ol class="mt-1">
      <li
        v-for="(layer, i) in end.nesting"
        :key="layer.layer"
        class="flex items-baseline gap-2 border-b border-hairline py-1 last:border-b-0"
      >
        <span class="figure w-4 text-[15px] font-semibold">{{ i + 1 }}</span>
        <span class="min-w-0 flex-1">
          {{ tell(layer.title) }}
          <span class="note block leading-4">{{ tell(layer.why) }}</span>
        </span>
        <span class="figure text-[15px]">{{ sized(layer.mustPassMm) }}</span>
        <span
          class="w-[90px] text-right whitespace-nowrap text-[12px] font-bold"
          :class="layer.afterLug ? 'text-ink2' : 'text-close'"
          >{{ layer.afterLug ? say`passes the lug` : say`before the lug` }}</span
        >
      </li>
    </ol>
  </div>
</template>
