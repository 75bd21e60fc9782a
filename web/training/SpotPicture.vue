<script setup lang="ts">
import { tell } from '../../core/words/message.ts';
import { word } from '../../core/words/terms.ts';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import type { Exercise } from '../../core/training/exercise.ts';
import { type FaultName, FAULTS, type PlaceName, PLACES } from '../../core/training/faults.ts';
import { readout } from '../../core/training/readout.ts';
import type { Marked } from '../../core/training/round.ts';
import { SHEET, studOffset } from '../bench/workpiece/sheet.ts';
import { madeExtent, madeSheet, placesAlong, type View, VIEWS } from './madeSheet.ts';
import MadeEndPicture from './MadeEndPicture.vue';
import { say } from '../../core/words/say.ts';

/** The end to be looked at, before its sleeve and with it; each place of it can be pointed at. */
const {
  own: exercise,
  marks,
  chosen,
  answer,
} = defineProps<{
  own: Exercise;
  marks: readonly FaultName[];
  chosen: PlaceName | null;
  /** Null until the end is handed in. */
  answer: Marked | null;
}>();
const emit = defineEmits<{ choose: [place: PlaceName] }>();

const host = useTemplateRef<HTMLElement>('host');
const { width, height } = useElementSize(host);
const LABEL = 26;
const LARGEST = 7;
const row = computed(() => height.value / VIEWS.length);
const extent = computed(() => madeExtent(exercise.made));
const scale = computed(() =>
  Math.max(
    0.8,
    Math.min(
      LARGEST,
      (width.value - SHEET.margin - 18) / extent.value.along,
      (row.value - LABEL - 26) / extent.value.across,
    ),
  ),
);
const centreOf = (view: View) => VIEWS.indexOf(view) * row.value + LABEL + (row.value - LABEL) / 2;
const studX = computed(() => studOffset(madeSheet(exercise.made, 'bare'), scale.value));

/** px. */
const FINGERTIP = 44;
/** Places side by side share the sheet: a target reaches 44 px where its neighbours leave it. */
const targets = computed(() => {
  const along = placesAlong(exercise.made);
  const high = Math.max(52, extent.value.across * scale.value + 10);
  return (Object.keys(PLACES) as PlaceName[]).map((place) => {
    const { view, fromU, toU } = along[place];
    const left = studX.value + fromU * scale.value;
    const box = {
      x: left,
      y: centreOf(view) - high / 2,
      width: (toU - fromU) * scale.value,
      height: high,
    };
    const here = marks.filter((name) => FAULTS[name].at === place);
    // A fingertip wide at least; where two lie over one another the nearer one is meant.
    const reach = Math.max(box.width, FINGERTIP);
    const hit = { ...box, x: box.x + (box.width - reach) / 2, width: reach };
    return { place, view, box, hit, here, verdict: answer && verdictAt(place, answer) };
  });
});

function press(event: MouseEvent, place: PlaceName): void {
  const pressed = targets.value.find((other) => other.place === place);
  const left = host.value?.getBoundingClientRect().left ?? 0;
  if (!pressed || event.detail === 0) return emit('choose', place);
  const away = ({ box }: typeof pressed) => Math.abs(left + box.x + box.width / 2 - event.clientX);
  const near = targets.value
    .filter(({ view }) => view === pressed.view)
    .reduce((best, next) => (away(next) < away(best) ? next : best), pressed);
  emit('choose', near.place);
}

type Verdict = 'found' | 'missed' | 'not there';
function verdictAt(place: PlaceName, { found, missed, wrong }: Marked): Verdict | null {
  const at = (names: readonly FaultName[]) => names.some((name) => FAULTS[name].at === place);
  if (at(missed)) return 'missed';
  if (at(wrong)) return 'not there';
  return at(found) ? 'found' : null;
}
const COLOURS: Readonly<Record<Verdict, string>> = {
  found: 'var(--holds)',
  missed: 'var(--fails)',
  'not there': 'var(--close)',
};
const spoken = (place: PlaceName, here: readonly FaultName[]) =>
  [
    tell(PLACES[place]),
    ...readout(exercise.made, place, 1).map(({ what, says }) => `${tell(what)}: ${tell(says)}`),
    ...here.map((name) => say`marked: ${FAULTS[name].title}`),
  ].join('; ');
