<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref, useId, useTemplateRef } from 'vue';
import { bundleDiameterMm } from '../../../core/conductor/geometry.ts';
import type { Cable, Stage } from '../../../core/job/cable.ts';
import type { Feature } from '../../../core/traveller/steps.ts';
import { digits } from '../../../core/units/figure.ts';
import type { CableWork } from '../../../core/workup.ts';
import { usePrefs } from '../../stores/prefs.ts';
import { inReadersUnit, sizeText } from '../../ui/display.ts';
import { useIsPhone } from '../../ui/useWide.ts';
import DimensionLine from './DimensionLine.vue';
import { textWidth } from './dimensions.ts';
import EndPicture from './EndPicture.vue';
import MiddlePicture from './MiddlePicture.vue';
import {
  endDimensions,
  type EndSheet,
  endSheet,
  frameFor,
  middleWidth,
  palmWords,
  progressOf,
  scaleFor,
  SHEET,
  studOffset,
} from './sheet.ts';

/**
 * The cable on the bench: both ends true to scale, the long middle broken. The same drawing through all stages; the
 * stage decides what stands out. Pressing a dimension opens its figure in the ledger.
 */
const {
  cable,
  work,
  stage,
  lit = null,
} = defineProps<{
  cable: Cable;
  work: CableWork;
  stage: Stage;
  lit?: readonly Feature[] | null;
}>();
const emit = defineEmits<{ open: [findingId: string] }>();

const STRONG: Readonly<Record<Stage, readonly string[]>> = {
  run: ['finished'],
  gauge: ['finished'],
  ends: ['crimps', 'strip', 'sleeve-cover'],
  cut: ['finished', 'cut'],
  make: ['crimps', 'strip', 'sleeve-cover', 'cut'],
  prove: ['crimps'],
  fit: ['finished'],
};

const { prefs } = usePrefs();
const isPhone = useIsPhone();
const host = useTemplateRef<HTMLElement>('host');
const { width: hostWidth } = useElementSize(host);
const titleId = useId();
const gridId = useId();
/** On a phone one part is shown at a time. */
const part = ref<'A' | 'middle' | 'B'>('A');

const width = computed(() => Math.max(320, Math.floor(hostWidth.value)));
const frame = computed(() => frameFor(width.value, isPhone.value));
const outerMm = computed(() => work.choice.taken.at.outerMm);
const bundleMm = computed(() => bundleDiameterMm(work.choice.taken.at.copperMm2));
const angles = computed(() => ({ A: 0, B: cable.palmAngleDeg }));
const sheets = computed(() => ({
  A: endSheet(work.ends.A, angles.value.A, outerMm.value, progressOf(cable, 'A', work)),
  B: endSheet(work.ends.B, angles.value.B, outerMm.value, progressOf(cable, 'B', work)),
}));
const drawn = computed(() => [sheets.value.A, sheets.value.B].filter((end): end is EndSheet => end !== null));
const scale = computed(() => scaleFor(drawn.value, outerMm.value, cable.tag, frame.value));
const say = (mm: number, decimals: number) => inReadersUnit(mm, 'mm', decimals, prefs.lengths).value;

const ends = computed(() =>
  (['A', 'B'] as const).map((name) => {
    const sheet = sheets.value[name];
    const isA = name === 'A';
    const edgeX = isA || isPhone.value ? (isA ? 0 : width.value) : width.value;
    const direction = isA ? 1 : -1;
    const breakX = edgeX + direction * (frame.value.endWidth - 6);
    const bounds = isA
      ? { from: 4, to: frame.value.endWidth }
      : { from: width.value - frame.value.endWidth, to: width.value - 4 };
    const half = isPhone.value ? width.value : width.value / 2;
    const low = isA ? { from: 4, to: half - 2 } : { from: width.value - half + 2, to: width.value - 4 };
    const studX = sheet ? edgeX + direction * studOffset(sheet, scale.value) : edgeX + direction * 80;
    const x = (u: number) => studX + direction * u * scale.value;
    const rows = sheet && endDimensions(sheet, work.ends[name], x, bounds, low, say);
    return { name, sheet, edgeX, breakX, studX, x, rows, shown: !isPhone.value || part.value === name };
  }),
);
const endOf = (name: 'A' | 'B') => ends.value[name === 'A' ? 0 : 1] as (typeof ends.value)[number];

