<script setup lang="ts">
import { computed, ref, useId, useTemplateRef } from 'vue';
import { SHEET } from './sheet.ts';
import { say } from '../../../core/words/say.ts';

/** What stands in the break: the cable cut through, to scale, and the angle between the palms. */
const { centreX, spread, outerMm, bundleMm, scale, jacket, angleDeg, sizeLabel, outerLabel } = defineProps<{
  centreX: number;
  /** Half the distance between the two pictures, px. */
  spread: number;
  outerMm: number;
  bundleMm: number;
  scale: number;
  jacket: string;
  angleDeg: number;
  sizeLabel: string;
  outerLabel: string;
}>();
const emit = defineEmits<{ openSize: []; openAngle: []; turn: [angleDeg: number] }>();

const patternId = useId();
const sectionX = computed(() => centreX - spread);
const dialX = computed(() => centreX + spread);
const radius = computed(() => (outerMm / 2) * scale);
const bundle = computed(() => (bundleMm / 2) * scale);
/** Strands of half a millimetre, as fine as a screen can show them. */
const strand = computed(() => Math.max(2.6, 0.5 * scale * 1.18));
const DIAL = 26;
/** While a hand turns the dial the picture follows; the angle is set when it is let go. */
const held = ref<number | null>(null);
const shownDeg = computed(() => held.value ?? angleDeg);
const dial = useTemplateRef<SVGGElement>('dial');
const STEP = 5;
let moved = false;

function angleAt({ clientX, clientY }: PointerEvent): number {
  const svg = dial.value?.ownerSVGElement;
  const matrix = svg?.getScreenCTM();
  if (!svg || !matrix) return angleDeg;
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
  const degrees = (Math.atan2(SHEET.centreY - y, x - dialX.value) * 180) / Math.PI;
  return (Math.round(degrees / STEP) * STEP + 360) % 360;
}
function take(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  held.value = angleDeg;
  moved = false;
}
function follow(event: PointerEvent): void {
  if (held.value === null) return;
  const next = angleAt(event);
  if (next !== held.value) moved = true;
  held.value = next;
}
function release(): void {
  const { value } = held;
  held.value = null;
  if (value !== null && moved && value !== angleDeg) emit('turn', value);
  else if (value !== null) emit('openAngle');
}
function nudge(by: number): void {
  emit('turn', (angleDeg + by + 360) % 360);
}
const turned = computed(() => (shownDeg.value * Math.PI) / 180);
const arm = computed(() => ({ x: Math.cos(turned.value) * DIAL, y: -Math.sin(turned.value) * DIAL }));
const arc = computed(() => {
  const reach = DIAL * 0.62;
  const end = { x: Math.cos(turned.value) * reach, y: -Math.sin(turned.value) * reach };
  const large = shownDeg.value > 180 ? 1 : 0;
  return `M${dialX.value + reach} ${SHEET.centreY}A${reach} ${reach} 0 ${large} 0 ${dialX.value + end.x} ${SHEET.centreY + end.y}`;
});
</script>

