<script setup lang="ts">
import { computed, useId } from 'vue';
import { STUDS } from '../../../core/model/tables/studs.ts';
import { STACK, stackMm, type StudStack } from '../../../core/termination/studs/studStack.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { readersDigits } from '../../ui/display.ts';
import { shortened, textWidth } from '../workpiece/dimensions.ts';
import { say } from '../../../core/words/say.ts';

/** Everything on a stud, from the side and to scale: the face, palms as they lie, washers, nut, and threads beyond. */
const { stack } = defineProps<{ stack: StudStack }>();

const id = useId();
const sized = (mm: number) => readersDigits(mm, 'mm', 1);

const WIDTH = 340;
const STUD_X = 92;
/** Where the names stand, how large, and what is left free before the thickness, px. */
const TEXT_X = 188;
const TEXT_PX = 14;
const AIR = 8;
const FACE = 16;
const stud = computed(() => STUDS[stack.stud]);
/** A palm that is not known yet is drawn this thick, dashed, mm. */
const UNKNOWN_MM = 3;
const palms = computed(() => stack.members.map(({ palmMm }) => palmMm ?? UNKNOWN_MM));
const needs = computed(() => stackMm(stack.stud, palms.value, stack.springWasher));
const tallest = computed(() => Math.max(needs.value, stack.lengthMm ?? 0));
const scale = computed(() => Math.min(5, 140 / tallest.value, 62 / stud.value.washerOuterMm));
/** Labels need room even where palms are thin. */
const height = computed(
  () => Math.max(tallest.value * scale.value, stack.members.length * 20 + 40) + FACE + 12,
);
const faceY = computed(() => height.value - FACE);

