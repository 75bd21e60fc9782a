<script setup lang="ts">
import { computed, useId } from 'vue';
import { STUDS } from '../../../core/catalogue/tables/studs.ts';
import {
  expectedVoidShare,
  hexagonMm2,
  strandHexagonMm,
  stretch,
} from '../../../core/termination/dieOnLug.ts';
import { boreFill } from '../../../core/termination/lugOnCable.ts';
import { webMm } from '../../../core/termination/lugOnStud.ts';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import { digits, figure } from '../../../core/units/figure.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { inReadersUnit } from '../../ui/display.ts';
import { toPath } from '../workpiece/geometry.ts';
import { lugOutline } from '../workpiece/lugShape.ts';

/** The end in three pictures to one scale: its face on the stud, the barrel cut before the crimp, and after. */
const { end, copperMm2 } = defineProps<{ end: ResolvedEnd; copperMm2: number }>();

const { prefs } = usePrefs();
const patternId = useId();
const say = (mm: number, decimals = 1) => inReadersUnit(mm, 'mm', decimals, prefs.lengths).value;

const WIDTH = 340;
const HEIGHT = 156;
const MIDDLE = 58;
/** The largest scale at which the three pictures keep apart, px/mm. */
const scale = computed(() => {
  const lug = end.lug;
  if (!lug) return 5;
  return Math.min(6.15, 100 / lug.palmWidthMm, 108 / lug.outerMm);
});
const stud = computed(() => STUDS[end.spec.stud]);
const faceX = 52;
const beforeX = 160;
const afterX = 278;
const strand = computed(() => Math.max(3, 0.55 * scale.value));

/** The strands' own hexagon inside the crimp: what the die leaves once the wall has its share. */
const packed = computed(() => {
  const { die } = end;
  const acrossFlatsMm = die && strandHexagonMm(die.parts);
  return die && acrossFlatsMm ? { acrossFlatsMm, voidShare: expectedVoidShare(die.parts) } : null;
});
function hexagon(x: number, acrossFlatsMm: number): string {
  const radius = (acrossFlatsMm / Math.sqrt(3)) * scale.value;
  return [0, 60, 120, 180, 240, 300]
    .map((degrees) => (degrees * Math.PI) / 180)
    .map((turn) => `${x + radius * Math.cos(turn)} ${MIDDLE + radius * Math.sin(turn)}`)
    .join(' ');
}
/** Where blank cells stand for the air that is left: spread round the middle, none when it is packed. */
const voids = computed(() => {
  const inner = packed.value;
  if (!inner) return [];
  const cells = Math.round(
    (inner.voidShare * hexagonMm2(end.die?.die.acrossFlatsMm ?? 0) * scale.value ** 2) / strand.value ** 2,
  );
  const reach = (inner.acrossFlatsMm / 2) * scale.value * 0.82;
  const GOLDEN_ANGLE = 2.399963;
  return Array.from({ length: Math.min(cells, 160) }, (_, i) => {
    const radius = reach * Math.sqrt((i + 0.5) / Math.min(cells, 160));
    return {
      x: afterX + radius * Math.cos(i * GOLDEN_ANGLE),
      y: MIDDLE + radius * Math.sin(i * GOLDEN_ANGLE),
    };
  });
});
/** The face of the lug, seen flat, its barrel hanging down. */
const face = computed(() =>
  end.lug
    ? toPath(lugOutline(end.lug, 0, []), ([u, v]) => [faceX + v * scale.value, MIDDLE + u * scale.value])
    : '',
);
const web = computed(() => (end.lug ? webMm(end.lug.palmWidthMm, end.lug.holeMm) : 0));
</script>