const VIEW_WORDS: Readonly<Record<View, string>> = { bare: say`before the sleeve`, finished: say`finished` };
</script>

<template>
  <div ref="host" class="spot-picture relative bg-lamp">
    <svg v-if="width > 0" :width="width" :height="height" role="group" :aria-label="say`The end to inspect`">
      <defs>
        <pattern id="spot-grid" :width="10 * scale" :height="10 * scale" patternUnits="userSpaceOnUse">
          <path :d="`M${10 * scale} 0H0V${10 * scale}`" fill="none" stroke="var(--grid)" />
        </pattern>
      </defs>
      <rect :width="width" :height="height" fill="url(#spot-grid)" />
      <path :d="`M0 ${row}H${width}`" stroke="var(--hairline)" />
      <g v-for="view in VIEWS" :key="view">
        <text class="caption" x="14" :y="VIEWS.indexOf(view) * row + 20">{{ VIEW_WORDS[view] }}</text>
        <path
          :d="`M10 ${centreOf(view)}H${width - 8}`"
          stroke="var(--ink3)"
          stroke-width="0.7"
          stroke-dasharray="11 3 2 3"
        />
        <MadeEndPicture
          :made="exercise.made"
          :view="view"
          :scale="scale"
          :centre-y="centreOf(view)"
          :break-x="width - 14"
          :through="exercise.level < 3"
        />
      </g>
      <g
        v-for="{ place, box, hit, here, verdict } in targets"
        :key="place"
        class="target"
        :class="{ chosen: place === chosen, marked: here.length > 0 && !answer }"
        role="button"
        tabindex="0"
        :aria-label="spoken(place, here)"
        :aria-pressed="place === chosen"
        @click="press($event, place)"
        @keydown.enter.prevent="$emit('choose', place)"
        @keydown.space.prevent="$emit('choose', place)"
      >
        <rect v-bind="hit" fill="transparent" />
        <rect class="hit" v-bind="box" rx="3" />
        <g v-if="here.length > 0 && !answer" :transform="`translate(${box.x + box.width / 2} ${box.y - 3})`">
          <path
            d="M0 0v-15h13l-4 4l4 4h-13"
            fill="var(--teal)"
            stroke="var(--teal)"
            stroke-linejoin="round"
          />
        </g>
        <template v-if="verdict">
          <rect
            v-bind="box"
            rx="3"
            fill="none"
            :stroke="COLOURS[verdict]"
            stroke-width="2.4"
            :stroke-dasharray="verdict === 'found' ? undefined : verdict === 'missed' ? '7 4' : '2 4'"
          />
          <text
            class="verdict"
            :x="box.x + box.width / 2"
            :y="box.y - 5"
            text-anchor="middle"
            :fill="COLOURS[verdict]"
          >
            {{ word(verdict) }}
          </text>
        </template>
      </g>
    </svg>
  </div>
</template>

<style>
.spot-picture .caption {
  font: 400 15px var(--font-figure);
  fill: var(--ink2);
}
.spot-picture .verdict {
  font: 600 16px var(--font-figure);
  paint-order: stroke;
  stroke: var(--lamp);
  stroke-width: 5px;
  stroke-linejoin: round;
}
.spot-picture .target {
  cursor: pointer;
  outline: none;
}
.spot-picture .hit {
  fill: transparent;
  stroke: var(--hairline);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
.spot-picture .target:hover .hit {
  stroke: var(--teal);
}
.spot-picture .target.chosen .hit {
  stroke: var(--teal);
  stroke-width: 2;
  stroke-dasharray: none;
}
.spot-picture .target:focus-visible .hit {
  stroke: var(--teal);
  stroke-width: 3.4;
  stroke-dasharray: none;
}
</style>