/** From the face outwards: where each thing begins and how thick it is, px. */
const layers = computed(() => {
  let below = 0;
  const place = (mm: number) => {
    const from = below;
    below += mm;
    return {
      y: faceY.value - below * scale.value,
      height: mm * scale.value,
      middle: faceY.value - (from + mm / 2) * scale.value,
    };
  };
  const lugs = stack.members.map((member, i) => ({ ...member, ...place(palms.value[i] ?? UNKNOWN_MM) }));
  const washer = place(stud.value.washerMm);
  const spring = stack.springWasher ? place(stud.value.washerMm) : null;
  return { lugs, washer, spring, nut: place(stud.value.nutMm) };
});
/** Labels kept apart, the lowest first. */
const labels = computed(() => {
  let last = Number.POSITIVE_INFINITY;
  return layers.value.lugs.map((lug) => {
    last = Math.min(lug.middle + 5, last - 19);
    const thick = lug.palmMm === null ? say`not decided` : sized(lug.palmMm);
    const amps = `, ${figure(lug.amps, 'A', 0)}`;
    // Of a long tag the letters go, and the end stays.
    const [, tag = lug.label, end = ''] = /^(.*)( [AB])$/.exec(lug.label) ?? [];
    const roomPx = WIDTH - 4 - TEXT_X - AIR - textWidth(`${end}${amps}${thick}`, TEXT_PX);
    return { ...lug, textY: last, who: `${shortened(tag, TEXT_PX, roomPx)}${end}${amps}`, thick };
  });
});
const half = (mm: number) => (mm / 2) * scale.value;
const topY = computed(() => faceY.value - (stack.lengthMm ?? needs.value) * scale.value);
const threads = computed(() => {
  const step = Math.max(2.2, stud.value.pitchMm * scale.value);
  const count = Math.floor((faceY.value - topY.value) / step);
  const r = half(stud.value.diameterMm);
  return Array.from({ length: count }, (_, i) => faceY.value - (i + 0.5) * step)
    .map((y) => `M${STUD_X - r} ${y + 1}L${STUD_X + r} ${y - 1}`)
    .join('');
});
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${height}`"
    class="stack-picture block w-full"
    role="img"
    :aria-label="
      say`${stack.stud} stud from its face: ${stack.members.map(({ label }) => label).join(', ')}, washer, nut`
    "
  >
    <defs>
      <pattern :id="id" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--ink3)" stroke-width="0.8" />
      </pattern>
    </defs>
    <rect x="6" :y="faceY" width="168" :height="FACE" fill="var(--copper-tint)" />
    <rect x="6" :y="faceY" width="168" :height="FACE" :fill="`url(#${id})`" />
    <path :d="`M6 ${faceY}H174`" stroke="var(--copper-line)" stroke-width="1.8" />
    <rect
      :x="STUD_X - half(stud.diameterMm)"
      :y="topY"
      :width="2 * half(stud.diameterMm)"
      :height="faceY - topY"
      fill="var(--buff)"
      stroke="var(--line)"
    />
    <path :d="threads" stroke="var(--ink3)" stroke-width="0.6" />
    <g v-for="(lug, i) in labels" :key="lug.key">
      <path
        :d="`M${STUD_X - half(stud.washerOuterMm) - 6} ${lug.y}H${i % 2 === 0 ? 168 : 162}V${lug.y + lug.height}H${STUD_X - half(stud.washerOuterMm) - 6}Z`"
        :fill="lug.isThis ? 'var(--copper)' : 'var(--copper-tint)'"
        stroke="var(--copper-line)"
        stroke-width="1"
        :stroke-dasharray="lug.palmMm === null ? '4 2' : undefined"
      />
      <path
        :d="`M170 ${lug.middle}L180 ${lug.textY - 5}H184`"
        fill="none"
        stroke="var(--ink3)"
        stroke-width="0.7"
      />
      <text :x="TEXT_X" :y="lug.textY" :class="lug.isThis ? 'strong' : ''">
        {{ lug.who }}
      </text>
      <text :x="WIDTH - 4" :y="lug.textY" text-anchor="end">
        {{ lug.thick }}
      </text>
    </g>
    <g fill="var(--paper)" stroke="var(--line)">
      <rect
        v-for="(washer, i) in [layers.washer, layers.spring].filter((own) => own !== null)"
        :key="i"
        :x="STUD_X - half(stud.washerOuterMm)"
        :y="washer.y"
        :width="2 * half(stud.washerOuterMm)"
        :height="washer.height"
      />
      <path
        :d="`M${STUD_X - half(stud.diameterMm * 1.75)} ${layers.nut.y}H${STUD_X + half(stud.diameterMm * 1.75)}V${layers.nut.y + layers.nut.height}H${STUD_X - half(stud.diameterMm * 1.75)}ZM${STUD_X - half(stud.diameterMm * 0.8)} ${layers.nut.y}v${layers.nut.height}M${STUD_X + half(stud.diameterMm * 0.8)} ${layers.nut.y}v${layers.nut.height}`"
      />
    </g>
    <text :x="TEXT_X" :y="Math.min(layers.nut.middle + 5, (labels.at(-1)?.textY ?? 200) - 19)">
      {{
        stack.springWasher
          ? say`washers, nut, ${STACK.threadsBeyond} threads`
          : say`washer, nut, ${STACK.threadsBeyond} threads`
      }}
    </text>
    <path
      :d="`M14 ${faceY}V${faceY - needs * scale}m-4 0h8M10 ${faceY}h8`"
      fill="none"
      :stroke="stack.lengthMm !== null && needs > stack.lengthMm ? 'var(--fails)' : 'var(--ink2)'"
      stroke-width="1"
    />
    <text x="6" :y="Math.max(13, faceY - needs * scale - 5)" class="strong">
      {{ say`needs ${sized(needs)}` }}
    </text>
    <text :x="TEXT_X" :y="faceY + 13" class="strong">{{ say`face, ${stack.stud}` }}</text>
    <text v-if="stack.lengthMm !== null" :x="WIDTH - 4" :y="faceY + 13" text-anchor="end">
      {{ say`has ${sized(stack.lengthMm)}` }}
    </text>
  </svg>
</template>

<style>
.stack-picture text {
  font: 400 14px var(--font-figure);
  fill: var(--ink2);
}
.stack-picture .strong {
  font-weight: 500;
  fill: var(--ink);
}
</style>