<template>
  <svg
    v-if="end.lug"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="crimp-pictures block w-full"
    role="img"
    :aria-label="`Lug ${end.lug.label} on ${end.spec.stud}; its barrel before and after the crimp`"
  >
    <defs>
      <clipPath :id="`${patternId}c`"><rect x="0" y="0" :width="WIDTH" :height="MIDDLE + 54" /></clipPath>
      <pattern :id="`${patternId}s`" :width="strand" :height="strand * 1.732" patternUnits="userSpaceOnUse">
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
      <pattern :id="`${patternId}p`" :width="strand" :height="strand * 1.732" patternUnits="userSpaceOnUse">
        <rect :width="strand" :height="strand * 1.732" fill="var(--copper)" />
        <path
          :d="`M0 ${strand * 0.29}L${strand / 2} 0L${strand} ${strand * 0.29}V${strand * 0.866}L${strand / 2} ${strand * 1.155}L0 ${strand * 0.866}ZM${strand / 2} ${strand * 1.155}V${strand * 1.732}`"
          fill="none"
          stroke="var(--copper-line)"
          stroke-width="0.5"
        />
      </pattern>
      <pattern
        :id="`${patternId}w`"
        width="4"
        height="4"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="4" height="4" fill="var(--copper)" />
        <path d="M0 0V4" stroke="var(--copper-line)" stroke-width="0.8" />
      </pattern>
      <pattern
        :id="`${patternId}n`"
        width="3.5"
        height="3.5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <path d="M0 0V3.5" stroke="var(--ink3)" stroke-width="0.8" />
      </pattern>
    </defs>

    <g>
      <path
        :d="face"
        :clip-path="`url(#${patternId}c)`"
        :fill="end.proposed.lug ? 'var(--copper-tint)' : 'var(--copper)'"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <circle
        :cx="faceX"
        :cy="MIDDLE"
        :r="(stud.washerOuterMm / 2) * scale"
        fill="var(--copper-tint)"
        stroke="var(--copper-line)"
        stroke-width="0.8"
        stroke-dasharray="5 2.5"
      />
      <circle
        :cx="faceX"
        :cy="MIDDLE"
        :r="(end.lug.holeMm / 2) * scale"
        fill="var(--paper)"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <circle
        :cx="faceX"
        :cy="MIDDLE"
        :r="(stud.diameterMm / 2) * scale"
        fill="var(--paper)"
        stroke="var(--line)"
      />
      <circle :cx="faceX" :cy="MIDDLE" :r="(stud.diameterMm / 2) * scale" :fill="`url(#${patternId}n)`" />
      <text class="strong on-copper" :x="faceX" :y="MIDDLE + 5" text-anchor="middle">
        {{ end.spec.stud }}
      </text>
    </g>

    <g>
      <circle
        :cx="beforeX"
        :cy="MIDDLE"
        :r="(end.lug.outerMm / 2) * scale"
        :fill="`url(#${patternId}w)`"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <circle
        :cx="beforeX"
        :cy="MIDDLE"
        :r="(end.lug.boreMm / 2) * scale"
        fill="#1b1410"
        stroke="var(--copper-line)"
      />
      <circle
        :cx="beforeX"
        :cy="MIDDLE"
        :r="(end.lug.boreMm / 2) * scale * 0.97"
        :fill="`url(#${patternId}s)`"
      />
    </g>
    <path
      v-if="end.die"
      :d="`M${beforeX + 54} ${MIDDLE}h12m-5 -4l5 4l-5 4`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
    />

    <g v-if="end.die">
      <circle
        :cx="afterX"
        :cy="MIDDLE"
        :r="(end.lug.outerMm / 2) * scale"
        fill="none"
        stroke="var(--ink3)"
        stroke-width="0.9"
        stroke-dasharray="7 2.5 1.5 2.5"
      />
      <polygon
        :points="hexagon(afterX, end.die.die.acrossFlatsMm)"
        :fill="`url(#${patternId}w)`"
        stroke="var(--copper-line)"
        stroke-width="1.3"
      />
      <polygon
        v-if="packed"
        :points="hexagon(afterX, packed.acrossFlatsMm)"
        :fill="`url(#${patternId}p)`"
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
    </g>

    <text :x="faceX" y="133" text-anchor="middle">
      hole {{ say(end.lug.holeMm) }}, {{ say(end.lug.holeMm - stud.diameterMm) }} clear
    </text>
    <text :x="faceX" y="148" text-anchor="middle">web {{ say(web) }}</text>
    <text :x="beforeX + 3" y="133" text-anchor="middle">
      {{ say(end.lug.outerMm) }} over {{ say(end.lug.boreMm) }}
    </text>
    <text :x="beforeX + 3" y="148" text-anchor="middle">
      fill {{ digits(boreFill(copperMm2, end.lug.boreMm), 2) }}
    </text>
    <template v-if="end.die">
      <text class="strong" :x="afterX" y="133" text-anchor="middle">
        {{ say(end.die.die.acrossFlatsMm, 2) }} flats, stretch {{ figure(stretch(end.die.c) * 100, '%', 0) }}
      </text>
      <text :x="afterX" y="148" text-anchor="middle">
        air {{ figure(expectedVoidShare(end.die.parts) * 100, '%', 1) }}, no trial yet
      </text>
    </template>
    <text v-else :x="afterX" :y="MIDDLE" text-anchor="middle">no die suits</text>
  </svg>
</template>

<style>
.crimp-pictures text {
  font: 400 13.5px var(--font-figure);
  fill: var(--ink2);
}
.crimp-pictures .strong {
  font-weight: 500;
  fill: var(--ink);
}
</style>