/** The long dimensions: stud to stud, and between the bottoms of the barrels. */
const long = computed(() => {
  const { lengths } = work;
  const a = endOf('A');
  const b = endOf('B');
  if (!lengths || !a.sheet || !b.sheet) return [];
  const bottom = (end: typeof a) => end.x(end.sheet?.lug.studToBarrelMm ?? 0);
  const row = (id: string, y: number, mm: number, from: number, to: number) => {
    const text = `${id} ${say(mm, 0)}`;
    const [left, right] = isPhone.value ? phoneSpan(from, to) : [from, to];
    return {
      id,
      y,
      text,
      from: left,
      to: right,
      textX: (left + right) / 2,
      textWidth: textWidth(text, SHEET.figureSize),
    };
  };
  const span = (fromA: number, toB: number) =>
    isPhone.value && part.value === 'B' ? ([toB, fromA] as const) : ([fromA, toB] as const);
  const [finishedFrom, finishedTo] = span(a.studX, b.studX);
  const [cutFrom, cutTo] = span(bottom(a), bottom(b));
  return [
    row('finished', SHEET.rows.finished, lengths.finishedMm, finishedFrom, finishedTo),
    row('cut', SHEET.rows.cut, lengths.cutMm, cutFrom, cutTo),
  ];
});
/** On a phone a long dimension runs off the sheet on the side that is not shown. */
function phoneSpan(near: number, _far: number): [number, number] {
  return part.value === 'B' ? [-20, near] : [near, width.value + 20];
}

const notDrawn = computed(() => {
  const { lengths } = work;
  if (!lengths) return null;
  const shown = ends.value.reduce(
    (sum, { breakX, studX }) => sum + Math.abs(breakX - studX) / scale.value,
    0,
  );
  return Math.max(0, lengths.finishedMm - shown);
});
const note = computed(() => {
  const unit = prefs.lengths === 'in' ? 'inches' : 'mm';
  const middle = notDrawn.value === null ? '' : ` · middle ${say(notDrawn.value, 0)} not drawn`;
  return `all in ${unit} · grid 10 mm${isPhone.value ? '' : middle}`;
});

const grid = computed(() => 10 * scale.value);
const sections = computed(() =>
  isPhone.value
    ? part.value === 'middle'
      ? []
      : [{ x: 0, width: width.value }]
    : [
        { x: 0, width: frame.value.endWidth },
        { x: width.value - frame.value.endWidth, width: frame.value.endWidth },
      ],
);
const isStrong = (id: string) => STRONG[stage].includes(id.split('.')[0] ?? id);
const proposal = computed(() =>
  drawn.value.some(({ isProposed }) => isProposed) ? 'ends proposed by house practice' : '',
);

const caption = (name: 'A' | 'B') => {
  const { at, stud } = work.ends[name].spec;
  const words = palmWords(angles.value[name]);
  return [at || 'not said where', stud, words].filter(Boolean).join(', ');
};
const shortCaption = (name: 'A' | 'B') => {
  const full = caption(name);
  const room = frame.value.endWidth - 40;
  if (textWidth(full, SHEET.noteSize) <= room) return full;
  const { at, stud } = work.ends[name].spec;
  const letters = Math.max(4, Math.floor(room / 7) - stud.length - 3);
  return `${at.length > letters ? `${at.slice(0, letters)}…` : at}, ${stud}`;
};
const spoken = computed(
  () =>
    `Cable ${cable.tag}: ${sizeText(work.choice.taken.at.size, prefs.sizes)}, ${work.lengths ? `cut ${digits(work.lengths.cutMm, 0)} mm` : 'no cut length yet'}`,
);
</script>

