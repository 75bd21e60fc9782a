<script setup lang="ts">
import { computed, useId } from 'vue';
import type { DieOffer } from '../../../core/termination/dies/dieOffers.ts';
import {
  airCells,
  forecastOf,
  hexagonCorners,
  type Place,
} from '../../../core/termination/dies/sectionView.ts';

/** A barrel cut across, before the crimp and after it, to one scale: wall, strands, and the air between them. */
const {
  outerMm,
  boreMm,
  offer,
  scale,
  middle,
  beforeX,
  afterX,
  soldered = false,
} = defineProps<{
  outerMm: number;
  boreMm: number;
  offer: DieOffer | null;
  /** px/mm */
  scale: number;
  middle: number;
  beforeX: number;
  afterX: number;
  /** Filled with solder instead of closed by a die. */
  soldered?: boolean;
}>();

const id = useId();
const strand = computed(() => Math.max(3, 0.55 * scale));
const crimp = computed(() => forecastOf(offer));
const flats = computed(() => offer?.parts.acrossFlatsMm ?? 0);

const placed = (x: number, [atX, atY]: Place) => ({ x: x + atX * scale, y: middle + atY * scale });
const hexagon = (x: number, acrossFlatsMm: number) =>
  hexagonCorners(acrossFlatsMm)
    .map((corner) => placed(x, corner))
    .map((corner) => `${corner.x} ${corner.y}`)
    .join(' ');
/** Blank cells for the air that is left. */
const voids = computed(() =>
  crimp.value ? airCells(crimp.value, strand.value / scale).map((cell) => placed(afterX, cell)) : [],
);
/** Flash squeezed out at the parting line, on both sides. */
const ears = computed(() => {
  if (!crimp.value || crimp.value.ears === 'none') return '';
  const corner = (hexagonCorners(flats.value)[0]?.[0] ?? 0) * scale;
  const long = crimp.value.ears === 'expect' ? 8 : 3.5;
  return [1, -1]
    .map((side) => {
      const x = afterX + side * corner;
      return `M${x - side * 3} ${middle - 3.5}L${x + side * long} ${middle - 1}V${middle + 1}L${x - side * 3} ${middle + 3.5}Z`;
    })
    .join('');
});
/** The plunger's dent from above, the anvil's flat below: only a trial says what is inside. */
const dent = computed(() => {
  const r = (outerMm / 2) * scale;
  const depth = Math.min(r * 1.4, Math.max(3, (outerMm - flats.value) * scale));
  return `M${afterX - r} ${middle}A${r} ${r} 0 0 1 ${afterX - r * 0.42} ${middle - r * 0.9}L${afterX - r * 0.2} ${middle - r + depth}H${afterX + r * 0.2}L${afterX + r * 0.42} ${middle - r * 0.9}A${r} ${r} 0 0 1 ${afterX + r} ${middle}A${r} ${r} 0 0 1 ${afterX - r} ${middle}Z`;
});
</script>

<template>
  <g>
    <defs>
      <pattern :id="`${id}s`" :width="strand" :height="strand * 1.732" patternUnits="userSpaceOnUse">
        <g fill="var(--copper)" stroke="var(--copper-line)" stroke-width="0.5">
          <circle
            v-for="(c, i) in [
              [0, 0],
              [strand, 0],
              [strand / 2, strand * 0.866],
              [0, strand * 1.732],
              [strand, strand * 1.732],
            ]"
            :key="i"
            :cx="c[0]"
            :cy="c[1]"
            :r="strand * 0.45"
          />
        </g>
      </pattern>
      <pattern :id="`${id}p`" :width="strand" :height="strand * 1.732" patternUnits="userSpaceOnUse">
        <rect :width="strand" :height="strand * 1.732" fill="var(--copper)" />
        <path
          :d="`M0 ${strand * 0.29}L${strand / 2} 0L${strand} ${strand * 0.29}V${strand * 0.866}L${strand / 2} ${strand * 1.155}L0 ${strand * 0.866}ZM${strand / 2} ${strand * 1.155}V${strand * 1.732}`"
          fill="none"
          stroke="var(--copper-line)"
          stroke-width="0.5"
        />
      </pattern>
      <pattern
        :id="`${id}w`"
        width="4"
        height="4"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="4" height="4" fill="var(--copper)" />
        <path d="M0 0V4" stroke="var(--copper-line)" stroke-width="0.8" />
      </pattern>
    </defs>
    <circle
      :cx="beforeX"
      :cy="middle"
      :r="(outerMm / 2) * scale"
      :fill="`url(#${id}w)`"
      stroke="var(--copper-line)"
      stroke-width="1.3"
    />
    <circle :cx="beforeX" :cy="middle" :r="(boreMm / 2) * scale" fill="#1b1410" stroke="var(--copper-line)" />
    <circle :cx="beforeX" :cy="middle" :r="(boreMm / 2) * scale * 0.97" :fill="`url(#${id}s)`" />
    <template v-if="soldered && !offer">
      <path
        :d="`M${(beforeX + afterX) / 2 - 6} ${middle}h12m-5 -4l5 4l-5 4`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <circle
        :cx="afterX"
        :cy="middle"
        :r="(outerMm / 2) * scale"
        :fill="`url(#${id}w)`"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <circle
        :cx="afterX"
        :cy="middle"
        :r="(boreMm / 2) * scale"
        fill="var(--solder)"
        stroke="var(--copper-line)"
      />
      <circle :cx="afterX" :cy="middle" :r="(boreMm / 2) * scale * 0.9" :fill="`url(#${id}s)`" />
    </template>
    <template v-if="offer">
      <path
        :d="`M${(beforeX + afterX) / 2 - 6} ${middle}h12m-5 -4l5 4l-5 4`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <circle
        :cx="afterX"
        :cy="middle"
        :r="(outerMm / 2) * scale"
        fill="none"
        stroke="var(--ink3)"
        stroke-width="0.9"
        stroke-dasharray="7 2.5 1.5 2.5"
      />
      <template v-if="crimp">
        <path v-if="ears" :d="ears" fill="var(--crimp)" stroke="var(--copper-line)" stroke-width="1" />
        <polygon
          :points="hexagon(afterX, flats)"
          :fill="`url(#${id}w)`"
          stroke="var(--copper-line)"
          stroke-width="1.3"
        />
        <polygon
          v-if="crimp.strandsMm"
          :points="hexagon(afterX, crimp.strandsMm)"
          :fill="`url(#${id}p)`"
          stroke="var(--copper-line)"
        />
        <circle
          v-for="(cell, i) in voids"
          :key="i"
          :cx="cell.x"
          :cy="cell.y"
          :r="strand * 0.42"
          fill="#1b1410"
        />
      </template>
      <path v-else :d="dent" :fill="`url(#${id}w)`" stroke="var(--copper-line)" stroke-width="1.3" />
    </template>
  </g>
</template>
