<script setup lang="ts">
import { trialsSay } from '../../../core/words/counts.ts';
import { computed, useId } from 'vue';
import { STUDS } from '../../../core/model/tables/studs.ts';
import { boreFill } from '../../../core/termination/lugs/lugOnCable.ts';
import { webMm } from '../../../core/termination/lugs/lugOnStud.ts';
import { postTopMm } from '../../../core/model/posts.ts';
import type { ResolvedEnd } from '../../../core/termination/resolveEnd.ts';
import { forecastOf } from '../../../core/termination/dies/sectionView.ts';
import { figure } from '../../../core/model/units/figure.ts';
import { digits } from '../../../core/words/numerals.ts';
import { readersDigits } from '../../ui/display.ts';
import { toPath } from '../workpiece/geometry.ts';
import { drawnLug, lugOutline } from '../workpiece/lugShape.ts';
import SectionPair from './SectionPair.vue';
import { say } from '../../../core/words/say.ts';

/** The end in three pictures to one scale: its face on the stud, the barrel cut before the crimp, and after. */
const { end } = defineProps<{ end: ResolvedEnd }>();

const patternId = useId();
const sized = (mm: number, decimals = 1) => readersDigits(mm, 'mm', decimals);

const WIDTH = 340;
const HEIGHT = 188;
const MIDDLE = 58;
/** The largest scale at which the three pictures keep apart, px/mm. */
const scale = computed(() => {
  const { lug } = end;
  if (!lug) return 5;
  return Math.min(6.15, 100 / lug.palmWidthMm, 108 / lug.outerMm);
});
/** The stud it goes on, or the top of the tapered post. */
const on = computed(() => {
  const { meets } = end;
  if (meets.kind === 'stud') {
    const { diameterMm, washerOuterMm } = STUDS[meets.stud];
    return { name: meets.stud as string, diameterMm, washerMm: washerOuterMm };
  }
  return {
    name: meets.post.polarity === 'positive' ? '+' : '−',
    diameterMm: postTopMm(meets.post) ?? 16,
    washerMm: 0,
  };
});
const faceX = 52;
const beforeX = 160;
const afterX = 278;

/** The face of the lug, seen flat, its barrel hanging down. */
const face = computed(() =>
  end.lug
    ? toPath(lugOutline(drawnLug({ ...end.lug, angleDeg: 0, offsetMm: 0 }), 0, []), ([u, v]) => [
        faceX + v * scale.value,
        MIDDLE + u * scale.value,
      ])
    : '',
);
const crimp = computed(() => forecastOf(end.die));
const EARS = { none: say`no ears`, slight: say`slight ears`, expect: 'ears' } as const;
const trials = computed(() => {
  const { die } = end;
  if (!die) return '';
  const { trials: count } = die.learned;
  if (count === 0) return say`no trial yet`;
  return trialsSay(count) + (die.own ? say`, ${die.own.count} on this lug` : '');
});
/** What stands in place of a crimp. */
const uncrimped = computed(() =>
  end.method === 'solder'
    ? say`filled with solder`
    : end.method === 'screwed'
      ? say`screwed down`
      : say`no die suits`,
);
</script>

<template>
  <svg
    v-if="end.lug"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="crimp-pictures block w-full"
    role="img"
    :aria-label="say`Lug ${end.lug.label} on ${on.name}; its barrel before and after the crimp`"
  >
    <defs>
      <clipPath :id="`${patternId}c`"><rect x="0" y="0" :width="WIDTH" :height="MIDDLE + 54" /></clipPath>
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
        v-if="on.washerMm > 0"
        :cx="faceX"
        :cy="MIDDLE"
        :r="(on.washerMm / 2) * scale"
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
        :r="(on.diameterMm / 2) * scale"
        fill="var(--paper)"
        stroke="var(--line)"
      />
      <circle :cx="faceX" :cy="MIDDLE" :r="(on.diameterMm / 2) * scale" :fill="`url(#${patternId}n)`" />
      <text class="strong on-copper" :x="faceX" :y="MIDDLE + 5" text-anchor="middle">{{ on.name }}</text>
    </g>

    <SectionPair
      :outer-mm="end.lug.outerMm"
      :bore-mm="end.lug.boreMm"
      :offer="end.die"
      :scale="scale"
      :middle="MIDDLE"
      :before-x="beforeX"
      :after-x="afterX"
      :soldered="end.method === 'solder'"
    />

    <text :x="faceX" y="131" text-anchor="middle">
      {{ say`hole ${sized(end.lug.holeMm)}, ${sized(end.lug.holeMm - on.diameterMm)} clear` }}
    </text>
    <text :x="faceX" y="147" text-anchor="middle">
      {{ say`web ${sized(webMm(end.lug.palmWidthMm, end.lug.holeMm))}` }}
    </text>
    <text :x="beforeX + 3" y="131" text-anchor="middle">
      {{ say`${sized(end.lug.outerMm)} over ${sized(end.lug.boreMm)}` }}
    </text>
    <text :x="beforeX + 3" y="147" text-anchor="middle">
      {{ say`fill ${digits(boreFill(end.copperMm2, end.lug.boreMm), 2)}` }}
    </text>
    <template v-if="end.die">
      <text class="strong" :x="afterX" y="131" text-anchor="middle">
        <template v-if="crimp">
          {{ say`${sized(end.die.parts.acrossFlatsMm, 2)} across flats` }}
        </template>
        <template v-else>{{ say`${sized(end.die.die.acrossFlatsMm)} across the indent` }}</template>
      </text>
      <text :x="afterX" y="147" text-anchor="middle">
        <template v-if="crimp">
          {{ ' ' }}{{ say`air ${figure(crimp.voidShare * 100, '%', 1)}, ${EARS[crimp.ears]}` }}
        </template>
        <template v-else>{{ say`judged by trial only` }}</template>
      </text>
      <text v-if="crimp" :x="afterX" y="163" text-anchor="middle">
        {{ say`barrel ${figure(crimp.stretch * 100, '%', 0)} longer` }}
      </text>
      <text :x="afterX" :y="crimp ? 179 : 163" text-anchor="middle">{{ trials }}</text>
    </template>
    <text v-else :x="afterX" :y="end.method === 'solder' ? 131 : MIDDLE + 4" text-anchor="middle">
      {{ uncrimped }}
    </text>
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