<template>
  <div ref="host" class="workpiece border-b border-line bg-paper">
    <svg
      v-if="hostWidth > 0"
      :width="width"
      :height="SHEET.height"
      :viewBox="`0 0 ${width} ${SHEET.height}`"
      role="group"
      :aria-labelledby="titleId"
      class="block overflow-hidden"
    >
      <title :id="titleId">{{ spoken }}</title>
      <defs>
        <pattern
          :id="gridId"
          :width="grid * 5"
          :height="grid * 5"
          patternUnits="userSpaceOnUse"
          :y="SHEET.centreY"
        >
          <path
            v-for="i in 4"
            :key="i"
            :d="`M${grid * i} 0V${grid * 5}M0 ${grid * i}H${grid * 5}`"
            stroke="var(--grid)"
            stroke-width="1"
          />
          <path :d="`M0 0V${grid * 5}M0 0H${grid * 5}`" stroke="var(--grid-strong)" stroke-width="1" />
        </pattern>
      </defs>
      <rect
        v-for="section in sections"
        :key="section.x"
        v-bind="section"
        y="0"
        :height="SHEET.height"
        :fill="`url(#${gridId})`"
      />

      <template v-for="end in ends" :key="end.name">
        <g v-if="end.shown">
          <path
            class="centre"
            :d="`M${end.edgeX + (end.name === 'A' ? 6 : -6)} ${SHEET.centreY}H${end.breakX + (end.name === 'A' ? 8 : -8)}M${end.studX} 10V${SHEET.rows.barrel + 5}`"
          />
          <EndPicture
            v-if="end.sheet"
            :end="end.sheet"
            :outer-mm="outerMm"
            :bundle-mm="bundleMm"
            :scale="scale"
            :edge-x="end.edgeX"
            :break-x="end.breakX"
            :jacket="cable.jacket"
            :tag="cable.tag"
            :lit="lit"
          />
          <g v-else>
            <rect
              :x="Math.min(end.breakX, end.edgeX + (end.name === 'A' ? 130 : -130))"
              :y="SHEET.centreY - (outerMm * scale) / 2"
              :width="Math.abs(end.breakX - end.edgeX) - 130"
              :height="outerMm * scale"
              :fill="`var(--${cable.jacket})`"
              :stroke="`var(--${cable.jacket}-line)`"
            />
            <text
              class="missing"
              :x="end.edgeX + (end.name === 'A' ? 14 : -14)"
              :y="SHEET.centreY + 5"
              :text-anchor="end.name === 'A' ? 'start' : 'end'"
              :font-size="SHEET.figureSize"
            >
              no lug suits yet
            </text>
          </g>
          <template v-if="end.rows && end.sheet">
            <path
              class="extension"
              :d="
                [end.sheet.lug.studToBarrelMm, end.sheet.lug.studToBarrelMm + end.sheet.lug.barrelMm]
                  .map(
                    (u, i) =>
                      `M${end.x(u)} ${(i === 0 ? SHEET.rows.cut : SHEET.rows.crimps) - 5}V${SHEET.centreY - 10}`,
                  )
                  .join('') +
                `M${end.x(end.sheet.lug.studToBarrelMm)} ${SHEET.centreY + 10}V${SHEET.rows.sleeve + 5}` +
                `M${end.x(end.sheet.jacketFromU)} ${SHEET.centreY + (outerMm * scale) / 2 + 3}V${SHEET.rows.barrel + 5}` +
                (end.sheet.sleeve
                  ? `M${end.x(end.sheet.sleeve.toU)} ${SHEET.centreY + (outerMm * scale) / 2 + 6}V${SHEET.rows.sleeve + 5}`
                  : '') +
                work.ends[end.name].crimps
                  .map(
                    (m) =>
                      `M${end.x((end.sheet?.lug.studToBarrelMm ?? 0) + (end.sheet?.lug.barrelMm ?? 0) - m)} ${SHEET.rows.crimps - 5}V${SHEET.centreY}`,
                  )
                  .join('')
              "
            />
            <template v-for="(row, key) in end.rows" :key="key">
              <DimensionLine
                v-for="(dimension, i) in row"
                :key="`${key}${i}`"
                v-bind="dimension"
                :y="SHEET.rows[key]"
                :strong="isStrong(dimension.id)"
                :label="`${dimension.text} ${prefs.lengths}, end ${end.name}: show the work`"
                @open="emit('open', dimension.id)"
              />
            </template>
          </template>
          <text
            v-if="proposal && end.name === 'A' && end.rows"
            class="proposal"
            :x="
              Math.max(
                ...end.rows.crimps.map(({ textX, textWidth: wide, to }) => Math.max(to, textX + wide / 2)),
                end.studX,
              ) + 10
            "
            :y="SHEET.rows.crimps + 5"
            :font-size="SHEET.noteSize"
          >
            {{ proposal }}
          </text>
          <g class="caption">
            <circle :cx="end.edgeX + (end.name === 'A' ? 22 : -22)" :cy="SHEET.rows.caption" r="8.5" />
            <text
              :x="end.edgeX + (end.name === 'A' ? 22 : -22)"
              :y="SHEET.rows.caption + 5"
              text-anchor="middle"
              :font-size="SHEET.noteSize"
            >
              {{ end.name }}
            </text>
            <text
              :x="end.edgeX + (end.name === 'A' ? 36 : -36)"
              :y="SHEET.rows.caption + 5"
              :text-anchor="end.name === 'A' ? 'start' : 'end'"
              :font-size="SHEET.noteSize"
            >
              {{ shortCaption(end.name) }}
            </text>
          </g>
        </g>
      </template>

      <template v-if="!isPhone || part !== 'middle'">
        <DimensionLine
          v-for="dimension in long"
          :key="dimension.id"
          v-bind="dimension"
          :inside="true"
          :strong="isStrong(dimension.id)"
          :label="`${dimension.text} ${prefs.lengths}: show the work`"
          @open="emit('open', dimension.id)"
        />
      </template>
      <MiddlePicture
        v-if="!isPhone || part === 'middle'"
        :centre-x="width / 2"
        :spread="isPhone ? 80 : middleWidth(width) / 4 + 6"
        :outer-mm="outerMm"
        :bundle-mm="bundleMm"
        :scale="scale"
        :jacket="cable.jacket"
        :angle-deg="cable.palmAngleDeg"
        :size-label="sizeText(work.choice.taken.at.size, prefs.sizes)"
        :outer-label="say(outerMm, 1)"
        @open-size="emit('open', 'drop')"
        @open-angle="emit('open', 'palm-angle')"
      />
      <text
        v-if="!isPhone"
        class="note-text"
        :x="width / 2"
        :y="SHEET.rows.caption + 5"
        text-anchor="middle"
        :font-size="SHEET.noteSize"
      >
        {{ note }}
      </text>
    </svg>
    <div
      v-if="isPhone"
      class="flex border-t border-hairline"
      role="tablist"
      aria-label="Part of the cable shown"
    >
      <button
        v-for="name in ['A', 'middle', 'B'] as const"
        :key="name"
        type="button"
        role="tab"
        :aria-selected="part === name"
        class="figure h-11 flex-1 border-r border-hairline text-[16px] last:border-r-0"
        :class="part === name ? 'border-t-2 border-t-teal bg-paper font-semibold' : 'bg-chalk text-ink2'"
        @click="part = name"
      >
        {{ name === 'middle' ? 'middle' : `${name} ${cable.ends[name].stud}` }}
      </button>
    </div>
  </div>
