<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import { bundleDiameterMm } from '../../core/conductor/geometry.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { EndName } from '../../core/model/end.ts';
import { type Step } from '../../core/traveller/step.ts';
import { actOf, kindOf, isDone as isTicked } from '../../core/model/stepId.ts';
import EndPicture from '../bench/workpiece/EndPicture.vue';
import { palmTipMm } from '../bench/workpiece/lugShape.ts';
import { type EndProgress, endSheet, SHEET, studOffset, tagWidth } from '../bench/workpiece/sheet.ts';
import { readersDigits } from '../ui/display.ts';
import { say } from '../../core/words/say.ts';

/**
 * What a step is about, large: the end it works on, to scale, lit only where it matters, with the one dimension that
 * it sets and the hand's danger where the hand would be.
 */
const { step, cable, work } = defineProps<{ step: Step; cable: Cable; work: CableWork }>();

const host = useTemplateRef<HTMLElement>('host');
const { width, height } = useElementSize(host);
const name = computed<EndName>(() => step.end ?? 'A');
const end = computed(() => work.ends[name.value]);
const outerMm = computed(() => work.choice.taken.at.outerMm);
const bundleMm = computed(() => bundleDiameterMm(work.choice.taken.at.copperMm2));
const isDone = (id: string) => isTicked(cable, id);
/** Crimps show as pressed once all of them are. */
const progress = computed<EndProgress>(() => {
  const crimps = work.steps.filter(({ id, end: of }) => of === name.value && kindOf(id) === 'crimp');
  return {
    crimped: crimps.length > 0 && crimps.every(({ id }) => isDone(id)),
    shrunk: isDone(`shrink.${name.value}`),
  };
});
const sheet = computed(() => {
  const drawn = endSheet(
    end.value,
    name.value === 'A' ? 0 : cable.palmAngleDeg,
    outerMm.value,
    progress.value,
  );
  return drawn && { ...drawn, isProposed: false };
});
const LARGEST = 8.5;
const ABOVE = 78;
const BELOW = 70;
const scale = computed(() => {
  if (!sheet.value) return 1;
  const along = palmTipMm(sheet.value.lug) + (sheet.value.sleeve?.toU ?? sheet.value.jacketFromU + 20);
  const across = Math.max(outerMm.value + 6, sheet.value.lug.palmWidthMm, sheet.value.lug.outerMm + 4);
  return Math.max(
    1,
    Math.min(
      LARGEST,
      (width.value - 2 * SHEET.margin - tagWidth(cable.tag) - 60) / along,
      (height.value - ABOVE - BELOW) / across,
    ),
  );
});
const direction = computed(() => (name.value === 'A' ? 1 : -1));
const edgeX = computed(() => (direction.value === 1 ? 0 : width.value));
const breakX = computed(() => edgeX.value + direction.value * (width.value - 10));
const centreY = computed(() => ABOVE + (height.value - ABOVE - BELOW) / 2);
const x = (u: number) =>
  sheet.value ? edgeX.value + direction.value * (studOffset(sheet.value, scale.value) + u * scale.value) : 0;

/** Between what the figure of this step lies, mm along the cable from the stud. */
const measured = computed(() => {
  const drawn = sheet.value;
  if (!drawn || !step.end || step.figure?.unit !== 'mm') return null;
  const bottom = drawn.lug.studToBarrelMm;
  const mouth = bottom + drawn.lug.barrelMm;
  switch (actOf(step)) {
    case 'strip':
      return { from: bottom, to: drawn.jacketFromU };
    case 'home':
      return { from: bottom, to: mouth };
    case 'crimp':
      return { from: mouth - step.figure.value, to: mouth };
    case 'shrink':
      return drawn.sleeve && { from: drawn.sleeve.fromU, to: drawn.sleeve.toU };
    default:
      return null;
  }
});
const dimension = computed(() => {
  if (!measured.value || !step.figure) return null;
  const [a, b] = [x(measured.value.from), x(measured.value.to)];
  const text = readersDigits(step.figure.value, 'mm', step.figure.decimals);
  return { a: Math.min(a, b), b: Math.max(a, b), y: height.value - 34, text, half: text.length * 7 + 8 };
});
/** The two halves of the die over the crimp that is made now. */
const die = computed(() => {
  const drawn = sheet.value;
  const offer = end.value.die;
  if (!drawn || !offer || actOf(step) !== 'crimp' || !step.figure) return null;
  const mouth = drawn.lug.studToBarrelMm + drawn.lug.barrelMm;
  const middle = x(mouth - step.figure.value);
  const half = (offer.die.widthMm / 2) * scale.value;
  const reach = (drawn.lug.outerMm / 2) * scale.value;
  return { middle, half, top: centreY.value - reach, bottom: centreY.value + reach };
});
const steel = (y: number, up: 1 | -1) => {
  if (!die.value) return '';
  const { middle, half } = die.value;
  const body = half + 18;
  const yEnd = y - up * 44;
  return `M${middle - half} ${y}H${middle + half}L${middle + half} ${y - up * 14}H${middle + body}V${yEnd}H${middle - body}V${y - up * 14}H${middle - half}Z`;
};
/** Both marks of the cut, on a cable drawn short. */
const cut = computed(() => {
  if (actOf(step) !== 'cut' || !step.figure) return null;
  const [a, b] = [70, width.value - 70];
  return { a, b, half: Math.min(34, outerMm.value * 1.8) };
});
</script>

