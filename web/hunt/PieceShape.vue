<script setup lang="ts">
import type { ChainPieceKind } from '../../core/model/tables/chainPieces.ts';

/** One piece of a chain, drawn on its own middle; not to scale. */
const { kind, side, wide } = defineProps<{
  kind: ChainPieceKind | 'load';
  side: 'out' | 'back';
  /** Room from edge to edge, px. */
  wide: number;
}>();

const jacket = () => (side === 'out' ? 'red' : 'black');
const h = () => wide / 2;
</script>

<template>
  <g class="piece-shape" stroke-width="1" stroke="var(--copper-line)">
    <!-- What carries the current runs through every column. -->
    <rect
      v-if="kind !== 'load' && kind !== 'chassis'"
      :x="-h()"
      y="-7"
      :width="wide"
      height="14"
      fill="var(--copper)"
      stroke="none"
    />
    <path
      v-if="kind !== 'load' && kind !== 'chassis'"
      :d="`M${-h()} -7H${h()}M${-h()} 7H${h()}`"
      fill="none"
    />
    <template v-if="kind === 'post'">
      <path
        :d="side === 'out' ? 'M-12 -21L14 -15V15L-12 21Z' : 'M12 -21L-14 -15V15L12 21Z'"
        fill="var(--steel)"
        stroke="var(--ink)"
      />
      <text :x="side === 'out' ? -2 : 2" y="6" text-anchor="middle">{{ side === 'out' ? '+' : '−' }}</text>
    </template>
    <template v-else-if="kind === 'clamp'">
      <rect x="-22" y="-19" width="44" height="38" rx="6" fill="var(--copper)" />
      <path d="M-12 -26V26M-17 -26H-7M-17 26H-7" stroke="var(--ink)" stroke-width="2.4" />
      <g v-for="x in [3, 14]" :key="x" stroke="var(--ink)">
        <circle :cx="x" cy="0" r="5" fill="var(--steel)" />
        <path :d="`M${x - 3} 3L${x + 3} -3`" />
      </g>
    </template>
    <template v-else-if="kind === 'cable'">
      <path
        :d="`M${-h() + 5} -13H-7L-2 -6L-8 1L-2 8L-6 13H${-h() + 5}Z`"
        :fill="`var(--${jacket()})`"
        :stroke="`var(--${jacket()}-line)`"
      />
      <path
        :d="`M${h() - 5} -13H3L8 -6L2 1L8 8L4 13H${h() - 5}Z`"
        :fill="`var(--${jacket()})`"
        :stroke="`var(--${jacket()}-line)`"
      />
    </template>
    <template v-else-if="kind === 'lug'">
      <g :transform="side === 'out' ? '' : ''">
        <rect x="-25" y="-12" width="30" height="24" fill="var(--crimp)" />
        <path d="M-17 -12V12M-9 -12V12" />
        <path d="M5 -12L11 -16H22A10 16 0 0 1 22 16H11L5 12Z" fill="var(--copper)" />
        <circle cx="19" cy="0" r="6" fill="var(--paper)" />
      </g>
    </template>
    <template v-else-if="kind === 'stud'">
      <circle cx="0" cy="0" r="19" fill="var(--copper)" />
      <path d="M-13 0L-6.5 -11.3H6.5L13 0L6.5 11.3H-6.5Z" fill="var(--steel)" stroke="var(--ink)" />
      <circle cx="0" cy="0" r="5.5" fill="var(--steel)" stroke="var(--ink)" />
    </template>
    <template v-else-if="kind === 'switch'">
      <circle cx="0" cy="0" r="25" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.3" />
      <rect x="-19" y="-5" width="38" height="10" rx="4" fill="var(--red)" stroke="var(--red-line)" />
    </template>
    <template v-else-if="kind === 'fuse'">
      <rect
        x="-27"
        y="-17"
        width="54"
        height="34"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.3"
      />
      <path d="M-19 0H-12C-7 -15 -3 -15 0 0S7 15 12 0H19" fill="none" stroke-width="1.8" />
    </template>
    <template v-else-if="kind === 'breaker'">
      <rect
        x="-24"
        y="-21"
        width="48"
        height="42"
        rx="3"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.3"
      />
      <path d="M-15 4L13 -12M-15 4V8M15 4V8" fill="none" stroke="var(--ink)" stroke-width="2.4" />
    </template>
    <template v-else-if="kind === 'shunt'">
      <rect x="-29" y="-13" width="18" height="26" fill="var(--copper)" />
      <rect x="11" y="-13" width="18" height="26" fill="var(--copper)" />
      <path d="M-11 -8H11M-11 0H11M-11 8H11" stroke="var(--ink)" stroke-width="2.6" />
      <circle cx="-20" cy="0" r="4.5" fill="var(--steel)" stroke="var(--ink)" />
      <circle cx="20" cy="0" r="4.5" fill="var(--steel)" stroke="var(--ink)" />
    </template>
    <template v-else-if="kind === 'busbar'">
      <rect :x="-h() + 3" y="-15" :width="wide - 6" height="30" fill="var(--copper)" />
      <circle
        v-for="x in [-19, 0, 19]"
        :key="x"
        :cx="x"
        cy="0"
        r="5"
        fill="var(--steel)"
        stroke="var(--ink)"
      />
    </template>
    <template v-else-if="kind === 'chassis'">
      <rect :x="-h() + 1" y="-25" :width="wide - 2" height="50" fill="var(--steel)" stroke="var(--ink)" />
      <path
        v-for="i in 8"
        :key="i"
        :d="`M${-h() + 1 + ((i - 1) * (wide - 2)) / 8} 25l${(wide - 2) / 8} -50`"
        stroke="var(--ink3)"
        stroke-width="0.7"
      />
    </template>
    <template v-else-if="kind === 'load'">
      <path :d="`M${-h()} 0H${h()}`" stroke="var(--copper)" stroke-width="14" />
      <circle cx="0" cy="0" r="30" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.4" />
      <path
        d="M-20 0H-14L-10 -9L-4 9L3 -9L9 9L13 0H20"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.6"
        stroke-linejoin="round"
      />
    </template>
    <rect
      v-else
      x="-24"
      y="-16"
      width="48"
      height="32"
      rx="3"
      fill="var(--paper)"
      stroke="var(--ink)"
      stroke-width="1.3"
    />
  </g>
</template>

<style>
.piece-shape text {
  font: 600 18px var(--font-figure);
  fill: var(--ink);
  stroke: none;
}
</style>