</template>

<style>
.workpiece svg text {
  font-family: var(--font-figure);
  font-variant-numeric: tabular-nums;
  fill: var(--ink2);
  font-weight: 400;
}
.workpiece .dimension .rule,
.workpiece .dimension .tick,
.workpiece .extension {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 0.75;
}
.workpiece .extension {
  stroke-width: 0.6;
  opacity: 0.7;
}
.workpiece .dimension .tick {
  stroke-width: 1.1;
}
.workpiece .dimension.strong text,
.workpiece svg .dimension:hover text {
  fill: var(--ink);
  font-weight: 500;
}
.workpiece .dimension:hover .rule,
.workpiece .dimension:hover .tick {
  stroke: var(--teal);
}
.workpiece .centre {
  fill: none;
  stroke: var(--ink3);
  stroke-width: 0.7;
  stroke-dasharray: 11 3 2 3;
}
.workpiece .ghost {
  opacity: 0.28;
}
.workpiece svg .tag-text {
  font-weight: 600;
  fill: var(--tag-ink);
}
.workpiece .caption circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.workpiece svg .caption text {
  fill: var(--ink);
}
.workpiece svg .proposal {
  fill: var(--copper-text);
}
.workpiece svg .missing {
  fill: var(--fails);
  font-weight: 500;
}
</style>