<template>
  <g>
    <defs>
      <pattern
        :id="patternId"
        :width="strand"
        :height="strand * 1.732"
        patternUnits="userSpaceOnUse"
        :patternTransform="`translate(${sectionX} ${SHEET.centreY})`"
      >
        <g fill="var(--copper)" stroke="var(--copper-line)" stroke-width="0.45">
          <circle cx="0" cy="0" :r="strand * 0.46" />
          <circle :cx="strand" cy="0" :r="strand * 0.46" />
          <circle :cx="strand / 2" :cy="strand * 0.866" :r="strand * 0.46" />
          <circle cx="0" :cy="strand * 1.732" :r="strand * 0.46" />
          <circle :cx="strand" :cy="strand * 1.732" :r="strand * 0.46" />
        </g>
      </pattern>
    </defs>
    <g
      role="button"
      tabindex="0"
      class="dimension cursor-pointer"
      :aria-label="say`${sizeLabel}, ${outerLabel} outside`"
      @click="$emit('openSize')"
      @keydown.enter.prevent="$emit('openSize')"
    >
      <circle
        :cx="sectionX"
        :cy="SHEET.centreY"
        :r="radius"
        :fill="`var(--${jacket})`"
        :stroke="`var(--${jacket}-line)`"
        stroke-width="1.3"
      />
      <circle :cx="sectionX" :cy="SHEET.centreY" :r="bundle" fill="var(--copper-line)" />
      <circle :cx="sectionX" :cy="SHEET.centreY" :r="bundle" :fill="`url(#${patternId})`" />
      <path
        class="rule"
        :d="`M${sectionX} ${SHEET.centreY - radius}H${sectionX + radius + 14}M${sectionX} ${SHEET.centreY + radius}H${sectionX + radius + 14}M${sectionX + radius + 10} ${SHEET.centreY - radius}V${SHEET.centreY + radius}`"
      />
      <text :x="sectionX + radius + 17" :y="SHEET.centreY + 5" :font-size="SHEET.figureSize"
        >⌀ {{ outerLabel }}</text
      >
      <text :x="sectionX + 8" :y="SHEET.rows.barrel + 2" text-anchor="middle" :font-size="SHEET.noteSize">{{
        sizeLabel
      }}</text>
    </g>
    <g
      ref="dial"
      role="slider"
      tabindex="0"
      class="dimension cursor-grab touch-none"
      :aria-label="say`Angle from palm A to palm B`"
      aria-valuemin="0"
      aria-valuemax="359"
      :aria-valuenow="shownDeg"
      :aria-valuetext="say`${shownDeg} degrees`"
      @pointerdown.prevent="take"
      @pointermove="follow"
      @pointerup="release"
      @pointercancel="held = null"
      @keydown.enter.prevent="$emit('openAngle')"
      @keydown.up.prevent="nudge(STEP)"
      @keydown.right.prevent="nudge(STEP)"
      @keydown.down.prevent="nudge(-STEP)"
      @keydown.left.prevent="nudge(-STEP)"
    >
      <circle :cx="dialX" :cy="SHEET.centreY" :r="DIAL + 10" fill="transparent" />
      <circle
        :cx="dialX"
        :cy="SHEET.centreY"
        :r="DIAL"
        fill="var(--paper)"
        stroke="var(--hairline)"
        stroke-width="0.9"
      />
      <path :d="arc" class="rule" />
      <path
        :d="`M${dialX - DIAL} ${SHEET.centreY}H${dialX + DIAL}`"
        stroke="var(--copper-text)"
        stroke-width="4"
      />
      <path
        :d="`M${dialX - arm.x} ${SHEET.centreY - arm.y}L${dialX + arm.x} ${SHEET.centreY + arm.y}`"
        stroke="var(--copper-text)"
        stroke-width="4"
        stroke-dasharray="5 2"
      />
      <circle
        :cx="dialX + arm.x"
        :cy="SHEET.centreY + arm.y"
        r="5"
        fill="var(--paper)"
        stroke="var(--teal)"
        stroke-width="2"
      />
      <circle :cx="dialX" :cy="SHEET.centreY" r="2" fill="var(--paper)" />
      <text :x="dialX - DIAL - 4" :y="SHEET.centreY + 5" text-anchor="end" :font-size="SHEET.noteSize"
        >A</text
      >
      <text
        :x="dialX + arm.x * 1.3"
        :y="SHEET.centreY + arm.y * 1.28 + (arm.y < -4 ? -1 : arm.y > 4 ? 11 : 5)"
        :text-anchor="arm.x > 6 ? 'start' : arm.x < -6 ? 'end' : 'middle'"
        :font-size="SHEET.noteSize"
        >B</text
      >
      <text :x="dialX" :y="SHEET.rows.barrel + 2" text-anchor="middle" :font-size="SHEET.noteSize">{{
        say`palms ${shownDeg}°`
      }}</text>
    </g>
  </g>
</template>