<template>
  <div ref="host" class="step-picture relative h-full min-h-56 bg-lamp">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`${tell(step.short)}: ${tell(step.order)}`"
    >
      <defs>
        <pattern id="bench-grid" width="50" height="50" patternUnits="userSpaceOnUse">
          <path d="M50 0H0V50" fill="none" stroke="var(--grid)" />
        </pattern>
        <pattern id="steel" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--steel)" />
          <path d="M0 0V7" stroke="var(--ink3)" stroke-width="1" />
        </pattern>
      </defs>
      <rect :width="width" :height="height" fill="url(#bench-grid)" />
      <template v-if="cut">
        <rect
          :x="cut.a"
          :y="centreY - cut.half"
          :width="cut.b - cut.a"
          :height="2 * cut.half"
          :fill="`var(--${cable.jacket})`"
          :stroke="`var(--${cable.jacket}-line)`"
          stroke-width="1.3"
        />
        <rect
          v-for="side in [
            { at: 0, to: cut.a },
            { at: cut.b, to: width },
          ]"
          :key="side.at"
          :x="side.at"
          :y="centreY - cut.half"
          :width="side.to - side.at"
          :height="2 * cut.half"
          :fill="`var(--${cable.jacket})`"
          class="ghost"
        />
        <path
          v-for="at in [cut.a, cut.b]"
          :key="at"
          :d="`M${at} ${centreY - cut.half - 26}V${centreY + cut.half + 26}`"
          stroke="var(--teal)"
          stroke-width="3"
        />
        <path class="rule" :d="`M${cut.a} ${height - 34}H${cut.b}`" />
        <path
          v-for="at in [cut.a, cut.b]"
          :key="`t${at}`"
          class="tick"
          :d="`M${at - 5} ${height - 29}L${at + 5} ${height - 39}`"
        />
        <text class="figure-text" :x="width / 2" :y="height - 27" text-anchor="middle">
          {{ readersDigits(step.figure?.value ?? 0, 'mm', 0) }}
        </text>
      </template>
      <template v-else-if="sheet">
        <path
          :d="`M${x(-palmTipMm(sheet.lug)) - 12 * direction} ${centreY}H${breakX}`"
          stroke="var(--ink3)"
          stroke-width="0.7"
          stroke-dasharray="11 3 2 3"
        />
        <g :transform="`translate(0 ${centreY - SHEET.centreY})`">
          <EndPicture
            :end="sheet"
            :outer-mm="outerMm"
            :bundle-mm="bundleMm"
            :scale="scale"
            :edge-x="edgeX"
            :break-x="breakX"
            :jacket="cable.jacket"
            :tag="cable.tag"
            :lit="step.lit.length > 0 ? step.lit : null"
          />
        </g>
        <g v-if="die" stroke="var(--ink)" stroke-width="1.6" stroke-linejoin="round">
          <path :d="steel(die.top, 1)" fill="url(#steel)" />
          <path :d="steel(die.bottom, -1)" fill="url(#steel)" />
          <path
            :d="`M${die.middle} ${die.top - 66}v14m-6 -8l6 8l6 -8`"
            fill="none"
            stroke-width="2"
            stroke-linecap="round"
          />
        </g>
        <g v-if="dimension">
          <path
            class="rule"
            :d="`M${dimension.a} ${centreY + 12}V${dimension.y + 7}M${dimension.b} ${centreY + 12}V${dimension.y + 7}`"
          />
          <path class="rule" :d="`M${dimension.a} ${dimension.y}H${dimension.b}`" />
          <path
            v-for="at in [dimension.a, dimension.b]"
            :key="at"
            class="tick"
            :d="`M${at - 5} ${dimension.y + 5}L${at + 5} ${dimension.y - 5}`"
          />
          <text
            class="figure-text"
            :x="
              dimension.b - dimension.a > 2 * dimension.half
                ? (dimension.a + dimension.b) / 2
                : direction === 1
                  ? dimension.b + 14
                  : dimension.a - 14
            "
            :y="dimension.y + 8"
            :text-anchor="
              dimension.b - dimension.a > 2 * dimension.half ? 'middle' : direction === 1 ? 'start' : 'end'
            "
          >
            {{ dimension.text }}
          </text>
        </g>
        <text
          class="caption"
          :x="direction === 1 ? 16 : width - 16"
          y="26"
          :text-anchor="direction === 1 ? 'start' : 'end'"
        >
          {{ step.end ? say`end ${name}` : say`end ${name}; the other is the same` }}
        </text>
      </template>
    </svg>
  </div>
</template>

<style>
.step-picture .ghost {
  opacity: 0.24;
}
.step-picture text {
  font: 400 16px var(--font-figure);
  fill: var(--ink2);
}
.step-picture .rule {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1;
}
.step-picture .tick {
  stroke: var(--ink);
  stroke-width: 2;
}
.step-picture .figure-text {
  font-size: 27px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--lamp);
  stroke-width: 8px;
  stroke-linejoin: round;
}
</style>
